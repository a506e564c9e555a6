import { type Coarse } from "./coarse";
import { type Spot } from "./pixels";

/** Squared paper as it lies in a picture. */
export interface Squares {
  /** Pixels from one line to the next, along one way of ruling and along the other. */
  readonly pitch: readonly [number, number];
  /** Radians by which the ruling is turned against the picture, less than an eighth of a turn each way. */
  readonly turn: number;
}

/** Of the picture's longer side: no square is smaller or larger. */
const LEAST_PITCH = 1 / 90;
const MOST_PITCH = 1 / 6;
/** The ruling explains at least so much more than chance would. */
const CLEAR = 6;
/** How much longer squares may look one way than the other: a picture that is tilted more shows no scale. */
const MOST_TILT = 1.08;
/** Turns looked at first, and then how finely (radians). */
const FIRST_TURN = 0.02;
const FINE_TURN = 0.002;

/**
 * The ruling of squared paper: lines darker or of another hue than their surroundings, at one pitch along two ways across each other. Each turn is
 * tried by adding the picture up along it; a pitch is where the sums repeat (power at one frequency against all). Null where there is none.
 *
 * @param stone a line round what does not belong to the paper, in pixels; empty for none
 */
export function squaresIn(coarse: Coarse, stone: readonly Spot[]): Squares | null {
  const marks = lineMarks(coarse, stone);
  const turns = (from: number, to: number, step: number) =>
    Array.from({ length: Math.round((to - from) / step) + 1 }, (_, i) => from + i * step);
  const sharpest = (list: readonly number[]) =>
    list
      .map((turn) => ({ turn, worth: sharpness(marks, coarse, turn) + sharpness(marks, coarse, turn + Math.PI / 2) }))
      .reduce((best, each) => (each.worth > best.worth ? each : best));
  const rough = sharpest(turns(-Math.PI / 4, Math.PI / 4, FIRST_TURN)).turn;
  const { turn } = sharpest(turns(rough - FIRST_TURN, rough + FIRST_TURN, FINE_TURN));
  const [along, across] = [pitchAlong(marks, coarse, turn), pitchAlong(marks, coarse, turn + Math.PI / 2)];
  if (!along || !across || along.clear < CLEAR || across.clear < CLEAR) return null;
  const ratio = along.pitch / across.pitch;
  if (ratio < 1 / MOST_TILT || ratio > MOST_TILT) return null;
  return { pitch: [along.pitch * coarse.block, across.pitch * coarse.block], turn };
}

/** How much each block is a line's: darker than the mean about it, nothing in the stone and near it. */
function lineMarks({ width, height, block, planes }: Coarse, stone: readonly Spot[]): Float32Array {
  const [red, , blue] = planes;
  const marks = new Float32Array(width * height);
  const inside = covers(stone, block, width, height);
  const about = Math.max(3, Math.round(Math.max(width, height) / 60));
  const mean = boxMeans(red, width, height, about);
  const meanBlue = boxMeans(blue, width, height, about);
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i++)
      if (inside[i] === 0) marks[i] = Math.max(0, mean[i]! - red[i]!) + Math.max(0, meanBlue[i]! - blue[i]!);
  const sorted = Float32Array.from(marks).sort();
  const most = sorted[Math.floor(sorted.length * 0.98)]!;
  return marks.map((each) => Math.min(each, most));
}

/** How much larger than the stone what is left out about it: its shadow. */
const SHADOW = 1.12;

/** Blocks within the line, drawn larger about its middle. */
function covers(stone: readonly Spot[], block: number, width: number, height: number): Uint8Array {
  const bits = new Uint8Array(width * height);
  const middle = [0, 1].map((axis) => stone.reduce((sum, spot) => sum + spot[axis]!, 0) / Math.max(1, stone.length));
  const about = stone.map(
    (spot) => [0, 1].map((axis) => (middle[axis]! + (spot[axis]! - middle[axis]!) * SHADOW) / block) as unknown as Spot,
  );
  for (let y = 0; y < height; y++) {
    const crossings: number[] = [];
    about.forEach(([ax, ay], i) => {
      const [bx, by] = about[(i + 1) % about.length]!;
      if (ay > y !== by > y) crossings.push(ax + ((bx - ax) * (y - ay)) / (by - ay));
    });
    crossings.sort((p, q) => p - q);
    for (let i = 0; i + 1 < crossings.length; i += 2)
      bits.fill(1, y * width + Math.max(0, Math.floor(crossings[i]!)), y * width + Math.min(width, Math.ceil(crossings[i + 1]!)));
  }
  return bits;
}

