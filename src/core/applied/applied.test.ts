import { entriesOf } from "../making/step";
import { SHIPPED_BENCH } from "../piece/bench";
import { faultsOf } from "../piece/faults";
import { unplanned } from "../piece/unplanned";
import { type AppliedEntry, type Piece } from "../piece/piece";
import { planPiece } from "../piece/plan-piece";
import ternFile from "../piece/reference/tern-ring.piece.json";
import { APPLIED_SHAPES } from "./shapes";

const tern = ternFile as unknown as Piece;
const disc = { disc: { diameter: 4, thickness: 0.6 } } as const;
const entry = (more: Partial<AppliedEntry>): AppliedEntry => ({ id: "a", metal: "sterling", on: "m1.plate", ...more });
const withOn = (...applied: AppliedEntry[]): Piece => ({ ...tern, applied });
const planOf = (...applied: AppliedEntry[]) => planPiece(withOn(...applied), SHIPPED_BENCH);
/** What is told of how it is put on; where it lies is for another test. */
const codes = (...applied: AppliedEntry[]) =>
  planOf(...applied)
    .findings.map(({ code }) => code)
    .filter((code) => code === "applied.crushed" || code === "applied.near-seam");

test("each shape by its closed form: metal, contact, and the length of its joint", () => {
  expect(APPLIED_SHAPES.disc(disc.disc)).toMatchObject({ volume: Math.PI * 4 * 0.6, contact: Math.PI * 4, length: Math.PI * 4 });
  const ball = APPLIED_SHAPES.ball({ diameter: 3 });
  expect([ball.volume, ball.contact, ball.length]).toEqual([
    expect.closeTo((Math.PI / 6) * 27, 12),
    expect.closeTo((Math.PI * 9) / 16, 12),
    expect.closeTo((Math.PI * 3) / 2, 12),
  ]);
  const ring = APPLIED_SHAPES.ring({ inside: 5, wire: 1 });
  expect([ring.volume, ring.contact, ring.length]).toEqual([
    expect.closeTo(Math.PI * 6 * (Math.PI / 4), 12),
    expect.closeTo(Math.PI * 3, 12),
    expect.closeTo(Math.PI * 6, 12),
  ]);
  expect(APPLIED_SHAPES.ring({ inside: 5, wire: 1, section: "square" })).toMatchObject({ contact: Math.PI * 6, volume: Math.PI * 6 });
  expect(APPLIED_SHAPES.strip({ length: 6, width: 2, thickness: 0.5 })).toMatchObject({ volume: 6, contact: 12, length: 16 });
});

test("it is a part and a joint of its own, listed last, and weighs what its volume does; its name is its maker's", () => {
  const plan = planOf(entry({ ...disc, name: "leaf" }), entry({ id: "b", on: "hoop", ball: { diameter: 2 }, along: 8 }));
  expect(plan.figures["applied.a.mass"]!.value).toBeCloseTo((Math.PI * 4 * 0.6 * 10.36) / 1000, 9);
  expect(plan.joints.slice(-2).map(({ id, parts, kind, mount }) => [id, ...parts, kind, mount])).toEqual([
    ["applied.a", "applied.a", "m1.plate", "applied", "m1"],
    ["applied.b", "applied.b", "hoop", "applied", null],
  ]);
  expect(plan.parts.find(({ id }) => id === "applied.a")).toMatchObject({ kind: "disc", name: "leaf", mount: "m1" });
  expect(plan.steps.flatMap(entriesOf)).toEqual(expect.arrayContaining(["applied.a.join.make", "applied.a.join.sweat", "applied.a.heat"]));
});

test("put on flat it comes before the seam of what it lies on, and is crushed unless it is flat; formed it comes after", () => {
  const after = (id: string, ...applied: AppliedEntry[]) => planOf(...applied).joints.find((joint) => joint.id === id)!.after;
  const flat = entry({ ...disc, on: "hoop", when: "flat", along: 5 });
  expect([after("hoop.seam", flat), after("applied.a", flat)]).toEqual([["applied.a"], []]);
  const formed = entry({ ...disc, on: "hoop", along: 5 });
  expect([after("hoop.seam", formed), after("applied.a", formed)]).toEqual([[], ["hoop.seam"]]);
  expect(after("m1.seam", entry({ ...disc, on: "m1.wall", when: "flat", at: [-8, 0] }))).toEqual(["applied.a"]);
  expect(codes(flat)).toEqual([]);
  expect(codes(entry({ on: "hoop", when: "flat", along: 5, ball: { diameter: 2 } }))).toEqual(["applied.crushed"]);
  expect(codes(entry({ when: "flat", ball: { diameter: 2 } }))).toEqual([]);
});

test("what lies within two millimetres of a seam is told, at the threshold, on the hoop and on a wall", () => {
  const outside = planOf().drawing.carrier.type === "hoop" ? 17.189 / 2 + 1.6 : 0;
  const seam = Math.PI * outside;
  const on = (along: number) => codes(entry({ ...disc, on: "hoop", along }));
  expect([on(seam - 4.1), on(seam - 3.9), on(-(seam - 3.9)), on(seam + 4.1)]).toEqual([
    [],
    ["applied.near-seam"],
    ["applied.near-seam"],
    [],
  ]);
  expect(codes(entry({ on: "m1.wall", at: [0, 6.2], ball: { diameter: 1 } }))).toEqual(["applied.near-seam"]);
});

test("it is one shape, on a part that is there", () => {
  const faults = (...applied: AppliedEntry[]) => faultsOf(withOn(...applied), SHIPPED_BENCH).map(({ path, code }) => `${path} ${code}`);
  expect(faults(entry(disc), entry(disc))).toEqual(["/applied/1/id duplicate"]);
  expect(faults(entry({ ...disc, on: "m1.ledge" }))).toEqual(["/applied/0/on no-such-part"]);
  expect(faults(entry({}))).toEqual(["/applied/0 one-shape"]);
  expect(faults(entry({ ...disc, ball: { diameter: 1 } }))).toEqual(["/applied/0 one-shape"]);
  expect(unplanned(withOn(entry(disc)))).toEqual([]);
});
