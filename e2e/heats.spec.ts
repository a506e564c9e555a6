import { readFileSync } from "node:fs";
import { type Page, expect, test } from "./a-test";
import { fourStones, kept, laid } from "./places";

test("the five ways are compared on this piece, one is taken, and it can be taken back", async ({ page }) => {
  await page.goto("/pieces/tern-ring/heats");
  await page.getByRole("button", { name: "Compare the five ways" }).click();
  const ways = page.getByRole("dialog");
  await expect(ways.getByText("working it out")).toHaveCount(0);
  const row = (name: string) => ways.getByRole("row").filter({ has: page.getByRole("rowheader", { name: new RegExp(`^${name}`) }) });
  await expect(row("Free")).toContainText("4 heats");
  await expect(row("Free")).toContainText("✓ all hold");
  await expect(row("Free")).toContainText("✓ in use");
  await expect(row("One grade")).toContainText(/[a-d] runs [a-d].* again: shield (it|them), or take/);
  await ways.getByRole("button", { name: "Use one grade" }).click();
  await expect(ways).toBeHidden();
  await kept(page);
  await page.reload();
  await page.getByRole("button", { name: "Compare the five ways" }).click();
  await expect(row("One grade")).toContainText("✓ in use");
  await page.keyboard.press("Escape");
  await expect(page.getByRole("heading", { name: "How you work" })).toBeVisible();
});

const joints = (page: Page) => page.getByRole("region", { name: "Measures" });
const heats = (page: Page) => page.getByRole("list", { name: "Heats" });

test("a heat is dragged with what it would do told before it is let go, by mouse and by keys, and one that cannot be stays", async ({
  page,
}) => {
  await page.goto("/pieces/tern-ring/heats");
  const grip = (name: string) => page.getByRole("button", { name: `Move the heat of ${name}` });
  const carry = async (from: string, to: string) => {
    const [a, b] = await Promise.all([grip(from).boundingBox(), grip(to).boundingBox()]);
    await page.mouse.move(a!.x + 4, a!.y + 6);
    await page.mouse.down();
    await page.mouse.move(a!.x - 20, a!.y + 14, { steps: 4 });
    await page.mouse.move(b!.x + 60, b!.y + 20, { steps: 8 });
  };
  await carry("hoop seam", "bezel seam");
  const told = page.getByRole("status", { name: "What it would do" });
  await expect(told).toContainText("Hoop seam before bezel seam");
  await expect(told).toContainText("✓ 4 heats, all hold");
  await page.mouse.up();
  await expect(page.getByRole("list", { name: "Pinned" })).toContainText("hoop seam before bezel seam");
  await expect(heats(page).getByRole("listitem").first()).toContainText("Hoop seam");

  await carry("hoop to plate", "bezel to plate");
  await expect(told).toContainText(/Hoop to plate before bezel to plate.*No order works that way/);
  await page.mouse.up();
  await expect(page.getByRole("list", { name: "Pinned" }).getByRole("listitem")).toHaveCount(1);
  await expect(page.getByText("it stays where it was").first()).toBeVisible();

  await grip("bezel seam").focus();
  await page.keyboard.press("Space");
  await expect(told).toBeVisible();
  await expect(async () => {
    await page.keyboard.press("ArrowLeft");
    await expect(told).toContainText(/Bezel seam before hoop seam.*all hold/, { timeout: 2000 });
  }).toPass();
  await page.keyboard.press("Space");
  await expect(page.getByRole("list", { name: "Pinned" })).toContainText("bezel seam before hoop seam");
  await expect(page.getByRole("list", { name: "Pinned" }).getByRole("listitem")).toHaveCount(1);
  await kept(page);
  await page.reload();
  await expect(page.getByRole("list", { name: "Pinned" })).toContainText("bezel seam before hoop seam");
});

