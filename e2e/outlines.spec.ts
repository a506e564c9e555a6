import { type Locator, type Page, expect, test } from "./a-test";
import { EMPTY, field, figure, kept } from "./places";

const round = (page: Page) => figure(page, "m1.outline.perimeter");

async function choose(page: Page, label: string, option: string): Promise<void> {
  await page.getByRole("combobox", { name: label, exact: true }).click();
  await page.getByRole("option", { name: option, exact: true }).click();
}

/** Drags from the middle of something by so many pixels, in steps as a hand does. */
async function drag(page: Page, from: Locator, by: readonly [number, number]): Promise<void> {
  const { x, y, width, height } = (await from.boundingBox())!;
  await page.mouse.move(x + width / 2, y + height / 2);
  await page.mouse.down();
  await page.mouse.move(x + width / 2 + by[0], y + height / 2 + by[1], { steps: 8 });
  await page.mouse.up();
}

test("another shape keeps the stone's size; a dimension it cannot have is explained and kept as typed, over a reload too", async ({
  page,
}) => {
  await page.goto("/pieces/tern-ring/stone");
  await choose(page, "Shape", "Pear");
  await expect(round(page)).toContainText("43.35");
  await field(page, "m1.stone.outline.length").fill("11");
  await expect(
    page
      .getByRole("alert")
      .filter({ hasText: "length" })
      .or(page.getByText(/must be at least the width, 12/)),
  ).toBeVisible();
  await expect(round(page)).toContainText("43.35");
  await kept(page);
  await page.reload();
  await expect(field(page, "m1.stone.outline.length")).toHaveValue("11");
  await field(page, "m1.stone.outline.length").fill("18");
  await expect(round(page)).toContainText("46.67");
  await choose(page, "Shape", "Heart");
  await expect(page.getByRole("button", { name: "Bezel not measured yet" })).toBeVisible();
  await field(page, "m1.stone.outline.cleft").fill("2");
  await page.getByRole("button", { name: /Bezel strip/ }).click();
  await expect(page.getByText(/Wrapped over the notch the strip comes out/)).toBeVisible();
});

test("a free-form's points are dragged, stepped, added and taken away; what would cross itself stops short and says where", async ({
  page,
}) => {
  await page.goto("/pieces/strand-ring/stone");
  await expect(round(page)).toContainText("46.89");
  const point = (i: number) => page.getByRole("button", { name: new RegExp(`^Point ${i} at`) });
  await drag(page, point(1), [20, 0]);
  await expect(round(page)).toContainText("48.");
  await page.keyboard.press("ControlOrMeta+z");
  await expect(round(page)).toContainText("46.89");
  await point(1).focus();
  await page.keyboard.press("ArrowRight");
  await expect(round(page)).toContainText(/47\.0|46\.9[5-9]/);
  await page.keyboard.press("Enter");
  await expect(page.getByText(/^14 points/)).toBeVisible();
  await page.keyboard.press("Delete");
  await expect(page.getByText(/^13 points/)).toBeVisible();
  const box = (await point(6).boundingBox())!;
  const next = (await point(7).boundingBox())!;
  await page.mouse.dblclick((box.x + next.x + box.width) / 2, (box.y + next.y + box.height) / 2 + 3);
  await expect(page.getByText(/^14 points/)).toBeVisible();
  await drag(page, point(3), [0, 260]);
  await expect(page.getByRole("alert").filter({ hasText: "The outline must not cross: it does at" })).toBeVisible();
  await kept(page);
  await page.reload();
  await expect(page.getByText(/^14 points/)).toBeVisible();
});

