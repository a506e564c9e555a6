import { compileSchemas, install } from "./prepare.mjs";

install();
compileSchemas();
const { startServer, stopOnSignal } = await import("./server.mjs");
const { stop, ended } = await startServer({ demo: true, dev: true });
stopOnSignal(stop);
await ended;
