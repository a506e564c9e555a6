import { type Page, chromium } from "@playwright/test";
import { DEMO_PIECES } from "@demo/pieces";
import { CHROMIUM } from "../e2e/places";
import { tamper } from "../scripts/tamper.mjs";
import { type Random, mutated } from "./random";
import { report } from "./report";

const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
const thickness = (page: Page) => page.locator('[data-field="m1.wall.thickness"]');

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
      const take = page.getByRole("button", { name: "Use the newer one" });
      if (await take.count()) await take.click();
    }
  }
  report({ what: "edits of one piece in two windows", tries: 8, bad: silent, found: "one kept, the other told, each time" });
  const written = await wordsInTwo(windows, address, random);
  report({
    what: "words of one make written in two windows",
    tries: 12,
    bad: written.lost,
    found: `${12 - written.lost} letters' runs whole in both`,
  });
  await browser.close();
}

/** Two windows write the same words at once, letter by letter: each one's letters all stand, in their order, in both. */
async function wordsInTwo(windows: readonly Page[], address: string, random: Random): Promise<{ readonly lost: number }> {
  const [one, other] = windows as [Page, Page];
  for (const page of [one, other]) await page.goto(`${address}/pieces/tern-ring/making`);
  const boxes = one.getByRole("checkbox");
  await boxes.first().waitFor();
  await boxes.evaluateAll((all) => all.forEach((each) => !(each as HTMLInputElement).checked && (each as HTMLInputElement).click()));
  await wait(1500);
  for (const page of [one, other]) await page.goto(`${address}/pieces/tern-ring/bench`);
  const field = (page: Page) => page.getByLabel("Note for next time");
  let lost = 0;
  for (let round = 0; round < 6; round++) {
    const [mine, theirs] = ["abcdefgh", "qrstuvwx"];
    for (const page of [one, other]) await field(page).waitFor();
    await field(one).fill("");
    await wait(400);
    await Promise.all([
      field(one).pressSequentially(mine, { delay: 20 + random.below(80) }),
      field(other).pressSequentially(theirs, { delay: 20 + random.below(80) }),
    ]);
    await wait(600);
    const texts = await Promise.all([one, other].map((page) => field(page).inputValue()));
    for (const run of [mine, theirs])
      if (!texts.every((text) => [...text].filter((letter) => run.includes(letter)).join("") === run)) lost++;
  }
  return { lost };
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
  await page.getByRole("table").getByRole("row").nth(1).waitFor();
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
