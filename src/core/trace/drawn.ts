import { type Point } from "../geometry/outline";
import { polygonArea } from "../geometry/polygon";
import { toMicron } from "../measure/micron";
import { type OutlineShape, outlineOfShape, shapeFaults } from "../stone/shapes/shapes";
import { keptPoints } from "./keep";

/** A closed curve of a drawing, in mm, y up. */
export type DrawnCurve =
  | { readonly kind: "ellipse"; readonly across: number; readonly along: number }
  | { readonly kind: "rectangle"; readonly along: number; readonly across: number; readonly corner: number }
  /** Points that a smooth curve goes through. */
  | { readonly kind: "points"; readonly points: readonly Point[] }
  /** Straight from point to point, and nothing else. */
  | { readonly kind: "polygon"; readonly points: readonly Point[] }
  /** Points so close that straight lines between them are the curve, and where among them it has corners. */
  | { readonly kind: "line"; readonly points: readonly Point[]; readonly corners: readonly number[] };

/** Straight lines between the points of a curve stay this close to it (mm). */
export const DRAWN_WITHIN = 1e-3;
/** What has no area to speak of is no outline (mm2). */
const LEAST_AREA = 1;
const MOST_POLYGON = 400;

/** An outline of a drawing, about the middle of its bounding box. */
export interface DrawnOutline {
  readonly outline: OutlineShape;
  readonly area: number;
  readonly perimeter: number;
}

/** The shape a curve is: a regular one where the piece file has it, else points; null for what can be no stone's. */
export function drawnOutline(curve: DrawnCurve): DrawnOutline | null {
  const outline = shapeOf(curve);
  if (!outline || shapeFaults(outline).length > 0) return null;
  const { area, perimeter } = outlineOfShape(outline);
  return Math.abs(area) < LEAST_AREA ? null : { outline, area, perimeter };
}

function shapeOf(curve: DrawnCurve): OutlineShape | null {
  if (curve.kind === "ellipse") {
    const [length, width] = inOrder(curve.along, curve.across);
    return length - width < 5e-4 ? { shape: "round", diameter: length } : { shape: "oval", length, width };
  }
  if (curve.kind === "rectangle") {
    const [length, width] = inOrder(curve.along, curve.across);
    return { shape: "rectangle", length, width, corner: Math.min(toMicron(curve.corner), width / 2) };
  }
  const { points, corners } = anticlockwise(curve);
  if (points.length < 3) return null;
  if (curve.kind === "polygon" && points.length <= MOST_POLYGON) return free(centred(points), "polyline");
  if (curve.kind === "points") return free(centred(points), "curve");
  return free(keptPoints(centred(points), corners), "curve");
}

function inOrder(a: number, b: number): [number, number] {
  return [toMicron(Math.max(a, b)), toMicron(Math.min(a, b))];
}

function free(points: readonly Point[], closed: "curve" | "polyline"): OutlineShape {
  const rounded = points.map(([x, y]): Point => [toMicron(x), toMicron(y)]);
  return { shape: "free", points: rounded, ...(closed === "polyline" && { closed }) };
}

function anticlockwise(curve: Extract<DrawnCurve, { points: unknown }>): { points: readonly Point[]; corners: readonly number[] } {
  const corners = curve.kind === "line" ? curve.corners : [];
  if (polygonArea(curve.points) >= 0) return { points: startedRight(curve.points, curve.kind), corners };
  const last = curve.points.length - 1;
  return { points: startedRight([...curve.points].reverse(), curve.kind), corners: corners.map((i) => last - i) };
}

/** Points given begin at the one of greatest x; what is kept of a line begins there anyway. */
function startedRight(points: readonly Point[], kind: "polygon" | "points" | "line"): readonly Point[] {
  if (kind === "line") return points;
  const first = points.reduce((best, [x], i) => (x > points[best]![0] ? i : best), 0);
  return [...points.slice(first), ...points.slice(0, first)];
}

/** About the middle of its bounding box. */
export function centred(points: readonly Point[]): Point[] {
  const middle = [0, 1].map((axis) => {
    const values = points.map((point) => point[axis]!);
    return (values.reduce((a, b) => Math.min(a, b), Infinity) + values.reduce((a, b) => Math.max(a, b), -Infinity)) / 2;
  });
  return points.map(([x, y]): Point => [x - middle[0]!, y - middle[1]!]);
}
