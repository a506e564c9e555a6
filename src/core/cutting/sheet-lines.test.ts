import fc from "fast-check";
import { runs } from "../../runs.testing";
import { type Point } from "../geometry/outline";
import { polygonArea } from "../geometry/polygon";
import { linesOfSheet, sheetOfLines } from "./sheet-lines";

const L: readonly Point[] = [[0, 0], [60, 0], [60, 20], [25, 20], [25, 45], [0, 45]]; // prettier-ignore
const box = (x: number, y: number, length: number, width: number): readonly Point[] => [[x, y], [x + length, y], [x + length, y + width], [x, y + width]]; // prettier-ignore
const moved = (points: readonly Point[], x: number, y: number) => points.map(([px, py]): Point => [px + x, py + y]);

test("a sheet by its corners has its box's sides, its outline and what is taken, whichever way round and from wherever they are measured", () => {
  const hole = box(5, 5, 10, 8);
  const asIs = { ok: true, lines: { length: 60, width: 45, outline: L, taken: [hole] } };
  expect(sheetOfLines([L, hole])).toEqual(asIs);
  expect(sheetOfLines([moved(L, -7.5, 12), moved(hole, -7.5, 12)])).toEqual(asIs);
  const back = sheetOfLines([[...L].reverse(), hole]);
  expect(back.ok && polygonArea(back.lines.outline!)).toBeCloseTo(60 * 20 + 25 * 25, 9);
});

test("four square corners are a plain rectangle; four others are not", () => {
  expect(sheetOfLines([box(3, 4, 50, 30)])).toEqual({ ok: true, lines: { length: 50, width: 30 } });
  expect(sheetOfLines([[[0, 0], [50, 0], [49.9, 30], [0, 30]]])).toMatchObject({ ok: true, lines: { outline: { length: 4 } } }); // prettier-ignore
});

test.each<readonly [what: string, lines: readonly (readonly Point[])[], code: string, line: number]>([
  ["nothing", [], "too-few", 0],
  ["two corners", [[[0, 0], [5, 5]]], "too-few", 0], // prettier-ignore
  ["a bow", [[[0, 0], [40, 30], [40, 0], [0, 30]]], "crosses", 0], // prettier-ignore
  ["a line", [L, [[1, 1], [5, 1], [9, 1]]], "no-area", 1], // prettier-ignore
  ["a hole in the air of the L", [L, box(2, 2, 5, 5), box(30, 25, 5, 5)], "outside", 2],
  ["a hole over the edge by a hair", [L, box(50, 5, 10.02, 5)], "outside", 1],
])("%s is refused by the line it is about", (_what, lines, code, line) => {
  expect(sheetOfLines(lines)).toEqual({ ok: false, fault: { code, line } });
});

test("a sheet's lines make the same sheet again", () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 20, max: 90 }),
      fc.integer({ min: 20, max: 90 }),
      fc.integer({ min: 1, max: 9 }),
      (length, width, cut) => {
        const corner: readonly Point[] = [[0, 0], [length, 0], [length, width - cut], [length - cut, width], [0, width]]; // prettier-ignore
        for (const outline of [corner, undefined]) {
          const sheet = { length, width, ...(outline && { outline }), taken: [box(cut, cut, 3, 4)] };
          expect(sheetOfLines(linesOfSheet(sheet))).toEqual({ ok: true, lines: sheet });
        }
      },
    ),
    { numRuns: runs(60) },
  );
});
