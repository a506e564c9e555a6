import fc from "fast-check";
import { ellipse } from "../geometry/ellipse";
import { type Corner, type Outline, type Station } from "../geometry/outline";
import { apart, runsWhere, straightestPlace } from "./seam";

/** An outline that is only what the seam looks at: stations of given curvature, evenly spaced, and corners. */
function bare(curvatures: readonly number[], corners: readonly Corner[] = [], perimeter = 40): Outline {
  const stations = curvatures.map((curvature, i): Station => ({ at: i / curvatures.length, x: 0, y: 0, nx: 1, ny: 0, curvature }));
  return { ...ellipse(1, 1), perimeter, stations, corners };
}

const cornerAt = (at: number): Corner => ({ at, x: 0, y: 0, nx: 1, ny: 0, turn: 1 });

test("runs are found with their edges between stations, across the datum too", () => {
  const runs = runsWhere(bare([1, 1, 0, 0, 0, 1, 1, 1]), (curvature) => 0.5 - curvature);
  expect(runs).toEqual([{ from: 1.5 / 8, to: 4.5 / 8 }]);
  const across = runsWhere(bare([0, 1, 1, 1, 1, 1, 0, 0]), (curvature) => 0.5 - curvature);
  expect(across).toEqual([{ from: 5.5 / 8, to: 8.5 / 8 }]);
  expect(runsWhere(bare([0, 0, 0, 0]), () => 1)).toEqual([{ from: 0, to: 1 }]);
  expect(runsWhere(bare([0, 0, 0, 0]), () => -1)).toEqual([]);
});

test("places lie apart the short way round", () => {
  expect(apart(0.9, 0.1)).toBeCloseTo(0.2, 12);
  fc.assert(
    fc.property(fc.double({ min: 0, max: 1, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }), (a, b) => {
      expect(apart(a, b)).toBeCloseTo(apart(b, a), 12);
      expect(apart(a, b)).toBeLessThanOrEqual(0.5);
    }),
  );
});

test("an oval's seam lies in the middle of a long side, the lower place of two alike", () => {
  fc.assert(
    fc.property(fc.double({ min: 6, max: 30, noNaN: true }), fc.double({ min: 0.3, max: 0.9, noNaN: true }), (long, flat) => {
      expect(straightestPlace(ellipse(long, long * flat), [])).toBeCloseTo(0.25, 6);
      expect(straightestPlace(ellipse(long * flat, long), [])).toBeCloseTo(0, 6);
    }),
  );
});

test("a circle has its seam at a quarter, and so has what is nearly one", () => {
  expect(straightestPlace(ellipse(5, 5), [])).toBe(0.25);
  expect(straightestPlace(ellipse(5, 4.9), [])).toBe(0.25);
});

test("the longest run wins, one clear of the shank if there is another, and never one at a corner", () => {
  const sharp = 2;
  const long = [0, 0, 0, 0, 0];
  const short = [0, 0, 0];
  const outline = bare([...long, ...Array<number>(6).fill(sharp), ...short, ...Array<number>(6).fill(sharp)]);
  const middleOf = (from: number, count: number) => (from + (count - 1) / 2) / 20;
  expect(straightestPlace(outline, [])).toBeCloseTo(middleOf(0, 5), 1);
  expect(straightestPlace(outline, [middleOf(0, 5)])).toBeCloseTo(middleOf(11, 3), 1);
  expect(straightestPlace(outline, [middleOf(0, 5), middleOf(11, 3)])).toBeCloseTo(middleOf(0, 5), 1);
  const cornered = { ...outline, corners: [cornerAt(middleOf(0, 5))] };
  expect(straightestPlace(cornered, [])).toBeCloseTo(middleOf(11, 3), 1);
  expect(straightestPlace({ ...outline, corners: [cornerAt(middleOf(0, 5)), cornerAt(middleOf(11, 3))] }, [])).toBeGreaterThan(0.3);
});
