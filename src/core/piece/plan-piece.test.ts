import { METALS } from "../metal/metals";
import { type BenchEntry, SHIPPED_BENCH, shelfNamed, wideBandAddition } from "./bench";
import { benchDifferences } from "./bench-differences";
import { faultsOf } from "./faults";
import { unplanned } from "./unplanned";
import { newPiece, UNMEASURED } from "./new-piece";
import { type Mount, type Piece, type WallEntry } from "./piece";
import { type Plan } from "./plan";
import { planPiece } from "./plan-piece";
import expected from "./reference/tern-ring.expected.json";
import ternFile from "./reference/tern-ring.piece.json";

const tern = ternFile as unknown as Piece;
const value = (plan: Plan, key: string) => plan.figures[key]!.value;

function withWall(wall: Partial<WallEntry>, stone: Partial<Mount["stone"]> = {}): Piece {
  const mount = tern.mounts[0]!;
  return { ...tern, mounts: [{ ...mount, stone: { ...mount.stone, ...stone }, wall: { ...mount.wall, ...wall } }] };
}

const codes = (piece: Piece, bench: BenchEntry = SHIPPED_BENCH) => planPiece(piece, bench).findings.map(({ code }) => code);

test("the Tern ring agrees with the figures computed independently", () => {
  const plan = planPiece(tern, SHIPPED_BENCH);
  for (const [key, figure] of Object.entries(expected.figures)) expect(Math.abs(value(plan, key) - figure)).toBeLessThan(1e-4);
  expect(plan.heats.map(({ joints, grade }) => ({ joints, grade }))).toEqual(expected.heats);
  expect(value(plan, "m1.wall.seamAt")).toBeCloseTo(0.25, 9);
  expect(value(plan, "m1.wall.stripHeight")).toBe(3.2);
  expect(plan.heats[2]!.pallions).toMatchObject({
    count: 7,
    spacing: expect.closeTo(6.504, 3) as number,
    evenGap: expect.closeTo(3.252, 3) as number,
  });
  expect(plan.joints.map(({ id }) => id)).toEqual(["m1.seam", "m1.foot", "hoop.seam", "hoop.mount.m1"]);
  expect(new Set(plan.steps.map(({ id }) => id)).size).toBe(plan.steps.length);
});

test("a wall is too low exactly under the turn-in and six tenths of the lip, and hides the stone past 65 % of it and a tenth more than holds", () => {
  const plan = planPiece(tern, SHIPPED_BENCH);
  const needed = 1.9 + 0.6 * value(plan, "m1.wall.lip");
  const fixed = (fixedHeight: number) => codes(withWall({ heightRule: "fixed", fixedHeight }));
  expect(fixed(needed + 1e-9)).not.toContain("wall.too-low");
  expect(fixed(needed - 1e-9)).toContain("wall.too-low");
  expect(fixed(0.65 * 5.2 - 1e-9)).not.toContain("wall.hides-stone");
  expect(fixed(0.65 * 5.2 + 1e-9)).toContain("wall.hides-stone");
  expect(codes(withWall({ heightRule: "third" }))).toContain("wall.too-low");
  const tall = (fixedHeight: number) => codes(withWall({ heightRule: "fixed", fixedHeight }, { turnIn: 3.6 }));
  const enough = 3.6 + 0.6 * value(planPiece(withWall({}, { turnIn: 3.6 }), SHIPPED_BENCH), "m1.wall.lip");
  expect(1.1 * enough).toBeGreaterThan(0.65 * 5.2);
  expect(tall(1.1 * enough - 1e-9)).not.toContain("wall.hides-stone");
  expect(tall(1.1 * enough + 1e-9)).toContain("wall.hides-stone");
});

test("gathering warns past a tenth, and a radius within the catch is a point, never an infinite figure", () => {
  expect(codes(withWall({}, { outline: { shape: "oval", length: 20, width: 12 } }))).not.toContain("wall.gathers");
  expect(codes(withWall({}, { outline: { shape: "oval", length: 22, width: 11 } }))).toContain("wall.gathers");
  const pointed = planPiece(withWall({ catch: 0.5 }, { outline: { shape: "oval", length: 30, width: 3 } }), SHIPPED_BENCH);
  expect(pointed.findings.map(({ code }) => code)).toContain("wall.point");
  expect(value(pointed, "m1.wall.gather")).toBeLessThan(1);
});

