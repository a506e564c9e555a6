import { readFileSync } from "node:fs";
import { expect, test } from "./a-test";
import { EMPTY, field, figure, kept } from "./places";

test("one number stands everywhere: answer, sum, step, card and find; with a stone on a lift the third means one height", async ({
  page,
}) => {
  await page.goto("/pieces/tern-ring/wall");
  const answer = page.getByRole("region", { name: "Answer" });
  await expect(figure(page, "m1.wall.cutLength")).toContainText("46.05");
  await expect(answer).toContainText("= 46.07, cut at 46.05: a short strip can be stretched");
  await expect(answer).toContainText("finished 45.53 × 2.96");
  await page.keyboard.press("/");
  await page.keyboard.type("strip");
  await expect(page.getByRole("option", { name: /strip/i }).first()).toContainText("46.05 mm");
  await page.keyboard.press("Escape");
  await page.goto("/pieces/tern-ring/making");
  const steps = page.getByRole("region", { name: "Steps" });
  await expect(steps).toContainText("Cut the strip 46.05 mm long");
  await expect(steps).toContainText("trim to 45.53 mm");
  await expect(steps).toContainText("17.19 mm inside, EU 54");
  await page.goto("/pieces/tern-ring/card");
  await expect(page.getByRole("article")).toContainText("46.05 mm long");
  await expect(page.getByRole("article")).toContainText("45.53 × 2.96 mm");
  await page.goto("/pieces/knot-ring/wall");
  const drawn = await page.getByText(/^a third of the height and the lift, /).textContent();
  await expect(page.getByRole("radiogroup", { name: "Height set by" })).toContainText(`${drawn!.split(", ")[1]!}House`);
});

test("between two letters engraved on a maker's own mandrel lies the half", async ({ page }) => {
  await page.goto("/my-bench");
  for (const [letter, across] of [
    ["P", "17.9"],
    ["Q", "18.3"],
  ] as const) {
    await page.getByLabel("Engraved").fill(letter);
    await page.getByLabel("Reads across").fill(across);
    await page.getByRole("button", { name: "Reading", exact: true }).click();
  }
  await expect(page.getByRole("button", { name: "Remove reading Q" })).toBeVisible();
  await page.goto("/pieces/tern-ring/hoop");
  await page.getByLabel("Size system").click();
  await page.getByRole("option", { name: "My mandrel" }).click();
  await field(page, "hoop.size.value").fill("P 1/2");
  await expect(page.getByText("18.10 inside")).toBeVisible();
  await kept(page);
});

test("what cannot be planned is told by the names of its fields, all of it, and what is merely unlikely is a note", async ({ page }) => {
  const tern = JSON.parse(readFileSync("demo/pieces/tern-ring.json", "utf8")) as {
    mounts: [{ stone: object; wall: object; plate: object }];
  };
  const [mount] = tern.mounts;
  const broken = {
    ...mount,
    stone: { ...mount.stone, turnIn: 99 },
    wall: { ...mount.wall, thickness: -1 },
    plate: { ...mount.plate, style: "lid" },
  };
  await page.goto("/");
  await page.locator('input[type="file"]').setInputFiles({
    name: "wrong.json",
    mimeType: "application/json",
    buffer: Buffer.from(JSON.stringify({ ...tern, mounts: [broken] })),
  });
  const told = page.getByRole("dialog");
  await expect(told).toContainText("Thickness of the bezel must be more than 0, got -1");
  await expect(told).toContainText('Edge of the plate must be one of flush, border, open, own, none, got "lid"');
  await expect(told).not.toContainText("Infinity");
  await page.goto("/pieces/tern-ring/wall");
  await field(page, "m1.wall.thickness").fill("0.15");
  await expect(page.getByRole("note", { name: "Note" })).toContainText("A bezel 0.15 mm thick is below the usual range.");
  await field(page, "m1.wall.thickness").fill("0.32");
  await expect(page.getByText("A bezel 0.15 mm thick is below the usual range.")).toHaveCount(0);
});

test("find looks among stones, sizes, metals, words and commands; windows have their titles; a change is read out by its answer", async ({
  page,
}) => {
  await page.goto("/");
  await expect(page).toHaveTitle(/Hoop Ledger$/);
  await expect(page.getByRole("row", { name: /Tern ring/ })).toBeVisible();
  for (const [typed, found] of [
    ["moonstone", "Redshank ring"],
    ["EU 54", "Tern ring"],
    ["fine silver", "ring"],
    ["kerf", "Kerf"],
    ["plan the", "Plan the day"],
  ] as const) {
    await page.keyboard.press("/");
    await expect(page.getByPlaceholder(/^A piece/)).toBeFocused();
    await page.keyboard.type(typed);
    await expect(page.getByRole("option", { name: new RegExp(found, "i") }).first()).toBeVisible();
    await page.keyboard.press("Escape");
  }
  await page.goto("/pieces/tern-ring/wall");
  await expect(page).toHaveTitle("Tern ring · Bezel · Hoop Ledger");
  await field(page, "m1.wall.thickness").fill("0.4");
  await expect(page.locator("[aria-live=polite]").filter({ hasText: "Bezel: " })).toContainText("strip 46.30");
  await page.getByRole("button", { name: /Heats/ }).click();
  await expect(page).toHaveTitle("Tern ring · Heats · Hoop Ledger");
});

test("a word opens into two sentences and a drawing, by mouse, keys and find; the empty tray grows the answer as it is typed", async ({
  page,
}) => {
  await page.goto("/pieces/tern-ring/wall");
  await page.getByRole("button", { name: "Catch over the dome" }).click();
  const open = page.getByRole("dialog");
  await expect(open.getByRole("heading")).toBeVisible();
  await expect(open.locator("svg")).toBeVisible();
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Fit around stone" }).focus();
  await page.keyboard.press("Enter");
  await expect(open).toBeVisible();
  await page.keyboard.press("Escape");
  await page.keyboard.press("/");
  await page.keyboard.type("fibre");
  await page.getByRole("group", { name: "Words" }).getByRole("option", { name: /fibre/i }).click();
  await expect(open.locator("svg")).toBeVisible();

  await page.goto(EMPTY);
  await expect(page.getByText("Four numbers give you everything to cut")).toBeVisible();
  const wall = page.getByRole("region", { name: "Bezel and plate" });
  await page.keyboard.type("16");
  await page.keyboard.press("Enter");
  await page.keyboard.type("12");
  await expect(wall).toContainText("46.05 × – mm");
  await expect(page.getByRole("region", { name: "Heats" })).toBeVisible();
});
