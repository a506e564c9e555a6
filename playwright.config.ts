import { defineConfig } from "@playwright/test";
import { CHROMIUM, DEMO } from "./e2e/places";

export default defineConfig({
  testDir: "e2e",
  fullyParallel: true,
  workers: 2,
  retries: 0,
  reporter: [["line"], ["json"]],
  // a busy machine is several times slower than a calm one
  timeout: 120_000,
  expect: { timeout: 20_000 },
  globalSetup: "./e2e/servers.ts",
  use: { baseURL: DEMO, viewport: { width: 1280, height: 800 }, launchOptions: CHROMIUM, serviceWorkers: "block" },
});
