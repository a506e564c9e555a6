import { toMicron } from "../measure/micron";
import { type Point, nearestStation } from "../geometry/outline";
import { type Free } from "./shapes/free";
import { outlineOfShape } from "./shapes/shapes";

/** A free-form needs so many points. */
const LEAST_POINTS = 4;

export function moved(shape: Free, index: number, to: Point): Free {
  return { ...shape, points: shape.points.map((point, i) => (i === index ? micron(to) : point)) };
}

/** Without one of its points; the same where it could spare none. */
export function without(shape: Free, index: number): Free {
  return shape.points.length <= LEAST_POINTS ? shape : { ...shape, points: shape.points.filter((_, i) => i !== index) };
}

/** With one more point, on the outline where it comes nearest to a place. */
export function withPointNear(shape: Free, place: Point): Free {
  const outline = outlineOfShape(shape);
  const { x, y } = nearestStation(outline.stations, place);
  const distance = ([px, py]: Point) => Math.hypot(px - x, py - y);
  const along = shape.points.map((_, i) => legLengths(shape, i, [x, y]));
  const after = along.reduce((best, extra, i) => (extra < along[best]! ? i : best), 0);
  if (shape.points.some((point) => distance(point) < SAME_POINT)) return shape;
  return { ...shape, points: [...shape.points.slice(0, after + 1), micron([x, y]), ...shape.points.slice(after + 1)] };
}

/** Nearer than this a new point is the old one (mm). */
const SAME_POINT = 0.05;

/** How much longer the way from a point to the next is by way of a place. */
function legLengths({ points }: Free, i: number, [x, y]: Point): number {
  const [[ax, ay], [bx, by]] = [points[i]!, points[(i + 1) % points.length]!];
  return Math.hypot(x - ax, y - ay) + Math.hypot(bx - x, by - y) - Math.hypot(bx - ax, by - ay);
}

/** Each point drawn half way to the middle of its neighbours. */
export function smoothed(shape: Free): Free {
  const { points } = shape;
  const n = points.length;
  return {
    ...shape,
    points: points.map(([x, y], i): Point => {
      const [[ax, ay], [bx, by]] = [points[(i + n - 1) % n]!, points[(i + 1) % n]!];
      return micron([x / 2 + (ax + bx) / 4, y / 2 + (ay + by) / 4]);
    }),
  };
}

/** The side above the length's axis, and its mirror image below it. */
export function mirroredAcross(shape: Free): Free {
  const upper = [...shape.points].filter(([, y]) => y > 0).sort(([ax, ay], [bx, by]) => Math.atan2(ay, ax) - Math.atan2(by, bx));
  const ends = [Math.max(...shape.points.map(([x]) => x)), Math.min(...shape.points.map(([x]) => x))] as const;
  if (upper.length < 2) return shape;
  const lower = [...upper].reverse().map(([x, y]): Point => [x, -y]);
  return { ...shape, points: [[ends[0], 0], ...upper, [ends[1], 0], ...lower] };
}

/** A reading across the length: how far from its end, and how far the stone reaches to each side of the axis (mm). */
export interface Reading {
  readonly along: number;
  readonly up: number;
  readonly down: number;
}

/** The free-form through caliper readings, its length's axis on x and its middle at the origin. */
export function fromReadings(length: number, readings: readonly Reading[]): Free {
  const sorted = [...readings].sort((a, b) => b.along - a.along);
  const x = (along: number) => along - length / 2;
  return {
    shape: "free",
    points: [
      [length / 2, 0],
      ...sorted.map(({ along, up }): Point => [x(along), up]),
      [-length / 2, 0],
      ...[...sorted].reverse().map(({ along, down }): Point => [x(along), -down]),
    ],
  };
}

/** What a caliper would read at shares of the length, the first from the left; each side at least 0.1, so that a point can stand there. */
export function readingsOf(shape: Free, shares: readonly number[]): { readonly length: number; readonly readings: readonly Reading[] } {
  const outline = outlineOfShape(shape);
  const length = outline.extent(0);
  const left = Math.min(...outline.stations.map(({ x }) => x));
  const reach = (along: number, side: 1 | -1) => {
    const near = outline.stations.filter(({ x, y }) => Math.abs(x - left - along) < length * NEAR && y * side > 0);
    return near.reduce((most, { y }) => Math.max(most, y * side), LEAST_REACH);
  };
  return {
    length,
    readings: shares.map((share) => ({ along: share * length, up: reach(share * length, 1), down: reach(share * length, -1) })),
  };
}

/** A place is read from what lies this near it, as a share of the length. */
const NEAR = 1 / 30;
const LEAST_REACH = 0.1;

function micron([x, y]: Point): Point {
  return [toMicron(x), toMicron(y)];
}
