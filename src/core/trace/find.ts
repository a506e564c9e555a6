import { type Coarse } from "./coarse";
import { type Spot } from "./pixels";
import { type Mask, type Region, closedUp, opened, regionsOf } from "./mask";

/** A place where a stone may lie. */
export interface Candidate extends Region {
  /** By what it stands out: colour, or how dark or light it is. */
  readonly by: "colour" | "dark" | "light" | "asked";
}

/** How much of the picture, at its rim, is taken to be what the stone lies on. */
const RIM_SHARE = 0.06;
/** No stone is smaller than this share of the picture. */
const LEAST_SHARE = 0.004;
const MOST_SHARE = 0.9;
/** Differences of hue and of lightness, in 128ths, at which something may stand out. */
const HUE_STEPS = [5, 9, 16, 28];
const PAPER_STEPS = [8, 16, 28];
const DARK_STEPS = [18, 34, 60, 95, 140, 190];
const LIGHT_STEPS = [9, 18, 34];
/** Lines and grains narrower than this share of the picture's longer side are no stone. */
const THIN_SHARE = 0.012;

interface Tones {
  /** Hue along red-green and yellow-blue, and lightness against the paper's own at that place, in 128ths. */
  readonly a: Float32Array;
  readonly b: Float32Array;
  readonly light: Float32Array;
}

/** Regions that stand out from what lies at the picture's rim, by hue or by lightness, at several thresholds. */
export function candidates(coarse: Coarse): Candidate[] {
  const tones = tonesOf(coarse);
  const hue = hueApart(coarse, tones);
  const found: Candidate[] = [];
  const look = (by: Candidate["by"], values: Float32Array, steps: readonly number[], sign: 1 | -1) => {
    for (const step of steps) found.push(...standingOut(coarse, by, values, step, sign));
  };
  look("colour", hue.fromRim, HUE_STEPS, 1);
  look("colour", hue.fromPaper, PAPER_STEPS, 1);
  look("dark", tones.light, DARK_STEPS, -1);
  look("light", tones.light, LIGHT_STEPS, 1);
  return found;
}

/** Regions that look like what lies about a block, at several tolerances; each holds that block. */
export function candidatesAt(coarse: Coarse, [x, y]: Spot): Candidate[] {
  const tones = tonesOf(coarse);
  const { width, height } = coarse;
  const at = Math.min(height - 1, Math.max(0, Math.floor(y))) * width + Math.min(width - 1, Math.max(0, Math.floor(x)));
  const holds = candidates(coarse).filter(({ mask }) => mask.bits[at] === 1);
  const apart = new Float32Array(width * height);
  for (let i = 0; i < apart.length; i++) {
    const [da, db, dl] = [tones.a[i]! - tones.a[at]!, tones.b[i]! - tones.b[at]!, (tones.light[i]! - tones.light[at]!) / 2];
    apart[i] = -Math.hypot(da, db, dl);
  }
  const alike = [8, 14, 24, 40].flatMap((step) => standingOut(coarse, "asked", apart, -step, 1)).filter(({ mask }) => mask.bits[at] === 1);
  return [...holds, ...alike];
}

function standingOut({ width, height }: Coarse, by: Candidate["by"], values: Float32Array, step: number, sign: 1 | -1): Candidate[] {
  const bits = new Uint8Array(width * height);
  let count = 0;
  for (let i = 0; i < bits.length; i++)
    if (values[i]! * sign > step) {
      bits[i] = 1;
      count++;
    }
  const least = width * height * LEAST_SHARE;
  if (count < least) return [];
  const thin = Math.max(2, Math.round(Math.max(width, height) * THIN_SHARE));
  const mask: Mask = closedUp(opened({ width, height, bits }, thin), thin);
  return regionsOf(mask, least)
    .filter(({ size }) => size < width * height * MOST_SHARE)
    .slice(0, 4)
    .flatMap((region) => [region, ...bridged(region)])
    .map((region) => ({ ...region, by }));
}

/** A notch up to this share of a region's own breadth may be a shine that lies over its edge. */
const NOTCH_SHARE = 0.16;

/** The region with its notches closed, where that changes it. */
function bridged({ mask, size }: Region): Region[] {
  const whole = closedUp(mask, Math.round(Math.sqrt(size) * NOTCH_SHARE));
  return regionsOf(whole, size)
    .filter((each) => each.size > size * 1.01)
    .slice(0, 1);
}

function tonesOf(coarse: Coarse): Tones {
  const [red, green, blue] = coarse.planes;
  const n = coarse.width * coarse.height;
  const [a, b, light] = [new Float32Array(n), new Float32Array(n), new Float32Array(n)];
  for (let i = 0; i < n; i++) {
    const [r, g, bl] = [red[i]!, green[i]!, blue[i]!];
    const mean = Math.max(24, (r + g + bl) / 3);
    a[i] = (128 * (r - g)) / mean;
    b[i] = (128 * ((r + g) / 2 - bl)) / mean;
    light[i] = 128 * Math.log(Math.max(4, (r + g + bl) / 3));
  }
  const paper = paperLight(coarse, light);
  for (let i = 0; i < n; i++) light[i]! -= paper(i);
  return { a, b, light };
}

