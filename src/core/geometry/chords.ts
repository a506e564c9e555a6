import { type Stroke, pointOn, strokeShares } from "./curve";
import { type Loop, type Point } from "./outline";

/** A closed curve by how far along it a place lies (mm); what passes its length goes round again. */
export interface Track {
  readonly length: number;
  pointAt(along: number): Point;
}

interface Run {
  readonly from: Point;
  readonly stroke: Stroke;
  /** The share of its stroke that it begins at, and how much of it it is. */
  readonly share: number;
  readonly of: number;
}

const tracks = new WeakMap<Loop, Track>();

/** A loop as a track: exactly along its lines and arcs, along a bend by eighths of it. Kept with the loop, which many layers lie along. */
export function trackOf(loop: Loop): Track {
  const known = tracks.get(loop);
  if (known) return known;
  const made = trackAlong(loop);
  tracks.set(loop, made);
  return made;
}

function trackAlong(loop: Loop): Track {
  const { from, strokes } = loop.curve();
  const ends: number[] = [];
  const runs: Run[] = [];
  let [before, along] = [from, 0];
  for (const stroke of strokes) {
    const shares = strokeShares(before, stroke);
    shares.forEach((long, i) => {
      runs.push({ from: before, stroke, share: i / shares.length, of: 1 / shares.length });
      ends.push((along += long));
    });
    before = pointOn(before, stroke, 1);
  }
  const scale = along / loop.length;
  return {
    length: loop.length,
    pointAt: (at) => {
      const s = (((at % loop.length) + loop.length) % loop.length) * scale;
      const i = firstAbove(ends, s);
      const start = i === 0 ? 0 : ends[i - 1]!;
      const { from, stroke, share, of } = runs[i]!;
      return pointOn(from, stroke, share + of * Math.min(1, (s - start) / (ends[i]! - start || 1)));
    },
  };
}

/** The first of rising numbers that is above one; the last where none is. */
function firstAbove(rising: readonly number[], value: number): number {
  let [low, high] = [0, rising.length - 1];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (rising[middle]! > value) high = middle;
    else low = middle + 1;
  }
  return low;
}

/** A step looks this share of its chord further at a time until it is far enough off. */
const LOOK = 0.1;
/** How closely a chord is met (mm). */
const CLOSE = 1e-12;
const MOST_TRIES = 60;

/** The next place along a track that lies a chord away in a straight line; null where the track comes no further off than that. */
export function chordStep(track: Track, from: number, chord: number): number | null {
  const [x, y] = track.pointAt(from);
  const short = (at: number) => {
    const [px, py] = track.pointAt(at);
    return chord - Math.hypot(px - x, py - y);
  };
  let [low, high] = [from, from + chord];
  let [before, after] = [chord, short(high)];
  while (after > CLOSE) {
    if (high - from > track.length) return null;
    [low, before] = [high, after];
    high += chord * LOOK;
    after = short(high);
  }
  return Math.abs(after) <= CLOSE ? high : crossing(short, [low, before], [high, after]);
}

/** Where a function falls through 0 between two places: regula falsi, the weight of an end halved when it stays a second time (Illinois). */
function crossing(of: (at: number) => number, low: readonly [number, number], high: readonly [number, number]): number {
  let [a, fa] = low;
  let [b, fb] = high;
  let moved: "a" | "b" | null = null;
  for (let i = 0; i < MOST_TRIES; i++) {
    const middle = (a * fb - b * fa) / (fb - fa);
    const value = of(middle);
    if (Math.abs(value) <= CLOSE || b - a < CLOSE) return middle;
    if (value > 0) {
      [a, fa] = [middle, value];
      if (moved === "a") fb /= 2;
      moved = "a";
    } else {
      [b, fb] = [middle, value];
      if (moved === "b") fa /= 2;
      moved = "b";
    }
  }
  return (a + b) / 2;
}
