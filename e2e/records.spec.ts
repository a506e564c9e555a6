import { readFile } from "node:fs/promises";
import { type Page, devices, expect, test } from "./a-test";
import { DEMO } from "./places";

const record = (page: Page) => page.getByRole("dialog");
/** What a column of the ledger's table says of a making. */
const row = (page: Page, name: RegExp) =>
  page.getByRole("table", { name: "Makings", includeHidden: true }).getByRole("row", { name, includeHidden: true });
const TERN = /Tern ring/;

async function openRecord(page: Page, address = ""): Promise<void> {
  await page.goto(`${address}/ledger`);
  // Rows move as older makes are read: all of them are there once they are counted.
  await expect(page.getByText(/(^|, )\d+ makes?, /)).toBeVisible();
  await row(page, TERN).first().getByRole("button", { name: "Tern ring" }).click();
  await expect(record(page)).toBeVisible();
}

/** Types in a field of the record and leaves it. */
async function correct(page: Page, label: string, text: string): Promise<void> {
  await record(page).getByLabel(label, { exact: true }).fill(text);
  await record(page).getByLabel(label, { exact: true }).blur();
}

test("a make is corrected by keys: the ledger's figure follows at once, what it was stays in the record, and one press undoes it", async ({
  page,
}) => {
  await openRecord(page);
  const lost = row(page, TERN).first().getByRole("cell", { includeHidden: true }).nth(10);
  const before = await lost.textContent();
  await record(page).getByRole("button", { name: "Correct the record" }).click();
  const cut = record(page).getByLabel("Cut blank of the hoop", { exact: true });
  const was = await cut.inputValue();
  await correct(page, "Cut blank of the hoop", "so");
  await expect(record(page)).toContainText('"so" is not a measure');
  await correct(page, "Cut blank of the hoop", (Number(was) + 0.5).toFixed(2));
  await expect(record(page)).toContainText(`was ${was}`);
  await expect(lost).toHaveText((Number(before) + 0.5).toFixed(2));
  await correct(page, "Minutes at the bench", "95");
  await correct(page, "Size reached", "54.5");
  await correct(page, "Note for next time", "thinner strip");
  await page.reload();
  await openRecord(page);
  await expect(record(page)).toContainText("came to 54.5; 95 minutes");
  await expect(record(page)).toContainText("thinner strip");
  await expect(record(page)).toContainText(`was ${was} mm before it was corrected`);
  const saved = page.waitForEvent("download");
  await record(page).getByRole("button", { name: "Save file" }).click();
  const file = JSON.parse(await readFile(await (await saved).path(), "utf8")) as {
    measured: { was?: object[] }[];
    result: { was: object[] };
  };
  expect(file.measured.filter((each) => each.was !== undefined)).toHaveLength(1);
  expect(file.result.was).toHaveLength(3);
  await record(page).getByRole("button", { name: "Correct the record" }).click();
  await correct(page, "Minutes at the bench", "120");
  await page.getByRole("listitem").filter({ hasText: "Corrected: the minutes" }).getByRole("button", { name: "Undo" }).click();
  await expect(record(page).getByLabel("Minutes at the bench", { exact: true })).toHaveValue("95");
  await correct(page, "Minutes at the bench", "100");
  await correct(page, "Size reached", "54");
  const notice = page.getByRole("listitem").filter({ hasText: "Corrected: the minutes" });
  await notice.last().getByRole("button", { name: "Undo" }).click();
  await expect(page.getByText("Not undone: this record was corrected again since.", { exact: false }).first()).toBeVisible();
  await expect(record(page).getByLabel("Minutes at the bench", { exact: true })).toHaveValue("100");
});

test("dates are corrected, never to an end before the beginning", async ({ page }) => {
  await openRecord(page);
  await record(page).getByRole("button", { name: "Correct the record" }).click();
  const begun = record(page).getByLabel("Begun", { exact: true });
  await begun.fill("2030-01-01T09:00");
  await begun.press("Enter");
  await expect(record(page)).toContainText("It must begin before it is finished. The record stays as it was.");
  await begun.fill("2024-02-03T09:00");
  await begun.press("Enter");
  await expect(record(page)).toContainText("3 February 2024");
});

