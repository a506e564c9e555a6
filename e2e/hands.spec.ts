import { type Page, devices, expect, test } from "./a-test";
import { ONE_PRESS, ROUTES, atBench, heading, reading, tern } from "./bench";
import { EMPTY, laid } from "./places";

test("a key that is held counts once, a switch that bounces too; a foot switch works in a field; Undo stays in reach", async ({ page }) => {
  await atBench(page);
  await expect(page.getByText("Step 1 of 41")).toBeVisible();
  for (const key of ["Space", "PageDown"]) {
    await page.waitForTimeout(ONE_PRESS);
    for (let i = 0; i < 12; i++) await page.keyboard.down(key);
    await page.keyboard.up(key);
  }
  await expect(page.getByText("Step 3 of 41")).toBeVisible();
  await page.getByRole("button", { name: "Done" }).evaluate((button: HTMLElement) => {
    for (let i = 0; i < 8; i++) button.click();
  });
  await expect(page.getByText("Step 4 of 41")).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByText("Step 3 of 41")).toBeVisible();
  await reading(page, "Height of the strip").focus();
  await page.keyboard.type("3.2");
  await page.keyboard.press("PageDown");
  await expect(page.getByText("Step 4 of 41")).toBeVisible();
  await page.waitForTimeout(ONE_PRESS);
  await page.keyboard.press("PageUp");
  await expect(reading(page, "Height of the strip")).toHaveValue("3.20");
});

test("Esc gives the focus back to what opened a dialog, and every dialog has a name", async ({ page }) => {
  await page.goto("/");
  await laid(page, { ...tern, id: "mine", name: "Mine" });
  const through = async (open: ReturnType<Page["getByRole"]>, name: RegExp) => {
    await open.focus();
    await page.keyboard.press("Enter");
    const dialog = page.getByRole("dialog", { name });
    await expect(dialog).toBeVisible();
    await page.keyboard.press("Escape");
    await expect(dialog).toBeHidden();
    await expect(open).toBeFocused();
  };
  await page.goto("/pieces/mine/wall");
  await through(page.getByRole("button", { name: /^Find/ }), /Find/);
  await through(page.getByRole("button", { name: "Fit around stone" }), /Fit/i);
  await through(page.getByRole("button", { name: /Net length of the bezel, show its sum/ }), /Net length/);
  await page.goto("/pieces/mine/heats");
  await through(page.getByRole("button", { name: /Five ways|Compare/ }), /ways/);
  await through(page.getByRole("button", { name: /Add a joint/i }), /joint/);
  await page.goto("/");
  await through(page.getByRole("button", { name: /New piece/ }), /New piece/);
  await page.goto("/ledger");
  await through(page.getByRole("button", { name: "Kelp ring" }).first(), /Kelp ring/);
  await page.goto("/pieces/mine/bench");
  await through(page.getByRole("button", { name: /Went wrong/ }), /went wrong/);
});

const LONG_NAME = "W".repeat(120);
/** Every target smaller than so many px both ways, by its name. */
const tooSmall = (page: Page, least: number) =>
  page.evaluate((least) => {
    const found = [...document.querySelectorAll<HTMLElement>("button, a[href], input, select, textarea, [role=button]")].flatMap(
      (element) => {
        const target = element.closest("label") ?? element;
        const { width, height } = target.getBoundingClientRect();
        const isShown = width > 1 && height > 1 && getComputedStyle(element).visibility === "visible" && !element.closest(".sr-only, svg");
        return isShown && (width < least - 0.5 || height < least - 0.5)
          ? [`${element.getAttribute("aria-label") ?? element.textContent} ${width}x${height}`]
          : [];
      },
    );
    return [...new Set(found)];
  }, least);

test("no target is under 24 px, at the bench none under 44, and headings follow one another", async ({ page }) => {
  test.setTimeout(180_000);
  for (const route of [
    ...ROUTES,
    "/pieces/turnstone-ring/plate",
    "/pieces/tern-ring/hoop",
    "/pieces/limpet-pendant/bail",
    "/pieces/turnstone-ring/heats",
  ]) {
    await page.goto(route);
    await expect(page.getByRole("heading", { level: 1 })).toHaveCount(1);
    if (route === "/ledger") await expect(page.getByRole("checkbox").first()).toBeVisible();
    await page.waitForTimeout(300);
    expect(await tooSmall(page, route.endsWith("/bench") ? 44 : 24), route).toEqual([]);
  }
});

