import { type BuiltKind, type Joint } from "../joint/joint";
import { type Making, type MakingMount, makingSteps } from "./steps";

const joint = (id: string, kind: BuiltKind, mount: string | null): Joint => ({
  ...{ id, kind, mount, parts: ["a"], length: 1, area: 1, place: "" },
  ...{ after: [], follows: [] },
});
const mount = (id: string, more: Partial<MakingMount> = {}): MakingMount => ({
  id,
  stone: "agate",
  tender: [],
  mohs: 7,
  wallMetal: "fine-silver",
  wallThickness: 0.32,
  madeFrom: "strip",
  isBored: false,
  isThinned: false,
  style: "flush",
  ...more,
});
const heat = (...joints: Joint[]) => ({ joints, grade: "hard", fuses: false });

const making: Making = {
  mounts: [mount("m1")],
  seat: "flat",
  heats: [
    heat(joint("m1.seam", "seam", "m1")),
    heat(joint("hoop.seam", "seam", null)),
    heat(joint("m1.foot", "foot", "m1")),
    heat(joint("hoop.mount.m1", "mount", "m1")),
  ],
};
const ids = (plan: Making) => makingSteps(plan).map(({ id }) => id);

test("each part is made ready before its heat, looked at after it, and the stone is set when there is no more heat", () => {
  expect(ids(making)).toEqual([
    "m1.stone.look",
    "m1.stone.measure",
    "m1.wall.slit",
    "m1.wall.anneal",
    "m1.wall.cut",
    "m1.wall.square",
    "m1.wall.wrap",
    "m1.seam.heat",
    "m1.seam.pickle",
    "m1.wall.try",
    "m1.wall.foot",
    "hoop.cut",
    "hoop.square",
    "hoop.bend",
    "hoop.seam.heat",
    "hoop.seam.pickle",
    "hoop.round",
    "m1.plate.cut",
    "m1.plate.stamp",
    "m1.foot.heat",
    "m1.foot.pickle",
    "m1.plate.saw",
    "hoop.flat",
    "m1.join.finish",
    "hoop.mount.m1.heat",
    "hoop.mount.m1.pickle",
    "m1.set.try",
    "m1.set.height",
    "m1.set.surface",
    "m1.set.level",
    "m1.set.push",
    "m1.set.polish",
  ]);
});

test("ids stay the same when the heats change places, and none stands twice whatever shares a heat", () => {
  const [seam, hoop, foot, last] = making.heats as [
    Making["heats"][number],
    Making["heats"][number],
    Making["heats"][number],
    Making["heats"][number],
  ];
  const swapped = ids({ ...making, heats: [hoop, seam, foot, last] });
  expect([...swapped].sort()).toEqual([...ids(making)].sort());
  const two: Making = {
    mounts: [mount("m1"), mount("m2")],
    seat: "saddle",
    heats: [
      ...["m1", "m2"].flatMap((id) => [heat(joint(`${id}.seam`, "seam", id)), heat(joint(`${id}.foot`, "foot", id))]),
      heat(joint("hoop.seam", "seam", null)),
      heat(joint("hoop.mount.m1", "mount", "m1"), joint("hoop.mount.m2", "mount", "m2")),
    ],
  };
  expect(new Set(ids(two)).size).toBe(ids(two).length);
  const seats = makingSteps(two).filter(({ code }) => code === "hoop.saddle");
  expect(seats.map(({ id, target, values }) => [id, target, values.of])).toEqual([
    ["hoop.saddle", "m1.hoop.saddle", "m1"],
    ["m2.hoop.saddle", "m2.hoop.saddle", "m2"],
  ]);
  expect(makingSteps(making).find(({ code }) => code === "hoop.flat")).toMatchObject({ target: "m1.hoop.flat", values: { of: "" } });
});

