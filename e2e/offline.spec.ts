import { readFileSync } from "node:fs";
import { type Page, expect, test } from "./a-test";
import { heading } from "./bench";
import { startServer } from "../scripts/server.mjs";
import { openGateway } from "./gateway";
import { DEMO, field, figure, kept } from "./places";

/** What a page asks for past what is cached is told by the browser itself. */
const PAST_THE_CACHE = /Failed to load resource|net::ERR_|Failed to fetch RSC payload/;

test.use({
  serviceWorkers: "allow",
  mayComplain: [PAST_THE_CACHE],
});

test.slow();

/** Waits until the browser has all of the program, and answers with it. */
async function ready(page: Page, longest = 20_000): Promise<void> {
  await expect
    .poll(() => page.evaluate(async () => (await navigator.serviceWorker.getRegistration())?.active?.state), { timeout: longest })
    .toBe("activated");
  await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);
}

test("once visited, all works without the server: a cold start, stages never seen, a make with a reading, a template, the other pages", async ({
  context,
  page,
}) => {
  const server = await openGateway(DEMO);
  await page.goto(server.address);
  await expect(page.getByRole("row", { name: /Tern ring/ })).toBeVisible();
  await ready(page);
  await expect(page.getByText("Works without a network.")).toBeVisible();
  await page.close();
  await server.stop();

  const cold = await context.newPage();
  await cold.goto(server.address);
  await cold.getByRole("table").getByRole("button", { name: "Tern ring" }).click();
  await expect(figure(cold, "m1.wall.cutLength")).toContainText("46.05");
  await cold.getByRole("button", { name: /Hoop EU 54/ }).click();
  await field(cold, "hoop.size.value").fill("56");
  await field(cold, "hoop.size.value").press("Enter");
  await expect(figure(cold, "hoop.cutLength")).toContainText("61.1");
  await kept(cold);
  await cold.reload();
  await expect(figure(cold, "hoop.cutLength")).toContainText("61.1");

  await cold.goto(`${server.address}/pieces/tern-ring/bench`);
  await expect(heading(cold)).toHaveText("Look the stone over, edge and back");
  await cold.keyboard.press("Space");
  await cold.getByRole("textbox", { name: "Stone, length" }).fill("16.1");
  await cold.getByRole("textbox", { name: "Stone, length" }).press("Enter");
  await expect(cold.getByText("Step 2 of 41")).toBeVisible();
  await cold.reload();
  await expect(cold.getByText("Step 2 of 41")).toBeVisible();

  await cold.goto(`${server.address}/pieces/turnstone-ring/templates`);
  const saved = cold.waitForEvent("download");
  await cold.getByRole("button", { name: "Save to print" }).click();
  expect(
    readFileSync(await (await saved).path())
      .subarray(0, 5)
      .toString(),
  ).toBe("%PDF-");

  for (const [path, shows] of [
    ["/ledger", "What your hands take off"],
    ["/my-bench", "Solder shelf"],
    ["/day", "Print the day"],
    ["/sums", "Strip round a stone"],
    ["/practice?lesson=flux", "There is no flux"],
    ["/cards?pieces=knot-ring", "Cut first:"],
  ] as const) {
    await cold.goto(server.address + path);
    await expect(cold.getByText(shows).first()).toBeVisible();
  }
});

test.describe("with its files broken off", () => {
  // The page fetches at rest what it may need, and this is what is broken off.
  test.use({ mayComplain: [new RegExp(`${PAST_THE_CACHE.source}|Failed to load chunk`)] });

  test("caching that is broken off begins again where it stopped, and the page stands meanwhile", async ({ page }) => {
    const server = await openGateway(DEMO);
    await page.goto(server.address);
    await expect(page.getByRole("row", { name: /Tern ring/ })).toBeVisible();
    server.left = 20;
    await expect.poll(() => page.evaluate(async () => (await caches.keys()).length), { timeout: 20_000 }).toBe(1);
    await expect
      .poll(() => page.evaluate(async () => (await navigator.serviceWorker.getRegistration())?.installing ?? null), { timeout: 20_000 })
      .toBeNull();
    await page.getByRole("row", { name: /Knot ring/ }).click();
    expect(await page.evaluate(() => navigator.serviceWorker.controller)).toBeNull();
    server.left = null;
    await page.reload();
    await ready(page, 45_000);
    await server.stop();
    await page.reload();
    await expect(page.getByRole("row", { name: /Tern ring/ })).toBeVisible();
  });
});

