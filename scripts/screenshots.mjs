// Makes the pictures of docs/screenshots from the demo, at 1280 x 800.
import { mkdirSync } from "node:fs";
import { join } from "node:path";
import { root } from "./children.mjs";
import { findChromium } from "./chromium.mjs";
import { buildApp, install, installChromium } from "./prepare.mjs";

await install();
await installChromium();
await buildApp();
const { chromium } = await import("@playwright/test");
const { startServer } = await import("./server.mjs");

const folder = join(root, "docs/screenshots");
mkdirSync(folder, { recursive: true });

/**
 * @typedef {import("@playwright/test").Page} Page
 * @typedef {{ name: string, path: string, size?: { width: number, height: number }, act?: (page: Page) => Promise<unknown> }} Picture
 */

const stages = ["stone", "wall", "heats", "making"];
/** The ledger once its year is laid out. @param {Page} page */
async function ledger(page) {
  await page.getByText("24 makes").waitFor();
}

/** As far as the wall's length, which came out a little short, the seam of another part in the pickle. @param {Page} page */
async function atBench(page) {
  const done = page.getByRole("button", { name: /^Done/ });
  const length = page.getByRole("textbox", { name: "Length, closed", exact: true });
  await done.waitFor();
  for (let step = 2; (await length.count()) === 0; step++) {
    // Presses that come nearer together count as one.
    await page.waitForTimeout(120);
    await done.click();
    await page.getByText(`Step ${step} of`).waitFor();
  }
  await length.fill("45.20");
  await page.keyboard.press("Enter");
}

/** @type {Picture[]} */
const pictures = [
  {
    name: "home",
    path: "/",
    act: (page) =>
      page
        .getByRole("row", { name: /Cockle ring/ })
        .getByText("all hold")
        .waitFor(),
  },
  ...stages.map((stage) => ({ name: stage, path: `/pieces/tern-ring/${stage}` })),
  { name: "plate", path: "/pieces/turnstone-ring/plate", act: (page) => page.getByRole("button", { name: /^Rope 2/ }).click() },
  { name: "templates", path: "/pieces/turnstone-ring/templates" },
  { name: "hoop", path: "/pieces/marram-ring/hoop" },
  { name: "bail", path: "/pieces/limpet-pendant/bail" },
  { name: "day", path: "/day?pieces=tern-ring,limpet-pendant,knot-ring" },
  { name: "ledger", path: "/ledger", act: ledger },
  { name: "at-bench", path: "/pieces/tern-ring/bench", act: atBench },
  { name: "at-bench-narrow", path: "/pieces/tern-ring/bench", size: { width: 390, height: 844 }, act: atBench },
  { name: "sums", path: "/sums" },
  {
    name: "metal",
    path: "/metal?pieces=tern-ring,limpet-pendant,dunlin-earrings,redshank-ring",
    act: async (page) => {
      await page.getByRole("button", { name: "These are cut" }).waitFor();
      await page.getByText("Looking for better ones").waitFor({ state: "hidden" });
    },
  },
  {
    name: "practice",
    path: "/pieces/limpet-pendant/practice?joint=m1.foot",
    act: async (page) => {
      await page.getByRole("radio", { name: "4 times" }).check();
      await page.getByRole("button", { name: "Show the careful hand" }).click();
      await page.waitForTimeout(5000);
      await page.keyboard.press("Space");
    },
  },
  { name: "my-bench", path: "/my-bench" },
  { name: "card", path: "/pieces/tern-ring/card", size: { width: 1060, height: 1240 } },
];
/** @type {Picture} */
const start = {
  name: "first-stone",
  path: "/",
  act: async (page) => {
    await page.locator("[data-first=length]:focus").waitFor();
    for (const text of ["16", "12", "5.2", "1.9"]) {
      await page.keyboard.type(text);
      if (text !== "1.9") await page.keyboard.press("Enter");
    }
  },
};

const browser = await chromium.launch({
  executablePath: findChromium() ?? "",
  args: ["--no-sandbox", "--disable-dev-shm-usage", "--disable-background-networking"],
});

/** @param {string} address @param {Picture} picture */
async function take(address, { name, path, size = { width: 1280, height: 800 }, act }) {
  const page = await browser.newPage({ viewport: size });
  await page.goto(address + path);
  await page.getByRole("main").waitFor();
  await page.evaluate(() => document.fonts.ready);
  await act?.(page);
  await page.waitForTimeout(800);
  await page.screenshot({ path: join(folder, `${name}.png`) });
  await page.close();
  console.log(`docs/screenshots/${name}.png`);
}

try {
  for (const { demo, list } of [
    { demo: true, list: pictures },
    { demo: false, list: [start] },
  ]) {
    const { address, stop } = await startServer({ from: 4250, demo });
    try {
      for (const picture of list) await take(address, picture);
    } finally {
      await stop();
    }
  }
} finally {
  await browser.close();
}
