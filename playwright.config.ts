import { defineConfig } from "@playwright/test";
import { CHROMIUM, DEMO_PORT, EMPTY_PORT } from "./e2e/places";

const server = (port: number, demo: string) => ({
  command: `node node_modules/next/dist/bin/next start -H 127.0.0.1 -p ${port}`,
  url: `http://127.0.0.1:${port}`,
  env: { HOOP_LEDGER_DEMO: demo, NEXT_TELEMETRY_DISABLED: "1" },
  reuseExistingServer: false,
});

export default defineConfig({
  testDir: "e2e",
  fullyParallel: true,
  workers: 2,
  retries: 0,
  reporter: [["line"], ["json"]],
  timeout: 45_000,
  expect: { timeout: 8_000 },
  use: { baseURL: `http://127.0.0.1:${DEMO_PORT}`, viewport: { width: 1280, height: 800 }, launchOptions: CHROMIUM },
  webServer: [server(DEMO_PORT, "1"), server(EMPTY_PORT, "")],
});