test("the tape overrules the measures, and says so when they disagree by more than 2 %", () => {
  const wrapped = (factor: number) => planPiece(withWall({}, { measuredPerimeter: 44.20698432141901 * factor }), SHIPPED_BENCH);
  expect(value(wrapped(1.01), "m1.outline.perimeter")).toBeCloseTo(44.20698432 * 1.01, 6);
  expect(value(wrapped(1.01), "m1.plate.length")).toBeCloseTo(16 * 1.01 + 0.74, 9);
  expect(wrapped(1.0199).findings.map(({ code }) => code)).not.toContain("stone.tape-off");
  expect(wrapped(1.0201).findings.map(({ code }) => code)).toContain("stone.tape-off");
});

test("the seam goes to the straightest run, away from the shank where another serves as well", () => {
  const seam = (piece: Piece) => value(planPiece(piece, SHIPPED_BENCH), "m1.wall.seamAt");
  const turned = (turn: number): Piece => ({ ...tern, mounts: [{ ...tern.mounts[0]!, place: { turn } }] });
  expect(seam({ ...tern, carrier: { type: "none" } })).toBeCloseTo(0.25, 9);
  expect(seam(turned(90))).toBeCloseTo(0.25, 9);
  expect(seam(withWall({}, { outline: { shape: "round", diameter: 12 } }))).toBe(0.25);
  expect(seam(withWall({ seamAt: 0.4 }))).toBe(0.4);
});

test("what a piece leaves out is taken from the bench, and from the shipped defaults last", () => {
  const bench: BenchEntry = { ...SHIPPED_BENCH, losses: { wall: { squaring: 0.6 } }, seatOf: { fit: 0.08 } };
  const { fit: _fit, ...wall } = tern.mounts[0]!.wall;
  const piece: Piece = { ...tern, mounts: [{ ...tern.mounts[0]!, wall }] };
  const terms = planPiece(piece, bench).figures["m1.wall.cutLength"]!.terms;
  expect(terms.map(({ label, from }) => [label, from])).toEqual([
    ["outline", "stone"],
    ["wall", "formula"],
    ["fit", "bench"],
    ["squaring", "bench"],
    ["mark", "shipped"],
  ]);
  expect(benchDifferences(bench, SHIPPED_BENCH).map(({ key }) => key)).toEqual(["losses.wall.squaring", "seatOf.fit"]);
  expect(benchDifferences(bench, bench)).toEqual([]);
  expect(wideBandAddition(SHIPPED_BENCH, 6).value).toBe(0);
  expect(wideBandAddition(SHIPPED_BENCH, 6.1).value).toBe(0.2);
  expect(wideBandAddition(SHIPPED_BENCH, 8.1).value).toBe(0.4);
  expect(shelfNamed(SHIPPED_BENCH, "none").missing).toBe(true);
});

test("ways of grading and pins are kept, and what they cost is said", () => {
  const heats = (heats: NonNullable<Piece["heats"]>) => planPiece({ ...tern, heats: { ...tern.heats, ...heats } }, SHIPPED_BENCH);
  const grades = (plan: Plan) => plan.heats.map(({ grade }) => grade);
  expect(grades(heats({ way: "seams-hard" }))).toEqual(["hard", "hard", "easy", "easy"]);
  expect(new Set(grades(heats({ way: "one-grade" })))).toEqual(new Set(["hard"]));
  expect(grades(heats({ way: "fuse-first" }))[0]).toBe("fuse");
  const pinned = heats({ pins: [{ joint: "hoop.mount.m1", grade: "medium" }] });
  expect(pinned.heats.at(-1)!.grade).toBe("medium");
  expect(pinned.heats.flatMap(({ runs }) => runs)).toEqual(["m1.seam"]);
  expect(pinned.findings.map(({ code }) => code)).toEqual(expect.arrayContaining(["heats.runs", "heats.better-unpinned"]));
  const shielded = heats({ pins: [{ joint: "hoop.mount.m1", grade: "medium" }, { shield: "m1.foot" }] });
  expect(shielded.heats.flatMap(({ runs }) => runs)).toEqual([]);
  const clash = heats({ pins: [{ shield: "m1.seam" }, { before: ["hoop.mount.m1", "m1.foot"] }] });
  expect(clash).toMatchObject({ heatPlan: { status: "impossible", conflicts: [{ pin: 1 }] }, heats: [] });
  expect(heats({ shelf: "none" }).findings.map(({ code }) => code)).toContain("heats.shelf-missing");
  expect(heats({ overshoot: 10 }).findings.map(({ code }) => code)).not.toContain("heats.overshoot");
  expect(heats({ overshoot: 11 }).findings.map(({ code }) => code)).toContain("heats.overshoot");
  expect(heats({ pins: [{ shield: "m9.foot" }] }).findings.map(({ code }) => code)).toContain("heats.pin-unknown");
});

