import { expect, test } from "./a-test";

const SEAM = "/pieces/tern-ring/practice?joint=m1.seam";

test("a heat is opened from its card, won with the pointer, and played again to the same end", async ({ page }) => {
  await page.goto("/pieces/tern-ring/heats");
  await page.getByRole("link", { name: "Practise the heat of bezel seam" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "Practise heat 1 of 4: bezel seam" })).toBeVisible();
  await expect(page.getByRole("heading", { name: "Put the flame on it" })).toBeVisible();
  const box = (await page.locator("canvas").boundingBox())!;
  await page.mouse.move(box.x + box.width / 2 + 60, box.y + box.height / 2);
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await expect(page.getByRole("heading", { name: "It has run" })).toBeVisible({ timeout: 60_000 });
  await page.mouse.move(box.x + box.width + 200, box.y + box.height / 2);
  const happened = page.getByRole("region", { name: "What happened" });
  await expect(happened.getByRole("heading", { name: "It is joined." })).toBeVisible();
  await expect(happened).toContainText("Bezel seam ran from end to end.");
  const clock = await page.getByTestId("clock").textContent();
  const download = page.waitForEvent("download");
  await page.getByRole("button", { name: "Save try 1 as a file" }).click();
  expect((await download).suggestedFilename()).toBe("tern-ring-try.json");
  await page.reload();
  await expect(page.getByRole("listitem", { name: "Try 1," })).toContainText("Bezel seam ran from end to end.");
  await page.getByRole("radio", { name: "4 times" }).check();
  await page.getByRole("button", { name: "Play try 1 again" }).click();
  await expect(page.getByText("Played again", { exact: true })).toBeVisible();
  await expect(happened.getByRole("heading", { name: "It is joined." })).toBeVisible({ timeout: 30_000 });
  await expect(page.getByTestId("clock")).toHaveText(clock!);
  await page.getByRole("button", { name: "Remove try 1" }).click();
  await expect(page.getByText("None yet.")).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("listitem", { name: "Try 1," })).toBeVisible();
  await page.goto("/ledger");
  await expect(page.getByRole("heading", { level: 1 })).toBeVisible();
  await expect(page.getByText("Try 1")).toBeHidden();
});

test("with the keyboard alone: lit, moved, and lost where it is held too long; then begun again", async ({ page }) => {
  await page.goto("/pieces/plover-ring/practice?joint=m1.seam");
  await expect(page.getByRole("heading", { name: "Put the flame on it" })).toBeVisible();
  await page.emulateMedia({ reducedMotion: "reduce" });
  for (let i = 0; i < 4; i++) await page.keyboard.press("+");
  await page.keyboard.press("l");
  await page.keyboard.press("ArrowUp");
  await page.keyboard.press("ArrowDown");
  await expect(page.getByRole("status").filter({ hasText: /^bezel \d+, flux \w+$/ })).toBeAttached();
  await expect(page.getByRole("heading", { name: "Not this time." })).toBeVisible({ timeout: 60_000 });
  await expect(page.getByRole("region", { name: "What happened" })).toContainText("Bezel began to melt.");
  await page.keyboard.press("r");
  await expect(page.getByText("Try 2")).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(page).toHaveURL(/\/pieces\/plover-ring\/heats$/);
});

test("the careful hand shows it; a heat that is not there says so", async ({ page }) => {
  await page.goto(SEAM);
  const follow = page.getByRole("button", { name: "Follow the careful hand" });
  await follow.click();
  await expect(follow).toHaveAttribute("aria-pressed", "true");
  await page.getByRole("radio", { name: "4 times" }).check();
  await page.getByRole("button", { name: "Show the careful hand" }).click();
  await expect(follow).toHaveAttribute("aria-pressed", "false");
  await expect(page.getByRole("heading", { name: "It is joined." })).toBeVisible({ timeout: 60_000 });
  const line = page.getByRole("slider", { name: "Line between what is seen and the heat" });
  await line.focus();
  await page.keyboard.press("ArrowLeft");
  await expect(line).toHaveAttribute("aria-valuenow", "45");
  const handle = (await line.boundingBox())!;
  await page.mouse.move(handle.x + 20, handle.y + 20);
  await page.mouse.down();
  await page.mouse.move(handle.x + 120, handle.y + 20);
  await page.mouse.up();
  expect(Number(await line.getAttribute("aria-valuenow"))).toBeGreaterThan(50);
  await page.keyboard.press("h");
  await expect(line).toBeHidden();
  await page.keyboard.press("r");
  await expect(follow).toHaveAttribute("aria-pressed", "true");
  await page.goto("/pieces/tern-ring/practice?joint=m9.seam");
  await expect(page.getByText("This heat is not in the plan any more.")).toBeVisible();
  await page.getByRole("button", { name: "To the heats" }).click();
  await expect(page).toHaveURL(/\/heats$/);
});

test("a lesson without flux says so; fluxed, it is won with the keyboard alone, and is marked so from then on", async ({ page }) => {
  await page.goto("/practice");
  await page.getByRole("link", { name: /Flux before flame/ }).click();
  await expect(page.getByText("Press F before you light the flame")).toBeVisible();
  await expect(page.getByRole("heading", { name: "There is no flux" })).toBeVisible();
  await page.keyboard.press("f");
  await expect(page.getByRole("heading", { name: "There is no flux" })).toBeHidden();
  await page.keyboard.press("l");
  await expect(page.getByRole("heading", { name: "It has run" })).toBeVisible({ timeout: 60_000 });
  await page.keyboard.press("l");
  await expect(page.getByRole("heading", { name: "It is joined." })).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(page.getByRole("heading", { name: "Practise with the flame" })).toBeVisible();
  await expect(page.getByRole("link", { name: /Flux before flame ✓ won/ })).toBeVisible();
  await expect(page.getByText("✓ won")).toHaveCount(1);
  await page.reload();
  await expect(page.getByText("✓ won")).toHaveCount(1);
});

test("on a phone a finger holds the flame, and nothing is wider than the screen", async ({ browser }) => {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    isMobile: true,
    serviceWorkers: "block",
  });
  const page = await context.newPage();
  await page.goto(SEAM);
  await expect(page.getByRole("heading", { name: "Put the flame on it" })).toBeVisible();
  const wide = await page.evaluate(() => document.documentElement.scrollWidth);
  expect(wide).toBeLessThanOrEqual(390);
  const box = (await page.locator("canvas").boundingBox())!;
  await page.touchscreen.tap(box.x + box.width / 2, box.y + box.height / 2);
  await expect(page.getByTestId("clock")).not.toHaveText("0:00", { timeout: 20_000 });
  await page.getByRole("button", { name: "Show the careful hand" }).tap();
  await expect(page.locator("canvas")).toBeInViewport({ ratio: 1 });
  await context.close();
});
