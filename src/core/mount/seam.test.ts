import fc from "fast-check";
import { runs as scaled } from "@/runs.testing";
import { bezelCurvature } from "../geometry/bezel-curvature";
import { ellipse } from "../geometry/ellipse";
import { type Point } from "../geometry/outline";
import { tracedOval } from "../geometry/traced.testing";
import { type OutlineShape, outlineOfShape } from "../stone/shapes/shapes";
import { apart, isAtCorner, isClearOfCorners, runsWhere, straightestPlace } from "./seam";

const shaped = (shape: OutlineShape) => outlineOfShape(shape);
const polygon = (sides: number, across: number): OutlineShape => ({
  shape: "free",
  closed: "polyline",
  points: Array.from({ length: sides }, (_, i): Point => {
    const angle = (2 * Math.PI * i) / sides;
    return [(across / 2) * Math.cos(angle), (across / 2) * Math.sin(angle)];
  }),
});

test("runs are found with their edges between places, across the datum too, and corners end them", () => {
  const oval = shaped({ shape: "oval", length: 16, width: 12 });
  const flat = runsWhere(oval, (curvature) => 0.1 - curvature);
  expect(flat.map(({ from, to }) => (from + to) / 2)).toEqual([expect.closeTo(0.25, 9), expect.closeTo(0.75, 9)]);
  const [tight] = runsWhere(oval, (curvature) => curvature - 0.18).filter(({ to }) => to > 1);
  expect([tight!.from < 1, (tight!.from + tight!.to) / 2]).toEqual([true, expect.closeTo(1, 9)]);
  expect(runsWhere(oval, () => 1)).toEqual([{ from: 0, to: 1 }]);
  expect(runsWhere(oval, () => -1)).toEqual([]);
  const sides = runsWhere(shaped(polygon(8, 12)), () => 1);
  expect(sides).toHaveLength(8);
  sides.forEach(({ from, to }) => expect(to - from).toBeCloseTo(1 / 8, 9));
});

test("the one side that a carrier leaves free has the seam, however many it meets", () => {
  const square = shaped({ shape: "rectangle", length: 12, width: 12, corner: 1 });
  const sides = [0, 0.25, 0.5, 0.75];
  for (const free of sides) {
    const met = sides.filter((side) => side !== free);
    expect(straightestPlace(square, met)).toBeCloseTo(free, 9);
  }
  expect(straightestPlace(square, sides)).toBeCloseTo(0, 9);
});

test("where an outline nowhere runs straight, its seam has the least greatest bend within a millimetre of it, by looking at each place", () => {
  let found = 0;
  fc.assert(
    fc.property(
      fc.integer({ min: 5, max: 9 }),
      fc.double({ min: 0.06, max: 0.2, noNaN: true }),
      fc.integer({ min: 0, max: 30 }),
      (lobes, deep, turn) => {
        const points = Array.from({ length: 120 }, (_, i): Point => {
          const angle = (2 * Math.PI * (i + turn)) / 120;
          const far = 7 * (1 + deep * Math.sin(lobes * angle)) * (1 + 0.1 * Math.cos(angle));
          return [far * Math.cos(angle), far * Math.sin(angle)];
        });
        const outline = shaped({ shape: "free", closed: "curve", points });
        const { places, corners } = bezelCurvature(outline);
        const runs = runsWhere(outline, (curvature) => Math.min(...places.map((place) => Math.abs(place.curvature))) + (0.6 * Math.PI) / outline.perimeter - Math.abs(curvature)); // prettier-ignore
        if (corners.length > 0 || runs.some(({ from, to }) => (to - from) * outline.perimeter >= 2)) return;
        const bends = places.map(({ at }) => {
          const near = places.filter((other) => apart(other.at, at) * outline.perimeter <= 1);
          return { at, most: Math.max(...near.map(({ curvature }) => Math.abs(curvature))) };
        });
        const least = Math.min(...bends.map(({ most }) => most));
        expect(straightestPlace(outline, [])).toBe(bends.find(({ most }) => most <= least + 1e-9)!.at);
        found++;
      },
    ),
    { numRuns: scaled(60) },
  );
  expect(found).toBeGreaterThan(3);
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
  const bar = shaped({ shape: "rectangle", length: 14, width: 10, corner: 2 });
  const [side, end] = [0.25, 0];
  expect(straightestPlace(bar, [])).toBeCloseTo(side, 9);
  expect(straightestPlace(bar, [0.25, 0.75])).toBeCloseTo(end, 9);
  expect(straightestPlace(bar, [0, 0.25, 0.5, 0.75])).toBeCloseTo(side, 9);
});

test("on a figure of straight sides the seam is never at a corner: in the middle of a side, or as far from corners as can be", () => {
  for (const sides of [4, 5, 6, 8, 12]) {
    const shape = polygon(sides, 12);
    expect((straightestPlace(shaped(shape), []) * sides) % 1).toBeCloseTo(0.5, 6);
  }
  const seam = straightestPlace(shaped({ shape: "cushion", length: 16, width: 12, exponent: 1 }), []);
  expect((seam * 4) % 1).toBeCloseTo(0.5, 6);
});

test("a seam is clear of a corner from 2 mm on and at it within half of one; the shank is cleared by 4", () => {
  const square = shaped(polygon(4, 20));
  const past = (mm: number) => mm / square.perimeter;
  const near = (mm: number) => [
    isClearOfCorners(square, past(mm)),
    isClearOfCorners(square, 1 - past(mm)),
    isAtCorner(square, 0.25 + past(mm)),
  ];
  expect([near(1.99), near(2.01), near(0.49), near(0.51)]).toEqual([
    [false, false, false],
    [true, true, false],
    [false, false, true],
    [false, false, false],
  ]);
  const bar = shaped({ shape: "rectangle", length: 14, width: 10, corner: 2 });
  const shank = (mm: number) => straightestPlace(bar, [0.25 + mm / bar.perimeter, 0.75 - mm / bar.perimeter]);
  expect([shank(3.99), shank(4.01)]).toEqual([expect.closeTo(0, 9), expect.closeTo(0.25, 9)]);
});

test("a cushion's seam lies on its long side, whatever its exponent: a place that is flat only at a point is not the straightest", () => {
  for (const exponent of [1.8, 1.95, 2, 2.1, 2.3, 3, 6])
    expect(straightestPlace(shaped({ shape: "cushion", length: 16, width: 12, exponent }), [])).toBeCloseTo(0.25, 4);
  expect(straightestPlace(shaped({ shape: "cushion", length: 14, width: 14, exponent: 1.8 }), [])).toBeGreaterThan(0.05);
});

test("a roughly traced oval's seam lies on a long side: where no run is as long as 2 mm, in the middle of the straightest, clear of a carrier", () => {
  for (const sides of [
    [12.5, 9],
    [8, 6],
    [4, 2.5],
  ] as const)
    for (const count of [60, 120, 250])
      for (const closed of ["curve", "polyline"] as const)
        for (const seed of [1, 77, 4242]) {
          const seam = straightestPlace(shaped(tracedOval(sides, { count, closed, seed, off: 0.05 })), []);
          expect(Math.min(apart(seam, 0.25), apart(seam, 0.75))).toBeLessThan(0.1);
        }
  const noRun = shaped(tracedOval([12.5, 9], { count: 60, closed: "curve", seed: 99, off: 0.05 }));
  const seam = straightestPlace(noRun, []);
  expect(apart(straightestPlace(noRun, [seam]), seam) * noRun.perimeter).toBeGreaterThanOrEqual(4);
});
