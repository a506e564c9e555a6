import fc from "fast-check";
import { runs } from "@/runs.testing";
import { type Outline, type Point, outward } from "../../geometry/outline";
import { offsetPolygon, polygonArea, polygonLength } from "../../geometry/polygon";
import { anyShape, convexShape, free, heart, share } from "./any-shape.testing";
import { type OutlineShape, outlineOfShape, scaled, shapeFaults } from "./shapes";

function outlineOf(shape: OutlineShape): Outline {
  expect(shapeFaults(shape)).toEqual([]);
  return outlineOfShape(shape);
}

/** The outline by many places evenly apart: what everything closed is held to. */
function dense(outline: Outline, count = 4000): Point[] {
  return Array.from({ length: count }, (_, i) => outline.stationAt(i / count)).map(({ x, y }): Point => [x, y]);
}

test("shapes have the reference lengths", () => {
  const perimeter = (shape: OutlineShape) => outlineOf(shape).perimeter;
  expect(perimeter({ shape: "pear", length: 16, width: 11 })).toBeCloseTo(41.9308, 5);
  expect(perimeter({ shape: "marquise", length: 20, width: 9 })).toBeCloseTo(45.19839, 5);
  const hearted = outlineOf({ shape: "heart", length: 13, width: 14, cleft: 2.4 });
  expect([hearted.perimeter, hearted.hullPerimeter]).toEqual([expect.closeTo(45.30285, 5), expect.closeTo(43.22943, 5)]);
  expect(perimeter({ shape: "cushion", length: 16, width: 12, exponent: 2 })).toBeCloseTo(44.20698, 5);
  expect(perimeter({ shape: "cushion", length: 16, width: 12, exponent: 1 })).toBeCloseTo(40, 9);
  expect(perimeter({ shape: "rectangle", length: 14, width: 10, corner: 2 })).toBeCloseTo(48 - 16 + 4 * Math.PI, 12);
  expect(perimeter({ shape: "triangle", side: 14, corner: 0, bulge: 0 })).toBeCloseTo(42, 12);
  const almostRound = { shape: "triangle", side: 10, corner: 0, bulge: 10 / (2 * Math.sqrt(3)) - 1e-9 } as const;
  expect(perimeter(almostRound)).toBeCloseTo((2 * Math.PI * 10) / Math.sqrt(3), 6);
  expect(perimeter({ shape: "pear", length: 12, width: 12 })).toBeCloseTo(12 * Math.PI, 12);
});

test("length, area, centre and extent are those of the curve finely drawn, and a scaled shape is its scale", () => {
  fc.assert(
    fc.property(anyShape, share(0.3, 3), (shape, by) => {
      const outline = outlineOf(shape);
      const points = dense(outline);
      const near = (value: number, drawn: number, within: number) => expect(Math.abs(value - drawn)).toBeLessThan(within);
      near(polygonLength(points), outline.perimeter, outline.perimeter * 2e-3);
      near(polygonArea(points), outline.area, outline.area * 2e-3);
      for (const direction of [0, 1, Math.PI / 2]) {
        const along = points.map(([x, y]) => x * Math.cos(direction) + y * Math.sin(direction));
        near(outline.extent(direction), Math.max(...along) - Math.min(...along), outline.perimeter * 1e-3);
      }
      const third = points.reduce(
        ([mx, my], [x, y], i) => {
          const [nx, ny] = points[(i + 1) % points.length]!;
          const cross = (x * ny - nx * y) / 6;
          return [mx + (x + nx) * cross, my + (y + ny) * cross];
        },
        [0, 0],
      );
      near(outline.centre[0], third[0] / outline.area, outline.perimeter * 1e-3);
      near(outline.centre[1], third[1] / outline.area, outline.perimeter * 1e-3);
      const larger = outlineOfShape(scaled(shape, by));
      expect(larger.perimeter / outline.perimeter).toBeCloseTo(by, 6);
      expect(larger.area / outline.area).toBeCloseTo(by * by, 5);
      expect(larger.inscribedRadius / outline.inscribedRadius).toBeCloseTo(by, 2);
    }),
    { numRuns: runs(60) },
  );
});

