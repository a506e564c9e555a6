import { type Track, chordStep, trackOf } from "../../geometry/chords";
import { type Outline, outward } from "../../geometry/outline";
import { type Finding, finding } from "../../measure/finding";
import { type LayerAsked } from "./layer";
import { layerKey } from "./wire-work";

/** Smaller than this a bead melts before the plate is hot (mm). */
const LEAST_BEAD = 0.6;
/** What rounding leaves short of a whole ring (mm). */
const CLOSED = 1e-9;
/** More beads than this are not laid round any stone. */
const MOST = 4000;

/** A note where a ball is too small to be soldered. */
export function smallBead({ mount, layer }: LayerAsked): Finding[] {
  const { width } = layer;
  return width < LEAST_BEAD
    ? [finding("ornament.small-bead", "warning", layerKey(mount, layer.id), { width, least: LEAST_BEAD }, mount)]
    : [];
}

/** Beads that touch along a line: where the middle of each lies along it, and what is left over (mm). */
export interface Row {
  readonly at: readonly number[];
  readonly gap: number;
}

/** As many as go round a closed line in chords of their width. */
export function rowRound(track: Track, width: number): Row {
  const at: number[] = [];
  let [along, gap] = [0, track.length];
  while (at.length < MOST) {
    const next = chordStep(track, along, width);
    if (next === null || next > track.length + CLOSED) break;
    at.push(along);
    along = next;
    gap = Math.max(0, track.length - along);
  }
  return { at, gap };
}

/** As many as fit on a stretch, the first and the last with its middle half a bead inside the ends; what is left over lies half at each. */
export function rowAlong(track: Track, from: number, length: number, width: number): Row {
  const room = length - width;
  if (room < -CLOSED) return { at: [], gap: length };
  const places = (start: number) => {
    const at = [start];
    while (at.length < MOST) {
      const next = chordStep(track, at.at(-1)!, width);
      if (next === null || next - start > room + CLOSED) return at;
      at.push(next);
    }
    return at;
  };
  const at = places(from + width / 2);
  const gap = Math.max(0, room - (at.at(-1)! - at[0]!));
  return { at: places(from + width / 2 + gap / 2).slice(0, at.length), gap };
}

const MOST_STEPS = 30;

/**
 * The width at which so many beads close exactly: they touch what they lie against, so the line moves out with them. On a circle of radius R it is
 * 2 R sin(pi / N) / (1 - sin(pi / N)). Null where so few do not close at any width.
 */
export function closingWidth(outline: Outline, start: number, count: number, width: number): number | null {
  if (count < 3) return null;
  const left = (each: number): number | null => {
    if (each <= 0) return null;
    const track = trackOf(outward(outline, start + each / 2));
    let along = 0;
    for (let i = 0; i < count; i++) {
      const next = chordStep(track, along, each);
      if (next === null) return null;
      along = next;
    }
    return track.length - along;
  };
  let [before, gap] = [width, left(width)];
  if (gap === null) return null;
  let now = width + gap / (count - Math.PI);
  for (let i = 0; i < MOST_STEPS; i++) {
    const next = left(now);
    if (next === null) return null;
    if (Math.abs(next) < CLOSED / 100 || next === gap) return now;
    [before, now, gap] = [now, now - (next * (now - before)) / (next - gap), next];
  }
  return null;
}
