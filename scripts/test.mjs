// Everything that must hold, in order; the last line counts what passed and what failed.
import { readFileSync, rmSync } from "node:fs";
import { join } from "node:path";
import { bin, root, run } from "./children.mjs";
import { buildApp, compileSchemas, install, installChromium } from "./prepare.mjs";

await install();
await installChromium();
await compileSchemas();

const made = join(root, ".build");
const results = { jest: join(made, "jest.json"), browser: join(made, "browser.json") };
for (const file of Object.values(results)) rmSync(file, { force: true });

let passed = 0;
let failed = 0;
/** @param {string} name @param {boolean} ok */
const step = (name, ok) => {
  console.log(`${ok ? "ok" : "FAILED"}: ${name}`);
  if (ok) passed++;
  else failed++;
};
/** @param {string} file */
const read = (file) => {
  try {
    return JSON.parse(readFileSync(file, "utf8"));
  } catch (error) {
    console.error(`no results in ${file}: ${String(error)}`);
    return null;
  }
};

console.log(`random tests start from SEED=${process.env.SEED ?? "20261125"}`);
const typegen = await run("node", [bin("next/dist/bin/next"), "typegen"], { quiet: true });
// Lanes about as long as each other: each check takes one core.
await Promise.all([
  (async () => {
    step(
      "types",
      typegen &&
        (await run("node", [bin("typescript/bin/tsc"), "--noEmit", "--incremental", "--tsBuildInfoFile", join(made, "types.tsbuildinfo")])),
    );
    step(
      "format",
      await run("node", [
        bin("prettier/bin/prettier.cjs"),
        "--check",
        "--log-level=warn",
        "--cache",
        "--cache-location",
        join(made, "format"),
        ".",
      ]),
    );
    const cruise = ["--config", ".dependency-cruiser.cjs", "src", "cli", "demo", "e2e", "speed", "attack", "scripts"];
    step("import rules", await run("node", [bin("dependency-cruiser/bin/dependency-cruise.mjs"), ...cruise]));
  })(),
  (async () => {
    step("lint", await run("node", [bin("eslint/bin/eslint.js"), ".", "--max-warnings=0"]));
    step("nothing unused", await run("node", [bin("knip/bin/knip.js")]));
    step("nothing used by tests alone", await run("node", [bin("knip/bin/knip.js"), "--production"]));
  })(),
]);

await Promise.all([buildApp(), run("node", [bin("jest/bin/jest.js"), "--json", `--outputFile=${results.jest}`])]);
const jest = read(results.jest);
passed += jest?.numPassedTests ?? 0;
failed += jest ? jest.numFailedTests + jest.numRuntimeErrorTestSuites : 1;

await run("node", [bin("@playwright/test/cli.js"), "test"], { extra: { PLAYWRIGHT_JSON_OUTPUT_NAME: results.browser } });
const browser = read(results.browser);
passed += browser?.stats.expected ?? 0;
failed += browser ? browser.stats.unexpected + browser.stats.flaky + browser.errors.length : 1;

step("attack, a little of each", await run("node", ["scripts/attack.mjs", String(process.env.SEED ?? 1), "short"]));
console.log(`${passed} passed, ${failed} failed`);
process.exitCode = failed === 0 && passed > 0 ? 0 : 1;