test("an outline pushed out by d gains 2 pi d and P d + pi d^2, whatever its convex shape, and offsets add", () => {
  fc.assert(
    fc.property(convexShape, share(0.01, 3), share(0.01, 2), (shape, d, e) => {
      const outline = outlineOf(shape);
      const [once, twice] = [outward(outline, d), outward(outline, d + e)];
      expect(once.length).toBeCloseTo(outline.perimeter + 2 * Math.PI * d, 9);
      expect(once.area).toBeCloseTo(outline.area + outline.perimeter * d + Math.PI * d * d, 7);
      expect(twice.length - once.length).toBeCloseTo(2 * Math.PI * e, 8);
      expect(twice.area).toBeCloseTo(once.area + once.length * e + Math.PI * e * e, 6);
      expect(once.extent(0.7)).toBeCloseTo(outline.extent(0.7) + 2 * d, 2);
      const drawn = once.points();
      expect(Math.abs(polygonLength(drawn) / once.length - 1)).toBeLessThan(0.01);
      expect(Math.abs(polygonArea(drawn) / once.area - 1)).toBeLessThan(0.01);
    }),
    { numRuns: runs(200) },
  );
});

test("no place of a parallel curve lies nearer to the outline than it should, inward or outward, and it collapses at the largest circle", () => {
  fc.assert(
    fc.property(anyShape, share(0.02, 0.98), fc.boolean(), (shape, part, isOut) => {
      const outline = outlineOf(shape);
      const d = outline.inscribedRadius * part * (isOut ? 0.5 : -1);
      const parallel = outline.parallel(d);
      const points = dense(outline, 1500);
      const loops = parallel.kind === "one" ? [parallel] : parallel.kind === "split" ? parallel.parts : [];
      if (loops.length === 0) expect(part).toBeGreaterThan(0.9);
      for (const loop of loops) {
        for (const [x, y] of loop.points()) {
          const far = Math.min(...points.map(([px, py]) => Math.hypot(px - x, py - y)));
          expect(Math.abs(far - Math.abs(d))).toBeLessThan(outline.perimeter * 1e-3);
        }
      }
      const gone = outline.parallel(-outline.inscribedRadius * 1.001);
      expect(gone.kind).toBe("collapsed");
    }),
    { numRuns: runs(60) },
  );
});

test("the largest circle touches the outline and no wider one fits anywhere", () => {
  fc.assert(
    fc.property(anyShape, share(0, 1), share(0, 1), (shape, u, v) => {
      const outline = outlineOf(shape);
      const points = dense(outline, 600);
      const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
      const x = Math.min(...xs) + u * (Math.max(...xs) - Math.min(...xs));
      const y = Math.min(...ys) + v * (Math.max(...ys) - Math.min(...ys));
      let inside = false;
      points.forEach(([ax, ay], i) => {
        const [bx, by] = points[(i + 1) % points.length]!;
        if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) inside = !inside;
      });
      const clear = inside ? Math.min(...points.map(([px, py]) => Math.hypot(px - x, py - y))) : 0;
      expect(clear).toBeLessThan(outline.inscribedRadius + outline.perimeter * 2e-3);
    }),
    { numRuns: runs(300) },
  );
});

test("at no distance, or hardly any, the parallel curve is the outline itself", () => {
  fc.assert(
    fc.property(anyShape, fc.constantFrom(0, 1e-9, 5e-7), (shape, d) => {
      const outline = outlineOf(shape);
      const same = outward(outline, d);
      expect(same.length).toBeCloseTo(outline.perimeter, 4);
      expect(same.area).toBeCloseTo(outline.area, 3);
    }),
    { numRuns: runs(100) },
  );
});

test("a heart's parallel curve ends its lobes where their circles meet, in closed form", () => {
  fc.assert(
    fc.property(heart, share(0.01, 2), (shape, d) => {
      if (shape.shape !== "heart") throw new Error(shape.shape);
      const { length, width, cleft } = shape;
      const a = (width + 2 * cleft) / 2 - Math.sqrt(width * cleft);
      const [r, middle, h] = [width / 2, width / 2 - a, length - a];
      const rho = (r * r + h * h) / (2 * r);
      const alpha = Math.atan2(h, rho - r);
      const lobe = (a + d) * (Math.PI / 2 + Math.asin(middle / (a + d)));
      expect(outward(outlineOf(shape), d).length).toBeCloseTo(2 * ((rho + d) * alpha + lobe) + d * (Math.PI - 2 * alpha), 9);
    }),
    { numRuns: runs(200) },
  );
});

