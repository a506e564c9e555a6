import { ClipperOffset, EndType, JoinType } from "clipper2-ts/dist/Offset.js";
import { type Extent, type Loop, type Point } from "./outline";

/** The package works in whole numbers: so many to a millimetre. */
const PER_MM = 1e6;
/** How far a round join may lie inside its circle (mm): it shortens a full turn by less than 1e-4 mm per mm of distance. */
const ARC_TOLERANCE = 2e-5;

/** The polygons parallel to a closed polygon at distance `d`, outward if positive, the largest first; holes are left out. */
export function offsetPolygon(points: readonly Point[], d: number): Point[][] {
  const offset = new ClipperOffset(2, ARC_TOLERANCE * PER_MM);
  offset.addPath(
    points.map(([x, y]) => ({ x: Math.round(x * PER_MM), y: Math.round(y * PER_MM) })),
    JoinType.Round,
    EndType.Polygon,
  );
  const solution: { x: number; y: number }[][] = [];
  offset.execute(d * PER_MM, solution);
  return solution
    .map((path) => path.map(({ x, y }): Point => [x / PER_MM, y / PER_MM]))
    .map((path) => ({ path, area: polygonArea(path) }))
    .filter(({ area }) => area > 0)
    .sort((a, b) => b.area - a.area)
    .map(({ path }) => path);
}

export function polygonArea(points: readonly Point[]): number {
  let twice = 0;
  let [px, py] = points.at(-1)!;
  for (const [x, y] of points) {
    twice += px * y - x * py;
    [px, py] = [x, y];
  }
  return twice / 2;
}

export function polygonLength(points: readonly Point[]): number {
  let length = 0;
  let [px, py] = points.at(-1)!;
  for (const [x, y] of points) {
    length += Math.sqrt((x - px) ** 2 + (y - py) ** 2);
    [px, py] = [x, y];
  }
  return length;
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

/** The convex hull, counter-clockwise (Andrew's monotone chain). */
export function convexHull<T extends Point>(points: readonly T[]): T[] {
  const sorted = [...points].sort(([ax, ay], [bx, by]) => ax - bx || ay - by);
  const chain = (list: readonly T[]) => {
    const kept: T[] = [];
    for (const point of list) {
      while (kept.length > 1 && !turnsLeft(kept.at(-2)!, kept.at(-1)!, point)) kept.pop();
      kept.push(point);
    }
    return kept.slice(0, -1);
  };
  return [...chain(sorted), ...chain(sorted.reverse())];
}

function turnsLeft([ax, ay]: Point, [bx, by]: Point, [cx, cy]: Point): boolean {
  return (bx - ax) * (cy - ay) - (by - ay) * (cx - ax) > 0;
}

/** A polygon as a loop; `longer` is what the curve it stands for is longer by, and `larger` by area. */
export function polygonLoop(points: readonly Point[], d: number, longer: number, larger: number): Loop {
  const drawn = polygonLength(points);
  const length = drawn + longer;
  return {
    length,
    area: polygonArea(points) + larger,
    extent: polygonExtent(points),
    curve: () => [...points],
    lengthTo: ({ x, y, nx, ny }) => (lengthToNearest(points, [x + nx * d, y + ny * d]) * length) / drawn,
  };
}

function lengthToNearest(points: readonly Point[], [x, y]: Point): number {
  let [best, found, along] = [Infinity, 0, 0];
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
      found = along + share * step;
    }
    along += step;
  }
  return found;
}

function within01(share: number): number {
  return share < 0 ? 0 : share > 1 ? 1 : share;
}

/** A closed polygon begun at the place of it nearest to a point. */
export function startedAt(points: readonly Point[], [x, y]: Point): Point[] {
  let [best, side, share] = [Infinity, 0, 0];
  points.forEach(([px, py], i) => {
    const [qx, qy] = points[(i + 1) % points.length]!;
    const [dx, dy] = [qx - px, qy - py];
    const squared = dx * dx + dy * dy;
    const along = squared > 0 ? within01(((x - px) * dx + (y - py) * dy) / squared) : 0;
    const far = (x - px - along * dx) ** 2 + (y - py - along * dy) ** 2;
    if (far < best) [best, side, share] = [far, i, along];
  });
  const [[px, py], [qx, qy]] = [points[side]!, points[(side + 1) % points.length]!];
  const start: Point = [px + share * (qx - px), py + share * (qy - py)];
  const rest = [...points.slice(side + 1), ...points.slice(0, side + 1)];
  return [start, ...rest.filter(([ex, ey]) => ex !== start[0] || ey !== start[1])];
}

