// Starts the production server on this machine only, on the asked port or the next free one.
import { spawn } from "node:child_process";
import { createServer } from "node:net";
import { bin, root } from "./prepare.mjs";

const HOST = "127.0.0.1";
const TRIES = 50;

function isFree(port) {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.once("error", () => resolve(false));
    probe.listen(port, HOST, () => probe.close(() => resolve(true)));
  });
}

async function freePort(from) {
  for (let port = from; port < from + TRIES; port++) if (await isFree(port)) return port;
  throw new Error(`no free port from ${from} to ${from + TRIES - 1}`);
}

/** Resolves with the address once it answers; `stop` ends the server. */
export async function startServer({ from = 4173, demo = false, dev = false } = {}) {
  const port = await freePort(from);
  const child = spawn("node", [bin("next/dist/bin/next"), dev ? "dev" : "start", "-H", HOST, "-p", String(port)], {
    cwd: root,
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: "1", HOOP_LEDGER_DEMO: demo ? "1" : "" },
    stdio: ["ignore", dev ? "inherit" : "pipe", "inherit"],
  });
  const ended = new Promise((resolve) => child.once("exit", resolve));
  const address = `http://${HOST}:${port}`;
  const stop = () => {
    child.kill("SIGTERM");
    return ended;
  };
  for (let i = 0; i < 300; i++) {
    if (child.exitCode !== null) throw new Error(`the server ended with code ${child.exitCode}`);
    const answers = await fetch(address).then(
      (response) => response.ok,
      () => false,
    );
    if (answers) return { address, stop, ended };
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  await stop();
  throw new Error("the server did not answer within 30 s");
}

/** Ends the server when the program is told to end. */
export function stopOnSignal(stop) {
  for (const signal of ["SIGINT", "SIGTERM"]) process.once(signal, () => void stop().then(() => process.exit(0)));
}
