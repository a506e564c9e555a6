import { type Page, expect, test } from "./a-test";
import { EMPTY } from "./places";

/** Pictures of each code on the screen, as another device's camera takes them. */
async function picturesOf(page: Page): Promise<Buffer[]> {
  const code = page.getByRole("dialog").getByRole("img");
  const count = Number(/of (\d+)/.exec((await code.getAttribute("aria-label"))!)?.[1] ?? 1);
  const pictures: Buffer[] = [];
  for (let at = 1; at <= count; at += 1) {
    if (at > 1) await page.getByRole("button", { name: "Next code" }).click();
    if (count > 1) await expect(code).toHaveAccessibleName(`Code ${at} of ${count}`);
    pictures.push(await code.screenshot());
  }
  return pictures;
}

const asFile = (buffer: Buffer, i = 0) => ({ name: `code-${i}.png`, mimeType: "image/png", buffer });

test("a piece goes to a second device by codes on the screen, read as pictures in any order; nothing is taken before the last", async ({
  page,
  browser,
}) => {
  await page.goto("/");
  await page.getByRole("row", { name: /Knot ring/ }).click();
  await page.getByRole("button", { name: "Show as codes" }).click();
  await expect(page.getByRole("dialog").getByRole("img")).toBeVisible();
  const pictures = await picturesOf(page);
  expect(pictures.length).toBeGreaterThan(1);

  const other = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  await other.goto(EMPTY);
  await other.getByRole("region", { name: "Start" }).getByRole("button", { name: "Read codes" }).click();
  const input = other.getByLabel("A picture of the code");
  await input.setInputFiles(asFile(Buffer.from("no picture")));
  await expect(other.getByText("code-0.png is not a picture that can be read")).toBeVisible();
  await input.setInputFiles(asFile(await other.screenshot()));
  await expect(other.getByText("No code was found in that picture")).toBeVisible();
  await input.setInputFiles(asFile(pictures.at(-1)!));
  await expect(other.getByText(`1 of ${pictures.length} codes read`)).toBeVisible();
  await input.setInputFiles(pictures.slice(0, -1).map(asFile));
  await other
    .getByRole("button", { name: /Put it on the tray|Plan it on my bench/ })
    .first()
    .click();
  await expect(other).toHaveURL(/knot-ring/);
  await expect(other.getByText("Knot ring").first()).toBeVisible();
  await other.context().close();
});

test("the camera that stands in for one says so, and what it sees is asked about like any file", async ({ page }) => {
  await page.goto(EMPTY);
  await page.getByRole("region", { name: "Start" }).getByRole("button", { name: "Read codes" }).click();
  const standIn = page.getByRole("button", { name: "Stand-in camera (sees a made-up piece)" });
  const told = page.getByRole("button", { name: "Put it on the tray" });
  await expect(async () => {
    if (await standIn.isEnabled({ timeout: 500 }).catch(() => false)) await standIn.click();
    await expect(told).toBeVisible({ timeout: 500 });
  }).toPass();
});
