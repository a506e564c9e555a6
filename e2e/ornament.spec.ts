import { readFileSync } from "node:fs";
import { type Page, expect, test } from "./a-test";
import { field, figure } from "./places";

const list = (page: Page) => page.getByRole("list", { name: "Round the bezel, from the bezel outward" });
const rows = (page: Page) => list(page).getByRole("listitem");
const add = (page: Page, what: string) => page.getByRole("button", { name: what, exact: true }).click();
const lies = async (page: Page, where: string) => {
  await page.getByLabel("Lies").click();
  await page.getByRole("option", { name: where }).click();
};

test("beads at the ends and a rope at the sides share a band; its end is dragged, the order changed with the keys, all kept over a reload", async ({
  page,
}) => {
  await page.goto("/pieces/tern-ring/plate");
  await expect(figure(page, "m1.plate.blankLength")).toContainText("18.7");
  await add(page, "Beads");
  await field(page, "m1.plate.ornament.beads.width").fill("1.2");
  await lies(page, "Both ends");
  await expect(figure(page, "m1.plate.blankLength")).toHaveCount(0);
  await expect(figure(page, "m1.ornament.beads.count")).toContainText("16");
  await add(page, "Rope");
  await field(page, "m1.plate.ornament.rope.from.wire").fill("0.6");
  await lies(page, "Both sides");
  await expect(figure(page, "m1.ornament.rope.piece1")).toContainText(/2 × 15\.\d\d/);
  await expect(page.getByText("ornament", { exact: true })).toBeVisible();

  const end = page.getByRole("slider", { name: "Rope, stretch 1, end" });
  const before = await end.getAttribute("aria-valuenow");
  const { x, y, width, height } = (await end.boundingBox())!;
  await page.mouse.move(x + width / 2, y + height / 2);
  await page.mouse.down();
  await page.mouse.move(x + width / 2 + 30, y + height / 2 - 8, { steps: 6 });
  await page.mouse.up();
  expect(Number(await end.getAttribute("aria-valuenow"))).toBeLessThan(Number(before));
  await expect(figure(page, "m1.ornament.rope.cutLength")).toContainText("+");
  await page.keyboard.press("Control+z");
  await expect(end).toHaveAttribute("aria-valuenow", before!);
  await end.focus();
  await page.keyboard.press("ArrowRight");
  await expect(end).toHaveAttribute("aria-valuenow", String(Number(before) - 0.005));
  await page.keyboard.press("ArrowLeft");

  await expect(rows(page)).toContainText(["Beads", "Rope"]);
  await page.getByRole("button", { name: "Move rope" }).focus();
  await page.keyboard.press("Space");
  await expect(page.getByText("Rope goes to place 2 of 2 from the bezel")).toBeAttached();
  await page.keyboard.press("ArrowUp");
  await expect(page.getByText("Rope goes to place 1 of 2 from the bezel")).toBeAttached();
  await page.keyboard.press("Space");
  await expect(rows(page)).toContainText(["Rope", "Beads"]);
  await expect(page.getByText("Kept on this device")).toBeVisible();
  await page.reload();
  await expect(rows(page)).toContainText(["Rope", "Beads"]);
  await expect(figure(page, "m1.plate.blankLength")).toContainText("21.1");
  await page.getByRole("button", { name: /Heats/ }).click();
  await expect(page.getByText("rope to plate", { exact: false }).first()).toBeVisible();
});

test("beads that leave a gap take the size that closes; a wrong stretch is told, a taken away one comes back with undo", async ({
  page,
}) => {
  await page.goto("/pieces/plover-ring/plate");
  await add(page, "Beads");
  await expect(figure(page, "m1.ornament.beads.gap")).not.toContainText("0.00 left over");
  await page.getByRole("button", { name: /they close exactly/ }).click();
  await expect(figure(page, "m1.ornament.beads.gap")).toContainText("0.00 left over");
  await expect(page.getByRole("button", { name: /they close exactly/ })).toHaveCount(0);
  await field(page, "m1.plate.ornament.beads.from.snippet").fill("1.8");
  await expect(field(page, "m1.plate.ornament.beads.width")).toHaveValue("1.20");
  await page.getByLabel("Edge", { exact: true }).click();
  await page.getByRole("option", { name: "Even" }).click();
  await expect(page.getByText("the same width all round")).toBeVisible();
  await field(page, "m1.plate.ornament.beads.width").fill("0.5");
  await expect(page.getByText("Beads of 0.50 mm are hard to solder.")).toBeVisible();
  await page.getByRole("button", { name: "Remove" }).click();
  await expect(rows(page)).toHaveCount(0);
  await page.keyboard.press("Control+z");
  await expect(rows(page)).toHaveCount(1);
});

