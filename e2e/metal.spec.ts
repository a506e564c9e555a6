import { readFileSync } from "node:fs";
import { type Page, devices, expect, test } from "./a-test";
import { TERN, heading, onTo, reading } from "./bench";

const FOUR = "/metal?pieces=tern-ring,limpet-pendant,dunlin-earrings,redshank-ring";

const drawer = (page: Page) => page.getByRole("complementary");
const laid = (page: Page) =>
  expect(page.getByText("Looking for better ones…").or(page.getByText("Laying the cuts…"))).toBeHidden({ timeout: 20_000 });

test("four pieces are laid on the drawer, a way is chosen, a blank lights its piece, and what is missing is to order", async ({ page }) => {
  await page.goto(FOUR);
  await expect(page.getByRole("button", { name: "These are cut" })).toBeVisible({ timeout: 20_000 });
  await laid(page);
  const drawing = page.getByRole("group", { name: "The drawer with its cuts, all to one scale" });
  await expect(drawing.getByRole("button", { name: "Tern ring, 59.1 mm" })).toBeVisible();
  await expect(drawing.getByRole("button", { name: "Dunlin earrings, 13.7 × 14.3 mm" })).toHaveCount(2);
  await expect(drawer(page).getByText("D, low dome wire 3.40 × 1.80 mm, sterling: 1 of 300.00 mm, 14.94 g")).toBeVisible();
  await expect(drawer(page).getByText("under its least").first()).toBeVisible();
  await expect(page.locator("footer").getByText(/cost not known: no price of sterling/)).toBeVisible();
  await page.getByRole("radio", { name: "short ends first, long lengths stay long" }).check();
  await expect(page.getByRole("row", { name: /short ends first/ })).toContainText(/\d\.\d\d g/);
  await drawing.getByRole("button", { name: "Tern ring, 18.7 × 14.7 mm" }).focus();
  await expect(drawing.locator(".lit-line")).toHaveCount(3);
  await page.getByRole("region", { name: "Pieces to cut for" }).getByRole("listitem").filter({ hasText: "Redshank ring" }).hover();
  await expect(drawing.locator("[aria-label^=Redshank] .lit-line")).toHaveCount(5);
  const download = page.waitForEvent("download");
  await page.getByRole("button", { name: "Print the cuts" }).press("Enter");
  expect((await download).suggestedFilename()).toBe("cuts.pdf");
  await page.getByRole("button", { name: "Redshank ring: do not cut for it now" }).click();
  await expect(drawer(page).getByText(/D, low dome wire/)).toBeHidden({ timeout: 20_000 });
  await expect(page).toHaveURL(/pieces=tern-ring,limpet-pendant,dunlin-earrings$/);
});

