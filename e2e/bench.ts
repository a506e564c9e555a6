import { readFileSync } from "node:fs";
import { type Page, expect } from "./a-test";

/** The Tern ring at the bench. */
export const TERN = "/pieces/tern-ring/bench";
/** A page of each kind. */
export const ROUTES = ["/", "/sums", "/ledger", "/my-bench", "/day", "/cards", "/pieces/tern-ring/wall", "/pieces/tern-ring/making", TERN];
/** Presses nearer than this count as one (ms). */
export const ONE_PRESS = 100;

export const tern = JSON.parse(readFileSync("demo/pieces/tern-ring.json", "utf8")) as Record<string, unknown> & { name: string };

export const heading = (page: Page) => page.getByRole("heading", { level: 1 });
/** The field of a reading that a step asks for, and what stands round it. */
export const reading = (page: Page, asked: string) => page.getByRole("textbox", { name: asked, exact: true });
export const asked = (page: Page, what: string) => page.getByRole("region", { name: what });

/** Opens a piece at the bench. */
export async function atBench(page: Page, path = TERN): Promise<void> {
  await page.goto(path);
  await expect(heading(page)).toBeVisible();
}

/** Presses the space bar until a step is shown. */
export async function onTo(page: Page, step: RegExp): Promise<void> {
  for (let i = 0; i < 60 && !step.test((await heading(page).textContent()) ?? ""); i++) {
    const before = await page.getByText(/^Step \d+ of/).textContent();
    await page.waitForTimeout(ONE_PRESS);
    await page.keyboard.press("Space");
    await expect(page.getByText(/^Step \d+ of|^All steps done/).first()).not.toHaveText(before ?? "");
  }
  await expect(heading(page)).toHaveText(step);
}

/** Ticks all steps of a piece off and opens its result. */
export async function toTheResult(page: Page): Promise<void> {
  await page.goto("/pieces/knot-ring/making");
  const steps = page.getByRole("checkbox");
  await steps.first().waitFor();
  const count = await steps.count();
  await steps.evaluateAll((all) => all.forEach((each) => (each as HTMLInputElement).click()));
  await expect(page.getByRole("checkbox", { checked: true })).toHaveCount(count);
  await page.goto("/pieces/knot-ring/bench");
  await expect(heading(page)).toContainText("How did it turn out?");
}
