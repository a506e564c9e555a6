import { tolerance } from "../measure/tolerances";
import { leastBetween } from "./extremum";
import { type Corner, type Outline, type Place, type Point } from "./outline";
import { convexHull, distanceToPolygon } from "./polygon";

/** How much of an outline a wall feels at once (mm), and at the most (a share of its length). */
const AVERAGED_MM = 2;
const AVERAGED_SHARE = 1 / 12;
/** A turn of so much (radians) within so little (mm) is a corner. */
const CORNER = { turn: tolerance.cornerTurn, within: 0.2 } as const;
/** A notch is one when it is this deep (mm). */
const LEAST_NOTCH = 0.1;

/** A place of the outline with how it bends over what a wall feels there. */
export interface CurvaturePlace {
  readonly at: number;
  /** 1/mm, positive outward; the turn of corners left out. */
  readonly curvature: number;
  /** Whether it belongs to a corner. */
  readonly isCorner: boolean;
}

/** An outline as a wall bent round it feels it. */
export interface BezelCurvature {
  /** In order of `at`. Where a corner ends a run, two stand at the same place. */
  readonly places: readonly CurvaturePlace[];
  /** Points and notches, those that are rounded among them. */
  readonly corners: readonly Corner[];
  /** The greatest curvature of the smooth part; 0 where there is none. */
  readonly greatest: number;
}

const known = new WeakMap<Outline, BezelCurvature>();

/**
 * Curvature at a place is the turn of the tangent over the 2 mm of outline centred on it (a twelfth of the outline where that is less), over
 * that length. What turns 15 degrees or more within 0.2 mm is a corner, and left out of its neighbours' mean. A traced outline is bezelCurvature as what
 * is left of it once its noise is smoothed away: its corners a little, the turn between them more.
 */
export function bezelCurvature(outline: Outline): BezelCurvature {
  const now = known.get(outline);
  if (now) return now;
  const made = feltOf(outline.isTraced ? smoothed(outline) : exact(outline), outline);
  known.set(outline, made);
  return made;
}

/** A closed curve by how far it has turned. */
interface Turning {
  readonly length: number;
  /** How far round places lie (mm), rising from 0, and how far the curve has turned to there (radians); a jump is two at one place. */
  readonly along: readonly number[];
  readonly turned: readonly number[];
  /** How fast it turns there (1/mm). */
  readonly rate: readonly number[];
  /** The share of the outline that a place along it is, and what lies there. */
  at(along: number): number;
  placeAt(along: number): Place;
  /** How far it turns once round. */
  readonly whole: number;
  /** Where its direction jumps. */
  readonly folds: readonly Corner[];
}

/** A kink that is no corner bends like a curve over half of both its sides, as the stations there say. */
function exact(outline: Outline): Turning {
  const { stations, perimeter, corners } = outline;
  const [along, turned, rate]: [number[], number[], number[]] = [[], [], []];
  let [sum, kink] = [0, 0];
  for (const [i, station] of stations.entries()) {
    const before = stations[i - 1];
    const turn = before ? turnBetween(before, station, corners) : 0;
    const isKink = before?.at === station.at && Math.abs(turn) < CORNER.turn;
    if (isKink) {
      turned[turned.length - 1]! += turn / 2;
      sum += turn;
      continue;
    }
    sum += turn;
    along.push(station.at * perimeter);
    turned.push(sum);
    rate.push(station.curvature);
  }
  kink = turned[0]!;
  return {
    length: perimeter,
    along,
    turned: turned.map((each) => each - kink),
    rate,
    whole: TURN,
    at: (s) => s / perimeter,
    placeAt: (s) => outline.stationAt(s / perimeter),
    folds: corners.filter(({ turn }) => Math.abs(turn) >= CORNER.turn),
  };
}

/**
 * How far the curve has turned at any place, back and forth past its datum: between its places by the cubic that has their turn and rate
 * (an error of the fourth order), the rates held to three times the mean one so that it rises and falls only where they do.
 */
