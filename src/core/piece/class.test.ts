import { DEMO_PIECES, demoPiece } from "@demo/pieces";
import { figureOf } from "../measure/figure";
import { type BenchEntry, SHIPPED_BENCH, benchOf } from "./bench";
import { readClassList } from "./class-list";
import { pieceFor } from "./class-piece";
import { kitOf } from "./kit";
import { type Piece } from "./piece";
import { planPiece } from "./plan-piece";

const known = (text: string, system: Parameters<typeof readClassList>[1] = "eu") =>
  readClassList(text, system, []).map(({ name, size }) => [name, size && `${size.system} ${size.value}`]);

test("a list is read line by line, whatever parts name and size; a size without its system is the maker's own", () => {
  expect(known("Ada, 54\nBo\tUS 6 1/4\r\nCy Dee;uk N 1/2\n\n  Efe 55.5 \nFay\nGus,\nJP 12")).toEqual([
    ["Ada", "eu 54"],
    ["Bo", "us 6 1/4"],
    ["Cy Dee", "uk N 1/2"],
    ["Efe", "eu 55.5"],
    ["Fay", null],
    ["Gus", null],
    ["", "jp 12"],
  ]);
  expect(known("Mary Ann P 1/2", "uk")).toEqual([["Mary Ann", "uk P 1/2"]]);
});

test("what stands for a size and is none is told, and the name kept", () => {
  expect(readClassList("Ada, large\nBo 99\nCy US 40", "eu", [])).toEqual([
    { name: "Ada", size: null, refused: { text: "large", code: "not-a-size" } },
    { name: "Bo", size: null, refused: { text: "99", code: "no-finger" } },
    { name: "Cy", size: null, refused: { text: "US 40", code: "no-finger" } },
  ]);
  expect(readClassList("Ada 7", "mandrel", [])[0]!.refused).toEqual({ text: "7", code: "no-mandrel" });
});

test("a piece of a class is for that finger, with standard losses: neither the bench's nor the piece's own count", () => {
  const tern = demoPiece("tern-ring");
  const own: Piece = {
    ...tern,
    mounts: tern.mounts.map((mount) => ({ ...mount, wall: { ...mount.wall, losses: { squaring: 0.9 } } })),
    carrier: tern.carrier.type === "hoop" ? { ...tern.carrier, losses: { squaring: 2, sawPasses: 0 } } : tern.carrier,
  };
  const bench: BenchEntry = {
    ...SHIPPED_BENCH,
    losses: { wall: { squaring: 1 }, hoop: { kerf: 1 } },
    allowances: [{ kind: "hoop.length", method: "file", value: 3 }],
    overshoot: 7,
  };
  const value = (piece: Piece, of: BenchEntry, key: string) => figureOf(planPiece(piece, benchOf(piece, of)).figures, key).value;
  const made = pieceFor(own, bench, { system: "eu", value: "60" });
  const shipped = planPiece(
    { ...tern, carrier: { ...(tern.carrier as object), size: { system: "eu", value: "60" } } as Piece["carrier"] },
    SHIPPED_BENCH,
  );
  expect(value(made, bench, "m1.wall.cutLength")).toBeCloseTo(figureOf(shipped.figures, "m1.wall.cutLength").value, 9);
  expect(value(made, bench, "hoop.cutLength")).toBeCloseTo(figureOf(shipped.figures, "hoop.cutLength").value - 0.28, 9);
  expect(value(made, bench, "hoop.insideDiameter")).toBeCloseTo(60 / Math.PI, 9);
  expect(made.benchUsed?.overshoot).toBe(7);
  expect(value(pieceFor(own, bench, null), bench, "hoop.insideDiameter")).toBeCloseTo(54 / Math.PI, 9);
});

test("a kit holds every length and blank of all its pieces, each as often as it is made", () => {
  const plans = DEMO_PIECES.slice(0, 6).map((piece) => planPiece(piece, SHIPPED_BENCH));
  const cuts = plans.flatMap((plan) => plan.cuts);
  const kit = kitOf(plans, 2);
  const long = cuts.reduce((all, { shape, count }) => all + (shape.kind === "length" ? 2 * count * shape.length : 0), 0);
  const blanks = cuts.reduce((all, { shape, count }) => all + (shape.kind === "outline" ? 2 * count : 0), 0);
  expect(kit.reduce((all, { total }) => all + total, 0)).toBeCloseTo(long, 9);
  expect(kit.flatMap((line) => line.blanks).reduce((all, { count }) => all + count, 0)).toBe(blanks);
  const keys = kit.map(({ metal, stock }) => JSON.stringify([metal, stock]));
  expect(new Set(keys).size).toBe(keys.length);
  const [tern] = plans as [(typeof plans)[0]];
  const twice = kitOf([tern, tern]).find(({ stock }) => stock.form === "sheet")!;
  expect(twice.blanks).toHaveLength(1);
  expect(twice.blanks[0]!.count).toBe(2);
});
