import fc from "fast-check";
import { runs } from "@/runs.testing";
import { anyShape, share } from "../stone/shapes/any-shape.testing";
import { outlineOfShape } from "../stone/shapes/shapes";
import { type Curve, type PathContext, boxOf, flattened, polygonCurve, trace } from "./curve";
import { type Point, outward } from "./outline";
import { lineCentre, polygonArea, polygonCentre, polygonLength } from "./polygon";

const near = (a: Point, b: Point) => Math.hypot(a[0] - b[0], a[1] - b[1]);

test("a parallel curve in lines, arcs and bends is as long, encloses as much and balances where its numbers say", () => {
  fc.assert(
    fc.property(anyShape, share(0, 2), (shape, d) => {
      const loop = outward(outlineOfShape(shape), d);
      const points = flattened(loop.curve(), 1e-5);
      expect(Math.abs(polygonLength(points) - loop.length)).toBeLessThan(0.002);
      expect(Math.abs(polygonArea(points) - loop.area)).toBeLessThan(0.002 * Math.max(1, loop.length / 10));
      const { area, line } = loop.balance();
      expect(near(polygonCentre(points), area)).toBeLessThan(1e-3);
      expect(near(lineCentre(points), line)).toBeLessThan(1e-3);
    }),
    { numRuns: runs(120) },
  );
});

test("a bend passes every place of a free curve within a thousandth of a millimetre", () => {
  fc.assert(
    fc.property(anyShape, share(0, 1), (shape, d) => {
      const outline = outlineOfShape(shape);
      fc.pre(outline.corners.every(({ turn }) => turn > 0) && outline.stations.every(({ curvature }) => 1 + 1.02 * d * curvature > 0));
      const points = flattened(outward(outline, d).curve(), 1e-5);
      for (let i = 0; i < 37; i++) {
        const { x, y, nx, ny } = outline.stationAt((i + 0.37) / 37);
        const [px, py] = [x + nx * d, y + ny * d];
        let least = Infinity;
        points.forEach(([ax, ay], k) => {
          const [bx, by] = points[(k + 1) % points.length]!;
          const [ux, uy] = [bx - ax, by - ay];
          const t = Math.min(1, Math.max(0, ((px - ax) * ux + (py - ay) * uy) / (ux * ux + uy * uy || 1)));
          least = Math.min(least, Math.hypot(px - ax - t * ux, py - ay - t * uy));
        });
        expect(least).toBeLessThan(1e-3);
      }
    }),
    { numRuns: runs(60) },
  );
});

/** What a writer is told, one call a line. */
function told(curve: Curve): string[] {
  const lines: string[] = [];
  const tell =
    (name: string) =>
    (...args: (number | boolean | undefined)[]) =>
      void lines.push(`${name} ${args.map((arg) => (typeof arg === "number" ? Number(arg.toFixed(3)) : String(arg))).join(" ")}`.trim());
  const context: PathContext = {
    moveTo: tell("move"),
    lineTo: tell("line"),
    arc: tell("arc"),
    bezierCurveTo: tell("bend"),
    closePath: tell("close"),
  };
  trace(curve, context);
  return lines;
}

test("lines are written as lines and arcs as arcs, with the round of each corner that opens", () => {
  const square = outlineOfShape({ shape: "rectangle", length: 4, width: 2, corner: 0 });
  expect(told(outward(square, 1).curve())).toEqual([
    "move 3 0",
    "line 3 1",
    "arc 2 1 1 0 1.571 false",
    "line -2 2",
    "arc -2 1 1 1.571 3.142 false",
    "line -3 -1",
    "arc -2 -1 1 -3.142 -1.571 false",
    "line 2 -2",
    "arc 2 -1 1 -1.571 0 false",
    "line 3 0",
    "close",
  ]);
  const pear = told(outward(outlineOfShape({ shape: "pear", length: 16, width: 11 }), 0.5).curve());
  expect(pear.map((line) => line.split(" ")[0])).toEqual(["move", "arc", "arc", "arc", "arc", "close"].slice(0, pear.length));
  const inward: Curve = { from: [1, 0], strokes: [{ kind: "arc", x: 0, y: 0, radius: 1, start: 0, sweep: -1 }] };
  expect(told(inward)[1]).toBe("arc 0 0 1 0 -1 true");
  const oval = told(outward(outlineOfShape({ shape: "oval", length: 16, width: 12 }), 0).curve());
  expect(oval.length).toBeLessThan(60);
  expect(new Set(oval.slice(1, -1).map((line) => line.split(" ")[0]))).toEqual(new Set(["bend"]));
  expect(told(polygonCurve([...square.stations.slice(0, 3)].map(({ x, y }): Point => [x, y])))).toHaveLength(4);
});

test("the box round a curve reaches as far as it does", () => {
  const curve = outward(outlineOfShape({ shape: "oval", length: 16, width: 12 }), 1).curve();
  const { left, right, low, high } = boxOf(curve);
  for (const [value, expected] of [
    [left, -9],
    [right, 9],
    [low, -7],
    [high, 7],
  ] as const)
    expect(Math.abs(value - expected)).toBeLessThan(0.02);
});
