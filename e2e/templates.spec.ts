import { readFileSync } from "node:fs";
import { type Page, expect, test } from "./a-test";

async function saved(page: Page, button: string): Promise<{ name: string; bytes: Buffer }> {
  const download = page.waitForEvent("download");
  await page.getByRole("button", { name: button }).click();
  const file = await download;
  return { name: file.suggestedFilename(), bytes: readFileSync(await file.path()) };
}

test("templates are opened from the plate, seen at true size once the screen is set, and saved to print and to saw by", async ({
  page,
}) => {
  await page.goto("/pieces/turnstone-ring/plate");
  await page.getByRole("link", { name: "Templates at true size" }).click();
  await expect(page.getByRole("heading", { name: "Templates, enlarged" })).toBeVisible();
  const sheets = page.getByRole("region", { name: "On paper" });
  await expect(sheets.getByRole("img")).toHaveCount(1);
  await expect(sheets.getByRole("img")).toHaveAccessibleName(/^Sheet 1: Bezel, 46\.05.*; Plate.*; Hoop's blank/);
  await page.getByText("Life size", { exact: true }).click();
  await expect(page.getByRole("heading", { name: "Templates, about life size" })).toBeVisible();
  await expect(page.getByRole("listitem").getByRole("heading", { level: 2 })).toContainText([
    "Bezel, 46.05",
    "Plate, blank 22.7 × 18.7",
    "Rope",
    "Beads",
    "Hoop's blank, 59.1",
  ]);
  await page.getByRole("button", { name: "Set the screen" }).click();
  const edge = page.getByRole("slider", { name: "Right edge of the card" });
  const { x, y, width, height } = (await edge.boundingBox())!;
  await page.mouse.move(x + width / 2, y + height / 2);
  await page.mouse.down();
  await page.mouse.move(x + width / 2 + 80, y + height / 2, { steps: 5 });
  await page.mouse.up();
  await expect(page.getByRole("heading", { name: "Templates, life size" })).toBeVisible();
  const perMm = Number(await edge.getAttribute("aria-valuenow"));
  expect(perMm).toBeGreaterThan(4.5);
  await edge.press("ArrowLeft");
  await expect(edge).toHaveAttribute("aria-valuenow", String(Math.round((perMm - 0.01) * 1000) / 1000));
  await page.reload();
  await page.getByText("Life size", { exact: true }).click();
  await expect(page.getByText("The screen size is set.")).toBeVisible();
  const plate = (await page.getByRole("img", { name: /^Plate/ }).boundingBox())!;
  expect(plate.width / (perMm - 0.01)).toBeCloseTo(22.74 + 4, 0);

  const pdf = await saved(page, "Save to print");
  expect([pdf.name, pdf.bytes.subarray(0, 5).toString()]).toEqual(["turnstone-ring-templates.pdf", "%PDF-"]);
  const svg = await saved(page, "Save plate as SVG");
  expect(svg.name).toBe("turnstone-ring-plate.svg");
  expect(svg.bytes.toString()).toMatch(/width="[\d.]+mm".*\n.*<title>Plate, blank 22\.7/);
  const dxf = await saved(page, "Save hoop as DXF");
  expect(dxf.bytes.toString()).toMatch(/LWPOLYLINE[\s\S]*\bCUT\b/);
  await page.keyboard.press("/");
  await page.keyboard.type("templates");
  await expect(page.getByRole("option", { name: /Templates at true size/ })).toBeVisible();
});
