import { type Point } from "../../geometry/outline";
import { polygonArea, selfCrossing } from "../../geometry/polygon";
import { type Span, sampledOutline } from "../../geometry/sampled";
import { tolerance } from "../../measure/tolerances";
import { type ShapeFault, type ShapeKind } from "./shape";

/** Points round the stone: a closed centripetal Catmull-Rom curve through them, or straight from each to the next. */
export interface Free {
  readonly shape: "free";
  readonly points: readonly Point[];
  readonly closed?: "curve" | "polyline";
}

/** No stone is larger across, or smaller (mm). */
const LARGEST = 200;
const SMALLEST = 0.05;

export const free: ShapeKind<Free> = {
  measures: {},
  faults: (shape) => {
    const { points } = shape;
    const apart = points.findIndex((point, i) => distance(point, points[(i + 1) % points.length]!) < tolerance.sameLength);
    if (apart >= 0) return [{ field: `points/${(apart + 1) % points.length}`, code: "points-coincide", values: { other: apart } }];
    const wide = [0, 1].map((axis) => Math.max(...points.map((p) => p[axis]!)) - Math.min(...points.map((p) => p[axis]!)));
    const across = Math.max(...wide);
    if (across < SMALLEST) return [{ field: "points", code: "too-small-across", values: { limit: SMALLEST, got: across.toPrecision(3) } }];
    if (across > LARGEST) return [{ field: "points", code: "too-large-across", values: { limit: LARGEST, got: across } }];
    return [...crossingFaults(shape), ...areaFaults(shape)].slice(0, 1);
  },
  outline: (shape) => sampledOutline(freeSpans(shape)),
  scaled: (shape, by) => ({ ...shape, points: shape.points.map(([x, y]): Point => [x * by, y * by]) }),
};

/** Places between two points at which a crossing is looked for; fewer where the points lie close. */
const CROSSING_STEPS = { most: 8, least: 3, inAll: 600 } as const;

function crossingFaults(shape: Free): ShapeFault[] {
  const { most, least, inAll } = CROSSING_STEPS;
  const steps = shape.closed === "polyline" ? 1 : Math.min(most, Math.max(least, Math.round(inAll / shape.points.length)));
  const drawn = freeSpans(shape).flatMap((span) =>
    Array.from({ length: steps }, (_, i): Point => {
      const { x, y } = span(i / steps);
      return [x, y];
    }),
  );
  const at = selfCrossing(drawn);
  return at ? [{ field: "points", code: "crosses-itself", values: { x: at[0], y: at[1] } }] : [];
}

function areaFaults({ points }: Free): ShapeFault[] {
  return Math.abs(polygonArea(points)) < tolerance.leastArea ? [{ field: "points", code: "no-area", values: {} }] : [];
}

function distance([ax, ay]: Point, [bx, by]: Point): number {
  return Math.hypot(ax - bx, ay - by);
}

/** One span from each point to the next, anticlockwise from the first. */
export function freeSpans({ points, closed }: Free): Span[] {
  const round = polygonArea(points) < 0 ? [points[0]!, ...points.slice(1).reverse()] : points;
  const n = round.length;
  return round.map((point, i) => {
    const next = round[(i + 1) % n]!;
    if (closed === "polyline") return straight(point, next);
    return curved(round[(i + n - 1) % n]!, point, next, round[(i + 2) % n]!);
  });
}

function straight([ax, ay]: Point, [bx, by]: Point): Span {
  return (u) => ({ x: ax + (bx - ax) * u, y: ay + (by - ay) * u, dx: bx - ax, dy: by - ay, ddx: 0, ddy: 0 });
}

/**
 * A span of the centripetal Catmull-Rom curve, knots apart by the root of the distance, as a cubic with the tangents of the
 * Barry and Goldman construction (1988).
 */
function curved(before: Point, from: Point, to: Point, after: Point): Span {
  const [k0, k1, k2] = [Math.sqrt(distance(before, from)), Math.sqrt(distance(from, to)), Math.sqrt(distance(to, after))];
  const tangent = (a: Point, b: Point, c: Point, ab: number, bc: number, axis: 0 | 1) =>
    k1 * ((b[axis] - a[axis]) / ab - (c[axis] - a[axis]) / (ab + bc) + (c[axis] - b[axis]) / bc);
  const cubic = (axis: 0 | 1) => {
    const [p, q] = [from[axis], to[axis]];
    const [m, n] = [tangent(before, from, to, k0, k1, axis), tangent(from, to, after, k1, k2, axis)];
    return [p, m, 3 * (q - p) - 2 * m - n, 2 * (p - q) + m + n] as const;
  };
  const [ax, bx, cx, ex] = cubic(0);
  const [ay, by, cy, ey] = cubic(1);
  return (u) => ({
    x: ax + u * (bx + u * (cx + u * ex)),
    y: ay + u * (by + u * (cy + u * ey)),
    dx: bx + u * (2 * cx + 3 * u * ex),
    dy: by + u * (2 * cy + 3 * u * ey),
    ddx: 2 * cx + 6 * u * ex,
    ddy: 2 * cy + 6 * u * ey,
  });
}
