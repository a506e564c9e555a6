import { type Page, expect, test } from "./a-test";
import { toTheResult } from "./bench";
import { DEMO } from "./places";

/** The browser's dialog cannot be pressed here: what it would hand over is a file of the page's own. */
async function withPicker(page: Page): Promise<void> {
  await page.addInitScript(() => {
    Object.assign(window, {
      showSaveFilePicker: async () => (await navigator.storage.getDirectory()).getFileHandle("workshop.json", { create: true }),
    });
  });
}

const makesIn = (page: Page) =>
  page.evaluate(async () => {
    const handle = await (await navigator.storage.getDirectory()).getFileHandle("workshop.json");
    const { makes } = JSON.parse(await (await handle.getFile()).text()) as { makes: { finished: string | null }[] };
    return makes.filter(({ finished }) => finished !== null).length;
  });

test("a chosen file is written after each make, over a reload, until it is let go", async ({ page }) => {
  await withPicker(page);
  await page.goto(DEMO);
  await page.getByRole("button", { name: "Write a file after each make" }).click();
  await expect(page.getByText(/workshop\.json is written after each make, last at/)).toBeVisible();
  expect(await makesIn(page)).toBe(24);
  await page.reload();
  await expect(page.getByText(/workshop\.json is written after each make, last at/)).toBeVisible();
  await toTheResult(page);
  await page.getByRole("button", { name: "Enter it in the ledger" }).click();
  await expect.poll(() => makesIn(page), { timeout: 15_000 }).toBe(25);
  await page.goto(DEMO);
  await page.getByRole("button", { name: "Write no file" }).click();
  await expect(page.getByRole("button", { name: "Write a file after each make" })).toBeVisible();
});