test("three makes stand side by side with what differs marked; a fourth is refused; on a phone they are chosen from the record", async ({
  page,
  browser,
}) => {
  await page.goto("/ledger");
  const boxes = page.getByRole("checkbox", { name: /^Compare / });
  for (const i of [0, 1, 2]) await boxes.nth(i).check();
  await boxes.nth(3).click();
  await expect(page.getByText("3 makes at most stand side by side: remove one first.", { exact: true })).toBeVisible();
  await page.getByRole("region", { name: "Side by side" }).getByRole("button", { name: "Compare" }).click();
  const side = page.getByRole("table", { name: "Makes side by side" });
  await expect(side.getByRole("columnheader")).toHaveCount(4);
  await expect(side.getByRole("row", { name: /^Begun ?, differs/ })).toBeVisible();
  await expect(
    side
      .getByRole("row", { name: /Hoop length lost/ })
      .getByRole("cell")
      .nth(1),
  ).toContainText(" mm");
  await expect(side.getByRole("rowgroup", { name: "Planned otherwise" })).toContainText("◆");
  const phone = await (await browser.newContext({ ...devices["Pixel 5"], viewport: { width: 390, height: 844 } })).newPage();
  await phone.goto(`${DEMO}/ledger`);
  for (const i of [0, 1]) {
    await row(phone, /ring|pendant|earrings/i)
      .nth(i)
      .getByRole("button")
      .first()
      .tap();
    await record(phone).getByRole("button", { name: "Compare" }).tap();
  }
  await phone.getByRole("region", { name: "Side by side" }).getByRole("button", { name: "Compare" }).tap();
  await expect(phone.getByRole("table", { name: "Makes side by side" }).getByRole("columnheader")).toHaveCount(3);
  expect(await phone.evaluate(() => document.documentElement.scrollWidth <= innerWidth)).toBe(true);
});

test("a restore shows what is newer here, newer there and only there, takes what is chosen, and is undone in one step", async ({
  page,
}) => {
  await page.goto("/");
  const waiting = page.waitForEvent("download");
  await page.getByRole("button", { name: "Save everything" }).click();
  const saved = JSON.parse(await readFile(await (await waiting).path(), "utf8")) as {
    pieces: { id: string; name: string; notes?: string }[];
    makes: { id: string; notes: string }[];
    changed: { pieces: Record<string, string> };
  };
  const [first, second, third] = saved.pieces as [{ id: string; name: string }, { id: string; name: string }, { id: string; name: string }];
  const name = first.name;
  Object.assign(first, { name: "Older name" });
  saved.changed.pieces[first.id] = "2020-01-01T00:00:00.000Z";
  Object.assign(second, { name: "Newer name" });
  saved.changed.pieces[second.id] = "2099-01-01T00:00:00.000Z";
  Object.assign(third, { name: "Nobody knows" });
  delete saved.changed.pieces[third.id];
  saved.pieces.push({ ...third, id: "only-there", name: "Only there" });
  saved.makes[0]!.notes = "said elsewhere";
  await page
    .locator('input[type="file"]')
    .setInputFiles({ name: "all.json", mimeType: "application/json", buffer: Buffer.from(JSON.stringify(saved)) });
  const dialog = page.getByRole("dialog");
  const list = (of: string) => dialog.getByRole("region", { name: of, exact: true });
  await expect(list("Newer here")).toContainText("Older name");
  await expect(list("Newer in the file")).toContainText("Newer name");
  await expect(list("Newer in the file")).toContainText("Make of");
  await expect(list("Different, not known which is newer")).toContainText("Nobody knows");
  await expect(list("Only in the file")).toContainText("Only there");
  await expect(list("The same")).toContainText("and ");
  await list("Different, not known which is newer").getByRole("combobox").selectOption({ label: "Keep both" });
  await dialog.getByRole("button", { name: "Restore", exact: true }).click();
  await expect(page.getByText("Restored: 3 pieces and 1 make", { exact: true })).toBeVisible();
  const stones = page.getByRole("group", { name: "The stones on the tray" });
  for (const there of [name, "Newer name", "Nobody knows", "Only there"])
    await expect(stones.getByRole("button", { name: new RegExp(`^${there}`) }).first()).toBeVisible();
  await expect(stones.getByRole("button", { name: "Older name" })).toBeHidden();
  await page.getByRole("button", { name: "Undo", exact: true }).click();
  await expect(page.getByText("Undone: everything is as it was before", { exact: true })).toBeVisible();
  await expect(stones.getByRole("button", { name: "Only there" })).toBeHidden();
  await expect(stones.getByRole("button", { name: "Newer name" })).toBeHidden();
});
