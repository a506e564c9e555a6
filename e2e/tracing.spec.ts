import { PNG } from "pngjs";
import { type Page, devices, expect, test } from "./a-test";
import { figure, kept } from "./places";

const SALTGRASS = "demo/photographs/saltgrass.jpg";
const STONE = "/pieces/thrift-ring/stone";

async function openTracer(page: Page, stone = STONE): Promise<void> {
  await page.goto(stone);
  await page.getByRole("button", { name: "From a photograph or drawing" }).press("Enter");
  await expect(page.getByRole("button", { name: "Choose a file" })).toBeFocused();
}

function file(page: Page) {
  return page.locator('input[aria-label="Choose a file"]');
}

const rounded = (page: Page) => page.getByText(/^Round the stone/).locator("..");
const drawing = (page: Page) => page.getByRole("region", { name: "Drawing" });

test("from a photograph to a plan with the keyboard: squares found, a point moved, the picture kept, hidden, dropped and put back, over a reload", async ({
  page,
}) => {
  await openTracer(page);
  await file(page).setInputFiles(SALTGRASS);
  await expect(page.getByText(/squared paper found: 12[45]\.\d pixels a square/)).toBeVisible();
  await expect(page.getByText(/then the stone is traced/)).toBeVisible();
  await page.getByRole("button", { name: "5 mm" }).press("Enter");
  await expect(rounded(page)).toContainText(/78\.[34]\d mm/);
  const first = page.getByRole("button", { name: /^Point 1 at 13\.3/ });
  await first.focus();
  for (let i = 0; i < 8; i++) await page.keyboard.press("ArrowRight");
  await expect(page.getByRole("button", { name: /^Point 1 at 13\.7/ })).toBeFocused();
  for (let i = 0; i < 8; i++) await page.keyboard.press("ArrowLeft");
  await expect(rounded(page)).toContainText(/78\.[34]\d mm/);
  await page.getByRole("button", { name: "Use this outline" }).press("Enter");
  await expect(figure(page, "m1.outline.perimeter")).toContainText(/78\.[34]/);
  await expect(page.getByRole("button", { name: "From a photograph or drawing" })).toBeFocused();
  await expect(drawing(page).locator("image")).toHaveCount(1);
  await kept(page);
  await page.reload();
  await expect(figure(page, "m1.outline.perimeter")).toContainText(/78\.[34]/);
  await expect(drawing(page).locator("image")).toHaveCount(1);
  await page.getByRole("radio", { name: "Outline only" }).check();
  await expect(drawing(page).locator("image")).toHaveCount(0);
  await page.getByRole("radio", { name: "Picture" }).check();
  await page.getByRole("button", { name: "Drop the picture" }).click();
  await expect(drawing(page).locator("image")).toHaveCount(0);
  await page.keyboard.press("ControlOrMeta+z");
  await expect(drawing(page).locator("image")).toHaveCount(1);
});

test("a rule is dragged onto something known; a wrong length is told; a press on the stone traces it again; a made-up picture counts as not measured", async ({
  page,
}) => {
  await openTracer(page);
  await page.getByRole("button", { name: "Make one up" }).click();
  await expect(page.getByText("This picture is made up")).toBeVisible();
  const end = page.getByRole("button", { name: /^End 2 of the rule/ });
  const { x, y, width, height } = (await end.boundingBox())!;
  await page.mouse.move(x + width / 2, y + height / 2);
  await page.mouse.down();
  await page.mouse.move(x + width / 2 + 68, y + height / 2, { steps: 6 });
  await page.mouse.up();
  await expect(page.getByRole("button", { name: /^End 2 of the rule at (79|80)\d/ })).toBeVisible();
  const length = page.getByRole("textbox", { name: "The rule is" });
  await length.fill("twenty");
  await length.press("Enter");
  await expect(page.getByRole("alert").filter({ hasText: '"twenty" is not a length over 0' })).toBeVisible();
  await length.fill("20");
  await length.press("Enter");
  await expect(page.getByText(/^(24|25)\.\d\d pixels a mm/)).toBeVisible();
  await expect(rounded(page)).toContainText(/7[78]\.\d\d mm/);
  await length.fill("200");
  await length.press("Enter");
  await expect(page.getByRole("alert").filter({ hasText: "pixels to a millimetre, and 6 is the least" })).toBeVisible();
  await expect(page.getByRole("button", { name: "Use this outline" })).toBeHidden();
  await length.fill("20");
  await length.press("Enter");
  await expect(rounded(page)).toContainText(/7[78]\.\d\d mm/);
  const picture = (await page.getByRole("group", { name: /^The picture/ }).boundingBox())!;
  await page.mouse.click(picture.x + picture.width / 2, picture.y + picture.height / 2);
  await expect(page.getByRole("button", { name: "Use this outline" })).toBeVisible();
  await page.getByRole("button", { name: "Use this outline" }).click();
  await expect(
    page
      .getByText("the outline's points not measured yet")
      .or(page.getByRole("button", { name: /Stone not measured yet/ }))
      .first(),
  ).toBeVisible();
});

