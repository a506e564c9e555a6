import { readFile } from "node:fs/promises";
import { expect, test } from "./a-test";
import { field, figure, kept } from "./places";

test("a plate of its own is sized by its outline; the stone is dragged and turned on it, over the edge is told, a step is undone, all kept over a reload", async ({
  page,
}) => {
  await page.goto("/pieces/tern-ring/plate");
  await page.getByRole("combobox", { name: "Finish" }).click();
  await page.getByRole("option", { name: "Own", exact: true }).click();
  await expect(figure(page, "m1.plate.blankLength")).toContainText("23.0");
  await page.getByRole("combobox", { name: "Outline" }).click();
  await page.getByRole("option", { name: "Round" }).click();
  await field(page, "m1.plate.outline.diameter").fill("24");
  await page.keyboard.press("Tab");
  await expect(figure(page, "m1.plate.blankLength")).toContainText("26.0");
  const place = page.getByRole("slider", { name: /^Place of .* on the plate$/ });
  await place.focus();
  for (let i = 0; i < 5; i++) await page.keyboard.press("ArrowRight");
  await expect(field(page, "m1.plate.at.0")).toHaveValue("0.50");
  const turn = page.getByRole("slider", { name: /^Turn of .* on the plate$/ });
  const at = (await turn.boundingBox())!;
  const middle = (await place.boundingBox())!;
  await page.mouse.move(at.x + at.width / 2, at.y + at.height / 2);
  await page.mouse.down();
  await page.mouse.move(middle.x + middle.width / 2, at.y - 120, { steps: 8 });
  await page.mouse.up();
  await expect(field(page, "m1.plate.turn")).toHaveValue("90.0");
  await field(page, "m1.plate.at.0").fill("7");
  await page.keyboard.press("Tab");
  await expect(page.getByText("it stands over the plate's edge").first()).toBeVisible();
  await expect(page.locator("[data-over-edge]")).toHaveCount(1);
  await page.keyboard.press("Control+z");
  await expect(page.getByText("it stands over the plate's edge")).toHaveCount(0);
  await expect(page.locator("[data-over-edge]")).toHaveCount(0);
  await kept(page);
  await page.reload();
  await expect(field(page, "m1.plate.at.0")).toHaveValue("0.50");
  await expect(field(page, "m1.plate.turn")).toHaveValue("90.0");
  await expect(figure(page, "m1.plate.blankLength")).toContainText("26.0");
});

test("stones are added to one plate with a press, the plate is domed and textured, what is refused is said; at the bench all of it stands", async ({
  page,
}) => {
  await page.goto("/pieces/curlew-ring/plate");
  await page.getByRole("combobox", { name: "Finish" }).click();
  await page.getByRole("option", { name: "Own", exact: true }).click();
  await field(page, "m1.plate.outline.diameter").fill("30");
  await page.keyboard.press("Tab");
  await page.getByRole("button", { name: "Add a stone on this plate" }).click();
  await expect(page.getByRole("group", { name: "Setting shown" }).getByRole("button")).toHaveCount(2);
  await field(page, "m1.plate.domed.rise").fill("16");
  await page.keyboard.press("Tab");
  await expect(page.getByText(/must be less than 15/)).toBeVisible();
  await field(page, "m1.plate.domed.rise").fill("3");
  await page.keyboard.press("Tab");
  await expect(figure(page, "m1.plate.blankLength")).toContainText("32.6");
  await field(page, "m1.plate.texture.name").fill("hammered");
  await page.keyboard.press("Tab");
  await page.getByRole("button", { name: "Stone 2", exact: true }).click();
  await expect(page.getByText("On the plate it shares")).toBeVisible();
  const place = page.getByRole("slider", { name: "Place of stone 2 on the plate" });
  await place.focus();
  await page.keyboard.press("ArrowUp");
  await kept(page);
  await page.goto("/pieces/curlew-ring/making");
  const steps = page.getByRole("region", { name: "Steps" });
  for (const step of [
    "Texture the sheet for the plate while it is flat: hammered",
    "Dome the plate 3.00 mm, from a disc 30.59 mm across",
    "Solder bezel to plate, stones 1 and 2",
  ])
    await expect(steps.getByText(step).first()).toBeVisible();
  await page.goto("/pieces/curlew-ring/card");
  await expect(page.getByRole("article")).toContainText("domed 3.00");
  await expect(page.getByRole("article")).toContainText("texture: hammered");
  const download = page.waitForEvent("download");
  await page.goto("/");
  await page.getByRole("row", { name: /Curlew ring/ }).scrollIntoViewIfNeeded();
  await page.getByRole("row", { name: /Curlew ring/ }).click();
  await page.getByRole("button", { name: "Save file" }).click();
  const piece = JSON.parse(await readFile(await (await download).path(), "utf8")) as { mounts: { on?: string }[] };
  expect(piece.mounts[1]).toMatchObject({ on: "m1" });
});

test("a sum is answered as it is typed in Find, copied with Enter, and begins a piece; in inches too", async ({ page, context }) => {
  await context.grantPermissions(["clipboard-read", "clipboard-write"]);
  await page.goto("/");
  await page.getByRole("button", { name: /^Find/ }).click();
  const input = page.getByRole("combobox", { name: "Find" });
  await input.fill("EU 54 x 3 x 1.6 half-round");
  await expect(page.getByRole("option").first()).toContainText("cut blank59.1 mm");
  await page.keyboard.press("Enter");
  await expect(page.getByText("Copied: 59.1 mm", { exact: true })).toBeVisible();
  expect(await page.evaluate(() => navigator.clipboard.readText())).toBe("59.1 mm");
  await page.getByRole("button", { name: /^Find/ }).click();
  await input.fill("dome 20");
  await expect(page.getByText("Type it like this: dome 20 rise 3")).toBeVisible();
  await input.fill("tern");
  await expect(page.getByRole("option", { name: /Tern ring/ })).toBeVisible();
  await input.fill("oval 15 x 11");
  await page.getByRole("option", { name: "Begin a ring with this stone" }).click();
  await expect(page).toHaveURL(/\/stone$/);
  await expect(field(page, "m1.stone.outline.length")).toHaveValue("15.00");
  await expect(page.getByText("not measured yet").first()).toBeVisible();
});

test("the page of sums answers from its fields, keeps what is typed from one unit to the other, and says what it cannot read", async ({
  page,
}) => {
  await page.goto("/sums");
  const strip = page.getByRole("region", { name: "Strip round a stone" });
  await expect(strip).toContainText("46.05 mm");
  const size = page.getByRole("region", { name: "Finger size" });
  await expect(size.locator("svg").getByText("54.00 mm")).toBeVisible();
  await strip.getByLabel("Width").fill("");
  await expect(strip).toContainText("That gives no sum. A line of this kind is: oval 16 x 12");
  await strip.getByLabel("Width").fill("10");
  await expect(strip).toContainText("net 42.71 mm");
  await page.getByRole("radio", { name: "inch" }).click();
  await expect(strip.getByLabel("Width")).toHaveValue("0.3937");
  await expect(strip).toContainText("net 1.681 in");
  const mass = page.getByRole("region", { name: "What stock weighs" });
  await mass.getByLabel("Metal").selectOption("copper");
  await expect(mass).toContainText("5.37 g");
});
