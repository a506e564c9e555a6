import { readFileSync } from "node:fs";
import { mkdtemp } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { type Page, expect, test } from "./a-test";
import { browserOn } from "./a-browser";
import { DEMO, DEMO_ROWS, field, figure, kept } from "./places";

const WALL = "/pieces/tern-ring/wall";
const thickness = (page: Page) => field(page, "m1.wall.thickness");
const strip = (page: Page) => figure(page, "m1.wall.cutLength");

test("the thickness is changed by keyboard, the strip follows, and a reload finds it", async ({ page }) => {
  await page.goto("/");
  await page.getByRole("table").getByRole("button", { name: "Tern ring" }).focus();
  await page.keyboard.press("Enter");
  await expect(strip(page)).toContainText("46.05");
  while (!(await thickness(page).evaluate((input) => input === document.activeElement))) await page.keyboard.press("Tab");
  await page.keyboard.type("26ga");
  await expect(strip(page)).toContainText("46.30");
  await expect(thickness(page)).toHaveValue("26ga");
  await page.keyboard.press("ArrowUp");
  await expect(thickness(page)).toHaveValue("0.505");
  await kept(page);
  await page.reload();
  await expect(thickness(page)).toHaveValue("0.505");
  await expect(strip(page)).toContainText("46.60");
});

test("a wrong entry is kept and explained, the last good plan stands, and it is taken once it fits", async ({ page }) => {
  await page.goto("/pieces/tern-ring/stone");
  const turnIn = field(page, "m1.stone.turnIn");
  await turnIn.fill("6");
  await expect(page.getByRole("alert").filter({ hasText: "must be less than" })).toContainText(
    "must be less than the stone's height, 5.2, got 6. The plan still uses 1.90",
  );
  await expect(page.getByRole("button", { name: "Bezel uses a refused entry" })).toBeVisible();
  await expect(page.getByRole("button", { name: /Plate 16.7 × 12.7/ })).toBeVisible();
  await kept(page);
  await page.goto("/pieces/tern-ring/card");
  await expect(page.getByRole("article")).toContainText("46.05 mm long, slit to ______ mm tall");
  await page.goto("/pieces/tern-ring/stone");
  await expect(turnIn).toHaveValue("6");
  await expect(turnIn).toHaveAttribute("aria-invalid", "true");
  await field(page, "m1.stone.height").fill("9");
  await expect(turnIn).toHaveAttribute("aria-invalid", "false");
  await expect(figure(page, "m1.outline.perimeter")).toBeVisible();
  await turnIn.fill("banana");
  await expect(page.getByRole("alert").filter({ hasText: "banana" })).toContainText("is not a number: type one, e.g. 3.2");
});

test("every change can be undone and redone, one step for each field or drag", async ({ page }) => {
  await page.goto(WALL);
  await thickness(page).fill("0.5");
  await thickness(page).press("Enter");
  await page.getByRole("radio", { name: "A third" }).check();
  await expect(page.getByRole("note", { name: "Wrong" })).toContainText("A third of the height won't hold this stone");
  const seam = page.getByRole("slider", { name: "Seam" });
  // The note takes room of the drawing, which moves.
  await seam.scrollIntoViewIfNeeded();
  const box = (await seam.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  for (const step of [40, 90, 140]) await page.mouse.move(box.x + step, box.y + step / 2);
  await page.mouse.up();
  await expect(page.getByText("where you put it; drag it")).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByText("on the straightest run")).toBeVisible();
  await page.keyboard.press("Control+z");
  await expect(page.getByRole("note", { name: "Wrong" })).toBeHidden();
  await page.keyboard.press("Control+z");
  await expect(strip(page)).toContainText("46.05");
  await expect(thickness(page)).toHaveValue("0.32");
  await page.keyboard.press("Control+Shift+z");
  await expect(strip(page)).toContainText("46.60");
});

