import { type Point } from "./outline";

/** A part of a curve, from where the one before it ends. Angles in radians. */
export type Stroke =
  | { readonly kind: "line"; readonly to: Point }
  | {
      readonly kind: "arc";
      readonly x: number;
      readonly y: number;
      readonly radius: number;
      readonly start: number;
      readonly sweep: number;
    }
  | { readonly kind: "bend"; readonly out: Point; readonly into: Point; readonly to: Point };

/** A closed curve as it is, in mm: lines, arcs, and bends (cubic, within a thousandth of a mm of a free curve). */
export interface Curve {
  readonly from: Point;
  readonly strokes: readonly Stroke[];
}

/** What a curve is drawn into: a canvas, a drawing library's path, the writer of a file. */
export interface PathContext {
  moveTo(x: number, y: number): void;
  lineTo(x: number, y: number): void;
  arc(x: number, y: number, radius: number, startAngle: number, endAngle: number, anticlockwise?: boolean): void;
  bezierCurveTo(x1: number, y1: number, x2: number, y2: number, x: number, y: number): void;
  closePath(): void;
}

export function trace({ from, strokes }: Curve, context: PathContext): void {
  context.moveTo(...from);
  for (const stroke of strokes) {
    if (stroke.kind === "line") context.lineTo(...stroke.to);
    else if (stroke.kind === "bend") context.bezierCurveTo(...stroke.out, ...stroke.into, ...stroke.to);
    else context.arc(stroke.x, stroke.y, stroke.radius, stroke.start, stroke.start + stroke.sweep, stroke.sweep < 0);
  }
  context.closePath();
}

/** A closed polygon whose sides stay within so many mm of the curve. */
export function flattened({ from, strokes }: Curve, within: number): Point[] {
  let [before, points] = [from, [from]];
  for (const stroke of strokes) {
    const steps = stepsFor(before, stroke, within);
    for (let i = 1; i <= steps; i++) points.push(pointOn(before, stroke, i / steps));
    before = points.at(-1)!;
  }
  const [[fx, fy], [lx, ly]] = [points[0]!, points.at(-1)!];
  if (points.length > 1 && Math.hypot(lx - fx, ly - fy) < SAME) points = points.slice(0, -1);
  return points;
}

/** Points nearer than this are one (mm). */
const SAME = 1e-9;

/** A chord over a turn of `a` on radius `r` lies r a^2 / 8 inside; over a bend, no further than 3/4 of its second difference over steps squared. */
function stepsFor(from: Point, stroke: Stroke, within: number): number {
  if (stroke.kind === "line") return 1;
  if (stroke.kind === "arc") return Math.max(1, Math.ceil(Math.abs(stroke.sweep) * Math.sqrt(stroke.radius / (8 * within))));
  const { out, into, to } = stroke;
  const second = (a: Point, b: Point, c: Point) => Math.hypot(a[0] - 2 * b[0] + c[0], a[1] - 2 * b[1] + c[1]);
  const bent = Math.max(second(from, out, into), second(out, into, to));
  return Math.max(1, Math.ceil(Math.sqrt((0.75 * bent) / within)));
}

/** The point a share of the way along a stroke: of an arc by its angle, of a bend by its parameter. */
export function pointOn([x, y]: Point, stroke: Stroke, share: number): Point {
  if (stroke.kind === "line") return [x + (stroke.to[0] - x) * share, y + (stroke.to[1] - y) * share];
  if (stroke.kind === "arc") {
    const angle = stroke.start + stroke.sweep * share;
    return [stroke.x + stroke.radius * Math.cos(angle), stroke.y + stroke.radius * Math.sin(angle)];
  }
  const rest = 1 - share;
  const [a, b, c, d] = [rest ** 3, 3 * rest * rest * share, 3 * rest * share * share, share ** 3];
  return [0, 1].map((i) => a * [x, y][i]! + b * stroke.out[i]! + c * stroke.into[i]! + d * stroke.to[i]!) as unknown as Point;
}

