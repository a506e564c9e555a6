import { bezelCurvature } from "../geometry/bezel-curvature";
import { type Corner, type Outline, withinOne } from "../geometry/outline";
import { tolerance } from "../measure/tolerances";

/** A run of an outline, anticlockwise; `to` may pass 1. */
export interface Run {
  readonly from: number;
  readonly to: number;
}

const STRAIGHTNESS = 0.3;
const FROM_CORNER_MM = 2;
const LEAST_RUN_MM = 2;
/** Nearer than this a seam is at the corner (mm). */
const AT_CORNER_MM = 0.5;
const FROM_CARRIER_MM = 4;
const CIRCLE_SEAM = 0.25;

/** Where a wall is folded rather than bent: points, and notches. */
export function foldedCorners(outline: Outline): readonly Corner[] {
  return bezelCurvature(outline).corners;
}

/**
 * The runs of the outline where `level`, a function of the curvature that a wall feels, is at least 0; edges by interpolation between places.
 * A corner ends a run. A run that closes on itself is { from: 0, to: 1 }.
 */
export function runsWhere(outline: Outline, level: (curvature: number) => number): Run[] {
  const { places } = bezelCurvature(outline);
  const n = places.length;
  const levels = places.map(({ curvature }) => level(curvature));
  const isIn = (i: number) => levels[i % n]! >= 0;
  const isBroken = (i: number) => places[i % n]!.isCorner && places[(i + 1) % n]!.isCorner;
  const place = (i: number) => places[i % n]!.at + Math.floor(i / n);
  const first = levels.findIndex((value, i) => value < 0 || isBroken(i));
  if (first < 0) return [{ from: 0, to: 1 }];
  const edge = (i: number) => {
    const [a, b] = [levels[i % n]!, levels[(i + 1) % n]!];
    return place(i) + ((place(i + 1) - place(i)) * a) / (a - b);
  };
  const runs: Run[] = [];
  let from: number | null = null;
  const end = (to: number) => {
    if (from === null || to - from < tolerance.samePlace) return;
    const turns = Math.floor(from);
    runs.push({ from: from - turns, to: to - turns });
  };
  for (let i = first; i <= first + n; i++) {
    if (isIn(i) && isBroken(i)) end(place(i));
    if (isBroken(i)) from = isIn(i + 1) ? place(i + 1) : null;
    else if (!isIn(i) && isIn(i + 1)) from = edge(i);
    else if (isIn(i) && !isIn(i + 1)) {
      end(edge(i));
      from = null;
    }
  }
  return runs;
}

/** The distance between two places, the short way round, as a share of the outline. */
export function apart(a: number, b: number): number {
  const gap = Math.abs(a - b) % 1;
  return Math.min(gap, 1 - gap);
}

/**
 * Where the seam lies best: the middle of the longest run, 2 mm or more, whose curvature is within 0.3 of a turn per length of the
 * smallest, clear of corners and, where another run serves as well, of the places a carrier meets. Where no run is as long, the middle of the
 * straightest 2 mm clear of corners; where no place is clear of them, the farthest. Ties go to the lowest place; a circle has its seam at 0.25.
 */
export function straightestPlace(outline: Outline, carrierPlaces: readonly number[]): number {
  const smooth = bezelCurvature(outline).places.filter(({ isCorner }) => !isCorner);
  const smallest = Math.min(...smooth.map(({ curvature }) => Math.abs(curvature)));
  const limit = smallest + (STRAIGHTNESS * 2 * Math.PI) / outline.perimeter;
  const runs = runsWhere(outline, (curvature) => limit - Math.abs(curvature))
    .map(({ from, to }) => ({ middle: withinOne((from + to) / 2), length: to - from }))
    .filter(({ middle, length }) => length * outline.perimeter >= LEAST_RUN_MM && isClearOfCorners(outline, middle));
  if (runs.some(({ length }) => length >= 1)) return CIRCLE_SEAM;
  const isClearOfCarrier = (at: number) => carrierPlaces.every((place) => apart(at, place) * outline.perimeter >= FROM_CARRIER_MM);
  if (runs.length === 0) return straightest(outline, isClearOfCarrier) ?? farthestFromCorners(outline);
  const clearOfCarrier = runs.filter(({ middle }) => isClearOfCarrier(middle));
  return longestThenLowest(clearOfCarrier.length > 0 ? clearOfCarrier : runs);
}

/**
 * The middle of the 2 mm, clear of corners and if possible of a carrier, that nowhere bend much: where an outline goes from a bulge into a hollow it does not
 * bend at one place, and is not straight for that. null where no place is clear of corners.
 */
function straightest(outline: Outline, isClearOfCarrier: (at: number) => boolean): number | null {
  const { places } = bezelCurvature(outline);
  const clear = places.flatMap(({ at, isCorner }, i) => (!isCorner && isClearOfCorners(outline, at) ? [i] : []));
  const free = clear.filter((i) => isClearOfCarrier(places[i]!.at));
  const mostRound = mostRoundWithin(places, LEAST_RUN_MM / 2 / outline.perimeter);
  const bends = (free.length > 0 ? free : clear).map((i) => ({ at: places[i]!.at, most: mostRound[i]! }));
  const least = Math.min(...bends.map(({ most }) => most));
  return bends.find(({ most }) => most <= least + tolerance.samePlace)?.at ?? null;
}

/** Of each place, the most that any place bends no further than a share of the outline from it, either way. */
function mostRoundWithin(places: readonly { readonly at: number; readonly curvature: number }[], share: number): number[] {
  const n = places.length;
  const place = (i: number) => places[((i % n) + n) % n]!;
  const isWithin = (j: number, i: number) => Math.abs(j - i) < n && apart(place(j).at, place(i).at) <= share;
  const bendOf = (j: number) => Math.abs(place(j).curvature);
  let low = 0;
  while (isWithin(low - 1, 0)) low--;
  let high = low - 1;
  // places of the window that no later one outdoes, from the roundest: the window only ever moves on
  const roundest: number[] = [];
  const enter = (j: number) => {
    while (roundest.length > 0 && bendOf(roundest.at(-1)!) <= bendOf(j)) roundest.pop();
    roundest.push(j);
  };
  return places.map((_, i) => {
    while (high < i || isWithin(high + 1, i)) enter(++high);
    while (!isWithin(low, i)) low++;
    while (roundest[0]! < low) roundest.shift();
    return bendOf(roundest[0]!);
  });
}

/** Whether a place lies far enough from every corner for a seam. */
export function isClearOfCorners(outline: Outline, at: number): boolean {
  return foldedCorners(outline).every((corner) => apart(at, corner.at) * outline.perimeter >= FROM_CORNER_MM);
}

/** Whether a seam there would be folded with a corner. */
export function isAtCorner(outline: Outline, at: number): boolean {
  return foldedCorners(outline).some((corner) => apart(at, corner.at) * outline.perimeter < AT_CORNER_MM);
}

/** Lengths that differ by less than rounding are equal, so that a symmetric outline gives the same side everywhere. */
function longestThenLowest(runs: readonly { middle: number; length: number }[]): number {
  const longest = Math.max(...runs.map((run) => run.length));
  return Math.min(...runs.filter((run) => longest - run.length < tolerance.samePlace).map((run) => run.middle));
}

function farthestFromCorners(outline: Outline): number {
  const clearance = (at: number) => Math.min(...foldedCorners(outline).map((corner) => apart(at, corner.at)));
  return bezelCurvature(outline).places.reduce((best, { at }) => (clearance(at) > clearance(best) + tolerance.samePlace ? at : best), 0);
}