/** The paper's own lightness, as a plane fitted to the rim; what is darker than it by lines and shadow is left out, pass by pass. */
function paperLight(coarse: Coarse, light: Float32Array): (i: number) => number {
  const { width, height } = coarse;
  const places = rimOf(coarse);
  let used = places;
  let plane = [0, 0, 0];
  for (let pass = 0; pass < 4; pass++) {
    plane = fittedPlane(used, width, height, light);
    const apart = used.map((i) => light[i]! - valueOf(plane, i, width, height));
    const spread = Math.max(3, Math.sqrt(apart.reduce((sum, each) => sum + each * each, 0) / Math.max(1, apart.length)));
    used = places.filter((i) => {
      const off = light[i]! - valueOf(plane, i, width, height);
      return off > -0.7 * spread && off < 2 * spread;
    });
    if (used.length < 30) break;
  }
  return (i) => valueOf(plane, i, width, height);
}

function valueOf([c, x, y]: number[], i: number, width: number, height: number): number {
  return c! + x! * ((i % width) / width - 0.5) + y! * (Math.floor(i / width) / height - 0.5);
}

function fittedPlane(places: readonly number[], width: number, height: number, values: Float32Array): number[] {
  let [n, sx, sy, sxx, sxy, syy, sv, svx, svy] = [1e-9, 0, 0, 1e-9, 0, 1e-9, 0, 0, 0];
  for (const i of places) {
    const [x, y, v] = [(i % width) / width - 0.5, Math.floor(i / width) / height - 0.5, values[i]!];
    n += 1;
    sx += x;
    sy += y;
    sxx += x * x;
    sxy += x * y;
    syy += y * y;
    sv += v;
    svx += v * x;
    svy += v * y;
  }
  const det = n * (sxx * syy - sxy * sxy) - sx * (sx * syy - sxy * sy) + sy * (sx * sxy - sxx * sy);
  const c = sv * (sxx * syy - sxy * sxy) - sx * (svx * syy - sxy * svy) + sy * (svx * sxy - sxx * svy);
  const x = n * (svx * syy - sxy * svy) - sv * (sx * syy - sxy * sy) + sy * (sx * svy - svx * sy);
  const y = n * (sxx * svy - svx * sxy) - sx * (sx * svy - svx * sy) + sv * (sx * sxy - sxx * sy);
  return [c / det, x / det, y / det];
}

function rimOf({ width, height }: Coarse): number[] {
  const [wide, tall] = [Math.max(1, Math.round(width * RIM_SHARE)), Math.max(1, Math.round(height * RIM_SHARE))];
  const places: number[] = [];
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i++) if (x < wide || x >= width - wide || y < tall || y >= height - tall) places.push(i);
  return places;
}

/** Hues are counted in squares so wide, so many each way. */
const HUE_SQUARE = 2;
const HUES = 192;
/** A hue seen on less than this share of the rim is not of the paper. */
const RARE = 0.002;

/**
 * How far each block's hue lies from any that is common at the rim, where ruled lines lie too; and from the paper's own, for a stone of the
 * lines' colour: lines are too narrow to be one.
 */
function hueApart(coarse: Coarse, { a, b }: Tones): { fromRim: Float32Array; fromPaper: Float32Array } {
  const counts = new Float32Array(HUES * HUES);
  const places = rimOf(coarse);
  for (const i of places) counts[hueSquare(a[i]!, b[i]!)]! += 1;
  const least = places.length * RARE;
  const common: (readonly [number, number])[] = [];
  for (let v = 0; v < HUES; v++)
    for (let u = 0; u < HUES; u++) {
      let sum = 0;
      for (let dv = -1; dv <= 1; dv++)
        for (let du = -1; du <= 1; du++)
          sum += counts[Math.min(HUES - 1, Math.max(0, v + dv)) * HUES + Math.min(HUES - 1, Math.max(0, u + du))]!;
      if (sum >= least && counts[v * HUES + u]! > 0) common.push([u, v]);
    }
  const far = new Float32Array(HUES * HUES).fill(-1);
  const farOf = (square: number) => {
    const [u, v] = [square % HUES, Math.floor(square / HUES)];
    let least = 1e6;
    for (const [cu, cv] of common) least = Math.min(least, (cu - u) ** 2 + (cv - v) ** 2);
    return HUE_SQUARE * Math.sqrt(least);
  };
  const fromRim = a.map((_, i) => {
    const square = hueSquare(a[i]!, b[i]!);
    if (far[square]! < 0) far[square] = farOf(square);
    return far[square]!;
  });
  const [pa, pb] = [medianAt(a, places), medianAt(b, places)];
  return { fromRim, fromPaper: a.map((_, i) => Math.hypot(a[i]! - pa, b[i]! - pb)) };
}

function medianAt(values: Float32Array, places: readonly number[]): number {
  const sorted = Float32Array.from(places, (i) => values[i]!).sort();
  return sorted[Math.floor(sorted.length / 2)]!;
}

function hueSquare(a: number, b: number): number {
  const place = (value: number) => Math.min(HUES - 1, Math.max(0, Math.round(value / HUE_SQUARE + HUES / 2)));
  return place(b) * HUES + place(a);
}
