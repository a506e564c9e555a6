import AxeBuilder from "@axe-core/playwright";
import { expect, test } from "./a-test";
import { BESIDE_A_PIECE, field, figure, fourStones, kept, laid } from "./places";

const whelk = (...stages: readonly string[]) => stages.map((stage) => `/pieces/whelk-ring/${stage}`);
const PLACES = {
  "page beside a piece": BESIDE_A_PIECE,
  "stage of a size": [...whelk("stone", "wall", "plate", "hoop"), "/pieces/whimbrel-ring/plate", "/pieces/sanderling-pendant/bail"],
  "stage of the making": whelk("heats", "making", "card", "bench"),
};

for (const [what, places] of Object.entries(PLACES))
  test(`no ${what} has anything serious against it, or is wider than the screen`, async ({ page }) => {
    test.setTimeout(180_000);
    for (const place of places) {
      await page.setViewportSize({ width: 1280, height: 800 });
      await page.goto(place);
      await expect(page.getByRole("main")).toBeVisible();
      const { violations } = await new AxeBuilder({ page }).analyze();
      const serious = violations.filter(({ impact }) => impact === "serious" || impact === "critical");
      expect([place, serious.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`)]).toEqual([place, []]);
      for (const width of [1024, 1920]) {
        await page.setViewportSize({ width, height: 800 });
        const wider = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
        expect([place, width, Math.max(0, wider)]).toEqual([place, width, 0]);
      }
    }
  });

test("pages carry the strict policy, workers' files one of their own, and nothing is fetched from elsewhere", async ({ page }) => {
  const elsewhere: string[] = [];
  page.on("request", (request) => {
    if (!/^(http:\/\/127\.0\.0\.1|data:|blob:)/.test(request.url())) elsewhere.push(request.url());
  });
  const response = (await page.goto("/pieces/tern-ring/wall"))!;
  const policy = response.headers()["content-security-policy"]!;
  expect(policy).toMatch(/default-src 'self'.*script-src 'self' 'nonce-[^']+' 'strict-dynamic'.*object-src 'none'.*frame-ancestors 'none'/);
  expect(response.headers()).toMatchObject({ "x-content-type-options": "nosniff", "referrer-policy": "no-referrer" });
  const script = await page.locator("script[src]").first().getAttribute("src");
  expect((await page.request.get(script!)).headers()["content-security-policy"]).toContain("default-src 'none'");
  expect((await page.request.get("/schema/piece.json")).ok()).toBe(true);
  expect(elsewhere).toEqual([]);
});

test("pressing a figure opens its terms, with where each came from and what another school would make of it", async ({ page }) => {
  await page.goto("/pieces/tern-ring/hoop");
  await figure(page, "hoop.cutLength").click();
  const terms = page.getByRole("dialog");
  await expect(terms).toContainText("54.00 mmround the finger · set on this piece");
  await expect(terms).toContainText("59.15 mmin all");
  await expect(terms).toContainText("59.91 mmcounted at half the thickness");
});

test("inches and degrees Fahrenheit show everywhere, and a bare number is in the shown unit", async ({ page }) => {
  await page.goto("/pieces/tern-ring/wall");
  await page.getByRole("radio", { name: "inch" }).click();
  await expect(figure(page, "m1.wall.cutLength")).toContainText("1.813");
  await expect(page.getByText("28 gauge")).toBeVisible();
  await field(page, "m1.wall.thickness").fill("0.016");
  await expect(figure(page, "m1.wall.cutLength")).toContainText("1.824");
  await page.getByRole("button", { name: /Heats 4 heats/ }).click();
  await page.getByRole("radio", { name: "°F" }).click();
  await expect(page.getByText("1467°").first()).toBeVisible();
  await kept(page);
  await page.reload();
  await expect(page.getByText("1467°").first()).toBeVisible();
});

test("the line at which the side leans in is dragged in the section, and pointing at a measure lights the drawing", async ({ page }) => {
  await page.goto("/pieces/tern-ring/stone");
  const line = page.getByRole("slider", { name: "Height at which the side leans in" });
  const box = (await line.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 - 19);
  await page.mouse.up();
  await expect(field(page, "m1.stone.turnIn")).toHaveValue(/^2\.9/);
  await field(page, "m1.stone.turnIn").fill("2.9");
  await line.focus();
  await page.keyboard.press("ArrowDown");
  await expect(field(page, "m1.stone.turnIn")).toHaveValue("2.85");
  await expect(page.locator("text.lit-text")).toHaveText("leans in at 2.85");
});

test("a joint is pinned, disturbed and shielded on the ladder, and clashing wishes are named", async ({ page }) => {
  await page.goto("/pieces/tern-ring/heats");
  await page.getByLabel("Hoop to plate", { exact: true }).click();
  await page.getByRole("option", { name: "Hard, pinned" }).click();
  await expect(page.getByRole("note", { name: "Wrong" }).first()).toContainText("runs again as hoop to plate is made");
  await expect(page.getByRole("note", { name: "Note" })).toContainText(
    "Without your pin, hoop to plate would be easy. You pinned hard: remove the pin to change it.",
  );
  await expect(page.getByRole("button", { name: /Heats .* runs? again$/ })).toBeVisible();
  for (const joint of ["bezel seam", "bezel to plate", "hoop seam"]) {
    await page.getByRole("button", { name: `More for ${joint}` }).click();
    await page.getByRole("menuitem", { name: "Shield it in later heats" }).click();
  }
  await expect(page.getByRole("img", { name: /Every joint holds/ })).toBeVisible();
  await page.getByRole("button", { name: "More for hoop to plate" }).click();
  await page.getByRole("menuitem", { name: "Never use" }).press("ArrowRight");
  await expect(page.getByRole("menuitem", { name: "hard", exact: true })).toBeFocused();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("note", { name: "Wrong" })).toContainText(
    "These clash: hoop to plate: hard; hoop to plate never hard. Remove one of them.",
  );
});

test("the card prints on one page of A4 and of Letter, of many steps too, that of four stones on two", async ({ page }) => {
  await page.goto("/");
  await laid(page, fourStones());
  await kept(page);
  for (const [piece, pages] of [
    ["four-ring", 2],
    ["dotterel-ring", 1],
    ["whelk-ring", 1],
  ] as const) {
    await page.goto(`/pieces/${piece}/card`);
    for (const paper of ["A4", "Letter"]) {
      await page.getByRole("button", { name: paper }).click();
      const pdf = await page.pdf({ preferCSSPageSize: true });
      expect(pdf.toString("latin1").match(/\/Type\s*\/Page\b/g)).toHaveLength(pages);
    }
  }
  await page.emulateMedia({ media: "print" });
  await expect(page.getByRole("button", { name: "Print" })).toBeHidden();
  await expect(page.getByRole("article")).toContainText("Bezel to plate softens as hoop to plate is made");
});

test("who works in inches reads and types them on My bench, and a height that was not touched keeps its own value", async ({ page }) => {
  await page.goto("/my-bench");
  const heights = page.getByLabel("fine silver, 0.32", { exact: true });
  await expect(heights).toHaveValue(/^2\.5 {2}/);
  await page.getByRole("radio", { name: "inch" }).first().click();
  const inInches = page.getByLabel(/^fine silver, 0\.013/).first();
  await inInches.fill(`${await inInches.inputValue()} 1/4`);
  await inInches.press("Enter");
  await page.getByLabel("Reads across, in").fill("0.678");
  await page.getByLabel("Engraved").fill("54");
  await page.getByRole("button", { name: "Reading" }).click();
  await expect(page.getByText("reads 0.678 in")).toBeVisible();
  await page.getByRole("radio", { name: "mm" }).first().click();
  await expect(page.getByText("reads 17.22 mm")).toBeVisible();
  await expect(heights).toHaveValue(/^2\.5 {2}.*6\.35$/);
  await expect(page.getByText("another window has changed it since")).toBeHidden();
});

test("undo at my bench takes a refused text away first, then the last good edit", async ({ page }) => {
  await page.goto("/my-bench");
  const name = page.getByLabel("Name", { exact: true });
  await name.fill("Marram two");
  await name.press("Enter");
  const rise = page.getByLabel("Overshoot", { exact: true });
  await rise.fill("99");
  await rise.press("Enter");
  await expect(page.getByRole("alert").first()).toBeVisible();
  await page.getByRole("heading", { name: "My bench" }).click();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("alert").filter({ hasText: "◆" })).toHaveCount(0);
  await expect(name).toHaveValue("Marram two");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(name).not.toHaveValue("Marram two");
});

test("the bench's defaults are changed, undone, refused when wrong, and followed by every piece", async ({ page }) => {
  await page.goto("/my-bench");
  const kerf = page.getByLabel("Squaring both ends of a strip");
  await kerf.fill("0.94");
  await kerf.press("Enter");
  await page.getByLabel("Overshoot").fill("40");
  await page.getByLabel("Overshoot").press("Enter");
  await expect(page.getByRole("alert").filter({ hasText: "must be" })).toContainText("must be at most 14, got 40");
  await page.getByRole("link", { name: "Pieces" }).click();
  await expect(page.getByRole("row", { name: /Tern ring/ })).toContainText("46.55 × 3.20");
  await page.getByRole("link", { name: "My bench" }).click();
  await page.getByRole("region", { name: "Shelf typical" }).getByText("Typical", { exact: true }).click();
  const gives = page.getByLabel("easy of typical runs at", { exact: true });
  await gives.fill("600");
  await gives.press("Enter");
  await expect(page.getByRole("alert").filter({ hasText: "must be" })).toContainText("must be at most runs, 600, got 671");
  await page.getByLabel("Engraved").fill("54");
  await page.getByLabel("Reads across").fill("17,22");
  await page.getByRole("button", { name: "Reading" }).click();
  await page.goto("/pieces/tern-ring/hoop");
  await page.getByLabel("Size system").click();
  await page.getByRole("option", { name: "My mandrel" }).click();
  await expect(figure(page, "hoop.cutLength")).toContainText("59.2");
});
