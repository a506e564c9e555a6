import { type Colour, type Spread, Tally, addedSpread, discriminant, scaledSpread } from "./colour";
import { type Pixels, type Spot } from "./pixels";
import { type Profiles, type Ring, profilesOf, ringOf } from "./profiles";

/** What the stone and what it lies on look like. */
export interface Sides {
  /** Mean colour inside less that outside. */
  readonly apart: Colour;
  /** How far both spread, with the noise; and with the outside counted more, so that ruled lines and shadow are told from the edge. */
  readonly spread: Spread;
  readonly wary: Spread;
}

/** How much more the outside's spread counts while the edge is looked for. */
const WARY = 4;

/** The edge as it is found along each normal of a ring. */
export interface Edge {
  readonly ring: Ring;
  /** Pixels out from the ring to the steepest place. */
  readonly out: Float64Array;
  /** How much steeper it is there than noise would be: its slope over the noise's own, 0 where there is none. */
  readonly clear: Float64Array;
}

/** How far colours are told apart from the edge itself, on both sides, and no further than this (pixels). */
const BESIDE = 2;

/** The spread of both sides of a ring, not nearer to it than `reach` pixels, with the picture's noise. */
export function sidesOf(picture: Pixels, ring: Ring, reach: number, noise: number): Sides {
  const wide = profilesOf(picture, ring, 2 * reach, Math.max(1, reach / 4));
  const [inside, outside] = [new Tally(), new Tally()];
  const half = (wide.places - 1) / 2;
  const gap = Math.ceil(reach / 2 / wide.every);
  for (let i = 0; i < wide.count; i++)
    for (let k = -half; k <= half; k++) {
      if (Math.abs(k) < gap) continue;
      const at = (i * wide.places + k + half) * 3;
      const [r, g, b] = [wide.colours[at]!, wide.colours[at + 1]!, wide.colours[at + 2]!];
      (k < 0 ? inside : outside).add(r, g, b);
    }
  const [own, paper] = [inside.spread(), outside.spread()];
  const [ours, theirs] = [inside.mean(), outside.mean()];
  const alike = noise * noise + 4;
  return {
    apart: [ours[0] - theirs[0], ours[1] - theirs[1], ours[2] - theirs[2]],
    spread: addedSpread(own, paper, alike),
    wary: addedSpread(own, scaledSpread(paper, WARY), alike),
  };
}

/**
 * How fast each profile turns from stone to paper at each of its places, over what noise alone would show. Along the normal the slope of a
 * Gaussian of `soft` places; along the ring a mean of `beside` profiles each way. Seen along the direction in which the two sides beside that
 * very place differ most from what varies anyway.
 */
function slopesOf(
  profiles: Profiles,
  apart: Colour,
  spread: Spread,
  kernel: readonly number[],
  beside: number,
  noise: number,
): { slopes: Float32Array; values: Float32Array } {
  const { count, places, colours } = profiles;
  const directions = directionsOf(profiles, apart, spread);
  const half = (kernel.length - 1) / 2;
  const weights = Float64Array.from(kernel);
  const root = Math.sqrt(kernel.reduce((sum, each) => sum + each * each, 0) / (2 * beside + 1));
  const seen = new Float32Array(count * places);
  for (let i = 0; i < count; i++) {
    const [r, g, b] = directions[i]!;
    const per = 1 / (root * (noise + 0.5) * Math.hypot(r, g, b));
    const [wr, wg, wb] = [r * per, g * per, b * per];
    for (let k = i * places, o = k * 3; k < (i + 1) * places; k++, o += 3)
      seen[k] = wr * colours[o]! + wg * colours[o + 1]! + wb * colours[o + 2]!;
  }
  const values = meansBeside(seen, count, places, beside);
  const slopes = new Float32Array(count * places);
  // continued beyond both ends, so that the kernel always finds a value
  const padded = new Float64Array(places + 2 * half);
  for (let i = 0; i < count; i++) {
    const from = i * places;
    for (let k = 0; k < padded.length; k++) padded[k] = values[from + Math.min(places - 1, Math.max(0, k - half))]!;
    for (let k = 0; k < places; k++) {
      let slope = 0;
      for (let m = 0; m < weights.length; m++) slope += weights[m]! * padded[k + m]!;
      slopes[from + k] = slope;
    }
  }
  return { slopes, values };
}

