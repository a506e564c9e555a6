import fc from "fast-check";
import { runs } from "../../runs.testing";
import { type Point } from "../geometry/outline";
import { distanceToPolygon, polygonArea, polygonLength } from "../geometry/polygon";
import { seeded, normal } from "../measure/seeded";
import { outlineOfShape } from "../stone/shapes/shapes";
import { withCorners } from "./corners";
import { KEPT_WITHIN, keptPoints } from "./keep";
import { laidBy, levelTurn } from "./laid";
import { type Mask, borderOf, closedUp, opened, regionsOf } from "./mask";
import { smoothedCurve } from "./smooth";
import { turned } from "./turned";

function circle(n: number, radius: number): Point[] {
  return Array.from({ length: n }, (_, i): Point => [radius * Math.cos((2 * Math.PI * i) / n), radius * Math.sin((2 * Math.PI * i) / n)]);
}

function maskOf(rows: readonly string[]): Mask {
  return { width: rows[0]!.length, height: rows.length, bits: Uint8Array.from(rows.join(""), (mark) => (mark === "#" ? 1 : 0)) };
}

test("what is narrow goes when a mask is opened, and gaps close when it is closed; regions come with their holes filled", () => {
  const rows = ["............", ".#####......", ".#####..#...", ".##.##..#...", ".#####..#...", ".#####..#...", "............"];
  const clean = opened(maskOf(rows), 1);
  expect(clean.bits[2 * 12 + 8]).toBe(0);
  const regions = regionsOf(maskOf(rows), 3);
  expect(regions.map(({ size }) => size)).toEqual([25, 4]);
  expect(regions[0]!.mask.bits[3 * 12 + 3]).toBe(1);
  const parted = maskOf(["..........", ".###.####.", ".###.####.", ".###.####.", ".........."]);
  expect(regionsOf(closedUp(parted, 1), 1)).toHaveLength(1);
  expect(regionsOf(parted, 1).every(({ onEdge }) => onEdge === 0)).toBe(true);
  expect(regionsOf(maskOf(["##..", "##..", "...."]), 1)[0]!.onEdge).toBe(3);
});

test("the border of a mask goes round it once, anticlockwise as seen with y up, and encloses its blocks", () => {
  const mask = maskOf([".....", ".##..", ".###.", "..#..", "....."]);
  const border = borderOf(mask);
  expect(polygonArea(border.map(([x, y]): Point => [x, -y]))).toBe(6);
  expect(polygonLength(border)).toBe(12);
});

test("the smoothing curve takes the noise out of a round and keeps its size", () => {
  const cases = fc.record({ seed: fc.nat(1000), radius: fc.integer({ min: 80, max: 500 }) });
  fc.assert(
    fc.property(cases, ({ seed, radius }) => {
      const n = Math.round((2 * Math.PI * radius) / 1.5);
      const random = seeded(seed);
      const normals = circle(n, 1);
      const spots = normals.map(([x, y]): Point => {
        const out = radius + 0.3 * normal(random);
        return [x * out, y * out];
      });
      const { spots: smooth, scatter } = smoothedCurve(spots, new Float64Array(n).fill(1), normals);
      const off = smooth.map(([x, y]) => Math.hypot(x, y) - radius);
      expect(Math.sqrt(off.reduce((sum, each) => sum + each * each, 0) / n)).toBeLessThan(0.1);
      expect(Math.abs(off.reduce((sum, each) => sum + each, 0) / n)).toBeLessThan(0.06);
      expect(scatter).toBeGreaterThan(0.24);
      expect(scatter).toBeLessThan(0.36);
    }),
    { numRuns: runs(30) },
  );
});

