import { readFile } from "node:fs/promises";
import { type Page, devices, expect, test } from "./a-test";
import { ONE_PRESS, heading, reading } from "./bench";
import { DEMO } from "./places";

/** How a maker works the bench: with keys, or by touch. */
interface Hand {
  readonly inInches: boolean;
  readonly press: (page: Page, name: RegExp | string) => Promise<void>;
  readonly done: (page: Page) => Promise<void>;
  readonly wrong: (page: Page) => Promise<void>;
}

const KEYS: Hand = {
  inInches: true,
  press: async (page, name) => {
    await page.getByRole("button", { name }).first().focus();
    await page.keyboard.press("Enter");
  },
  done: (page) => page.keyboard.press("PageDown"),
  wrong: async (page) => {
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await page.keyboard.press("x");
  },
};

const TOUCH: Hand = {
  inInches: false,
  press: (page, name) => page.getByRole("button", { name }).first().tap(),
  done: (page) =>
    page
      .locator("footer")
      .getByRole("button", { name: /^(Done|Go on)/ })
      .tap({ force: true }),
  wrong: (page) => page.getByRole("button", { name: "Went wrong" }).tap(),
};

/** Types a length as it is read, in the unit that the bench is in. */
async function read(page: Page, { inInches }: Hand, what: string, mm: number): Promise<void> {
  await reading(page, what).fill(inInches ? (mm / 25.4).toFixed(4) : String(mm));
  await reading(page, what).press("Enter");
}

async function wentWrong(page: Page, hand: Hand, remedy: RegExp): Promise<void> {
  await hand.wrong(page);
  await expect(page.getByRole("dialog")).toBeVisible();
  await hand.press(page, remedy);
  await expect(page.getByRole("dialog")).toBeHidden();
}

/** What is done at a step, the first time and each time after; true where it leads to another step by itself. */
type Act = (page: Page, hand: Hand, visit: number) => Promise<boolean>;
const ACTS: readonly (readonly [RegExp, Act])[] = [
  [
    /^Cut the strip/,
    async (page, hand, visit) => {
      await read(page, hand, "What you cut", visit === 1 ? 44 : 46.05);
      if (visit > 1) return false;
      const stop = page.getByRole("alert", { name: "Start again" });
      await expect(stop).toContainText(hand.inInches ? "1.732" : "44.00");
      await hand.done(page);
      await expect(heading(page)).toHaveText(/^Cut the strip/);
      await hand.press(page, /Make a new bezel/);
      return true;
    },
  ],
  [
    /^Try the stone: right through/,
    async (page, hand, visit) => {
      await hand.press(page, "Paper tape");
      await read(page, hand, "Length, closed", visit === 1 ? 47.3 : 46.53);
      if (visit > 1) return false;
      await expect(page.getByRole("region", { name: "Length, closed" })).toContainText("Cut out");
      await wentWrong(page, hand, /^Cut it out and redo the seam/);
      return true;
    },
  ],
  [
    /^Solder bezel to plate/,
    async (page, hand, visit) => {
      if (visit > 1) return false;
      await wentWrong(page, hand, /^Start this heat again/);
      return true;
    },
  ],
  [
    /^Round the hoop up/,
    async (page, hand, visit) => {
      await reading(page, "The size it reads").fill(visit === 1 ? "50" : "54");
      await reading(page, "The size it reads").press("Enter");
      if (visit > 1) return false;
      await wentWrong(page, hand, /^Cut a piece in and redo the seam/);
      return true;
    },
  ],
  [
    /^Push/,
    async (page, hand, visit) => {
      if (visit === 1) await wentWrong(page, hand, /^Lower the bezel to/);
      return false;
    },
  ],
  [
    /^Cut the hoop's blank/,
    async (page, hand) => {
      await read(page, hand, "What you cut", 59.1);
      return false;
    },
  ],
];

