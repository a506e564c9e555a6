import { readFileSync, readdirSync } from "node:fs";
import { join } from "node:path";
import { root } from "./children.mjs";
import { buildApp, install } from "./prepare.mjs";

await install();
await buildApp();
const { startServer } = await import("./server.mjs");
const { address, ended } = await startServer({ demo: true });

const folder = join(root, "demo/pieces");
const names = readdirSync(folder).map((file) => JSON.parse(readFileSync(join(folder, file), "utf8")).name);
console.log(`\nHoop Ledger is at ${address}`);
console.log(`It starts with the Marram Workshop's pieces: ${names.join(", ")}. Ctrl-C stops it.\n`);
await ended;
