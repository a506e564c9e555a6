import { type Page, expect, test } from "./a-test";
import { field, figure } from "./places";

const choose = async (page: Page, label: string, option: string) => {
  await page.getByLabel(label, { exact: true }).click();
  await page.getByRole("option", { name: option, exact: true }).click();
};
const stage = (page: Page, name: string) =>
  page
    .getByRole("navigation", { name: "Stages" })
    .getByRole("listitem")
    .getByRole("button", { name: new RegExp(`^(planned |take care |something is wrong )?${name}`) })
    .click();
const start = async (page: Page, kind: string) => {
  await page.goto("/");
  await page.getByRole("button", { name: /New piece/ }).click();
  await page.getByRole("button", { name: new RegExp(`^${kind}`) }).click();
  await expect(page).toHaveURL(/\/stone$/);
};
const measure = async (page: Page, values: Readonly<Record<string, string>>) => {
  for (const [key, value] of Object.entries(values)) {
    await field(page, `m1.stone.${key}`).fill(value);
    await field(page, `m1.stone.${key}`).press("Enter");
  }
};
const drag = async (page: Page, name: string | RegExp, dx: number, dy: number) => {
  const handle = page.getByRole("slider", { name });
  const where = async () => JSON.stringify(await handle.boundingBox());
  // A sheet that has just grown or shrunk is drawn again at another scale.
  let before = "";
  await expect.poll(async () => before === (before = await where()), { intervals: [150] }).toBe(true);
  const { x, y, width, height } = (await handle.boundingBox())!;
  await page.mouse.move(x + width / 2, y + height / 2);
  await page.mouse.down();
  await page.mouse.move(x + width / 2 + dx, y + height / 2 + dy, { steps: 8 });
  await page.mouse.up();
};
const card = async (page: Page) => {
  await expect(page.getByText("Kept on this device")).toBeVisible();
  await page.reload();
  await page.getByRole("link", { name: "Card" }).click();
  return page.getByRole("article");
};

test("a slit-shank ring from nothing to its card: open, slit, spread too far and put right, turned with its handle", async ({ page }) => {
  await start(page, "Ring");
  await measure(page, { "outline.length": "14", "outline.width": "12", height: "4.8", turnIn: "1.7" });
  await stage(page, "Hoop");
  await field(page, "hoop.size.round").fill("54");
  await expect(field(page, "hoop.size.value")).toHaveValue("54.0");
  await choose(page, "Ends", "Open");
  await expect(figure(page, "m1.hoop.footAngle")).toContainText("18.5");
  await choose(page, "Shank", "Slit");
  await field(page, "hoop.slit.spread").fill("12");
  await expect(page.getByText(/must be at most 8\.33/)).toBeVisible();
  await field(page, "hoop.slit.spread").fill("6");
  await expect(page.getByText("spreading", { exact: false }).first()).toBeVisible();
  const turn = page.getByRole("slider", { name: "Turn of stone 1 on the hoop" });
  await turn.focus();
  await page.keyboard.press("ArrowLeft");
  await expect(field(page, "m1.place.turn")).toHaveValue("1");
  await page.keyboard.press("Control+z");
  await expect(field(page, "m1.place.turn")).toHaveValue("0");
  const article = await card(page);
  await expect(article).toContainText("slit 8.00 to each side, legs 1.36 wide, spread to 6.00 mm");
  await expect(article).toContainText(/hoop to plate 1.*hoop to plate 4/i);
  await expect(article).toContainText("Saw down the middle to the roots");
});

test("a size with a half is typed key by key; a stone that is not known is grey, and what it may be is taken with a press", async ({
  page,
}) => {
  await start(page, "Ring");
  await field(page, "m1.stone.material.name").pressSequentially("turq");
  await expect(page.getByText("not known here")).toBeVisible();
  await page.getByRole("button", { name: "Turquoise" }).click();
  await expect(field(page, "m1.stone.material.name")).toHaveValue("turquoise");
  await expect(page.getByText("not known here")).toBeHidden();
  await stage(page, "Hoop");
  await choose(page, "Size system", "US");
  const size = field(page, "hoop.size.value");
  await size.click();
  await page.keyboard.press("Control+a");
  await page.keyboard.type("9 1/2", { delay: 30 });
  await expect(size).toHaveValue("9 1/2");
  await expect(page.getByText("inside 19.35")).toBeVisible();
  await choose(page, "Size system", "UK");
  await size.click();
  await page.keyboard.press("Control+a");
  await page.keyboard.type("N 1/2", { delay: 30 });
  await expect(size).toHaveValue("N 1/2");
  await expect(size).toHaveAttribute("aria-invalid", "false");
});

