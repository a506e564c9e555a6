import { type Point } from "@/core/geometry/outline";
import { DRAWN_WITHIN, type DrawnCurve } from "@/core/trace/drawn";

/** A run of a drawing's curve: a straight line, or points that lie close along a bent one; its first point is where the run before ends. */
export interface DrawnRun {
  readonly points: readonly Point[];
  readonly isStraight: boolean;
}

/** Points along a bent run at most this many: one of a drawing that asks for more is drawn too large to be a stone. */
const MOST_STEPS = 2000;

/** An arc of an ellipse, from an angle over another, as its own parameter runs; `turned` is the matrix from the unit circle to the drawing. */
export function arcRun(centre: Point, axes: readonly [a: number, b: number, c: number, d: number], from: number, sweep: number): DrawnRun {
  const [a, b, c, d] = axes;
  const reach = Math.max(Math.hypot(a, b), Math.hypot(c, d), DRAWN_WITHIN);
  const step = 2 * Math.acos(Math.max(0, 1 - DRAWN_WITHIN / reach));
  const steps = Math.min(MOST_STEPS, Math.max(2, Math.ceil(Math.abs(sweep) / step)));
  return bent(steps, (u) => {
    const [cos, sin] = [Math.cos(from + sweep * u), Math.sin(from + sweep * u)];
    return [centre[0] + a * cos + c * sin, centre[1] + b * cos + d * sin];
  });
}

/** A cubic by its four control points. */
export function cubicRun(p: readonly [Point, Point, Point, Point]): DrawnRun {
  const bend = Math.max(
    ...[0, 1].map((k) => Math.hypot(p[k]![0] - 2 * p[k + 1]![0] + p[k + 2]![0], p[k]![1] - 2 * p[k + 1]![1] + p[k + 2]![1])),
  );
  const steps = Math.min(MOST_STEPS, Math.max(1, Math.ceil(Math.sqrt((6 * bend) / (8 * DRAWN_WITHIN)))));
  return bent(steps, (u) => {
    const v = 1 - u;
    const of = (axis: 0 | 1) => v * v * v * p[0][axis] + 3 * v * v * u * p[1][axis] + 3 * v * u * u * p[2][axis] + u * u * u * p[3][axis];
    return [of(0), of(1)];
  });
}

export function lineRun(from: Point, to: Point): DrawnRun {
  return { points: [from, to], isStraight: true };
}

export function bent(steps: number, at: (u: number) => Point): DrawnRun {
  return { points: Array.from({ length: steps + 1 }, (_, i) => at(i / steps)), isStraight: false };
}

/** Ends of runs are one place within this (mm). */
export const SAME_PLACE = 0.01;
/** A curve that turns by more than this has a corner (radians). */
const CORNER = 0.15;
/** Runs of a line are looked at no further apart than this share of the whole: what is kept of it follows it. */
const LOOKED_AT = 1 / 800;

/** The closed curve that runs make one after another. */
export function closedCurve(runs: readonly DrawnRun[]): DrawnCurve {
  const drawn = runs.filter(({ points }) => points.some((point) => far(point, points[0]!) > 1e-6));
  if (drawn.every(({ isStraight }) => isStraight)) return { kind: "polygon", points: drawn.map(({ points }) => points[0]!) };
  const whole = drawn.reduce((sum, { points }) => sum + far(points[0]!, points.at(-1)!), 0);
  const points: Point[] = [];
  const joints: number[] = [];
  for (const run of drawn) {
    joints.push(points.length);
    points.push(...(run.isStraight ? filledIn(run.points, whole * LOOKED_AT) : run.points).slice(0, -1));
  }
  return { kind: "line", points, corners: joints.filter((i) => Math.abs(turnAt(points, i)) > CORNER) };
}

function filledIn([from, to]: readonly Point[], every: number): Point[] {
  const steps = Math.max(1, Math.ceil(far(from!, to!) / Math.max(every, 1e-3)));
  return Array.from({ length: steps + 1 }, (_, i): Point => [
    from![0] + ((to![0] - from![0]) * i) / steps,
    from![1] + ((to![1] - from![1]) * i) / steps,
  ]);
}

export function far([ax, ay]: Point, [bx, by]: Point): number {
  return Math.hypot(ax - bx, ay - by);
}

function turnAt(points: readonly Point[], i: number): number {
  const n = points.length;
  const [[ax, ay], [bx, by], [cx, cy]] = [points[(i + n - 1) % n]!, points[i]!, points[(i + 1) % n]!];
  const [ux, uy, vx, vy] = [bx - ax, by - ay, cx - bx, cy - by];
  return Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy);
}
