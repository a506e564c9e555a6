import { type ChosenHeat } from "../heats/best";
import { doneSteps } from "./done";
import { entriesFor, entriesOf, isHeating } from "./step";
import { SHIPPED_BENCH } from "../piece/bench";
import { type Mount, type Piece } from "../piece/piece";
import { planPiece } from "../piece/plan-piece";
import ternFile from "../piece/reference/tern-ring.piece.json";

const tern = ternFile as unknown as Piece;
const first = tern.mounts[0]!;

const heat = (...joints: string[]): ChosenHeat => ({ joints, means: "solder", grade: "hard", working: 797 });
const ONE_BY_ONE = [heat("m1.seam"), heat("hoop.seam"), heat("m1.foot"), heat("hoop.mount.m1")];

/** The steps of a piece whose heats are these. */
function stepsOf(piece: Piece, heats: readonly ChosenHeat[] = ONE_BY_ONE) {
  return planPiece(piece, SHIPPED_BENCH, [], () => ({ status: "best", heats, cost: 0 })).steps;
}

function withMount(change: (mount: Mount) => Mount): Piece {
  return { ...tern, mounts: [change(first)] };
}

const withMaterial = (material: Partial<NonNullable<Mount["stone"]["material"]>>) =>
  withMount((mount) => ({ ...mount, stone: { ...mount.stone, material: { name: "agate", ...material } } }));
const ids = (steps: ReturnType<typeof stepsOf>) => steps.map(({ id }) => id);
const inHeat = (joint: string) => ["prepare", "heat", "pickle", "check"].map((act) => `${joint}.${act}`);

test("each part is made ready before its heat, looked at after it, and the stone is set when there is no more heat", () => {
  expect(ids(stepsOf(tern))).toEqual([
    ...["m1.stone.look", "m1.stone.measure"],
    ...["m1.wall.slit", "m1.wall.anneal", "m1.wall.cut", "m1.wall.square", "m1.wall.wrap", ...inHeat("m1.seam")],
    ...["m1.wall.try", "m1.wall.foot"],
    ...["hoop.cut", "hoop.square", "hoop.bend", ...inHeat("hoop.seam"), "hoop.round"],
    ...["m1.plate.cut", "m1.plate.stamp", ...inHeat("m1.foot"), "m1.plate.saw"],
    ...["hoop.flat", "m1.join.finish", ...inHeat("hoop.mount.m1")],
    ...["m1.set.try", "m1.set.height", "m1.set.surface", "m1.set.finish", "m1.set.level", "m1.set.push", "m1.set.polish"],
  ]);
});

test("ids stay the same when the heats change places, and none stands twice whatever shares a heat", () => {
  const [seam, hoop, foot, last] = ONE_BY_ONE as [ChosenHeat, ChosenHeat, ChosenHeat, ChosenHeat];
  expect(ids(stepsOf(tern, [hoop, seam, foot, last])).sort()).toEqual(ids(stepsOf(tern)).sort());
  const two = { ...tern, carrier: { ...tern.carrier, form: "closed" }, mounts: ["m1", "m2"].map((id) => ({ ...first, id })) } as Piece;
  const heats = [
    ...["m1", "m2"].flatMap((id) => [heat(`${id}.seam`), heat(`${id}.foot`)]),
    heat("hoop.seam"),
    heat("hoop.mount.m1", "hoop.mount.m2"),
  ];
  const steps = stepsOf(two, heats);
  expect(new Set(ids(steps)).size).toBe(steps.length);
  expect(ids(steps).slice(0, 4)).toEqual(["m1.stone.look", "m1.stone.measure", "m2.stone.look", "m2.stone.measure"]);
  const seats = steps.filter(({ code }) => code === "hoop.saddle");
  expect(seats.map(({ id, target, values }) => [id, target, values.of])).toEqual([
    ["hoop.saddle", "m1.hoop.saddle", "m1"],
    ["m2.hoop.saddle", "m2.hoop.saddle", "m2"],
  ]);
  expect(stepsOf(tern).find(({ code }) => code === "hoop.flat")).toMatchObject({ target: "m1.hoop.flat", values: { of: "" } });
});

