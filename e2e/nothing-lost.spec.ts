import { readFileSync } from "node:fs";
import { deflateSync } from "node:zlib";
import { type Page, expect, test } from "./a-test";
import { ONE_PRESS, asked, atBench, heading, onTo, reading, toTheResult } from "./bench";
import { kept } from "./places";

test("Done takes first what is typed, also by a press that moves no focus; what cannot be read, or is doubtful, stops there", async ({
  page,
}) => {
  await atBench(page);
  await onTo(page, /^Cut the strip 46\.05/);
  const done = page.getByRole("button", { name: "Done" });
  await reading(page, "What you cut").fill("46..05");
  await page.waitForTimeout(ONE_PRESS);
  await done.evaluate((button: HTMLElement) => button.click());
  await expect(asked(page, "What you cut")).toContainText('"46..05" is not a number');
  await expect(heading(page)).toContainText("Cut the strip 46.05");
  await page.reload();
  await expect(reading(page, "What you cut")).toHaveValue("46..05");
  await reading(page, "What you cut").fill("4605");
  await page.waitForTimeout(ONE_PRESS);
  await page.keyboard.press("PageDown");
  await expect(asked(page, "What you cut")).toContainText("4605 mm is 100 times too large: about 46.07 mm is wanted. Which is it?");
  await expect(heading(page)).toContainText("Cut the strip 46.05");
  await page.getByRole("button", { name: "Use 46.05" }).click();
  await expect(asked(page, "What you cut")).toContainText("Good.");
  await page.waitForTimeout(ONE_PRESS);
  await done.evaluate((button: HTMLElement) => button.click());
  await expect(heading(page)).toContainText("File both ends square");
  await page.reload();
  await expect(heading(page)).toContainText("File both ends square");
  await page.keyboard.press("b");
  await expect(reading(page, "What you cut")).toHaveValue("46.05");
  await reading(page, "What you cut").fill("9");
  await page.keyboard.press("Enter");
  await expect(asked(page, "What you cut")).toContainText("9 mm is 5.1 times too small");
  await page.getByRole("button", { name: "Keep 9 mm" }).click();
  await expect(asked(page, "What you cut")).toContainText("Start again");
});

test("two windows that write the words of one make end with both, and neither loses its caret", async ({ page, context }) => {
  await toTheResult(page);
  const other = await context.newPage();
  await other.goto("/pieces/knot-ring/bench");
  const words = (each: Page) => each.getByLabel("Note for next time");
  await words(page).fill("the seam held");
  await expect(words(other)).toHaveValue("the seam held");
  await words(page).focus();
  await page.keyboard.press("Home");
  await words(other).focus();
  await other.keyboard.press("End");
  await Promise.all([page.keyboard.type("once more "), other.keyboard.type(", no pits")]);
  for (const each of [page, other]) await expect(words(each)).toHaveValue("once more the seam held, no pits");
  await page.reload();
  await expect(words(page)).toHaveValue("once more the seam held, no pits");
  await page.getByLabel("Minutes at the bench").fill("90");
  await expect(other.getByLabel("Minutes at the bench")).toHaveValue("90");
});

/** A grey PNG of any size. */
function png(width: number, height: number): Buffer {
  const chunk = (type: string, data: Buffer) => {
    const body = Buffer.concat([Buffer.from(type), data]);
    const crc = Buffer.alloc(4);
    crc.writeUInt32BE(crcOf(body));
    const length = Buffer.alloc(4);
    length.writeUInt32BE(data.length);
    return Buffer.concat([length, body, crc]);
  };
  const head = Buffer.alloc(13);
  head.writeUInt32BE(width, 0);
  head.writeUInt32BE(height, 4);
  head.set([8, 0, 0, 0, 0], 8);
  const rows = Buffer.alloc((width + 1) * height, 120);
  for (let row = 0; row < height; row++) rows[row * (width + 1)] = 0;
  const signature = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
  return Buffer.concat([signature, chunk("IHDR", head), chunk("IDAT", deflateSync(rows)), chunk("IEND", Buffer.alloc(0))]);
}

function crcOf(bytes: Buffer): number {
  let crc = 0xffffffff;
  for (const byte of bytes) {
    crc ^= byte;
    for (let bit = 0; bit < 8; bit++) crc = crc & 1 ? (crc >>> 1) ^ 0xedb88320 : crc >>> 1;
  }
  return (crc ^ 0xffffffff) >>> 0;
}

