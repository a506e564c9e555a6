import { existsSync, readFileSync, readdirSync } from "node:fs";
import { join, resolve } from "node:path";
import { parseArgs } from "node:util";
import { root } from "./children.mjs";
import { buildApp, install } from "./prepare.mjs";

const { lan, cert, key } = asked();

await install();
await buildApp();
const { startServer } = await import("./server.mjs");
const { address, others, ended } = await startServer({ demo: true, lan: lan ? { cert, key } : null });

const folder = join(root, "demo/pieces");
const names = readdirSync(folder).map((file) => JSON.parse(readFileSync(join(folder, file), "utf8")).name);
console.log(`\nHoop Ledger is at ${address}`);
if (lan) {
  console.log(`On this network it is at ${others.join(", ") || "no address: this machine is on none"}.`);
  console.log("Everyone on this network can open it. Each browser keeps its own pieces; nobody sees another's.");
  if (!cert) console.log("Without --cert and --key a phone's browser keeps no copy of the program: it works there while this runs.");
}
console.log(`It starts with the Marram Workshop's pieces: ${names.join(", ")}. Ctrl-C stops it.\n`);
await ended;

/** What was asked for; ends with a sentence where that cannot be. */
function asked() {
  /** @param {string} why */
  const refuse = (why) => {
    console.error(`${why}. Use: npm run demo -- [--lan [--cert FILE --key FILE]]`);
    process.exit(2);
  };
  try {
    const { values } = parseArgs({ options: { lan: { type: "boolean" }, cert: { type: "string" }, key: { type: "string" } } });
    const { lan = false, cert = "", key = "" } = values;
    if ((cert === "") !== (key === "")) refuse("--cert and --key are given together");
    if (cert !== "" && !lan) refuse("a certificate is for --lan");
    for (const file of [cert, key]) if (file !== "" && !existsSync(file)) refuse(`there is no file ${file}`);
    return { lan, cert: cert && resolve(cert), key: key && resolve(key) };
  } catch (error) {
    return refuse(/** @type {Error} */ (error).message);
  }
}
