import { type Point } from "../geometry/outline";

/** A decoded picture: four bytes a pixel (red, green, blue, how opaque), row by row from the top left. */
export interface Pixels {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8Array | Uint8ClampedArray;
}

/** A place in a picture: pixels from its top left corner, x right, y down; a pixel's middle lies at its halves. */
export type Spot = Point;

/** Pictures with fewer pixels than this on a side hold no stone. */
export const LEAST_SIDE = 48;