test("a corner that blur drew in is put back, one that is round on the stone stays", () => {
  const square = (radius: number) => {
    const { stations } = outlineOfShape({ shape: "rectangle", length: 160, width: 120, corner: radius });
    const line = stations.map(({ x, y }): Point => [x, y]);
    return evenly(line, 1.5);
  };
  const sharp = withCorners(square(1.5), 1.5, 1.2);
  expect(sharp.corners).toHaveLength(4);
  for (const i of sharp.corners)
    expect(Math.hypot(Math.abs(sharp.spots[i]![0]) - 80, Math.abs(sharp.spots[i]![1]) - 60)).toBeLessThan(0.15);
  expect(withCorners(square(18), 1.5, 1.2).corners).toHaveLength(0);
});

function evenly(line: readonly Point[], every: number): Point[] {
  const whole = polygonLength(line);
  const n = Math.round(whole / every);
  const along = [0];
  line.forEach((p, i) =>
    along.push(along[i]! + Math.hypot(line[(i + 1) % line.length]![0] - p[0], line[(i + 1) % line.length]![1] - p[1])),
  );
  return Array.from({ length: n }, (_, k): Point => {
    const at = (k * whole) / n;
    const i = along.findLastIndex((each) => each <= at);
    const [[ax, ay], [bx, by]] = [line[i]!, line[(i + 1) % line.length]!];
    const share = (at - along[i]!) / (along[i + 1]! - along[i]! || 1);
    return [ax + (bx - ax) * share, ay + (by - ay) * share];
  });
}

test("the points kept are few, and their curve stays as near as stated", () => {
  const line = evenly(
    outlineOfShape({ shape: "heart", length: 18, width: 18, cleft: 3 }).stations.map(({ x, y }): Point => [x, y]),
    0.02,
  );
  const points = keptPoints(line, []);
  const { stations } = outlineOfShape({ shape: "free", points });
  expect(Math.max(...stations.map(({ x, y }) => distanceToPolygon(line, [x, y])))).toBeLessThan(KEPT_WITHIN * 1.1);
  expect(keptPoints(circle(4000, 10), []).length).toBeLessThan(40);
  expect(points[0]![0]).toBeCloseTo(Math.max(...line.map(([x]) => x)), 6);
});

test("laid level an outline is longest along x, and its picture goes with it", () => {
  const points = circle(24, 1).map(([x, y]): Point => [
    9 * x * Math.cos(0.5) - 6 * y * Math.sin(0.5),
    9 * x * Math.sin(0.5) + 6 * y * Math.cos(0.5),
  ]);
  const outline = { shape: "free", points } as const;
  const turn = levelTurn(outline);
  expect(turn).toBeCloseTo((-0.5 * 180) / Math.PI, -0.3);
  const laid = laidBy(outline, turn, { width: 800, height: 600, middle: [300, 300], pxPerMm: 20 });
  const { extent } = outlineOfShape(laid.outline);
  expect(extent(0)).toBeCloseTo(18, 1);
  expect(extent(Math.PI / 2)).toBeCloseTo(12, 1);
  // the picture's middle lay 5 mm right of the outline's own
  expect(Math.hypot(...laid.at)).toBeCloseTo(5, 2);
  expect(Math.atan2(laid.at[1], laid.at[0])).toBeCloseTo(-0.5, 1);
  expect(laidBy(outline, 0, { width: 800, height: 600, middle: [300, 200], pxPerMm: 20 })).toEqual({ outline, at: [5, -5], turn: 0 });
});

test("a picture is turned as its camera noted it", () => {
  const data = new Uint8Array(6 * 4);
  for (let i = 0; i < 6; i++) data[i * 4] = i + 1;
  const picture = { width: 3, height: 2, data };
  const as = (orientation: number) => {
    const out = turned(picture, orientation);
    return `${out.width}x${out.height} ${Array.from({ length: 6 }, (_, i) => out.data[i * 4]).join("")}`;
  };
  expect([1, 2, 3, 4, 5, 6, 7, 8].map(as)).toEqual([
    "3x2 123456",
    "3x2 321654",
    "3x2 654321",
    "3x2 456123",
    "2x3 142536",
    "2x3 415263",
    "2x3 635241",
    "2x3 362514",
  ]);
});
