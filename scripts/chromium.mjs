// The Chromium that tests and pictures use.
import { accessSync, constants, existsSync, readdirSync } from "node:fs";
import { delimiter, join } from "node:path";

// Without a window of its own it starts and draws a third faster; it is the same browser, from the same sources.
const NAMES = ["chromium-headless-shell", "chromium", "chromium-browser"];
const DEBIAN = ["/usr/bin/chromium-headless-shell", "/usr/bin/chromium"];

/** What PLAYWRIGHT_CHROMIUM_EXECUTABLE_PATH names, else one on the path, one of Debian's, or one below PLAYWRIGHT_BROWSERS_PATH. */
export function findChromium() {
  const named = process.env.PLAYWRIGHT_CHROMIUM_EXECUTABLE_PATH;
  const folders = (process.env.PATH ?? "").split(delimiter);
  const onPath = NAMES.flatMap((name) => folders.map((folder) => join(folder, name)));
  return [...(named ? [named] : []), ...onPath, ...DEBIAN, ...ofPlaywright()].find(isProgram) ?? null;
}

function ofPlaywright() {
  const folder = process.env.PLAYWRIGHT_BROWSERS_PATH;
  if (!folder || !existsSync(folder)) return [];
  return readdirSync(folder)
    .filter((name) => /^chromium-\d+$/.test(name))
    .map((name) => join(folder, name, "chrome-linux", "chrome"));
}

/** @param {string} path */
function isProgram(path) {
  try {
    accessSync(path, constants.X_OK);
    return true;
  } catch {
    return false;
  }
}
