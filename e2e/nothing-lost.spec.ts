import { readFileSync } from "node:fs";
import { deflateSync } from "node:zlib";
import { type Page, devices, expect, test } from "./a-test";
import { DEMO, kept, laid } from "./places";

const TERN = "/pieces/tern-ring/bench";
const ROUTES = ["/", "/ledger", "/my-bench", "/day", "/cards", "/pieces/tern-ring/wall", "/pieces/tern-ring/making", TERN];
/** Presses nearer than this count as one (ms). */
const ONE_PRESS = 100;
const heading = (page: Page) => page.getByRole("heading", { level: 1 });
const reading = (page: Page, asked: string) => page.getByRole("textbox", { name: asked, exact: true });
const told = (page: Page, asked: string) => page.getByRole("region", { name: asked });
const tern = JSON.parse(readFileSync("demo/pieces/tern-ring.json", "utf8")) as Record<string, unknown> & { name: string };
const jsonFile = (name: string, value: unknown) => ({ name, mimeType: "application/json", buffer: Buffer.from(JSON.stringify(value)) });

/** Opens a piece at the bench. */
async function atBench(page: Page, path = TERN): Promise<void> {
  await page.goto(path);
  await expect(heading(page)).toBeVisible();
}

/** Steps on by the space bar until a step is shown. */
async function onTo(page: Page, step: RegExp): Promise<void> {
  for (let i = 0; i < 40 && !step.test((await heading(page).textContent()) ?? ""); i++) {
    const before = await page.getByText(/^Step \d+ of/).textContent();
    await page.waitForTimeout(ONE_PRESS);
    await page.keyboard.press("Space");
    await expect(page.getByText(/^Step \d+ of|^All steps done/).first()).not.toHaveText(before ?? "");
  }
}

/** Ticks all steps off, through the page's own database, and opens the result. */
async function toTheResult(page: Page): Promise<void> {
  await page.goto("/pieces/knot-ring/making");
  const steps = page.getByRole("checkbox");
  await steps.first().waitFor();
  const names = await steps.evaluateAll((all) => all.map((each) => each.getAttribute("aria-label")));
  await steps.evaluateAll((all) => all.forEach((each) => (each as HTMLInputElement).click()));
  await expect(page.getByRole("checkbox", { checked: true })).toHaveCount(names.length);
  await page.goto("/pieces/knot-ring/bench");
  await expect(heading(page)).toContainText("What came of it?");
}

const WAYS: readonly (readonly [name: string, breakIt: () => void])[] = [
  ["there is none", () => Object.defineProperty(window, "indexedDB", { value: undefined })],
  [
    "opening it throws",
    () => {
      IDBFactory.prototype.open = () => {
        throw new DOMException("denied", "SecurityError");
      };
    },
  ],
  [
    "opening it fails",
    () => {
      const factory = window.indexedDB;
      const open = factory.open.bind(factory);
      // A database that cannot be: the request itself ends with an error.
      IDBFactory.prototype.open = (name: string) => {
        const request = open(`${name}-broken`, 1);
        request.addEventListener("upgradeneeded", () => request.transaction!.abort());
        return request;
      };
    },
  ],
];

for (const [name, breakIt] of WAYS)
  test(`without a database, where ${name}, every page stands, at the bench too, and says that nothing is kept`, async ({ page }) => {
    await page.addInitScript(breakIt);
    for (const route of ROUTES) {
      await page.goto(route);
      await expect(page.getByText("Not kept: this browser keeps nothing").first(), route).toBeVisible();
    }
    await page.keyboard.press("Space");
    await expect(page.getByText("Step 2 of")).toBeVisible();
  });

test("a database that a newer program takes under an open bench is told there, and nothing is said to be deleted", async ({ page }) => {
  await atBench(page);
  await expect(heading(page)).toContainText("Look the stone over");
  await page.evaluate(
    () =>
      new Promise(
        (resolve) => (indexedDB.open("hoop-ledger", 99).onsuccess = (event) => resolve((event.target as IDBOpenDBRequest).result.close())),
      ),
  );
  await expect(page.getByText("a newer Hoop Ledger was here")).toBeVisible();
  await page.keyboard.press("Space");
  await expect(page.getByText("That is not kept.").first()).toBeVisible();
  await expect(page.getByText(/deleted/)).toBeHidden();
  for (const route of ROUTES) {
    await page.goto(route);
    await expect(page.getByText("a newer Hoop Ledger was here").first(), route).toBeVisible();
  }
});

