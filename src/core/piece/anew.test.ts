import { EXAMPLES, examplePiece } from "@demo/examples";
import { demoPiece } from "@demo/pieces";
import { costOf, joinedTo, madeAnew, scrappedReadings } from "./anew";
import { SHIPPED_BENCH } from "./bench";
import { type Measured } from "./make";
import { planPiece } from "./plan-piece";

const plan = (id: string) => planPiece(demoPiece(id), SHIPPED_BENCH);
const tern = plan("tern-ring");
const idsOf = (steps: readonly { readonly id: string }[]) => steps.map(({ id }) => id);
const has = (steps: readonly { readonly id: string }[], ids: readonly string[]) => ids.filter((id) => idsOf(steps).includes(id));

test("a new wall comes with its making, its seam, its foot and all that follows on the whole; plate and hoop stay as they were made", () => {
  const { steps, entries } = madeAnew(tern, ["m1.wall"]);
  const again = ["m1.wall.cut", "m1.wall.wrap", "m1.seam.heat", "m1.foot.prepare", "m1.foot.heat", "m1.foot.check", "m1.plate.saw"];
  const after = ["hoop.mount.m1.heat", "m1.set.finish", "m1.set.push", "m1.set.polish"];
  expect(has(steps, [...again, ...after])).toEqual([...again, ...after]);
  expect(entries).toContain("hoop.mount.m1.heat");
  expect(
    has(steps, ["m1.stone.look", "m1.stone.measure", "m1.plate.cut", "m1.plate.stamp", "hoop.cut", "hoop.seam.heat", "hoop.round"]),
  ).toEqual([]);
});

test("a new plate leaves the wall and its seam, a new hoop leaves the setting", () => {
  const plate = madeAnew(tern, ["m1.plate"]).steps;
  expect(has(plate, ["m1.plate.cut", "m1.foot.heat", "m1.wall.cut", "m1.seam.heat", "hoop.seam.heat"])).toEqual([
    "m1.plate.cut",
    "m1.foot.heat",
  ]);
  const hoop = madeAnew(tern, ["hoop"]).steps;
  expect(has(hoop, ["hoop.cut", "hoop.seam.heat", "hoop.mount.m1.heat", "m1.foot.heat", "m1.wall.cut", "m1.plate.saw"])).toEqual([
    "hoop.cut",
    "hoop.seam.heat",
    "hoop.mount.m1.heat",
  ]);
});

test("of several settings only the one whose wall it is comes again, until all is finished; of one heat only its own joint's entries", () => {
  const wagtail = plan("wagtail-ring");
  const { entries, steps } = madeAnew(wagtail, ["m2.wall"]);
  expect(entries).toEqual(expect.arrayContaining(["m2.seam.heat", "m2.foot.heat", "hoop.mount.m2.heat", "m2.wall.wrap"]));
  expect(entries.filter((entry) => /^m[13]\.(wall|seam|foot|plate)/.test(entry))).toEqual([]);
  expect(entries).not.toContain("hoop.mount.m1.heat");
  expect(steps.length).toBeLessThan(wagtail.steps.length / 2);
});

test("readings of the old part, and of all that was joined to it, are its own; those of what was not yet joined stay", () => {
  const reading = (figure: string, value: number): Measured => ({ figure, value, at: `2026-11-20T10:0${value}:00.000Z`, by: "typed" });
  const measured = [reading("m1.wall.cutLength", 1), reading("m1.plate.thickness", 2), reading("hoop.insideDiameter", 3)];
  const scrapped = (done: readonly string[]) =>
    scrappedReadings(tern, measured, "m1.wall", joinedTo(tern, "m1.wall", new Set(done))).after.map(
      ({ figure, scrapped: of }) => `${figure} of ${of}`,
    );
  expect(scrapped([])).toEqual(["m1.wall.cutLength of m1.wall"]);
  expect(scrapped(["m1.foot.heat"])).toEqual(["m1.wall.cutLength of m1.wall", "m1.plate.thickness of m1.wall"]);
  expect(scrapped(["m1.foot.heat", "hoop.mount.m1.heat"])).toHaveLength(3);
  const [old] = scrappedReadings(tern, measured, "m1.wall", new Set(["m1.wall"])).after;
  expect(scrappedReadings(tern, [old!], "m1.wall", new Set(["m1.wall"])).after).toEqual([]);
  const twin = EXAMPLES.find(({ name }) => name === "Two wires side by side")!;
  const strands = planPiece(examplePiece(twin, "twin", SHIPPED_BENCH), SHIPPED_BENCH);
  const [strand] = strands.parts.filter(({ kind }) => kind === "strand");
  expect(scrappedReadings(strands, measured, strand!.id, new Set([strand!.id])).after.map(({ figure }) => figure)).toEqual([
    "hoop.insideDiameter",
  ]);
});

test("a reading that means start again stands among the remedies with what is made anew, until the part is read on or scrapped", () => {
  const at = "2026-11-20T10:00:00.000Z";
  const remedies = (...measured: Omit<Measured, "at" | "by">[]) =>
    planPiece(
      demoPiece("tern-ring"),
      SHIPPED_BENCH,
      measured.map((each) => ({ ...each, at, by: "typed" as const })),
    ).remedies.map(({ code, level, anew }) => `${code} ${level} ${anew.join()}`);
  const short = { figure: "m1.wall.netLength", value: 40 };
  expect(remedies(short)).toEqual(["wall.too-short error m1.wall"]);
  expect(remedies({ ...short, scrapped: "m1.wall" })).toEqual([]);
  expect(remedies({ figure: "m1.wall.cutLength", value: 44 })).toEqual(["wall.strip-short error m1.wall"]);
  expect(remedies({ figure: "m1.wall.cutLength", value: 44 }, { figure: "m1.wall.netLength", value: 45.5 })).toEqual([]);
  expect(remedies({ figure: "m1.wall.cutHeight", value: 2.4 })).toEqual(["wall.strip-low error m1.wall"]);
  expect(remedies({ figure: "hoop.cutLength", value: 54 })).toEqual(["hoop.will-come note ", "hoop.blank-short error hoop"]);
  expect(remedies({ figure: "hoop.cutLength", value: 59.1 })).toEqual(["hoop.will-come note "]);
});

test("what comes again costs its steps, its heats and the minutes the day gives them", () => {
  const { steps } = madeAnew(tern, ["m1.wall"]);
  const cost = costOf(steps, tern.tasks);
  expect([cost.steps, cost.heats]).toEqual([steps.length, 3]);
  const own = tern.tasks!.filter(({ step }) => idsOf(steps).includes(step)).map(({ hands }) => hands);
  expect(cost.minutes).toBeCloseTo(
    own.reduce((all, minutes) => all + minutes, 0),
    9,
  );
  expect(cost.minutes).toBeGreaterThan(60);
});
