import { expect, test } from "./a-test";
import { ROUTES, TERN, atBench, heading, tern } from "./bench";
import { DEMO, laid } from "./places";

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
  await expect(page.getByText("this device holds data of a newer Hoop Ledger")).toBeVisible();
  await page.keyboard.press("Space");
  await expect(page.getByText("That was not kept.").first()).toBeVisible();
  await expect(page.getByText(/deleted/)).toBeHidden();
  for (const route of ROUTES) {
    await page.goto(route);
    await expect(page.getByText("this device holds data of a newer Hoop Ledger").first(), route).toBeVisible();
  }
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
  await expect(page.getByText("That was not kept.").first()).toBeVisible();
  await expect(page.getByText("Step 1 of 41")).toBeVisible();
});

test("what the browser clears under an open bench is told, and kept again at a press", async ({ page, context }) => {
  await atBench(page);
  await page.keyboard.press("Space");
  await expect(page.getByText("Step 2 of 41")).toBeVisible();
  await page.waitForTimeout(300);
  const devtools = await context.newCDPSession(page);
  await devtools.send("Storage.clearDataForOrigin", { origin: DEMO, storageTypes: "indexeddb" });
  await expect(page.getByText("This browser has cleared what was kept here")).toBeVisible();
  await expect(page.getByText(/deleted/)).toBeHidden();
  await page.getByRole("button", { name: "Keep it again" }).click();
  await expect(page.getByText("This browser has cleared")).toBeHidden();
  await page.reload();
  await expect(page.getByText("Step 2 of 41")).toBeVisible();
});

test("a piece that changes or goes under an open bench is asked about there", async ({ page, context }) => {
  await atBench(page);
  await page.keyboard.press("Space");
  await expect(page.getByText("Step 2 of 41")).toBeVisible();
  const other = await context.newPage();
  await other.goto("/");
  const replaced = JSON.parse(JSON.stringify(tern).replace('"thickness":0.32', '"thickness":0.4')) as object;
  await other
    .locator('input[type="file"]')
    .setInputFiles({ name: "tern.json", mimeType: "application/json", buffer: Buffer.from(JSON.stringify(replaced)) });
  await other.getByRole("button", { name: "Replace it" }).click();
  await expect(page.getByRole("region", { name: "The piece has changed" })).toBeVisible();
  await page.getByRole("button", { name: "Use the new plan from here" }).click();
  await other.waitForURL(/\/pieces\/tern-ring/);
  await other.goto("/");
  await other.getByRole("button", { name: "Remove the demo pieces" }).click();
  const asked = other.getByRole("dialog");
  await expect(asked).toContainText("Tern ring: a make of it is under way");
  await asked.getByRole("button", { name: "Keep the demo" }).click();
  await expect(page.getByText(/deleted/)).toBeHidden();
  await other.getByRole("button", { name: "Remove the demo pieces" }).click();
  await asked.getByRole("button", { name: "Remove the demo pieces" }).click();
  const gone = page.getByRole("alert").filter({ hasText: "This piece was deleted in another window" });
  await expect(gone).toBeVisible();
  await gone.getByRole("button", { name: "Put it back" }).click();
  await expect(gone).toBeHidden();
  await other.reload();
  await expect(other.getByRole("table").getByRole("button", { name: "Tern ring" })).toBeVisible();
});

test("a browser that does not promise to keep everything is told of once, at the first piece of one's own, with what to do", async ({
  page,
}) => {
  await page.addInitScript(() => {
    Object.defineProperty(navigator.storage, "persist", { value: () => Promise.resolve(false) });
    Object.defineProperty(navigator.storage, "persisted", { value: () => Promise.resolve(false) });
  });
  const told = page.getByText("This browser may clear your pieces when its disk is full.");
  await page.goto("/");
  await expect(page.getByRole("table")).toBeVisible();
  await expect(told).toBeHidden();
  await laid(page, { ...tern, id: "mine", name: "Mine" });
  await page.goto("/");
  await expect(told).toBeVisible();
  await page.getByRole("button", { name: "Close this" }).click();
  await expect(told).toBeHidden();
  await page.reload();
  await expect(page.getByRole("table")).toBeVisible();
  await expect(told).toBeHidden();
});

test("a journal that is full is told, on a stage and at the bench, and what is typed is kept all the same", async ({ page }) => {
  const told = page.getByText("This browser's journal is full");
  await atBench(page);
  await page.evaluate(() => {
    Storage.prototype.setItem = () => {
      throw new DOMException("full", "QuotaExceededError");
    };
  });
  await page.keyboard.press("Space");
  await expect(told.first()).toBeVisible();
  await expect(page.getByText("Step 2 of 41")).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(page).toHaveURL(/\/making$/);
  await expect(told.first()).toBeVisible();
  // With no journal to hold the last moment, what is on its way must have come to the database before the page goes.
  await expect.poll(() => page.evaluate(tickedMakes)).toBe(1);
  await page.goto(TERN);
  await expect(page.getByText("Step 2 of 41")).toBeVisible();
});

/** How many makes the browser's database holds that are under way with a step done. */
function tickedMakes(): Promise<number> {
  interface Kept {
    readonly make: { readonly finished: string | null; readonly done: readonly object[] };
  }
  return new Promise((resolve, reject) => {
    const opening = indexedDB.open("hoop-ledger");
    opening.onerror = () => reject(new Error(String(opening.error)));
    opening.onsuccess = () => {
      const all = opening.result.transaction("makes").objectStore("makes").getAll() as IDBRequest<Kept[]>;
      all.onsuccess = () => {
        opening.result.close();
        resolve(all.result.filter(({ make }) => make.finished === null && make.done.length > 0).length);
      };
    };
  });
}

test("with a device that is full from the start, and with a database held back, every page stands", async ({ page, context }) => {
  await page.addInitScript(() => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException("full", "QuotaExceededError");
    };
  });
  for (const route of ["/", "/ledger", "/my-bench", "/day", "/cards"]) {
    await page.goto(route);
    await expect(
      heading(page)
        .or(page.getByRole("heading", { name: "Start with your stone" }))
        .first(),
      route,
    ).toBeAttached();
    await expect(page.getByText("Not kept: this device is full").first(), route).toBeVisible();
  }
  await page.goto("/schema/piece.json");
  await page.evaluate(
    () =>
      new Promise((resolve) => {
        indexedDB.deleteDatabase("hoop-ledger").onsuccess = () => {
          const open = indexedDB.open("hoop-ledger", 1);
          open.onsuccess = () => resolve(void ((window as unknown as { held: unknown }).held = open.result));
        };
      }),
  );
  const other = await context.newPage();
  for (const route of ["/ledger", TERN]) {
    await other.goto(route);
    await expect(other.getByText("close Hoop Ledger's other windows").first(), route).toBeVisible({ timeout: 20_000 });
  }
});