test("a drawing's outlines are listed, the largest first, and one is taken exactly; hostile and broken files are told, and nothing else happens", async ({
  page,
}) => {
  await openTracer(page);
  const give = (name: string, mimeType: string, text: string) => file(page).setInputFiles({ name, mimeType, buffer: Buffer.from(text) });
  const svg = (inside: string) => `<svg xmlns="http://www.w3.org/2000/svg" width="40mm" height="40mm" viewBox="0 0 40 40">${inside}</svg>`;
  await give("a.svg", "image/svg+xml", svg('<script>alert(1)</script><circle r="9"/>'));
  await expect(page.getByRole("alert").filter({ hasText: "The drawing holds a script, and is not opened" })).toBeVisible();
  await give("b.png", "image/png", "no picture at all");
  await expect(page.getByRole("alert").filter({ hasText: "The picture is not a picture" })).toBeVisible();
  await give("c.svg", "image/svg+xml", svg('<circle r="12"/><ellipse rx="9" ry="6.5"/><text>1</text>'));
  await expect(page.getByText("2 outlines, the largest first")).toBeVisible();
  await expect(page.getByText("Left out: 1 text.")).toBeVisible();
  await page.getByRole("listitem").filter({ hasText: "18.0" }).getByRole("button", { name: "Use it" }).click();
  await expect(page.getByRole("combobox", { name: "Shape", exact: true })).toContainText("Oval");
  // the perimeter of an ellipse of 18 by 13
  await expect(figure(page, "m1.outline.perimeter")).toContainText("49.0");
});

test("a search is stopped in its middle, and goes on when it is asked again", async ({ page }) => {
  await openTracer(page);
  await page.route("**/_next/static/**", async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 2000));
    await route.continue().catch(() => undefined);
  });
  await file(page).setInputFiles(SALTGRASS);
  await page.getByRole("button", { name: "Stop" }).click();
  await expect(page.getByRole("alert").filter({ hasText: "Stopped" })).toBeVisible();
  await page.unrouteAll({ behavior: "ignoreErrors" });
  await file(page).setInputFiles(SALTGRASS);
  await expect(page.getByText(/squared paper found/)).toBeVisible();
});

test("a picture from the side gives height, both ends and the dome; each is taken by itself, or all in one step that is undone", async ({
  page,
}) => {
  await openTracer(page, "/pieces/tern-ring/stone");
  await page.getByRole("radio", { name: "From the side" }).check();
  await file(page).setInputFiles("demo/photographs/saltgrass-side.jpg");
  await page.getByRole("button", { name: "5 mm" }).click();
  const row = (name: string) => page.getByText(name, { exact: true }).locator("../..");
  await expect(row("Height of the stone")).toContainText(/5\.[78]\d mm/);
  await expect(row("Leans in at, on the left")).toContainText(/2\.[56]\d mm/);
  await expect(row("Leans in at, on the right")).toContainText(/2\.[01]\d mm/);
  await expect(row("Dome")).toContainText("2.1");
  await page.getByRole("button", { name: "Take: Height of the stone" }).press("Enter");
  await expect(page.getByRole("button", { name: "Take: Height of the stone" })).toHaveText("Taken");
  await page.getByRole("button", { name: "Take all of them" }).click();
  await page.getByRole("button", { name: "Back to the stone" }).click();
  await expect(page.getByRole("textbox", { name: "Whole stone" })).toHaveValue(/^5\.[78]/);
  await expect(page.getByRole("textbox", { name: "Dome", exact: true })).toHaveValue("2.1");
  await expect(page.getByRole("textbox", { name: "At 50% of the way round" })).toHaveValue(/^2\.[56]/);
  await expect(page.getByRole("textbox", { name: "At 0% of the way round" })).toHaveValue(/^2\.[01]/);
  await page.keyboard.press("ControlOrMeta+z");
  await expect(page.getByRole("textbox", { name: "At 0% of the way round" })).toBeHidden();
  await expect(page.getByRole("textbox", { name: "Whole stone" })).toHaveValue(/^5\.[78]\d$/);
  await page.keyboard.press("ControlOrMeta+Shift+z");
  await kept(page);
  await page.reload();
  await expect(page.getByRole("textbox", { name: "At 0% of the way round" })).toHaveValue(/^2\.[01]\d$/);
});

