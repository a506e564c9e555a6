import { type Page, devices, expect, test } from "./a-test";
import { ONE_PRESS, TERN, atBench, heading, onTo, reading } from "./bench";
import { DEMO, field, kept } from "./places";

const told = (page: Page, asked: string) => page.getByRole("region", { name: asked }).getByRole("paragraph");

/** Types what a caliper sends: its reading, then Enter. */
async function caliper(page: Page, reading: string): Promise<void> {
  await page.keyboard.type(reading);
  await page.keyboard.press("Enter");
}

test("by space bar and a caliper that types: what it reads is judged at once, the plan follows it, and what is done keeps its own numbers", async ({
  page,
}) => {
  await page.goto(TERN);
  await onTo(page, /^Cut the strip 46\.05/);
  await caliper(page, "45.1");
  await expect(told(page, "What you cut")).toContainText("Start again. 0.97 mm too small");
  await page.getByRole("textbox", { name: "What you cut", exact: true }).focus();
  await caliper(page, "46.0");
  await expect(told(page, "What you cut")).toContainText("Stretch 0.1%");
  await onTo(page, /^Wrap it round the stone.*45\.53/);
  await caliper(page, "45.90");
  await expect(told(page, "Length before the seam")).toHaveText("Trim 0.37 mm.");
  await caliperAgain(page, "Length before the seam", "45.20");
  await expect(told(page, "Length before the seam")).toContainText("Stretch 0.7%. 0.33 mm short");
  await expect(page.getByRole("note").filter({ hasText: "The bezel is a little short: 45.20." })).toBeVisible();
  await expect(heading(page)).toContainText("45.53");
  await onTo(page, /^Cut the plate's blank, 18\.6/);
  await page.keyboard.press("Escape");
  await expect(page).toHaveURL(/\/making$/);
  await expect(page.getByText(/of 41 done/)).toBeVisible();
  await page.goto(TERN);
  await expect(heading(page)).toContainText("Cut the plate's blank, 18.6");
  for (let i = 0; i < 20 && !/^Wrap/.test((await heading(page).textContent()) ?? ""); i++) await page.keyboard.press("b");
  await expect(heading(page)).toContainText("45.53");
  await expect(page.getByRole("textbox", { name: "Length before the seam", exact: true })).toHaveValue("45.20");
});

async function caliperAgain(page: Page, asked: string, reading: string): Promise<void> {
  await page.getByRole("textbox", { name: asked, exact: true }).focus();
  await caliper(page, reading);
}

test("what is no reading is said and not taken; checks have keys; a foot switch goes on and back; undo takes the last thing back", async ({
  page,
}) => {
  await page.goto(TERN);
  await onTo(page, /^Slit the strip/);
  await page.getByRole("textbox", { name: "Height of the strip", exact: true }).fill("three");
  await page.keyboard.press("Enter");
  await expect(told(page, "Height of the strip")).toContainText('"three" is not a number');
  await page.getByRole("textbox", { name: "Height of the strip", exact: true }).fill("");
  await page.getByRole("heading", { level: 1 }).click();
  await page.keyboard.press("1");
  await expect(page.getByRole("checkbox", { name: "Both edges are parallel" })).toBeChecked();
  await page.keyboard.press("PageDown");
  await expect(heading(page)).toContainText("Anneal the strip");
  await page.keyboard.press("PageUp");
  await expect(heading(page)).toContainText("Slit the strip");
  await page.keyboard.press("Control+z");
  await expect(page.getByText("Undone: a tick", { exact: true })).toBeVisible();
  await expect(page.getByText("Step 3 of 41")).toBeVisible();
  await expect(page.getByText("not done yet")).toBeHidden();
  await page
    .getByRole("button", { name: /Read caliper/ })
    .first()
    .click();
  await expect(page.getByText("a stand-in").first()).toBeVisible();
  await expect(page.getByRole("textbox", { name: "Height of the strip", exact: true })).toHaveValue(/^[23]\.\d\d$/);
});

test("a ring that comes out small: the plan says by how much, cutting a piece in brings the seam again, and it is kept over a reload", async ({
  page,
}) => {
  await page.goto(TERN);
  await onTo(page, /^Round the hoop up/);
  await caliper(page, "51.5");
  await expect(told(page, "The size it reads")).toContainText("Small by 0.80 mm. Anneal and stretch it up.");
  await expect(page.getByRole("note").filter({ hasText: "The hoop is 0.80 mm too small inside, size 51.5." })).toContainText(
    "1.53 mm of its thickness is left",
  );
  const contradicted = page.getByLabel("The size is what was asked for");
  await expect(page.getByText("◆ The hoop is 0.80 mm too small inside", { exact: false })).toBeVisible();
  await contradicted.check();
  await expect(
    page.getByText("The size is what was asked for? The hoop is 0.80 mm too small inside", { exact: false }).first(),
  ).toBeVisible();
  await caliperAgain(page, "The size it reads", "50");
  await expect(told(page, "The size it reads")).toContainText("Cut a piece in, 4.00 mm.");
  await page.getByRole("heading", { level: 1 }).click();
  await page.keyboard.press("x");
  const wrong = page.getByRole("dialog");
  await expect(wrong).toContainText("Too far to stretch: cut 4.00 mm in at the seam");
  await expect(wrong.getByText("The ring is large")).toBeHidden();
  await wrong.getByRole("button", { name: "Cut a piece in and redo the seam" }).click();
  await expect(heading(page)).toContainText("Clean and flux hoop seam");
  await page.reload();
  await expect(heading(page)).toContainText("Clean and flux hoop seam");
});

test("a strip cut too short holds Done and stands everywhere until it is made anew; a new bezel after its foot is soldered brings all of it again", async ({
  page,
}) => {
  test.slow();
  await atBench(page);
  await onTo(page, /^Cut the strip/);
  await reading(page, "What you cut").fill("44");
  await reading(page, "What you cut").press("Enter");
  const stop = page.getByRole("alert", { name: "Start again" });
  await expect(stop).toContainText("too short: 44.00.");
  await expect(stop).toContainText(/again: \d+ steps?/);
  await expect(page.getByRole("button", { name: /^Done, held/ })).toBeDisabled();
  await heading(page).click();
  await page.waitForTimeout(ONE_PRESS);
  await page.keyboard.press("Space");
  await expect(page.getByText("Done is held", { exact: false }).first()).toBeVisible();
  await expect(heading(page)).toHaveText(/^Cut the strip/);
  for (const path of ["/pieces/tern-ring/making", "/pieces/tern-ring/wall", "/"]) {
    await page.goto(path);
    await expect(page.getByText(/too short: 44\.00\./).first()).toBeVisible();
  }
  await atBench(page);
  await stop.getByRole("button", { name: /Make a new bezel/ }).click();
  await expect(stop).toBeHidden();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(stop).toContainText("too short: 44.00.");
  await page.keyboard.press("Control+Shift+z");
  await expect(stop).toBeHidden();
  await onTo(page, /^Cut the strip/);
  await expect(reading(page, "What you cut")).toHaveValue("");
  await reading(page, "What you cut").fill("44");
  await reading(page, "What you cut").press("Enter");
  await stop.getByRole("button", { name: /Go on all the same/ }).click();
  await expect(heading(page)).not.toHaveText(/^Cut the strip/);
  await page.keyboard.press("x");
  await expect(page.getByRole("dialog")).toContainText("too short: 44.00.");
  await page.keyboard.press("Escape");
  await onTo(page, /^Look at bezel to plate/);
  await page.keyboard.press("x");
  await page
    .getByRole("dialog")
    .getByRole("listitem")
    .filter({ hasText: "The bezel is spoiled" })
    .getByRole("button", { name: "Make a new bezel" })
    .click();
  await expect(page.getByText("too short: 44.00.")).toBeHidden();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(heading(page)).toHaveText(/^Look at bezel to plate/);
  await page.keyboard.press("Control+Shift+z");
  await expect(heading(page)).not.toHaveText(/^Look at bezel to plate/);
  await page.goto("/pieces/tern-ring/making");
  const box = (name: RegExp) => page.getByRole("checkbox", { name });
  await expect(box(/Solder bezel seam/)).not.toBeChecked();
  await expect(box(/Cut the strip/)).not.toBeChecked();
  await expect(box(/Cut the plate's blank/)).toBeChecked();
  await expect(box(/Solder bezel to plate/)).not.toBeChecked();
});

test("a stand-in says that it makes a reading up, marks it, and can be put away", async ({ page }) => {
  await atBench(page);
  await onTo(page, /^Cut the strip/);
  await page.getByRole("button", { name: /Read caliper.*makes one up/ }).click();
  await expect(page.getByText("Made up by the stand-in", { exact: false })).toBeVisible();
  await page.goto("/my-bench");
  await page.getByRole("checkbox", { name: /Stand-in instruments/ }).uncheck();
  await atBench(page);
  await expect(reading(page, "What you cut")).toBeVisible();
  await expect(page.getByRole("button", { name: /Read caliper/ })).toBeHidden();
});

test("a piece that is edited in mid-making asks which plan to go by: as it was begun, or the new one from here", async ({ page }) => {
  await page.goto(TERN);
  await onTo(page, /^Wrap it round/);
  await page.goto("/pieces/tern-ring/wall");
  await field(page, "m1.wall.thickness").fill("0.4");
  await kept(page);
  await page.goto(TERN);
  const asked = page.getByRole("region", { name: "The piece has changed" });
  await expect(asked).toContainText(
    "trim to 45.78 mm and close the seam (was: Wrap it round the stone, mark the overlap, trim to 45.53 mm",
  );
  await expect(heading(page)).toContainText("45.53");
  await asked.getByRole("button", { name: "Keep the plan I started with" }).click();
  await expect(asked).toBeHidden();
  await page.reload();
  await expect(heading(page)).toContainText("45.53");
  await expect(asked).toBeHidden();
  await page.goto("/pieces/tern-ring/wall");
  await field(page, "m1.wall.thickness").fill("0.5");
  await kept(page);
  await page.goto(TERN);
  await asked.getByRole("button", { name: "Use the new plan from here" }).click();
  await expect(heading(page)).toContainText("46.09");
  await page.keyboard.press("b");
  await page.keyboard.press("b");
  await expect(heading(page)).toContainText("Cut the strip 46.05 mm long");
});

test("a bezel that crimps is lowered with one press, which is no edit of the piece to be asked about", async ({ page }) => {
  await page.goto(TERN);
  await onTo(page, /^Push/);
  await page.keyboard.press("x");
  const wrong = page.getByRole("dialog");
  await wrong.getByRole("button", { name: /^Lower the bezel to \d\.\d\d mm$/ }).click();
  await expect(page.getByText("Applied and noted.", { exact: true })).toBeVisible();
  await page.reload();
  await expect(heading(page)).toContainText("Push");
  await expect(page.getByRole("region", { name: "The piece has changed" })).toBeHidden();
  await page.keyboard.press("x");
  await expect(wrong).toContainText("it cannot be lower and hold");
});

test("what lies in the pickle is timed while other steps go on, and told when it is out, in its own piece and in others", async ({
  page,
}) => {
  await page.clock.install();
  await page.goto(TERN);
  await onTo(page, /^Look at bezel seam/);
  const pickle = page.getByRole("timer", { name: "Bezel seam in the pickle" });
  await expect(page.getByRole("timer", { name: "Bezel cooling" })).toContainText("left of the usual 1");
  await expect(pickle).toContainText(/(7:[345]\d|8:00)left of the usual 8/);
  await page.getByRole("button", { name: "This part is waiting. Meanwhile: Cut the hoop's blank" }).focus();
  await page.keyboard.press("m");
  await expect(heading(page)).toContainText("Cut the hoop's blank");
  await page.waitForTimeout(ONE_PRESS);
  await page.keyboard.press("Space");
  await expect(heading(page)).toContainText("File both ends of the blank square");
  await expect(page.getByRole("button", { name: /^This part is waiting/ })).toBeHidden();
  await page.goto("/pieces/whelk-ring/bench");
  await expect(page.getByRole("navigation", { name: "Other pieces under way" })).toContainText("Tern ringnext: Look at bezel seam");
  await page.getByRole("link", { name: /Tern ring/ }).click();
  await page.clock.fastForward("08:10");
  await expect(pickle).toContainText("Ready: take it outafter the usual 8");
  await expect(heading(page)).toContainText("Look at bezel seam");
  await expect(page.getByRole("button", { name: /^This part is waiting/ })).toBeHidden();
  await pickle.getByRole("button", { name: "It’s out" }).click();
  await expect(pickle).toBeHidden();
});

for (const { id, last } of [
  { id: "wagtail-ring", last: /^Stone 3: Burnish the edge/ },
  { id: "avocet-earrings", last: /^Open the end sideways, hang the ear wire/ },
])
  test(`the ${id} is made from its first step to its last`, async ({ page }) => {
    test.slow();
    await atBench(page, `/pieces/${id}/bench`);
    const steps = Number(/of (\d+)/.exec((await page.getByText(/^Step 1 of/).textContent())!)![1]);
    for (let step = 2; step <= steps; step++) {
      await page.waitForTimeout(ONE_PRESS);
      await page.keyboard.press("Space");
      await expect(page.getByText(new RegExp(`^Step ${step} of ${steps}`))).toBeVisible();
    }
    await expect(heading(page)).toHaveText(last);
    await page.waitForTimeout(ONE_PRESS);
    await page.keyboard.press("Space");
    await expect(heading(page)).toContainText("How did it turn out?");
  });

test.describe("on a phone, by touch", () => {
  const { hasTouch, isMobile } = devices["iPhone 13"];
  test.use({ viewport: { width: 390, height: 844 }, hasTouch, isMobile });

  test("a whole making, from the tray to the ledger, with a result and a picture", async ({ page }) => {
    test.setTimeout(180_000);
    await page.goto(DEMO);
    await page.getByRole("region", { name: "Tray" }).getByRole("button", { name: "Plover ring", exact: true }).tap();
    await page.getByRole("link", { name: "At the bench" }).tap();
    const done = page.getByRole("button", { name: "Done", exact: true });
    await expect(heading(page)).toContainText("Look the stone over");
    for (let step = 1; await done.isVisible(); step++) {
      await expect(page.getByText(new RegExp(`^Step ${step} of|^All steps`))).toBeVisible();
      if (!(await done.isVisible())) break;
      if ((await heading(page).textContent())!.startsWith("Cut the hoop's blank")) {
        await page
          .getByRole("button", { name: /Read caliper/ })
          .first()
          .tap();
        await page.getByRole("region", { name: "What you cut" }).getByRole("button", { name: "More" }).tap();
        await page.getByLabel("What you cut: method").fill("file");
      }
      if ((await heading(page).textContent())!.startsWith("Round the hoop up"))
        await page.getByRole("textbox", { name: "The size it reads", exact: true }).fill("6");
      await page.waitForTimeout(ONE_PRESS);
      await done.tap();
    }
    await expect(heading(page)).toContainText("How did it turn out?");
    await page.getByRole("button", { name: "Use 6.00, as read" }).tap();
    await page.getByLabel("Minutes at the bench").fill("132");
    await page.getByRole("button", { name: /Read scale/ }).tap();
    await expect(page.getByLabel(/^Weight of the metal/)).toHaveValue(/^\d\.\d\d$/);
    await page.getByLabel("Note for next time").fill("first by the phone");
    await page.getByLabel("Picture of the piece").setInputFiles({ name: "plover.png", mimeType: "image/png", buffer: PICTURE });
    await expect(page.getByRole("img", { name: "plover.png" })).toBeVisible();
    await page.reload();
    await expect(page.getByLabel("Minutes at the bench")).toHaveValue("132");
    await page.getByRole("button", { name: "Enter it in the ledger" }).tap();
    await expect(page).toHaveURL(/\/ledger$/);
    await page.getByRole("button", { name: "Plover ring" }).first().tap();
    const made = page.getByRole("dialog");
    await expect(made).toContainText("wanted US 6 1/4, came to 6.00; 132 minutes");
    await expect(made).toContainText("first by the phone");
    await expect(made).toContainText(/Metal of the piece: \d\.\d\d g, planned \d\.\d\d g, on the scale/);
    await expect(made.getByRole("img", { name: "plover.png" })).toBeVisible();
    await expect(made).toContainText("Done, 41 of 41 steps");
  });
});

/** One pixel. */
const PICTURE = Buffer.from("iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==", "base64");