/** At each place the mean over so many profiles each way along the ring. */
function meansBeside(values: Float32Array, count: number, places: number, beside: number): Float32Array {
  if (beside === 0) return values;
  const means = new Float32Array(count * places);
  const share = 1 / (2 * beside + 1);
  for (let i = 0; i < count; i++)
    for (let j = -beside; j <= beside; j++) {
      const from = ((i + j + count) % count) * places;
      for (let k = 0; k < places; k++) means[i * places + k]! += share * values[from + k]!;
    }
  return means;
}

/** How far inside a place the stone must look like the stone (pixels), and from where inwards it surely does. */
const JUST_INSIDE = 2.5;
const WELL_INSIDE = 4;

/** Slopes count less where what lies just inside is no longer the stone: the far side of a ruled line that runs along the edge is no edge. */
function trustedSlopes(
  { count, places, every }: Profiles,
  { slopes, values }: { slopes: Float32Array; values: Float32Array },
): Float32Array {
  const trusted = slopes.slice();
  for (let i = 0; i < count; i++)
    distrust(values.subarray(i * places, (i + 1) * places), trusted.subarray(i * places, (i + 1) * places), every);
  return trusted;
}

function distrust(values: Float32Array, slopes: Float32Array, every: number): void {
  const half = (values.length - 1) / 2;
  const well = Math.round(WELL_INSIDE / every);
  const back = Math.round(JUST_INSIDE / every);
  const mean = (from: number, to: number) => {
    let sum = 0;
    for (let k = from; k <= to; k++) sum += values[k]!;
    return sum / (to - from + 1);
  };
  if (half - well < 2) return;
  const inside = mean(0, half - well);
  const whole = inside - mean(half + well, values.length - 1);
  if (whole <= 0) return;
  for (let k = back + 1; k < slopes.length; k++) {
    const left = (inside - mean(k - back - 1, k - back + 1)) / whole;
    slopes[k]! *= Math.max(0, Math.min(1, 1.5 - 2 * left));
  }
}

/** For each profile: the difference of its own two sides, smoothed round the ring and held to the whole ring's, seen against the spread. */
function directionsOf(profiles: Profiles, whole: Colour, spread: Spread): Colour[] {
  const { count, places, colours, every } = profiles;
  const half = (places - 1) / 2;
  const gap = Math.min(Math.ceil(BESIDE / every), Math.floor(half / 2));
  const own = [0, 1, 2].map(() => new Float64Array(count));
  for (let i = 0; i < count; i++)
    for (let c = 0; c < 3; c++) {
      let difference = 0;
      for (let k = gap; k <= half; k++) difference += colours[(i * places + half - k) * 3 + c]! - colours[(i * places + half + k) * 3 + c]!;
      own[c]![i] = difference / (half - gap + 1);
    }
  const over = Math.max(1, Math.round(count / 60));
  const smooth = own.map((each) => roundMean(each, over));
  return Array.from({ length: count }, (_, i) =>
    discriminant(spread, [smooth[0]![i]! + 0.3 * whole[0], smooth[1]![i]! + 0.3 * whole[1], smooth[2]![i]! + 0.3 * whole[2]]),
  );
}

/** The mean over so many values each way, of a list that closes on itself. */
export function roundMean(values: Float64Array, over: number): Float64Array {
  const n = values.length;
  const means = new Float64Array(n);
  let sum = 0;
  for (let i = -over; i <= over; i++) sum += values[((i % n) + n) % n]!;
  for (let i = 0; i < n; i++) {
    means[i] = sum / (2 * over + 1);
    sum += values[(i + over + 1) % n]! - values[(((i - over) % n) + n) % n]!;
  }
  return means;
}

