import fc from "fast-check";
import { ellipse, ellipsePerimeter } from "./ellipse";
import { type Outline, type Point, nearestStation, outward } from "./outline";
import { polygonExtent } from "./polygon";
import { smoothIntegral, steepIntegral } from "./quadrature";

const semi = fc.double({ min: 0.5, max: 60, noNaN: true });

function shoelace(points: readonly Point[]): number {
  return points.reduce((all, [x, y], i) => {
    const [nx, ny] = points[(i + 1) % points.length]!;
    return all + (x * ny - nx * y) / 2;
  }, 0);
}

function polyline(points: readonly Point[]): number {
  return points.reduce(
    (all, [x, y], i) => all + Math.hypot(x - points[(i + 1) % points.length]![0], y - points[(i + 1) % points.length]![1]),
    0,
  );
}

function dense(outline: Outline, count: number): Point[] {
  return Array.from({ length: count }, (_, i) => outline.stationAt(i / count)).map(({ x, y }): Point => [x, y]);
}

test("perimeters agree with their reference values and with a circle's", () => {
  expect(ellipsePerimeter(8, 6)).toBeCloseTo(44.20698, 5);
  expect(ellipsePerimeter(12.5, 9)).toBeCloseTo(67.99248, 5);
  fc.assert(fc.property(semi, (r) => expect(ellipsePerimeter(r, r) / (2 * Math.PI * r)).toBeCloseTo(1, 13)));
});

test("the perimeter is that of the curve densely sampled, and turning the axes changes nothing", () => {
  fc.assert(
    fc.property(fc.double({ min: 1, max: 30, noNaN: true }), fc.double({ min: 0.2, max: 1, noNaN: true }), (a, flat) => {
      const perimeter = ellipsePerimeter(a, a * flat);
      const speed = (t: number) => Math.hypot(a * Math.sin(t), a * flat * Math.cos(t));
      expect(perimeter / smoothIntegral(speed, 0, 2 * Math.PI, 400)).toBeCloseTo(1, 12);
      expect(ellipsePerimeter(a * flat, a)).toBe(perimeter);
    }),
  );
});

test("places are spaced by length: equal shares of the outline lie equal lengths apart", () => {
  fc.assert(
    fc.property(fc.double({ min: 3, max: 20, noNaN: true }), fc.double({ min: 3, max: 20, noNaN: true }), (a, b) => {
      const outline = ellipse(a, b);
      expect(polyline(dense(outline, 2000)) / outline.perimeter).toBeCloseTo(1, 4);
      expect(outline.stationAt(0)).toMatchObject({ x: a });
      expect(outline.stationAt(0.25).y).toBeCloseTo(b, 9);
      expect(outline.stationAt(-0.25).y).toBeCloseTo(-b, 9);
      for (const station of outline.stations) {
        const again = outline.stationAt(station.at);
        expect(Math.hypot(again.x - station.x, again.y - station.y)).toBeLessThan(1e-9);
        expect(Math.hypot(station.nx, station.ny)).toBeCloseTo(1, 12);
      }
    }),
    { numRuns: 25 },
  );
});

test("an outline pushed out by d gains 2 pi d and P d + pi d^2, and offsets add", () => {
  fc.assert(
    fc.property(semi, semi, fc.double({ min: 0.01, max: 5, noNaN: true }), fc.double({ min: 0.01, max: 5, noNaN: true }), (a, b, d, e) => {
      const outline = ellipse(a, b);
      const [once, twice] = [outward(outline, d), outward(outline, d + e)];
      expect(once.length).toBeCloseTo(outline.perimeter + 2 * Math.PI * d, 9);
      expect(twice.length).toBeCloseTo(once.length + 2 * Math.PI * e, 9);
      expect(twice.area).toBeCloseTo(once.area + once.length * e + Math.PI * e * e, 7);
    }),
  );
});