test("what comes ready made is made ready cold, before any heat and after every stone is looked at", () => {
  const stone: Mount["stone"] = { ...first.stone, outline: { shape: "round", diameter: 6 }, height: 3, turnIn: 1.2 };
  const heats = [heat("hoop.seam"), heat("m1.foot"), heat("hoop.mount.m1")];
  const tube = (inside: number) =>
    withMount((mount) => ({ ...mount, stone, wall: { ...mount.wall, source: "tube", tube: { outside: 6.9, inside } } }));
  const ready = (piece: Piece, made = heats) => ids(stepsOf(piece, made)).slice(2, 6);
  expect(ready(tube(5))).toEqual(["m1.wall.part", "m1.wall.burr", "m1.wall.seat", "m1.wall.foot"]);
  expect(ready(tube(6.2))).toEqual(["m1.wall.part", "m1.wall.try", "m1.wall.foot", "hoop.cut"]);
  const cup = (thickness: number) =>
    withMount((mount) => ({ ...mount, stone, wall: { ...mount.wall, source: "cup", thickness: 0.4, cup: { length: 7, thickness } } }));
  const ofCup = [heat("hoop.seam"), heat("hoop.mount.m1")];
  expect(ready(cup(0.4), ofCup).slice(0, 2)).toEqual(["m1.wall.fits", "hoop.cut"]);
  expect(ready(cup(0.45), ofCup).slice(0, 2)).toEqual(["m1.wall.fits", "m1.wall.thin"]);
});

test("a stone's tenderness stands at the step that would harm it: patina and tumbling, or the cleaning, never its heat", () => {
  const at = (more: Parameters<typeof withMaterial>[0], code: string) =>
    stepsOf(withMaterial(more)).find((each) => each.code === code)!.values;
  expect(at({ tender: ["heat", "ultrasonic"] }, "set.surface")).toMatchObject({ tender: [], soft: 0 });
  expect(at({ tender: ["heat", "water", "acid", "sulphur"] }, "set.surface")).toMatchObject({ tender: ["water", "acid", "sulphur"] });
  expect(at({ mohs: 5.9 }, "set.surface")).toMatchObject({ soft: 1 });
  expect(at({ mohs: 6 }, "set.surface")).toMatchObject({ soft: 0 });
  expect(at({}, "set.surface")).toMatchObject({ soft: 0 });
  expect([at({ tender: ["ultrasonic"] }, "set.polish").ultrasonic, at({ tender: ["heat"] }, "set.polish").ultrasonic]).toEqual([1, 0]);
  const brass = withMount((mount) => ({ ...mount, wall: { ...mount.wall, metal: "brass" } }));
  expect(stepsOf(brass).find(({ code }) => code === "wall.anneal")!.values).toEqual({ metal: "brass" });
});

test("a heat is one heat, whatever it joins, and lists an entry for each joint, so that heats planned anew lose no tick", () => {
  const rest = ONE_BY_ONE.slice(2);
  const shared = stepsOf(tern, [heat("m1.seam", "hoop.seam"), ...rest]);
  const apart = stepsOf(tern, [heat("hoop.seam"), heat("m1.seam"), ...rest]);
  const entries = (steps: typeof shared) => steps.flatMap(entriesOf);
  expect(new Set(entries(shared))).toEqual(new Set(entries(apart)));
  expect(shared.filter(isHeating).map(({ id, heat: at, joints }) => [id, at, joints])).toEqual([
    ["m1.seam.heat", 0, ["m1.seam", "hoop.seam"]],
    ["m1.foot.heat", 1, ["m1.foot"]],
    ["hoop.mount.m1.heat", 2, ["hoop.mount.m1"]],
  ]);
  expect(shared.filter(({ id }) => id.startsWith("hoop.seam."))).toEqual([]);
  expect(shared.filter(({ cautions }) => cautions.includes("charcoal")).map(({ id }) => id)).toEqual(["m1.seam.heat"]);
  const of = (id: string) => shared.find((step) => step.id === id)!;
  expect(entriesOf(of("m1.seam.pickle"))).toEqual(["m1.seam.pickle", "hoop.seam.pickle"]);
  expect(["m1.foot", "hoop.seam"].map((joint) => entriesFor(of("m1.seam.check"), joint))).toEqual([[], ["hoop.seam.check"]]);
  expect(entriesFor(of("m1.wall.cut"), "m1.seam")).toEqual([]);
  const done = (...steps: string[]) => [
    ...doneSteps(
      shared,
      steps.map((step, i) => ({ step, at: `at ${i}` })),
    ),
  ];
  expect(done("m1.seam.heat", "m1.wall.cut")).toEqual([["m1.wall.cut", "at 1"]]);
  expect(done("hoop.seam.heat", "m1.seam.heat")).toEqual([["m1.seam.heat", "at 1"]]);
});