test("the flame's shares add up to one, and count a plate as its whole blank until it is sawn", () => {
  const { heats } = planPiece(tern, SHIPPED_BENCH);
  for (const { flame } of heats) expect(flame.reduce((all, { share }) => all + share, 0)).toBeCloseTo(1, 12);
  const blank = 18.74 * 14.74 * 0.6 * METALS.sterling.density * METALS.sterling.heatCapacity;
  const wall = value(planPiece(tern, SHIPPED_BENCH), "m1.wall.mass") * 1000 * METALS["fine-silver"].heatCapacity;
  expect(heats[2]!.flame.find(({ part }) => part === "m1.plate")!.share).toBeCloseTo(blank / (blank + wall), 9);
});

test("a new piece is planned at once, and what is not planned yet is refused by name", () => {
  const fresh = newPiece("first", "First", SHIPPED_BENCH, UNMEASURED);
  expect([...faultsOf(fresh, SHIPPED_BENCH), ...unplanned(fresh)]).toEqual([]);
  expect(planPiece(fresh, SHIPPED_BENCH).heatPlan.status).toBe("best");
});

test("a catch nobody gave is the usual one, less on a small stone and more on a large", () => {
  const catchOf = (diameter: number, bench: BenchEntry = SHIPPED_BENCH, wall: Partial<WallEntry> = {}) => {
    const { catch: _catch, ...rest } = tern.mounts[0]!.wall;
    const stone = { ...tern.mounts[0]!.stone, outline: { shape: "round", diameter } as const, height: 3, turnIn: 1.2 };
    return planPiece({ ...tern, mounts: [{ ...tern.mounts[0]!, stone, wall: { ...rest, ...wall } }] }, bench).settled.mounts.m1!.wall.catch;
  };
  expect(catchOf(6)).toEqual({ value: expect.closeTo(3 / 16, 9) as number, from: "formula" });
  expect(catchOf(10)).toEqual({ value: 0.25, from: "shipped" });
  expect(catchOf(30)).toEqual({ value: expect.closeTo(15 / 24, 9) as number, from: "formula" });
  const mine: BenchEntry = { ...SHIPPED_BENCH, seatOf: { catch: 0.3 } };
  expect([catchOf(12, mine), catchOf(8, mine).value, catchOf(30, SHIPPED_BENCH, { catch: 0.2 })]).toEqual([
    { value: 0.3, from: "bench" },
    expect.closeTo(0.25, 9),
    { value: 0.2, from: "piece" },
  ]);
});

test("a tape is refused from a quarter off, a multiplier under pi, each with what would be right", () => {
  const taped = (share: number) =>
    faultsOf(withWall({}, { measuredPerimeter: share * value(planPiece(tern, SHIPPED_BENCH), "m1.outline.perimeter") }), SHIPPED_BENCH);
  expect([taped(1.2499), taped(0.7501)]).toEqual([[], []]);
  for (const share of [1.2501, 0.7499, 0.01]) {
    const [found] = taped(share);
    expect(found).toMatchObject({ path: "/mounts/0/stone/measuredPerimeter", code: "tape-far-off" });
    expect(found!.values.least).toBeCloseTo(0.75 * 44.20698, 4);
    expect(found!.values.most).toBeCloseTo(1.25 * 44.20698, 4);
  }
  const times = (multiplier: number) =>
    faultsOf({ ...tern, carrier: { ...tern.carrier, lengthRule: { multiplier } } as Piece["carrier"] }, SHIPPED_BENCH);
  expect(times(3.1416)).toEqual([]);
  expect(times(3.1415)).toEqual([{ path: "/carrier/lengthRule/multiplier", code: "below-pi", values: { got: 3.1415 } }]);
});

