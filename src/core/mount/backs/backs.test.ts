import { SHIPPED_BENCH } from "../../piece/bench";
import { faultsOf } from "../../piece/faults";
import { type Mount, type Piece, type PlateEntry } from "../../piece/piece";
import { planPiece } from "../../piece/plan-piece";
import ternFile from "../../piece/reference/tern-ring.piece.json";
import { outlineOf } from "../../stone/stone";

const tern = ternFile as unknown as Piece;
const [oval] = tern.mounts as [Mount];
const { outline } = outlineOf(oval.stone);
const FIT = 0.05;
const ledge = { width: 0.8, height: 0.7, metal: "sterling" } as const;
const backed = (plate: Partial<PlateEntry>, wall: Partial<Mount["wall"]> = {}): Piece => {
  const { lift: _lift, ...own } = oval.wall;
  return { ...tern, mounts: [{ ...oval, wall: { ...own, ...wall }, plate: { ...oval.plate!, ...plate } }] };
};
const planOf = (piece: Piece) => planPiece(piece, SHIPPED_BENCH);
const codes = (piece: Piece) =>
  planOf(piece)
    .findings.filter(({ at }) => at === "m1.plate" || at === "m1.ledge")
    .map(({ code }) => code);
const faults = (piece: Piece) => faultsOf(piece, SHIPPED_BENCH).map(({ path, code }) => `${path} ${code}`);

test("a ledge is bent half its width inside the wall, is cut as the wall is, raises the stone and leaves the rest of the back open", () => {
  const { figures, joints, parts, drawing, steps } = planOf(backed({ style: "open", ledge }));
  const value = (name: string) => figures[`m1.${name}`]!.value;
  expect(value("ledge.netLength")).toBeCloseTo(outline.perimeter + 2 * Math.PI * (FIT - 0.4), 9);
  expect(value("ledge.cutLength")).toBeCloseTo(value("ledge.netLength") + 0.54, 12);
  const d = FIT - 0.8;
  expect(value("ledge.backShown")).toBeCloseTo((outline.area + outline.perimeter * d + Math.PI * d * d) / outline.area, 9);
  for (const key of ["ledge.netLength", "ledge.cutLength", "ledge.backShown"])
    expect(figures[`m1.${key}`]!.terms.reduce((all, each) => all + each.value, 0)).toBeCloseTo(value(key), 9);
  expect(value("wall.netHeight") - planOf(tern).figures["m1.wall.netHeight"]!.value).toBeCloseTo(0.7, 12);
  expect(figures["m1.wall.netHeight"]!.terms[0]).toMatchObject({ label: "lift", value: 0.7, from: "piece" });
  expect(Object.keys(figures).filter((key) => key.startsWith("m1.plate"))).toEqual([]);
  expect(joints.map(({ id, after }) => [id, ...after].join(" < "))).toEqual([
    "m1.seam",
    "m1.ledge.seam",
    "m1.ledge < m1.seam < m1.ledge.seam",
    "hoop.seam",
    "hoop.mount.m1 < m1.ledge.seam < m1.ledge < hoop.seam",
  ]);
  expect(joints[4]!.parts).toContain("m1.wall");
  expect(joints[2]!.area).toBeCloseTo(value("ledge.netLength") * 0.7, 9);
  expect(parts.find(({ id }) => id === "m1.ledge")!.mass).toBeCloseTo((value("ledge.netLength") * 0.8 * 0.7 * 10.36) / 1000, 9);
  expect(drawing.settings.m1!.section).toMatchObject({ shelf: { inside: outline.inscribedRadius - 0.75, height: 0.7 } });
  expect(drawing.settings.m1!.section.plate.thickness).toBe(0);
  expect(steps.map(({ id }) => id)).not.toContain("m1.plate.cut");
});

test("a ledge that hides more than a fifth, and one that cannot be", () => {
  const wide = (width: number) => codes(backed({ style: "open", ledge: { ...ledge, width } }));
  expect([wide(0.76), wide(0.78)]).toEqual([[], ["ledge.hides"]]);
  expect(codes(backed({ style: "open", ledge: { ...ledge, width: 0.5 }, stamp: { width: 1, height: 1 } }))).toEqual(["ledge.no-plate"]);
  expect(faults(backed({ style: "open" }))).toEqual(["/mounts/0/plate/ledge ledge-missing"]);
  expect(faults(backed({ style: "open", ledge }, { lift: 0.69 }))).toEqual(["/mounts/0/wall/lift lift-under-ledge"]);
  expect(faults(backed({ style: "open", ledge }, { lift: 0.7 }))).toEqual([]);
  const widest = outline.inscribedRadius + FIT;
  expect(faults(backed({ style: "open", ledge: { ...ledge, width: widest } }))).toEqual(["/mounts/0/plate/ledge/width ledge-too-wide"]);
  expect(planOf(backed({ style: "open", ledge: { ...ledge, width: widest - 0.01 } })).figures["m1.ledge.backShown"]!.value).toBeGreaterThan(
    0,
  );
});

