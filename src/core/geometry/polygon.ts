import { ClipType, FillRule } from "clipper2-ts/dist/Core.js";
import { Clipper64 } from "clipper2-ts/dist/Engine.js";
import { ClipperOffset, EndType, JoinType } from "clipper2-ts/dist/Offset.js";
import { polygonArea as area, polygonCentroid, polygonContains, polygonHull, polygonLength as length } from "d3-polygon";
import polylabel from "polylabel";
import { polygonCurve } from "./curve";
import { type Extent, type Loop, type Point } from "./outline";

/** The package works in whole numbers: so many to a millimetre. */
const PER_MM = 1e6;
/** How far a round join may lie inside its circle (mm): it shortens a full turn by less than 1e-4 mm per mm of distance. */
const ARC_TOLERANCE = 2e-5;

interface Whole {
  readonly x: number;
  readonly y: number;
}

function inWholes(points: readonly Point[]): { x: number; y: number }[] {
  return points.map(([x, y]) => ({ x: Math.round(x * PER_MM), y: Math.round(y * PER_MM) }));
}

/** Paths of the package as polygons, the largest first; holes are left out. */
function polygonsOf(paths: readonly (readonly Whole[])[]): Point[][] {
  return paths
    .map((path) => path.map(({ x, y }): Point => [x / PER_MM, y / PER_MM]))
    .map((path) => ({ path, area: polygonArea(path) }))
    .filter(({ area }) => area > 0)
    .sort((a, b) => b.area - a.area)
    .map(({ path }) => path);
}

/** The polygons parallel to a closed polygon at distance `d`, outward if positive, the largest first; holes are left out. */
export function offsetPolygon(points: readonly Point[], d: number, within: number = ARC_TOLERANCE): Point[][] {
  const offset = new ClipperOffset(2, within * PER_MM);
  offset.addPath(inWholes(points), JoinType.Round, EndType.Polygon);
  const solution: { x: number; y: number }[][] = [];
  offset.execute(d * PER_MM, solution);
  return polygonsOf(solution);
}

/** A polygon grown by a distance all round, drawn to within so much (mm). @throws where nothing is left, which a distance above 0 never does. */
export function grownPolygon(points: readonly Point[], by: number, within: number): Point[] {
  const [grown] = offsetPolygon(points, by, within);
  if (!grown) throw new RangeError(`nothing is left of a polygon grown by ${by}`);
  return grown;
}

/** What some polygons that hang together cover, without its holes. @throws for none. */
export function joinedPolygons(polygons: readonly (readonly Point[])[]): Point[] {
  const clipper = new Clipper64();
  for (const polygon of polygons) clipper.addSubject([inWholes(polygonArea(polygon) < 0 ? [...polygon].reverse() : polygon)]);
  const solution: { x: number; y: number }[][] = [];
  clipper.execute(ClipType.Union, FillRule.NonZero, solution);
  const [joined] = polygonsOf(solution);
  if (!joined) throw new RangeError("no polygons to join");
  return joined;
}

/** What is left of a polygon without others: every line round it, those of its holes too. */
export function polygonWithout(whole: readonly Point[], others: readonly (readonly Point[])[]): Point[][] {
  const clipper = new Clipper64();
  clipper.addSubject([inWholes(whole)]);
  clipper.addClip(others.map(inWholes));
  const solution: { x: number; y: number }[][] = [];
  clipper.execute(ClipType.Difference, FillRule.NonZero, solution);
  return solution.map((path) => path.map(({ x, y }): Point => [x / PER_MM, y / PER_MM]));
}

/** The package's y points downward: anticlockwise here is clockwise there. */
export function polygonArea(points: readonly Point[]): number {
  return -area(points as [number, number][]);
}

export function convexHull(points: readonly Point[]): readonly Point[] {
  return polygonHull(points as [number, number][]) ?? points;
}

export function polygonLength(points: readonly Point[]): number {
  return length(points as [number, number][]);
}

export function polygonExtent(points: readonly Point[]): Extent {
  return (direction) => {
    const [cos, sin] = [Math.cos(direction), Math.sin(direction)];
    let [least, most] = [Infinity, -Infinity];
    for (const [x, y] of points) {
      const along = x * cos + y * sin;
      if (along < least) least = along;
      if (along > most) most = along;
    }
    return most - least;
  };
}

/** A polygon as a loop; `longer` is what the curve it stands for is longer by, and `larger` by area. */
export function polygonLoop(points: readonly Point[], d: number, longer: number, larger: number): Loop {
  const drawn = polygonLength(points);
  const length = drawn + longer;
  return {
    length,
    area: polygonArea(points) + larger,
    extent: polygonExtent(points),
    balance: () => ({ area: polygonCentre(points), line: lineCentre(points) }),
    curve: () => polygonCurve(points),
    points: () => [...points],
    lengthTo: ({ x, y, nx, ny }) => (nearestPlace(points, [x + nx * d, y + ny * d]).along * length) / drawn,
  };
}

/** Where a plate cut to a polygon balances. */
export function polygonCentre(points: readonly Point[]): Point {
  return polygonCentroid(points as [number, number][]);
}

/** Where a wire bent to a polygon balances. */
export function lineCentre(points: readonly Point[]): Point {
  let [x, y] = [0, 0];
  points.forEach(([px, py], i) => {
    const [qx, qy] = points[(i + 1) % points.length]!;
    const length = Math.hypot(qx - px, qy - py);
    x += ((px + qx) / 2) * length;
    y += ((py + qy) / 2) * length;
  });
  const whole = polygonLength(points);
  return [x / whole, y / whole];
}

