import fc from "fast-check";
import { type Box, boxOf, flattened } from "../geometry/curve";
import { distanceInside } from "../geometry/polygon";
import { foldedCorners } from "../mount/seam";
import { outlineOf } from "../stone/stone";
import { type Point } from "../geometry/outline";
import { gamma } from "../measure/gamma";
import { faultsOf } from "../piece/faults";
import { SHIPPED_BENCH } from "../piece/bench";
import { type BailEntry, type Carrier, type JumpRingEntry, type Mount, type Piece } from "../piece/piece";
import { planPiece } from "../piece/plan-piece";
import ternFile from "../piece/reference/tern-ring.piece.json";
import { stoneVolume } from "../stone/weight";
import { BAILS } from "./kinds/kinds";
import { balanceOf, turned } from "./hang";

const tern = ternFile as unknown as Piece;
const folded: BailEntry = { type: "bail", bore: 3.2, drop: 6, thickness: 0.6, widest: 3.4, foot: 1.2, chainEnd: 2.4 };
const ringed: JumpRingEntry = { type: "jump-ring", inside: 3, wire: 1 };

function pendant(carrier: Carrier, ...mounts: Partial<Mount>[]): Piece {
  const all = mounts.length === 0 ? [{}] : mounts;
  return { ...tern, kind: "pendant", mounts: all.map((more, i) => ({ ...tern.mounts[0]!, id: `m${i + 1}`, ...more })), carrier };
}
const planned = (carrier: Carrier, ...mounts: Partial<Mount>[]) => planPiece(pendant(carrier, ...mounts), SHIPPED_BENCH);
const value = (plan: ReturnType<typeof planned>, key: string) => plan.figures[key]!.value;
const hangs = (plan: ReturnType<typeof planned>) => {
  if (plan.drawing.carrier.type !== "bail") throw new Error("nothing hangs");
  return plan.drawing.carrier.hangs;
};
const shaped = (outline: Mount["stone"]["outline"]) => ({ stone: { ...tern.mounts[0]!.stone, outline } });

test("a folded bail, a tube and a ring are as long as their formulas", () => {
  const plan = planned(folded);
  expect(value(plan, "bail.blankLength")).toBeCloseTo(12 + (Math.PI * 3.8) / 2, 12);
  expect(plan.figures["bail.blankLength"]!.terms.map(({ label }) => label)).toEqual(["drop", "overChain"]);
  expect(value(plan, "bail.mass")).toBeCloseTo((10.36 / 1000) * (12 + (Math.PI * 3.8) / 2) * 2.3 * 0.6, 9);
  const tube = planned({ ...folded, style: "tube", widest: 7 });
  expect([value(tube, "bail.blankLength"), value(tube, "bail.mass")]).toEqual([
    7,
    expect.closeTo((10.36 / 1000) * Math.PI * 3.8 * 0.6 * 7, 9),
  ]);
  const ring = planned(ringed);
  expect(value(ring, "bail.jumpRingLength")).toBeCloseTo(Math.PI * 4, 12);
  expect(ring.joints.map(({ id }) => id)).toEqual(["m1.seam", "m1.foot", "bail.seam", "bail.eye.m1"]);
  expect(ring.joints.at(-1)).toMatchObject({ parts: ["bail", "m1.plate"], after: ["m1.foot", "bail.seam"], kind: "eye" });
  expect(plan.joints.map(({ id }) => id)).toEqual(["m1.seam", "m1.foot", "bail.eye.m1"]);
});

