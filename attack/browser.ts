import { mkdtemp, rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { type Page, chromium } from "@playwright/test";
import { DEMO_PIECES } from "@demo/pieces";
import { browserOn } from "../e2e/a-browser";
import { CHROMIUM } from "../e2e/places";
import { tamper } from "../scripts/tamper.mjs";
import { type Random, mutated } from "./random";
import { report } from "./report";

const [samphire] = DEMO_PIECES;
const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
const thickness = (page: Page) => page.locator('[data-field="m1.wall.thickness"]');

/** Whether home stands with at least so many pieces, nothing broken. */
async function standsWith(page: Page, address: string, least: number): Promise<boolean> {
  await page.goto(address);
  const rows = page.getByRole("table").getByRole("row");
  await rows
    .nth(least)
    .waitFor({ timeout: 15_000 })
    .catch(() => undefined);
  const isBroken = await page.getByText(/could not be drawn|could not be laid out|Could not be read/).count();
  return isBroken === 0 && (await rows.count()) > least;
}

/** Types values one after the other and kills the browser at a random moment; what was typed longest before that and is not there is the loss. */
export async function attackByKilling(address: string, random: Random, kills: number): Promise<void> {
  const profile = await mkdtemp(join(tmpdir(), "attack-"));
  let [lost, broken, most] = [0, 0, 0];
  for (let i = 0; i < kills; i++) {
    const { page, kill } = await browserOn(profile);
    try {
      await page.goto(`${address}/pieces/tern-ring/wall`);
      await thickness(page).waitFor();
      const typed: { readonly value: string; readonly at: number }[] = [{ value: await thickness(page).inputValue(), at: 0 }];
      const end = performance.now() + 200 + random.below(1500);
      for (let n = 0; performance.now() < end; n++) {
        const value = (0.2 + ((i * 37 + n * 11) % 250) / 1000).toFixed(3);
        await thickness(page).fill(value);
        typed.push({ value, at: performance.now() });
        await wait(random.below(220));
      }
      const killed = performance.now();
      await kill();
      const again = await browserOn(profile);
      const found = again.page;
      await found.goto(`${address}/pieces/tern-ring/wall`);
      await thickness(found).waitFor();
      const now = Number(await thickness(found).inputValue());
      const last = typed.findLastIndex(({ value }) => Math.abs(Number(value) - now) < 1e-9);
      const loss = last < 0 ? Infinity : last === typed.length - 1 ? 0 : killed - typed[last + 1]!.at;
      most = Math.max(most, loss);
      if (loss > 500) lost++;
      await again.kill();
    } catch (error) {
      broken++;
      console.error(String(error).slice(0, 300));
      await kill();
    }
  }
  const last = await browserOn(profile);
  if (!(await standsWith(last.page, address, 10))) broken++;
  await last.kill();
  await rm(profile, { recursive: true, force: true });
  report({
    what: "browser killed while typing",
    tries: kills,
    bad: lost + broken,
    found: `at most ${most.toFixed(0)} ms lost, ${broken} stores broken`,
  });
}

/** Kills the browser while the demo is first laid out: all of it is there afterwards, or none and then all. */
export async function attackFirstDemo(address: string, random: Random, kills: number): Promise<void> {
  let bad = 0;
  for (let i = 0; i < kills; i++) {
    const profile = await mkdtemp(join(tmpdir(), "attack-"));
    const { page, kill } = await browserOn(profile);
    void page.goto(address).catch(() => undefined);
    await wait(random.below(900));
    await kill();
    const again = await browserOn(profile);
    if (!(await standsWith(again.page, address, 10))) bad++;
    await again.kill();
    await rm(profile, { recursive: true, force: true });
  }
  report({ what: "browser killed while the demo is laid out", tries: kills, bad, found: "ten pieces each time after" });
}

/** Kills the browser while a backup of sixty pieces is restored: sixty are there afterwards, or none. */
export async function attackRestore(address: string, random: Random, kills: number): Promise<void> {
  const pieces = Array.from({ length: 60 }, (_, i) => ({ ...samphire, id: `restored-${i}`, name: `Restored ${i}` }));
  const backup = { format: "hoop-ledger/backup", version: 1, bench: { format: "hoop-ledger/bench", version: 2 }, pieces, makes: [] };
  const file = { name: "all.json", mimeType: "application/json", buffer: Buffer.from(JSON.stringify(backup)) };
  let [bad, whole] = [0, 0];
  for (let i = 0; i < kills; i++) {
    const profile = await mkdtemp(join(tmpdir(), "attack-"));
    const { page, kill } = await browserOn(profile);
    await page.goto(address);
    await page.locator('input[type="file"]').setInputFiles(file);
    await page.getByRole("dialog").getByRole("button", { name: "Restore", exact: true }).click();
    await wait(random.below(120));
    await kill();
    const again = await browserOn(profile);
    const found = again.page;
    await standsWith(found, address, 10);
    const count = await found.evaluate(
      () =>
        new Promise<number>((resolve) => {
          const open = indexedDB.open("hoop-ledger");
          open.onsuccess = () => {
            const counted = open.result.transaction("pieces").objectStore("pieces").count();
            counted.onsuccess = () => resolve(counted.result);
          };
        }),
    );
    if (count !== 10 && count !== 70) bad++;
    if (count === 70) whole++;
    await again.kill();
    await rm(profile, { recursive: true, force: true });
  }
  report({ what: "browser killed while a backup is restored", tries: kills, bad, found: `all or none each time, ${whole} times all` });
}

/** Two and three windows tick, change the bench and edit at once: nothing is lost without a word. */
export async function attackWindows(address: string, random: Random): Promise<void> {
  const browser = await chromium.launch(CHROMIUM);
  const context = await browser.newContext();
  const windows = await Promise.all([1, 2, 3].map(() => context.newPage()));
  for (const page of windows) {
    page.setDefaultTimeout(15_000);
    await page.goto(`${address}/pieces/tern-ring/making`);
    await page.getByRole("checkbox").nth(20).waitFor();
  }
  await Promise.all(
    windows.map(async (page, at) => {
      for (let i = at; i < 21; i += 3) await page.getByRole("checkbox").nth(i).check();
    }),
  );
  await wait(800);
  const [first] = windows as [Page, Page, Page];
  await first.reload();
  await first.getByRole("checkbox").nth(20).waitFor();
  await wait(500);
  const ticked = await first.getByRole("checkbox", { checked: true }).count();
  report({ what: "ticks made in three windows", tries: 21, bad: 21 - ticked, found: `${ticked} kept` });

  for (const page of windows) await page.goto(`${address}/my-bench`);
  const labels = ["Squaring both ends of a strip", "Marking a strip", "Sanding the foot"] as const;
  let kept = 0;
  for (let round = 0; round < 7; round++) {
    const values = labels.map(() => (0.1 + random.below(80) / 100).toFixed(2));
    await Promise.all(
      windows.map(async (page, i) => {
        await page.getByLabel(labels[i]!).fill(values[i]!);
        await page.getByLabel(labels[i]!).press("Enter");
      }),
    );
    await wait(300);
    await first.reload();
    for (const [i, label] of labels.entries()) if ((await first.getByLabel(label).inputValue()) === values[i]) kept++;
  }
  report({ what: "changes of the bench made in three windows", tries: 21, bad: 21 - kept, found: `${kept} kept` });

  for (const page of windows) await page.goto(`${address}/pieces/plover-ring/wall`);
  let silent = 0;
  for (let round = 0; round < 8; round++) {
    const [one, other] = [windows[round % 3]!, windows[(round + 1) % 3]!];
    await Promise.all([thickness(one).fill((0.3 + round / 100).toFixed(2)), thickness(other).fill((0.4 + round / 100).toFixed(2))]);
    await wait(900);
    const told = await Promise.all([one, other].map((page) => page.getByText("was changed in another window").count()));
    const values = await Promise.all([one, other].map((page) => thickness(page).inputValue()));
    if (values[0] !== values[1] && told.every((count) => count === 0)) silent++;
    for (const page of windows) {
      const take = page.getByRole("button", { name: "Take the newer" });
      if (await take.count()) await take.click();
    }
  }
  report({ what: "edits of one piece in two windows", tries: 8, bad: silent, found: "one kept, the other told, each time" });
  await browser.close();
}

/** Records no program of ours would write: home stands, its other pieces with it, and counts what it could not read. */
export async function attackRecords(address: string, random: Random, tries: number): Promise<void> {
  const browser = await chromium.launch(CHROMIUM);
  let [bad, aside, shown] = [0, 0, 0];
  const page = await (await browser.newContext()).newPage();
  page.setDefaultTimeout(15_000);
  const errors: string[] = [];
  page.on("pageerror", (error) => errors.push(error.message));
  await page.goto(address);
  await page.getByRole("table").getByRole("row").nth(10).waitFor();
  for (let i = 0; i < tries; i++) {
    const store = random.of(["pieces", "pieces", "makes", "settings"] as const);
    const id = store === "settings" ? "bench" : "tampered";
    const piece = { ...random.of(DEMO_PIECES), id, name: "Tampered ring" };
    const whole = {
      pieces: { id, piece, drafts: {}, unmeasured: [], changed: "2026-11-20", deleted: null, revision: 1 },
      makes: {
        id,
        piece: "tern-ring",
        make: {
          format: "hoop-ledger/make",
          version: 1,
          id,
          piece: "tern-ring",
          pieceFile: piece,
          started: "1",
          finished: null,
          done: [],
          measured: [],
          notes: "",
        },
        revision: 1,
        changed: "1",
      },
      settings: {
        id,
        bench: { format: "hoop-ledger/bench", version: 2, overshoot: 9, units: { length: "mm" } },
        revision: 1,
        changed: "1",
      },
    }[store];
    const value = { ...mutated(whole as object, random), id };
    const put = JSON.parse(JSON.stringify(value)) as object;
    await tamper(page, store, store === "settings" ? { put, key: "bench" } : { put });
    await page.reload();
    await page
      .getByRole("table")
      .getByRole("button", { name: "Whelk ring" })
      .waitFor()
      .catch(() => undefined);
    await wait(store === "makes" ? 150 : 0);
    const isThere = (await page.getByRole("table").getByRole("button", { name: "Whelk ring" }).count()) === 1;
    if (!isThere || errors.length > 0) {
      bad++;
      console.error(store, errors.splice(0), JSON.stringify(value).slice(0, 300));
    }
    if (await page.getByRole("region", { name: "Could not be read" }).count()) aside++;
    else shown++;
    await tamper(page, store, { remove: id });
  }
  await browser.close();
  report({ what: "tampered records", tries, bad, found: `home stands each time; ${aside} set aside, ${shown} shown` });
}
