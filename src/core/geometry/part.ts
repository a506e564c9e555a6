import { type Curve, type Stroke, pointOn, strokeLength } from "./curve";
import { type Loop, type Point } from "./outline";

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
export function partOf(loop: Loop, start: number, length: number): Stroke[] {
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
