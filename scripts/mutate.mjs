import { spawnSync } from "node:child_process";
import { cpSync, mkdirSync, readFileSync, readdirSync, rmSync, symlinkSync, writeFileSync } from "node:fs";
import { dirname, join, relative } from "node:path";
import { fileURLToPath } from "node:url";
import { parseArgs } from "node:util";
import { breaksOf } from "./breaks.mjs";

// Breaks the code a little, many times over, and tells which breaks no test and no type notices: npm run mutate -- [--seed N] [--count N] [FILES]

const root = join(dirname(fileURLToPath(import.meta.url)), "..");
const ROOMS = ["src/core", "src/formats", "src/store", "src/words"];
const COPIED = ["src", "cli", "demo", "scripts", "package.json", "jest.config.mjs", "jest.seed.cjs", "tsconfig.json", "next-env.d.ts"];
const copy = join(root, ".build/mutate");

const { values, positionals } = parseArgs({
  options: { seed: { type: "string", default: "1" }, count: { type: "string", default: "40" } },
  allowPositionals: true,
});

/** Random whole numbers below a limit, from a seed (Park and Miller, 1988). */
let state = (Math.abs(Number(values.seed)) % 2147483646) + 1;
/** @param {number} limit */
const below = (limit) => (state = (state * 16807) % 2147483647) % limit;

/** @param {string} folder @returns {string[]} */
function filesIn(folder) {
  return readdirSync(join(root, folder), { withFileTypes: true, recursive: true })
    .filter((entry) => entry.isFile() && entry.name.endsWith(".ts") && !/\.(test|testing|d)\.ts$/.test(entry.name))
    .map((entry) => relative(root, join(entry.parentPath, entry.name)));
}

/** A test that takes longer than this (ms) never ends: that is noticed too. */
const LONGEST = 240_000;

/** Run with a group of its own, so that what hangs is ended with all that it started. @param {string[]} args */
function passes(args) {
  const command = ["timeout", "--kill-after=5", String(LONGEST / 1000), process.execPath, ...args];
  return spawnSync(/** @type {string} */ (command[0]), command.slice(1), { cwd: copy, stdio: "ignore" }).status === 0;
}

/** Whether nothing notices: the tests of its own folder first, then the types, then every test that imports it. @param {string} file */
function lives(file) {
  const jest = ["node_modules/jest/bin/jest.js", "--bail", "--silent"];
  return (
    passes([...jest, "--passWithNoTests", dirname(file)]) &&
    passes(["node_modules/typescript/bin/tsc", "--noEmit", "--incremental", "--tsBuildInfoFile", ".tsbuildinfo"]) &&
    passes([...jest, "--findRelatedTests", file])
  );
}

rmSync(copy, { recursive: true, force: true });
mkdirSync(copy, { recursive: true });
for (const each of COPIED) cpSync(join(root, each), join(copy, each), { recursive: true });
symlinkSync(join(root, "node_modules"), join(copy, "node_modules"));

const rooms = positionals.length > 0 ? [positionals] : ROOMS.map(filesIn);
const found = rooms.map((files) =>
  files.flatMap((file) => breaksOf(file, readFileSync(join(copy, file), "utf8")).map((each) => ({ file, ...each }))),
);
const chosen = Array.from({ length: Number(values.count) }, (_, i) => {
  const room = found[i % found.length] ?? [];
  return room.splice(below(Math.max(1, room.length)), 1);
}).flat();

let lived = 0;
for (const { file, start, end, text, what } of chosen) {
  const source = readFileSync(join(copy, file), "utf8");
  writeFileSync(join(copy, file), source.slice(0, start) + text + source.slice(end));
  const isAlive = lives(file);
  if (isAlive) lived += 1;
  console.log(`${isAlive ? "LIVES" : "noticed"}  ${file}:${source.slice(0, start).split("\n").length}  ${what}`);
  writeFileSync(join(copy, file), source);
}
console.log(`${chosen.length - lived} of ${chosen.length} breaks noticed (seed ${values.seed})`);
process.exitCode = lived > 0 ? 1 : 0;
