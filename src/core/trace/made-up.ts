import { type Point } from "../geometry/outline";
import { normal, seeded } from "../measure/seeded";
import { type Pixels, type Spot } from "./pixels";

type Tint = readonly [red: number, green: number, blue: number];

/** A stone as it lies before a camera that is not there. Lengths in mm on the paper, x right, y up, from the picture's middle. */
export interface MadeUp {
  readonly seed: number;
  readonly width: number;
  readonly height: number;
  readonly pxPerMm: number;
  /** What lies on the paper, each a closed polygon whose chords are finer than a pixel. */
  readonly things: readonly Thing[];
  readonly paper: { readonly tint: Tint; readonly lines: Tint; readonly pitch: number; readonly line: number; readonly turn: number };
  /** How much darker the picture's far corner is than its near one, as a share, and from where the light comes (radians). */
  readonly uneven: number;
  readonly lightFrom: number;
  /** How dark the shadow is as a share, how far it falls from what throws it, and how soft its edge is (mm). */
  readonly shadow: { readonly strength: number; readonly reach: number; readonly soft: number };
  /** Standard deviation of each channel, in levels. */
  readonly noise: number;
  /** Standard deviation of the blur, in pixels. */
  readonly blur: number;
  /** How much larger the near edge of the picture is drawn than its middle, as a share: perspective. */
  readonly tilt?: number;
}

export interface Thing {
  readonly outline: readonly Point[];
  readonly tint: Tint;
  /** Stripes across it: their tint, how far apart, and which way they run (radians). */
  readonly stripes?: { readonly tint: Tint; readonly pitch: number; readonly turn: number };
  /** A bright spot where the light is mirrored: its middle, and how far it reaches. */
  readonly highlight?: { readonly at: Point; readonly reach: number };
}

/** Lines each pixel is drawn in. */
const LINES_A_PIXEL = 8;

/** The picture a camera would take: squared paper under uneven light, what lies on it with its shadow, then blur and noise. */
export function madeUpPicture(made: MadeUp): Pixels {
  const { width, height, pxPerMm, shadow } = made;
  const n = width * height;
  const light = lightOf(made);
  const planes = paperPlanes(made);
  for (const thing of made.things) {
    const away: Point = [-Math.cos(made.lightFrom) * shadow.reach, -Math.sin(made.lightFrom) * shadow.reach];
    const dark = covered(
      made,
      thing.outline.map(([x, y]): Point => [x + away[0], y + away[1]]),
    );
    blurred(dark, width, height, shadow.soft * pxPerMm);
    for (let i = 0; i < n; i++) light[i]! *= 1 - shadow.strength * dark[i]!;
  }
  for (const plane of planes) for (let i = 0; i < n; i++) plane[i]! *= light[i]!;
  const even = lightOf(made);
  for (const thing of made.things) drawThing(made, thing, planes, even);
  for (const plane of planes) blurred(plane, width, height, made.blur);
  const noise = noiseFrom(made.seed);
  const data = new Uint8ClampedArray(n * 4).fill(255);
  for (let i = 0; i < n; i++) for (let c = 0; c < 3; c++) data[i * 4 + c] = Math.round(planes[c]![i]! + made.noise * noise());
  return { width, height, data };
}

/** Normal values that noise is drawn from: drawing each anew would take longer than all the rest of a picture. */
const NOISES = 1 << 14;

function noiseFrom(seed: number): () => number {
  const random = seeded(seed);
  const values = Float32Array.from({ length: NOISES }, () => normal(random));
  return () => values[Math.floor(random() * NOISES)]!;
}

/** Where a place on the paper is in the picture. */
export function spotOf(made: MadeUp, [x, y]: Point): Spot {
  const near = 1 - ((made.tilt ?? 0) * y * made.pxPerMm * 2) / made.height;
  return [made.width / 2 + x * made.pxPerMm * near, made.height / 2 - y * made.pxPerMm * near];
}

/** The place on the paper that is seen at a spot: the reverse of `spotOf`. */
function placeOf(made: MadeUp, px: number, py: number): Point {
  const [u, v] = [(px - made.width / 2) / made.pxPerMm, (made.height / 2 - py) / made.pxPerMm];
  const k = ((made.tilt ?? 0) * made.pxPerMm * 2) / made.height;
  const y = k === 0 ? v : (1 - Math.sqrt(Math.max(0, 1 - 4 * k * v))) / (2 * k);
  return [u / (1 - k * y), y];
}

function lightOf({ width, height, uneven, lightFrom }: MadeUp): Float32Array {
  const light = new Float32Array(width * height);
  const [cos, sin] = [Math.cos(lightFrom), Math.sin(lightFrom)];
  const far = Math.abs(cos) * width + Math.abs(sin) * height;
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i++) light[i] = 1 - uneven * (0.5 - ((x - width / 2) * cos - (y - height / 2) * sin) / far);
  return light;
}

