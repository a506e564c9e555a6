// The Chromium that tests and pictures use.
import { accessSync, constants, existsSync, readdirSync } from "node:fs";
import { delimiter, join } from "node:path";

const NAMES = ["chromium", "chromium-browser"];
const DEBIAN = "/usr/bin/chromium";

const HEADLESS = "/usr/bin/chromium-headless-shell";

/** The same browser without windows, where it is installed, for tests that need no profile: it starts and draws a third faster, and keeps nothing. */
export function findHeadless() {
  return process.env.PLAYWRIGHT_CHROMIUM_EXECUTABLE_PATH === undefined && isProgram(HEADLESS) ? HEADLESS : findChromium();
}

/** What PLAYWRIGHT_CHROMIUM_EXECUTABLE_PATH names, else one on the path, Debian's, or one below PLAYWRIGHT_BROWSERS_PATH. */
export function findChromium() {
  const named = process.env.PLAYWRIGHT_CHROMIUM_EXECUTABLE_PATH;
  const onPath = (process.env.PATH ?? "").split(delimiter).flatMap((folder) => NAMES.map((name) => join(folder, name)));
  return [...(named ? [named] : []), ...onPath, DEBIAN, ...ofPlaywright()].find(isProgram) ?? null;
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