test("a gently hollow free-form's parallel curve is as long as the package's on fine chords, and level places lie in order along it", () => {
  fc.assert(
    fc.property(free, share(0.02, 0.4), (shape, d) => {
      const outline = outlineOf(shape);
      const curve = outward(outline, d);
      const [first] = offsetPolygon(dense(outline), d);
      expect(Math.abs(curve.length - polygonLength(first!))).toBeLessThan(2e-4 * curve.length);
      expect(Math.abs(curve.area - polygonArea(first!))).toBeLessThan(2e-3 * curve.area);
      const along = Array.from({ length: 40 }, (_, i) => curve.lengthTo(outline.stationAt(i / 40)));
      along.slice(1).forEach((s, i) => expect(s).toBeGreaterThan(along[i]! - 2 * d));
      expect(Math.abs(along[0]!) < 1e-6 || Math.abs(along[0]! - curve.length) < 1e-6).toBe(true);
    }),
    { numRuns: runs(60) },
  );
});

test("a parallel curve is the same whichever were asked for before, where a bay closes over and where it does not", () => {
  let [open, over] = [0, 0];
  const asks = fc.array(fc.integer({ min: 2, max: 160 }), { minLength: 4, maxLength: 8 });
  fc.assert(
    fc.property(share(1, 4), share(0.2, 0.5), fc.integer({ min: 3, max: 6 }), asks, (radius, deep, lobes, distances) => {
      const points = Array.from({ length: 60 }, (_, i): Point => {
        const angle = (2 * Math.PI * i) / 60;
        const out = radius * (1 + deep * Math.cos(lobes * angle));
        return [out * Math.cos(angle), out * Math.sin(angle)];
      });
      const asked = outlineOf({ shape: "free", points });
      for (const hundredths of distances) {
        const d = hundredths / 100;
        const [curve, alone] = [outward(asked, d), outward(outlineOf({ shape: "free", points }), d)];
        expect([curve.length, curve.area]).toEqual([alone.length, alone.area]);
        const gains = curve.length - asked.perimeter - 2 * Math.PI * d;
        if (Math.abs(gains) < 1e-9) open++;
        else over++;
      }
    }),
    { numRuns: runs(60) },
  );
  expect(open).toBeGreaterThan(10);
  expect(over).toBeGreaterThan(10);
});

test("places are found by length, corners and notches by their turn, and every normal is one", () => {
  fc.assert(
    fc.property(anyShape, share(0, 1), (shape, at) => {
      const outline = outlineOf(shape);
      const station = outline.stationAt(at);
      expect(Math.hypot(station.nx, station.ny)).toBeCloseTo(1, 9);
      for (const each of outline.stations) expect(Number.isFinite(each.curvature)).toBe(true);
      expect(outline.stations.every(({ at }, i, all) => i === 0 || at >= all[i - 1]!.at)).toBe(true);
      const turned = outline.corners.reduce((all, { turn }) => all + turn, 0);
      const bent = outline.stations.reduce((all, a, i, { length }) => {
        const b = outline.stations[(i + 1) % length]!;
        const step = ((b.at - a.at + 1) % 1) * outline.perimeter;
        return step < outline.perimeter / 2 ? all + (step * (a.curvature + b.curvature)) / 2 : all;
      }, 0);
      // The sum over stations is rough where a free-form wavers; one corner left out would still be more than this.
      if (shape.shape !== "cushion") expect(Math.abs(turned + bent - 2 * Math.PI)).toBeLessThan(shape.shape === "free" ? 0.25 : 0.1);
    }),
    { numRuns: runs(100) },
  );
  const corners = (shape: OutlineShape) => outlineOf(shape).corners.map(({ at, turn }) => [Number(at.toFixed(6)), Math.sign(turn)]);
  expect(corners({ shape: "pear", length: 16, width: 11 })).toEqual([[0, 1]]);
  expect(corners({ shape: "marquise", length: 20, width: 9 })).toEqual([
    [0, 1],
    [0.5, 1],
  ]);
  expect(corners({ shape: "heart", length: 13, width: 14, cleft: 2.4 })).toEqual([
    [0, 1],
    [0.5, -1],
  ]);
  expect(corners({ shape: "rectangle", length: 14, width: 10, corner: 2 })).toEqual([]);
});