test("a newer version waits for the maker, is not offered at the bench, keeps what is open, and tells the other window", async ({
  context,
  page,
}) => {
  const server = await openGateway(DEMO);
  await page.goto(server.address);
  await ready(page);
  server.isNewer = true;
  const other = await context.newPage();
  await other.goto(`${server.address}/pieces/tern-ring/bench`);
  await expect(other.getByText("Step 1 of 41")).toBeVisible();
  await page.goto(`${server.address}/pieces/tern-ring/hoop`);
  const offer = page.getByText("A newer version is ready.");
  await expect(offer).toBeVisible({ timeout: 20_000 });
  await expect(other.getByText("A newer version is ready.")).toBeHidden();
  await field(page, "hoop.size.value").fill("57");
  await page.getByRole("button", { name: "Use it" }).click();
  await expect(offer).toBeHidden();
  await expect(field(page, "hoop.size.value")).toHaveValue("57");
  await expect(other.getByText("Another window uses a newer version.")).toBeVisible();
  await expect.poll(() => page.evaluate(() => caches.keys())).toHaveLength(2);
  await other.getByRole("button", { name: "Reload" }).click();
  await expect(other.getByText("Step 1 of 41")).toBeVisible();
  await expect(other.getByText("Another window uses a newer version.")).toBeHidden();
  await server.stop();
});

test("open to the network without a certificate, every page stands and says that no copy is kept; another host's name is refused", async ({
  page,
}) => {
  const server = await startServer({ from: 0, demo: true, lan: { cert: "", key: "" } });
  const [there] = server.others;
  test.skip(there === undefined, "this machine is on no network");
  await page.goto(there!);
  await expect(page.getByRole("row", { name: /Tern ring/ })).toContainText("46.05");
  await expect(page.getByText("Works while the server runs: this address is not secure")).toBeVisible();
  expect(await page.evaluate(() => window.isSecureContext)).toBe(false);
  await page.goto(`${there}/pieces/tern-ring/bench`);
  await expect(heading(page)).toBeVisible();
  const refused = await page.request.get(there!, { headers: { host: "elsewhere:1" } });
  expect(refused.status()).toBe(421);
  await server.stop();
});

test("on a device too full for the program, what is changed is kept all the same, and nothing says that it works alone", async ({
  context,
  page,
}) => {
  const server = await openGateway(DEMO);
  await page.goto(server.address);
  const devtools = await context.newCDPSession(page);
  await devtools.send("Storage.overrideQuotaForOrigin", { origin: server.address, quotaSize: 2_000_000 });
  await expect(page.getByRole("row", { name: /Tern ring/ })).toBeVisible();
  await expect.poll(() => page.evaluate(async () => (await caches.keys()).length), { timeout: 20_000 }).toBe(1);
  await expect
    .poll(() => page.evaluate(async () => (await navigator.serviceWorker.getRegistration())?.installing ?? null), { timeout: 20_000 })
    .toBeNull();
  await expect(page.getByText("Works without a network.")).toBeHidden();
  await page.goto(`${server.address}/pieces/tern-ring/hoop`);
  await field(page, "hoop.size.value").fill("58");
  await field(page, "hoop.size.value").press("Enter");
  await kept(page);
  await page.reload();
  await expect(field(page, "hoop.size.value")).toHaveValue("58");
  await server.stop();
});