test("from the front and the side each is as wide and tall as its sizes, and the chain lies in its bore", () => {
  const drawn = (carrier: Carrier) => {
    const { carrier: bail } = planned(carrier).drawing;
    if (bail.type !== "bail") throw new Error("nothing hangs");
    const tenth = (mm: number) => Math.round(mm * 10) / 10 + 0;
    const rounded = ({ left, right, low, high }: Box) => ({ left: tenth(left), right: tenth(right), low: tenth(low), high: tenth(high) });
    const filled = [bail.front, ...bail.sides.m1!];
    return { ...bail, boxes: filled.map(([outside]) => rounded(boxOf(outside!))), holes: filled.map((each) => each.length - 1) };
  };
  const box = (wide: number, low: number, high: number) => ({ left: -wide / 2, right: wide / 2, low, high });
  expect(drawn(folded)).toMatchObject({
    boreAt: 6,
    isSawnToShape: true,
    holes: [0, 0, 0, 0],
    boxes: [
      box(3.4, 0, 8.2),
      { left: -2.2, right: -0.3, low: -0.4, high: 6 },
      { left: 0.3, right: 2.2, low: -0.4, high: 6 },
      box(4.4, 6, 8.2),
    ],
  });
  expect(drawn({ ...folded, style: "tube", widest: 7 })).toMatchObject({
    boreAt: 6,
    isSawnToShape: false,
    holes: [0, 1],
    boxes: [box(7, 3.8, 8.2), box(4.4, 3.8, 8.2)],
  });
  expect(drawn(ringed)).toMatchObject({ boreAt: 2.5, holes: [1, 0], boxes: [box(5, 0, 5), box(1, 0, 5)] });
  for (const carrier of [folded, { ...folded, style: "tube" as const }, ringed]) {
    const { front, sides, boreAt } = drawn(carrier);
    const bores = [front, ...sides.m1!].flatMap((filled) => filled.slice(1)).map((hole) => boxOf(hole));
    for (const { low, high } of bores) expect((low + high) / 2).toBeCloseTo(boreAt, 2);
  }
});

test("the chain's end passes with 0.3 to spare, exactly", () => {
  const codes = (chainEnd: number) => planned({ ...folded, chainEnd }).findings.map(({ code }) => code);
  expect([codes(2.9), codes(2.901)].map((each) => each.includes("bail.bore-small"))).toEqual([false, true]);
});

test("a tube lies on the edge within a tenth, or it is told how far off or in it is", () => {
  const apart = (drop: number) => planned({ ...folded, style: "tube", drop }).findings.filter(({ code }) => code === "bail.tube-apart");
  expect([2.2, 2.299, 2.101].flatMap(apart)).toEqual([]);
  expect([6, 2.05].flatMap(apart)).toMatchObject([
    { level: "warning", values: { gap: expect.closeTo(3.8, 9) as number, needed: expect.closeTo(2.2, 9) as number } },
    { values: { gap: expect.closeTo(-0.15, 9) as number } },
  ]);
  expect(planned(folded).findings.map(({ code }) => code)).not.toContain("bail.tube-apart");
  expect(apart(BAILS.tube.usualDrop({ bore: 3.2, thickness: 0.6 }))).toEqual([]);
});

test("the pivot lies out from the plate's edge, by a ring's wire and inside, or a bail's drop", () => {
  const at = (carrier: Carrier) => hangs(planned(carrier))[0]!.eyes[0]!.pivot;
  expect(at({ ...ringed, eye: { at: 0.5 } })).toEqual([expect.closeTo(-8 - 0.37 - 4, 9), expect.closeTo(0, 9)]);
  expect(at({ ...folded, eye: { at: 0.5 } })).toEqual([expect.closeTo(-8 - 0.37 - 6, 9), expect.closeTo(0, 9)]);
});

test("a stone weighs as its outline and dome say, whole numbers by hand; unsaid it is a guess and says so", () => {
  expect([1, 2, 3, 4.5, 0.5 + 1].map(gamma)).toEqual([1, 1, 2, 11.6317283966, 0.88622692545].map((x) => expect.closeTo(x, 9) as number));
  const dome = { radius: 6, turnIn: 1.2, height: 4.2 };
  const volume = (exponent: number | "flat") => stoneVolume({ area: 100 }, { ...dome, exponent });
  expect([volume("flat"), volume(2), volume(1), volume(4)]).toEqual(
    [420, 320, 220, 120 + 300 * 0.8740191848].map((mm3) => expect.closeTo(mm3, 6) as number),
  );
  const unsaid = { ...tern.mounts[0]!.stone };
  delete (unsaid as { material?: unknown }).material;
  const guess = planned(ringed, { stone: unsaid });
  expect(guess.findings.map(({ code }) => code)).toContain("hang.stone-guessed");
  expect(planned(ringed).findings.map(({ code }) => code)).not.toContain("hang.stone-guessed");
  const stoneOf = (plan: ReturnType<typeof planned>) => hangs(plan)[0]!.weights.find(({ part }) => part === "m1.stone")!.mass;
  expect(stoneOf(guess) / stoneOf(planned(ringed))).toBeCloseTo(2.65 / 2.6, 9);
});

