import { readFileSync } from "node:fs";
import { type Page, complaintsOf, expect, test } from "./a-test";
import { tamper } from "../scripts/tamper.mjs";
import { DEMO, DEMO_ROWS, EMPTY, field, figure, kept } from "./places";

const tern = JSON.parse(readFileSync("demo/pieces/tern-ring.json", "utf8")) as { carrier: object; mounts: object[] };
const rows = (page: Page) => page.getByRole("table").getByRole("row");

const record = (id: string, piece: object, more: object = {}) => ({
  id,
  piece: { ...piece, id, name: `${id} ring` },
  drafts: {},
  unmeasured: [],
  changed: "2026-11-20",
  deleted: null,
  revision: 1,
  ...more,
});
const stock = { section: "half-round", width: 3, thickness: 5.5e-11, metal: "sterling" };
const thin = { ...tern, carrier: { ...tern.carrier, stock } };

test("a piece that cannot be planned says why in its row, hides no other, opens with its fields and is put right there", async ({
  page,
}) => {
  await page.goto("/");
  await expect(page.getByRole("table")).toHaveAttribute("aria-rowcount", String(DEMO_ROWS));
  await tamper(page, "pieces", { put: record("thin", thin) });
  await tamper(page, "pieces", {
    put: record("theirs", { ...tern, carrier: { ...tern.carrier, size: { system: "mandrel", value: "K" } } }),
  });
  await page.reload();
  await expect(page.getByRole("table")).toHaveAttribute("aria-rowcount", String(DEMO_ROWS + 2));
  await expect(page.getByRole("row", { name: /Tern ring/ })).toContainText("46.05 × 3.20");
  await page.evaluate(() => window.scrollTo(0, document.body.scrollHeight));
  await expect(page.getByRole("row", { name: /thin ring/ })).toContainText("Thickness of the wire must be at least 0.05");
  await expect(page.getByRole("row", { name: /theirs ring/ })).toContainText("needs the readings of a mandrel");
  await page.getByRole("table").getByRole("button", { name: "thin ring" }).click();
  await expect(page.getByRole("heading", { name: "This piece cannot be planned" })).toBeVisible();
  await field(page, "mend/carrier/stock/thickness").fill("1/0");
  await expect(page.getByText(/is divided by nothing/)).toBeVisible();
  await field(page, "mend/carrier/stock/thickness").fill("1.6");
  await expect(figure(page, "m1.wall.cutLength")).toContainText("46.05");
  await kept(page);
  await page.goto("/pieces/theirs/hoop");
  await page.getByRole("combobox", { name: "Size system" }).click();
  await page.getByRole("option", { name: "US" }).click();
  await field(page, "mend/carrier/size/value").fill("6 1/4");
  await expect(figure(page, "hoop.cutLength")).toBeVisible();
});

test("taking the readings of my mandrel away leaves home whole, and the piece sized by them to be put right", async ({ page }) => {
  await page.goto("/my-bench");
  await page.getByLabel("Engraved").fill("54");
  await page.getByLabel("Reads across").fill("17.22");
  await page.getByRole("button", { name: "Reading", exact: true }).click();
  await page.goto("/pieces/tern-ring/hoop");
  await page.getByLabel("Size system").click();
  await page.getByRole("option", { name: "My mandrel" }).click();
  await kept(page);
  await page.goto("/my-bench");
  await page.getByRole("button", { name: "Remove reading 54" }).click();
  await expect(page.getByRole("button", { name: "Remove reading 54" })).toBeHidden();
  await page.getByRole("link", { name: "Pieces" }).click();
  await expect(page.getByRole("row", { name: /Tern ring/ })).toContainText("needs the readings of a mandrel");
  await expect(page.getByRole("row", { name: /Plover ring/ })).not.toContainText("mandrel");
  await page.getByRole("link", { name: "My bench" }).click();
  await expect(page.getByRole("heading", { name: "My bench" })).toBeVisible();
  await page.keyboard.press("Control+z");
  await expect(page.getByRole("button", { name: "Remove reading 54" })).toBeVisible();
  await page.getByRole("link", { name: "Pieces" }).click();
  await expect(page.getByRole("row", { name: /Tern ring/ })).toContainText("blank");
});