test("how a joint is made is chosen, one is added and one left out; each is named, undone and kept", async ({ page }) => {
  await page.goto("/pieces/tern-ring/heats");
  const menu = async (joint: string, ...names: string[]) => {
    await page.getByRole("button", { name: `More for ${joint}` }).click();
    for (const name of names) await page.getByRole("menuitem", { name }).press("Enter");
  };
  await menu("bezel to plate", "Join by", "fed wire");
  await expect(joints(page)).toContainText("45.5 mm, heat 3, fed wire");
  await expect(heats(page)).toContainText("of 0.5 mm wire fed by hand once it is hot");
  await expect(page.getByRole("region", { name: "Drawing" })).toContainText("Medium is not on the shelf as wire.");
  await menu("hoop to plate", "Join by", "cold");
  await expect(joints(page)).toContainText("Cold, in no heat");
  await expect(heats(page).getByRole("heading")).toHaveCount(3);

  await page.getByRole("button", { name: "Add a joint" }).click();
  const dialog = page.getByRole("dialog");
  await dialog.getByRole("button", { name: "Add it" }).click();
  await expect(dialog.getByRole("alert")).toContainText("Empty: type");
  await dialog.getByLabel("How long it is").fill("4");
  await dialog.getByLabel("How long it is").press("Enter");
  await expect(page.getByRole("list", { name: "Pinned" })).toContainText("added joint: bezel to plate");
  await expect(heats(page)).toContainText("Bezel to plate 2");
  await menu("bezel to plate 1", "Leave it out");
  await expect(page.getByRole("list", { name: "Pinned" })).toContainText("bezel to plate 2 left out");
  await kept(page);
  await page.reload();
  await expect(page.getByRole("list", { name: "Pinned" }).getByRole("listitem")).toHaveCount(3);
  await page.getByRole("button", { name: "Unpin bezel to plate 2 left out" }).click();
  await expect(page.getByRole("list", { name: "Pinned" }).getByRole("listitem")).toHaveCount(2);
});

test("pointing at a joint lights where it is, on the ladder and in the small drawing", async ({ page }) => {
  await page.goto("/pieces/tern-ring/heats");
  await joints(page).getByText("Hoop seam").hover();
  await expect(page.getByRole("img", { name: "Where hoop seam is" })).toBeVisible();
  await page.getByRole("button", { name: "Move bezel to plate to another heat" }).focus();
  await expect(page.getByRole("img", { name: "Where bezel to plate is" })).toBeVisible();
});

test("three pieces share an afternoon: by when, on three lanes, step by step; a maker's own minutes count", async ({ page }) => {
  await page.clock.setFixedTime(new Date("2026-11-26T12:00:00"));
  await page.goto("/");
  await page.getByRole("link", { name: "Day", exact: true }).click();
  for (const name of ["Tern ring", "Knot ring", "Samphire ring"]) {
    await page.getByLabel("Find a piece to add").fill(name.slice(0, 5));
    await page.getByRole("button", { name: `+ ${name}` }).click();
  }
  await page.getByLabel("Start at").fill("13:00");
  await expect(page.getByText("All 3 done by")).toBeVisible();
  const by = page.getByText("All 3 done by").locator("xpath=..").locator("b");
  await expect(page.getByText(/Your own minutes, from your makes, for \d+ of \d+ steps/)).toBeVisible({ timeout: 20_000 });
  const finish = await by.textContent();
  await expect(page.getByRole("img", { name: /^The day: 13:00 / })).toBeVisible();
  await expect(page.getByRole("list", { name: "Pieces" }).getByRole("listitem")).toHaveCount(3);
  await page.goto("/day");
  await expect(by).toHaveText(finish!, { timeout: 20_000 });
  await page.getByLabel("Break at").fill("14:00");
  await page.getByLabel("Stop at").fill("17:00");
  await expect(page.getByText(/of work, go to tomorrow\.$/)).toBeVisible();
  await expect(page.getByText("goes on tomorrow").first()).toBeVisible();
  await page.getByRole("button", { name: "Knot ring: not today" }).click();
  await page.reload();
  await expect(page.getByLabel("Stop at")).toHaveValue("17:00");
  await expect(page.getByRole("region", { name: "Cut before you light the torch" })).toContainText("Samphire ring");
  await expect(page.getByRole("region", { name: "Cut before you light the torch" })).not.toContainText("Knot ring");

  await page.goto("/my-bench");
  await page.getByLabel("solder a heat, hands").fill("60");
  await page.getByLabel("solder a heat, hands").press("Enter");
  await expect(page.getByLabel("solder a heat, hands")).toHaveValue("60");
  await page.goto("/pieces/tern-ring/making");
  await expect(page.getByText("left, done by")).toContainText(/[67] h/);
  await expect(page.getByText("left, done by")).toContainText(
    /○ The usual minutes for \d\d of \d\d steps|○ Your own minutes, from your makes, for \d\d of \d\d steps; the usual minutes for/,
  );
});

