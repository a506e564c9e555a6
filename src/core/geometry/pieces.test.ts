import fc from "fast-check";
import { type Point } from "./outline";
import {
  type Segment,
  arcOf,
  areaShare,
  curvatureOf,
  lengthOf,
  lineBetween,
  momentShares,
  nearestOn,
  normalAt,
  part,
  pointAt,
  supportOf,
  visitCrossings,
} from "./pieces";

const mm = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const line = fc.tuple(mm(-9, 9), mm(-9, 9), mm(-9, 9), mm(-9, 9)).map(([x, y, toX, toY]) => lineBetween([x, y], [toX, toY]));
const arc = fc
  .tuple(mm(-9, 9), mm(-9, 9), mm(0.2, 9), mm(-7, 7), mm(0.1, 6), fc.boolean())
  .map(([x, y, radius, start, sweep, isBack]) => arcOf(x, y, radius, start, isBack ? -sweep : sweep));
const piece: fc.Arbitrary<Segment> = fc.oneof(line, arc).filter((each) => lengthOf(each) > 0.05);

const STEPS = 4000;
const drawn = (of: Segment): Point[] => Array.from({ length: STEPS + 1 }, (_, i) => pointAt(of, i / STEPS));

test("length, area and moments of a run are those of the run finely drawn", () => {
  fc.assert(
    fc.property(piece, (of) => {
      let [length, area, across, along] = [0, 0, 0, 0];
      const points = drawn(of);
      for (let i = 1; i < points.length; i++) {
        const [[x0, y0], [x1, y1]] = [points[i - 1]!, points[i]!];
        length += Math.hypot(x1 - x0, y1 - y0);
        area += (x0 * y1 - x1 * y0) / 2;
        across += ((y1 - y0) * (x0 * x0 + x0 * x1 + x1 * x1)) / 6;
        along -= ((x1 - x0) * (y0 * y0 + y0 * y1 + y1 * y1)) / 6;
      }
      expect(Math.abs(length - lengthOf(of))).toBeLessThan(1e-3);
      expect(Math.abs(area - areaShare(of))).toBeLessThan(1e-2);
      const moments = momentShares(of);
      expect(Math.abs(across - moments[0])).toBeLessThan(0.1);
      expect(Math.abs(along - moments[1])).toBeLessThan(0.1);
    }),
    { numRuns: 40 },
  );
});

test("a part of a run begins and ends where it is cut, and is as long as its share", () => {
  fc.assert(
    fc.property(piece, mm(0, 1), mm(0, 1), (of, a, b) => {
      const [from, to] = [Math.min(a, b), Math.max(a, b)];
      const cut = part(of, from, to);
      expect(lengthOf(cut)).toBeCloseTo(lengthOf(of) * (to - from), 9);
      for (const [share, at] of [
        [0, from],
        [1, to],
      ] as const) {
        const [[x, y], [wx, wy]] = [pointAt(cut, share), pointAt(of, at)];
        expect(Math.hypot(x - wx, y - wy)).toBeLessThan(1e-9);
      }
    }),
  );
});

test("the normal stands to the right of the way along, and the run bends to the left where its curvature is positive", () => {
  fc.assert(
    fc.property(piece, mm(0.01, 0.98), (of, share) => {
      const step = 1e-5;
      const [[x0, y0], [x1, y1]] = [pointAt(of, share), pointAt(of, share + step)];
      const far = Math.hypot(x1 - x0, y1 - y0);
      const [nx, ny] = normalAt(of, share + step / 2);
      expect(((x1 - x0) * nx + (y1 - y0) * ny) / far).toBeCloseTo(0, 4);
      expect(((x1 - x0) * ny - (y1 - y0) * nx) / far).toBeCloseTo(-1, 4);
      const [mx, my] = normalAt(of, share);
      const [ex, ey] = normalAt(of, share + 0.01);
      const turn = Math.atan2(mx * ey - my * ex, mx * ex + my * ey) / (0.01 * lengthOf(of));
      expect(turn).toBeCloseTo(curvatureOf(of), 6);
    }),
  );
});

