import { readFileSync } from "node:fs";
import { expect, test } from "./a-test";
import { field, figure, kept } from "./places";

test("a piece is renamed in place, duplicated, and found by its name", async ({ page }) => {
  await page.goto("/");
  await page.getByRole("button", { name: "Rename" }).click();
  await page.getByLabel("Name", { exact: true }).fill("Tern, the larger");
  await page.getByLabel("Name", { exact: true }).press("Enter");
  await expect(page.getByRole("table")).toContainText("Tern, the larger");
  await page.getByRole("button", { name: "Duplicate" }).click();
  await expect(page.getByRole("table").getByRole("row")).toHaveCount(18);
  await page.getByRole("table").getByRole("button", { name: "Tern, the larger, copy" }).click();
  await expect(page).toHaveURL(/tern-ring-2\/wall/);
  await page.getByRole("button", { name: "Tern, the larger, copy" }).click();
  await page.getByLabel("Name of the piece").fill("Second tern");
  await page.getByLabel("Name of the piece").press("Enter");
  await kept(page);
  await page.keyboard.press("/");
  await expect(page.getByPlaceholder(/^A piece/)).toBeFocused();
  await page.keyboard.type("plover moonstone us");
  await expect(page.getByRole("option").first()).toContainText("Plover ring");
  await page.keyboard.press("Enter");
  await expect(page).toHaveURL(/plover-ring\/wall/);
  await page.getByRole("link", { name: "Pieces" }).click();
  await expect(page.getByRole("table")).toContainText("Second tern");
});

test("the tray is walked with the arrow keys, and a stone on it chosen and opened with the mouse", async ({ page }) => {
  await page.goto("/");
  const rows = page.getByRole("table").getByRole("button");
  await rows.first().focus();
  await page.keyboard.press("ArrowDown");
  await expect(rows.nth(1)).toBeFocused();
  await expect(page.getByRole("complementary")).toContainText("It tilts 15.9° as it hangs.");
  for (let i = 0; i < 19; i++) await page.keyboard.press("ArrowDown");
  await expect(rows.filter({ hasText: "Curlew ring" })).toBeFocused();
  await expect(rows.filter({ hasText: "Curlew ring" })).toBeInViewport();
  for (let i = 0; i < 20; i++) await page.keyboard.press("ArrowUp");
  await expect(rows.first()).toBeFocused();
  await page.getByRole("region", { name: "Tray" }).getByRole("button", { name: "Whelk ring" }).click();
  await expect(page.getByRole("complementary")).toContainText("Bezel to plate softens as hoop to plate is made.");
  await page.getByRole("complementary").getByRole("button", { name: "Open" }).click();
  await expect(page).toHaveURL(/whelk-ring\/wall/);
});

test("the list of pieces and the ledger follow the wheel to their last row and back", async ({ page }) => {
  await page.goto("/");
  await expect(page.getByText("Made 21 Nov")).toHaveCount(1);
  await page.setViewportSize({ width: 1280, height: 400 });
  for (const [path, first, last] of [
    ["/", "Tern ring", "Curlew ring"],
    ["/ledger", "points pushed first", "first hoop written down"],
  ] as const) {
    await page.goto(path);
    const rows = page.getByRole("table").getByRole("row");
    await expect(rows.filter({ hasText: first })).toBeVisible();
    await expect(rows.filter({ hasText: last })).toHaveCount(0);
    await page.mouse.move(400, 300);
    // The second time nothing is planned any more that would draw the list again by the way.
    for (let i = 0; i < 2; i++) {
      // Rows turn out taller than they were thought to be as they come.
      await expect(async () => {
        await page.mouse.wheel(0, 4000);
        await expect(rows.filter({ hasText: last })).toBeInViewport({ timeout: 500 });
      }).toPass();
      await expect(rows.filter({ hasText: first })).toHaveCount(0);
      await page.mouse.wheel(0, -4000);
      await expect(rows.filter({ hasText: first })).toBeInViewport();
    }
  }
});

test("a piece with several settings shows each of them, and its many heats are the best found", async ({ page }) => {
  const tern = JSON.parse(readFileSync("demo/pieces/tern-ring.json", "utf8")) as { mounts: { id: string; stone: object }[] };
  const small = { ...tern.mounts[0]!.stone, outline: { shape: "round", diameter: 6 } };
  const mounts = Array.from({ length: 7 }, (_, i) => ({
    ...tern.mounts[0]!,
    id: `m${i + 1}`,
    stone: i === 0 ? tern.mounts[0]!.stone : small,
  }));
  await page.goto("/");
  const file = {
    name: "seven.json",
    mimeType: "application/json",
    buffer: Buffer.from(JSON.stringify({ ...tern, id: "seven-ring", name: "Seven ring", mounts })),
  };
  await page.locator('input[type="file"]').setInputFiles(file);
  await page.getByRole("button", { name: "Put it on the tray" }).click();
  await expect(figure(page, "m1.wall.cutLength")).toContainText("46.05");
  await page.getByRole("button", { name: "Stone 3", exact: true }).click();
  await expect(figure(page, "m3.wall.cutLength")).toContainText("20.70");
  await field(page, "m3.wall.thickness").fill("0.4");
  await expect(figure(page, "m3.wall.cutLength")).toContainText("20.95");
  await page.getByRole("button", { name: /Heats/ }).click();
  await expect(page.getByText("This is the best order found; a better one may exist.")).toBeVisible();
});

test("heats that take a search come from a worker, the last asked for is the one shown, and sizes never wait for it", async ({ page }) => {
  const tern = JSON.parse(readFileSync("demo/pieces/tern-ring.json", "utf8")) as { mounts: object[] };
  const mounts = [1, 2, 3, 4].map((i) => ({ ...tern.mounts[0], id: `m${i}` }));
  const four = { ...tern, id: "four-ring", name: "Four ring", mounts, heats: { way: "free" } };
  await page.goto("/");
  const file = { name: "four.json", mimeType: "application/json", buffer: Buffer.from(JSON.stringify(four)) };
  await page.locator('input[type="file"]').setInputFiles(file);
  const started = page.waitForEvent("worker");
  await page.getByRole("button", { name: "Put it on the tray" }).click();
  expect((await started).url()).toContain("/_next/static/");
  const stem = page.getByRole("navigation", { name: "Stages" });
  await expect(stem).toContainText("all hold");
  await page.getByRole("button", { name: /Heats/ }).click();
  for (const overshoot of ["9", "12", "11", "14"]) await field(page, "heats.overshoot").fill(overshoot);
  await expect(page.getByText(/14 °C of overshoot takes hard/)).toBeVisible();
  await expect(stem).not.toContainText("looking for the best order");
  await expect(page.getByRole("list", { name: "Heats" }).getByRole("listitem").first()).toContainText("801°");
});

test("ticks are kept with the making, and the tray says what comes next", async ({ page }) => {
  await page.goto("/pieces/tern-ring/making");
  for (const i of [0, 1, 2]) await page.getByRole("checkbox").nth(i).check();
  await page.getByRole("button", { name: /Solder bezel seam/ }).click();
  await expect(page.getByRole("note", { name: "Cautions" })).toContainText(
    "Local codes, product safety sheets and licensed practice come first.",
  );
  await page.getByRole("checkbox").nth(2).uncheck();
  await page.reload();
  await expect(page.getByText("2 of 41 done")).toBeVisible();
  await page.getByRole("link", { name: "Pieces" }).click();
  await expect(page.getByRole("row", { name: /Tern ring/ })).toContainText("Step 3: slit the strip 3.20 mm tall");
});