test("the plate's steps name both of its sizes, and a border is sawn to, not to the wall", () => {
  const two = stepsOf(tern).flatMap(({ code, target, second }) => (second === null ? [] : [[code, target, second]]));
  expect(two).toEqual([
    ["plate.cut", "m1.plate.blankLength", "m1.plate.blankWidth"],
    ["plate.saw", "m1.plate.length", "m1.plate.width"],
  ]);
  const bordered = withMount((mount) => ({ ...mount, plate: { ...mount.plate, style: "border", border: 1 } }));
  const styles = [tern, bordered].map((piece) => stepsOf(piece).find(({ code }) => code === "plate.saw")!.values.style);
  expect(styles).toEqual(["flush", "border"]);
});

test("every step with fire, acid, saw, dust or sulphur carries its caution", () => {
  const steps = stepsOf(tern);
  const expected = {
    "join.solder": ["torch", "flux", "hotMetal"],
    "wall.anneal": ["torch", "hotMetal"],
    "join.pickle": ["pickle"],
    "join.finish": ["dust", "wheel"],
    "plate.cut": ["saw"],
    "plate.saw": ["saw"],
    "hoop.cut": ["saw"],
    "join.prepare": ["flux"],
    "set.finish": ["dust", "wheel"],
    "set.surface": ["sulphur"],
    "set.level": ["noMoreHeat"],
  };
  for (const [code, cautions] of Object.entries(expected))
    expect([code, steps.find((step) => step.code === code)!.cautions]).toEqual([code, expect.arrayContaining(cautions)]);
  const fused = stepsOf(tern, [{ ...heat("m1.seam"), means: "fuse", grade: "fuse" }, ...ONE_BY_ONE.slice(1)]);
  expect(fused.find(({ id }) => id === "m1.seam.heat")).toMatchObject({
    code: "join.fuse",
    cautions: ["torch", "hotMetal", "charcoal"],
  });
  expect(fused.find(({ id }) => id === "m1.seam.check")!.checks).toEqual(["joint.noPits", "joint.noGap"]);
  // Nothing that is set sees a wheel.
  expect(steps.slice(steps.findIndex(({ code }) => code === "set.push")).flatMap(({ cautions }) => cautions)).toEqual([]);
});

test("a soft stone is set by hand and protected; a heavy wall round a hard one wants the punch", () => {
  const push = (mohs: number, thickness: number) => {
    const piece = withMaterial({ mohs });
    const mount = { ...piece.mounts[0]!, wall: { ...first.wall, thickness } };
    return stepsOf({ ...piece, mounts: [mount] }).find(({ code }) => code === "set.push")!;
  };
  expect(push(7, 0.4).values).toEqual({ punch: 0, points: 0, tube: 0 });
  expect(push(7, 0.41).values).toEqual({ punch: 1, points: 0, tube: 0 });
  expect(push(4, 0.6)).toMatchObject({ values: { punch: 0 }, cautions: ["softStone"] });
});

test("only the last pickle is the last", () => {
  const pickles = stepsOf(tern).filter(({ code }) => code === "join.pickle");
  expect(pickles.map(({ values }) => values.last)).toEqual([0, 0, 0, 1]);
});
