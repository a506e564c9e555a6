import { type Point } from "../geometry/outline";
import { type Spot } from "./pixels";
import { straightened, tilted } from "./tilt";
import { type PictureScale } from "./trace";

/** Where a place on the outline (mm, y upward) is seen, its zero being seen at `middle`. */
export function spotAt(middle: Spot, { pxPerMm, tilt }: PictureScale, [x, y]: Point): Spot {
  const [dx, dy] = tilted([x * pxPerMm, -y * pxPerMm], tilt);
  return [middle[0] + dx, middle[1] + dy];
}

/** The place on the outline that is seen at a spot: the reverse of `spotAt`. */
export function placeAt(middle: Spot, { pxPerMm, tilt }: PictureScale, [x, y]: Spot): Point {
  const [dx, dy] = straightened([x - middle[0], y - middle[1]], tilt);
  return [dx / pxPerMm, -dy / pxPerMm];
}
