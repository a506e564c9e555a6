import DxfParser, {
  type IArcEntity,
  type ICircleEntity,
  type IEllipseEntity,
  type IEntity,
  type ILineEntity,
  type ILwpolylineEntity,
  type IPolylineEntity,
  type ISplineEntity,
} from "dxf-parser";
import log from "loglevel";
import { type Point } from "@/core/geometry/outline";
import { type DrawnCurve } from "@/core/trace/drawn";
import { type Outcome, refused } from "@/core/trace/refusal";
import { type LeftOut } from "@/words/drawings";
import { type ReadDrawing } from "./drawing";
import { type DrawnRun, SAME_PLACE, arcRun, bent, closedCurve, far, lineRun } from "./runs";

// The package tells the console what it does not know; here that is left out, and said.
log.setLevel("silent");

/** What a unit of $INSUNITS is in mm; 0 says nothing of it. */
const UNITS: Readonly<Record<number, number>> = { 0: 1, 1: 25.4, 2: 304.8, 4: 1, 5: 10, 6: 1000, 8: 25.4e-6, 9: 0.0254, 13: 0.001 };
/** No drawing of a stone has more. */
const MOST_VERTICES = 200_000;

/** Lines and arcs to be put end to end are looked through many times. */
const MOST_OPEN = 5000;

/** A DXF drawing's closed curves: polylines with bulges, circles, ellipses, splines, and what lines and arcs close end to end. */
export function readDxf(text: string): Outcome<ReadDrawing> {
  let drawing: ReturnType<DxfParser["parseSync"]>;
  try {
    drawing = new DxfParser().parseSync(text);
  } catch (error) {
    return refused("not-a-drawing", { why: error instanceof Error ? error.message.slice(0, 120) : "cannot be read" });
  }
  if (!drawing || !Array.isArray(drawing.entities)) return refused("not-a-drawing", { why: "has no entities" });
  const unit = Number(drawing.header?.$INSUNITS ?? 0);
  const mm = UNITS[unit];
  if (mm === undefined) return refused("not-a-drawing", { why: `its unit, ${unit}, is no length of a stone` });
  const vertices = drawing.entities.reduce((sum, each) => sum + (verticesOf(each) ?? 1), 0);
  if (vertices > MOST_VERTICES) return refused("drawing-too-many-points", { limit: MOST_VERTICES, got: vertices });
  const left = new Map<LeftOut["code"], number>();
  if (unit === 0) left.set("no-unit", 1);
  const curves: DrawnCurve[] = [];
  const open: DrawnRun[] = [];
  for (const entity of drawing.entities) {
    const drawn = drawnOf(entity, mm);
    if ("curve" in drawn) curves.push(drawn.curve);
    else if ("runs" in drawn) open.push(...drawn.runs);
    else left.set(drawn.leftOut, (left.get(drawn.leftOut) ?? 0) + 1);
  }
  if (open.length > MOST_OPEN) return refused("drawing-too-many-points", { limit: MOST_OPEN, got: open.length });
  const joined = joinedRuns(open);
  curves.push(...joined.closed.map(closedCurve));
  if (joined.open > 0) left.set("open", joined.open);
  return { ok: true, value: { curves, leftOut: [...left].map(([code, count]) => ({ code, count })) } };
}

function verticesOf(entity: IEntity): number | undefined {
  return (entity as Partial<ILwpolylineEntity>).vertices?.length ?? (entity as Partial<ISplineEntity>).controlPoints?.length;
}

type Drawn = { readonly curve: DrawnCurve } | { readonly runs: readonly DrawnRun[] } | { readonly leftOut: LeftOut["code"] };

function drawnOf(entity: IEntity, mm: number): Drawn {
  const at = ({ x, y }: { x: number; y: number }): Point => [x * mm, y * mm];
  switch (entity.type) {
    case "CIRCLE": {
      const { radius } = entity as ICircleEntity;
      return { curve: { kind: "ellipse", along: 2 * radius * mm, across: 2 * radius * mm } };
    }
    case "ELLIPSE":
      return ellipseOf(entity as IEllipseEntity, mm);
    case "ARC": {
      const { center, radius, startAngle, endAngle } = entity as IArcEntity;
      return { runs: [arcRun(at(center), [radius * mm, 0, 0, radius * mm], startAngle, swept(startAngle, endAngle))] };
    }
    case "LINE": {
      const [from, to] = (entity as ILineEntity).vertices;
      return from && to ? { runs: [lineRun(at(from), at(to))] } : { leftOut: "unknown" };
    }
    case "LWPOLYLINE":
    case "POLYLINE":
      return polylineOf(entity as ILwpolylineEntity | IPolylineEntity, at);
    case "SPLINE":
      return splineOf(entity as ISplineEntity, at);
    case "TEXT":
    case "MTEXT":
    case "DIMENSION":
      return { leftOut: "text" };
    case "INSERT":
      return { leftOut: "block" };
    default:
      return { leftOut: "unknown" };
  }
}

function swept(from: number, to: number): number {
  const turn = (to - from) % (2 * Math.PI);
  return turn <= 1e-9 ? turn + 2 * Math.PI : turn;
}

function ellipseOf({ center, majorAxisEndPoint: major, axisRatio, startAngle, endAngle }: IEllipseEntity, mm: number): Drawn {
  const half = Math.hypot(major.x, major.y) * mm;
  const sweep = swept(startAngle, endAngle);
  if (sweep > 2 * Math.PI - 1e-6) return { curve: { kind: "ellipse", along: 2 * half, across: 2 * half * axisRatio } };
  const axes = [major.x * mm, major.y * mm, -major.y * mm * axisRatio, major.x * mm * axisRatio] as const;
  return { runs: [arcRun([center.x * mm, center.y * mm], axes, startAngle, sweep)] };
}

