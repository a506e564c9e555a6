// What every command needs done before it runs: each step is skipped when nothing it depends on has changed.
import { spawnSync } from "node:child_process";
import { createHash } from "node:crypto";
import { existsSync, mkdirSync, readFileSync, readdirSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { fileURLToPath } from "node:url";

export const root = fileURLToPath(new URL("..", import.meta.url));
const made = join(root, ".build");
const env = { ...process.env, NEXT_TELEMETRY_DISABLED: "1" };

/** Runs a program to its end, its output shown unless quiet. Returns whether it succeeded. */
export function run(command, args, { quiet = false, extra = {} } = {}) {
  const { status, stdout, stderr } = spawnSync(command, args, {
    cwd: root,
    env: { ...env, ...extra },
    stdio: quiet ? "pipe" : "inherit",
    encoding: "utf8",
  });
  if (status !== 0 && quiet) process.stderr.write(`${stdout ?? ""}${stderr ?? ""}`);
  return status === 0;
}

export function must(command, args, options) {
  if (!run(command, args, options)) {
    console.error(`failed: ${command} ${args.join(" ")}`);
    process.exit(1);
  }
}

/** A program from node_modules, by the path of its script. */
export const bin = (path) => join(root, "node_modules", path);

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

function hashOf(files) {
  const hash = createHash("sha256");
  for (const file of files)
    hash
      .update(file)
      .update("\0")
      .update(readFileSync(join(root, file)))
      .update("\0");
  return hash.digest("hex");
}

/** Does `work` unless it was done for the same files and its `product` is still there. Returns whether it had to. */
function unlessMade(name, files, product, work) {
  const stamp = join(made, `${name}.stamp`);
  const hash = hashOf(files);
  if (existsSync(join(root, product)) && existsSync(stamp) && readFileSync(stamp, "utf8") === hash) return false;
  work();
  mkdirSync(made, { recursive: true });
  writeFileSync(stamp, hash);
  return true;
}

export function install() {
  unlessMade("install", ["package-lock.json"], "node_modules", () => {
    console.error("Installing packages");
    must("npm", ["ci", "--no-audit", "--no-fund", "--loglevel=error"], { quiet: true });
  });
}

const SCHEMA_FILES = () => [...filesIn("src/formats/schema"), "src/formats/compile-schemas.mjs"];

/** The validators and the schemas the app serves. */
export function compileSchemas() {
  unlessMade("schemas", SCHEMA_FILES(), "src/formats/generated/validators.js", () => must("node", ["src/formats/compile-schemas.mjs"]));
}

const SOURCES = () => ["src", "demo"].flatMap(filesIn).filter((file) => !/\.test\.tsx?$/.test(file));

/** The production build of the app. */
export function buildApp() {
  compileSchemas();
  const files = [...SOURCES(), "package-lock.json", "next.config.ts", "postcss.config.mjs", "tsconfig.json"];
  unlessMade("app", files, ".next/BUILD_ID", () => {
    console.error("Building");
    must("node", [bin("next/dist/bin/next"), "build"], { quiet: true });
  });
}

/** A program in TypeScript as one file that node can run. Returns its path. */
export function bundle(entry, name) {
  compileSchemas();
  const product = `.build/${name}.mjs`;
  const files = [...SOURCES(), ...["cli", "speed", "e2e"].flatMap(filesIn), "tsconfig.json"];
  unlessMade(name, files, product, () =>
    must("node", [
      bin("esbuild/bin/esbuild"),
      entry,
      "--bundle",
      "--platform=node",
      "--format=esm",
      "--target=node20",
      "--external:@playwright/test",
      `--outfile=${product}`,
      "--log-level=error",
    ]),
  );
  return join(root, product);
}

export const CHROMIUM = "/usr/bin/chromium";

/** Chromium from Debian's packages. */
export function installChromium() {
  if (existsSync(CHROMIUM)) return;
  console.error("Installing Chromium");
  must("apt-get", ["update", "-qq"], { quiet: true });
  must("apt-get", ["install", "-y", "-qq", "--no-install-recommends", "chromium"], {
    quiet: true,
    extra: { DEBIAN_FRONTEND: "noninteractive" },
  });
}
