import { type Page, expect } from "@playwright/test";
import { findChromium } from "../scripts/chromium.mjs";

/** The server that starts with the demo, and the one that starts with nothing; known once both have started. */
export const DEMO = process.env.DEMO_ADDRESS ?? "";
export const EMPTY = `${process.env.EMPTY_ADDRESS ?? ""}/`;

export const CHROMIUM = {
  executablePath: findChromium() ?? "",
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

/** Fails on anything the page complains of: errors, and breaches of its own policy. */
export function quiet(page: Page): string[] {
  const heard: string[] = [];
  page.on("pageerror", (error) => heard.push(error.message));
  page.on("console", (message) => {
    if (message.type() === "error") heard.push(`${message.text()} ${message.location().url}`);
  });
  return heard;
}
