import { type Curve, type Stroke, flattened, pointOn, strokeLength } from "./curve";
import { facing } from "./facing";
import { type Loop, type Outline, type Place, type Point, outward } from "./outline";
import { lineCentre, polygonCentre, polygonExtent } from "./polygon";

/** How far a line lies outside an outline along a run of it, in mm; `to` may pass 1. */
export interface Reach {
  readonly from: number;
  readonly to: number;
  readonly out: number;
}

/** The greatest of it anywhere. */
export function furthest(reaches: readonly Reach[]): number {
  return Math.max(...reaches.map(({ out }) => out));
}

/** How far out it lies at a place. */
export function reachAt(reaches: readonly Reach[], at: number): number {
  const found = reaches.find(({ from, to }) => (at >= from && at < to) || (at + 1 >= from && at + 1 < to));
  if (!found) throw new RangeError(`no reach at ${at}`);
  return found.out;
}

/** How far out it lies where the outline faces furthest along a direction (radians from +x). */
export function reachAlong(outline: Outline, reaches: readonly Reach[], direction: number): number {
  const [only] = reaches;
  return reaches.length === 1 ? only!.out : reachAt(reaches, facing(outline, direction));
}

/** The same further out everywhere. */
export function widened(reaches: readonly Reach[], by: number): Reach[] {
  return reaches.map((reach) => ({ ...reach, out: reach.out + by }));
}

/**
 * The line that lies as far outside an outline as each run of it says, the runs in order and all round: along each its parallel curve, between
 * them straight out. Over a run as long as s whose parallel is l at distance d the band's area is d (s + l) / 2.
 */
export function steppedOut(outline: Outline, reaches: readonly Reach[]): Loop {
  const [first] = reaches as [Reach];
  if (reaches.every(({ out }) => out === first.out)) return outward(outline, first.out);
  const runs = reaches.map((reach) => runAlong(outline, reach));
  const rises = reaches.map(({ out }, i) => Math.abs(reaches[(i + 1) % reaches.length]!.out - out));
  let whole: Curve | null = null;
  let drawn: Point[] | null = null;
  let weighed: Point[] | null = null;
  const curve = () => (whole ??= joined(outline, runs));
  const points = () => (drawn ??= flattened(curve(), DRAWN));
  const fine = () => (weighed ??= flattened(curve(), WEIGHED));
  return {
    length: runs.reduce((sum, { length }) => sum + length, 0) + rises.reduce((sum, rise) => sum + rise, 0),
    area: runs.reduce((sum, run) => sum + run.area, outline.area),
    extent: (direction) => polygonExtent(fine())(direction),
    balance: () => ({ area: polygonCentre(fine()), line: lineCentre(fine()) }),
    curve,
    points,
    lengthTo: (place) => lengthTo(runs, rises, place),
  };
}

/** How closely it is drawn, and how closely weighed (mm). */
const DRAWN = 1.5e-3;
const WEIGHED = 1e-4;

interface Run {
  readonly reach: Reach;
  readonly loop: Loop;
  /** Along the loop, from where it starts. */
  readonly start: number;
  readonly length: number;
  /** Of the band between it and the outline. */
  readonly area: number;
}

function runAlong(outline: Outline, reach: Reach): Run {
  const loop = outward(outline, reach.out);
  const [start, end] = [reach.from, reach.to].map((at) => loop.lengthTo(outline.stationAt(at))) as [number, number];
  const share = reach.to - reach.from;
  const length = share >= 1 ? loop.length : (end - start + loop.length) % loop.length;
  const own = (loop.area - outline.area) / ((reach.out * (outline.perimeter + loop.length)) / 2 || 1);
  return { reach, loop, start, length, area: (own * reach.out * (share * outline.perimeter + length)) / 2 };
}

/** The runs' own parts of their curves, each from the one before it straight out or in. */
function joined(outline: Outline, runs: readonly Run[]): Curve {
  const parts = runs.map(({ reach, loop, start, length }) => ({
    begins: placeOut(outline, reach.from, reach.out),
    ends: placeOut(outline, reach.to, reach.out),
    strokes: partOf(loop, start, length),
  }));
  const strokes = parts.flatMap(({ ends, strokes: own }, i): Stroke[] => [
    ...own,
    { kind: "line", to: ends },
    { kind: "line", to: parts[(i + 1) % parts.length]!.begins },
  ]);
  return { from: parts[0]!.begins, strokes };
}

function placeOut(outline: Outline, at: number, out: number): Point {
  const { x, y, nx, ny } = outline.stationAt(at);
  return [x + nx * out, y + ny * out];
}

/** A curve's strokes, where each begins along it and how long it is, in mm. */
interface Measured {
  readonly strokes: readonly { readonly before: Point; readonly stroke: Stroke; readonly at: number; readonly long: number }[];
  readonly length: number;
}

const measured = new WeakMap<Curve, Measured>();

/** Kept with the curve, which is there for as long as the outline's shape: what lies on it is moved far more often. */
function measuredOf(curve: Curve): Measured {
  const known = measured.get(curve);
  if (known) return known;
  let [before, length] = [curve.from, 0];
  const strokes = curve.strokes.map((stroke) => {
    const own = { before, stroke, at: length, long: strokeLength(before, stroke) };
    [before, length] = [pointOn(before, stroke, 1), length + own.long];
    return own;
  });
  const made = { strokes, length };
  measured.set(curve, made);
  return made;
}

/** The strokes of a loop over a length of it, cut at its ends. */
function partOf(loop: Loop, start: number, length: number): Stroke[] {
  const { strokes, length: whole } = measuredOf(loop.curve());
  const scale = whole / loop.length;
  const [begin, end] = [start * scale, (start + length) * scale];
  return [0, whole].flatMap((turn) =>
    strokes.flatMap(({ before: from, stroke, at: place, long }) => {
      const [a, b] = [Math.max(begin, place + turn), Math.min(end, place + turn + long)];
      return b - a > NOTHING && long > 0 ? [cut(from, stroke, (a - place - turn) / long, (b - place - turn) / long)] : [];
    }),
  );
}

const NOTHING = 1e-9;
/** The part of a stroke between two shares of it; of a bend by de Casteljau's rule. */
function cut(from: Point, stroke: Stroke, a: number, b: number): Stroke {
  if (stroke.kind === "line") return { kind: "line", to: pointOn(from, stroke, b) };
  if (stroke.kind === "arc") return { ...stroke, start: stroke.start + stroke.sweep * a, sweep: stroke.sweep * (b - a) };
  const between = (p: Point, q: Point, share: number): Point => [p[0] + (q[0] - p[0]) * share, p[1] + (q[1] - p[1]) * share];
  const blossom = (s: number, t: number, u: number): Point => {
    const [p, q, r] = [between(from, stroke.out, s), between(stroke.out, stroke.into, s), between(stroke.into, stroke.to, s)];
    return between(between(p, q, t), between(q, r, t), u);
  };
  return { kind: "bend", out: blossom(a, a, b), into: blossom(a, b, b), to: blossom(b, b, b) };
}

function lengthTo(runs: readonly Run[], rises: readonly number[], place: Place): number {
  let before = 0;
  for (const [i, { reach, loop, start, length }] of runs.entries()) {
    const past = (place.at - reach.from + 1) % 1;
    if (past <= reach.to - reach.from) return before + Math.min(length, (loop.lengthTo(place) - start + loop.length) % loop.length);
    before += length + rises[i]!;
  }
  return 0;
}