test("where no order of heats works no day is told; solder lies on the Rule only while its length can be trusted", async ({ page }) => {
  const tern = JSON.parse(readFileSync("demo/pieces/tern-ring.json", "utf8")) as { heats: object };
  const clash = { ...tern.heats, pins: [{ joint: "hoop.mount.m1", means: "cold" }, { before: ["hoop.mount.m1", "hoop.seam"] }] };
  await page.goto("/");
  await laid(page, { ...tern, id: "clash-ring", name: "Clash ring", heats: clash });
  await page.getByRole("button", { name: /Making/ }).click();
  await expect(page.getByText("◆ The day cannot be planned until an order of heats is found.")).toBeVisible();
  await kept(page);
  await page.goto("/day?pieces=clash-ring,tern-ring");
  await expect(page.getByRole("alert").filter({ hasText: "Clash ring: the day cannot be planned" })).toBeVisible();
  await expect(page.getByText("Done by")).toBeVisible();

  const onRule = page.getByRole("region", { name: "Answer" }).getByText("solder", { exact: true });
  await page.goto("/pieces/tern-ring/wall");
  await expect(onRule).toBeVisible();
  await page.goto("/pieces/tern-ring/stone");
  await page.locator('[data-field="m1.stone.outline.length"]').fill("999");
  await page.getByRole("button", { name: /^Bezel/ }).click();
  await expect(page.getByRole("region", { name: "Answer" })).toContainText("uses a refused entry");
  await expect(onRule).toHaveCount(0);
});

test("a worker that is killed in its search loses nothing: the piece stands, and the next change is worked out", async ({ page }) => {
  await page.goto("/");
  await laid(page, fourStones());
  const stem = page.getByRole("navigation", { name: "Stages" });
  await expect(stem).toContainText("all hold");
  await page.getByRole("button", { name: /Heats/ }).click();
  await page.locator('[data-field="heats.overshoot"]').fill("9");
  for (const worker of page.workers()) await worker.evaluate(() => self.close()).catch(() => undefined);
  await page.locator('[data-field="heats.overshoot"]').fill("12");
  await expect(stem).not.toContainText("looking for the best order");
  await expect(page.getByText(/12 °C of overshoot takes hard/).first()).toBeVisible();
  await page.getByRole("button", { name: "Compare the five ways" }).click();
  for (const worker of page.workers()) await worker.evaluate(() => self.close()).catch(() => undefined);
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Compare the five ways" }).click();
  await expect(page.getByRole("dialog").getByText("working it out")).toHaveCount(0);
  await page.keyboard.press("Escape");
  await kept(page);
  await page.reload();
  await expect(page.locator('[data-field="heats.overshoot"]')).toHaveValue("12");
});

test("shelves go out as a table, are edited there and come back; a line that cannot be read is told, and nothing is changed by it", async ({
  page,
}) => {
  await page.goto("/my-bench");
  const [download] = await Promise.all([page.waitForEvent("download"), page.getByRole("button", { name: "Save as a table" }).click()]);
  const table = readFileSync(await download.path(), "utf8");
  expect(table).toContain("typical,hard,1,740,787,sheet 0.25");
  const opened = page.getByLabel("Open a table");
  const edited = table.replace("typical,hard,1,740,787,sheet 0.25", 'Marram hard,Hard,1,735,780,"sheet 0.3, wire 0.5"');
  await opened.setInputFiles({ name: "shelves.csv", mimeType: "text/csv", buffer: Buffer.from(edited) });
  const shelf = page.getByRole("region", { name: "Shelf marram-hard" });
  await shelf.getByText("Marram hard", { exact: true }).click();
  await expect(shelf.getByLabel("hard of marram-hard in stock")).toHaveValue("sheet 0.3, wire 0.5");
  await opened.setInputFiles({ name: "wrong.csv", mimeType: "text/csv", buffer: Buffer.from(table.replace("787", "hot")) });
  await expect(page.getByRole("alert").filter({ hasText: "wrong.csv, line 2" })).toContainText(
    'the entry under "runs at C" cannot be read: "hot"',
  );
  await expect(shelf).toBeVisible();
  const typical = page.getByRole("region", { name: "Shelf typical" });
  await typical.getByText("Typical", { exact: true }).click();
  for (const name of ["Remove medium of typical", "Remove fine silver 0.32"])
    await page.getByRole("button", { name }).evaluate((button: HTMLElement) => [1, 2].forEach(() => button.click()));
  await expect(page.getByRole("button", { name: "Remove fine silver 0.32" })).toBeHidden();
  await page.reload();
  await expect(page.getByRole("button", { name: "Remove fine silver 0.4" })).toBeVisible();
  await typical.getByText("Typical", { exact: true }).click();
  await expect(typical.getByRole("button", { name: /^Remove/ })).toHaveCount(2);
  await shelf.getByText("Marram hard", { exact: true }).click();
  await expect(shelf.getByLabel("hard of marram-hard runs at")).toHaveValue("780");
});
