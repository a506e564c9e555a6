// Starts the app's server as a process of its own, on the asked port or the next free one; 0 takes any that is free.
import { start } from "./children.mjs";

/** A server that has not answered by then will not (ms). */
const LONGEST_START = 60_000;

/**
 * Resolves with the address once it answers; `stop` ends the server.
 * @param {{ from?: number, demo?: boolean, dev?: boolean, lan?: { cert: string, key: string } | null }} [how] with `lan` it is open to the network
 * of this machine, with a certificate and its key where their files are given
 * @returns {Promise<{ address: string, others: string[], stop: () => Promise<void>, ended: Promise<void> }>} `others` are its addresses there
 */
export function startServer({ from = 4173, demo = false, dev = false, lan = null } = {}) {
  const child = start("node", ["scripts/serve.mjs", String(from), ...(dev ? ["dev"] : [])], {
    extra: {
      HOOP_LEDGER_DEMO: demo ? "1" : "",
      HOOP_LEDGER_LAN: lan ? "1" : "",
      HOOP_LEDGER_CERT: lan?.cert ?? "",
      HOOP_LEDGER_KEY: lan?.key ?? "",
      NODE_ENV: dev ? "development" : "production",
    },
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
      const others = [...said.matchAll(/also at (\S+)\n/g)].map(([, address]) => address ?? "");
      resolve({ address: found[1], others, stop, ended });
    });
  });
}