test("a drag past the drawing's edge stops at it, and a stone's name fills in what is known of it", async ({ page }) => {
  await page.goto("/pieces/strand-ring/stone");
  const point = page.getByRole("button", { name: /^Point 1 at/ });
  const [sheet, box] = [(await page.getByRole("region", { name: "Drawing" }).boundingBox())!, (await point.boundingBox())!];
  const across = async () => Number(/at (-?[\d.]+),/.exec((await point.getAttribute("aria-label"))!)![1]);
  const before = await across();
  await drag(page, point, [sheet.x + sheet.width - (box.x + box.width / 2), 0]);
  const edge = await across();
  await page.keyboard.press("ControlOrMeta+z");
  await expect.poll(across).toBe(before);
  await drag(page, point, [sheet.width, 0]);
  expect(Math.abs((await across()) - edge)).toBeLessThan(0.2);
  await page.keyboard.press("ControlOrMeta+z");
  await expect(round(page)).toContainText("46.89");

  const name = field(page, "m1.stone.material.name");
  await name.fill("beach glass");
  await expect(field(page, "m1.stone.mohs")).toHaveValue("5.5");
  await name.fill("blue opal");
  await expect(field(page, "m1.stone.density")).toHaveValue("2.10");
  await expect(page.getByText("from the table of stones")).toHaveCount(3);
  await expect(page.getByRole("button", { name: "✓ water" })).toHaveAttribute("aria-pressed", "true");
  await field(page, "m1.stone.mohs").fill("6");
  await expect(page.getByText("from the table of stones")).toHaveCount(2);
  for (const stage of [/Heats/, /Making/]) {
    await page.getByRole("button", { name: stage }).click();
    await expect(page.getByText(/Patina and tumble now: the stone would not survive it \(tender to water, acid\)/).first()).toBeVisible();
  }
});

test("a free-form is smoothed, mirrored, read with a caliper, or taken for the regular shape it comes nearest to", async ({ page }) => {
  await page.goto("/pieces/strand-ring/stone");
  await page.getByRole("button", { name: "Smooth" }).click();
  await expect(round(page)).not.toContainText("46.89");
  await page.getByRole("button", { name: "Mirror" }).click();
  await page.getByRole("button", { name: "Caliper readings" }).click();
  await page.getByRole("textbox", { name: "Length", exact: true }).focus();
  const halves = [6, 25, 50, 75, 94].map((share) => String(6.5 * Math.sqrt(1 - (share / 50 - 1) ** 2)));
  await page.keyboard.type("18");
  for (const reading of halves.flatMap((half) => [half, half])) {
    await page.keyboard.press("Enter");
    await page.keyboard.type(reading);
  }
  await page.getByRole("textbox", { name: "Up at 25%" }).fill("wide");
  await page.getByRole("button", { name: "Make the outline" }).click();
  await expect(page.getByText('"wide" is not a length')).toBeVisible();
  await page.getByRole("textbox", { name: "Up at 25%" }).fill("5.63");
  await page.getByRole("button", { name: "Make the outline" }).click();
  await expect(page.getByText(/Nearest: oval 18\.0 × 13\.0, off by at most 0\.[01]/)).toBeVisible();
  await page.getByRole("button", { name: "Use it" }).click();
  await expect(page.getByLabel("Shape", { exact: true })).toContainText("Oval");
  await expect(field(page, "m1.stone.outline.width")).toHaveValue(/^1[23]\./);
});

test("heights round the stone are dragged along the rule, and the bezel's top edge follows them", async ({ page }) => {
  await page.goto("/pieces/strand-ring/stone");
  const height = page.getByRole("slider", { name: "Height at 35% of the way round" });
  await drag(page, height, [0, -14]);
  await expect(field(page, "m1.stone.turnIn.1")).toHaveValue(/^2\.[3-9]/);
  await height.focus();
  await page.keyboard.press("ArrowDown");
  await field(page, "m1.stone.turnIn.1").fill("2.40");
  await expect(page.getByLabel("Answer")).toContainText("2.40mm");
  await page.getByRole("button", { name: /Bezel strip/ }).click();
  await expect(page.getByRole("radio", { name: "Turn-in", exact: true })).toBeChecked();
  await expect(page.getByLabel("Height set by")).toContainText("3.28");
  await page.getByRole("button", { name: /Stone free-form/ }).click();
  await page.getByRole("button", { name: "Same all round" }).click();
  await expect(page.getByRole("button", { name: "It varies round the stone" })).toBeVisible();
  const dome = page.getByRole("slider", { name: "Dome" });
  await drag(page, dome, [6, -6]);
  await expect(field(page, "m1.stone.dome")).toHaveValue(/^(2\.[2-9]|[3-6])/);
  await dome.focus();
  await page.keyboard.press("ArrowDown");
  await page.keyboard.press("ControlOrMeta+z");
});

