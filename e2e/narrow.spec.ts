import AxeBuilder from "@axe-core/playwright";
import { devices, expect, test } from "./a-test";
import { BESIDE_A_PIECE, field, figure, kept } from "./places";

const { hasTouch, isMobile } = devices["iPhone 13"];
test.use({ viewport: { width: 390, height: 844 }, hasTouch, isMobile });

const STAGES = ["stone", "wall", "plate", "hoop", "heats", "making", "card", "bench"] as const;
const PLACES = {
  "the tray, my bench and the ledger": BESIDE_A_PIECE,
  "a piece's stages": [
    ...STAGES.slice(0, 5).map(stage),
    "/pieces/curlew-ring/hoop",
    "/pieces/kelp-ring/hoop",
    "/pieces/whimbrel-ring/plate",
  ],
  "its making, its card and the bench": STAGES.slice(5).map(stage),
};

function stage(name: string): string {
  return `/pieces/thrift-ring/${name}`;
}

for (const [what, places] of Object.entries(PLACES))
  test(`on a phone and a tablet nothing of ${what} is wider than the screen, cut off, smaller than a fingertip, or seriously against a reader`, async ({
    page,
  }) => {
    test.setTimeout(180_000);
    for (const place of places) {
      await page.goto(place);
      await expect(page.getByRole("main")).toBeVisible();
      if (place.startsWith("/pieces") && !/card|bench/.test(place))
        await page.getByRole("button", { name: "More for this piece" }).waitFor();
      for (const width of [360, 768, 1024, 390]) {
        await page.setViewportSize({ width, height: 844 });
        const wider = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
        expect([place, width, wider]).toEqual([place, width, 0]);
        const cut = await page.evaluate(() => [
          ...[...document.querySelectorAll("main header *, main input")].flatMap((each) =>
            each.scrollWidth > each.clientWidth + 1 && getComputedStyle(each).overflowX !== "visible"
              ? [each.textContent || (each as HTMLInputElement).value]
              : [],
          ),
          ...[...document.querySelectorAll("main svg text")].flatMap((each) => {
            const [word, sheet] = [each.getBoundingClientRect(), each.closest("svg")!.getBoundingClientRect()];
            return word.right > sheet.right + 1 || word.left < sheet.left - 1 ? [each.textContent] : [];
          }),
        ]);
        if (place.startsWith("/pieces")) expect([place, width, cut]).toEqual([place, width, []]);
      }
      const small = await page
        .getByRole("main")
        .locator("button, a, label:has(input)")
        .evaluateAll((all) =>
          all.flatMap((each) => {
            const { width, height } = each.getBoundingClientRect();
            const isWord = each.getAttribute("aria-haspopup") === "dialog" && !each.hasAttribute("data-figure");
            return width > 0 && !isWord && (width < 43.5 || height < 43.5) ? [`${each.textContent} ${width} x ${height}`] : [];
          }),
        );
      expect([place, small]).toEqual([place, []]);
      // Most is the same at every width; what a narrow screen lays out otherwise is looked at here too.
      if (!/^\/$|wall$|bench$/.test(place)) continue;
      const { violations } = await new AxeBuilder({ page }).analyze();
      const serious = violations.filter(({ impact }) => impact === "serious" || impact === "critical");
      expect([place, serious.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`)]).toEqual([place, []]);
    }
  });

test("by touch alone a piece is opened, gone through, measured, ticked and read on its card, answer before measures before drawing", async ({
  page,
}) => {
  await page.goto("/");
  await page.getByRole("region", { name: "Tray" }).getByRole("button", { name: "Whelk ring", exact: true }).tap();
  await page.getByRole("button", { name: "Open", exact: true }).tap();
  await expect(page).toHaveURL(/whelk-ring\/wall/);
  const tops = await Promise.all(
    ["Stages", "Answer", "Measures", "Drawing"].map(
      async (name) => (await page.locator(`[aria-label="${name}"]`).first().boundingBox())!.y,
    ),
  );
  expect([...tops].sort((a, b) => a - b)).toEqual(tops);
  await field(page, "m1.wall.thickness").tap();
  await field(page, "m1.wall.thickness").fill("0.5");
  await expect(figure(page, "m1.wall.cutLength")).toContainText("51.40");
  await page.getByRole("button", { name: "Catch over the dome" }).tap();
  await expect(page.getByRole("dialog")).toContainText("How far the bezel's edge reaches in over the stone");
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: /^Making/ }).tap();
  await page.getByLabel("1. Look the stone over, edge and back").tap();
  await expect(page.getByRole("region", { name: "Answer" })).toContainText("1 of 41 done");
  await page.getByRole("button", { name: "More for this piece" }).tap();
  await page.getByRole("menuitem", { name: "Card" }).tap();
  await expect(page.getByRole("heading", { name: "Whelk ring" })).toBeVisible();
  await page.goto("/pieces/whelk-ring/wall");
  await kept(page);
  await expect(field(page, "m1.wall.thickness")).toHaveValue("0.5");
});