function paperPlanes(made: MadeUp): Float32Array[] {
  const { width, height, paper } = made;
  const planes = [0, 1, 2].map(() => new Float32Array(width * height));
  const [cos, sin] = [Math.cos(paper.turn), Math.sin(paper.turn)];
  const soft = 1 / made.pxPerMm;
  const share = (along: number) => {
    const far = Math.abs(along - Math.round(along / paper.pitch) * paper.pitch);
    return Math.min(1, Math.max(0, (paper.line / 2 - far) / soft + 0.5));
  };
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i++) {
      const [mx, my] = placeOf(made, x + 0.5, y + 0.5);
      const line = Math.max(share(mx * cos + my * sin), share(my * cos - mx * sin));
      for (let c = 0; c < 3; c++) planes[c]![i] = paper.tint[c]! + (paper.lines[c]! - paper.tint[c]!) * line;
    }
  return planes;
}

function drawThing(made: MadeUp, thing: Thing, planes: readonly Float32Array[], light: Float32Array): void {
  const { width, height } = made;
  const cover = covered(made, thing.outline);
  const { stripes, highlight } = thing;
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i++) {
      const share = cover[i]!;
      if (share === 0) continue;
      const [mx, my] = placeOf(made, x + 0.5, y + 0.5);
      const across = stripes ? (mx * Math.cos(stripes.turn) + my * Math.sin(stripes.turn)) / stripes.pitch : 0;
      const stripe = stripes ? 0.5 + 0.5 * Math.sin(2 * Math.PI * across) : 0;
      const shine = highlight ? Math.exp(-(((mx - highlight.at[0]) ** 2 + (my - highlight.at[1]) ** 2) / highlight.reach ** 2)) : 0;
      for (let c = 0; c < 3; c++) {
        const own = thing.tint[c]! + ((stripes?.tint[c] ?? 0) - thing.tint[c]!) * stripe;
        const lit = own * light[i]! + (255 - own * light[i]!) * 0.9 * shine;
        planes[c]![i]! += (lit - planes[c]![i]!) * share;
      }
    }
}

/** How much of each pixel a polygon covers: exact across, in fine lines down. */
function covered(made: MadeUp, outline: readonly Point[]): Float32Array {
  const { width, height } = made;
  const cover = new Float32Array(width * height);
  const spots = outline.map((point) => spotOf(made, point));
  const crossings = Array.from({ length: height * LINES_A_PIXEL }, (): number[] => []);
  spots.forEach(([ax, ay], i) => {
    const [bx, by] = spots[(i + 1) % spots.length]!;
    const [low, high] = [Math.min(ay, by) * LINES_A_PIXEL, Math.max(ay, by) * LINES_A_PIXEL];
    for (let line = Math.max(0, Math.ceil(low - 0.5)); line < high - 0.5 && line < crossings.length; line++)
      crossings[line]!.push(ax + ((bx - ax) * ((line + 0.5) / LINES_A_PIXEL - ay)) / (by - ay));
  });
  crossings.forEach((at, line) => {
    at.sort((a, b) => a - b);
    const row = Math.floor(line / LINES_A_PIXEL) * width;
    for (let i = 0; i + 1 < at.length; i += 2) {
      const [from, to] = [Math.max(0, at[i]!), Math.min(width, at[i + 1]!)];
      for (let x = Math.floor(from); x < to; x++) cover[row + x]! += (Math.min(to, x + 1) - Math.max(from, x)) / LINES_A_PIXEL;
    }
  });
  return cover;
}

/**
 * Three box means one after another: close to a Gaussian of this deviation, and as fast for a wide one. A box has a third of the variance;
 * its two ends count for a part, so that any width can be had.
 */
function blurred(plane: Float32Array, width: number, height: number, deviation: number): void {
  if (deviation <= 0) return;
  const variance = (deviation * deviation) / 3;
  const whole = Math.floor((Math.sqrt(12 * variance + 1) - 1) / 2);
  const part = ((2 * whole + 1) * (variance - (whole * (whole + 1)) / 3)) / (2 * ((whole + 1) ** 2 - variance));
  const line = new Float32Array(Math.max(width, height));
  for (let pass = 0; pass < 3; pass++) {
    for (let y = 0; y < height; y++) boxMean(plane, y * width, 1, width, whole, part, line);
    for (let x = 0; x < width; x++) boxMean(plane, x, width, height, whole, part, line);
  }
}

function boxMean(plane: Float32Array, from: number, step: number, count: number, whole: number, part: number, line: Float32Array): void {
  for (let i = 0; i < count; i++) line[i] = plane[from + i * step]!;
  const at = (i: number) => line[i < 0 ? 0 : i >= count ? count - 1 : i]!;
  let sum = 0;
  for (let i = -whole; i <= whole; i++) sum += at(i);
  for (let i = 0; i < count; i++) {
    plane[from + i * step] = (sum + part * (at(i - whole - 1) + at(i + whole + 1))) / (2 * (whole + part) + 1);
    sum += at(i + whole + 1) - at(i - whole);
  }
}
