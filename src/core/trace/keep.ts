import { type Point } from "../geometry/outline";
import { type Free, freeSpans } from "../stone/shapes/free";

/** How near to the traced edge the curve through the points kept has to stay (mm). */
export const KEPT_WITHIN = 0.012;
/** No outline keeps more. */
export const MOST_POINTS = 400;

/** Places looked at between two points. */
const LOOKS = 8;

/**
 * Few points of a dense closed line, anticlockwise, whose free-form curve stays within KEPT_WITHIN of it; the first is the one of greatest x.
 * Points are put between two where the curve strays, until it nowhere does or there are MOST_POINTS. Corners are kept.
 *
 * @param corners where in the list they stand
 */
export function keptPoints(line: readonly Point[], corners: readonly number[]): Point[] {
  const tries = STARTS.map((start) => keptFrom(line, corners, start));
  return tries.reduce((best, each) => (each.length < best.length ? each : best));
}

/** Points begun with, evenly: which leads to the fewest is tried. */
const STARTS = [8, 11, 15, 20] as const;

function keptFrom(line: readonly Point[], corners: readonly number[], start: number): Point[] {
  const n = line.length;
  const first = line.reduce((best, [x], i) => (x > line[best]![0] ? i : best), 0);
  const at = (i: number) => line[(first + i) % n]!;
  const sharp = corners.map((i) => (i - first + n) % n);
  let kept = [...new Set([...Array.from({ length: start }, (_, i) => Math.round((i * n) / start)), ...sharp])].sort((a, b) => a - b);
  for (;;) {
    const strays = strayed(kept, at, n);
    if (strays.every((far) => far <= KEPT_WITHIN) || kept.length >= MOST_POINTS) return kept.map(at);
    // near the most points there can be, only where it strays most
    const limit = Math.max(KEPT_WITHIN, [...strays].sort((a, b) => b - a)[MOST_POINTS - kept.length] ?? 0);
    const next: number[] = [];
    kept.forEach((from, k) => {
      const to = kept[k + 1] ?? n;
      next.push(from);
      if (strays[k]! > limit && to - from > 1) next.push(Math.round((from + to) / 2));
    });
    if (next.length === kept.length) return kept.map(at);
    kept = next;
  }
}

/** A place of the curve lies near the line's own place at the same share of the way, within this share of it. */
const ASIDE = 0.2;

/** How far the curve strays from the line between each point and the next. */
function strayed(kept: readonly number[], at: (i: number) => Point, n: number): number[] {
  const outline: Free = { shape: "free", points: kept.map(at) };
  const spans = freeSpans(outline);
  return spans.map((span, k) => {
    const [from, to] = [kept[k]!, kept[k + 1] ?? n];
    let far = 0;
    for (let look = 1; look < LOOKS; look++) {
      const { x, y } = span(look / LOOKS);
      const about = from + ((to - from) * look) / LOOKS;
      const reach = (to - from) * ASIDE + 2;
      far = Math.max(far, nearest(at, Math.max(from, Math.floor(about - reach)), Math.min(to, Math.ceil(about + reach)), [x, y]));
    }
    return far;
  });
}

function nearest(at: (i: number) => Point, from: number, to: number, [x, y]: Point): number {
  let least = Infinity;
  for (let i = from; i < to; i++) {
    const [[ax, ay], [bx, by]] = [at(i), at(i + 1)];
    const [dx, dy] = [bx - ax, by - ay];
    const squared = dx * dx + dy * dy;
    const share = squared === 0 ? 0 : Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / squared));
    least = Math.min(least, Math.hypot(ax + dx * share - x, ay + dy * share - y));
  }
  return least;
}
