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
  const { out, into, to } = stroke;
  return [cubic(x, out[0], into[0], to[0], share), cubic(y, out[1], into[1], to[1], share)];
}

const CHORDS = 8;

/** How long each even share of a stroke is, in mm: a bend by so many chords, a line or an arc as a whole. */
export function strokeShares(from: Point, stroke: Stroke): readonly number[] {
  if (stroke.kind === "arc") return [stroke.radius * Math.abs(stroke.sweep)];
  if (stroke.kind === "line") return [Math.hypot(stroke.to[0] - from[0], stroke.to[1] - from[1])];
  let before = from;
  return Array.from({ length: CHORDS }, (_, i) => {
    const next = pointOn(from, stroke, (i + 1) / CHORDS);
    const long = Math.hypot(next[0] - before[0], next[1] - before[1]);
    before = next;
    return long;
  });
}

export function strokeLength(from: Point, stroke: Stroke): number {
  return strokeShares(from, stroke).reduce((all, each) => all + each, 0);
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

function cubic(a: number, b: number, c: number, d: number, t: number): number {
  const rest = 1 - t;
  return rest * rest * (rest * a + 3 * t * b) + t * t * (3 * rest * c + t * d);
}

/** A circle, round the origin unless said otherwise, from +x. */
export function circle(radius: number, [x, y]: Point = [0, 0]): Curve {
  const half = (start: number): Stroke => ({ kind: "arc", x, y, radius, start, sweep: Math.PI });
  return { from: [x + radius, y], strokes: [half(0), half(Math.PI)] };
}

/** Turned over in the x axis; it goes round the other way. */
export function mirrored({ from, strokes }: Curve): Curve {
  const over = ([x, y]: Point): Point => [x, -y];
  return {
    from: over(from),
    strokes: strokes.map((stroke): Stroke => {
      if (stroke.kind === "line") return { ...stroke, to: over(stroke.to) };
      if (stroke.kind === "arc") return { ...stroke, y: -stroke.y, start: -stroke.start, sweep: -stroke.sweep };
      return { kind: "bend", out: over(stroke.out), into: over(stroke.into), to: over(stroke.to) };
    }),
  };
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
  /** How far it has turned by then (radians). */
  readonly turn: number;
}

/** A bend misses the place in its middle, where it lies furthest off, by no more than this (mm). */
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

/** Of a run of a circle the handles are 4/3 tan(a / 4) of its radius, a the turn: so much for its length of any gentle run. */
function bendBetween(a: Passed, b: Passed): Extract<Stroke, { kind: "bend" }> {
  const turn = Math.abs(b.turn - a.turn);
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
  if (Math.abs(b.turn - a.turn) > MOST_TURN) return false;
  const bend = bendBetween(a, b);
  return missedBy(a, b, bend, run[(from + to) >> 1]!) < MISS;
}

/** How far off a place lies, measured along the way out of the curve there: the bend is met by one step of Newton's rule from its share of the length. */
function missedBy(a: Passed, b: Passed, { out, into, to }: Extract<Stroke, { kind: "bend" }>, place: Passed): number {
  const [nx, ny] = place.out;
  const long = b.along - a.along;
  let t = (place.along - a.along) / long;
  let miss = 0;
  for (let step = 0; step < 2; step++) {
    const dx = cubic(a.at[0], out[0], into[0], to[0], t) - place.at[0];
    const dy = cubic(a.at[1], out[1], into[1], to[1], t) - place.at[1];
    miss = Math.abs(dx * nx + dy * ny);
    t -= (dy * nx - dx * ny) / long;
  }
  return miss;
}