test("what cannot be read is set aside with its count, can be saved as it is, and given up", async ({ page }) => {
  await page.goto("/");
  await expect(page.getByRole("table")).toHaveAttribute("aria-rowcount", String(DEMO_ROWS));
  await tamper(page, "pieces", { put: record("undated", tern, { changed: undefined }) });
  await tamper(page, "pieces", { put: { id: "hollow", piece: null } });
  await tamper(page, "settings", {
    put: { id: "bench", bench: { shelves: [], units: 5 }, revision: 1, changed: "1" },
    key: "bench",
  });
  await page.evaluate(() => localStorage.setItem("hoop-ledger/journal/tern-ring", '{"kind":'));
  await page.reload();
  const aside = page.getByRole("region", { name: "Could not be read" });
  await expect(aside).toContainText("Could not be read: 4 records");
  await expect(page.getByRole("table")).toHaveAttribute("aria-rowcount", String(DEMO_ROWS));
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    aside.getByRole("listitem").filter({ hasText: "hollow" }).getByRole("button", { name: "Save it as it is" }).click(),
  ]);
  expect(JSON.parse(readFileSync(await download.path(), "utf8"))).toEqual({ id: "hollow", piece: null });
  await aside.getByRole("listitem").filter({ hasText: "hollow" }).getByRole("button", { name: "Discard it" }).click();
  await expect(aside).toContainText("Could not be read: 3 records");
  await page.goto("/my-bench");
  await expect(page.getByRole("heading", { name: "My bench" })).toBeVisible();
});

test("a database that a newer program left says so and shows no demo", async ({ page }) => {
  await page.goto("/schema/piece.json");
  await page.evaluate(
    () =>
      new Promise(
        (resolve) => (indexedDB.open("hoop-ledger", 99).onsuccess = (event) => resolve((event.target as IDBOpenDBRequest).result.close())),
      ),
  );
  await page.goto("/");
  await expect(page.getByText("this device holds data of a newer Hoop Ledger")).toBeVisible();
  await expect(page.getByRole("heading", { name: "Start with your stone" })).toBeVisible();
});

test("a device that is full when the demo is first laid out still ends with a tray, and says so", async ({ page }) => {
  await page.addInitScript(() => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException("full", "QuotaExceededError");
    };
  });
  await page.goto("/");
  await expect(page.getByText("Not kept: this device is full")).toBeVisible();
  await expect(page.getByRole("heading", { name: "Start with your stone" })).toBeVisible();
});

test("deleted in another window is told as deleted and can be put back; a piece that is not there opens itself once it is", async ({
  context,
}) => {
  const [here, there] = [await context.newPage(), await context.newPage()];
  await here.goto("/pieces/tern-ring/wall");
  await expect(figure(here, "m1.wall.cutLength")).toBeVisible();
  await there.goto("/");
  await there.getByRole("button", { name: "Delete", exact: true }).click();
  await expect(here.getByRole("alert").filter({ hasText: "deleted in another window" })).toBeVisible();
  await here.getByRole("button", { name: "Put it back" }).click();
  await kept(here);
  await expect(there.getByRole("table").getByRole("button", { name: "Tern ring" })).toBeVisible();
  await here.goto("/pieces/late-ring/wall");
  await expect(here.getByRole("heading", { name: "This piece is not on this device." })).toBeVisible();
  const file = {
    name: "late.json",
    mimeType: "application/json",
    buffer: Buffer.from(JSON.stringify({ ...tern, id: "late-ring", name: "Late ring" })),
  };
  await there.locator('input[type="file"]').setInputFiles(file);
  await there.getByRole("button", { name: "Put it on the tray" }).click();
  await expect(figure(here, "m1.wall.cutLength")).toContainText("46.05");
});

test("a backup with bad parts says which, restores the rest at once, asks whose bench goes on, and pieces removed for good come back on undo", async ({
  page,
}) => {
  await page.goto(EMPTY);
  const bench = { format: "hoop-ledger/bench", version: 2, mandrel: [{ label: "K", diameter: 17 }] };
  const onMandrel = { ...tern, id: "a-ring", name: "A ring", carrier: { ...tern.carrier, size: { system: "mandrel", value: "K" } } };
  const backup = {
    format: "hoop-ledger/backup",
    version: 1,
    bench,
    pieces: [onMandrel, { ...tern, id: "b-ring", name: "B ring", kind: "spoon" }, { ...tern, id: "c-ring", name: "C ring" }],
    makes: [],
  };
  const picker = page.locator('input[type="file"]');
  await picker.setInputFiles({ name: "all.json", mimeType: "application/json", buffer: Buffer.from(JSON.stringify(backup)) });
  const dialog = page.getByRole("dialog");
  await expect(dialog).toContainText("1 part of it cannot be read");
  await expect(dialog).toContainText("B ring: Kind of piece must be one of");
  await dialog.getByRole("combobox", { name: "My bench" }).selectOption({ label: "Keep my bench" });
  await dialog.getByRole("button", { name: "Restore", exact: true }).click();
  await expect(rows(page)).toHaveText([/Piece/, /A ring/, /C ring/]);
  await expect(page.getByRole("row", { name: /A ring/ })).toContainText("46.05 × 3.20");
  await page.getByRole("button", { name: "Delete", exact: true }).click();
  await page.getByRole("button", { name: "Remove it for good" }).click();
  await page.getByRole("button", { name: "Remove for good", exact: true }).click();
  await expect(page.getByRole("region", { name: "Deleted" })).toBeHidden();
  await page.getByRole("listitem").filter({ hasText: "Removed for good" }).getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("region", { name: "Deleted" })).toContainText("A ring");
});

