import { expect, test } from "@playwright/test";
import { kept } from "./places";

test("the five ways are compared on this piece, one is taken, and it can be taken back", async ({ page }) => {
  await page.goto("/pieces/tern-ring/heats");
  await page.getByRole("button", { name: "Compare the five ways" }).click();
  const ways = page.getByRole("dialog");
  await expect(ways.getByText("working it out")).toHaveCount(0);
  const row = (name: string) => ways.getByRole("row").filter({ has: page.getByRole("rowheader", { name: new RegExp(`^${name}`) }) });
  await expect(row("Free")).toContainText("4 heats");
  await expect(row("Free")).toContainText("✓ all hold");
  await expect(row("Free")).toContainText("✓ in use");
  await expect(row("One grade")).toContainText(/[a-d] runs [a-d].* again: shield (it|them), or take/);
  await ways.getByRole("button", { name: "Take one grade" }).click();
  await expect(ways).toBeHidden();
  await kept(page);
  await page.reload();
  await page.getByRole("button", { name: "Compare the five ways" }).click();
  await expect(row("One grade")).toContainText("✓ in use");
  await page.keyboard.press("Escape");
  await expect(page.getByRole("heading", { name: "How you work" })).toBeVisible();
});
