import { type Point, withinOne } from "../geometry/outline";
import { type Hung, type Weight } from "../mount/weights";

/** Where all of it balances, and what it weighs. */
export function balanceOf(weights: readonly Weight[]): { readonly mass: number; readonly at: Point } {
  const mass = weights.reduce((all, each) => all + each.mass, 0);
  const moment = (axis: 0 | 1) => weights.reduce((all, each) => all + each.mass * each.at[axis], 0) / mass;
  return { mass, at: [moment(0), moment(1)] };
}

/** A point straight out of the outline at a share of its length: so far past the setting's edge. */
export function outAt({ outline, edge }: Pick<Hung, "outline" | "edge">, at: number, past: number): Point {
  const { x, y, nx, ny } = outline.stationAt(at);
  const out = edge.outAt(withinOne(at)) + past;
  return [x + nx * out, y + ny * out];
}

/** Degrees from -180, exclusive, to 180. */
export function turned(degrees: number): number {
  const turn = degrees - 360 * Math.ceil((degrees - 180) / 360);
  return turn <= -180 ? turn + 360 : turn;
}

/** Degrees counter-clockwise from an axis (degrees from +x) to the way from one point to another. */
export function tiltBetween([fx, fy]: Point, [tx, ty]: Point, axis: number): number {
  return turned((Math.atan2(ty - fy, tx - fx) * 180) / Math.PI - axis);
}

const PLACES = 240;
const HALVINGS = 40;
/** Degrees. */
const STRAIGHT = 1e-6;

/**
 * The share of the outline's length from which the tilt is 0, of several the nearest to one; null where there is none. Looked for between places round
 * the outline, where the tilt changes its sign, and halved down to.
 */
export function straightFrom(tiltAt: (at: number) => number, near: number): number | null {
  const tilts = Array.from({ length: PLACES }, (_, i) => tiltAt(i / PLACES));
  const found = tilts.flatMap((tilt, i) => {
    if (tilt === 0) return [i / PLACES];
    const next = tilts[(i + 1) % PLACES]!;
    if (tilt * next >= 0 || Math.abs(tilt - next) > 180) return [];
    let [low, high] = [i / PLACES, (i + 1) / PLACES];
    for (let n = 0; n < HALVINGS; n++) {
      const middle = (low + high) / 2;
      if (tiltAt(middle) * tilt > 0) low = middle;
      else high = middle;
    }
    const at = withinOne((low + high) / 2);
    return Math.abs(tiltAt(at)) < STRAIGHT ? [at] : [];
  });
  const away = (at: number) => Math.abs(turned((at - near) * 360));
  return found.reduce<number | null>((best, at) => (best === null || away(at) < away(best) ? at : best), null);
}