/** Weights of the slope of a Gaussian, falling outward counted as above 0, of a step of height 1 at most 1 / (deviation x root of 2 pi). */
function slopeKernel(deviation: number): number[] {
  const half = Math.ceil(deviation * 3);
  const weights = Array.from({ length: 2 * half + 1 }, (_, i) => -(i - half) * Math.exp(-((i - half) ** 2) / (2 * deviation * deviation)));
  const norm = weights.reduce((sum, each, i) => sum - each * (i - half), 0);
  return weights.map((each) => each / norm);
}

/**
 * Weights of the slope of a Gaussian less that of one three times as wide: two thirds of it at a step, an eighth of it where a shadow or a shine
 * turns over the width of the wider one.
 */
function sharpKernel(deviation: number): number[] {
  const [fine, wide] = [slopeKernel(deviation), slopeKernel(3 * deviation)];
  const more = (wide.length - fine.length) / 2;
  return wide.map((each, i) => (fine[i - more] ?? 0) - each);
}

/** What a step of one place from one profile to the next costs, in slopes. */
const BEND_COST = 2.5;
/** Slopes above this count alike: a bright rim must not outdo the rest of the edge. */
const STEEP = 12;

/**
 * The closed way along the ring that gathers the most slope while it bends little: dynamic programming over the places of each profile, begun at
 * the clearest profile and closed there.
 */
function bestWay(slopes: Float32Array, count: number, places: number, most: number): Int32Array {
  const worth = slopes.map((slope) => (slope < 0 ? 0.5 * Math.max(-STEEP, slope) : Math.min(STEEP, slope)));
  const start = clearest(worth, count, places);
  const from = new Int16Array(count * places);
  const free = passOnce(worth, from, count, places, most, start, null);
  // closed: a second pass begins where the first one ended
  const way = passOnce(worth, from, count, places, most, start, free[start]!);
  return way;
}

function clearest(worth: Float32Array, count: number, places: number): number {
  let [best, at] = [-Infinity, 0];
  for (let i = 0; i < count; i++)
    for (let k = 0; k < places; k++) if (worth[i * places + k]! > best) [best, at] = [worth[i * places + k]!, i];
  return at;
}

function passOnce(
  worth: Float32Array,
  from: Int16Array,
  count: number,
  places: number,
  most: number,
  start: number,
  held: number | null,
): Int32Array {
  let before = new Float64Array(places);
  let now = new Float64Array(places);
  for (let k = 0; k < places; k++) before[k] = held === null || k === held ? worth[start * places + k]! : -1e9;
  for (let step = 1; step <= count; step++) {
    const i = (start + step) % count;
    for (let k = 0; k < places; k++) {
      let [best, at] = [-Infinity, k];
      for (let d = -most; d <= most; d++) {
        const j = k + d;
        if (j < 0 || j >= places) continue;
        const sum = before[j]! - BEND_COST * d * d;
        if (sum > best) [best, at] = [sum, j];
      }
      now[k] = best + worth[i * places + k]!;
      from[i * places + k] = at;
    }
    [before, now] = [now, before];
  }
  let k = held ?? before.indexOf(Math.max(...before));
  const way = new Int32Array(count);
  for (let step = count; step >= 1; step--) {
    const i = (start + step) % count;
    way[i] = k;
    k = from[i * places + k]!;
  }
  return way;
}

/** How an edge is followed, in pixels: how far in and out it is looked for, at which steps, and how far apart along it. */
export interface Follow {
  readonly reach: number;
  readonly every: number;
  readonly apart: number;
}

