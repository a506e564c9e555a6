// Attacks the core, the server and the browser's store: npm run attack -- [SEED] [KILLS]; with "short" in place of KILLS a little of each, as npm test does.
import { buildApp, bundle, install, installChromium } from "./prepare.mjs";

await install();
await installChromium();
await buildApp();
await bundle("cli/plan.ts", "plan");
const { startServer } = await import("./server.mjs");
const { attack, attackShortly } = await import(await bundle("attack/attack.ts", "attack"));
const { address, stop } = await startServer({ from: 0, demo: true });
const [seed = "20261125", kills = "100"] = process.argv.slice(2);
const attacking = kills === "short" ? attackShortly(address, Number(seed)) : attack(address, Number(seed), Number(kills));
const isHarmed = await attacking.finally(stop);
process.exit(isHarmed ? 1 : 0);