test("a blank is dragged, turned and pinned, the rest is laid round it; over a reload, until it is let go", async ({ page }) => {
  await page.setViewportSize({ width: 1280, height: 1200 });
  await page.goto(FOUR);
  await laid(page);
  const drawing = page.getByRole("group", { name: "The drawer with its cuts, all to one scale" });
  const plate = drawing.getByRole("button", { name: "Tern ring, 18.7 × 14.7 mm" });
  const middle = async () => {
    const { x, y, width, height } = (await plate.boundingBox())!;
    return [x + width / 2, y + height / 2] as const;
  };
  const before = await middle();
  await expect(plate).toHaveAttribute("aria-pressed", "false");
  await page.mouse.move(...before);
  await page.mouse.down();
  await page.mouse.move(before[0] + 120, before[1] - 8, { steps: 6 });
  await page.mouse.up();
  await expect(plate).toHaveAttribute("aria-pressed", "true");
  const dropped = await middle();
  expect(Math.abs(dropped[0] - before[0] - 120)).toBeLessThan(2);
  expect(Math.abs(dropped[1] - before[1] + 8)).toBeLessThan(2);
  await laid(page);
  await plate.press("ArrowLeft");
  await expect.poll(async () => Math.round((await middle())[0] - dropped[0])).toBeLessThan(-2);
  await laid(page);
  const upright = (await plate.boundingBox())!;
  for (let i = 1; i <= 6; i++) {
    await plate.press("r");
    await laid(page);
  }
  const turned = (await plate.boundingBox())!;
  expect(Math.abs(turned.width - upright.height)).toBeLessThan(3);
  await expect(plate).toBeFocused();
  const bezel = drawing.getByRole("button", { name: "Tern ring, 46.05 mm" });
  const row = (await bezel.boundingBox())!.y;
  await bezel.focus();
  await bezel.press("ArrowDown");
  await expect.poll(async () => Math.abs((await bezel.boundingBox())!.y - row)).toBeGreaterThan(20);
  await expect(bezel).toHaveAttribute("aria-pressed", "true");
  await laid(page);
  const lying = (await bezel.boundingBox())!;
  await page.mouse.move(lying.x + 9, lying.y + 9);
  await page.mouse.down();
  await page.mouse.move(turned.x, turned.y, { steps: 5 });
  await page.mouse.up();
  await expect(page.getByText("It cannot be cut from that: it has another form.").first()).toBeVisible();
  const pinnedRow = (await bezel.boundingBox())!.y;
  await page.reload();
  await laid(page);
  await expect(bezel).toHaveAttribute("aria-pressed", "true");
  await expect(plate).toHaveAttribute("aria-pressed", "true");
  expect(Math.abs((await bezel.boundingBox())!.y - pinnedRow)).toBeLessThan(3);
  await bezel.press("p");
  await expect(bezel).toHaveAttribute("aria-pressed", "false");
  const bar = page.getByRole("region", { name: "The chosen blank" });
  await expect(bar).toContainText("Tern ring, 46.05 mm");
  await bar.getByRole("button", { name: "Unpin all (1)" }).click();
  await expect(plate).toHaveAttribute("aria-pressed", "false");
  await page.getByRole("button", { name: "Pin them again" }).click();
  await expect(plate).toHaveAttribute("aria-pressed", "true");
});

test("what is pinned and cut in one window is so in the other, which puts it back", async ({ page, context }) => {
  await page.goto("/metal?pieces=tern-ring");
  await laid(page);
  const other = await context.newPage();
  await other.goto("/metal?pieces=tern-ring");
  await laid(other);
  const bezel = (of: Page) => of.getByRole("button", { name: "Tern ring, 46.05 mm" });
  await bezel(page).press("p");
  await expect(bezel(other)).toHaveAttribute("aria-pressed", "true");
  await bezel(other).press("p");
  await expect(bezel(page)).toHaveAttribute("aria-pressed", "false");
  await laid(page);
  await page.getByRole("button", { name: "These are cut" }).click();
  await expect(drawer(page).getByRole("button", { name: /^Put back what was cut / })).toHaveCount(1);
  await expect(drawer(other).getByRole("button", { name: /^Put back what was cut / })).toHaveCount(1);
  const gone = drawer(other).getByText("sterling, 96.00 mm");
  await expect(gone).toBeHidden();
  await drawer(other)
    .getByRole("button", { name: /^Put back what was cut / })
    .click();
  await expect(gone).toBeVisible();
  await expect(drawer(page).getByText("sterling, 96.00 mm")).toBeVisible();
  await expect(drawer(page).getByRole("button", { name: /^Put back what was cut / })).toHaveCount(0);
});

