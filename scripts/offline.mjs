// What the app needs to work without its server: a service worker that knows every file of the build, and the icons it is installed with.
import { createHash } from "node:crypto";
import { cpSync, readFileSync, readdirSync } from "node:fs";
import { join } from "node:path";
import { bin, must, root } from "./children.mjs";

/** Neither run nor shown by a page: sources that lie beside their workers, and what only a debugger or an old browser asks for. */
const LEFT_OUT = /\.(ts|map)$/;

/** @param {string} folder @returns {string[]} */
function filesUnder(folder) {
  return readdirSync(join(root, folder), { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) => join(entry.parentPath, entry.name).slice(join(root, folder).length + 1))
    .sort();
}

/** Writes public/sw.js for the build that is there. */
export async function writeServiceWorker() {
  cpSync(join(root, "assets/icons"), join(root, "public/icons"), { recursive: true });
  const built = filesUnder(".next/static").filter((file) => !LEFT_OUT.test(file));
  const files = [
    ...built.map((file) => `/_next/static/${file}`),
    ...filesUnder("assets/icons").map((file) => `/icons/${file}`),
    "/icon.svg",
    "/manifest.webmanifest",
  ];
  const build = readFileSync(join(root, ".next/BUILD_ID"), "utf8").trim();
  const version = createHash("sha256").update(build).update(files.join("\n")).digest("hex").slice(0, 12);
  await must("node", [
    bin("esbuild/bin/esbuild"),
    "src/workers/offline/service-worker.ts",
    "--bundle",
    "--minify",
    "--format=iife",
    "--target=es2022",
    `--define:KEPT_HERE=${JSON.stringify({ version, files })}`,
    "--outfile=public/sw.js",
    "--log-level=error",
  ]);
}