test("in the making undo takes back the last tick; elsewhere it goes to the stage that changes and says which", async ({ page }) => {
  await page.goto("/pieces/tern-ring/wall");
  await field(page, "m1.wall.thickness").fill("0.5");
  await field(page, "m1.wall.thickness").press("Enter");
  await page.getByRole("button", { name: /Making \d/ }).click();
  await page.getByRole("checkbox").nth(0).check();
  await page.getByRole("checkbox").nth(1).check();
  await page.keyboard.press("Control+z");
  await expect(page.getByRole("checkbox").nth(1)).not.toBeChecked();
  await expect(page.getByRole("checkbox").nth(0)).toBeChecked();
  await page.getByRole("button", { name: /Heats \d/ }).click();
  await expect(page.getByRole("img", { name: /^Heats: / })).toBeVisible();
  await page.keyboard.press("Control+z");
  await expect(page.getByText("Undone: Bezel", { exact: true })).toBeVisible();
  await expect(page).toHaveURL(/\/wall$/);
  await expect(figure(page, "m1.wall.cutLength")).toContainText("46.05");
});

test("a traced outline of two thousand points is planned beside the page, which goes on answering", async ({ page }) => {
  const points = Array.from({ length: 2000 }, (_, i) => {
    const angle = (Math.PI * i) / 1000;
    const noise = 1 + 0.001 * Math.sin(i * 7.1);
    return [12.5 * noise * Math.cos(angle), 9 * noise * Math.sin(angle)];
  });
  const [mount] = tern.mounts as { stone: object }[];
  const traced = {
    ...tern,
    id: "traced-ring",
    name: "Traced ring",
    mounts: [{ ...mount, stone: { ...mount!.stone, outline: { shape: "free", points } } }],
  };
  await page.goto("/");
  await page
    .locator('input[type="file"]')
    .setInputFiles({ name: "t.json", mimeType: "application/json", buffer: Buffer.from(JSON.stringify(traced)) });
  await page.getByRole("button", { name: "Put it on the tray" }).click();
  await expect(figure(page, "m1.wall.cutLength")).toBeVisible();
  await field(page, "m1.wall.thickness").fill("0.6");
  await expect(field(page, "m1.wall.thickness")).toHaveValue("0.6");
  await expect(page.getByText(/gathers 5\.1%/)).toBeVisible();
  await page.goto("/");
  await expect(page.getByRole("row", { name: /Traced ring/ })).toContainText("fine, 0.60");
});

test("every answer carries every header; what is misshapen, misaddressed or misused is refused in JSON without detail", async () => {
  const ask = (path: string, more: RequestInit = {}) => fetch(DEMO + path, more);
  for (const path of ["/", "/pieces/tern-ring/wall", "/none", "/schema/piece.json", "/schema/none", "/api/none", "/licences/archivo.txt"]) {
    const { headers } = await ask(path);
    expect(headers.get("content-security-policy")).toMatch(/frame-ancestors 'none'/);
    for (const [name, value] of [
      ["x-content-type-options", "nosniff"],
      ["referrer-policy", "no-referrer"],
      ["cross-origin-opener-policy", "same-origin"],
      ["permissions-policy", /camera=\(\)/],
    ] as const)
      expect(`${path} ${name} ${headers.get(name)}`).toMatch(value);
  }
  const statuses = await Promise.all([
    ask("/pieces/%ff"),
    ask("/schema/piece.json", { method: "POST", body: "{}" }),
    ask("/", { method: "DELETE" }),
    ask("/schema/none"),
    ask("/api/plan"),
  ]);
  expect(statuses.map(({ status }) => status)).toEqual([400, 405, 405, 404, 405]);
  for (const response of statuses) expect(await response.json()).toMatchObject({ faults: [{ code: "refused" }] });
});

test("no page can ask another machine for anything, and a test during which one did would fail", async ({ browser }) => {
  const context = await browser.newContext();
  await context.route("http://elsewhere.invalid/**", (route) => route.abort());
  const heard = complaintsOf(context);
  const [ours, bare] = [await context.newPage(), await context.newPage()];
  await ours.goto(DEMO);
  await ours.evaluate(() => fetch("http://elsewhere.invalid/table.json").catch(() => null));
  await expect.poll(() => heard.join()).toContain("Content Security Policy");
  expect(heard.join()).not.toContain("asked another machine");
  await bare.setContent('<img src="http://elsewhere.invalid/picture.png" alt="">');
  await expect.poll(() => heard).toContain("asked another machine: http://elsewhere.invalid/picture.png");
  await context.close();
});
