import { bundle, compileSchemas, install } from "./prepare.mjs";

await install();
await compileSchemas();
await bundle("src/workers/plan/plan.thread.ts", "plan-thread");
const { startServer } = await import("./server.mjs");
const { address, ended } = await startServer({ demo: true, dev: true });
console.log(`Hoop Ledger is at ${address}`);
await ended;
