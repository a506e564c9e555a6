import { readFile } from "node:fs/promises";
import { type Page, expect, test } from "./a-test";
import { DEMO_ROWS, EMPTY } from "./places";

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
  await page.getByRole("button", { name: `Remove all ${DEMO_ROWS - 1} for good` }).click();
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

test("a class gets a sheet of everybody's blanks, one list of metal, and a card for each with their name and finger", async ({ page }) => {
  await page.goto("/");
  await page.getByRole("link", { name: "Print cards" }).click();
  await page.getByRole("button", { name: "+ Tern ring" }).click();
  await expect(page.getByRole("article", { name: "Card of Tern ring" })).toHaveCount(1);
  await page.getByText("For a class", { exact: true }).click();
  await expect(page.getByText("Say who makes it: paste a list, or give how many.")).toBeVisible();
  await page.getByLabel(/Names and finger sizes/).fill("Ada, 54\nBo US 7\nCy 99");
  await page.getByLabel("More, without a name").fill("1");
  const sheet = page.getByRole("article", { name: "Tern ring, for a class" });
  await expect(sheet.getByRole("row", { name: "1 Ada EU 54 59.1 mm" })).toBeVisible();
  await expect(sheet.getByRole("row", { name: "2 Bo US 7 59.6 mm" })).toBeVisible();
  await expect(sheet.getByRole("row", { name: "3 Cy ______ ______" })).toBeVisible();
  await expect(sheet).toContainText("Sheet 0.60 mm, sterling4 of 18.7 × 14.7 mm");
  await expect(sheet).toContainText("Where something is not measured yet, the piece's own value is counted here.");
  await expect(page.getByRole("region", { name: "The class" }).getByRole("alert")).toContainText(
    "Cy: 99 is not a finger size. Type one in EU, or with its system, e.g. EU 54.",
  );
  const cards = page.getByRole("article", { name: "Card of Tern ring" });
  await expect(cards).toHaveCount(4);
  await expect(cards.nth(1)).toContainText("Name Bo");
  await expect(cards.nth(1)).toContainText("US 7, inside 17.32 mm");
  await expect(cards.nth(3)).toContainText("EU ______, inside ______ mm");
  await expect(cards.nth(0)).toContainText("Bezel: what you cut, wanted 46.05 mm");
  await page.reload();
  await expect(page.getByLabel(/Names and finger sizes/)).toHaveValue("Ada, 54\nBo US 7\nCy 99");
  await page.getByLabel(/Names and finger sizes/).fill("Ada, 54\n".repeat(61));
  await expect(page.getByRole("alert").filter({ hasText: "61 lines" })).toContainText("the first 60 are printed");
  await page.getByText("Labels", { exact: true }).click();
  await expect(page.getByRole("region", { name: "Label of Tern ring" })).toContainText("chrysoprase, 16.0 × 12.0");
});

test("where a piece's card is one page, so is that of a class", async ({ page }) => {
  const pieces = ["tern-ring", "dotterel-ring", "knot-ring", "marram-ring"].join(",");
  await page.goto(`/cards?pieces=${pieces}&as=class`);
  await page.getByLabel("More, without a name").fill("1");
  const cards = page.getByRole("article", { name: /^Card of/ });
  await expect(cards).toHaveCount(4);
  for (const [paper, page1] of [
    ["A4", 297],
    ["Letter", 279.4],
  ] as const) {
    await page.emulateMedia({ media: "screen" });
    await page.getByRole("button", { name: paper }).click();
    await page.emulateMedia({ media: "print" });
    const tall = await cards.evaluateAll((all) => all.map((each) => (each.getBoundingClientRect().height * 25.4) / 96));
    for (const each of tall) expect(each).toBeLessThanOrEqual(page1 + 0.1);
  }
});