test("metal is added by hand, wrong sizes are told; what is cut leaves the drawer, over a reload, and is put back", async ({ page }) => {
  await page.goto("/metal?pieces=tern-ring");
  await laid(page);
  await page.getByRole("button", { name: "+ Metal" }).click();
  const dialog = page.getByRole("dialog", { name: "Metal for the drawer" });
  await dialog.getByRole("combobox", { name: "Form" }).selectOption("Wire");
  await dialog.getByRole("combobox", { name: "Section" }).selectOption("Half-round");
  await dialog.getByRole("textbox", { name: "Width" }).fill("3");
  await dialog.getByRole("textbox", { name: "Thickness" }).fill("wide");
  await dialog.getByRole("button", { name: "Add" }).click();
  await expect(dialog.getByRole("alert")).toContainText("Thickness: type a length over 0");
  await dialog.getByRole("textbox", { name: "Thickness" }).fill("1.6");
  await dialog.getByRole("textbox", { name: "Length" }).fill("59.5");
  await dialog.getByRole("textbox", { name: "Length" }).press("Enter");
  await dialog.getByRole("combobox", { name: "Form" }).selectOption("Sheet");
  await dialog.getByRole("textbox", { name: "Thickness" }).fill("0.6");
  const corners = dialog.getByRole("textbox", { name: "Corners, where it is no rectangle" });
  await corners.fill("0 0\n60 0\n60 20\n25 20\n25 45\n0 45\n\nround 12, 40 30");
  await dialog.getByRole("button", { name: "Add" }).click();
  await expect(dialog.getByRole("alert")).toContainText("Corners of hole 1: it lies outside the sheet");
  await corners.fill("0 0\n60 0\n60 20\n25 20\n25 45\n0 45\n\nround 12, 12 30");
  await expect(dialog.getByRole("img", { name: "60.00 × 45.00 mm, with 1 hole" })).toBeVisible();
  await dialog.getByRole("button", { name: "Add" }).click();
  await expect(corners).toHaveValue("");
  await dialog.getByRole("button", { name: "Done" }).click();
  await expect(drawer(page).getByText("sterling, 60.00 × 45.00 mm")).toBeVisible();
  await page.getByRole("radio", { name: "short ends first, long lengths stay long" }).check();
  await expect(drawer(page).getByRole("listitem").filter({ hasText: "sterling, 59.50 mm" })).toContainText("used up", { timeout: 20_000 });
  await laid(page);
  await page.getByRole("button", { name: "These are cut" }).press("Enter");
  await expect(page.getByText("Taken from the drawer: useful ends lie there, the rest is scrap", { exact: true })).toBeVisible();
  await expect(drawer(page).getByText("sterling, 59.50 mm")).toBeHidden();
  await page.getByRole("button", { name: "Put them back" }).click();
  await expect(drawer(page).getByText("sterling, 59.50 mm")).toBeVisible();
  await laid(page);
  await page.getByRole("button", { name: "These are cut" }).click();
  await expect(drawer(page).getByText("sterling, 59.50 mm")).toBeHidden();
  await page.reload();
  await expect(drawer(page).getByText("fine silver, 84.00 mm")).toBeVisible();
  await expect(drawer(page).getByText("sterling, 59.50 mm")).toBeHidden();
  const again = drawer(page).getByRole("button", { name: /^Put back what was cut / });
  await expect(again).toHaveCount(1);
  await again.press("Enter");
  await expect(page.getByText("The drawer is as it was before that cut", { exact: true })).toBeVisible();
  await expect(drawer(page).getByText("sterling, 59.50 mm")).toBeVisible();
  await expect(again).toHaveCount(0);
});