function turnedAt({ length, along, turned, rate, whole }: Turning, s: number): number {
  const laps = Math.floor(s / length);
  const within = s - laps * length;
  const i = lastUpTo(along, within);
  const [end, endTurned, endRate] =
    i + 1 < along.length ? [along[i + 1]!, turned[i + 1]!, rate[i + 1]!] : [length, turned[0]! + whole, rate[0]!];
  const step = end - along[i]!;
  const before = turned[i]! + laps * whole;
  if (step <= 0) return before;
  const turn = endTurned - turned[i]!;
  const mean = turn / step;
  const held = (value: number) => (value * mean <= 0 ? 0 : Math.sign(mean) * Math.min(Math.abs(value), 3 * Math.abs(mean)));
  const t = (within - along[i]!) / step;
  return before + turn * t * t * (3 - 2 * t) + step * t * (1 - t) * (held(rate[i]!) * (1 - t) - held(endRate) * t);
}

const TURN = 2 * Math.PI;

/** A cusp that turns right back is a notch, as the outline says. */
function turnBetween(a: Place, b: Place, corners: readonly Corner[]): number {
  const turn = Math.atan2(a.nx * b.ny - a.ny * b.nx, a.nx * b.nx + a.ny * b.ny);
  if (Math.abs(turn) < Math.PI - tolerance.sameHeading) return turn;
  return corners.find(({ x, y }) => x === b.x && y === b.y)?.turn ?? turn;
}

function lastUpTo(rising: readonly number[], value: number): number {
  let [low, high] = [0, rising.length - 1];
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if (rising[middle]! <= value) low = middle;
    else high = middle - 1;
  }
  return low;
}

/** How far a traced outline is smoothed (mm, the spread of a Gaussian mean): its places, and then its turn. How finely it is looked at. */
const SMOOTHED = { places: 0.15, turn: 0.6 } as const;
const SAMPLES = { per: 0.08, least: 256, most: 2048 } as const;
const SPREADS = 3;

/** The outline with its places taken as the mean of those round them. */
function smoothed(outline: Outline): Turning {
  const round = outline.hullPerimeter;
  const count = Math.min(SAMPLES.most, Math.max(SAMPLES.least, Math.round(round / SAMPLES.per)));
  const raw = evenly(outline, count);
  const spread = (SMOOTHED.places / round) * count;
  const [xs, ys] = [
    meaned(
      raw.map(([x]) => x),
      spread,
      0,
    ),
    meaned(
      raw.map(([, y]) => y),
      spread,
      0,
    ),
  ];
  return turningOf(xs.map((x, i): Point => [x, ys[i]!]));
}

/** Gaussian means of a list that closes on itself, or goes on by `lap` each time round; `spread` counts its members. */
function meaned(list: readonly number[], spread: number, lap: number): number[] {
  const n = list.length;
  const reach = Math.min(n - 1, Math.ceil(SPREADS * spread));
  const weights = Array.from({ length: 2 * reach + 1 }, (_, k) => Math.exp(-((k - reach) ** 2) / (2 * spread * spread)));
  const all = weights.reduce((sum, weight) => sum + weight, 0);
  // the list with as much before and behind it as is reached for
  const wide = Float64Array.from({ length: n + 2 * reach }, (_, k) => {
    const at = k - reach;
    return list[(at + n) % n]! + (at < 0 ? -lap : at >= n ? lap : 0);
  });
  return list.map((_, i) => {
    let sum = 0;
    for (let k = 0; k < weights.length; k++) sum += weights[k]! * wide[i + k]!;
    return sum / all;
  });
}

/** A traced outline's turning without its corners, smoothed. */
function evenlyTurning(turning: Turning, runs: readonly CornerRun[]): Turning {
  const { along, length } = turning;
  const cornered = runs.reduce((sum, run) => sum + turnedAt(turning, run.to) - turnedAt(turning, run.from), 0);
  const smooth = along.map((s) => turnedAt(turning, s) - turnOfCorners(turning, runs, 0, s));
  const turned = meaned(smooth, (SMOOTHED.turn / length) * along.length, TURN - cornered);
  return { ...turning, turned, whole: TURN - cornered };
}

