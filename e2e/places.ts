import { readFileSync, readdirSync } from "node:fs";
import { type Page, expect } from "@playwright/test";
import { findHeadless } from "../scripts/chromium.mjs";

/** The server that starts with the demo, and the one that starts with nothing; known once both have started. */
export const DEMO = process.env.DEMO_ADDRESS ?? "";
export const EMPTY = `${process.env.EMPTY_ADDRESS ?? ""}/`;

/** Every page that is of no one piece. */
export const BESIDE_A_PIECE = [
  "/",
  "/my-bench",
  "/ledger",
  "/sums",
  "/practice",
  "/cards?pieces=tern-ring",
  "/cards?pieces=tern-ring&as=class",
  "/cards?pieces=tern-ring&as=labels",
  EMPTY,
] as const;

/** Rows of home's table with the demo: its head and every piece. */
export const DEMO_ROWS = 1 + readdirSync("demo/pieces").length;

export const CHROMIUM = {
  executablePath: findHeadless() ?? "",
  args: ["--no-sandbox", "--disable-dev-shm-usage", "--disable-background-networking", "--disable-component-update"],
};

/** The figure shown large for a key of the plan. */
export function figure(page: Page, key: string) {
  return page.locator(`[data-figure="${key}"]`);
}

export function field(page: Page, key: string) {
  return page.locator(`[data-field="${key}"]`);
}

/** Waits until the browser's database has taken the last change. */
export async function kept(page: Page): Promise<void> {
  await expect(page.getByText(/^Kept on this device/).first()).toBeVisible();
}

/** Lays a piece's file on the tray, on whose page it must be. */
export async function laid(page: Page, piece: object): Promise<void> {
  await page.locator('input[type="file"]').setInputFiles({
    name: "piece.json",
    mimeType: "application/json",
    buffer: Buffer.from(JSON.stringify(piece)),
  });
  await page.getByRole("button", { name: "Put it on the tray" }).click();
  // It opens once it is kept.
  await page.waitForURL(/\/pieces\/[^/]+\/wall$/);
}

/** A ring with the Tern's stone four times: eleven joints, 110 steps. */
export function fourStones(): object {
  const tern = JSON.parse(readFileSync("demo/pieces/tern-ring.json", "utf8")) as { mounts: object[] };
  return { ...tern, id: "four-ring", mounts: [1, 2, 3, 4].map((i) => ({ ...tern.mounts[0], id: `m${i}` })) };
}
