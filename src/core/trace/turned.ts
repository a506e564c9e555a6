import { type Pixels } from "./pixels";

/**
 * A picture as it was meant, by the number a camera notes (Exif 2.3, Orientation): 1 as it is, 3 turned by half, 6 and 8 by a quarter; 2, 4, 5 and 7
 * are the same in a mirror.
 */
export function turned({ width, height, data }: Pixels, orientation: number): Pixels {
  if (orientation <= 1 || orientation > 8) return { width, height, data };
  const isAcross = orientation >= 5;
  const [w, h] = isAcross ? [height, width] : [width, height];
  const out = new Uint8ClampedArray(w * h * 4);
  const aligned = data.byteOffset % 4 === 0 ? data : data.slice();
  const from = new Uint32Array(aligned.buffer, aligned.byteOffset, width * height);
  const to = new Uint32Array(out.buffer);
  for (let y = 0, i = 0; y < h; y++)
    for (let x = 0; x < w; x++, i++) {
      const [u, v] = isAcross ? [y, x] : [x, y];
      const isFlippedAlong = orientation === 2 || orientation === 3 || orientation === 7 || orientation === 8;
      const isFlippedDown = orientation === 3 || orientation === 4 || orientation === 6 || orientation === 7;
      to[i] = from[(isFlippedDown ? height - 1 - v : v) * width + (isFlippedAlong ? width - 1 - u : u)]!;
    }
  return { width: w, height: h, data: out };
}