test("a stone's tenderness stands at the step that would harm it: patina and tumbling, or the cleaning, never its heat", () => {
  const steps = (more: Partial<MakingMount>) => makingSteps({ ...making, mounts: [mount("m1", more)] });
  const at = (more: Partial<MakingMount>, code: string) => steps(more).find((each) => each.code === code)!.values;
  expect(at({ tender: ["heat", "ultrasonic"] }, "set.surface")).toMatchObject({ tender: [], soft: 0 });
  expect(at({ tender: ["heat", "water", "acid", "sulphur"] }, "set.surface")).toMatchObject({ tender: ["water", "acid", "sulphur"] });
  expect(at({ mohs: 5.9 }, "set.surface")).toMatchObject({ soft: 1 });
  expect(at({ mohs: 6 }, "set.surface")).toMatchObject({ soft: 0 });
  expect(at({ mohs: null }, "set.surface")).toMatchObject({ soft: 0 });
  expect([at({ tender: ["ultrasonic"] }, "set.polish").ultrasonic, at({ tender: ["heat"] }, "set.polish").ultrasonic]).toEqual([1, 0]);
  expect(at({ wallMetal: "brass" }, "wall.anneal")).toEqual({ metal: "brass" });
});

test("joints that share a heat have their own steps, so that heats planned anew lose no tick", () => {
  const [seam, hoop] = [joint("m1.seam", "seam", "m1"), joint("hoop.seam", "seam", null)];
  const rest = making.heats.slice(2);
  const shared = makingSteps({ ...making, heats: [heat(seam, hoop), ...rest] });
  const apart = makingSteps({ ...making, heats: [heat(hoop), heat(seam), ...rest] });
  expect(new Set(shared.map(({ id }) => id))).toEqual(new Set(apart.map(({ id }) => id)));
  expect(shared.filter(({ code }) => code === "join.solder").map(({ id, heat: at, values }) => [id, at, values.with])).toEqual([
    ["m1.seam.heat", 0, ["hoop.seam"]],
    ["hoop.seam.heat", 0, ["m1.seam"]],
    ["m1.foot.heat", 1, []],
    ["hoop.mount.m1.heat", 2, []],
  ]);
  expect(shared.filter(({ cautions }) => cautions.includes("charcoal")).map(({ id }) => id)).toEqual(["m1.seam.heat"]);
});

test("the plate's steps name both of its sizes", () => {
  const two = makingSteps(making).flatMap(({ code, target, second }) => (second === null ? [] : [[code, target, second]]));
  expect(two).toEqual([
    ["plate.cut", "m1.plate.blankLength", "m1.plate.blankWidth"],
    ["plate.saw", "m1.plate.length", "m1.plate.width"],
  ]);
});

test("every step with fire, acid, saw, dust or sulphur carries its caution", () => {
  for (const step of makingSteps(making)) {
    const expected = {
      "join.solder": "torch",
      "wall.anneal": "torch",
      "join.pickle": "pickle",
      "plate.saw": "saw",
      "hoop.cut": "saw",
      "set.polish": "dust",
      "set.surface": "sulphur",
      "set.level": "noMoreHeat",
    }[step.code as string];
    if (expected) expect(step.cautions).toContain(expected);
  }
  expect(makingSteps({ ...making, heats: [{ ...making.heats[0]!, fuses: true }] }).find(({ heat: at }) => at === 0)).toMatchObject({
    code: "join.fuse",
    checks: ["joint.noPits", "joint.noGap"],
  });
});

test("a soft stone is set by hand and protected; a heavy wall round a hard one wants the punch", () => {
  const push = (more: Partial<MakingMount>) =>
    makingSteps({ ...making, mounts: [mount("m1", more)] }).find(({ code }) => code === "set.push")!;
  expect(push({}).values).toEqual({ punch: 0 });
  expect(push({ wallThickness: 0.6 }).values).toEqual({ punch: 1 });
  expect(push({ wallThickness: 0.6, mohs: 4 })).toMatchObject({ values: { punch: 0 }, cautions: ["softStone"] });
});

test("only the last pickle is the last, and a border is sawn to, not to the wall", () => {
  const pickles = makingSteps(making).filter(({ code }) => code === "join.pickle");
  expect(pickles.map(({ values }) => values.last)).toEqual([0, 0, 0, 1]);
  const bordered = makingSteps({ ...making, mounts: [mount("m1", { style: "border" })] });
  expect(bordered.find(({ code }) => code === "plate.saw")!.values).toEqual({ style: "border" });
});