/** Places evenly along the straight lines between stations. */
function evenly({ stations }: Outline, count: number): Point[] {
  const sums = [0];
  stations.forEach(({ x, y }, i) => {
    const next = stations[(i + 1) % stations.length]!;
    sums.push(sums[i]! + Math.hypot(next.x - x, next.y - y));
  });
  const whole = sums.at(-1)!;
  let i = 0;
  return Array.from({ length: count }, (_, k): Point => {
    const along = (k / count) * whole;
    while (i < stations.length - 1 && sums[i + 1]! <= along) i++;
    const [a, b] = [stations[i]!, stations[(i + 1) % stations.length]!];
    const share = sums[i + 1]! > sums[i]! ? (along - sums[i]!) / (sums[i + 1]! - sums[i]!) : 0;
    return [a.x + (b.x - a.x) * share, a.y + (b.y - a.y) * share];
  });
}

/** A fine polygon's turning, each corner's turn spread over half of both its sides. */
function turningOf(points: readonly Point[]): Turning {
  const n = points.length;
  const side = points.map(([x, y], i) => {
    const [nx, ny] = points[(i + 1) % n]!;
    return { angle: Math.atan2(ny - y, nx - x), length: Math.hypot(nx - x, ny - y) };
  });
  const at = (i: number) => side[(i + n) % n]!;
  const half = (i: number) => wrapped(at(i).angle - at(i - 1).angle) / 2;
  const [along, turned] = [[0], [0]];
  for (let i = 1; i < n; i++) {
    along.push(along[i - 1]! + side[i - 1]!.length);
    turned.push(turned[i - 1]! + half(i - 1) + half(i));
  }
  const place = (i: number): Place => {
    const [x, y] = points[i]!;
    const heading = at(i - 1).angle + half(i);
    return { at: i / n, x, y, nx: Math.sin(heading), ny: -Math.cos(heading) };
  };
  return {
    length: side.reduce((sum, { length }) => sum + length, 0),
    along,
    turned,
    whole: TURN,
    rate: points.map((_, i) => (4 * half(i)) / (at(i - 1).length + at(i).length)),
    at: (s) => {
      const i = lastUpTo(along, s);
      return (i + (s - along[i]!) / at(i).length) / n;
    },
    placeAt: (s) => place(lastUpTo(along, s)),
    folds: [],
  };
}

function wrapped(angle: number): number {
  return Math.atan2(Math.sin(angle), Math.cos(angle));
}

/** A run of the curve that is corner (mm along it, `to` past `from`). */
interface CornerRun {
  readonly from: number;
  readonly to: number;
  /** What is told of it: each of its folds, or else all of it as one. */
  readonly corners: readonly Corner[];
}

function feltOf(turning: Turning, outline: Outline): BezelCurvature {
  const { length } = turning;
  const along = lookedAt(turning);
  const runs = cornerRuns(turning, along);
  const half = Math.min(AVERAGED_MM, length * AVERAGED_SHARE) / 2;
  const between = outline.isTraced ? evenlyTurning(turning, runs) : turning;
  const curvatureAt = (s: number) => {
    const all = turnedAt(between, s + half) - turnedAt(between, s - half);
    return (outline.isTraced ? all : all - turnOfCorners(turning, runs, s - half, s + half)) / (2 * half);
  };
  const found = along.map((s): CurvaturePlace => ({
    at: turning.at(s),
    curvature: curvatureAt(s),
    isCorner: runs.some((run) => isWithin(run, s, length)),
  }));
  let best = -1;
  for (const [i, { curvature, isCorner }] of found.entries()) if (!isCorner && (best < 0 || curvature > found[best]!.curvature)) best = i;
  const corners = runs.flatMap((run) => run.corners);
  return {
    places: found,
    corners: corners.some(({ turn }) => turn < 0) ? corners.filter(isTold(outline)) : corners,
    greatest: best < 0 ? 0 : Math.max(0, found[best]!.curvature, sharpest(curvatureAt, along, best, length)),
  };
}

/** Places stand no further apart than this (mm), on a small stone than a share of its length; on a large one no closer than another. */
const APART = { mm: 0.25, share: 1 / 160, least: 1 / 400 } as const;

