import { type Corner, type Outline, type Point, withinOne } from "../geometry/outline";
import { distanceInside, nearestOn } from "../geometry/polygon";
import { tolerance } from "../measure/tolerances";
import { apart, foldedCorners } from "../mount/seam";
import { type Hung, type Weight } from "../mount/weights";

/** Where all of it balances, and what it weighs. */
export function balanceOf(weights: readonly Weight[]): { readonly mass: number; readonly at: Point } {
  const mass = weights.reduce((all, each) => all + each.mass, 0);
  const moment = (axis: 0 | 1) => weights.reduce((all, each) => all + each.mass * each.at[axis], 0) / mass;
  return { mass, at: [moment(0), moment(1)] };
}

/** Where something is hung up: a share of the outline's length, and at a point of it degrees from the middle of its arc. */
export interface Spot {
  readonly at: number;
  readonly turn: number;
}

/** The point or notch of an outline that lies at a place; null where there is none. */
function cornerAt(outline: Outline, at: number): Corner | null {
  return foldedCorners(outline).find((corner) => apart(corner.at, at) * outline.perimeter < tolerance.seen) ?? null;
}

/** The point of an outline that lies at a place; null where there is none, or a notch. */
export function pointAt(outline: Outline, at: number): Corner | null {
  const corner = cornerAt(outline, at);
  return corner && corner.turn > 0 ? corner : null;
}

/** How far to each side of its middle the arc round a point goes (degrees). */
export function halfArc({ turn }: Corner): number {
  return (turn * 90) / Math.PI;
}

/** Straight out of the setting's edge: from where, and which way. A point is gone round as far as its arc goes. */
export function wayOut(
  { outline, edge }: Pick<Hung, "outline" | "edge">,
  { at, turn }: Spot,
): { readonly from: Point; readonly way: Point } {
  const corner = cornerAt(outline, at);
  const { x, y, nx, ny } = corner ?? outline.stationAt(at);
  const most = corner ? Math.max(0, halfArc(corner)) : 0;
  const swung = (Math.min(most, Math.max(-most, turn)) * Math.PI) / 180;
  const [cos, sin] = [Math.cos(swung), Math.sin(swung)];
  const way: Point = [nx * cos - ny * sin, nx * sin + ny * cos];
  const out = edge.outAt(withinOne(at));
  return { from: [x + way[0] * out, y + way[1] * out], way };
}

/** Nearer than this a ring touches (mm), and to each side of its middle by so much it lies against a flank (a share of its radius). */
const TOUCHES = 0.02;
const ASIDE = 0.26;
const SETTLINGS = 60;

/** A round thing that lies against an edge: from where it stands out, and whether it lies against both flanks of a notch. */
export interface Rest {
  readonly foot: Point;
  readonly isBetween: boolean;
}

/** Where something `radius` round comes to lie when it is pushed in against an edge: in a notch where both its flanks stop it. */
export function restOf(edge: readonly Point[], { from: [x, y], way: [nx, ny] }: ReturnType<typeof wayOut>, radius: number): Rest {
  let out = radius;
  const middle = (): Point => [x + nx * out, y + ny * out];
  for (let i = 0; i < SETTLINGS; i++) {
    const short = radius + distanceInside(edge, middle());
    if (short < tolerance.samePlace) break;
    out += short;
  }
  const [mx, my] = middle();
  const sides = edge.flatMap((_, i) => {
    const [px, py] = nearestOn(edge[i]!, edge[(i + 1) % edge.length]!, [mx, my]);
    return Math.hypot(px - mx, py - my) < radius + TOUCHES ? [(px - mx) * -ny + (py - my) * nx] : [];
  });
  const isBetween = sides.some((side) => side > ASIDE * radius) && sides.some((side) => side < -ASIDE * radius);
  return { foot: [mx - nx * radius, my - ny * radius], isBetween };
}

/** Degrees from -180, exclusive, to 180. */
export function turned(degrees: number): number {
  const turn = degrees - 360 * Math.ceil((degrees - 180) / 360);
  return turn <= -180 ? turn + 360 : turn;
}

/** Degrees anticlockwise from an axis (degrees from +x) to the way from one point to another. */
export function tiltBetween([fx, fy]: Point, [tx, ty]: Point, axis: number): number {
  return turned((Math.atan2(ty - fy, tx - fx) * 180) / Math.PI - axis);
}

const PLACES = 240;
const HALVINGS = 40;
/** Degrees. */
const STRAIGHT = 1e-6;

/**
 * From where the tilt is 0, of several places the nearest to one; null where it is from none. Looked for between places round the outline, and round
 * the arcs of its points, where the tilt changes its sign, and halved down to.
 */
export function straightFrom(tiltAt: (spot: Spot) => number, near: number, outline: Outline): Spot | null {
  const round = (at: number): Spot => ({ at: withinOne(at), turn: 0 });
  const along = Array.from({ length: PLACES }, (_, i) => i / PLACES);
  const tilts = along.map((at) => tiltAt(round(at)));
  const places = along.flatMap((at, i) => {
    const [tilt, next] = [tilts[i]!, tilts[(i + 1) % PLACES]!];
    return tilt === 0 ? [round(at)] : crossing(tiltAt, [at, at + 1 / PLACES], [tilt, next], round);
  });
  const points = foldedCorners(outline).filter(({ turn }) => turn > 0);
  const onPoints = points.flatMap((point) => {
    const spotAt = (turn: number): Spot => ({ at: point.at, turn });
    const ends = [-halfArc(point), halfArc(point)] as const;
    return crossing(tiltAt, ends, [tiltAt(spotAt(ends[0])), tiltAt(spotAt(ends[1]))], spotAt);
  });
  const away = ({ at }: Spot) => Math.abs(turned((at - near) * 360));
  return [...places, ...onPoints].reduce<Spot | null>((best, spot) => (best === null || away(spot) < away(best) ? spot : best), null);
}

/** Where between two places, whose tilts are known, the tilt changes its sign without a jump. */
function crossing(
  tiltAt: (spot: Spot) => number,
  [from, to]: readonly [number, number],
  [tilt, next]: readonly [number, number],
  spotAt: (share: number) => Spot,
): Spot[] {
  if (tilt * next >= 0 || Math.abs(tilt - next) > 180) return [];
  let [low, high] = [from, to];
  for (let n = 0; n < HALVINGS; n++) {
    const middle = (low + high) / 2;
    if (tiltAt(spotAt(middle)) * tilt > 0) low = middle;
    else high = middle;
  }
  const spot = spotAt((low + high) / 2);
  return Math.abs(tiltAt(spot)) < STRAIGHT ? [spot] : [];
}
