import { mkdtemp, rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { type Page } from "@playwright/test";
import { demoMakes } from "@demo/makes";
import { DEMO_PIECES } from "@demo/pieces";
import { browserOn } from "../e2e/a-browser";
import { type Random } from "./random";
import { report } from "./report";

/** No more of what was typed than this may be lost when the whole browser is killed (ms). */
export const MOST_LOST = 250;
export const DEMO = { pieces: DEMO_PIECES.length, makes: demoMakes().length };
const [samphire] = DEMO_PIECES;
export const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** How many records each store of the page's database holds, and how many of a backup's pieces. */
async function countsOf(page: Page): Promise<{ readonly pieces: number; readonly makes: number }> {
  return page.evaluate(
    () =>
      new Promise<{ pieces: number; makes: number }>((resolve, reject) => {
        const open = indexedDB.open("hoop-ledger");
        open.onerror = () => reject(new Error("the database does not open"));
        open.onsuccess = () => {
          const read = open.result.transaction(["pieces", "makes"]);
          const [pieces, makes] = [read.objectStore("pieces").count(), read.objectStore("makes").count()];
          read.oncomplete = () => {
            open.result.close();
            resolve({ pieces: pieces.result, makes: makes.result });
          };
        };
      }),
  );
}

/** Whether home stands, nothing broken, with so many pieces and makes at least. */
export async function standsWith(
  page: Page,
  address: string,
  least: { readonly pieces: number; readonly makes: number },
): Promise<boolean> {
  await page.goto(address);
  await page
    .getByRole("table")
    .getByRole("row")
    .nth(1)
    .waitFor({ timeout: 15_000 })
    .catch(() => undefined);
  let counts = await countsOf(page);
  for (let tries = 0; tries < 40 && (counts.pieces < least.pieces || counts.makes < least.makes); tries++) {
    await wait(100);
    counts = await countsOf(page);
  }
  const isBroken = await page.getByText(/could not be drawn|could not be laid out|Could not be read/).count();
  return isBroken === 0 && counts.pieces >= least.pieces && counts.makes >= least.makes;
}

/** Something that was typed or ticked, as it stands from then on, and when. */
interface Made {
  readonly value: string;
  readonly at: number;
}

/** How long before the kill the first thing was made that is not there any more (ms); what is there and was never made lost everything. */
export function lossOf(made: readonly Made[], found: string, killed: number): number {
  const last = made.findLastIndex(({ value }) => value === found);
  if (last < 0) return Infinity;
  return last === made.length - 1 ? 0 : killed - made[last + 1]!.at;
}

/** One way to work until the browser is killed: what was made, how it is found again, and what was shown as kept for good. */
interface Work {
  readonly what: string;
  readonly path: string;
  readonly work: (page: Page, until: number, random: Random) => Promise<readonly Made[]>;
  readonly found: (page: Page) => Promise<string>;
}

const thickness = (page: Page) => page.locator('[data-field="m1.wall.thickness"]');
const cut = (page: Page) => page.getByRole("textbox", { name: "What you cut", exact: true });
const words = (page: Page) => page.getByLabel("Note for next time");
const pictures = (page: Page) => page.getByRole("img", { name: /^shot/ });

async function typed(
  field: (page: Page) => ReturnType<Page["locator"]>,
  page: Page,
  until: number,
  random: Random,
  next: (n: number) => string,
) {
  await field(page).waitFor();
  const made: Made[] = [{ value: await field(page).inputValue(), at: 0 }];
  for (let n = 0; performance.now() < until; n++) {
    const value = next(n);
    await field(page).fill(value);
    made.push({ value, at: performance.now() });
    await wait(random.below(180));
  }
  return made;
}

/** The step that is shown, or that all are done. */
const stepOf = async (page: Page) =>
  (await page
    .getByText(/^Step \d+ of|^All steps done/)
    .first()
    .textContent()) ?? "";

/** A grey picture of one point. */
const PICTURE = Buffer.from("iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==", "base64");

export const FIELDS: Work = {
  what: "typing in a stage",
  path: "/pieces/tern-ring/wall",
  work: (page, until, random) => typed(thickness, page, until, random, () => (0.2 + random.below(250) / 1000).toFixed(3)),
  found: async (page) => {
    await thickness(page).waitFor();
    return thickness(page).inputValue();
  },
};

const READINGS: Work = {
  what: "readings",
  path: "/pieces/limpet-ring/bench",
  work: (page, until, random) => typed(cut, page, until, random, () => (50 + random.below(900) / 100).toFixed(2)),
  found: async (page) => {
    await cut(page).waitFor();
    return cut(page).inputValue();
  },
};

const WORDS: Work = {
  what: "words",
  path: "/pieces/knot-ring/bench",
  work: async (page, until, random) => {
    await words(page).waitFor();
    await words(page).fill("");
    await wait(400);
    const made: Made[] = [{ value: "", at: 0 }];
    await words(page).focus();
    for (let text = ""; performance.now() < until;) {
      text += String.fromCharCode(97 + random.below(26));
      await page.keyboard.type(text.at(-1)!);
      made.push({ value: text, at: performance.now() });
      await wait(random.below(120));
    }
    return made;
  },
  found: async (page) => {
    await words(page).waitFor();
    return words(page).inputValue();
  },
};

const PICTURES: Work = {
  what: "pictures",
  path: "/pieces/samphire-ring/bench",
  work: async (page, until) => {
    await words(page).waitFor();
    const remove = page.getByRole("button", { name: /^Remove shot/ });
    for (let left = await remove.count(); left > 0; left--) {
      await remove.first().click();
      await page.waitForFunction((most) => document.querySelectorAll('button[aria-label^="Remove shot"]').length < most, left);
    }
    await wait(200);
    const made: Made[] = [{ value: "0", at: 0 }];
    for (let n = 0; n < 4 && performance.now() < until + 600; n++) {
      await page.getByLabel("Picture of the piece").setInputFiles({ name: `shot-${n}.png`, mimeType: "image/png", buffer: PICTURE });
      await pictures(page).nth(n).waitFor();
      // What is shown counts as kept from the moment it is shown: nothing of it may be lost.
      made.push({ value: String(n + 1), at: -Infinity });
    }
    return made;
  },
  found: async (page) => {
    await words(page).waitFor();
    await wait(300);
    return String(await pictures(page).count());
  },
};

/** Ticks one step after the other of one piece after the other. */
function ticks(piece: string): Work {
  const path = `/pieces/${piece}/bench`;
  return {
    what: "ticks",
    path,
    work: async (page, until, random) => {
      await page.getByRole("heading", { level: 1 }).waitFor();
      const made: Made[] = [{ value: await stepOf(page), at: 0 }];
      while (performance.now() < until && !made.at(-1)!.value.startsWith("All")) {
        const before = made.at(-1)!.value;
        await page.keyboard.press("PageDown");
        await page.waitForFunction((was) => !document.body.textContent.includes(was), before, { timeout: 3000 });
        made.push({ value: await stepOf(page), at: performance.now() });
        await wait(100 + random.below(120));
      }
      return made;
    },
    found: async (page) => {
      await page.getByRole("heading", { level: 1 }).waitFor();
      await wait(200);
      return stepOf(page);
    },
  };
}

/** Ticks all steps of a piece off, so that its result is asked for. */
async function toTheResult(page: Page, address: string, piece: string): Promise<void> {
  await page.goto(`${address}/pieces/${piece}/making`);
  const boxes = page.getByRole("checkbox");
  await boxes.first().waitFor();
  await boxes.evaluateAll((all) => all.forEach((each) => (each as HTMLInputElement).click()));
  await page.waitForFunction(() => document.querySelectorAll("input[type=checkbox]:not(:checked)").length === 0);
}

/** Steps on to the first reading of a strip. */
async function toTheStrip(page: Page, address: string): Promise<void> {
  await page.goto(`${address}${READINGS.path}`);
  await page.getByRole("heading", { level: 1 }).waitFor();
  for (let i = 0; i < 12 && !(await cut(page).count()); i++) {
    await page.keyboard.press("PageDown");
    await wait(150);
  }
}

/** Pieces whose steps are ticked: those that other work is done on stay where it needs them. */
const TICKED = DEMO_PIECES.map(({ id }) => id).filter((id) => ![READINGS, WORDS, PICTURES].some(({ path }) => path.includes(`/${id}/`)));

/** Kills the whole browser amid ticks, readings, words, pictures and fields, on one profile; `kills` of them in makes. */
export async function attackByKilling(address: string, random: Random, kills: number, mostLost = MOST_LOST): Promise<void> {
  const profile = await mkdtemp(join(tmpdir(), "attack-"));
  const first = await browserOn(profile);
  await standsWith(first.page, address, DEMO);
  for (const piece of ["knot-ring", "samphire-ring"]) await toTheResult(first.page, address, piece);
  await toTheStrip(first.page, address);
  await wait(800);
  await first.kill();
  const found = new Map<string, { tries: number; lost: number; most: number; broken: number }>();
  for (let i = 0; i < kills + Math.ceil(kills / 5); i++) {
    const isField = i >= kills;
    const work = isField ? FIELDS : [ticks(TICKED[Math.floor(i / 4) % TICKED.length]!), READINGS, WORDS, PICTURES][i % 4]!;
    const tally = found.get(work.what) ?? { tries: 0, lost: 0, most: 0, broken: 0 };
    found.set(work.what, tally);
    tally.tries++;
    const { page, kill } = await browserOn(profile);
    try {
      await page.goto(`${address}${work.path}`);
      const made = await work.work(page, performance.now() + 700 + random.below(1500), random);
      const killed = performance.now();
      await kill();
      const again = await browserOn(profile);
      await again.page.goto(`${address}${work.path}`);
      const now = await work.found(again.page);
      const loss = lossOf(made, now, killed);
      tally.most = Math.max(tally.most, loss);
      if (loss > mostLost) {
        tally.lost++;
        console.error(`${work.what}: ${loss.toFixed(0)} ms lost; found ${JSON.stringify(now)}, made ${JSON.stringify(made.slice(-3))}`);
      }
      await again.kill();
    } catch (error) {
      tally.broken++;
      console.error(`${work.what}: ${String(error).slice(0, 300)}`);
      await kill();
    }
  }
  const last = await browserOn(profile);
  const isWhole = await standsWith(last.page, address, DEMO);
  await last.kill();
  await removed(profile);
  for (const [what, { tries, lost, most, broken }] of found)
    report({
      what: `browser killed amid ${what}`,
      tries,
      bad: lost + broken,
      found: `at most ${most.toFixed(0)} ms lost, ${broken} pages broken`,
    });
  report({ what: "home after all these kills", tries: 1, bad: isWhole ? 0 : 1, found: isWhole ? "whole" : "broken" });
}

/** Kills the browser while the demo is first laid out: all its pieces and makes are there afterwards. */
export async function attackFirstDemo(address: string, random: Random, kills: number): Promise<void> {
  let bad = 0;
  for (let i = 0; i < kills; i++) {
    const profile = await mkdtemp(join(tmpdir(), "attack-"));
    const { page, kill } = await browserOn(profile);
    void page.goto(address).catch(() => undefined);
    await wait(random.below(1600));
    await kill();
    const again = await browserOn(profile);
    if (!(await standsWith(again.page, address, DEMO))) bad++;
    await again.kill();
    await removed(profile);
  }
  report({
    what: "browser killed while the demo is laid out",
    tries: kills,
    bad,
    found: `${DEMO.pieces} pieces and ${DEMO.makes} makes each time after`,
  });
}

/** Kills the browser while a backup of sixty pieces, each with a make, is restored: all of it is there afterwards, or none. */
export async function attackRestore(address: string, random: Random, kills: number): Promise<void> {
  const pieces = Array.from({ length: 60 }, (_, i) => ({ ...samphire!, id: `restored-${i}`, name: `Restored ${i}` }));
  const [one] = demoMakes();
  const makes = pieces.map((piece, i) => ({ ...one!, id: `restored-make-${i}`, piece: piece.id, pieceFile: piece }));
  const backup = { format: "hoop-ledger/backup", version: 1, bench: { format: "hoop-ledger/bench", version: 2 }, pieces, makes };
  const file = { name: "all.json", mimeType: "application/json", buffer: Buffer.from(JSON.stringify(backup)) };
  let [bad, whole] = [0, 0];
  for (let i = 0; i < kills; i++) {
    const profile = await mkdtemp(join(tmpdir(), "attack-"));
    const { page, kill } = await browserOn(profile);
    await standsWith(page, address, DEMO);
    await page.locator('input[type="file"]').setInputFiles(file);
    await page.getByRole("dialog").getByRole("button", { name: "Restore", exact: true }).click();
    await wait(random.below(900));
    await kill();
    const again = await browserOn(profile);
    await standsWith(again.page, address, DEMO);
    const counts = await countsOf(again.page);
    const isAll = counts.pieces === DEMO.pieces + 60 && counts.makes === DEMO.makes + 60;
    const isNone = counts.pieces === DEMO.pieces && counts.makes === DEMO.makes;
    if (!isAll && !isNone) bad++;
    if (isAll) whole++;
    await again.kill();
    await removed(profile);
  }
  report({ what: "browser killed while a backup is restored", tries: kills, bad, found: `all or none each time, ${whole} times all` });
}

/** A killed browser's helpers may still be writing while they end. */
export async function removed(profile: string): Promise<void> {
  await rm(profile, { recursive: true, force: true, maxRetries: 20, retryDelay: 100 });
}
