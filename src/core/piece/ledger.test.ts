import { SHIPPED_BENCH } from "./bench";
import { PRIORS, learnedFrom, observationsOf, sizeRead } from "./ledger";
import { type Make, type Measured } from "./make";
import { type HoopEntry, type Piece } from "./piece";
import { planPiece } from "./plan-piece";
import ternFile from "./reference/tern-ring.piece.json";

const tern = ternFile as unknown as Piece;
const hoop = tern.carrier as HoopEntry;
const read = (figure: string, value: number, method?: string): Measured => ({
  figure,
  value,
  at: "",
  by: "caliper",
  ...(method !== undefined && { method }),
});
const making = (id: string, measured: readonly Measured[], pieceFile: Piece = tern): Make => ({
  ...{
    format: "hoop-ledger/make",
    version: 3,
    id,
    piece: pieceFile.id,
    pieceFile,
    started: "",
    finished: null,
    done: [],
    remedies: [],
    notes: "",
  },
  measured,
});
const cutOf = (piece: Piece) => planPiece(piece, SHIPPED_BENCH).figures["hoop.cutLength"]!.value;

test("what was cut less what it came to, where both were measured, by the finished measure's word", () => {
  const make = making("a", [
    read("m1.wall.cutLength", 46.2, "pen"),
    read("m1.wall.netLength", 45.5, "scribe"),
    read("m1.wall.cutHeight", 3.2),
    read("m1.wall.netHeight", 2.9),
    read("hoop.cutLength", 60),
  ]);
  expect(observationsOf(make)).toEqual([
    { kind: "wall.length", method: "scribe", make: "a", value: expect.closeTo(0.7, 9) as number },
    { kind: "wall.height", method: "", make: "a", value: expect.closeTo(0.3, 9) as number },
  ]);
});

test("a hoop's loss is what its blank was longer than the size it reached takes, whatever was planned on top; of a form without a seam none", () => {
  const inside = 54 / Math.PI;
  const lost = (carrier: Partial<HoopEntry>) => {
    const piece: Piece = { ...tern, carrier: { ...hoop, ...carrier } };
    return observationsOf(making("a", [read("hoop.cutLength", cutOf(piece)), read("hoop.insideDiameter", inside)], piece))[0]?.value;
  };
  for (const carrier of [{}, { lengthRule: { multiplier: 3.15 } }, { losses: { hammer: 0.7 } }] as const)
    expect(lost(carrier)).toBeCloseTo(0.88, 9);
  const slit = { stock: { section: "rectangle", width: 4, thickness: 1.4, metal: "sterling" }, slit: { length: 9, spread: 6 } } as const;
  expect(lost(slit)).toBeCloseTo(0.88, 9);
  expect(lost({ form: "open" })).toBeUndefined();
  const short = observationsOf(making("a", [read("hoop.cutLength", cutOf(tern)), read("hoop.insideDiameter", inside - 0.1)]))[0]!;
  expect(short.value).toBeCloseTo(0.88 + 0.1 * Math.PI, 9);
});

test("of a hoop's sizes the first counts, before it was stretched; what a stand-in made up counts for nothing, nor what a part read before it was made anew", () => {
  const loss = (...measured: Measured[]) =>
    observationsOf(making("a", [read("hoop.cutLength", 60), ...measured])).map(({ value }) => value);
  const inside = "hoop.insideDiameter";
  expect(loss(read(inside, 17), read(inside, 17.2))).toEqual(loss(read(inside, 17)));
  expect(loss(read(inside, 17), read(inside, 17.2))).not.toEqual(loss(read(inside, 17.2)));
  expect(loss({ ...read(inside, 17), madeUp: true })).toEqual([]);
  expect(loss({ ...read(inside, 17), madeUp: true }, read(inside, 17.2))).toEqual(loss(read(inside, 17.2)));
  expect(loss({ ...read(inside, 17), scrapped: "hoop" }, read(inside, 17.2))).toEqual(loss(read(inside, 17.2)));
});

test("makings are told by kind and method, beside the shipped default, and what lies far off is named", () => {
  expect(PRIORS).toEqual({
    "wall.length": expect.closeTo(0.54, 12) as number,
    "wall.height": expect.closeTo(0.2, 12) as number,
    "hoop.length": expect.closeTo(0.88, 12) as number,
  });
  const losses = [0.6, 0.62, 0.64, 0.66, 0.68, 3];
  const makes = losses.map((loss, i) => making(`m${i}`, [read("m1.wall.cutLength", 45 + loss), read("m1.wall.netLength", 45, "saw")]));
  const [learned, ...others] = learnedFrom([...makes, making("x", [read("m1.wall.cutLength", 46), read("m1.wall.netLength", 45, "file")])]);
  expect(learned).toMatchObject({ kind: "wall.length", method: "saw", outliers: [5] });
  expect(learned!.estimate).toBeCloseTo((3 * 0.54 + 3.2) / 8, 9);
  expect(others.map(({ method, kept }) => [method, kept.length])).toEqual([["file", 1]]);
});

test("a reading is the size that is worn: without what a wide band adds, and nothing of a mandrel or of what has no hoop", () => {
  const inside = 54 / Math.PI;
  const wide: Piece = { ...tern, carrier: { ...hoop, stock: { ...hoop.stock, width: 7 } } };
  const mandrel: Piece = { ...tern, carrier: { ...hoop, size: { system: "mandrel", value: "54" } } };
  expect([tern, mandrel].map((piece) => sizeRead(piece, inside))).toEqual(["54.0", ""]);
  expect(sizeRead(wide, inside + 0.2)).toBe("54.0");
  expect(sizeRead({ ...tern, carrier: { type: "none" } }, inside)).toBe("");
});
