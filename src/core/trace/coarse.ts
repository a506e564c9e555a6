import { type Pixels } from "./pixels";

/** A picture in blocks: the mean of each, and what shape of paper and light can be read from it. */
export interface Coarse {
  readonly width: number;
  readonly height: number;
  /** Pixels along a block's side. */
  readonly block: number;
  /** Mean red, green and blue of each block. */
  readonly planes: readonly [Float32Array, Float32Array, Float32Array];
}

/** Blocks along the longer side: enough to find a stone in, few enough to look at many times. */
const BLOCKS = 256;

/** In blocks of at least this side every second pixel of every second row stands for all: noise is small in their mean anyway. */
const SPARSE_FROM = 8;

/** The means of blocks of a picture; what is left over at the right and below is not looked at. */
export function coarseOf({ width, height, data }: Pixels): Coarse {
  const block = Math.max(1, Math.round(Math.max(width, height) / BLOCKS));
  const [w, h] = [Math.max(1, Math.floor(width / block)), Math.max(1, Math.floor(height / block))];
  const planes = [new Float32Array(w * h), new Float32Array(w * h), new Float32Array(w * h)] as const;
  const [red, green, blue] = planes;
  const skip = block >= SPARSE_FROM ? 2 : 1;
  const looks = Math.ceil(block / skip);
  const share = 1 / (looks * looks);
  for (let y = 0; y < h; y++) {
    for (let dy = 0; dy < block; dy += skip) {
      let at = (y * block + dy) * width * 4;
      for (let x = 0, i = y * w; x < w; x++, i++) {
        let [r, g, b] = [0, 0, 0];
        for (let dx = 0, o = at; dx < block; dx += skip, o += 4 * skip) {
          r += data[o]!;
          g += data[o + 1]!;
          b += data[o + 2]!;
        }
        at += 4 * block;
        red[i]! += r;
        green[i]! += g;
        blue[i]! += b;
      }
    }
    for (let i = y * w; i < (y + 1) * w; i++) {
      red[i]! *= share;
      green[i]! *= share;
      blue[i]! *= share;
    }
  }
  return { width: w, height: h, block, planes };
}

/** Standard deviation of the noise of each channel of a picture, in levels: from how pixels differ from the mean of their two neighbours. */
export function noiseOf({ width, height, data }: Pixels): number {
  const apart: number[] = [];
  const every = Math.max(1, Math.floor((width * height) / 20000));
  for (let i = 1; i < width * height - 1; i += every) {
    if (i % width === 0 || i % width === width - 1) continue;
    apart.push(Math.abs(data[i * 4 + 1]! - (data[i * 4 - 3]! + data[i * 4 + 5]!) / 2));
  }
  apart.sort((a, b) => a - b);
  const median = apart[Math.floor(apart.length / 2)] ?? 0;
  // the median of a normal value's size is 0.6745 of its deviation; such a difference has 1.5 times the variance
  return median / 0.6745 / Math.sqrt(1.5);
}