/** How far a point lies from the nearest side of a closed polygon. */
export function distanceToPolygon(points: readonly Point[], [x, y]: Point): number {
  const squaredTo = squaredDistances(points);
  let least = Infinity;
  for (let i = 0; i < points.length; i++) least = Math.min(least, squaredTo(i, x, y));
  return Math.sqrt(least);
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

interface Cell {
  readonly x: number;
  readonly y: number;
  readonly half: number;
  /** Distance of its middle from the polygon, negative outside. */
  readonly clear: number;
  /** Sides that can be the nearest one to a place in it. */
  readonly sides: readonly number[];
}

/**
 * The radius of the largest circle that fits in a polygon, to `within`, and its middle: squares are quartered until none can hold a larger one.
 * A square hands on only the sides that lie near enough to matter in it.
 */
export function largestCircle(points: readonly Point[], within: number): { readonly radius: number; readonly middle: Point } {
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const size = Math.min(right - left, high - low);
  const squaredTo = squaredDistances(points);
  const far = new Float64Array(points.length);
  const cell = (x: number, y: number, half: number, sides: readonly number[], isInside: boolean): Cell => {
    let least = Infinity;
    for (let k = 0; k < sides.length; k++) {
      const squared = squaredTo(sides[k]!, x, y);
      far[k] = squared;
      if (squared < least) least = squared;
    }
    const nearest = Math.sqrt(least);
    const reach = (nearest + 2 * half * Math.SQRT2) ** 2;
    const near: number[] = [];
    for (let k = 0; k < sides.length; k++) if (far[k]! <= reach) near.push(sides[k]!);
    return { x, y, half, clear: isInside || isIn(points, x, y) ? nearest : -nearest, sides: near };
  };
  const most = ({ clear, half }: Cell) => clear + half * Math.SQRT2;
  const all = points.map((_, i) => i);
  const half = size / 2;
  let best = cell((left + right) / 2, (low + high) / 2, 0, all, false);
  let waiting: Cell[] = [];
  for (let x = left; x < right; x += size) for (let y = low; y < high; y += size) waiting.push(cell(x + half, y + half, half, all, false));
  while (waiting.length > 0) {
    for (const each of waiting) if (each.clear > best.clear) best = each;
    const next: Cell[] = [];
    for (const each of waiting) {
      if (most(each) - best.clear <= within) continue;
      const { x, y, half, clear, sides } = each;
      const isInside = clear > half * Math.SQRT2;
      const quarter = half / 2;
      for (const dx of [-quarter, quarter]) for (const dy of [-quarter, quarter]) next.push(cell(x + dx, y + dy, quarter, sides, isInside));
    }
    waiting = next;
  }
  return { radius: best.clear, middle: [best.x, best.y] };
}

/** The square of the distance from each side of a polygon to a place; flat arrays, as it is asked for most often of all. */
function squaredDistances(points: readonly Point[]): (side: number, x: number, y: number) => number {
  const n = points.length;
  const [px, py, dx, dy, per] = Array.from({ length: 5 }, () => new Float64Array(n)) as [
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  points.forEach(([x, y], i) => {
    const [qx, qy] = points[(i + 1) % n]!;
    const squared = (qx - x) ** 2 + (qy - y) ** 2;
    [px[i], py[i], dx[i], dy[i], per[i]] = [x, y, qx - x, qy - y, squared > 0 ? 1 / squared : 0];
  });
  return (i, x, y) => {
    const [ox, oy] = [x - px[i]!, y - py[i]!];
    const share = within01((ox * dx[i]! + oy * dy[i]!) * per[i]!);
    const [mx, my] = [ox - share * dx[i]!, oy - share * dy[i]!];
    return mx * mx + my * my;
  };
}

function isIn(points: readonly Point[], x: number, y: number): boolean {
  let inside = false;
  let [px, py] = points.at(-1)!;
  for (const [qx, qy] of points) {
    if (qy > y !== py > y && x < ((px - qx) * (y - qy)) / (py - qy) + qx) inside = !inside;
    [px, py] = [qx, qy];
  }
  return inside;
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