test("where it balances is the mean by weight of where its parts do, the bail left out", () => {
  const beads = { id: "b", type: "granules", width: 2, metal: "fine-silver", extent: [[0.1, 0.2]] } as const;
  const plan = planned({ ...ringed, eye: { at: 0.5 } }, { plate: { ...tern.mounts[0]!.plate!, ornament: [beads] } });
  const [hang] = hangs(plan);
  expect(hang!.weights.map(({ part }) => part)).toEqual(["m1.stone", "m1.wall", "m1.plate", "m1.ornament.b"]);
  const masses = Object.fromEntries(plan.parts.map(({ id, mass }) => [id, mass]));
  for (const { part, mass } of hang!.weights.slice(1)) expect(mass).toBeCloseTo(masses[part]!, 12);
  const whole = hang!.weights.reduce((all, { mass }) => all + mass, 0);
  expect(hang!.balance[1]).toBeCloseTo(hang!.weights.reduce((all, { mass, at }) => all + mass * at[1], 0) / whole, 12);
  expect(hang!.weights[3]!.at[1]).toBeGreaterThan(5);
  const [px, py] = hang!.eyes[0]!.pivot;
  const tilt = (Math.atan2(hang!.balance[1] - py, hang!.balance[0] - px) * 180) / Math.PI;
  expect(value(plan, "hang.tilt")).toBeCloseTo(tilt, 9);
  expect(tilt).toBeGreaterThan(0.5);
  const disc = { id: "d", on: "m1.plate", metal: "copper", disc: { diameter: 4, thickness: 1 }, at: [0, -5] } as const;
  const put = planPiece({ ...pendant({ ...ringed, eye: { at: 0.5 } }), applied: [disc] }, SHIPPED_BENCH);
  expect(value(put, "hang.tilt")).toBeLessThan(-0.1);
  expect(
    balanceOf([
      { part: "a", mass: 1, at: [0, 0] },
      { part: "b", mass: 3, at: [4, 8] },
    ]),
  ).toEqual({ mass: 4, at: [3, 6] });
});

const lumpy: Point[] = [
  [9, 0],
  [6, 5],
  [-1, 6.5],
  [-7, 4],
  [-8.5, -1],
  [-3, -5],
  [5, -4.5],
];

test("turning a pendant's outline turns its eye and not its tilt; a mirrored one tilts the other way and weighs the same", () => {
  fc.assert(
    fc.property(fc.double({ min: -180, max: 180, noNaN: true }), fc.double({ min: 0, max: 0.99, noNaN: true }), (degrees, at) => {
      const [cos, sin] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
      const free = (points: readonly Point[]) => shaped({ shape: "free", points, closed: "polyline" });
      const carrier = (axis: number) => ({ ...folded, eye: { at }, hangAxis: axis });
      const plain = planned(carrier(0), free(lumpy));
      const round = planned(carrier(degrees), free(lumpy.map(([x, y]): Point => [x * cos - y * sin, x * sin + y * cos])));
      const [a, b] = [hangs(plain)[0]!, hangs(round)[0]!];
      expect(turned(value(round, "hang.tilt") - value(plain, "hang.tilt"))).toBeCloseTo(0, 6);
      const [x, y] = a.eyes[0]!.pivot;
      expect(Math.hypot(b.eyes[0]!.pivot[0] - (x * cos - y * sin), b.eyes[0]!.pivot[1] - (x * sin + y * cos))).toBeLessThan(1e-6);
      expect(b.mass).toBeCloseTo(a.mass, 6);
    }),
    { numRuns: 25 },
  );
  const pear = shaped({ shape: "pear", length: 16, width: 10 });
  const [left, right] = [0.45, 0.55].map((at) => planned({ ...folded, eye: { at } }, pear));
  expect(value(left!, "hang.tilt")).toBeCloseTo(-value(right!, "hang.tilt"), 6);
  expect(value(left!, "hang.tilt")).not.toBeCloseTo(0, 0);
  expect(hangs(left!)[0]!.mass).toBeCloseTo(hangs(right!)[0]!.mass, 12);
});