/** Goes through a making from its first step to its last. */
async function makes(page: Page, hand: Hand): Promise<void> {
  const visits = new Map<RegExp, number>();
  for (let i = 0; i < 140; i++) {
    const title = (await heading(page).textContent()) ?? "";
    if (title.startsWith("All steps are done")) return;
    const at = await page.getByText(/^Step \d+ of/).textContent();
    const [step, act] = ACTS.find(([of]) => of.test(title)) ?? [];
    let isOn = false;
    if (step && act) {
      const visit = (visits.get(step) ?? 0) + 1;
      visits.set(step, visit);
      isOn = await act(page, hand, visit);
    }
    await page.waitForTimeout(ONE_PRESS);
    if (!isOn) await hand.done(page);
    await expect(page.getByText(/^Step \d+ of|^All steps done/).first()).not.toHaveText(at ?? "");
  }
  throw new Error("the making has no end");
}

interface File {
  readonly finished: string | null;
  readonly done: readonly object[];
  readonly remedies: readonly { readonly code: string }[];
  readonly measured: readonly { readonly figure: string; readonly value: number; readonly scrapped?: string; readonly how?: string }[];
}

/** Makes the Tern ring with five things going wrong, and looks at what is written down. */
async function fiveGoWrong(page: Page, hand: Hand): Promise<void> {
  await page.goto(`${DEMO}/`);
  if (hand.inInches) {
    await page.getByRole("radio", { name: "mm" }).first().focus();
    await page.keyboard.press("ArrowRight");
    await expect(page.getByRole("radio", { name: "inch" }).first()).toBeChecked();
  }
  await page.goto(`${DEMO}/pieces/tern-ring/bench`);
  await expect(heading(page)).toBeVisible();
  await makes(page, hand);
  await hand.press(page, "Enter it in the ledger");
  await expect(page).toHaveURL(/\/ledger$/);
  await page.goto(`${DEMO}/`);
  await expect(page.getByText("too short", { exact: false })).toBeHidden();
  await page.goto(`${DEMO}/ledger`);
  await page.getByRole("table", { name: "Makings" }).getByRole("button", { name: "Tern ring" }).first().click();
  const record = page.getByRole("dialog");
  await expect(record).toContainText("came to 54");
  await expect(record).toContainText("by paper tape");
  await expect(record).toContainText("of the part before it was made anew");
  if (hand.inInches) await expect(record.getByRole("list").first()).not.toContainText(" mm");
  const saved = page.waitForEvent("download");
  await record.getByRole("button", { name: "Save file" }).click();
  const file = JSON.parse(await readFile(await (await saved).path(), "utf8")) as File;
  expect(file.finished).not.toBeNull();
  expect(file.remedies.map(({ code }) => code)).toEqual(["wall.strip-short", "wall.large", "hoop.small", "solder.balled", "wall.crimps"]);
  const of = (figure: string) => file.measured.filter((each) => each.figure === figure);
  expect(of("m1.wall.cutLength").map(({ scrapped }) => scrapped)).toEqual(["m1.wall", undefined]);
  expect(of("m1.wall.netLength").every(({ how }) => how === "tape")).toBe(true);
  expect(of("m1.wall.netLength").at(-1)!.value).toBeCloseTo(46.53 - Math.PI * 0.32, 2);
  expect(of("hoop.insideDiameter")).toHaveLength(2);
  expect(of("hoop.insideDiameter").at(-1)!.value).toBeCloseTo(54 / Math.PI, 2);
}

test("a whole making in inches by keys, with five things going wrong, ends with a sound ring and a true record", async ({ page }) => {
  test.setTimeout(180_000);
  await fiveGoWrong(page, KEYS);
});

test("the same at 390 by touch", async ({ browser }) => {
  test.setTimeout(180_000);
  const phone = await browser.newContext({ ...devices["Pixel 5"], viewport: { width: 390, height: 844 }, acceptDownloads: true });
  await fiveGoWrong(await phone.newPage(), TOUCH);
});