test("pushed in past its tightest radius it keeps only what has not crossed itself, down to nothing", () => {
  const outline = ellipse(8, 6);
  for (const inset of [4, 5, 5.9]) {
    const inner = outline.parallel(-inset);
    if (inner.kind !== "one") throw new Error(`collapsed at ${inset}`);
    const far = (x: number, y: number) => Math.min(...outline.stations.map((s) => Math.hypot(s.x - x, s.y - y)));
    let inside = 0;
    const step = 0.2;
    for (let x = -8; x < 8; x += step)
      for (let y = -6; y < 6; y += step) if ((x / 8) ** 2 + (y / 6) ** 2 < 1 && far(x, y) >= inset) inside++;
    expect(Math.abs(inner.area - inside * step * step)).toBeLessThan(0.25 * inner.length * step);
    expect(shoelace(inner.points())).toBeCloseTo(inner.area, 0);
    expect(Math.abs(polyline(inner.points()) - inner.length)).toBeLessThan(0.05);
  }
  expect(outline.parallel(-6)).toEqual({ kind: "collapsed", largestInset: 6 });
  expect(ellipse(6, 8).parallel(-5)).toMatchObject({ kind: "one", area: (outline.parallel(-5) as { area: number }).area });
});

test("what is left of one pushed in so far is as wide each way as its own points lie, and lies the same turned by a quarter", () => {
  fc.assert(
    fc.property(
      fc.double({ min: 5, max: 20, noNaN: true }),
      fc.double({ min: 0.4, max: 0.9, noNaN: true }),
      fc.double({ min: 0.05, max: 0.95, noNaN: true }),
      fc.double({ min: 0, max: Math.PI, noNaN: true }),
      (a, flat, share, direction) => {
        const b = a * flat;
        const tightest = (b * b) / a;
        const inset = tightest + share * (b - tightest);
        const [wide, tall] = [ellipse(a, b).parallel(-inset), ellipse(b, a).parallel(-inset)];
        if (wide.kind !== "one" || tall.kind !== "one") throw new Error("nothing is left");
        const reach = polygonExtent(wide.points());
        expect(Math.abs(wide.extent(direction) - reach(direction))).toBeLessThan(2e-3 * a);
        expect(wide.extent(0)).toBeCloseTo(reach(0), 9);
        expect(wide.extent(Math.PI / 2)).toBeCloseTo(2 * (b - inset), 9);
        expect(tall.extent(direction + Math.PI / 2)).toBeCloseTo(wide.extent(direction), 9);
        expect([tall.length, tall.area]).toEqual([wide.length, wide.area]);
        expect(wide.balance()).toEqual({ area: [0, 0], line: [0, 0] });
      },
    ),
  );
});

test("the extent is the width between two lines that touch the outline", () => {
  fc.assert(
    fc.property(semi, semi, fc.double({ min: 0, max: Math.PI, noNaN: true }), (a, b, direction) => {
      const outline = ellipse(a, b);
      const reach = Math.max(...outline.stations.map((s) => s.x * Math.cos(direction) + s.y * Math.sin(direction)));
      expect(outline.extent(direction) / 2 / reach).toBeCloseTo(1, 2);
    }),
  );
  expect(nearestStation(ellipse(8, 6).stations, [9, 0.1]).x).toBeCloseTo(8, 1);
  expect(() => ellipse(0, 1)).toThrow(/must be > 0/);
});

test("the rule for steep ends integrates what is infinite at one of them", () => {
  expect(steepIntegral((_, fromStart) => 1 / Math.sqrt(fromStart), 0, 4)).toBeCloseTo(4, 9);
  expect(steepIntegral((_, fromStart, toEnd) => 1 / Math.sqrt(fromStart * toEnd), 0, 1)).toBeCloseTo(Math.PI, 8);
  expect(steepIntegral((x) => Math.exp(x), 0, 1)).toBeCloseTo(Math.E - 1, 12);
});
