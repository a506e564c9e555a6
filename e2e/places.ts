import { type Page, expect } from "@playwright/test";

/** The server that starts with the demo, and the one that starts with nothing. */
export const DEMO_PORT = 4390;
export const EMPTY_PORT = 4391;
export const EMPTY = `http://127.0.0.1:${EMPTY_PORT}/`;

export const CHROMIUM = {
  executablePath: "/usr/bin/chromium",
  args: ["--no-sandbox", "--disable-dev-shm-usage", "--disable-background-networking", "--disable-component-update"],
};

/** The figure shown large for a key of the plan. */
export function figure(page: Page, key: string) {
  return page.locator(`[data-figure="${key}"]`);
}

export function field(page: Page, key: string) {
  return page.locator(`[data-field="${key}"]`);
}

/** Waits until the browser's database has taken the last change. */
export async function kept(page: Page): Promise<void> {
  await expect(page.getByRole("status").first()).toContainText(/Kept on this device/);
}

/** Fails on anything the page complains of: errors, and breaches of its own policy. */
export function quiet(page: Page): string[] {
  const heard: string[] = [];
  page.on("pageerror", (error) => heard.push(error.message));
  page.on("console", (message) => {
    if (message.type() === "error") heard.push(`${message.text()} ${message.location().url}`);
  });
  return heard;
}
