import fc from "fast-check";
import { runs } from "@/runs.testing";
import { type OutlineShape, outlineOfShape } from "../stone/shapes/shapes";
import { ellipse } from "./ellipse";
import { bezelCurvature } from "./bezel-curvature";
import { tracedOval } from "./traced.testing";

/** The turn of an ellipse's tangent over the 2 mm centred on the end of its long axis, by its own arc length. */
function overTwoMillimetres(a: number, b: number): number {
  const steps = 200_000;
  let [along, t] = [0, 0];
  const dt = Math.PI / 2 / steps;
  for (; along < 1; t += dt) along += Math.hypot(a * Math.sin(t + dt / 2), b * Math.cos(t + dt / 2)) * dt;
  return Math.atan2(a * Math.sin(t), b * Math.cos(t));
}

test("what a wall feels at the end of an oval is the turn over two millimetres, not the bend at a point", () => {
  for (const [length, width] of [
    [16, 12],
    [25, 18],
    [30, 8],
  ] as const)
    expect(bezelCurvature(ellipse(length / 2, width / 2)).greatest).toBeCloseTo(overTwoMillimetres(length / 2, width / 2), 4);
  expect(bezelCurvature(ellipse(5, 5)).greatest).toBeCloseTo(0.2, 9);
});

test("of a stone shorter round than 24 mm a twelfth is bezelCurvature at once", () => {
  expect(bezelCurvature(ellipse(1.5, 1.5)).greatest).toBeCloseTo(2 / 3, 9);
  const small = ellipse(3, 2.2);
  const half = small.perimeter / 24;
  const { nx, ny } = small.stationAt(half / small.perimeter);
  expect(bezelCurvature(small).greatest).toBeCloseTo(Math.atan2(ny, nx) / half, 4);
});

test("over any smooth convex outline the bezelCurvature curvature adds up to one turn", () => {
  const size = fc.double({ min: 6, max: 40, noNaN: true });
  fc.assert(
    fc.property(
      size,
      fc.double({ min: 0.4, max: 1, noNaN: true }),
      fc.double({ min: 2, max: 3, noNaN: true }),
      (length, flat, exponent) => {
        const outline = outlineOfShape({ shape: "cushion", length, width: length * flat, exponent });
        const { places, corners } = bezelCurvature(outline);
        fc.pre(corners.length === 0);
        const turned = places.reduce((all, { at, curvature }, i) => {
          const next = places[(i + 1) % places.length]!;
          return all + (((next.at - at + 1) % 1) * outline.perimeter * (curvature + next.curvature)) / 2;
        }, 0);
        expect(turned).toBeCloseTo(2 * Math.PI, 1);
      },
    ),
    { numRuns: runs(40) },
  );
});

const corners = (shape: OutlineShape) =>
  bezelCurvature(outlineOfShape(shape)).corners.map(({ at, turn }) => [Number(at.toFixed(4)), Number(turn.toFixed(2))]);

test("what turns fifteen degrees within a fifth of a millimetre is a corner, sharp or rounded; its neighbours do not feel it", () => {
  const edge = 0.2 / (Math.PI / 12);
  expect(corners({ shape: "rectangle", length: 14, width: 10, corner: edge * 1.01 })).toEqual([]);
  expect(corners({ shape: "rectangle", length: 14, width: 10, corner: edge * 0.99 })).toHaveLength(4);
  for (const corner of [0, 0.3]) {
    const outline = outlineOfShape({ shape: "rectangle", length: 14, width: 10, corner });
    expect(bezelCurvature(outline).corners.map(({ turn }) => turn)).toEqual(Array(4).fill(expect.closeTo(Math.PI / 2, 2)));
    expect(bezelCurvature(outline).greatest).toBeLessThan(0.02);
  }
  expect(corners({ shape: "pear", length: 16, width: 11 })).toEqual([[0, expect.any(Number)]]);
  const heart = corners({ shape: "heart", length: 13, width: 14, cleft: 2.4 }).map(([at, turn]) => [at, Math.sign(turn!)]);
  expect(heart.sort()).toEqual([
    [0, 1],
    [0.5, -1],
  ]);
});

test("a notch is one from a tenth of a millimetre of depth on", () => {
  const nicked = (deep: number): OutlineShape => ({
    shape: "free",
    closed: "polyline",
    points: [
      [8, -5],
      [8, 5],
      [deep, 5],
      [0, 5 - deep],
      [-deep, 5],
      [-8, 5],
      [-8, -5],
    ],
  });
  const notches = (deep: number) => corners(nicked(deep)).filter(([, turn]) => turn! < 0).length;
  expect([notches(0.09), notches(0.11)]).toEqual([0, 1]);
});

test("a traced oval gathers as the true one does, to a tenth, however many its points and however they are joined", () => {
  const { greatest } = bezelCurvature(ellipse(12.5, 9));
  for (const count of [60, 120, 250, 500, 1000, 2000])
    for (const closed of ["curve", "polyline"] as const)
      for (const seed of [1, 77]) {
        const { corners, greatest: found } = bezelCurvature(outlineOfShape(tracedOval([12.5, 9], { count, closed, seed })));
        expect({ count, closed, off: Math.abs(found / greatest - 1) < 0.1, corners: corners.length }).toEqual({
          count,
          closed,
          off: true,
          corners: 0,
        });
      }
});
