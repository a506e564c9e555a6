import { type Point } from "./outline";

/** From one place that is looked at to the next (mm). */
const LOOKED = 0.5;

/**
 * The place that leaves most, to half a millimetre, over the extents of a polygon: by what `clearAt` says of each, in mm. `start` where none leaves
 * more than it does, or than `least`.
 */
export function roomiest(polygon: readonly Point[], clearAt: (at: Point) => number, start: Point, least: number = clearAt(start)): Point {
  let [best, most] = [start, least];
  const [xs, ys] = [polygon.map(([x]) => x), polygon.map(([, y]) => y)];
  for (let x = Math.min(...xs); x <= Math.max(...xs); x += LOOKED)
    for (let y = Math.min(...ys); y <= Math.max(...ys); y += LOOKED) {
      const clear = clearAt([x, y]);
      if (clear > most) [best, most] = [[x, y], clear];
    }
  return best;
}