/** The place of a closed polygon nearest to a point: on which side, how much of it, how far along, and the square of the distance. */
function nearestPlace(points: readonly Point[], [x, y]: Point) {
  let [best, along] = [Infinity, 0];
  let found = { side: 0, share: 0, along: 0 };
  for (let i = 0; i < points.length; i++) {
    const p = points[i]!;
    const q = points[i + 1 === points.length ? 0 : i + 1]!;
    const dx = q[0] - p[0];
    const dy = q[1] - p[1];
    const step = Math.sqrt(dx * dx + dy * dy);
    const share = step > 0 ? within01(((x - p[0]) * dx + (y - p[1]) * dy) / (step * step)) : 0;
    const ox = x - p[0] - share * dx;
    const oy = y - p[1] - share * dy;
    const far = ox * ox + oy * oy;
    if (far < best) {
      best = far;
      found = { side: i, share, along: along + share * step };
    }
    along += step;
  }
  return { ...found, squared: best };
}

function within01(share: number): number {
  return share < 0 ? 0 : share > 1 ? 1 : share;
}

/** A closed polygon begun at the place of it nearest to a point. */
export function startedAt(points: readonly Point[], point: Point): Point[] {
  const { side, share } = nearestPlace(points, point);
  const [[px, py], [qx, qy]] = [points[side]!, points[(side + 1) % points.length]!];
  const start: Point = [px + share * (qx - px), py + share * (qy - py)];
  const rest = [...points.slice(side + 1), ...points.slice(0, side + 1)];
  return [start, ...rest.filter(([ex, ey]) => ex !== start[0] || ey !== start[1])];
}

/** The point of a straight stretch that is nearest to another. */
export function nearestOn([px, py]: Point, [qx, qy]: Point, [x, y]: Point): Point {
  const [dx, dy] = [qx - px, qy - py];
  const squared = dx * dx + dy * dy;
  const share = squared === 0 ? 0 : within01(((x - px) * dx + (y - py) * dy) / squared);
  return [px + share * dx, py + share * dy];
}

/** How far a point lies from the nearest side of a closed polygon. */
export function distanceToPolygon(points: readonly Point[], point: Point): number {
  return Math.sqrt(nearestPlace(points, point).squared);
}

/** The same, below 0 outside it. */
export function distanceInside(points: readonly Point[], point: Point): number {
  const far = distanceToPolygon(points, point);
  return polygonContains(points as [number, number][], point as [number, number]) ? far : -far;
}

/** Fewer points, of a closed polygon's, with none of those left out further than `within` from the chord that passes it by. */
export function thinned(points: readonly Point[], within: number): Point[] {
  const kept: Point[] = [points[0]!];
  let from = 0;
  for (let to = 2; to <= points.length; to++) {
    if (isClose(points, from, to, within)) continue;
    from = to - 1;
    kept.push(points[from]!);
  }
  return kept;
}

function isClose(points: readonly Point[], from: number, to: number, within: number): boolean {
  const a = points[from]!;
  const b = points[to === points.length ? 0 : to]!;
  const dx = b[0] - a[0];
  const dy = b[1] - a[1];
  const most = within * Math.sqrt(dx * dx + dy * dy);
  for (let i = from + 1; i < to; i++) {
    const p = points[i]!;
    if (Math.abs((p[0] - a[0]) * dy - (p[1] - a[1]) * dx) > most || (p[0] - a[0]) * dx + (p[1] - a[1]) * dy < 0) return false;
  }
  return true;
}

/** The radius of the largest circle that fits in a polygon, to `within`, and its middle. */
export function largestCircle(points: readonly Point[], within: number): { readonly radius: number; readonly middle: Point } {
  const found = polylabel([points], within);
  return { radius: found.distance, middle: [found[0]!, found[1]!] };
}

/** The first place where a closed polygon crosses itself, or null. Sides are met in order of their left ends. */
export function selfCrossing(points: readonly Point[]): Point | null {
  const n = points.length;
  const sides = points.map(([ax, ay], i) => {
    const [bx, by] = points[(i + 1) % n]!;
    return { i, ax, ay, bx, by, left: Math.min(ax, bx), right: Math.max(ax, bx), low: Math.min(ay, by), high: Math.max(ay, by) };
  });
  sides.sort((a, b) => a.left - b.left);
  let open: typeof sides = [];
  for (const side of sides) {
    open = open.filter(({ right }) => right >= side.left);
    for (const other of open) {
      const gap = Math.abs(side.i - other.i);
      if (gap === 1 || gap === n - 1 || other.low > side.high || other.high < side.low) continue;
      const met = meeting([side.ax, side.ay], [side.bx, side.by], [other.ax, other.ay], [other.bx, other.by]);
      if (met) return met;
    }
    open.push(side);
  }
  return null;
}

function meeting([ax, ay]: Point, [bx, by]: Point, [cx, cy]: Point, [dx, dy]: Point): Point | null {
  const [ux, uy, vx, vy] = [bx - ax, by - ay, dx - cx, dy - cy];
  const cross = ux * vy - uy * vx;
  if (cross === 0) return null;
  const [s, t] = [((cx - ax) * vy - (cy - ay) * vx) / cross, ((cx - ax) * uy - (cy - ay) * ux) / cross];
  return s >= 0 && s <= 1 && t >= 0 && t <= 1 ? [ax + s * ux, ay + s * uy] : null;
}