test("the seam cannot be dragged to a point: it stops short and the better place is named; the keys step over", async ({ page }) => {
  await page.goto("/pieces/limpet-ring/wall");
  const seam = page.getByRole("slider", { name: "Seam" });
  const point = page.getByLabel("Drawing").getByText("point", { exact: true });
  const [from, to] = [(await seam.boundingBox())!, (await point.boundingBox())!];
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(to.x - 6, to.y + to.height / 2, { steps: 12 });
  const told = page.getByRole("alert").filter({ hasText: /Seam must not lie at a corner; 0\.\d\d of the way round is straighter/ });
  await expect(told).toBeVisible();
  await page.mouse.up();
  await expect(page.getByRole("note").filter({ hasText: "close to a corner" })).toBeVisible();
  const now = async () => Number(await seam.getAttribute("aria-valuenow"));
  await seam.focus();
  const start = await now();
  for (let i = 0; i < 4; i++) await page.keyboard.press(start > 50 ? "ArrowLeft" : "ArrowRight");
  await expect.poll(async () => Math.abs((await now()) - start)).toBeGreaterThan(50);
  await choose(page, "Seam", "Best place");
  await expect(page.getByRole("note").filter({ hasText: "close to a corner" })).toHaveCount(0);
});

test("a caliper that types a reading and Enter goes from measure to measure, past lists, and the tape comes last", async ({ page }) => {
  await page.goto("/pieces/tern-ring/stone");
  await field(page, "m1.stone.outline.length").focus();
  for (const reading of ["16.1", "12.1", "5.3", "2"]) {
    await page.keyboard.type(reading);
    await page.keyboard.press("Enter");
  }
  await expect(field(page, "m1.stone.height")).toHaveValue("5.3");
  await expect(field(page, "m1.stone.turnIn")).toHaveValue("2");
  await expect(field(page, "m1.stone.measuredPerimeter")).toBeFocused();
  await expect(page.getByRole("listbox")).toHaveCount(0);
});

test("every source of bezel has its own sizes: sheet, notches that close, a tube with its seat, a cup against the stone", async ({
  page,
}) => {
  await page.goto("/pieces/tern-ring/wall");
  await choose(page, "Made from", "Tube");
  await expect(page.getByText(/must not be tube: a tube holds round stones, and this one is oval/)).toBeVisible();
  await choose(page, "Made from", "Notched");
  await field(page, "m1.wall.notch.pitch").fill("2");
  await expect(page.getByText("23 notches, 1.98 mm apart, close at the seam")).toBeVisible();
  await choose(page, "Made from", "Cup");
  await expect(figure(page, "m1.wall.cupLength")).toContainText("16.10");
  await expect(page.getByRole("button", { name: /^Plate / })).toHaveCount(0);
  await field(page, "m1.wall.cup.length").fill("16.54");
  await expect(page.getByRole("note", { name: "Wrong" })).toContainText("The stone does not fit this cup");
  await field(page, "m1.wall.cup.length").fill("17.0");
  await field(page, "m1.wall.cup.thickness").fill("0.45");
  await expect(page.getByText("leaves 0.05 round it, thin by 0.13")).toBeVisible();
  await page.goto("/pieces/knot-ring/wall");
  await expect(figure(page, "m1.wall.seatDepth")).toContainText("2.35");
  await field(page, "m1.wall.tube.outside").fill("6");
  await expect(page.getByText(/must be more than 6\.10, or the seat cuts through it/)).toBeVisible();
  await field(page, "m1.wall.tube.outside").fill("");
  await expect(page.getByText("shows 84% of the face")).toBeVisible();
  await kept(page);
  await page.reload();
  await expect(field(page, "m1.wall.tube.outside")).toHaveValue("");
});