test("what lies in the drawer is changed, and its length given by its weight, over a reload", async ({ page }) => {
  await page.goto("/metal?pieces=tern-ring");
  await laid(page);
  const line = drawer(page).getByRole("listitem").filter({ hasText: "fine silver, 84.00 mm" });
  await line.getByRole("button", { name: /^Change / }).press("Enter");
  const dialog = page.getByRole("dialog", { name: "Change what lies there" });
  await expect(dialog.getByRole("textbox", { name: "Length" })).toHaveValue("84.00");
  await dialog.getByRole("button", { name: "Read the scale" }).click();
  await expect(dialog.getByText(/g of it is .* mm long/)).toBeVisible();
  await dialog.getByRole("textbox", { name: "By its weight" }).fill("0.5");
  await expect(dialog.getByText("0.5 g of it is")).toBeVisible();
  await dialog.getByRole("button", { name: "Use this length" }).click();
  const length = await dialog.getByRole("textbox", { name: "Length" }).inputValue();
  expect(length).not.toBe("84.00");
  await dialog.getByRole("textbox", { name: "Keep at least" }).fill("500");
  await dialog.getByRole("button", { name: "Save" }).click();
  await expect(dialog).toBeHidden();
  await expect(drawer(page).getByText(`fine silver, ${length} mm`)).toBeVisible();
  await page.reload();
  const now = drawer(page)
    .getByRole("listitem")
    .filter({ hasText: `fine silver, ${length} mm` });
  await expect(now.getByText("under its least")).toBeVisible();
});

test("prices are typed, a wrong one is told, made-up ones say so; a table is added and saved", async ({ page }) => {
  await page.goto("/metal?pieces=tern-ring");
  await laid(page);
  const price = (name: string) => drawer(page).getByRole("textbox", { name });
  await price("Currency").fill("euros");
  await price("Currency").press("Enter");
  await expect(drawer(page).getByRole("alert").filter({ hasText: "three letters" })).toBeVisible();
  await price("Currency").fill("eur");
  await price("Currency").press("Enter");
  await price("A gram: Sterling").fill("1,5");
  await price("A gram: Sterling").press("Enter");
  await expect(
    page.getByText(/\d\.\d\d EUR, without fine silver, solder, stones, hours; if metal were a tenth dearer, \d\.\d\d EUR more/),
  ).toBeVisible();
  await drawer(page).getByText("Tern ring", { exact: true }).click();
  await expect(drawer(page).getByText(/^\d\.\d\d g sterling at 1\.50 EUR$/)).toBeVisible();
  await page.reload();
  await expect(price("A gram: Sterling")).toHaveValue("1.5", { timeout: 20_000 });
  await page.getByRole("button", { name: "Stand-in prices" }).press("Enter");
  await expect(page.getByText(/from a stand-in: it makes them up/)).toBeVisible();
  await expect(page.locator("footer").getByText(/by made-up prices of a stand-in/)).toBeVisible();
  await price("An hour").fill("30");
  await price("An hour").press("Enter");
  await expect(page.getByText(/from a stand-in/)).toBeHidden();
  await expect(price("A gram: Sterling")).toHaveValue("");
  const table = page.locator('input[aria-label="Add from a table"]');
  const give = (text: string) => table.setInputFiles({ name: "drawer.csv", mimeType: "text/csv", buffer: Buffer.from(text) });
  await give("form,metal,width,thickness,length\nstrip,tin,3,0.3,100\n");
  await expect(drawer(page).getByRole("alert").filter({ hasText: 'Line 2, metal: "tin" cannot be read' })).toBeVisible();
  await give("form,metal,width,thickness,length,note\nstrip,copper,3,0.3,101,from the shed\n");
  await expect(drawer(page).getByText("copper, 101.00 mm, from the shed")).toBeVisible();
  const download = page.waitForEvent("download");
  await page.getByRole("button", { name: "Save as a table" }).click();
  expect((await download).suggestedFilename()).toBe("drawer.csv");
});

test("with nothing to cut for, the drawer is drawn as it lies, and prices can be given", async ({ page }) => {
  await page.goto("/metal?pieces=");
  await expect(page.getByText("Choose the pieces to cut for")).toBeVisible();
  const drawing = page.getByRole("group", { name: "The drawer with its cuts, all to one scale" });
  await expect(drawing.getByText("not touched").first()).toBeVisible({ timeout: 20_000 });
  await expect(page.getByRole("button", { name: "These are cut" })).toHaveCount(0);
  await expect(page.getByText("Drag a blank to another place")).toBeHidden();
  await drawer(page).getByRole("textbox", { name: "Currency" }).fill("eur");
  await drawer(page).getByRole("textbox", { name: "Currency" }).press("Enter");
  await expect(drawer(page).getByRole("textbox", { name: "An hour" })).toBeVisible();
  await page.getByRole("button", { name: "+ Tern ring" }).click();
  await expect(drawing.getByRole("button", { name: "Tern ring, 59.1 mm" })).toBeVisible({ timeout: 20_000 });
});

