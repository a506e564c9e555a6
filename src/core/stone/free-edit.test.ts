import fc from "fast-check";
import { runs } from "@/runs.testing";
import { type Point } from "../geometry/outline";
import { nearestRegular } from "./fit";
import { fromReadings, mirroredAcross, moved, readingsOf, smoothed, withPointNear, without } from "./free-edit";
import { ofSize, reshaped, sizeOf } from "./reshape";
import { type Free } from "./shapes/free";
import { type OutlineShape, outlineOfShape, shapeFaults } from "./shapes/shapes";

const KINDS = ["round", "oval", "cushion", "rectangle", "pear", "marquise", "heart", "triangle", "free"] as const;

const pebble: Free = {
  shape: "free",
  points: [
    [9, 0],
    [6, 4],
    [0, 5.5],
    [-6, 3.5],
    [-8.5, 0],
    [-6, -4],
    [0, -5],
    [6, -4],
  ],
};

test("a shape chosen for another is about as large, and is an outline", () => {
  const size = fc.double({ min: 4, max: 40, noNaN: true });
  fc.assert(
    fc.property(size, size, fc.constantFrom(...KINDS), fc.constantFrom(...KINDS), (length, width, from, to) => {
      const first = from === "free" ? reshaped(ofSize("oval", length, width), "free") : ofSize(from, length, width);
      expect(shapeFaults(first)).toEqual([]);
      const next = reshaped(first, to);
      expect(next.shape).toBe(to);
      expect(shapeFaults(next)).toEqual([]);
      const [before, after] = [outlineOfShape(first), outlineOfShape(next)].map((outline) => outline.area) as [number, number];
      expect(after / before).toBeGreaterThan(0.2);
      expect(after / before).toBeLessThan(3);
    }),
    { numRuns: runs(120) },
  );
});

test("a free-form's points are moved, added where they are put, and taken away down to four", () => {
  expect(moved(pebble, 1, [6.12345, 4.5]).points[1]).toEqual([6.123, 4.5]);
  const more = withPointNear(pebble, [3.2, 5.4]);
  expect(more.points).toHaveLength(9);
  const [x, y] = more.points[2]!;
  expect(x).toBeGreaterThan(2);
  expect(y).toBeGreaterThan(4);
  expect(outlineOfShape(more).perimeter).toBeCloseTo(outlineOfShape(pebble).perimeter, 0);
  expect(withPointNear(pebble, [9, 0])).toBe(pebble);
  let fewer: Free = pebble;
  for (let i = 0; i < 10; i++) fewer = without(fewer, 0);
  expect(fewer.points).toHaveLength(4);
});

test("smoothing takes out a dent, and a mirrored free-form is alike on both sides of its length", () => {
  const dented = moved(pebble, 2, [0, 3]);
  const hollow = (shape: Free) => Math.max(...outlineOfShape(shape).stations.map(({ curvature }) => -curvature));
  expect(hollow(dented)).toBeGreaterThan(0.1);
  expect(hollow(smoothed(dented))).toBeLessThan(hollow(dented) / 2);
  const kite: Free = {
    shape: "free",
    points: [
      [4, 0],
      [1, 2],
      [-2, 1],
      [0, -3],
    ],
  };
  expect(smoothed(kite).points).toEqual([
    [2.25, -0.25],
    [1, 1.25],
    [-0.75, 0.25],
    [0.5, -1.25],
  ]);
  const mirrored = mirroredAcross(pebble);
  const outline = outlineOfShape(mirrored);
  expect(outline.centre[1]).toBeCloseTo(0, 6);
  for (let i = 1; i < 20; i++) {
    const [a, b] = [outline.stationAt(i / 40), outline.stationAt(1 - i / 40)];
    expect([a.x, a.y]).toEqual([expect.closeTo(b.x, 3), expect.closeTo(-b.y, 3)]);
  }
});

test("caliper readings give the outline they were taken from", () => {
  const oval = { shape: "oval", length: 18, width: 13 } as const;
  const half = (along: number) => 6.5 * Math.sqrt(1 - ((along - 9) / 9) ** 2);
  const readings = [0.3, 1.2, 3, 6, 9, 12, 15, 16.8, 17.7].map((along) => ({ along, up: half(along), down: half(along) }));
  const read = outlineOfShape(fromReadings(18, readings));
  expect(Math.abs(read.perimeter - outlineOfShape(oval).perimeter)).toBeLessThan(0.05);
  expect(sizeOf(read).length).toBeCloseTo(18, 2);
});

test("a free-form that is a regular shape is found to be it, and how far off it is at most", () => {
  const free = (shape: OutlineShape, count = 60): Free => {
    const outline = outlineOfShape(shape);
    return {
      shape: "free",
      points: Array.from({ length: count }, (_, i) => outline.stationAt(i / count)).map(({ x, y }): Point => [x, y]),
    };
  };
  for (const shape of [ofSize("oval", 17.9, 13.1), ofSize("pear", 16, 11), ofSize("marquise", 20, 9), ofSize("round", 12, 12)]) {
    const fit = nearestRegular(outlineOfShape(free(shape)));
    expect(fit.shape.shape).toBe(shape.shape);
    expect(fit.off).toBeLessThan(0.12);
  }
  const bulged = free({ shape: "oval", length: 18, width: 13 });
  const pushed = { ...bulged, points: bulged.points.map(([x, y], i): Point => (i === 15 ? [x, y + 0.6] : [x, y])) };
  const fit = nearestRegular(outlineOfShape(pushed));
  expect(fit.off).toBeGreaterThan(0.15);
  expect(fit.off).toBeLessThan(0.7);
});

test("what a caliper reads of a free-form is how far it reaches there, and makes much the same stone again", () => {
  const shares = [0.06, 0.25, 0.5, 0.75, 0.94];
  const { length, readings } = readingsOf(pebble, shares);
  const outline = outlineOfShape(pebble);
  expect(length).toBeCloseTo(outline.extent(0), 9);
  expect(readings.map(({ along }) => along / length)).toEqual(shares.map((share) => expect.closeTo(share, 9) as number));
  expect(readings[2]!.up).toBeCloseTo(5.5, 0);
  expect(readings[2]!.down).toBeCloseTo(5, 0);
  const again = outlineOfShape(fromReadings(length, readings));
  expect(Math.abs(again.area / outline.area - 1)).toBeLessThan(0.08);
  for (const { up, down } of readings) expect(Math.min(up, down)).toBeGreaterThanOrEqual(0.1);
});
