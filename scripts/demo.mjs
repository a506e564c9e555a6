import { readFileSync, readdirSync } from "node:fs";
import { join } from "node:path";
import { buildApp, install, root } from "./prepare.mjs";

install();
buildApp();
const { startServer, stopOnSignal } = await import("./server.mjs");
const { address, stop, ended } = await startServer({ demo: true });
stopOnSignal(stop);

const folder = join(root, "demo/pieces");
const names = readdirSync(folder).map((file) => JSON.parse(readFileSync(join(folder, file), "utf8")).name);
console.log(`\nHoop Ledger is at ${address}`);
console.log(`It starts with the Marram Workshop's pieces: ${names.join(", ")}. Ctrl-C stops it.\n`);
await ended;