test("a piece is saved, deleted, put back, deleted again and opened from its file, and is the same", async ({ page }) => {
  await page.goto("/");
  const save = async (name: string) => {
    const [download] = await Promise.all([page.waitForEvent("download"), page.getByRole("button", { name }).click()]);
    return readFileSync(await download.path(), "utf8");
  };
  const before = await save("Save file");
  const everything = await save("Save everything");
  expect(JSON.parse(before)).toMatchObject({ id: "tern-ring", benchUsed: { format: "hoop-ledger/bench" } });
  await page.getByRole("button", { name: "Delete", exact: true }).click();
  await expect(page.getByRole("region", { name: "Deleted" })).toBeVisible();
  await page.reload();
  await page.getByRole("region", { name: "Deleted" }).getByRole("button", { name: "Put back" }).click();
  await page.getByRole("table").getByRole("button", { name: "Tern ring" }).focus();
  await page.keyboard.press("Delete");
  await page.getByRole("button", { name: "Remove it for good" }).click();
  await expect(page.getByRole("dialog")).toContainText("Tern ring");
  await page.getByRole("button", { name: "Remove for good", exact: true }).click();
  await expect(page.getByRole("region", { name: "Deleted" })).toBeHidden();
  await expect(page.getByRole("table").getByRole("button", { name: "Tern ring" })).toBeHidden();

  const picker = page.locator('input[type="file"]');
  await picker.setInputFiles({ name: "tern.json", mimeType: "application/json", buffer: Buffer.from(before) });
  await page.getByRole("button", { name: "Put it on the tray" }).click();
  await expect(strip(page)).toContainText("46.05");
  await page.goto("/");
  expect(await save("Save file")).toBe(before);

  await picker.setInputFiles({ name: "tern.json", mimeType: "application/json", buffer: Buffer.from(before) });
  await page.getByRole("button", { name: "Keep both" }).click();
  await expect(page).toHaveURL(/tern-ring-2\/wall/);
  await page.goto("/");
  await picker.setInputFiles({ name: "everything.json", mimeType: "application/json", buffer: Buffer.from(everything) });
  await page.getByRole("dialog").getByRole("button", { name: "Restore", exact: true }).click();
  await expect(page.getByText(/^Restored: /)).toBeVisible();
  await expect(page.getByRole("table")).toHaveAttribute("aria-rowcount", String(DEMO_ROWS + 1));
});

test("a broken file dropped on the page says why by field and changes nothing; another bench is asked about", async ({ page }) => {
  await page.goto("/");
  await expect(page.getByRole("table")).toHaveAttribute("aria-rowcount", String(DEMO_ROWS));
  const drop = (text: string) =>
    page.evaluate((content) => {
      const data = new DataTransfer();
      data.items.add(new File([content], "dropped.json", { type: "application/json" }));
      document.querySelector("main")!.dispatchEvent(new DragEvent("drop", { dataTransfer: data, bubbles: true }));
    }, text);
  const tern = readFileSync("demo/pieces/tern-ring.json", "utf8");
  await drop(tern.replace('"height": 5.2', '"height": -5'));
  await expect(page.getByRole("dialog")).toContainText("Height must be more than 0, got -5");
  await page.keyboard.press("Escape");
  await expect(page.getByRole("table")).toHaveAttribute("aria-rowcount", String(DEMO_ROWS));
  const theirs = { format: "hoop-ledger/bench", version: 3, losses: { wall: { squaring: 0.9 } } };
  await drop(JSON.stringify({ ...(JSON.parse(tern) as object), id: "their-ring", name: "Their ring", benchUsed: theirs }));
  await expect(page.getByRole("dialog")).toContainText("Squaring both ends of a strip0.90.44");
  await page.getByRole("button", { name: "Keep the one it came with" }).click();
  await page.getByRole("button", { name: "Put it on the tray" }).click();
  await expect(strip(page)).toContainText("46.50");
});

