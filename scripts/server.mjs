// Starts the app's server as a process of its own, on the asked port or the next free one; 0 takes any that is free.
import { start } from "./children.mjs";

/** A server that has not answered by then will not (ms). */
const LONGEST_START = 60_000;

/**
 * Resolves with the address once it answers; `stop` ends the server.
 * @param {{ from?: number, demo?: boolean, dev?: boolean }} [how]
 * @returns {Promise<{ address: string, stop: () => Promise<void>, ended: Promise<void> }>}
 */
export function startServer({ from = 4173, demo = false, dev = false } = {}) {
  const child = start("node", ["scripts/serve.mjs", String(from), ...(dev ? ["dev"] : [])], {
    extra: { HOOP_LEDGER_DEMO: demo ? "1" : "", NODE_ENV: dev ? "development" : "production" },
    stdio: ["ignore", "pipe", "inherit"],
  });
  /** @type {Promise<void>} */
  const ended = new Promise((resolve) => child.once("exit", () => resolve()));
  const stop = () => {
    child.kill("SIGTERM");
    return ended;
  };
  return new Promise((resolve, reject) => {
    const late = setTimeout(() => {
      void stop();
      reject(new Error(`the server did not answer within ${LONGEST_START / 1000} s`));
    }, LONGEST_START);
    child.once("exit", (code) => {
      clearTimeout(late);
      reject(new Error(`the server ended with code ${code}`));
    });
    let said = "";
    child.stdout?.on("data", (chunk) => {
      said += String(chunk);
      const found = /listening at (\S+)\n/.exec(said);
      if (!found?.[1]) return;
      clearTimeout(late);
      resolve({ address: found[1], stop, ended });
    });
  });
}
