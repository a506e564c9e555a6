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
const BLOCKS = 208;

/** The longer side of a picture that a stone is looked for in (pixels): a finer one is looked at only along its edge. */
const REDUCED = 1000;

/** A picture and by how many pixels each way each of its own stands for. */
export interface Reduced {
  readonly picture: Pixels;
  readonly by: number;
}

/** The picture in means of so many pixels each way; every second pixel of every second row stands for all where that is enough. */
export function reducedOf(picture: Pixels): Reduced {
  const by = Math.max(1, Math.floor(Math.max(picture.width, picture.height) / REDUCED));
  if (by === 1) return { picture, by };
  const { width, data } = picture;
  const [w, h] = [Math.floor(width / by), Math.floor(picture.height / by)];
  const skip = by >= 4 ? 2 : 1;
  const looks = Math.ceil(by / skip) ** 2;
  const out = new Uint8ClampedArray(w * h * 4);
  for (let y = 0, to = 0; y < h; y++)
    for (let x = 0; x < w; x++, to += 4) {
      let [r, g, b] = [0, 0, 0];
      for (let dy = 0; dy < by; dy += skip)
        for (let dx = 0, at = ((y * by + dy) * width + x * by) * 4; dx < by; dx += skip, at += 4 * skip) {
          r += data[at]!;
          g += data[at + 1]!;
          b += data[at + 2]!;
        }
      out[to] = r / looks;
      out[to + 1] = g / looks;
      out[to + 2] = b / looks;
      out[to + 3] = 255;
    }
  return { picture: { width: w, height: h, data: out }, by };
}

/** The means of blocks of a picture; what is left over at the right and below is not looked at. */
export function coarseOf({ width, height, data }: Pixels): Coarse {
  const block = Math.max(1, Math.round(Math.max(width, height) / BLOCKS));
  const [w, h] = [Math.max(1, Math.floor(width / block)), Math.max(1, Math.floor(height / block))];
  const planes = [new Float32Array(w * h), new Float32Array(w * h), new Float32Array(w * h)] as const;
  const share = 1 / (block * block);
  for (let y = 0; y < h * block; y++)
    for (let x = 0, at = y * width * 4, row = Math.floor(y / block) * w; x < w * block; x++, at += 4) {
      const i = row + Math.floor(x / block);
      planes[0][i]! += data[at]! * share;
      planes[1][i]! += data[at + 1]! * share;
      planes[2][i]! += data[at + 2]! * share;
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