/** A red oval stone and a blue coin on plain paper, 24 pixels a mm: the coin 14 mm across. */
function withCoin(): Buffer {
  const picture = new PNG({ width: 800, height: 480 });
  const within = (x: number, y: number, rx: number, ry: number) => (x / rx) ** 2 + (y / ry) ** 2 < 1;
  for (let y = 0, i = 0; y < 480; y++)
    for (let x = 0; x < 800; x++, i += 4) {
      const [r, g, b] = within(x - 220, y - 240, 156, 120)
        ? [170, 60, 50]
        : within(x - 580, y - 240, 168, 168)
          ? [60, 70, 130]
          : [226, 224, 218];
      picture.data.set([r, g, b, 255], i);
    }
  return PNG.sync.write(picture);
}

test("a coin gives the scale with a press; what is no round is told; a box says which is the stone, and a move is undone", async ({
  page,
}) => {
  await openTracer(page);
  await file(page).setInputFiles({ name: "coin.png", mimeType: "image/png", buffer: withCoin() });
  const picture = (await page.getByRole("group", { name: /^The picture/ }).boundingBox())!;
  const fit = Math.min(picture.width / 800, picture.height / 480);
  const at = (x: number, y: number) =>
    [picture.x + picture.width / 2 + (x - 400) * fit, picture.y + picture.height / 2 + (y - 240) * fit] as const;
  await page.getByRole("button", { name: "Press on it" }).click();
  await page.mouse.click(...at(220, 240));
  await expect(
    page.getByRole("alert").filter({ hasText: "or what you pressed on is no round: it looks 0.77 as wide as long" }),
  ).toBeVisible();
  await page.getByRole("button", { name: "Press on it" }).click();
  await page.mouse.click(...at(580, 240));
  await page.getByRole("textbox", { name: "The round measures across" }).fill("14");
  await page.getByRole("textbox", { name: "The round measures across" }).press("Enter");
  await expect(page.getByText(/^(23\.9|24\.0)\d pixels a mm/)).toBeVisible();
  // the coin is known to be none, so the stone is found without a press: an oval of 13 by 10
  await expect(rounded(page)).toContainText(/36\.[234]\d mm/);
  const first = page.getByRole("button", { name: /^Point 1 at/ });
  await first.focus();
  for (let i = 0; i < 6; i++) await page.keyboard.press("ArrowRight");
  await expect(page.getByRole("button", { name: /^Point 1 at 6\.[78]/ })).toBeVisible();
  await page.getByRole("button", { name: "Undo move" }).click();
  await expect(page.getByRole("button", { name: /^Point 1 at 6\.[45]/ })).toBeVisible();
  await page.mouse.move(...at(400, 40));
  await page.mouse.down();
  await page.mouse.move(...at(780, 440), { steps: 4 });
  await page.mouse.up();
  await expect(page.getByRole("alert").filter({ hasText: "shows no clear stone" })).toBeVisible();
  await page.mouse.move(...at(30, 60));
  await page.mouse.down();
  await page.mouse.move(...at(400, 420), { steps: 4 });
  await page.mouse.up();
  await expect(rounded(page)).toContainText(/36\.[234]\d mm/);
});

test.describe("by touch", () => {
  const { hasTouch, isMobile } = devices["iPhone 13"];
  test.use({ viewport: { width: 390, height: 844 }, hasTouch, isMobile });

  test("a stone is traced on a phone, in inches", async ({ page }) => {
    await page.goto(STONE);
    await page.getByText("inch", { exact: true }).first().tap();
    await page.getByRole("button", { name: "From a photograph or drawing" }).tap();
    await file(page).setInputFiles(SALTGRASS);
    await page.getByRole("button", { name: "5 mm" }).tap();
    await expect(rounded(page)).toContainText(/3\.08\d* in/);
    await page.getByRole("button", { name: "Use this outline" }).tap();
    await expect(figure(page, "m1.outline.perimeter")).toContainText("3.08");
  });
});