test("a heavy wall round a soft stone is warned of, each limit exactly", () => {
  const warned = (thickness: number, mohs: number) => codes(withWall({ thickness }, { material: { mohs } })).includes("wall.heavy-on-soft");
  expect([warned(0.41, 5.9), warned(0.4, 5.9), warned(0.41, 6)]).toEqual([true, false, false]);
  expect([warned(0.36, 3.9), warned(0.35, 3.9), warned(0.36, 4)]).toEqual([true, false, false]);
  expect(codes(withWall({ thickness: 0.6 }, { material: {} }))).not.toContain("wall.heavy-on-soft");
});

test("of a seam that moves it is told whether it could have been fused", () => {
  const seamOf = (metal: "fine-silver" | "sterling") =>
    planPiece(
      { ...withWall({ metal }), heats: { ...tern.heats, way: "one-grade", pins: [{ joint: "m1.seam", grade: "easy" }] } },
      SHIPPED_BENCH,
    ).findings.find(({ code, at }) => code === "heats.runs" && at === "m1.seam")?.values.seam;
  expect([seamOf("fine-silver"), seamOf("sterling")]).toEqual(["fuses", "plain"]);
});

test("every step of the Tern ring with what can hurt in it and what is looked at", () => {
  const told = planPiece(tern, SHIPPED_BENCH).steps.map(
    ({ id, cautions, checks }) => `${id}: ${cautions.join(", ")} | ${checks.join(", ")}`,
  );
  expect(told).toEqual([
    "m1.stone.look:  | stone.sound, stone.flatBack",
    "m1.stone.measure:  | ",
    "m1.wall.slit:  | edge.parallel",
    "m1.wall.anneal: torch, hotMetal | ",
    "m1.wall.cut:  | ends.square, ends.noPinch, ends.noBurr",
    "m1.wall.square:  | ends.square",
    "m1.wall.wrap:  | ends.noLight, wall.upright",
    "m1.seam.prepare: flux | joint.clean",
    "m1.seam.heat: torch, flux, hotMetal, charcoal | ",
    "m1.seam.pickle: pickle | pickle.noIron",
    "m1.seam.check:  | joint.bright, joint.noGap, joint.dropsFlat",
    "m1.wall.try:  | wall.passes, wall.upright, wall.seamLevel",
    "m1.wall.foot:  | foot.flat",
    "hoop.cut: saw | ends.noBurr",
    "hoop.square:  | ends.square",
    "hoop.bend:  | ends.noLight",
    "hoop.seam.prepare: flux | joint.clean",
    "hoop.seam.heat: torch, flux, hotMetal | ",
    "hoop.seam.pickle: pickle | pickle.noIron",
    "hoop.seam.check:  | joint.bright, joint.noGap",
    "hoop.round:  | hoop.round, hoop.size",
    "m1.plate.cut: saw | plate.room, foot.flat",
    "m1.plate.stamp:  | ",
    "m1.foot.prepare: flux | joint.clean",
    "m1.foot.heat: torch, flux, hotMetal | ",
    "m1.foot.pickle: pickle | pickle.noIron",
    "m1.foot.check:  | joint.bright, joint.allRound, joint.noGap",
    "m1.plate.saw: saw | plate.noLine",
    "hoop.flat:  | hoop.sitsFlat",
    "m1.join.finish: dust, wheel | parts.reached",
    "hoop.mount.m1.prepare: flux | joint.clean",
    "hoop.mount.m1.heat: torch, flux, hotMetal | ",
    "hoop.mount.m1.pickle: pickle | pickle.noIron",
    "hoop.mount.m1.check:  | joint.bright, mount.square",
    "m1.set.try:  | wall.passes, stone.out",
    "m1.set.height:  | height.even",
    "m1.set.surface: sulphur | ",
    "m1.set.finish: dust, wheel | edge.smooth",
    "m1.set.level: noMoreHeat | stone.still",
    "m1.set.push:  | joint.noGap, stone.still",
    "m1.set.polish:  | edge.smooth",
  ]);
});
