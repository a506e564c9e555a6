import { type Point } from "../geometry/outline";
import { convexHull, polygonArea } from "../geometry/polygon";

/** A part that holds this share more than itself within its hull is taken as its hull. */
const NEARLY = 0.006;
/** A polygon is parted at most so many times over. */
const DEEPEST = 5;

/** Convex polygons, anticlockwise, that cover a polygon (anticlockwise) and hardly more: it is parted from its deepest notch, again and again. */
export function convexParts(polygon: readonly Point[], deepest = DEEPEST): Point[][] {
  const hull = anticlockwise(convexHull(polygon));
  if (deepest === 0 || polygonArea(hull) - polygonArea(polygon) < NEARLY * polygonArea(polygon)) return [hull];
  const n = polygon.length;
  const from = deepestNotch(polygon, hull);
  let best: readonly [Point[], Point[]] | null = null;
  let least = Infinity;
  for (let step = 2; step < n - 1; step++) {
    const to = (from + step) % n;
    if (!isDiagonal(polygon, from, to)) continue;
    const halves = [between(polygon, from, to), between(polygon, to, from)] as const;
    const over = halves.reduce((sum, half) => sum + polygonArea(anticlockwise(convexHull(half))) - polygonArea(half), 0);
    if (over < least) [best, least] = [halves, over];
  }
  return best ? best.flatMap((half) => convexParts(half, deepest - 1)) : [hull];
}

export function anticlockwise(polygon: readonly Point[]): Point[] {
  return polygonArea(polygon) < 0 ? [...polygon].reverse() : [...polygon];
}

function between(polygon: readonly Point[], from: number, to: number): Point[] {
  const n = polygon.length;
  return Array.from({ length: ((to - from + n) % n) + 1 }, (_, i) => polygon[(from + i) % n]!);
}

/** The corner that lies furthest within the hull. */
function deepestNotch(polygon: readonly Point[], hull: readonly Point[]): number {
  const depth = ([x, y]: Point) =>
    hull.reduce((least, [ax, ay], i) => {
      const [bx, by] = hull[(i + 1) % hull.length]!;
      return Math.min(least, ((bx - ax) * (y - ay) - (by - ay) * (x - ax)) / Math.hypot(bx - ax, by - ay));
    }, Infinity);
  return polygon.reduce((best, point, i) => (depth(point) > depth(polygon[best]!) ? i : best), 0);
}

function cross([ox, oy]: Point, [ax, ay]: Point, [bx, by]: Point): number {
  return (ax - ox) * (by - oy) - (ay - oy) * (bx - ox);
}

/** Whether the line from one corner to another runs within the polygon. */
function isDiagonal(polygon: readonly Point[], from: number, to: number): boolean {
  const n = polygon.length;
  const [a, b] = [polygon[from]!, polygon[to]!];
  const isWithin = (at: number, other: Point) => {
    const [before, here, after] = [polygon[(at + n - 1) % n]!, polygon[at]!, polygon[(at + 1) % n]!];
    const [left, right] = [cross(here, after, other) > 0, cross(here, before, other) < 0];
    return cross(before, here, after) >= 0 ? left && right : left || right;
  };
  if (!isWithin(from, b) || !isWithin(to, a)) return false;
  return polygon.every((p, i) => {
    const j = (i + 1) % n;
    if (i === from || j === from || i === to || j === to) return true;
    const q = polygon[j]!;
    return cross(a, b, p) * cross(a, b, q) > 0 || cross(p, q, a) * cross(p, q, b) > 0;
  });
}

/**
 * Where the origin of a moving convex polygon lies when it overlaps a fixed one: the sum of the fixed polygon and the moving one turned by half
 * (both anticlockwise; edges in the order of their directions).
 */
export function overlapping(fixed: readonly Point[], moving: readonly Point[]): Point[] {
  const turned = moving.map(([x, y]): Point => [-x, -y]);
  const [a, b] = [fromLowest(fixed), fromLowest(turned)];
  const sum: Point[] = [];
  let [i, j] = [0, 0];
  while (i < a.length || j < b.length) {
    const [p, q] = [a[i % a.length]!, b[j % b.length]!];
    sum.push([p[0] + q[0], p[1] + q[1]]);
    const [p2, q2] = [a[(i + 1) % a.length]!, b[(j + 1) % b.length]!];
    const turn = (p2[0] - p[0]) * (q2[1] - q[1]) - (p2[1] - p[1]) * (q2[0] - q[0]);
    const isFixed = j === b.length || (i < a.length && turn >= 0);
    const isMoving = i === a.length || (j < b.length && turn <= 0);
    if (isFixed) i++;
    if (isMoving) j++;
  }
  return sum;
}

function fromLowest(polygon: readonly Point[]): Point[] {
  const first = polygon.reduce((low, [x, y], i) => {
    const [lx, ly] = polygon[low]!;
    return y < ly || (y === ly && x < lx) ? i : low;
  }, 0);
  return [...polygon.slice(first), ...polygon.slice(0, first)];
}