test("it hangs straight from the place that is named, the nearest to the eye, and from there by itself where none was chosen", () => {
  fc.assert(
    fc.property(fc.double({ min: 0.4, max: 0.6, noNaN: true }), fc.double({ min: -30, max: 30, noNaN: true }), (at, hangAxis) => {
      const free = shaped({ shape: "free", points: lumpy, closed: "curve" });
      const plan = planned({ ...folded, hangAxis, eye: { at } }, free);
      const straight = value(plan, "hang.eyeAt");
      expect(value(planned({ ...folded, hangAxis, eye: { at: straight } }, free), "hang.tilt")).toBeCloseTo(0, 5);
      expect(hangs(plan)[0]!.straight!.along).toBeCloseTo(
        turned((straight - at) * 360) * (plan.figures["m1.outline.perimeter"]!.value / 360),
        6,
      );
      const own = planned({ ...folded, hangAxis }, free);
      expect(value(own, "hang.tilt")).toBeCloseTo(0, 5);
    }),
    { numRuns: 25 },
  );
  const crooked = planned({ ...folded, eye: { at: 0.4 } }).findings.find(({ code }) => code === "hang.crooked")!;
  expect(crooked.values.by).toBeCloseTo(0.1 * 44.207, 2);
  expect(planned({ ...folded, eye: { at: 0.5 } }).findings.map(({ code }) => code)).not.toContain("hang.crooked");
});

test("two eyes are pulled straight through both; two that hang apart have figures, eyes and a difference of their own", () => {
  const connector = planned({
    ...ringed,
    eyes: [
      { mount: "m1", at: 0.5 },
      { mount: "m1", at: 0.03 },
    ],
  });
  const [first, last] = hangs(connector)[0]!.eyes;
  expect(value(connector, "hang.tilt")).toBeCloseTo(
    (Math.atan2(last!.pivot[1] - first!.pivot[1], last!.pivot[0] - first!.pivot[0]) * 180) / Math.PI,
    9,
  );
  expect(value(connector, "hang.eyeAt") % 1).toBeCloseTo(0, 6);
  expect(connector.joints.slice(2).map(({ id }) => id)).toEqual(["bail.seam", "bail.2.seam", "bail.eye.m1", "bail.eye.m1.2"]);
  const small = shaped({ shape: "oval", length: 14, width: 12 });
  const pair = planned(
    {
      ...ringed,
      eyes: [
        { mount: "m1", at: 0.5 },
        { mount: "m2", at: 0.45 },
      ],
    },
    {},
    small,
  );
  expect(["m1.hang.tilt", "m2.hang.tilt", "hang.tilt"].map((key) => key in pair.figures)).toEqual([true, true, false]);
  expect(pair.findings.find(({ code }) => code === "bail.unequal")!.values).toMatchObject({
    one: "m1",
    other: "m2",
    longer: expect.closeTo(2, 9) as number,
  });
  const both = (second: Partial<Mount>) =>
    planned({ ...ringed, eyes: ["m1", "m2"].map((mount) => ({ mount, at: 0.5 })) }, {}, second).findings.map(({ code }) => code);
  expect(both({})).not.toContain("bail.unequal");
  expect(both({ plate: { ...tern.mounts[0]!.plate!, thickness: 0.62 } })).toContain("bail.unequal");
  const faults = (carrier: Carrier, ...mounts: Partial<Mount>[]) =>
    faultsOf(pendant(carrier, ...mounts), SHIPPED_BENCH).map(({ path, code }) => `${path}: ${code}`);
  expect(faults({ ...ringed, eyes: [{ mount: "m3", at: 0 }] })).toEqual(["/carrier/eyes/0/mount: no-such-mount", "/carrier/eyes: no-eye"]);
  expect(faults({ ...ringed, eye: { at: 0.5 } }, {}, small)).toEqual(["/carrier/eye: eyes-by-mount"]);
  expect(faults({ ...ringed, eye: { at: 0.5 }, eyes: [{ mount: "m1", at: 0 }] })).toEqual(["/carrier/eye: eye-or-eyes"]);
  expect(faults({ ...ringed, eyes: [0, 0.3, 0.6].map((at) => ({ mount: "m1", at })) })).toEqual(["/carrier/eyes: too-many"]);
});