/** The box round a curve, in mm. */
export interface Box {
  readonly left: number;
  readonly right: number;
  readonly low: number;
  readonly high: number;
}

/** As it is drawn: to a hundredth of a millimetre. */
export function boxOf(curve: Curve): Box {
  const points = flattened(curve, 0.01);
  const reach = (i: 0 | 1, of: (a: number, b: number) => number) => points.map((point) => point[i]).reduce(of);
  const [least, most] = [(a: number, b: number) => Math.min(a, b), (a: number, b: number) => Math.max(a, b)];
  return { left: reach(0, least), right: reach(0, most), low: reach(1, least), high: reach(1, most) };
}

export function polygonCurve(points: readonly Point[]): Curve {
  return { from: points[0]!, strokes: points.slice(1).map((to): Stroke => ({ kind: "line", to })) };
}

/** A place that a curve passes: the way it heads there, and how far along it lies (mm). */
export interface Passed {
  readonly at: Point;
  /** The way out of the curve, a quarter turn to the right of the way along; of length 1. */
  readonly out: Point;
  readonly along: number;
}

/** A bend misses the places it passes over by no more than this (mm). */
const MISS = 3e-4;
const MOST_PASSED = 8;
/** A bend turns no further than this (radians): beyond, its middle alone does not show how far off it is. */
const MOST_TURN = Math.PI / 4;

/** Bends through places of a smooth run, as few as pass them all closely: each as long, and heading at its ends, as the run itself. */
export function bendsThrough(run: readonly Passed[]): Stroke[] {
  const strokes: Stroke[] = [];
  for (let i = 0; i < run.length - 1;) {
    let step = Math.min(MOST_PASSED, run.length - 1 - i);
    while (step > 1 && !passesClose(run, i, i + step)) step = step >> 1;
    strokes.push(bendBetween(run[i]!, run[i + step]!));
    i += step;
  }
  return strokes;
}

function turned({ out: [ax, ay] }: Passed, { out: [bx, by] }: Passed): number {
  return Math.atan2(ax * by - ay * bx, ax * bx + ay * by);
}

/** Of a run of a circle the handles are 4/3 tan(a / 4) of its radius, a the turn: so much for its length of any gentle run. */
function bendBetween(a: Passed, b: Passed): Extract<Stroke, { kind: "bend" }> {
  const turn = Math.abs(turned(a, b));
  const handle = (b.along - a.along) * (turn > 1e-6 ? (4 * Math.tan(turn / 4)) / (3 * turn) : 1 / 3);
  return {
    kind: "bend",
    out: [a.at[0] - a.out[1] * handle, a.at[1] + a.out[0] * handle],
    into: [b.at[0] + b.out[1] * handle, b.at[1] - b.out[0] * handle],
    to: b.at,
  };
}

function passesClose(run: readonly Passed[], from: number, to: number): boolean {
  const [a, b] = [run[from]!, run[to]!];
  if (Math.abs(turned(a, b)) > MOST_TURN) return false;
  const bend = bendBetween(a, b);
  for (let k = from + 1; k < to; k++) if (missedBy(a, b, bend, run[k]!) > MISS) return false;
  return true;
}

/** How far off a place lies, measured along the way out of the curve there. */
function missedBy(a: Passed, b: Passed, bend: Stroke, { at, out, along }: Passed): number {
  const share = (along - a.along) / (b.along - a.along);
  const off = (t: number): [number, number] => {
    const [x, y] = pointOn(a.at, bend, t);
    const [dx, dy] = [x - at[0], y - at[1]];
    return [dy * out[0] - dx * out[1], dx * out[0] + dy * out[1]];
  };
  const [past, miss] = off(share);
  const [pastNext, missNext] = off(share - past / (b.along - a.along));
  return Math.abs(pastNext) < Math.abs(past) ? Math.abs(missNext) : Math.abs(miss);
}