test("a ring of settings: one more is added clear of the first, dragged into it, told, moved back by the keys; three laid side by side; all on the card", async ({
  page,
}) => {
  await start(page, "Ring");
  await measure(page, { "outline.length": "8", "outline.width": "6", height: "3.4", turnIn: "1.2" });
  await stage(page, "Hoop");
  await field(page, "hoop.size.value").fill("54");
  await page.getByRole("button", { name: "Add a setting" }).click();
  await expect(page.getByRole("button", { name: "Remove stone 2" })).toBeVisible();
  await expect(page.getByText("run into each other")).toBeHidden();
  await drag(page, "Place of stone 2 round the hoop", -40, -12);
  await expect(page.getByText("run into each other")).toBeVisible();
  await page.keyboard.press("Control+z");
  await expect(page.getByText("run into each other")).toBeHidden();
  await page.getByRole("slider", { name: "Place of stone 1 round the hoop" }).focus();
  for (let i = 0; i < 3; i++) await page.keyboard.press("ArrowLeft");
  await expect(field(page, "m1.place.along")).toHaveValue("-0.30");
  await page.getByRole("button", { name: "Add a setting" }).click();
  await page.getByRole("button", { name: "Touching", exact: true }).click();
  await expect(page.getByText("run into each other")).toBeHidden();
  // Cut across, and as it leans away beside the one looked at from above; on the far side it is out of sight.
  const second = page.locator('[fill="url(#stone-m2)"]');
  await expect(second).toHaveCount(2);
  await field(page, "m1.place.along").fill("-25");
  await expect(second).toHaveCount(1);
  await page.getByRole("button", { name: "Remove stone 3" }).click();
  await page.getByRole("group", { name: "Setting shown" }).getByRole("button", { name: "Stone 2" }).click();
  await stage(page, "Stone");
  await field(page, "m2.stone.outline.length").fill("7");
  const article = await card(page);
  await expect(article).toContainText("Seat 1");
  await expect(article).toContainText("Seat 2");
  await expect(article).toContainText("7.00 × 6.00");
});

test("a pear pendant: its eye is dragged off and it hangs crooked, then put where it hangs straight, kept, and on the card", async ({
  page,
}) => {
  await start(page, "Pendant");
  await choose(page, "Shape", "Pear");
  await measure(page, { "outline.length": "18", "outline.width": "12", height: "5.4", turnIn: "1.9" });
  await stage(page, "Bail");
  await expect(page.getByText("The stone's weight is a guess.")).toBeVisible();
  await expect(figure(page, "hang.tilt")).toContainText("straight");
  await field(page, "bail.chainEnd").fill("3.1");
  await expect(page.getByText(/(pass|fit through) a bore of 3\.20/)).toBeVisible();
  await field(page, "bail.chainEnd").fill("2.4");
  await expect(figure(page, "bail.blankLength")).toContainText("18.0");
  await drag(page, "Eye along the edge", 40, 12);
  await expect(page.getByText(/It tilts \d+\.\d° as it hangs\. Move the eye \d\.\d\d mm along the edge, to the left\./)).toBeVisible();
  await page.getByRole("button", { name: /Move the eye to where it hangs straight/ }).click();
  await expect(figure(page, "hang.tilt")).toContainText("straight");
  await page.getByRole("slider", { name: "Eye along the edge" }).focus();
  await page.keyboard.press("ArrowLeft");
  await expect(field(page, "bail.eye.at")).toHaveValue("0.10");
  await expect(figure(page, "hang.tilt")).not.toContainText("straight");
  await choose(page, "Eyes", "Two, a connector");
  await expect(figure(page, "hang.tilt")).toBeVisible();
  await page.keyboard.press("Control+z");
  const article = await card(page);
  await expect(article).toContainText("folded of 18.0 mm");
  await expect(article).toContainText("eye 0.10 mm left of its top");
  await expect(article).toContainText("Fold it over a rod 3.20 mm across");
});

test("a pair is two alike: the second mirrored on the sheet and in the templates, every step for both; a stone changed makes it unequal", async ({
  page,
}) => {
  await start(page, "Earrings");
  await choose(page, "Shape", "Heart");
  await measure(page, { "outline.length": "11", "outline.width": "11.6", "outline.cleft": "1.8", height: "4", turnIn: "1.4" });
  await stage(page, "Bail");
  await expect(page.getByText(/its mirror, \d\.\d\d g/)).toBeVisible();
  await stage(page, "Making");
  await expect(page.getByText("Make two: every step is done for both.")).toBeVisible();
  await page.goto(page.url().replace(/making$/, "templates"));
  await expect(page.getByText(/^Plate, blank .*, the second$/)).toBeVisible();
  await page.goto(page.url().replace(/templates$/, "bail"));
  await page.getByRole("button", { name: "Add a setting" }).click();
  await expect(page.getByText("Stone 2, heart")).toBeVisible();
  await expect(page.getByText("differ by")).toBeHidden();
  await page.getByRole("group", { name: "Setting shown" }).getByRole("button", { name: "Stone 2" }).click();
  await stage(page, "Stone");
  await field(page, "m2.stone.outline.length").fill("12");
  await stage(page, "Bail");
  await expect(page.getByText(/^Stone 1 and stone 2 differ by 1\.00 mm in length and 0\.\d\d g\.$/)).toBeVisible();
  await page.getByRole("button", { name: "Remove stone 2" }).click();
  await choose(page, "Made", "A pair");
  const article = await card(page);
  await expect(article).toContainText("each, made twice, the second mirrored");
});