function boxMeans(plane: Float32Array, width: number, height: number, reach: number): Float32Array {
  const sums = new Float64Array((width + 1) * (height + 1));
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      sums[(y + 1) * (width + 1) + x + 1] =
        plane[y * width + x]! + sums[y * (width + 1) + x + 1]! + sums[(y + 1) * (width + 1) + x]! - sums[y * (width + 1) + x]!;
  return plane.map((_, i) => {
    const [x, y] = [i % width, Math.floor(i / width)];
    const [left, right, top, foot] = [
      Math.max(0, x - reach),
      Math.min(width, x + reach + 1),
      Math.max(0, y - reach),
      Math.min(height, y + reach + 1),
    ];
    const sum =
      sums[foot * (width + 1) + right]! -
      sums[top * (width + 1) + right]! -
      sums[foot * (width + 1) + left]! +
      sums[top * (width + 1) + left]!;
    return sum / ((right - left) * (foot - top));
  });
}

/** The marks added up along lines across a direction: a mean for each place along it, in half blocks. */
function profileAlong(marks: Float32Array, { width, height }: Coarse, turn: number): Float64Array {
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const reach = Math.ceil(Math.hypot(width, height));
  const [sums, counts] = [new Float64Array(4 * reach), new Float64Array(4 * reach)];
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i++) {
      const at = Math.round(2 * ((x - width / 2) * cos + (y - height / 2) * sin) + 2 * reach);
      sums[at]! += marks[i]!;
      counts[at]! += 1;
    }
  const least = Math.min(width, height) / 6;
  return sums.map((sum, i) => (counts[i]! >= least ? sum / counts[i]! : Number.NaN)).filter((each) => !Number.isNaN(each));
}

function sharpness(marks: Float32Array, coarse: Coarse, turn: number): number {
  const profile = profileAlong(marks, coarse, turn);
  const mean = profile.reduce((sum, each) => sum + each, 0) / profile.length;
  return profile.reduce((sum, each) => sum + (each - mean) ** 2, 0) / profile.length;
}

/** A repeat with this share of the strongest one's power may be the ruling itself, and so many steps of frequency on its peak is reached. */
const OVERTONE = 0.45;
const PEAK = 5;

/** Pitch in blocks of the longest strong repeat, and how clear it is: the power at its frequency against the mean of all. */
function pitchAlong(marks: Float32Array, coarse: Coarse, turn: number): { pitch: number; clear: number } | null {
  const profile = profileAlong(marks, coarse, turn);
  const n = profile.length;
  const mean = profile.reduce((sum, each) => sum + each, 0) / Math.max(1, n);
  const power = (pitch: number) => {
    const w = Math.PI / pitch;
    let [a, b] = [0, 0];
    for (let i = 0; i < n; i++) {
      const hann = 0.5 - 0.5 * Math.cos((2 * Math.PI * i) / n);
      const value = (profile[i]! - mean) * hann;
      a += value * Math.cos(w * i);
      b += value * Math.sin(w * i);
    }
    return a * a + b * b;
  };
  const longer = Math.max(coarse.width, coarse.height);
  const [least, most] = [longer * LEAST_PITCH, Math.min(longer * MOST_PITCH, n / 6)];
  if (!(most > least)) return null;
  const tries: { pitch: number; power: number }[] = [];
  // even steps of frequency: a quarter of what the length of the profile can tell apart
  for (let frequency = 1 / most; frequency <= 1 / least; frequency += 0.5 / n)
    tries.push({ pitch: 1 / frequency, power: power(1 / frequency) });
  // thin lines repeat as strongly at half their pitch and a third: the longest is theirs
  const strongest = tries.reduce((a, b) => Math.max(a, b.power), 0);
  const first = tries.findIndex((each) => each.power > OVERTONE * strongest);
  const best = tries.slice(first, first + PEAK).reduce((a, b) => (b.power > a.power ? b : a));
  const clear = best.power / (tries.reduce((sum, each) => sum + each.power, 0) / tries.length);
  const overtones = (pitch: number) => power(pitch) + power(pitch / 2) + power(pitch / 3);
  return { pitch: refined(overtones, refined(power, best.pitch, n), n), clear };
}

/** The peak of the power, by halving steps of frequency. */
function refined(power: (pitch: number) => number, from: number, n: number): number {
  let frequency = 1 / from;
  for (let step = 0.25 / n; step > 1e-5 / n; step /= 2) {
    const [low, here, high] = [power(1 / (frequency - step)), power(1 / frequency), power(1 / (frequency + step))];
    if (low > here && low > high) frequency -= step;
    else if (high > here) frequency += step;
  }
  return 1 / frequency;
}