test("a database that another window holds back is told at the bench", async ({ page, context }) => {
  await page.goto("/schema/piece.json");
  await page.evaluate(
    () =>
      new Promise((resolve) => {
        const open = indexedDB.open("hoop-ledger", 1);
        open.onsuccess = () => resolve(void ((window as unknown as { held: unknown }).held = open.result));
      }),
  );
  const other = await context.newPage();
  await other.goto(TERN);
  await expect(other.getByText("close Hoop Ledger's other windows")).toBeVisible({ timeout: 15_000 });
});

test("a device that is full is told at the bench", async ({ page }) => {
  await atBench(page);
  await page.evaluate(() => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException("full", "QuotaExceededError");
    };
  });
  await page.keyboard.press("Space");
  await expect(page.getByText("Not kept: this device is full").first()).toBeVisible();
  await expect(page.getByText("That is not kept.").first()).toBeVisible();
  await expect(page.getByText("Step 1 of 32")).toBeVisible();
});

test("what the browser clears under an open bench is told, and kept again at a press", async ({ page, context }) => {
  await atBench(page);
  await page.keyboard.press("Space");
  await expect(page.getByText("Step 2 of 32")).toBeVisible();
  await page.waitForTimeout(300);
  const devtools = await context.newCDPSession(page);
  await devtools.send("Storage.clearDataForOrigin", { origin: DEMO, storageTypes: "indexeddb" });
  await expect(page.getByText("This browser has cleared what was kept here")).toBeVisible();
  await expect(page.getByText(/deleted/)).toBeHidden();
  await page.getByRole("button", { name: "Keep it again" }).click();
  await expect(page.getByText("This browser has cleared")).toBeHidden();
  await page.reload();
  await expect(page.getByText("Step 2 of 32")).toBeVisible();
});

test("Done takes first what is typed, also by a press that moves no focus; what cannot be read, or is doubtful, stops there", async ({
  page,
}) => {
  await atBench(page);
  await onTo(page, /^Cut the strip 46\.05/);
  const done = page.getByRole("button", { name: "Done" });
  await reading(page, "What you cut").fill("46..05");
  await done.evaluate((button: HTMLElement) => button.click());
  await expect(told(page, "What you cut")).toContainText('"46..05" is not a number');
  await expect(heading(page)).toContainText("Cut the strip 46.05");
  await page.reload();
  await expect(reading(page, "What you cut")).toHaveValue("46..05");
  await reading(page, "What you cut").fill("4605");
  await page.waitForTimeout(ONE_PRESS);
  await page.keyboard.press("PageDown");
  await expect(told(page, "What you cut")).toContainText("4605 mm is 100 times too large: about 46.07 mm is wanted. Which is it?");
  await expect(heading(page)).toContainText("Cut the strip 46.05");
  await page.getByRole("button", { name: "Use 46.05" }).click();
  await expect(told(page, "What you cut")).toContainText("Good.");
  await page.waitForTimeout(ONE_PRESS);
  await done.evaluate((button: HTMLElement) => button.click());
  await expect(heading(page)).toContainText("File both ends square");
  await page.reload();
  await expect(heading(page)).toContainText("File both ends square");
  await page.keyboard.press("b");
  await expect(reading(page, "What you cut")).toHaveValue("46.05");
  await reading(page, "What you cut").fill("9");
  await page.keyboard.press("Enter");
  await expect(told(page, "What you cut")).toContainText("9 mm is 5.1 times too small");
  await page.getByRole("button", { name: "Keep 9 mm" }).click();
  await expect(told(page, "What you cut")).toContainText("Start again");
});