test("stamp and drain stand clear of the hoop where nobody placed them, and say by how much they lie over an edge or under it", () => {
  const flush = (plate: Partial<PlateEntry>, wall: Partial<Mount["wall"]> = {}) =>
    backed({ stamp: { width: 3, height: 1.2 }, ...plate }, wall);
  const { drawing } = planOf(flush({ drain: { diameter: 1 } }));
  const { stamp, drain, band } = drawing.settings.m1!.plan.back;
  expect([stamp!.at, drain!.at]).toEqual([
    [-3.5, -0],
    [2.5, 0],
  ]);
  expect(band).toEqual({ half: 1.5, along: 0 });
  expect(stamp!.clear).toBeCloseTo(0.5, 9);
  const stampAt = (at: readonly [number, number], turn = 0) =>
    planOf(flush({ stamp: { width: 3, height: 1.2, at, turn } })).findings.find(({ code }) => code.startsWith("plate.stamp"));
  expect(stampAt([-4, 0])).toBeUndefined();
  expect(stampAt([0, 3])).toMatchObject({
    code: "plate.stamp-under-hoop",
    level: "error",
    values: { over: expect.closeTo(3, 9) as number },
  });
  expect(stampAt([-2.9, 0])).toMatchObject({ code: "plate.stamp-under-hoop", values: { over: expect.closeTo(0.1, 9) as number } });
  expect(stampAt([-2.9, 0], 90)).toBeUndefined();
  expect(stampAt([-8, 0])).toMatchObject({ code: "plate.stamp-off" });
  expect(Number(stampAt([-8, 0])!.values.over)).toBeCloseTo(9.5 - 8.37, 1);
  const drainAt = (at: readonly [number, number]) => codes(flush({ drain: { diameter: 1, at } }, { lift: 1 }));
  expect([drainAt([2, 0]), drainAt([1.9, 0]), drainAt([8, 0]), drainAt([7.5, 0])]).toEqual([
    [],
    ["plate.drain-under-hoop"],
    ["plate.drain-off"],
    [],
  ]);
  expect([codes(backed({}, { lift: 0.5 })), codes(backed({}))]).toEqual([["plate.closed-cavity"], []]);
});

test("without a carrier stamp and drain lie to each side of the middle; a turned stone's hoop crosses it elsewhere", () => {
  const piece = backed({ stamp: { width: 3, height: 1 }, drain: { diameter: 1 } });
  const backOf = (each: Piece) => planOf(each).drawing.settings.m1!.plan.back;
  expect(backOf({ ...piece, carrier: { type: "none" } })).toMatchObject({ band: null, stamp: { at: [-2, -0] }, drain: { at: [1, 0] } });
  const turned = { ...piece, mounts: [{ ...piece.mounts[0]!, place: { turn: 90 } }] };
  expect(backOf(turned).drain!.at.map((each) => Math.abs(Number(each.toFixed(9))))).toEqual([0, 2.5]);
});

test("a tube that keeps a floor needs no plate: it is mounted by its wall, and a floor that is none is refused with both numbers", () => {
  const stone = { ...oval.stone, outline: { shape: "round", diameter: 6 }, height: 3, turnIn: 1.2 } as const;
  const tube = (lift: number, inside = 5): Piece => ({
    ...tern,
    mounts: [
      {
        ...oval,
        stone,
        wall: { source: "tube", metal: "sterling", thickness: 0.4, tube: { outside: 6.9, inside }, lift },
        plate: { style: "none" },
      },
    ],
  });
  const plan = planOf(tube(0.5));
  expect(plan.parts.map(({ id }) => id)).toEqual(["m1.wall", "hoop"]);
  expect(plan.joints.map(({ id, parts, after }) => [id, parts, after])).toEqual([
    ["hoop.seam", ["hoop"], []],
    ["hoop.mount.m1", ["m1.wall", "hoop"], ["hoop.seam"]],
  ]);
  expect(Object.keys(plan.figures).filter((key) => key.startsWith("m1.plate"))).toEqual([]);
  expect(plan.settled.mounts.m1!.back).toMatchObject({ kind: "none", thickness: 0.5, metal: "sterling" });
  const told = (piece: Piece) => faultsOf(piece, SHIPPED_BENCH).map(({ path, code, values }) => [path, code, values]);
  expect(told(tube(0.3))).toEqual([]);
  expect(told(tube(0.29))).toEqual([["/mounts/0/wall/lift", "floor-thin", { least: 0.3, got: 0.29 }]]);
  expect(told(tube(0.5, 6.092))).toEqual([
    ["/mounts/0/wall/tube/inside", "shelf-narrow", { least: 0.2, got: expect.closeTo(0.004, 9) as number }],
  ]);
  expect(told({ ...tern, mounts: [{ ...oval, plate: { style: "none" } }] })).toEqual([
    ["/mounts/0/plate/style", "no-floor", { got: "strip" }],
  ]);
  const cup: Piece = {
    ...tube(0),
    mounts: [{ ...tube(0).mounts[0]!, wall: { source: "cup", metal: "copper", thickness: 0.4, cup: { length: 7, thickness: 0.4 } } }],
  };
  expect(told(cup)).toEqual([]);
  expect(planOf(cup).settled.mounts.m1!.back).toMatchObject({ kind: "base", thickness: 0.4, metal: "copper" });
});

test("a stamp or a drain that has no room beside the hoop starts where it has most", () => {
  const narrow = { ...oval, stone: { ...oval.stone, outline: { shape: "oval", length: 9, width: 12 } } } as Mount;
  const plan = planOf({
    ...tern,
    mounts: [{ ...narrow, plate: { ...narrow.plate!, stamp: { width: 1.5, height: 4 }, drain: { diameter: 1 } } }],
  });
  const { stamp, drain } = plan.drawing.settings.m1!.plan.back;
  expect(stamp!.clear).toBeGreaterThanOrEqual(0);
  expect(plan.findings.filter(({ code }) => code.startsWith("plate.stamp") || code.startsWith("plate.drain"))).toEqual([]);
  expect(drain!.at).not.toEqual([0, 0]);
});
