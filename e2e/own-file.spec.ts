import { type Page, expect, test } from "./a-test";
import { toTheResult } from "./bench";
import { DEMO } from "./places";

/** The browser's dialog cannot be pressed here: what it would hand over is a file of the page's own. */
async function withPicker(page: Page): Promise<void> {
  await page.addInitScript(() => {
    Object.assign(window, {
      showSaveFilePicker: async () => (await navigator.storage.getDirectory()).getFileHandle("workshop.json", { create: true }),
    });
  });
}

const makesIn = (page: Page) =>
  page.evaluate(async () => {
    const handle = await (await navigator.storage.getDirectory()).getFileHandle("workshop.json");
    const { makes } = JSON.parse(await (await handle.getFile()).text()) as { makes: { finished: string | null }[] };
    return makes.filter(({ finished }) => finished !== null).length;
  });

test("a chosen file is written after each make, over a reload, until it is let go", async ({ page }) => {
  await withPicker(page);
  await page.goto(DEMO);
  await page.getByRole("button", { name: "Write a file after each make" }).click();
  await expect(page.getByText(/workshop\.json is written after each make, last at/)).toBeVisible();
  expect(await makesIn(page)).toBe(24);
  await page.reload();
  await expect(page.getByText(/workshop\.json is written after each make, last at/)).toBeVisible();
  await toTheResult(page);
  await page.getByRole("button", { name: "Enter it in the ledger" }).click();
  await expect.poll(() => makesIn(page), { timeout: 20_000 }).toBe(25);
  await page.goto(DEMO);
  await page.getByRole("button", { name: "Write no file" }).click();
  await expect(page.getByRole("button", { name: "Write a file after each make" })).toBeVisible();
});

test("a piece, a make and everything are handed to the system's share sheet as files that open again", async ({ page }) => {
  await page.addInitScript(() => {
    const shared: { name: string; text: string }[] = [];
    Object.assign(window, { shared });
    Object.assign(navigator, {
      canShare: ({ files }: { files: File[] }) => files[0]!.type === "text/plain",
      share: async ({ files }: { files: File[] }) => void shared.push({ name: files[0]!.name, text: await files[0]!.text() }),
    });
  });
  await page.goto(DEMO);
  await page.getByRole("row", { name: /Knot ring/ }).click();
  await page.getByRole("button", { name: "Share", exact: true }).click();
  await page.getByRole("button", { name: "Share everything" }).click();
  const shared = () => page.evaluate(() => (window as { shared?: { name: string; text: string }[] }).shared ?? []);
  await expect
    .poll(async () => (await shared()).map(({ name }) => name.replace(/\d{4}-\d\d-\d\d/, "DAY")))
    .toEqual(["knot-ring.json.txt", "hoop-ledger-everything-DAY.json.txt"]);
  await expect(page.getByText(/Last saved to a file/)).toBeVisible();
  const [piece] = await shared();
  await page.getByRole("link", { name: "Ledger", exact: true }).click();
  await expect(page.getByText("24 makes, ")).toBeVisible();
  await page.getByRole("button", { name: "Slate ring" }).first().click();
  await page.getByRole("dialog").getByRole("button", { name: "Share" }).click();
  await expect
    .poll(async () => JSON.parse((await shared())[2]?.text ?? "{}") as object)
    .toMatchObject({ format: "hoop-ledger/make", piece: "slate-ring" });
  await page.keyboard.press("Escape");
  await page.getByLabel("Open a file").setInputFiles({ name: piece!.name, mimeType: "text/plain", buffer: Buffer.from(piece!.text) });
  await expect(page.getByRole("dialog")).toContainText("Knot ring");
});