/** Where along each profile the edge lies, near a line that is known to `reach` pixels. */
export function followed(
  picture: Pixels,
  line: readonly Spot[],
  follow: Follow,
  noise: number,
  given?: Sides,
): { edge: Edge; sides: Sides } {
  const { reach, every, apart } = follow;
  const ring = ringOf(line, apart, Math.max(3, Math.round(reach / apart)));
  const sides = given ?? sidesOf(picture, ring, Math.max(6, reach), noise);
  const profiles = profilesOf(picture, ring, reach, every);
  const read = slopesOf(profiles, sides.apart, sides.wary, sharpKernel(Math.max(1, 1.5 / every)), 2, noise);
  const slopes = given ? trustedSlopes(profiles, read) : read.slopes;
  const way = bestWay(slopes, profiles.count, profiles.places, 2);
  const half = (profiles.places - 1) / 2;
  return {
    sides,
    edge: {
      ring,
      out: Float64Array.from(way, (k) => (k - half) * every),
      clear: Float64Array.from(way, (k, i) => Math.max(0, slopes[i * profiles.places + k]!)),
    },
  };
}

/** The spots of an edge, in the picture. */
export function edgeLine({ ring, out }: Pick<Edge, "ring" | "out">): Spot[] {
  return ring.spots.map(([x, y], i): Spot => [x + ring.normals[i]![0] * out[i]!, y + ring.normals[i]![1] * out[i]!]);
}

/** Places along a normal from one to the next, when the edge is read finely (pixels). */
const FINE = 0.5;
/** Deviation of the Gaussian under which the slope is read (places). */
const SOFT = 2.4;

/** An edge read to a part of a pixel. */
export interface FineEdge extends Edge {
  /** Deviation of the blur of the whole edge, as if it were a Gaussian's (pixels). */
  readonly blur: number;
}

/** The edge to a part of a pixel along the normals of a line it lies within `near` pixels of: where the slope is steepest, by the parabola through the three largest. */
export function finely(picture: Pixels, line: readonly Spot[], near: number, every: number, sides: Sides, noise: number): FineEdge {
  const ring = ringOf(line, every, 3);
  const profiles = profilesOf(picture, ring, near + 5, FINE);
  const read = slopesOf(profiles, sides.apart, sides.spread, slopeKernel(SOFT), 0, noise);
  const trusted = trustedSlopes(profiles, read);
  const { count, places } = profiles;
  const half = (places - 1) / 2;
  const most = Math.round(near / FINE);
  const [out, clear, together] = [new Float64Array(count), new Float64Array(count), new Float64Array(places)];
  for (let i = 0; i < count; i++) {
    const slope = (k: number) => read.slopes[i * places + half + k]!;
    const worth = (k: number) => trusted[i * places + half + k]!;
    let best = 0;
    for (let k = -most; k <= most; k++) if (worth(k) > worth(best)) best = k;
    const [before, at, after] = [slope(best - 1), slope(best), slope(best + 1)];
    const bend = before - 2 * at + after;
    const part = bend < 0 ? (before - after) / (2 * bend) : 0;
    out[i] = (best + Math.max(-1, Math.min(1, part))) * FINE;
    clear[i] = Math.max(0, at);
    for (let k = -half; k <= half; k++) together[k + half]! += slope(k);
  }
  return { ring, out, clear, blur: blurOf(together) };
}

/** Deviation under which the edge is read, in pixels: its Gaussian's, and that of reading between pixels. */
const READ_UNDER = Math.hypot(SOFT * FINE, 0.41);

/** From how wide the sum of all slopes is at half of its greatest. */
function blurOf(together: Float64Array): number {
  const half = (together.length - 1) / 2;
  const best = together.indexOf(Math.max(...together));
  const level = together[best]! / 2;
  const walk = (way: 1 | -1) => {
    let k = best;
    while (k + way >= 0 && k + way < together.length && together[k + way]! > level) k += way;
    if (k + way < 0 || k + way >= together.length) return half;
    return Math.abs(k - best) + (together[k]! - level) / (together[k]! - together[k + way]!);
  };
  const deviation = ((walk(1) + walk(-1)) * FINE) / 2.355;
  return Math.sqrt(Math.max(0, deviation ** 2 - READ_UNDER ** 2));
}
