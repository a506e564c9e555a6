import { type Point } from "../geometry/outline";

/** A decoded picture: four bytes a pixel (red, green, blue, how opaque), row by row from the top left. */
export interface Pixels {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8Array | Uint8ClampedArray;
}

/** A place in a picture: pixels from its top left corner, x right, y down; a pixel's middle lies at its halves. */
export type Spot = Point;

/** A part of a picture, in its own pixels from the top left. */
export interface PicturePart {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** A part of a picture as a picture of its own. */
export function partOf({ width, data }: Pixels, part: PicturePart): Pixels {
  const out = new Uint8ClampedArray(part.width * part.height * 4);
  for (let row = 0; row < part.height; row++) {
    const from = ((part.y + row) * width + part.x) * 4;
    out.set(data.subarray(from, from + part.width * 4), row * part.width * 4);
  }
  return { width: part.width, height: part.height, data: out };
}

/** Pictures with fewer pixels than this on a side hold no stone. */
export const LEAST_SIDE = 48;