test("a run reaches as far along any direction as its farthest place, and the nearest place is nearer than any other", () => {
  fc.assert(
    fc.property(piece, mm(-4, 4), mm(-12, 12), mm(-12, 12), (of, angle, x, y) => {
      const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
      const points = drawn(of);
      const reach = points.reduce((most, [px, py]) => Math.max(most, px * cos + py * sin), -Infinity);
      expect(Math.abs(supportOf(of, cos, sin) - reach)).toBeLessThan(1e-4);
      const { share, distance } = nearestOn(of, [x, y]);
      const least = points.reduce((best, [px, py]) => Math.min(best, Math.hypot(px - x, py - y)), Infinity);
      expect(distance).toBeLessThan(least + 1e-9);
      expect(least - distance).toBeLessThan(0.02);
      const [px, py] = pointAt(of, share);
      expect(Math.hypot(px - x, py - y)).toBeCloseTo(distance, 7);
    }),
    { numRuns: 60 },
  );
});

test("where two runs cross, both are at one place; two that are drawn across each other are found to cross", () => {
  let found = 0;
  fc.assert(
    fc.property(piece, piece, (a, b) => {
      visitCrossings(a, b, (onA, onB) => {
        found += 1;
        const [[ax, ay], [bx, by]] = [pointAt(a, onA), pointAt(b, onB)];
        expect(Math.hypot(ax - bx, ay - by)).toBeLessThan(1e-6);
      });
    }),
    { numRuns: 400 },
  );
  expect(found).toBeGreaterThan(50);
  fc.assert(
    fc.property(piece, mm(0.1, 0.9), mm(-3, 3), mm(0.5, 4), (a, share, angle, half) => {
      const [x, y] = pointAt(a, share);
      const [nx, ny] = normalAt(a, share);
      fc.pre(Math.abs(Math.cos(angle) * nx + Math.sin(angle) * ny) > 0.2);
      const [dx, dy] = [half * Math.cos(angle), half * Math.sin(angle)];
      const across = lineBetween([x - dx, y - dy], [x + dx, y + dy]);
      const shares: (readonly [number, number])[] = [];
      visitCrossings(a, across, (onA, onB) => shares.push([onA, onB]));
      visitCrossings(across, a, (onB, onA) => shares.push([onA, onB]));
      const hits = shares.filter(([onA, onB]) => Math.abs(onA - share) < 1e-6 && Math.abs(onB - 0.5) < 1e-6);
      expect(hits).toHaveLength(2);
    }),
  );
});

test("two circles cross where both their radii reach, and lines side by side nowhere", () => {
  const circle = (x: number, radius: number) => arcOf(x, 1, radius, 0.3, 2 * Math.PI);
  const places: Point[] = [];
  visitCrossings(circle(0, 5), circle(6, 5), (onA) => places.push(pointAt(circle(0, 5), onA)));
  expect(places.sort((a, b) => a[1] - b[1])).toEqual([
    [expect.closeTo(3, 9), expect.closeTo(-3, 9)],
    [expect.closeTo(3, 9), expect.closeTo(5, 9)],
  ]);
  const crossings = (a: Segment, b: Segment) => {
    let count = 0;
    visitCrossings(a, b, () => count++);
    return count;
  };
  expect(crossings(circle(0, 2), circle(6, 2))).toBe(0);
  expect(crossings(circle(0, 5), circle(0, 5))).toBe(0);
  expect(crossings(lineBetween([0, 0], [5, 0]), lineBetween([0, 1], [5, 1]))).toBe(0);
  expect(crossings(lineBetween([0, 0], [5, 0]), lineBetween([6, -1], [6, 1]))).toBe(0);
  expect(crossings(lineBetween([0, 4], [5, 4]), arcOf(0, 0, 3, 0, 6))).toBe(0);
});

test("a run of no length points along x, so that nothing asked of it is not a number", () => {
  const none = lineBetween([2, 3], [2, 3]);
  expect([none.dx, none.dy, lengthOf(none)]).toEqual([1, 0, 0]);
  expect(nearestOn(none, [2, 5])).toEqual({ share: 0, distance: 2 });
});