test("six pictures picked quickly leave four and a whole make; one that is huge is made small or refused while the page goes on", async ({
  page,
}) => {
  test.setTimeout(120_000);
  await toTheResult(page);
  const pick = page.getByLabel("Picture of the piece");
  const picture = (name: string, buffer: Buffer) => ({ name, mimeType: "image/png", buffer });
  // how long the page stands still at most, as a share of the time until the picture is there: nearly all of it where the page itself makes it small
  await pick.evaluate((input) => {
    let [picked, last, longest] = [0, 0, 0];
    const beat = () => {
      const now = performance.now();
      longest = Math.max(longest, now - last);
      last = now;
      if (document.querySelector('img[alt="wide.png"]')) document.body.dataset.stood = String(longest / (now - picked));
      else setTimeout(beat, 10);
    };
    input.addEventListener("change", () => {
      picked = last = performance.now();
      setTimeout(beat, 10);
    });
  });
  await pick.setInputFiles(picture("wide.png", png(12_000, 3_000)));
  await expect(page.getByRole("img", { name: "wide.png" })).toBeVisible();
  await expect(page.locator("body")).toHaveAttribute("data-stood");
  const share = Number(await page.locator("body").getAttribute("data-stood"));
  expect(share).toBeLessThan(0.6);
  await page.getByRole("button", { name: "Remove wide.png" }).click();
  await pick.setInputFiles(picture("many.png", png(9_000, 7_000)));
  await expect(page.getByText("many.png has 63 megapixels; use a picture of 60 at most.").first()).toBeVisible();
  await pick.setInputFiles(picture("heavy.png", Buffer.alloc(31_000_000)));
  await expect(page.getByText("heavy.png has 31 MB; use a picture of 30 MB at most.").first()).toBeVisible();
  for (const name of ["1", "2", "3", "4", "5", "6"]) await pick.setInputFiles(picture(`${name}.png`, png(20, 20)));
  await expect(page.getByText("That was not kept: photos must hold at most 4.").first()).toBeVisible();
  await page.reload();
  await expect(page.getByRole("img", { name: /\.png$/ })).toHaveCount(4);
  await page.goto("/");
  await expect(page.getByRole("table")).toBeVisible();
  await expect(page.getByRole("region", { name: "Could not be read" })).toBeHidden();
});

test("an older backup takes no running make back unasked, and one step undoes all of it", async ({ page }) => {
  await atBench(page);
  await page.keyboard.press("Space");
  await expect(page.getByText("Step 2 of 41")).toBeVisible();
  await page.goto("/");
  const [download] = await Promise.all([page.waitForEvent("download"), page.getByRole("button", { name: "Save everything" }).click()]);
  const backup = readFileSync(await download.path());
  await atBench(page);
  for (const step of [3, 4, 5]) {
    await page.waitForTimeout(ONE_PRESS);
    await page.keyboard.press("Space");
    await expect(page.getByText(`Step ${step} of 41`)).toBeVisible();
  }
  await page.goto("/");
  await page.locator('input[type="file"]').setInputFiles({ name: "all.json", mimeType: "application/json", buffer: backup });
  const dialog = page.getByRole("dialog");
  const newer = dialog.getByRole("region", { name: "Newer here" });
  await expect(newer).toContainText(/Make of Tern ring.*here 4 steps, 0 readings; in the file 1 step, 0 readings/);
  await expect(dialog).toContainText("Nothing would change.");
  await expect(dialog.getByRole("button", { name: "Restore", exact: true })).toBeDisabled();
  await newer.getByRole("combobox").selectOption({ label: "Use the file's" });
  await dialog.getByRole("button", { name: "Restore", exact: true }).click();
  await expect(page.getByText(/^Restored: /)).toBeVisible();
  await page.getByRole("button", { name: "Undo", exact: true }).click();
  await expect(page.getByText("Undone: everything is as it was before", { exact: true })).toBeVisible();
  await atBench(page);
  await expect(page.getByText("Step 5 of 41")).toBeVisible();
});

test("a name that is pasted with a tab is one line, and its piece is there after a reload", async ({ page }) => {
  await page.goto("/pieces/tern-ring/wall");
  await page.getByTitle("Tern ring: rename").click();
  await page.getByLabel("Name of the piece").fill("Tern\tring of mine");
  await page.keyboard.press("Enter");
  await kept(page);
  await page.goto("/");
  await expect(page.getByRole("table").getByRole("button", { name: "Tern ring of mine" })).toBeVisible();
  await expect(page.getByRole("region", { name: "Could not be read" })).toBeHidden();
});