test("what a piece costs stands on its page, as often as it is made, and in the ledger as planned and as made", async ({ page }) => {
  await page.goto("/pieces/tern-ring/making");
  await expect(page.getByText("not known: no price of fine silver, sterling, solder, stones, hours")).toBeVisible({ timeout: 20_000 });
  await page.goto("/metal?pieces=tern-ring");
  const price = (name: string) => drawer(page).getByRole("textbox", { name });
  for (const [name, value] of [
    ["Currency", "eur"],
    ["A gram: Sterling", "2"],
    ["An hour", "30"],
  ] as const) {
    await price(name).fill(value);
    await laid(page);
    // the cuts are laid anew after each price: what is typed meanwhile stays
    await expect(price(name)).toHaveValue(value);
    await price(name).press("Enter");
  }
  await page.goto("/pieces/tern-ring/making");
  const costs = page.getByRole("region", { name: "Steps", exact: true });
  const told = /Costs (\d+\.\d\d EUR, without fine silver, solder, stones)(?!,)/;
  await expect(costs).toContainText(told, { timeout: 20_000 });
  // from here on it goes by the maker's own minutes, on every page
  await expect(page.getByText("Based on the usual minutes")).toBeHidden({ timeout: 20_000 });
  await expect(costs).toContainText(told, { timeout: 20_000 });
  const cost = told.exec(await costs.innerText())![1]!;
  await page.goto("/metal?pieces=tern-ring");
  await expect(page.locator("footer").getByText(`cost ${cost}`)).toBeVisible({ timeout: 20_000 });
  await page.goto("/pieces/tern-ring/making");
  await expect(costs).toContainText(told, { timeout: 20_000 });
  // at once: what is opened while its plan still comes stays open
  await costs.getByText("Costs", { exact: true }).click();
  await expect(costs.getByText(/^\d\.\d\d h hours at 30\.00 EUR$/)).toBeVisible();
  const count = costs.getByRole("textbox", { name: "To make next" });
  await count.fill("2");
  await count.press("Enter");
  await expect(costs.getByText("2 of it cost", { exact: true })).toBeVisible();
  await page.goto("/ledger");
  await page.getByRole("searchbox").fill("rounded up");
  await page.getByRole("button", { name: "Tern ring" }).click();
  const both = page.getByRole("dialog").getByRole("region", { name: "What it costs" });
  await both.getByText("As planned", { exact: true }).click();
  await both.getByText("As made", { exact: true }).click();
  await expect(both.getByText(/^\d\.\d\d h hours at 30\.00 EUR$/)).toHaveCount(2);
  await expect(both.getByText("4.78 h hours at 30.00 EUR")).toBeVisible();
});

