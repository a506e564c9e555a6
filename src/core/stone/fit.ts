import { type Outline, type Point } from "../geometry/outline";
import { ofSize } from "./reshape";
import { type OutlineShape, outlineOfShape, shapeFaults } from "./shapes/shapes";

export interface Fit {
  readonly shape: OutlineShape;
  /** The furthest any place of the outline lies from the shape, in mm. */
  readonly off: number;
}

const CANDIDATES = ["round", "oval", "cushion", "rectangle", "pear", "marquise"] as const;
const PLACES = 72;
const ROUNDS = 4;

/** The regular shape that an outline comes nearest to as it lies: laid middle on middle, its length and width tried a little either way. */
export function nearestRegular(outline: Outline): Fit {
  const places = Array.from({ length: PLACES }, (_, i) => outline.stationAt(i / PLACES)).map(({ x, y }): Point => [x, y]);
  const fits = CANDIDATES.map((kind) => fitted(places, outline, kind));
  return fits.reduce((best, fit) => (fit.off < best.off ? fit : best));
}

function fitted(places: readonly Point[], outline: Outline, kind: (typeof CANDIDATES)[number]): Fit {
  let [length, width] = [outline.extent(0), outline.extent(Math.PI / 2)];
  const tried = (l: number, w: number): Fit => {
    const shape = ofSize(kind, l, w);
    return { shape, off: shapeFaults(shape).length === 0 ? furthest(places, outlineOfShape(shape)) : Infinity };
  };
  let best = tried(length, width);
  let step = 0.04 * width;
  for (let round = 0; round < ROUNDS; round++, step /= 2) {
    for (const [dl, dw] of [
      [step, 0],
      [-step, 0],
      [0, step],
      [0, -step],
    ] as const) {
      const fit = tried(length + dl, width + dw);
      if (fit.off < best.off) [best, length, width] = [fit, length + dl, width + dw];
    }
  }
  return best;
}

/** Both laid with the middle of their extents at the same place. */
function furthest(places: readonly Point[], regular: Outline): number {
  const [px, py] = middleOf(places);
  const stations = regular.stations.map(({ x, y }): Point => [x, y]);
  const [qx, qy] = middleOf(stations);
  let most = 0;
  for (const [x, y] of places) {
    const [ox, oy] = [x - px + qx, y - py + qy];
    let least = Infinity;
    let off = 0;
    for (const s of regular.stations) {
      const far = (s.x - ox) ** 2 + (s.y - oy) ** 2;
      if (far >= least) continue;
      least = far;
      off = Math.abs((ox - s.x) * s.nx + (oy - s.y) * s.ny);
    }
    if (off > most) most = off;
  }
  return most;
}

function middleOf(points: readonly Point[]): Point {
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  return [(Math.max(...xs) + Math.min(...xs)) / 2, (Math.max(...ys) + Math.min(...ys)) / 2];
}