test("of two windows on one piece, the older is told, and takes the newer or keeps a copy", async ({ context }) => {
  const [older, newer] = [await context.newPage(), await context.newPage()];
  await older.goto(WALL);
  await newer.goto(WALL);
  await thickness(newer).fill("0.4");
  await kept(newer);
  await expect(older.getByRole("alert").filter({ hasText: "another window" })).toBeVisible();
  await older.getByRole("button", { name: "Use the newer one" }).click();
  await expect(strip(older)).toContainText("46.30");
  await thickness(newer).fill("0.5");
  await kept(newer);
  await expect(older.getByRole("alert").filter({ hasText: "another window" })).toBeVisible();
  await older.getByRole("button", { name: "Keep mine as a copy" }).click();
  await expect(older).toHaveURL(/tern-ring-2\/wall/);
  await expect(strip(older)).toContainText("46.30");
});

test("a browser killed in the middle of edits loses at most the last half second", async () => {
  const profile = await mkdtemp(join(tmpdir(), "profile-"));
  const address = `${DEMO}${WALL}`;
  const first = await browserOn(profile);
  await first.page.goto(address);
  await thickness(first.page).fill("0.45");
  await kept(first.page);
  await thickness(first.page).fill("0.5");
  await first.page.waitForTimeout(500);
  await thickness(first.page).fill("0.6");
  await first.kill();
  const second = await browserOn(profile);
  await second.page.goto(address);
  await expect(thickness(second.page)).toHaveValue(/^0\.(5|6)0?$/);
  await second.kill();
});

test("a page hidden at once after a change keeps it in the journal", async ({ page }) => {
  await page.goto(WALL);
  await thickness(page).fill("0.55");
  await page.goto("/my-bench");
  await page.goto(WALL);
  await expect(thickness(page)).toHaveValue("0.55");
});

test("without a database the work goes on in memory, and says so", async ({ page }) => {
  await page.addInitScript(() =>
    Object.defineProperty(window, "indexedDB", {
      value: {
        open: () => {
          throw new DOMException("denied", "SecurityError");
        },
      },
    }),
  );
  await page.goto("/");
  await expect(page.getByText("Not kept: this browser keeps nothing")).toBeVisible();
  await page.getByRole("table").getByRole("button", { name: "Tern ring" }).click();
  await thickness(page).fill("0.4");
  await expect(strip(page)).toContainText("46.30");
  await expect(page.getByRole("status").first()).toContainText("Not kept");
});

test("a database that another window holds back is told, and the work goes on in memory", async ({ context }) => {
  const [holder, page] = [await context.newPage(), await context.newPage()];
  await holder.goto("/schema/piece.json");
  await holder.evaluate(
    () =>
      new Promise<void>((resolve) => {
        const request = indexedDB.open("hoop-ledger", 1);
        request.onsuccess = () => resolve(void ((window as unknown as { held: IDBDatabase }).held = request.result));
      }),
  );
  await page.addInitScript(() => {
    const open = indexedDB.open.bind(indexedDB);
    indexedDB.open = (name, version) => open(name, (version ?? 1) + 1);
  });
  await page.goto("/");
  await expect(page.getByText("Not kept: close Hoop Ledger's other windows")).toBeVisible();
  await page.getByRole("table").getByRole("button", { name: "Tern ring" }).click();
  await expect(strip(page)).toContainText("46.05");
});

test("a device that is full is told in words, and a file can still be saved", async ({ page }) => {
  await page.goto(WALL);
  await expect(strip(page)).toBeVisible();
  await page.evaluate(() => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException("full", "QuotaExceededError");
    };
  });
  await thickness(page).fill("0.4");
  await expect(page.getByRole("status").first()).toContainText("Not kept: this device is full");
  await page.getByRole("button", { name: "More for this piece" }).click();
  const [download] = await Promise.all([page.waitForEvent("download"), page.getByRole("menuitem", { name: "Save file" }).click()]);
  expect(readFileSync(await download.path(), "utf8")).toContain('"thickness": 0.4');
});