test("at the bench what a step cuts is taken from the drawer, over a reload, and put back", async ({ page }) => {
  await page.goto(TERN);
  await onTo(page, /^Cut the strip 46\.05/);
  await expect(page.getByText("In the drawer: Strip 3.20 × 0.32, fine silver, 90.00 mm.")).toBeVisible({ timeout: 20_000 });
  await page.getByRole("button", { name: "Take it from the drawer" }).press("Enter");
  await expect(page.getByText(/^Taken from the drawer at \d\d:\d\d$/)).toBeVisible();
  await onTo(page, /^Cut the plate's blank/);
  await expect(page.getByText("In the drawer: Sheet 0.60, sterling, 58.00 × 40.00 mm.")).toBeVisible({ timeout: 20_000 });
  await page.goto("/metal?pieces=tern-ring");
  await expect(drawer(page).getByText("fine silver, 43.93 mm")).toBeVisible();
  await expect(drawer(page).getByText("fine silver, 90.00 mm")).toBeHidden();
  await page.goto(TERN);
  for (let i = 0; i < 20 && !/^Cut the strip/.test((await heading(page).textContent()) ?? ""); i++) await page.keyboard.press("b");
  await page.getByRole("button", { name: "Put it back" }).click();
  await expect(page.getByText("In the drawer: Strip 3.20 × 0.32, fine silver, 90.00 mm.")).toBeVisible({ timeout: 20_000 });
  await reading(page, "What you cut").fill("46.5");
  await reading(page, "What you cut").press("Enter");
  await expect(page.getByText("In the drawer: Strip 3.20 × 0.32, fine silver, 90.00 mm; 46.50 mm of it, as read.")).toBeVisible();
  await page.getByRole("button", { name: "Take it from the drawer" }).press("Enter");
  await page.goto("/metal?pieces=tern-ring");
  await expect(drawer(page).getByText("fine silver, 43.50 mm")).toBeVisible();
});

test("an order is copied and saved as a table", async ({ page, context }) => {
  await context.grantPermissions(["clipboard-read", "clipboard-write"]);
  await page.goto("/metal?pieces=redshank-ring");
  await drawer(page).getByRole("button", { name: "What else would do" }).press("Enter");
  await expect(drawer(page).getByText("Nothing else in the drawer is large enough")).toBeVisible();
  const download = page.waitForEvent("download");
  await drawer(page).getByRole("button", { name: "Save the order" }).press("Enter");
  const file = await download;
  expect(file.suggestedFilename()).toBe("order.csv");
  expect(readFileSync(await file.path(), "utf8")).toMatch(/\nwire,sterling,d,3\.4,1\.8,,,300,1,14\.94,,,\n?$/);
  await drawer(page).getByRole("button", { name: "Copy the list" }).click();
  expect(await page.evaluate(() => navigator.clipboard.readText())).toContain(
    "D, low dome wire 3.40 × 1.80 mm, sterling: 1 of 300.00 mm, 14.94 g",
  );
});

test.describe("by touch", () => {
  const { hasTouch, isMobile } = devices["iPhone 13"];
  test.use({ viewport: { width: 390, height: 844 }, hasTouch, isMobile });

  test("on a phone a piece is added, an empty drawer orders everything, and nothing runs over the side", async ({ page }) => {
    await page.goto("/metal?pieces=");
    await expect(page.getByText("Choose the pieces to cut for")).toBeVisible();
    await page.getByRole("button", { name: "+ Tern ring" }).tap();
    await expect(page.getByRole("button", { name: "These are cut" })).toBeVisible({ timeout: 20_000 });
    await laid(page);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    const hoop = page.getByRole("button", { name: "Tern ring, 59.1 mm" });
    await hoop.tap();
    const bar = page.getByRole("region", { name: "The chosen blank" });
    const row = (await hoop.boundingBox())!.y;
    await bar.getByRole("button", { name: "Next length" }).tap();
    await expect.poll(async () => Math.abs((await hoop.boundingBox())!.y - row)).toBeGreaterThan(20);
    await expect(bar.getByRole("button", { name: "Unpin", exact: true })).toBeVisible();
    await bar.getByRole("button", { name: "Unpin all (1)" }).tap();
    await expect(hoop).toHaveAttribute("aria-pressed", "false");
    const bins = drawer(page).getByRole("button", { name: /^Take out of the drawer/ });
    for (let left = await bins.count(); left > 0; left--) {
      await bins.first().tap();
      await expect(bins).toHaveCount(left - 1);
    }
    await expect(page.getByText("The drawer is empty")).toBeVisible();
    await expect(drawer(page).getByText(/Half-round wire 3\.00 × 1\.60 mm, sterling: 1 of 300\.00 mm/)).toBeVisible({ timeout: 20_000 });
  });
});
