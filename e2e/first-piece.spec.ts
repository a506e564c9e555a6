import { expect, test } from "./a-test";
import { DEMO_ROWS, EMPTY, field, figure, kept } from "./places";

test("a first piece from nothing, by keyboard alone, to the card", async ({ page }) => {
  await page.goto(`${EMPTY}day`);
  await expect(page.getByText("There are no pieces yet")).toBeVisible();
  await page.goto(EMPTY);
  await expect(page.getByRole("heading", { name: "Start with your stone" })).toBeVisible();
  for (const text of ["16", "12", "5,2", "1.9"]) {
    await page.keyboard.type(text);
    if (text === "12") await expect(page.getByRole("region", { name: "Bezel and plate" })).toContainText("46.05 × – mm");
    if (text !== "1.9") await page.keyboard.press("Enter");
  }
  await expect(page.getByRole("region", { name: "Bezel and plate" })).toContainText("46.05 × 3.20 mm");
  await expect(page.getByRole("region", { name: "Hoop" })).toContainText("asked for next");
  await page.keyboard.press("Enter");

  await expect(page).toHaveURL(/\/pieces\/first-ring\/stone$/);
  await expect(figure(page, "m1.outline.perimeter")).toContainText("44.21");
  await page.keyboard.press("]");
  await expect(figure(page, "m1.wall.cutLength")).toContainText("46.05");
  await page.keyboard.press("]");
  await expect(figure(page, "m1.plate.blankLength")).toContainText("18.7");
  await page.keyboard.press("]");
  const guesses = page.getByText("not measured yet");
  await expect(page.getByRole("region", { name: "Answer" })).toContainText("not measured yet");
  await expect(page.getByRole("button", { name: "Hoop not measured yet" })).toBeVisible();
  await expect(page.getByRole("button", { name: /Bezel strip 46.05/ })).toBeVisible();
  await page.goto(`${EMPTY}pieces/first-ring/card`);
  const unsized = page.getByRole("article");
  await expect(unsized).toContainText("46.05 mm long, slit to 3.20 mm tall");
  await expect(unsized).toContainText("EU ______, inside ______ mm");
  await expect(unsized).toContainText("Cut the hoop's blank ______ mm long");
  await expect(unsized).not.toContainText("59.1");
  await page.goto(`${EMPTY}pieces/first-ring/hoop`);
  await expect(figure(page, "hoop.cutLength")).toBeVisible();
  while ((await page.evaluate(() => document.activeElement?.getAttribute("data-field"))) !== "hoop.size.value")
    await page.keyboard.press("Tab");
  await page.keyboard.type("54");
  await page.keyboard.press("Enter");
  await expect(guesses).toHaveCount(0);
  await expect(figure(page, "hoop.cutLength")).toContainText("59.1");
  await page.evaluate(() => (document.activeElement as HTMLElement).blur());
  await page.keyboard.press("]");
  await expect(page.getByRole("img", { name: /Every joint holds/ })).toBeVisible();
  await page.keyboard.press("]");
  await expect(page.getByRole("checkbox")).toHaveCount(41);
  const first = page.getByRole("checkbox").first();
  while (!(await first.evaluate((box) => box === document.activeElement))) await page.keyboard.press("Tab");
  await page.keyboard.press("Space");
  await expect(page.getByRole("button", { name: /Making 1 of 41 steps/ })).toBeVisible();

  await page.keyboard.press("/");
  await expect(page.getByPlaceholder(/^A piece/)).toBeFocused();
  await page.keyboard.type("cut blank");
  await expect(page.getByRole("option", { name: /Cut blank of the hoop/ })).toContainText("59.1 mm");
  await page.keyboard.press("Escape");
  const card = page.getByRole("link", { name: "Card" });
  while (!(await card.evaluate((link) => link === document.activeElement))) await page.keyboard.press("Shift+Tab");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("article")).toContainText("16.00 × 12.00 mm, 44.21 perimeter, 5.20 tall, leans in at 1.90");
  await page.goto(`${EMPTY}pieces/first-ring/making`);
  await expect(page.getByRole("checkbox").first()).toBeChecked();
});

test("four numbers that cannot be a stone are explained, and the demo can be laid out instead and cleared away", async ({ page }) => {
  await page.goto(EMPTY);
  const start = page.getByRole("region", { name: "Start" });
  for (const [label, text] of [
    ["Length", "16"],
    ["Width", "12"],
    ["Height", "5"],
    ["Leans in at", "6"],
  ] as const)
    await start.getByRole("textbox", { name: label }).fill(text);
  await expect(start).toContainText("Leans in at must be less than the stone's height, 5, got 6");
  await start.getByLabel("Width").fill("twelve");
  await expect(start).toContainText("type a number");
  await page.getByRole("button", { name: "See the demo pieces" }).click();
  await expect(page.getByRole("table")).toHaveAttribute("aria-rowcount", String(DEMO_ROWS));
  const names = ["Tern ring", "Limpet pendant", "Dunlin earrings", "Plover ring", "Whelk ring"];
  for (const [i, name] of names.entries()) await expect(page.getByRole("table").getByRole("button").nth(i)).toHaveText(new RegExp(name));
  await page.getByRole("button", { name: "Remove the demo pieces" }).click();
  await expect(page.getByRole("heading", { name: "Start with your stone" })).toBeVisible();
  await page.reload();
  await expect(page.getByRole("region", { name: "Deleted" })).toContainText("Tern ring");
});

test("a new piece starts valid and says what is not measured yet; single keys rest while a field has the focus", async ({ page }) => {
  await page.goto(EMPTY);
  await page.getByRole("heading", { name: "Start with your stone" }).click();
  await page.evaluate(() => (document.activeElement as HTMLElement).blur());
  await page.keyboard.press("n");
  await page.getByRole("button", { name: /^Ring/ }).press("Enter");
  await expect(page).toHaveURL(/new-ring\/stone/);
  const guessed = page.getByRole("region", { name: "Measures" }).getByText("not measured yet");
  await expect(guessed).toHaveCount(4);
  for (const stage of ["Stone", "Bezel", "Plate", "Hoop"])
    await expect(page.getByRole("button", { name: `${stage} not measured yet` })).toBeVisible();
  await field(page, "m1.stone.outline.length").fill("18");
  await field(page, "m1.stone.outline.length").press("Enter");
  await expect(guessed).toHaveCount(3);
  await page.getByRole("button", { name: /Undo/ }).click();
  await expect(guessed).toHaveCount(4);
  await page.getByRole("button", { name: /Redo/ }).click();
  await expect(guessed).toHaveCount(3);
  await field(page, "m1.stone.material.name").fill("");
  await field(page, "m1.stone.material.name").pressSequentially("n/a [?]");
  await expect(page).toHaveURL(/new-ring\/stone/);
  await kept(page);
  await page.evaluate(() => (document.activeElement as HTMLElement).blur());
  await page.keyboard.press("?");
  await expect(page.getByRole("dialog", { name: "Keys" })).toContainText("next stage");
  await page.getByLabel("Use single keys (outside fields)").uncheck();
  await page.keyboard.press("Escape");
  await page.keyboard.press("]");
  await expect(page).toHaveURL(/new-ring\/stone/);
});