test("a dumbbell pushed in falls into two, and a deep bay pushed out closes over", () => {
  const points: Point[] = [
    [10, -4],
    [10, 4],
    [3, 4],
    [3, 0.5],
    [-3, 0.5],
    [-3, 4],
    [-10, 4],
    [-10, -4],
    [-3, -4],
    [-3, -0.5],
    [3, -0.5],
    [3, -4],
  ];
  const dumbbell = outlineOf({ shape: "free", closed: "polyline", points });
  const half = expect.closeTo(30 + 1 - (Math.sqrt(0.75) / 2 + Math.asin(0.5)), 3) as number;
  const inner = dumbbell.parallel(-1);
  if (inner.kind !== "split") throw new Error(inner.kind);
  expect(inner.parts.map(({ area }) => area)).toEqual([half, half]);
  expect(dumbbell.corners.filter(({ turn }) => turn < 0)).toHaveLength(4);
  const closed = 2 * (20 + 8) + 12 * Math.PI + 2 * (12 * Math.asin(3 / 6) - 6);
  expect(outward(dumbbell, 6).length).toBeCloseTo(closed, 3);
});

test("what is no outline is refused with the reason and the place", () => {
  const codes = (shape: OutlineShape) => shapeFaults(shape).map(({ field, code }) => `${field} ${code}`);
  expect(codes({ shape: "pear", length: 10, width: 11 })).toEqual(["length length-under-width"]);
  expect(codes({ shape: "heart", length: 13, width: 14, cleft: 3.6 })).toEqual(["cleft cleft-too-deep"]);
  expect(codes({ shape: "heart", length: 10, width: 14, cleft: 2.4 })).toEqual(["length heart-too-short"]);
  expect(codes({ shape: "rectangle", length: 10, width: 6, corner: 3.1 })).toEqual(["corner corner-too-round"]);
  expect(codes({ shape: "triangle", side: 10, corner: 0, bulge: 3 })).toEqual(["bulge bulge-too-round"]);
  const bow: Point[] = [
    [0, 0],
    [10, 10],
    [10, 0],
    [0, 10],
  ];
  const [crossed] = shapeFaults({ shape: "free", points: bow, closed: "polyline" });
  expect(crossed).toMatchObject({ code: "crosses-itself", values: { x: 5, y: 5 } });
  expect(
    codes({
      shape: "free",
      points: [
        [0, 0],
        [0, 0],
        [5, 0],
        [5, 5],
      ],
    }),
  ).toEqual(["points/1 points-coincide"]);
  expect(
    codes({
      shape: "free",
      points: [
        [-110, 0],
        [0, -5],
        [100, 0],
        [0, 5],
      ],
    }),
  ).toEqual(["points too-large-across"]);
});

test("a free-form given clockwise is the same outline", () => {
  fc.assert(
    fc.property(free, (shape) => {
      if (shape.shape !== "free") throw new Error(shape.shape);
      const [first, ...rest] = shape.points;
      const back = outlineOf({ ...shape, points: [first!, ...rest.reverse()] });
      const outline = outlineOf(shape);
      expect(back.perimeter).toBeCloseTo(outline.perimeter, 9);
      expect(back.area).toBeCloseTo(outline.area, 9);
    }),
    { numRuns: 20 },
  );
});

test("a heart with hardly a cleft keeps both its lobes, however it is pushed out or in", () => {
  for (const cleft of [1e-9, 1e-7, 1e-5, 1e-3, 0.05]) {
    const outline = outlineOf({ shape: "heart", length: 15, width: 14, cleft });
    const whole = outlineOf({ shape: "heart", length: 15, width: 14, cleft: 1e-12 });
    for (const d of [0.05, 0.21, 1.4, -0.3, -2]) {
      const [curve, like] = [outline.parallel(d), whole.parallel(d)];
      if (curve.kind !== "one" || like.kind !== "one") throw new Error(`${cleft} ${d} ${curve.kind}`);
      expect(Math.abs(curve.length - like.length)).toBeLessThan(0.05 + 10 * Math.sqrt(cleft));
      expect(curve.area).toBeGreaterThan(0.9 * like.area);
    }
  }
});