test("a key that is held counts once, a switch that bounces too; a foot switch works in a field; Undo stays in reach", async ({ page }) => {
  await atBench(page);
  await expect(page.getByText("Step 1 of 32")).toBeVisible();
  for (const key of ["Space", "PageDown"]) {
    await page.waitForTimeout(ONE_PRESS);
    for (let i = 0; i < 12; i++) await page.keyboard.down(key);
    await page.keyboard.up(key);
  }
  await expect(page.getByText("Step 3 of 32")).toBeVisible();
  await page.getByRole("button", { name: "Done" }).evaluate((button: HTMLElement) => {
    for (let i = 0; i < 8; i++) button.click();
  });
  await expect(page.getByText("Step 4 of 32")).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByText("Step 3 of 32")).toBeVisible();
  await reading(page, "How tall it is").focus();
  await page.keyboard.type("3.2");
  await page.keyboard.press("PageDown");
  await expect(page.getByText("Step 4 of 32")).toBeVisible();
  await page.waitForTimeout(ONE_PRESS);
  await page.keyboard.press("PageUp");
  await expect(reading(page, "How tall it is")).toHaveValue("3.20");
});

test("two windows that write the words of one make end with both, and neither loses its caret", async ({ page, context }) => {
  await toTheResult(page);
  const other = await context.newPage();
  await other.goto("/pieces/knot-ring/bench");
  const words = (each: Page) => each.getByLabel("What you would tell the next one");
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
  await toTheResult(page);
  const pick = page.getByLabel("Picture of the piece");
  const picture = (name: string, buffer: Buffer) => ({ name, mimeType: "image/png", buffer });
  await page.evaluate(() => {
    const state = window as unknown as { longest: number };
    let last = performance.now();
    state.longest = 0;
    const beat = () => {
      state.longest = Math.max(state.longest, performance.now() - last);
      last = performance.now();
      setTimeout(beat, 10);
    };
    beat();
  });
  await pick.setInputFiles(picture("wide.png", png(12_000, 3_000)));
  await expect(page.getByRole("img", { name: "wide.png" })).toBeVisible();
  const longest = await page.evaluate(() => (window as unknown as { longest: number }).longest);
  expect(longest).toBeLessThan(1000);
  await page.getByRole("button", { name: "Remove wide.png" }).click();
  await pick.setInputFiles(picture("many.png", png(12_000, 6_000)));
  await expect(page.getByText("many.png has 72 megapixels; use a picture of 60 at most.").first()).toBeVisible();
  await pick.setInputFiles(picture("heavy.png", Buffer.alloc(50_000_000)));
  await expect(page.getByText("heavy.png has 50 MB; use a picture of 30 MB at most.").first()).toBeVisible();
  for (const name of ["1", "2", "3", "4", "5", "6"]) await pick.setInputFiles(picture(`${name}.png`, png(20, 20)));
  await expect(page.getByText("That is not kept: photos must hold at most 4.").first()).toBeVisible();
  await page.reload();
  await expect(page.getByRole("img", { name: /\.png$/ })).toHaveCount(4);
  await page.goto("/");
  await expect(page.getByRole("table")).toBeVisible();
  await expect(page.getByRole("region", { name: "Could not be read" })).toBeHidden();
});

test("a piece that changes or goes under an open bench is asked about there", async ({ page, context }) => {
  await atBench(page);
  await page.keyboard.press("Space");
  await expect(page.getByText("Step 2 of 32")).toBeVisible();
  const other = await context.newPage();
  await other.goto("/");
  const replaced = JSON.parse(JSON.stringify(tern).replace('"thickness":0.32', '"thickness":0.4')) as object;
  await other.locator('input[type="file"]').setInputFiles(jsonFile("tern.json", replaced));
  await other.getByRole("button", { name: "Replace it" }).click();
  await expect(page.getByRole("region", { name: "The piece has changed" })).toBeVisible();
  await page.getByRole("button", { name: "Take the new plan from here" }).click();
  await other.goto("/");
  await other.getByRole("button", { name: "Clear the demo away" }).click();
  const asked = other.getByRole("dialog");
  await expect(asked).toContainText("Tern ring: a make of it is under way");
  await asked.getByRole("button", { name: "Keep the demo" }).click();
  await expect(page.getByText(/deleted/)).toBeHidden();
  await other.getByRole("button", { name: "Clear the demo away" }).click();
  await asked.getByRole("button", { name: "Clear the demo away" }).click();
  const gone = page.getByRole("alert").filter({ hasText: "This piece was deleted in another window" });
  await expect(gone).toBeVisible();
  await gone.getByRole("button", { name: "Put it back" }).click();
  await expect(gone).toBeHidden();
  await other.reload();
  await expect(other.getByRole("table").getByRole("button", { name: "Tern ring" })).toBeVisible();
});

