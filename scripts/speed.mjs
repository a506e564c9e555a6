// Medians and ratios for this machine: the core alone, then the app in the browser.
import { buildApp, bundle, install, installChromium } from "./prepare.mjs";

await install();
await import(await bundle("speed/core.ts", "speed"));
await import(await bundle("speed/heats.ts", "speed-heats"));
await import(await bundle("speed/tracing.ts", "speed-tracing"));
await import(await bundle("speed/cutting.ts", "speed-cutting"));
await import(await bundle("speed/practice.ts", "speed-practice"));

await installChromium();
await buildApp();
const { startServer } = await import("./server.mjs");
const { measureBrowser } = await import(await bundle("speed/browser.ts", "speed-browser"));
const start = performance.now();
const { address, stop } = await startServer({ from: 4300, demo: true });
await measureBrowser(address, performance.now() - start).finally(stop);