test("from an empty tray a first stone becomes another shape, with a wrong corner explained, and gets a cup, over a reload", async ({
  page,
}) => {
  await page.goto(EMPTY);
  await page.getByRole("heading", { name: "Start with your stone" }).click();
  await page.keyboard.press("n");
  await page.getByRole("button", { name: /^Ring/ }).press("Enter");
  await expect(page).toHaveURL(/new-ring\/stone/);
  await choose(page, "Shape", "Rectangle");
  await field(page, "m1.stone.outline.corner").fill("9");
  await expect(page.getByText(/must be at most 5\.00, or the corners meet/)).toBeVisible();
  await field(page, "m1.stone.outline.corner").fill("2");
  await choose(page, "Face", "Flat");
  await page.getByRole("button", { name: "Bezel not measured yet" }).click();
  await page.getByRole("button", { name: "Stone not measured yet" }).click();
  for (const [name, mm] of [
    ["outline.length", "14"],
    ["outline.width", "10"],
    ["height", "4.8"],
  ] as const)
    await field(page, `m1.stone.${name}`).fill(mm);
  await page.getByRole("button", { name: /Bezel strip/ }).click();
  await choose(page, "Made from", "Cup");
  await field(page, "m1.wall.cup.length").fill("15");
  await expect(field(page, "m1.wall.cup.thickness")).toHaveValue("0.32");
  await expect(page.getByText("14.36 inside; 14.10 mm would be right")).toBeVisible();
  await kept(page);
  await page.reload();
  await expect(field(page, "m1.wall.cup.length")).toHaveValue("15");
  await expect(page.getByRole("button", { name: /Bezel cup 14\.10 × 10\.10/ })).toBeVisible();
  await page.getByRole("button", { name: /Making/ }).click();
  await expect(page.getByText(/Try the stone in the cup/).first()).toBeVisible();
});

test("tubes kept on my bench are offered where a bezel is made from one, nearest first, in the maker's unit; one that is inside out is refused", async ({
  page,
}) => {
  await page.goto("/my-bench");
  const tubes = page.getByRole("region", { name: "Tubes you keep" });
  const add = async (outside: string, inside: string) => {
    await tubes.getByLabel("Outside of the tube, mm").fill(outside);
    await tubes.getByLabel("Inside of the tube, mm").fill(inside);
    await tubes.getByRole("button", { name: "Add a tube" }).click();
  };
  await add("5", "9");
  await expect(tubes.getByRole("alert")).toContainText("must be less than the outside");
  await add("9", "7");
  await expect(tubes.getByRole("listitem")).toHaveText(["9.00 outside, 7.00 mm inside, sterling"]);
  await add("6.8", "5.2");
  await expect(tubes.getByRole("listitem")).toHaveCount(2);
  await page.reload();
  await expect(tubes.getByRole("listitem")).toHaveCount(2);
  await page.goto("/pieces/knot-ring/wall");
  const offered = page.getByRole("list", { name: "Your tubes, nearest first" });
  await expect(offered.getByRole("button")).toHaveCount(2);
  await offered.getByRole("button").first().click();
  await expect(offered.getByRole("button").first()).toHaveAttribute("aria-pressed", "true");
  await expect(page.locator('[data-field="m1.wall.tube.outside"]')).toHaveValue("6.80");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(offered.getByRole("button").first()).toHaveAttribute("aria-pressed", "false");
});