/** An arc of a polyline: between two vertices, by its bulge, the tangent of a quarter of its angle, above 0 anticlockwise. */
interface Bulge {
  readonly centre: Point;
  readonly radius: number;
  readonly sweep: number;
}

function bulgeOf(from: Point, to: Point, bulge: number): Bulge | null {
  const chord = far(from, to);
  if (Math.abs(bulge) < 1e-9 || chord === 0) return null;
  const sweep = 4 * Math.atan(bulge);
  const radius = chord / (2 * Math.sin(Math.abs(sweep) / 2));
  const out = (radius * Math.cos(Math.abs(sweep) / 2) * Math.sign(bulge)) / chord;
  const [mx, my] = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
  return { centre: [mx - (to[1] - from[1]) * out, my + (to[0] - from[0]) * out], radius, sweep };
}

interface Polyline {
  readonly vertices: readonly { readonly x: number; readonly y: number; readonly bulge?: number }[];
  readonly shape: boolean;
}

function polylineOf({ vertices, shape }: Polyline, at: (p: { x: number; y: number }) => Point): Drawn {
  const legs = vertices.flatMap((vertex, i) => {
    const next = vertices[i + 1] ?? (shape ? vertices[0] : undefined);
    return next ? [{ from: at(vertex), to: at(next), arc: bulgeOf(at(vertex), at(next), vertex.bulge ?? 0) }] : [];
  });
  if (legs.length === 0) return { leftOut: "unknown" };
  const runs = legs.map(({ from, to, arc }) =>
    arc
      ? arcRun(arc.centre, [arc.radius, 0, 0, arc.radius], Math.atan2(from[1] - arc.centre[1], from[0] - arc.centre[0]), arc.sweep)
      : lineRun(from, to),
  );
  if (!shape) return { runs };
  const round = wholeCircle(legs.map(({ arc }) => arc));
  return { curve: round ?? closedCurve(runs) };
}

/** Arcs alone, of one circle, all the way round. */
function wholeCircle(arcs: readonly (Bulge | null)[]): DrawnCurve | null {
  const [first] = arcs;
  if (!first) return null;
  const isOne = arcs.every(
    (arc) => arc && far(arc.centre, first.centre) < 1e-6 * first.radius && Math.abs(arc.radius - first.radius) < 1e-6 * first.radius,
  );
  const swept = arcs.reduce((sum, arc) => sum + (arc?.sweep ?? 0), 0);
  return isOne && Math.abs(Math.abs(swept) - 2 * Math.PI) < 1e-6
    ? { kind: "ellipse", along: 2 * first.radius, across: 2 * first.radius }
    : null;
}

/** A B-spline by de Boor's algorithm, drawn in steps of each of its knot spans. */
function splineOf(
  { controlPoints, knotValues, degreeOfSplineCurve: degree, closed }: ISplineEntity,
  at: (p: { x: number; y: number }) => Point,
): Drawn {
  const control = (controlPoints ?? []).map(at);
  const knots = knotValues ?? [];
  if (degree < 1 || degree > 11 || control.length <= degree || knots.length !== control.length + degree + 1) return { leftOut: "unknown" };
  const [from, to] = [knots[degree]!, knots[control.length]!];
  if (!(to > from)) return { leftOut: "unknown" };
  const spans = control.length - degree;
  const run = bent(Math.min(4000, Math.max(64, spans * 48)), (u) => deBoor(control, knots, degree, from + (to - from) * u));
  const isClosed = closed || far(run.points[0]!, run.points.at(-1)!) < SAME_PLACE;
  return isClosed ? { curve: closedCurve([run]) } : { runs: [run] };
}

function deBoor(control: readonly Point[], knots: readonly number[], degree: number, t: number): Point {
  let span = degree;
  while (span < control.length - 1 && t >= knots[span + 1]!) span++;
  const d = Array.from({ length: degree + 1 }, (_, j): [number, number] => [...control[span - degree + j]!]);
  for (let r = 1; r <= degree; r++)
    for (let j = degree; j >= r; j--) {
      const low = knots[j + span - degree]!;
      const wide = knots[j + 1 + span - r]! - low;
      const share = wide === 0 ? 0 : (t - low) / wide;
      d[j] = [d[j - 1]![0] * (1 - share) + d[j]![0] * share, d[j - 1]![1] * (1 - share) + d[j]![1] * share];
    }
  return d[degree]!;
}

/** Runs put end to end; those that close, and how many chains do not. */
function joinedRuns(runs: readonly DrawnRun[]): { closed: DrawnRun[][]; open: number } {
  const free = [...runs];
  const closed: DrawnRun[][] = [];
  let open = 0;
  while (free.length > 0) {
    const chain = [free.shift()!];
    const start = chain[0]!.points[0]!;
    for (;;) {
      const end = chain.at(-1)!.points.at(-1)!;
      if (far(start, end) < SAME_PLACE && (chain.length > 1 || !chain[0]!.isStraight)) {
        closed.push(chain);
        break;
      }
      const next = free.findIndex(({ points }) => far(points[0]!, end) < SAME_PLACE || far(points.at(-1)!, end) < SAME_PLACE);
      if (next < 0) {
        open++;
        break;
      }
      const [run] = free.splice(next, 1);
      chain.push(far(run!.points[0]!, end) < SAME_PLACE ? run! : { ...run!, points: [...run!.points].reverse() });
    }
  }
  return { closed, open };
}