test("the metal of a piece adds up by its kinds, and of a pair every step is for two", () => {
  const plan = planned(folded);
  const { value: mass, terms } = plan.figures["piece.mass"]!;
  expect(mass).toBeCloseTo(
    plan.parts.reduce((all, each) => all + each.mass, 0),
    12,
  );
  expect(terms.map(({ label }) => label)).toEqual(["fine-silver", "sterling"]);
  const pair = planPiece({ ...pendant(folded), kind: "earrings", copies: 2 }, SHIPPED_BENCH);
  expect(new Set(pair.steps.map(({ values }) => values.copies))).toEqual(new Set([2]));
  expect(pair.steps.map(({ id }) => id)).toEqual(plan.steps.map(({ id }) => id));
  expect(pair.figures["piece.mass"]!.value).toBe(mass);
});

/** The notch of a heart, and a heart hung by a ring in it. */
const heart = { shape: "heart", length: 13, width: 14, cleft: 3 } as const;
const notch = () =>
  foldedCorners(outlineOf({ ...tern.mounts[0]!.stone, outline: heart, measuredPerimeter: null }).outline).find(({ turn }) => turn < 0)!;

test("a ring in a heart's notch lies against both lobes and is tied to each; on a lobe it stands on the edge", () => {
  const plan = planned({ ...ringed, eye: { at: notch().at } }, shaped(heart));
  const [eye] = hangs(plan)[0]!.eyes;
  expect(eye!.isBetween).toBe(true);
  const edge = flattened(plan.drawing.settings.m1!.plan.plateEdge, 0.01);
  const away = [eye!.pivot[0] - eye!.edge[0], eye!.pivot[1] - eye!.edge[1]];
  const long = Math.hypot(away[0]!, away[1]!);
  const middle: Point = [eye!.edge[0] + (away[0]! / long) * 2.5, eye!.edge[1] + (away[1]! / long) * 2.5];
  expect(-distanceInside(edge, middle)).toBeCloseTo(2.5, 3);
  const touched = edge.filter(([x, y]) => Math.hypot(x - middle[0], y - middle[1]) < 2.55).map(([, y]) => Math.sign(y - middle[1]));
  expect(new Set(touched)).toEqual(new Set([1, -1]));
  const joint = plan.joints.at(-1)!;
  const single = planned({ ...ringed, eye: { at: 0.5 } }).joints.at(-1)!;
  expect([joint.length, joint.area, joint.place]).toEqual([2 * single.length, 2 * single.area, "notch"]);
  const heat = plan.heats.find(({ joints }) => joints.includes(joint.id))!;
  expect(heat.solder[heat.joints.indexOf(joint.id)]!.count).toBeGreaterThanOrEqual(2);
  expect(plan.steps.find(({ code }) => code === "eye.mark")!.values.between).toBe(1);
  const lobe = planned({ ...ringed, eye: { at: notch().at + 0.15 } }, shaped(heart));
  expect([hangs(lobe)[0]!.eyes[0]!.isBetween, lobe.joints.at(-1)!.length]).toEqual([false, 1]);
});