test("a ledger with nothing in it is no table without rows", async ({ page }) => {
  await page.goto(`${EMPTY}ledger`);
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("Ledger");
  await expect(page.getByRole("table")).toHaveCount(0);
});

test("colours that tell things apart stay in forced colours: the strip of steps, the dots of the stages", async ({ page }) => {
  await page.emulateMedia({ forcedColors: "active" });
  await atBench(page);
  const strip = page.locator("header ol li");
  const colours = () => strip.evaluateAll((all) => new Set(all.map((each) => getComputedStyle(each).backgroundColor)).size);
  await expect(strip.first()).toBeVisible();
  expect(await colours()).toBeGreaterThanOrEqual(3);
});

test.describe("on a phone", () => {
  const { hasTouch, isMobile } = devices["iPhone 13"];
  test.use({ viewport: { width: 390, height: 844 }, hasTouch, isMobile });

  test("what can be done meanwhile is told whole, the scale names its red end, and a name without a space bends nothing", async ({
    page,
  }) => {
    await page.goto("/");
    await laid(page, { ...tern, id: "long", name: LONG_NAME });
    await page.goto("/pieces/long/bench");
    for (let step = 2; step <= 5; step++) {
      await page.waitForTimeout(ONE_PRESS);
      await page.getByRole("button", { name: "Done", exact: true }).tap();
      await expect(page.getByText(`Step ${step} of 41`)).toBeVisible();
    }
    const meanwhile = page.getByRole("button", { name: /^This part is waiting/ });
    expect(await meanwhile.evaluate((each) => each.firstElementChild!.scrollWidth <= each.firstElementChild!.clientWidth)).toBe(true);
    await expect(meanwhile).toContainText("59.1 mm long");
    await expect(page.locator("svg text", { hasText: "start again" })).toBeVisible();
    const overflow = () => page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    for (const route of ["/pieces/long/bench", "/pieces/long/wall", "/pieces/long/card", "/", "/ledger"]) {
      await page.goto(route);
      await page.waitForTimeout(400);
      expect(await overflow(), route).toBeLessThanOrEqual(0);
    }
  });

  test("on its side, and enlarged fourfold, the step has the room; on every stage the fields begin on the first screen", async ({
    page,
  }) => {
    for (const [width, height] of [
      [844, 390],
      [320, 200],
    ] as const) {
      await page.setViewportSize({ width, height });
      await atBench(page);
      const [head, foot] = [page.locator("header"), page.locator("footer")];
      await expect(heading(page)).toBeVisible();
      const stuck = await foot.evaluate((each) => (getComputedStyle(each).position === "sticky" ? each.getBoundingClientRect().height : 0));
      expect((await head.boundingBox())!.height + stuck).toBeLessThan(height * 0.4);
    }
    await page.setViewportSize({ width: 390, height: 844 });
    for (const stage of ["tern-ring/stone", "tern-ring/wall", "turnstone-ring/plate", "tern-ring/hoop", "limpet-pendant/bail"]) {
      await page.goto(`/pieces/${stage}`);
      await expect(page.getByRole("region", { name: "Measures" })).toBeVisible();
      const top = await page.locator("[data-field]").first().boundingBox();
      expect(top!.y, stage).toBeLessThan(844);
    }
  });

  test("no word is under 11 px", async ({ page }) => {
    for (const route of [...ROUTES, "/pieces/limpet-pendant/bail", "/pieces/turnstone-ring/heats", "/pieces/redshank-ring/heats"]) {
      await page.goto(route);
      await page.waitForTimeout(500);
      const small = await page.evaluate(() => {
        const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
        const found: string[] = [];
        for (let node = walk.nextNode(); node; node = walk.nextNode()) {
          const parent = node.parentElement!;
          if (!node.textContent!.trim() || parent.getBoundingClientRect().width < 2 || parent.closest(".card-page")) continue;
          const zoom = parent instanceof SVGGraphicsElement ? Math.hypot(parent.getScreenCTM()!.a, parent.getScreenCTM()!.b) : 1;
          const size = parseFloat(getComputedStyle(parent).fontSize) * zoom;
          if (size < 10.95) found.push(`${size.toFixed(1)} ${node.textContent!.trim()}`);
        }
        return found;
      });
      expect(small, route).toEqual([]);
    }
  });
});
