import { polygonContains } from "d3-polygon";
import { runs } from "@/runs.testing";
import fc from "fast-check";
import { anyShape, share } from "../stone/shapes/any-shape.testing";
import { outlineOfShape } from "../stone/shapes/shapes";
import { type Outline, type Point, outward } from "./outline";
import { distanceToPolygon, polygonArea } from "./polygon";
import { type Reach, furthest, rimOf } from "./rim";

/** Runs all round that reach differently far out. */
const reaches = fc.tuple(share(0.001, 0.5), share(0.05, 0.45), share(0.3, 1.5), share(0.1, 1.5)).map(([from, long, low, more]): Reach[] => [
  { from, to: from + long, out: low + more },
  { from: from + long, to: from + 1, out: low },
]);

/** Places that are looked at along an outline's greatest extent, and how finely it is looked along. */
const ACROSS = 90;
const ROUND = 400;

/** The area of all places that lie no further from the outline than the run of the place nearest to them reaches; by counting, without any curve. */
function counted(outline: Outline, runs: readonly Reach[]): number {
  const round = Array.from({ length: ROUND }, (_, i) => outline.stationAt(i / ROUND));
  const outAt = (at: number) => runs.find(({ from, to }) => [0, 1].some((turn) => at + turn >= from && at + turn < to))!.out;
  const far = furthest(runs);
  const edge = round.map(({ x, y }): [number, number] => [x, y]);
  const [xs, ys] = [round.map(({ x }) => x), round.map(({ y }) => y)];
  const [left, right, low, high] = [Math.min(...xs) - far, Math.max(...xs) + far, Math.min(...ys) - far, Math.max(...ys) + far];
  const grid = Math.max(right - left, high - low) / ACROSS;
  let count = 0;
  for (let x = left; x < right; x += grid)
    for (let y = low; y < high; y += grid) {
      let [least, nearest] = [Infinity, round[0]!];
      for (const place of round) {
        const d = (place.x - x) ** 2 + (place.y - y) ** 2;
        if (d < least) [least, nearest] = [d, place];
      }
      if (polygonContains(edge, [x, y]) || Math.sqrt(least) <= outAt(nearest.at)) count++;
    }
  return count * grid * grid;
}

test("what lies round any outline covers what a count without curves finds, also over a notch", () => {
  fc.assert(
    fc.property(anyShape, reaches, (shape, runs) => {
      const outline = outlineOfShape(shape);
      const { loop } = rimOf(outline, runs, 0);
      expect(Math.abs(loop.area / counted(outline, runs) - 1)).toBeLessThan(0.02);
      expect(Math.abs(polygonArea(loop.points()) / loop.area - 1)).toBeLessThan(1e-3);
    }),
    { numRuns: 25 },
  );
});

test("an edge lies everywhere as far out as it is asked for, round the ends of what stands out too, and nowhere nearer", () => {
  fc.assert(
    fc.property(anyShape, reaches, share(0.2, 1.5), (shape, runs, by) => {
      const outline = outlineOfShape(shape);
      const [inner, outer] = [rimOf(outline, runs, 0), rimOf(outline, runs, 0.4).wider(by - 0.1)].map(({ loop }) => loop.points()) as [
        Point[],
        Point[],
      ];
      for (const point of outer) expect(Math.abs(distanceToPolygon(inner, point) - by - 0.3)).toBeLessThan(2e-3);
    }),
    { numRuns: runs(40) },
  );
});

test("on a circle a step's area and extent have closed forms, and runs that are alike are the parallel curve", () => {
  const outline = outlineOfShape({ shape: "round", diameter: 20 });
  const quarter: Reach[] = [
    { from: 0.125, to: 0.375, out: 2 },
    { from: 0.375, to: 1.125, out: 1 },
  ];
  const lies = rimOf(outline, quarter, 0);
  expect(lies.loop.area).toBeCloseTo((Math.PI * (144 + 3 * 121)) / 4, 1);
  expect(lies.loop.extent(Math.PI / 2)).toBeCloseTo(12 + 11, 2);
  expect([0.25, 0.5, 0.9].map(lies.outAt)).toEqual([expect.closeTo(2, 2), expect.closeTo(1, 2), expect.closeTo(1, 2)]);
  expect([Math.PI / 2, -Math.PI / 2].map(lies.past)).toEqual([expect.closeTo(2, 2), expect.closeTo(1, 2)]);
  const wider = lies.wider(0.5);
  expect(wider.loop.extent(Math.PI / 2)).toBeCloseTo(12 + 11 + 1, 2);
  // A border grows a convex part by its length and a turn, and fills the two corners that step in.
  expect(wider.outAt(0.25)).toBeCloseTo(2.5, 2);
  const even = rimOf(
    outline,
    [
      { from: 0, to: 0.3, out: 1 },
      { from: 0.3, to: 1, out: 1 },
    ],
    0.5,
  );
  expect([even.loop.length, even.loop.area]).toEqual([outward(outline, 1.5).length, outward(outline, 1.5).area]);
  expect([even.outAt(0.7), even.past(1), even.wider(1).past(0)]).toEqual([1.5, 1.5, 2.5]);
});
