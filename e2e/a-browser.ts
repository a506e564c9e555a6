import { spawn } from "node:child_process";
import { type Page, chromium } from "@playwright/test";
import { findChromium } from "../scripts/chromium.mjs";
import { CHROMIUM } from "./places";

/** Chromium as a process of its own, on a profile that outlives it, with a page of its own. */
export async function browserOn(profile: string): Promise<{ page: Page; kill: () => Promise<void> }> {
  const args = ["--headless", "--remote-debugging-port=0", `--user-data-dir=${profile}`, ...CHROMIUM.args];
  const child = spawn(findChromium() ?? "", args, { stdio: ["ignore", "ignore", "pipe"] });
  const ended = new Promise<void>((resolve) => child.once("exit", () => resolve()));
  const address = await new Promise<string>((resolve) => {
    let said = "";
    child.stderr.on("data", (chunk) => {
      said += String(chunk);
      const found = /ws:\/\/\S+/.exec(said);
      if (found) resolve(found[0]);
    });
  });
  const kill = async () => {
    child.kill("SIGKILL");
    await ended;
  };
  // One that has just started now and then takes no notice of the first that speaks to it.
  const browser = await chromium.connectOverCDP(address, { timeout: 8000 }).catch(() => chromium.connectOverCDP(address));
  const page = await browser.contexts()[0]!.newPage();
  page.setDefaultTimeout(15_000);
  return { page, kill };
}
