// Programs run by the scripts: each ends with the script that started it, however that ends.
import { spawn } from "node:child_process";
import { fileURLToPath } from "node:url";
import { join } from "node:path";

export const root = fileURLToPath(new URL("..", import.meta.url));
const env = { ...process.env, NEXT_TELEMETRY_DISABLED: "1" };

/** @type {Set<import("node:child_process").ChildProcess>} */
const running = new Set();

/** @param {NodeJS.Signals} signal */
function endAll(signal) {
  for (const child of running) {
    try {
      if (child.pid !== undefined) process.kill(-child.pid, signal);
    } catch (error) {
      if (/** @type {NodeJS.ErrnoException} */ (error).code !== "ESRCH") throw error;
    }
  }
}

for (const [signal, code] of /** @type {const} */ ([
  ["SIGINT", 130],
  ["SIGTERM", 143],
  ["SIGHUP", 129],
])) {
  process.on(signal, () => {
    endAll("SIGTERM");
    process.exit(code);
  });
}
process.on("exit", () => endAll("SIGTERM"));

/**
 * Starts a program in a group of its own, so that it ends with all it starts.
 * @param {string} command
 * @param {readonly string[]} args
 * @param {{ extra?: Record<string, string>, stdio?: import("node:child_process").StdioOptions }} [how]
 */
export function start(command, args, { extra = {}, stdio = "inherit" } = {}) {
  const child = spawn(command, args, { cwd: root, env: { ...env, ...extra }, stdio, detached: true });
  running.add(child);
  child.once("exit", () => running.delete(child));
  return child;
}

/**
 * Runs a program to its end, its output shown unless quiet. Returns whether it succeeded.
 * @param {string} command
 * @param {readonly string[]} args
 * @param {{ quiet?: boolean, extra?: Record<string, string> }} [how]
 * @returns {Promise<boolean>}
 */
export function run(command, args, { quiet = false, extra = {} } = {}) {
  const child = start(command, args, { extra, stdio: quiet ? ["ignore", "pipe", "pipe"] : "inherit" });
  let said = "";
  for (const stream of [child.stdout, child.stderr]) stream?.on("data", (chunk) => (said += String(chunk)));
  return new Promise((resolve) => {
    child.once("error", (error) => {
      console.error(error.message);
      resolve(false);
    });
    child.once("close", (code) => {
      if (code !== 0 && quiet) process.stderr.write(said);
      resolve(code === 0);
    });
  });
}

/**
 * @param {string} command
 * @param {readonly string[]} args
 * @param {Parameters<typeof run>[2]} [how]
 */
export async function must(command, args, how) {
  if (await run(command, args, how)) return;
  console.error(`failed: ${command} ${args.join(" ")}`);
  process.exit(1);
}

/**
 * A program from node_modules, by the path of its script.
 * @param {string} path
 */
export const bin = (path) => join(root, "node_modules", path);
