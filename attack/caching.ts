import { mkdtemp } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { type Page } from "@playwright/test";
import { browserOn } from "../e2e/a-browser";
import { openGateway } from "../e2e/gateway";
import { DEMO, FIELDS, MOST_LOST, lossOf, removed, standsWith, wait } from "./kills";
import { type Random } from "./random";
import { report } from "./report";

/** Waits until the page is answered for by a worker that has the whole program. */
async function cached(page: Page): Promise<void> {
  await page.waitForFunction(
    async () => {
      const { controller } = navigator.serviceWorker;
      return controller !== null && (await navigator.serviceWorker.getRegistration())?.active?.state === "activated";
    },
    undefined,
    { timeout: 20_000 },
  );
}

/** Chromium writes down some seven seconds late that a worker is registered (ms). */
const WRITTEN = 12_000;

/** What a kill did: how much of what was typed it lost (ms), and whether home stands whole without the server afterwards. */
interface Killed {
  readonly lost: number;
  readonly isWhole: boolean;
}

/** Kills one browser amid typing, while the program is cached for the first time or a newer one is fetched beside it. */
async function killedOnce(to: string, isUpdate: boolean, random: Random): Promise<Killed> {
  const server = await openGateway(to);
  const profile = await mkdtemp(join(tmpdir(), "attack-"));
  const path = `${server.address}${FIELDS.path}`;
  try {
    const first = await browserOn(profile);
    await first.page.goto(path);
    if (isUpdate) {
      await cached(first.page);
      server.isNewer = true;
      await first.page.reload();
    }
    const made = await FIELDS.work(first.page, performance.now() + random.below(1800), random);
    const killed = performance.now();
    await first.kill();
    const again = await browserOn(profile);
    await again.page.goto(path);
    const lost = lossOf(made, await FIELDS.found(again.page), killed);
    await cached(again.page);
    await wait(WRITTEN);
    await again.kill();
    await server.stop();
    const alone = await browserOn(profile);
    const isWhole = await standsWith(alone.page, server.address, DEMO);
    await alone.kill();
    return { lost, isWhole };
  } finally {
    await server.stop();
    await removed(profile);
  }
}

/** Kills the browser while the program is cached and while a newer one is: each time after it starts again, with the server and without it. */
export async function attackCaching(to: string, random: Random, kills: number, mostLost = MOST_LOST): Promise<void> {
  for (const isUpdate of [false, true]) {
    let [bad, most] = [0, 0];
    for (let i = 0; i < Math.ceil(kills / 2); i++) {
      const { lost, isWhole } = await killedOnce(to, isUpdate, random).catch((error: unknown) => {
        console.error(String(error).slice(0, 300));
        return { lost: 0, isWhole: false };
      });
      most = Math.max(most, lost);
      if (lost > mostLost || !isWhole) bad++;
    }
    report({
      what: `browser killed while ${isUpdate ? "a newer version is fetched" : "the program is cached"}`,
      tries: Math.ceil(kills / 2),
      bad,
      found: `at most ${most.toFixed(0)} ms lost; starts without the server each time after`,
    });
  }
}