test("a marquise by its point: on an ear wire turned round the point, then a stud whose post is moved by keys and by hand, and told when it tips", async ({
  page,
}) => {
  await start(page, "Earrings");
  await choose(page, "Shape", "Marquise");
  await measure(page, { "outline.length": "14", "outline.width": "7", height: "3.6", turnIn: "1.3" });
  await stage(page, "Bail");
  await choose(page, "Hangs by", "Ear wire");
  await expect(figure(page, "earwire.cutLength")).toContainText("40.0");
  await field(page, "earwire.length").fill("28");
  await expect(page.getByText("too short to go round an ear")).toBeVisible();
  await field(page, "earwire.length").fill("42");
  await expect(page.getByText("too short to go round an ear")).toBeHidden();
  await page.getByRole("slider", { name: "Eye along the edge" }).focus();
  await page.keyboard.press("ArrowLeft");
  await expect(field(page, "bail.eye.turn")).toHaveValue("2.0");
  await field(page, "bail.eye.turn").fill("30");
  await field(page, "bail.eye.turn").press("Enter");
  await expect(page.getByText(/It tilts \d+\.\d° as it hangs\. Turn the eye 30\.0° round the point, to the right\./)).toBeVisible();
  await page.getByRole("button", { name: /Move the eye to where it hangs straight, 30\.0° right round the point/ }).click();
  await expect(figure(page, "hang.tilt")).toContainText("straight");
  await stage(page, "Making");
  await expect(page.getByRole("button", { name: /hang the ear wire in the jump ring/ })).toBeAttached();
  await stage(page, "Ear wire");
  await choose(page, "Hangs by", "Post");
  await expect(field(page, "post.at.0")).toHaveValue(/^-3\.\d+/);
  const before = Number(await field(page, "post.at.0").inputValue());
  await page.getByRole("slider", { name: "Post on the back" }).focus();
  await page.keyboard.press("ArrowUp");
  await expect(field(page, "post.at.0")).toHaveValue((before - 0.1).toFixed(2));
  await page.keyboard.press("ArrowLeft");
  await expect(field(page, "post.at.1")).toHaveValue("0.10");
  await drag(page, "Post on the back", 0, 190);
  await expect(page.getByText(/The post stands \d\.\d\d mm below where the stud balances\./)).toBeVisible();
  await page.keyboard.press("Control+z");
  await expect(page.getByText("below where the stud balances")).toBeHidden();
  const article = await card(page);
  await expect(article).toContainText("11.0 mm of wire 0.90, sterling; ");
  await expect(article).toContainText("0.10 mm left of the middle, seen from behind");
});

test("a ring hangs in a bail; in a heart's notch it lies against both lobes", async ({ page }) => {
  await start(page, "Pendant");
  await choose(page, "Shape", "Heart");
  await measure(page, { "outline.length": "13", "outline.width": "14", "outline.cleft": "2.6", height: "4", turnIn: "1.4" });
  await stage(page, "Bail");
  await choose(page, "Ring in it", "A jump ring");
  await field(page, "bail.ring.wire").fill("3");
  await expect(page.getByText(/(pass|fit through) a bore of 3\.20/)).toBeVisible();
  await choose(page, "Hangs by", "Jump ring");
  await field(page, "bail.eye.at").fill("0");
  await stage(page, "Making");
  await expect(page.getByRole("button", { name: /in the notch, and file the ring a seat against both sides of it/ })).toBeAttached();
});

test("every worked example opens at its carrier with a drawing and an answer, and nothing goes wrong on the way", async ({ page }) => {
  test.slow();
  const wrong: string[] = [];
  page.on("pageerror", (error) => wrong.push(error.message));
  await page.goto("/");
  await page.getByRole("button", { name: /New piece/ }).click();
  const examples = page.getByRole("dialog").getByRole("listitem");
  await expect(examples).toHaveCount(23);
  const names = await examples.locator("b").allTextContents();
  await page.keyboard.press("Escape");
  for (const name of names) {
    await page.getByRole("button", { name: /New piece/ }).click();
    await page.getByRole("dialog").getByText(name, { exact: true }).click();
    await expect(page.getByRole("region", { name: "Answer" })).toContainText(/Cut|Saw/);
    await expect(page.getByRole("region", { name: "Drawing" }).getByRole("slider").first()).toBeAttached();
    await page.getByRole("link", { name: "Pieces" }).click();
  }
  expect(wrong).toEqual([]);
});
