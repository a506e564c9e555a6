import { SHIPPED_BENCH } from "../piece/bench";
import { type AppliedEntry, type Piece } from "../piece/piece";
import { planPiece } from "../piece/plan-piece";
import ternFile from "../piece/reference/tern-ring.piece.json";
import { settleApplied } from "../piece/settle";
import { outlineOf } from "../stone/stone";
import { clearOfEdge, clearOfOther, clearOfWall, freeIn, freeRound, planeOf, reachOf, roundOf } from "./clearance";

const tern = ternFile as unknown as Piece;
const [oval] = tern.mounts as [Piece["mounts"][number]];
/** The Tern ring's setting on a plate with a border wide enough to put things on. */
const wide: Piece = { ...tern, mounts: [{ ...oval, plate: { ...oval.plate, style: "border", border: 5 } }] };
const one = (more: Partial<AppliedEntry>) => settleApplied({ applied: [{ id: "a", metal: "sterling", on: "m1.plate", ...more }] })[0]!;
const plane = planeOf(outlineOf(oval.stone).outline, planPiece(wide, SHIPPED_BENCH).drawing.settings.m1!.plan);
const disc = (x: number, y: number, diameter = 2) => one({ disc: { diameter, thickness: 0.5 }, at: [x, y] });
const FACE = 0.05 + 0.32;

test("how far apart two lie, of whatever shape; what lies in a ring's hole is clear of it", () => {
  expect(clearOfOther(disc(0, 0), disc(3, 0))).toBeCloseTo(1, 9);
  expect(clearOfOther(disc(0, 0), disc(1.5, 0))).toBeCloseTo(-0.5, 1);
  const strip = one({ strip: { length: 6, width: 1, thickness: 0.5 }, at: [0, 0] });
  expect([clearOfOther(strip, disc(0, 2)), clearOfOther(strip, disc(4.5, 0))]).toEqual([expect.closeTo(0.5, 6), expect.closeTo(0.5, 6)]);
  const ring = one({ ring: { inside: 4, wire: 1 }, at: [0, 0] });
  expect(clearOfOther(ring, disc(0, 0))).toBeCloseTo(1, 9);
  expect(clearOfOther(ring, disc(1.5, 0))).toBeLessThan(0);
});

test("a strip that is turned lies and reaches as far as it is turned, in the plane and round the hoop", () => {
  const strip = (turn: number, at: readonly [number, number] = [0, 0]) => one({ strip: { length: 6, width: 1, thickness: 0.5 }, at, turn });
  expect([clearOfOther(strip(90), disc(0, 4.5)), clearOfOther(strip(90), disc(2, 0))]).toEqual([
    expect.closeTo(0.5, 6),
    expect.closeTo(0.5, 6),
  ]);
  // Its end turned up by 30 degrees comes to (2.6, 1.5), and its way on from there to the disc's edge.
  const [cos, sin] = [Math.cos(Math.PI / 6), Math.sin(Math.PI / 6)];
  expect(clearOfOther(strip(30), disc(5 * cos, 5 * sin))).toBeCloseTo(1, 6);
  expect(clearOfOther(strip(-30), disc(5 * cos, 5 * sin))).toBeGreaterThan(2);
  expect(reachOf(strip(0))).toEqual([3, 0.5]);
  expect(reachOf(strip(30))).toEqual([expect.closeTo(3 * cos + 0.5 * sin, 12), expect.closeTo(3 * sin + 0.5 * cos, 12)]);
  expect(reachOf(one({ disc: { diameter: 2, thickness: 0.5 }, turn: 45 }))).toEqual([1, 1]);
  expect(clearOfEdge(strip(0, [11, 0]), plane)).toBeLessThan(clearOfEdge(strip(90, [11, 0]), plane));
  const onHoop = (turn: number) =>
    planPiece(
      { ...tern, applied: [{ id: "a", metal: "sterling", on: "hoop", along: 20, turn, strip: { length: 6, width: 1, thickness: 0.5 } }] },
      SHIPPED_BENCH,
    )
      .findings.filter(({ code }) => code === "applied.over-edge")
      .map(({ values }) => Number(values.over));
  expect([onHoop(0), onHoop(90)]).toEqual([[], [expect.closeTo(1.5, 9)]]);
});