test("hung by its point a marquise hangs as far off as its eye is turned round the point, and no further than its arc", () => {
  const marquise = shaped({ shape: "marquise", length: 14, width: 7 });
  const at = (turn: number) => planned({ ...ringed, eye: { at: 0.5, turn } }, marquise);
  const [straight] = hangs(at(0))[0]!.eyes;
  expect(straight!.pivot[0]).toBeCloseTo(-7 - 0.37 - 4, 9);
  expect(straight!.half).toBeCloseTo((2 * Math.atan(0.5) * 180) / Math.PI - 16.26, 0);
  const [turnedEye] = hangs(at(20))[0]!.eyes;
  const [cos, sin] = [Math.cos(Math.PI / 9), Math.sin(Math.PI / 9)];
  expect(turnedEye!.pivot).toEqual([expect.closeTo(-7 - 4.37 * cos, 9), expect.closeTo(-4.37 * sin, 9)]);
  expect(value(at(20), "hang.tilt")).toBeGreaterThan(3);
  expect(at(20).findings.find(({ code }) => code === "hang.crooked")!.values.turn).toBeCloseTo(-20, 6);
  const { half } = straight!;
  expect(hangs(at(half! + 5))[0]!.eyes[0]!.pivot[1]).toBeCloseTo(hangs(at(half!))[0]!.eyes[0]!.pivot[1], 9);
  expect(at(half! + 5).findings.find(({ code }) => code === "hang.turned-past")!.values).toMatchObject({ turn: half! + 5, most: half });
  expect(at(half!).findings.map(({ code }) => code)).not.toContain("hang.turned-past");
  const onSide = planned({ ...ringed, eye: { at: 0.4, turn: 10 } }, marquise).findings.find(({ code }) => code === "hang.turned-past");
  expect(onSide!.values).toEqual({ turn: 10, most: 0 });
});

test("what is heavier on one side hangs straight from a turn of its point, and is put there by itself", () => {
  const marquise = { ...shaped({ shape: "marquise", length: 14, width: 7 }), plate: tern.mounts[0]!.plate! };
  const disc = { id: "d", on: "m1.plate", metal: "copper", disc: { diameter: 2, thickness: 1 }, at: [0, 4] } as const;
  const plan = planPiece({ ...pendant(ringed, marquise), applied: [disc] }, SHIPPED_BENCH);
  expect(value(plan, "hang.tilt")).toBeCloseTo(0, 5);
  expect(value(plan, "hang.eyeAt")).toBeCloseTo(0.5, 9);
  expect(Math.abs(value(plan, "hang.eyeTurn"))).toBeGreaterThan(0.5);
});

test("a ring hangs in a bail, closed when all else is done; its wire passes the bore and the chain passes it", () => {
  const plan = planned({ ...folded, ring: { inside: 4, wire: 1 } });
  expect(plan.joints.at(-1)).toMatchObject({
    id: "bail.ring.link",
    kind: "link",
    means: "cold",
    parts: ["bail.ring", "bail"],
    after: ["bail.eye.m1"],
  });
  expect(value(plan, "bail.ringLength")).toBeCloseTo(5 * Math.PI, 12);
  expect(plan.steps.at(-1)!.id).toBe("bail.ring.set.close");
  expect(plan.parts.at(-1)).toMatchObject({
    id: "bail.ring",
    mass: expect.closeTo((10.36 / 1000) * 5 * Math.PI * (Math.PI / 4), 9) as number,
  });
  const codes = (wire: number, inside: number) => planned({ ...folded, ring: { inside, wire } }).findings.map(({ code }) => code);
  expect([codes(2.9, 4), codes(2.91, 4)].map((each) => each.includes("bail.ring-thick"))).toEqual([false, true]);
  expect([codes(1, 2.7), codes(1, 2.69)].map((each) => each.includes("bail.bore-small"))).toEqual([false, true]);
  const two = planned({
    ...folded,
    ring: { inside: 4, wire: 1 },
    eyes: [
      { mount: "m1", at: 0.5 },
      { mount: "m1", at: 0 },
    ],
  });
  expect(two.joints.slice(-2).map(({ id, after }) => [id, after])).toEqual([
    ["bail.ring.link", ["bail.eye.m1"]],
    ["bail.2.ring.link", ["bail.eye.m1.2"]],
  ]);
});
