import { readFile } from "node:fs/promises";
import { type Page, expect, test } from "./a-test";
import { EMPTY } from "./places";

const rows = (page: Page) => page.getByRole("table", { name: "Makings" }).getByRole("row");
const open = async (page: Page) => {
  await page.goto("/");
  await expect(page.getByText("Made 21 Nov")).toHaveCount(1);
  await page.getByRole("link", { name: "Ledger", exact: true }).click();
  await expect(page.getByText("24 makes, ")).toBeVisible();
};

test("the year's makes are found, filtered and sorted, one is opened as it was, and made again", async ({ page }) => {
  await open(page);
  await page.keyboard.press("f");
  await page.keyboard.type("slate");
  await expect(page.getByText("2 makes, 7 h 28")).toBeVisible();
  await expect(rows(page).nth(1)).toContainText("corners thinned, then pushed");
  await page.getByRole("searchbox").fill("");
  await page.getByRole("button", { name: /^Pendants/ }).click();
  await expect(rows(page).nth(1)).toContainText("Limpet pendant");
  await page.getByRole("button", { name: /^All/ }).click();
  await page.getByLabel("Stone", { exact: true }).selectOption("carnelian");
  await page.getByRole("button", { name: "Minutes" }).click();
  await expect(rows(page).nth(1)).toContainText("221");
  await page.getByLabel("Stone", { exact: true }).selectOption("");
  await page.getByRole("searchbox").fill("rounded up");
  await page.getByRole("button", { name: "Tern ring" }).click();
  const made = page.getByRole("dialog");
  await expect(made).toContainText("8 January 2026, chrysoprase; wanted EU 54, came to 52.6; 287 minutes");
  await expect(made).toContainText("Hoop, inside across: 16.74 mm, planned 17.19 mm, by the caliper, file");
  await expect(made).toContainText("The ring is small");
  await made.getByRole("button", { name: "Make again" }).click();
  await expect(page).toHaveURL(/tern-ring\/bench$/);
  await expect(page.getByText("Step 1 of 41")).toBeVisible();
});

test("what the hands take off is charted, used only when it is asked for, seen in the next blank, and given back with one press", async ({
  page,
}) => {
  await open(page);
  await expect(page.getByRole("img", { name: "yours 1.53 ± 0.30, from 18 makes; standard 0.88" })).toBeVisible();
  const next = page.getByRole("region", { name: "What is cut next" });
  await expect(next).toContainText("Next, Tern ring, EU 54: blank59.1becomes59.8mm");
  await page.getByRole("searchbox").fill("crooked");
  await expect(page.getByRole("img", { name: /left out: sawn through twice/ })).toBeVisible();
  await page.goto("/pieces/tern-ring/hoop");
  await expect(page.locator('[data-figure="hoop.cutLength"]')).toContainText("59.1");
  await page.goto("/ledger");
  await next.getByRole("button", { name: "Use mine from now on" }).click();
  await expect(next).toContainText("✓ Yours is used");
  await page.goto("/pieces/tern-ring/hoop");
  await expect(page.locator('[data-figure="hoop.cutLength"]')).toContainText("59.8");
  await expect(page.getByText("1.53 yours, from 18 makes")).toBeVisible();
  await expect(page.getByText("inside 17.19 across, give or take 0.3")).toBeVisible();
  await page.goto("/my-bench");
  await expect(page.getByText("Hoop length, file")).toBeVisible();
  await page.getByRole("button", { name: "Go back to the standard values" }).click();
  await page.goto("/pieces/tern-ring/hoop");
  await expect(page.locator('[data-figure="hoop.cutLength"]')).toContainText("59.1");
});

test("the ledger goes out as a table and comes back in another browser without loss", async ({ page, browser }) => {
  await open(page);
  const csv = async (from: Page) => {
    const waiting = from.waitForEvent("download");
    await from.getByRole("button", { name: "Save as a table" }).click();
    return readFile(await (await waiting).path());
  };
  const out = await csv(page);
  const other = await (await browser.newContext({ acceptDownloads: true })).newPage();
  await other.goto(`${EMPTY}ledger`);
  await expect(other.getByText("Nothing is written down yet.")).toBeVisible();
  await other.getByLabel("Open a file").setInputFiles({ name: "makes.csv", mimeType: "text/csv", buffer: out });
  await other
    .getByRole("dialog")
    .getByRole("button", { name: /Restore/ })
    .click();
  await expect(other.getByText("24 makes, ")).toBeVisible();
  expect((await csv(other)).equals(out)).toBe(true);
});

test("everything is saved with its makes, cleared, and restored as it was", async ({ page }) => {
  await open(page);
  const everything = async () => {
    await page.goto("/");
    const waiting = page.waitForEvent("download");
    await page.getByRole("button", { name: "Save everything" }).click();
    return readFile(await (await waiting).path(), "utf8");
  };
  const before = await everything();
  expect((JSON.parse(before) as { makes: unknown[] }).makes).toHaveLength(24);
  await page.getByRole("button", { name: "Remove the demo pieces" }).click();
  await page.getByRole("button", { name: "Remove all 20 for good" }).click();
  await page
    .getByRole("dialog")
    .getByRole("button", { name: /Remove/ })
    .click();
  await page.getByRole("link", { name: "Ledger", exact: true }).click();
  await expect(page.getByText("Nothing is written down yet.")).toBeVisible();
  await page.getByLabel("Open a file").setInputFiles({ name: "all.json", mimeType: "application/json", buffer: Buffer.from(before) });
  await page
    .getByRole("dialog")
    .getByRole("button", { name: /Restore/ })
    .click();
  await expect(page.getByText("24 makes, ")).toBeVisible();
  expect(await everything()).toBe(before);
});

test("cards of several pieces are printed for a class, each with a name and blanks to measure", async ({ page }) => {
  await page.goto("/");
  await page.getByRole("link", { name: "Print cards" }).click();
  await page.getByRole("checkbox", { name: "Tern ring" }).check();
  await page.getByRole("checkbox", { name: "Kelp ring" }).check();
  await expect(page.getByRole("article")).toHaveCount(2);
  const tern = page.getByRole("article", { name: "Card of Tern ring" });
  await expect(tern).toContainText("Bezel: what you cut, wanted 46.05 mm");
  await expect(tern).toContainText("Name");
  await page.getByRole("checkbox", { name: /for a class/ }).uncheck();
  await expect(tern).not.toContainText("wanted 46.05");
});