test("how far it lies outside the wall and inside the edge, by the oval's own axes", () => {
  expect(clearOfWall(disc(8 + FACE + 1.5, 0), plane)).toBeCloseTo(0.5, 2);
  expect(clearOfWall(disc(8 + FACE, 0), plane)).toBeCloseTo(-1, 1);
  expect(clearOfWall(disc(0, 0), plane)).toBeLessThan(-4);
  expect(clearOfWall(disc(0, 0, 30), plane)).toBeLessThan(0);
  expect(clearOfEdge(disc(8 + FACE + 4.5, 0), plane)).toBeCloseTo(-0.5, 2);
  expect(clearOfEdge(disc(8 + FACE + 3.5, 0), plane)).toBeCloseTo(0.5, 2);
});

test("each is told where it stands, with by how much; a new one is placed where it is free", () => {
  const told = (...applied: AppliedEntry[]) =>
    planPiece({ ...wide, applied }, SHIPPED_BENCH)
      .findings.filter(({ code }) => code.startsWith("applied."))
      .map(({ code, at, values }) => [code, at, Number(values.over).toFixed(1), values.other ?? values.mount]);
  const entry = (id: string, at: readonly [number, number]): AppliedEntry => ({
    id,
    metal: "sterling",
    on: "m1.plate",
    at,
    disc: { diameter: 2, thickness: 0.5 },
  });
  expect(told(entry("a", [11, 0]))).toEqual([]);
  expect(told(entry("a", [8, 0]))).toEqual([["applied.under-stone", "applied.a", "1.4", undefined]]);
  expect(told(entry("a", [12.87, 0]))).toEqual([["applied.over-edge", "applied.a", "0.5", undefined]]);
  expect(told(entry("a", [11, 0]), entry("b", [11, 1.5]))).toEqual([["applied.overlap", "applied.b", "0.5", "applied.a"]]);
  const on = (id: string, along: number): AppliedEntry => ({
    id,
    metal: "sterling",
    on: "hoop",
    along,
    disc: { diameter: 2, thickness: 0.5 },
  });
  expect(told(on("a", 15), on("b", 16.5))).toEqual([["applied.overlap", "applied.b", "0.5", "applied.a"]]);
  expect(told(on("a", 1))[0]!.slice(0, 2)).toEqual(["applied.under-setting", "applied.a"]);
  expect(told({ ...on("a", 15), disc: { diameter: 4, thickness: 0.5 } })).toEqual([["applied.over-edge", "applied.a", "0.5", undefined]]);
  const others = [disc(11, 0)];
  const [x, y] = freeIn(disc(0, 0), plane, others);
  const placed = disc(x, y);
  expect(Math.min(clearOfWall(placed, plane), clearOfEdge(placed, plane), clearOfOther(placed, others[0]!))).toBeGreaterThan(0);
  const seat = { act: "flat" as const, half: 3, level: 9, angle: 0.2, extent: 6, covers: 36 };
  const wire = { curve: [], fibre: 0.8, width: 3, thickness: 1.6 };
  expect(roundOf({ outside: 10, wire, seats: { m1: seat }, seams: [Math.PI] })).toEqual({
    ...{ outside: 10, width: 3, seams: [Math.PI] },
    seats: [{ mount: "m1", angle: 0.2, half: expect.closeTo(Math.PI / 10, 12) as number }],
  });
  const round = { outside: 10, seats: [{ mount: "m1", angle: 0, half: 0.5 }], seams: [Math.PI] };
  const first = freeRound(disc(0, 0), round, []);
  expect(first).toBeCloseTo(6.5, 9);
  expect(freeRound(disc(0, 0), round, [{ ...disc(0, 0), along: first }])).toBeCloseTo(-6.5, 9);
});