test("an older backup takes no running make back unasked, and one step undoes all of it", async ({ page }) => {
  await atBench(page);
  await page.keyboard.press("Space");
  await expect(page.getByText("Step 2 of 32")).toBeVisible();
  await page.goto("/");
  const [download] = await Promise.all([page.waitForEvent("download"), page.getByRole("button", { name: "Save everything" }).click()]);
  const backup = readFileSync(await download.path());
  await atBench(page);
  for (const step of [3, 4, 5]) {
    await page.waitForTimeout(ONE_PRESS);
    await page.keyboard.press("Space");
    await expect(page.getByText(`Step ${step} of 32`)).toBeVisible();
  }
  const restore = async (answer: string) => {
    await page.goto("/");
    await page.locator('input[type="file"]').setInputFiles({ name: "all.json", mimeType: "application/json", buffer: backup });
    const dialog = page.getByRole("dialog");
    await expect(dialog).toContainText("1 make is further on here than in this file: Tern ring, 4 steps done");
    await dialog.getByLabel(answer).check();
    await dialog.getByRole("button", { name: "Restore", exact: true }).click();
    await expect(page.getByText(/^Restored: /)).toBeVisible();
  };
  await restore("Keep what is here");
  await atBench(page);
  await expect(page.getByText("Step 5 of 32")).toBeVisible();
  await restore("Put the file's in their place");
  await page.getByRole("button", { name: "Undo", exact: true }).click();
  await expect(page.getByText("Undone: everything is as it was before")).toBeVisible();
  await atBench(page);
  await expect(page.getByText("Step 5 of 32")).toBeVisible();
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

test("Esc gives the focus back to what opened a dialog, and every dialog has a name", async ({ page }) => {
  await page.goto("/");
  await laid(page, { ...tern, id: "mine", name: "Mine" });
  const through = async (open: ReturnType<Page["getByRole"]>, name: RegExp) => {
    await open.focus();
    await page.keyboard.press("Enter");
    const dialog = page.getByRole("dialog", { name });
    await expect(dialog).toBeVisible();
    await page.keyboard.press("Escape");
    await expect(dialog).toBeHidden();
    await expect(open).toBeFocused();
  };
  await page.goto("/pieces/mine/wall");
  await through(page.getByRole("button", { name: /^Find/ }), /Find/);
  await through(page.getByRole("button", { name: "Fit around stone" }), /Fit/i);
  await through(page.getByRole("button", { name: /Net length of the wall, show its sum/ }), /Net length/);
  await page.goto("/pieces/mine/heats");
  await through(page.getByRole("button", { name: /Five ways|Compare/ }), /ways/);
  await through(page.getByRole("button", { name: /joint more|Add a joint/i }), /joint/);
  await page.goto("/");
  await through(page.getByRole("button", { name: /New piece/ }), /New piece/);
  await page.goto("/ledger");
  await through(page.getByRole("button", { name: "Kelp ring" }).first(), /Kelp ring/);
  await page.goto("/pieces/mine/bench");
  await through(page.getByRole("button", { name: /Went wrong/ }), /went wrong/);
});

const LONG_NAME = "W".repeat(120);
/** Every target smaller than so many px both ways, by its name. */
const tooSmall = (page: Page, least: number) =>
  page.evaluate((least) => {
    const found = [...document.querySelectorAll<HTMLElement>("button, a[href], input, select, textarea, [role=button]")].flatMap(
      (element) => {
        const target = element.closest("label") ?? element;
        const { width, height } = target.getBoundingClientRect();
        const isShown = width > 1 && height > 1 && getComputedStyle(element).visibility === "visible" && !element.closest(".sr-only, svg");
        return isShown && (width < least - 0.5 || height < least - 0.5)
          ? [`${element.getAttribute("aria-label") ?? element.textContent} ${width}x${height}`]
          : [];
      },
    );
    return [...new Set(found)];
  }, least);

test("no target is under 24 px, at the bench none under 44, and headings follow one another", async ({ page }) => {
  test.setTimeout(90_000);
  for (const route of [
    ...ROUTES,
    "/pieces/turnstone-ring/plate",
    "/pieces/tern-ring/hoop",
    "/pieces/limpet-pendant/bail",
    "/pieces/turnstone-ring/heats",
  ]) {
    await page.goto(route);
    await expect(page.getByRole("heading", { level: 1 })).toHaveCount(1);
    await page.waitForTimeout(300);
    expect(await tooSmall(page, route.endsWith("/bench") ? 44 : 24), route).toEqual([]);
  }
});

test("colours that tell things apart stay in forced colours: the strip of steps, the dots of the stages", async ({ page }) => {
  await page.emulateMedia({ forcedColors: "active" });
  await atBench(page);
  const strip = page.locator("header ol li");
  const colours = () => strip.evaluateAll((all) => new Set(all.map((each) => getComputedStyle(each).backgroundColor)).size);
  await expect(strip.first()).toBeVisible();
  expect(await colours()).toBeGreaterThanOrEqual(3);
});

test.describe("on a phone", () => {
  const { hasTouch, isMobile } = devices["iPhone 13"];
  test.use({ viewport: { width: 390, height: 844 }, hasTouch, isMobile });

  test("what can be done meanwhile is told whole, the scale names its red end, and a name without a space bends nothing", async ({
    page,
  }) => {
    await page.goto("/");
    await laid(page, { ...tern, id: "long", name: LONG_NAME });
    await page.goto("/pieces/long/bench");
    for (let step = 2; step <= 5; step++) {
      await page.waitForTimeout(ONE_PRESS);
      await page.getByRole("button", { name: "Done", exact: true }).tap();
      await expect(page.getByText(`Step ${step} of 32`)).toBeVisible();
    }
    const meanwhile = page.getByRole("button", { name: /^This waits/ });
    expect(await meanwhile.evaluate((each) => each.firstElementChild!.scrollWidth <= each.firstElementChild!.clientWidth)).toBe(true);
    await expect(meanwhile).toContainText("59.1 mm long");
    await expect(page.locator("svg text", { hasText: "start again" })).toBeVisible();
    const overflow = () => page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    for (const route of ["/pieces/long/bench", "/pieces/long/wall", "/pieces/long/card", "/", "/ledger"]) {
      await page.goto(route);
      await page.waitForTimeout(400);
      expect(await overflow(), route).toBeLessThanOrEqual(0);
    }
  });

  test("on its side, and enlarged fourfold, the step has the room; on every stage the fields begin on the first screen", async ({
    page,
  }) => {
    for (const [width, height] of [
      [844, 390],
      [320, 200],
    ] as const) {
      await page.setViewportSize({ width, height });
      await atBench(page);
      const [head, foot] = [page.locator("header"), page.locator("footer")];
      await expect(heading(page)).toBeVisible();
      const stuck = await foot.evaluate((each) => (getComputedStyle(each).position === "sticky" ? each.getBoundingClientRect().height : 0));
      expect((await head.boundingBox())!.height + stuck).toBeLessThan(height * 0.4);
    }
    await page.setViewportSize({ width: 390, height: 844 });
    for (const stage of ["tern-ring/stone", "tern-ring/wall", "turnstone-ring/plate", "tern-ring/hoop", "limpet-pendant/bail"]) {
      await page.goto(`/pieces/${stage}`);
      await expect(page.getByRole("region", { name: "Measures" })).toBeVisible();
      const top = await page.locator("[data-field]").first().boundingBox();
      expect(top!.y, stage).toBeLessThan(844);
    }
  });

  test("no word is under 11 px", async ({ page }) => {
    for (const route of [...ROUTES, "/pieces/limpet-pendant/bail", "/pieces/turnstone-ring/heats", "/pieces/redshank-ring/heats"]) {
      await page.goto(route);
      await page.waitForTimeout(500);
      const small = await page.evaluate(() => {
        const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
        const found: string[] = [];
        for (let node = walk.nextNode(); node; node = walk.nextNode()) {
          const parent = node.parentElement!;
          if (!node.textContent!.trim() || parent.getBoundingClientRect().width < 2 || parent.closest(".card-page")) continue;
          const zoom = parent instanceof SVGGraphicsElement ? Math.hypot(parent.getScreenCTM()!.a, parent.getScreenCTM()!.b) : 1;
          const size = parseFloat(getComputedStyle(parent).fontSize) * zoom;
          if (size < 10.95) found.push(`${size.toFixed(1)} ${node.textContent!.trim()}`);
        }
        return found;
      });
      expect(small, route).toEqual([]);
    }
  });
});
