import fc from "fast-check";
import { DEMO_PIECES } from "@demo/pieces";
import { flattened } from "../geometry/curve";
import { type Cut, areaAcross } from "../metal/cut";
import { massOf } from "../metal/metals";
import { polygonArea } from "../geometry/polygon";
import { type BenchEntry, SHIPPED_BENCH } from "./bench";
import { anyBench, anyPiece } from "./any-piece.testing";
import { cutAsRead } from "./cuts-request";
import { type Piece } from "./piece";
import { type SizedPiece, sizePiece } from "./size-piece";
import { runs } from "@/runs.testing";

function mass({ stock, shape, metal, count }: Cut): number {
  const size = shape.kind === "length" ? shape.length : areaOf(shape.outline);
  return count * massOf(metal, size * areaAcross(stock));
}

function areaOf(outline: Parameters<typeof flattened>[0]): number {
  return Math.abs(polygonArea(flattened(outline, 1e-4)));
}

function contributionOf(piece: Piece, bench: BenchEntry = SHIPPED_BENCH): SizedPiece["contribution"] {
  return sizePiece(piece, bench).contribution;
}

/** A cup is bought as it is: its wall and its base are in no cut. */
const isBought = (piece: Piece, part: string) => piece.mounts.some(({ id, wall }) => wall.source === "cup" && part === `${id}.wall`);

test.each(DEMO_PIECES.map((piece) => [piece.name, piece] as const))(
  "every part of %s is cut from its own metal, and from enough",
  (_name, piece) => {
    const { parts, cuts } = contributionOf(piece);
    for (const part of parts) {
      const own = cuts.filter((cut) => cut.part === part.id);
      expect([part.id, own.length > 0]).toEqual([part.id, !isBought(piece, part.id)]);
      if (own.length === 0) continue;
      expect(own.map(({ metal, mount }) => ({ metal, mount }))).toEqual(own.map(() => ({ metal: part.metal, mount: part.mount })));
      // What is melted or wound of wire keeps all of it.
      expect(own.reduce((all, cut) => all + mass(cut), 0)).toBeGreaterThan(part.mass * (1 - 1e-3));
    }
  },
);

test("a cut's sizes are those of its figures, whatever the piece", () =>
  fc.assert(
    fc.property(anyPiece(), anyBench(), (piece, bench) => {
      const { cuts, figures, parts } = contributionOf(piece, bench);
      for (const { figure, across, shape, stock, part, count } of cuts) {
        expect(figures[figure]!.value).toBeCloseTo(shape.length, 9);
        const width = shape.kind === "outline" ? shape.width : stock.form === "strip" ? stock.width : null;
        if (across !== null) expect(figures[across]!.value).toBeCloseTo(width!, 9);
        expect(parts.some(({ id }) => id === part) || part === "hoop").toBe(true);
        expect(count).toBeGreaterThan(0);
      }
    }),
    { numRuns: runs(200) },
  ));

test("the Tern ring is cut from strip, sheet and half-round wire", () => {
  const piece = DEMO_PIECES.find(({ id }) => id === "tern-ring")!;
  expect(contributionOf(piece).cuts.map(({ part, figure, stock, count }) => ({ part, figure, stock, count }))).toEqual([
    {
      part: "m1.wall",
      figure: "m1.wall.cutLength",
      stock: { form: "strip", width: expect.closeTo(3.2, 1) as number, thickness: 0.32 },
      count: 1,
    },
    { part: "m1.plate", figure: "m1.plate.blankLength", stock: { form: "sheet", thickness: 0.6 }, count: 1 },
    { part: "hoop", figure: "hoop.cutLength", stock: { form: "wire", section: "half-round", width: 3, thickness: 1.6 }, count: 1 },
  ]);
});

test("a length is taken as it was read once it is cut: the last reading of what is in hand, none of a stand-in's; a blank as planned", () => {
  const { cuts } = contributionOf(DEMO_PIECES.find(({ id }) => id === "tern-ring")!);
  const [strip, plate] = [cuts[0]!, cuts[1]!];
  const read = (value: number, more: object = {}) => ({ figure: strip.figure, value, ...more });
  const lengthOf = (measured: readonly ReturnType<typeof read>[]) => cutAsRead(strip, measured).shape.length;
  expect(lengthOf([read(46), read(46.5)])).toBe(46.5);
  expect(lengthOf([read(46.5), read(44, { madeUp: true })])).toBe(46.5);
  expect(lengthOf([read(46.5, { scrapped: "m1.wall" })])).toBe(strip.shape.length);
  expect(lengthOf([{ ...read(46.5), figure: "hoop.cutLength" }])).toBe(strip.shape.length);
  expect(cutAsRead(plate, [{ figure: plate.figure, value: 30 }])).toBe(plate);
});