test("a back is opened on a ledge and the stone rises; a stamp is refused where the hoop goes, and dragged clear of it", async ({
  page,
}) => {
  await page.goto("/pieces/tern-ring/plate");
  await page.getByLabel("Finish").click();
  await page.getByRole("option", { name: "Open" }).click();
  await expect(figure(page, "m1.ledge.cutLength")).toContainText("42.5");
  await expect(figure(page, "m1.ledge.backShown")).toContainText("79");
  await expect(page.getByText("The ledge hides 21% of the back.", { exact: true })).toBeVisible();
  await field(page, "m1.plate.ledge.width").fill("0.6");
  await expect(page.getByText("The ledge hides")).toHaveCount(0);
  await page.getByRole("button", { name: /Bezel strip/ }).click();
  await expect(field(page, "m1.wall.lift")).toHaveValue("0.80");
  await field(page, "m1.wall.lift").fill("0.5");
  await expect(page.getByRole("alert").filter({ hasText: "ledge's height" })).toBeVisible();
  await field(page, "m1.wall.lift").fill("0.8");
  await page.getByRole("button", { name: /Plate open/ }).click();
  await page.getByLabel("Finish").click();
  await page.getByRole("option", { name: "Flush" }).click();
  await expect(page.getByText("The stone stands 0.80 mm off the plate over a closed hollow.")).toBeVisible();
  await field(page, "m1.plate.drain.diameter").fill("1");
  await expect(page.getByText("over a closed hollow")).toHaveCount(0);
  await field(page, "m1.plate.stamp.width").fill("3");
  const stamp = page.getByRole("slider", { name: "Stamp" });
  const { x, y, width, height } = (await stamp.boundingBox())!;
  await page.mouse.move(x + width / 2, y + height / 2);
  await page.mouse.down();
  await page.mouse.move(x + width / 2 - 40, y + height / 2, { steps: 5 });
  await expect(page.getByText("Stamp must lie on the plate, clear of the hoop.")).toBeVisible();
  await page.mouse.move(x + width / 2 + 10, y + height / 2 + 6, { steps: 5 });
  await page.mouse.up();
  await expect(page.getByText(/^[01]\.\d\d clear$/)).toBeVisible();
  await field(page, "m1.plate.stamp.at.0").fill("5");
  await field(page, "m1.plate.stamp.at.1").fill("1");
  await expect(stamp).toHaveAttribute("aria-valuenow", "5");
  const middle = (await stamp.boundingBox())!;
  expect(middle.x).toBeGreaterThan((await page.getByRole("slider", { name: "Drain" }).boundingBox())!.x);
  const download = page.waitForEvent("download");
  await page.getByRole("button", { name: "More" }).click();
  await page.getByRole("menuitem", { name: "Save file" }).click();
  const saved = JSON.parse(readFileSync(await (await download).path(), "utf8")) as { mounts: [{ plate: Record<string, unknown> }] };
  expect(saved.mounts[0].plate).toMatchObject({
    style: "flush",
    ledge: { width: 0.6 },
    stamp: { width: 3, height: 1.125, at: [-5, 1] },
    drain: { diameter: 1 },
  });
});

test("a ball is put on the hoop, moved along it and told to be too near the seam; the card and the heats know it", async ({ page }) => {
  await page.goto("/pieces/tern-ring/hoop");
  const put = page.getByRole("region", { name: "Sweated on" });
  await put.getByRole("button", { name: "Ball" }).click();
  await field(page, "applied.ball.along").fill("9");
  await field(page, "applied.ball.ball.diameter").fill("1.8");
  await expect(put).toContainText("1.80 mm across, sterling");
  const ball = page.getByRole("slider", { name: "Ball" });
  await ball.press("ArrowRight");
  await expect(ball).toHaveAttribute("aria-valuenow", "9.5");
  await field(page, "applied.ball.along").fill("31");
  await page.getByRole("button", { name: /Heats/ }).click();
  await expect(page.getByText(/The ball lies 0\.\d\d mm from the seam/)).toBeVisible();
  await expect(page.getByText("Ball to hoop", { exact: true })).toBeVisible();
  await page.goto("/pieces/tern-ring/card");
  await expect(page.getByRole("article")).toContainText("1.80 mm across, sterling, on the hoop");
});

test("what is put on a setting lies where it is said in the plan, on the plate first, or on the bezel or an ornament of it; on a cup's bezel", async ({
  page,
}) => {
  await page.goto("/pieces/turnstone-ring/plate");
  const put = page.getByRole("region", { name: "Sweated on" });
  await put.getByRole("button", { name: "Disc" }).click();
  const disc = page.getByRole("slider", { name: "Disc" });
  await field(page, "applied.disc.at.0").fill("9.5");
  await expect(disc).toHaveAttribute("aria-valuenow", "9.5");
  await disc.focus();
  for (const key of ["ArrowRight", "ArrowUp", "ArrowUp"]) await page.keyboard.press(key);
  await expect(field(page, "applied.disc.at.0")).toHaveValue("9.60");
  const up = Number(await field(page, "applied.disc.at.1").inputValue());
  await page.keyboard.press("ArrowDown");
  await expect(field(page, "applied.disc.at.1")).toHaveValue((up - 0.1).toFixed(2));
  await put.getByRole("button", { name: "Strip" }).click();
  await page.getByRole("slider", { name: "Turn of strip" }).focus();
  await page.keyboard.press("ArrowLeft");
  await expect(field(page, "applied.strip.turn")).toHaveValue("5.0");
  await put.getByRole("button", { name: "Remove strip" }).click();
  await put.getByRole("button", { name: /^Disc/ }).first().click();
  const on = put.getByLabel("On", { exact: true });
  await expect(on).toContainText("Plate");
  for (const part of ["Beads", "Bezel"]) {
    await on.click();
    await page.getByRole("option", { name: part }).click();
    await expect(on).toContainText(part);
    await expect(disc).toBeVisible();
  }
  await page.getByRole("button", { name: /Heats/ }).click();
  await expect(page.getByText("Disc to bezel", { exact: true })).toBeVisible();
  await page.goto("/pieces/samphire-ring/wall");
  await put.getByRole("button", { name: "Ball" }).click();
  await expect(page.getByRole("slider", { name: "Ball" })).toBeVisible();
  await expect(put).toContainText("1.50 mm across, sterling");
});
