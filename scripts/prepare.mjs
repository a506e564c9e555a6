// What every command needs done before it runs: each step is skipped when nothing it depends on has changed.
import { createHash } from "node:crypto";
import { existsSync, mkdirSync, readFileSync, readdirSync, rmSync, statSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { bin, must, root } from "./children.mjs";
import { findChromium } from "./chromium.mjs";
import { writeServiceWorker } from "./offline.mjs";

const made = join(root, ".build");

/**
 * Ends the command with a sentence where a folder cannot be written, never with a stack.
 * @template T
 * @param {() => T} work
 * @returns {T}
 */
function orSay(work) {
  try {
    return work();
  } catch (error) {
    const { code, path } = /** @type {NodeJS.ErrnoException} */ (error);
    if (!code) throw error;
    console.error(`cannot write ${path ?? made}: ${code}`);
    process.exit(1);
  }
}

/** @param {string} path @returns {string[]} */
function filesIn(path) {
  const full = join(root, path);
  if (!existsSync(full)) return [];
  const entries = readdirSync(full, { withFileTypes: true }).sort((a, b) => (a.name < b.name ? -1 : 1));
  return entries.flatMap((entry) => {
    const inner = join(path, entry.name);
    if (entry.isDirectory()) return ["node_modules", "generated"].includes(entry.name) ? [] : filesIn(inner);
    return [inner];
  });
}

/** What every product depends on besides its own files. */
const CONFIG = ["package-lock.json", "package.json", "tsconfig.json", "next.config.ts", "postcss.config.mjs", "scripts/prepare.mjs"];

/** @param {readonly string[]} files */
function hashOf(files) {
  const hash = createHash("sha256").update(process.version);
  for (const file of [...files, ...CONFIG])
    hash
      .update(file)
      .update("\0")
      .update(readFileSync(join(root, file)))
      .update("\0");
  return hash.digest("hex");
}

/** @param {number} ms */
const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

/**
 * Does something while no other command on this checkout does the same. One that died holding the lock has lost it.
 * Each product has its own lock: planning from the command line does not wait for the app to be built.
 * @template T
 * @param {string} name
 * @param {() => Promise<T>} work
 * @returns {Promise<T>}
 */
async function alone(name, work) {
  orSay(() => mkdirSync(made, { recursive: true }));
  const lockFolder = join(made, `${name}.lock`);
  const holder = join(lockFolder, "pid");
  for (let isSaid = false; ;) {
    try {
      mkdirSync(lockFolder);
      writeFileSync(holder, String(process.pid));
      break;
    } catch (error) {
      const { code } = /** @type {NodeJS.ErrnoException} */ (error);
      if (code !== "EEXIST")
        orSay(() => {
          throw error;
        });
    }
    if (!isHeld(lockFolder)) rmSync(lockFolder, { recursive: true, force: true });
    else {
      if (!isSaid) console.error("Waiting for another command to get ready");
      isSaid = true;
      await wait(250);
    }
  }
  const free = () => rmSync(lockFolder, { recursive: true, force: true });
  process.once("exit", free);
  try {
    return await work();
  } finally {
    free();
    process.off("exit", free);
  }
}

/** A lock without a number yet is being taken: it is given a moment. @param {string} lockFolder */
function isHeld(lockFolder) {
  try {
    const pid = Number(readFileSync(join(lockFolder, "pid"), "utf8"));
    if (pid > 0) process.kill(pid, 0);
    return true;
  } catch (error) {
    const { code } = /** @type {NodeJS.ErrnoException} */ (error);
    if (code === "EPERM") return true;
    return code === "ENOENT" && existsSync(lockFolder) && Date.now() - statSync(lockFolder).mtimeMs < 2000;
  }
}

/**
 * Does `work` unless it was done for the same files and its `product` is still there.
 * @param {string} name
 * @param {readonly string[]} files
 * @param {string} product
 * @param {() => Promise<void>} work
 */
async function unlessMade(name, files, product, work) {
  const stamp = join(made, `${name}.stamp`);
  const hash = hashOf(files);
  const isMade = () => existsSync(join(root, product)) && existsSync(stamp) && readFileSync(stamp, "utf8") === hash;
  if (isMade()) return;
  await alone(name, async () => {
    if (isMade()) return;
    await work();
    orSay(() => writeFileSync(stamp, hash));
  });
}

/** Whether node_modules holds what the lock file names, whoever put it there. */
function isInstalled() {
  const installed = join(root, "node_modules/.package-lock.json");
  if (!existsSync(installed)) return false;
  /** @param {string} file @returns {Record<string, { version?: string, optional?: boolean }>} */
  const packagesOf = (file) => JSON.parse(readFileSync(file, "utf8")).packages;
  const [wanted, there] = [packagesOf(join(root, "package-lock.json")), packagesOf(installed)];
  return Object.entries(wanted).every(([path, { version, optional }]) => {
    if (path === "") return true;
    const isThere = there[path]?.version === version && existsSync(join(root, path, "package.json"));
    return isThere || (optional === true && !there[path]);
  });
}

export async function install() {
  if (isInstalled()) return;
  await alone("install", async () => {
    if (isInstalled()) return;
    console.error("Installing packages");
    await must("npm", ["ci", "--no-audit", "--no-fund", "--loglevel=error"], { quiet: true });
  });
}

const SCHEMA_FILES = () => [...filesIn("src/formats/schema"), "src/formats/compile-schemas.mjs"];

/** The validators and the schemas the app serves. */
export async function compileSchemas() {
  await unlessMade("schemas", SCHEMA_FILES(), "src/formats/generated/validators.js", () =>
    must("node", ["src/formats/compile-schemas.mjs"]),
  );
}

const SOURCES = () => ["src", "demo"].flatMap(filesIn).filter((file) => !/\.test\.tsx?$/.test(file));

/** The production build of the app, and the thread its server plans in. */
export async function buildApp() {
  await compileSchemas();
  await bundle("src/workers/plan/plan.thread.ts", "plan-thread");
  await unlessMade("app", SOURCES(), ".next/BUILD_ID", async () => {
    console.error("Building");
    await must("node", [bin("next/dist/bin/next"), "build"], { quiet: true });
  });
  await unlessMade(
    "offline",
    [".next/BUILD_ID", "scripts/offline.mjs", ...filesIn("assets"), ...SOURCES()],
    "public/sw.js",
    writeServiceWorker,
  );
}

/**
 * A program in TypeScript as one file that node can run. Returns its path.
 * @param {string} entry
 * @param {string} name
 */
export async function bundle(entry, name) {
  await compileSchemas();
  const product = `.build/${name}.mjs`;
  const files = [...SOURCES(), ...["cli", "speed", "e2e", "attack"].flatMap(filesIn)];
  await unlessMade(name, files, product, () =>
    must("node", [
      bin("esbuild/bin/esbuild"),
      entry,
      "--bundle",
      "--platform=node",
      "--format=esm",
      "--target=node20",
      "--external:@playwright/test",
      "--external:pngjs",
      "--external:jpeg-js",
      "--external:exifr",
      // its main file is no module, and its package says that it is one
      "--alias:maxrects-packer=maxrects-packer/dist/maxrects-packer.mjs",
      `--outfile=${product}`,
      "--log-level=error",
    ]),
  );
  return join(root, product);
}

/** Chromium from Debian's packages, where there is none yet. */
export async function installChromium() {
  if (findChromium()) return;
  console.error("Installing Chromium");
  await must("apt-get", ["update", "-qq"], { quiet: true });
  await must("apt-get", ["install", "-y", "-qq", "--no-install-recommends", "chromium", "chromium-headless-shell"], {
    quiet: true,
    extra: { DEBIAN_FRONTEND: "noninteractive" },
  });
}