/** The curve's own places, and more where they lie far apart. */
function lookedAt({ along, length }: Turning): number[] {
  const most = Math.max(length * APART.least, Math.min(APART.mm, length * APART.share));
  return along.flatMap((s, i) => {
    const gap = (along[i + 1] ?? length) - s;
    const steps = Math.max(1, Math.ceil(gap / most));
    return Array.from({ length: steps }, (_, k) => s + (gap * k) / steps);
  });
}

/** Points, and notches that are deep enough below the hull. */
function isTold({ stations }: Outline): (corner: Corner) => boolean {
  const hull = convexHull(stations.map(({ x, y }): Point => [x, y]));
  return ({ turn, x, y }) => turn > 0 || distanceToPolygon(hull, [x, y]) >= LEAST_NOTCH;
}

/** The greatest curvature between the neighbours of the place where it was found greatest. */
function sharpest(curvatureAt: (s: number) => number, along: readonly number[], best: number, length: number): number {
  const n = along.length;
  const before = along[(best + n - 1) % n]! - (best === 0 ? length : 0);
  const after = along[(best + 1) % n]! + (best === n - 1 ? length : 0);
  return curvatureAt(leastBetween((s) => -curvatureAt(s), before, after, FINE));
}

/** Thirds cut off a step between places: finer than curvature changes in. */
const FINE = 24;

/** Where the curve turns 15 degrees or more within 0.2 mm: all of it that lies in such a stretch. */
function cornerRuns(turning: Turning, along: readonly number[]): CornerRun[] {
  const { length } = turning;
  const isBlunt = turning.rate.every((rate) => Math.abs(rate) * CORNER.within < CORNER.turn);
  if (turning.folds.length === 0 && isBlunt) return [];
  const half = Math.min(CORNER.within, length * AVERAGED_SHARE) / 2;
  const isSharp = along.map((s) => Math.abs(turnedAt(turning, s + half) - turnedAt(turning, s - half)) >= CORNER.turn);
  const n = along.length;
  const first = isSharp.indexOf(false);
  if (first < 0) return [];
  const runs: CornerRun[] = [];
  for (let i = 1; i <= n; i++) {
    const start = (first + i) % n;
    if (!isSharp[start] || isSharp[(start + n - 1) % n]) continue;
    let end = start;
    while (isSharp[(end + 1) % n]) end = (end + 1) % n;
    const from = along[start]! - half;
    const to = along[end]! + (end < start ? length : 0) + half;
    const folds = turning.folds.filter(({ at }) => isWithin({ from, to }, at * length, length));
    runs.push({ from, to, corners: folds.length > 0 ? folds : bend(start, end, from, to) });
  }
  return runs;

  /** A rounded corner, at the place by which half of it is turned; none where it turns back again. */
  function bend(start: number, end: number, from: number, to: number): Corner[] {
    const before = turnedAt(turning, from);
    const turn = turnedAt(turning, to) - before;
    if (Math.abs(turn) < CORNER.turn) return [];
    let i = start;
    const done = (k: number) => turnedAt(turning, along[k]! + (k < start ? length : 0)) - before;
    while (i !== end && done(i) / turn < 0.5) i = (i + 1) % n;
    const { at, x, y, nx, ny } = turning.placeAt(along[i]!);
    return [{ at, x, y, nx, ny, turn }];
  }
}

function isWithin({ from, to }: Pick<CornerRun, "from" | "to">, s: number, length: number): boolean {
  return [s - length, s, s + length].some((each) => each >= from && each <= to);
}

/** The turn of corners that lie between two places, or of as much of them as does. */
function turnOfCorners(turning: Turning, runs: readonly CornerRun[], from: number, to: number): number {
  let turn = 0;
  for (const run of runs)
    for (const lap of [-turning.length, 0, turning.length]) {
      const [a, b] = [Math.max(from, run.from + lap), Math.min(to, run.to + lap)];
      if (b > a) turn += turnedAt(turning, b) - turnedAt(turning, a);
    }
  return turn;
}
