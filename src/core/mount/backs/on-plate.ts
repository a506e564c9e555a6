import { flattened } from "../../geometry/curve";
import { type Loop, type Outline, type Point, nearestStation, outward } from "../../geometry/outline";
import { distanceInside } from "../../geometry/polygon";
import { roomiest } from "../../geometry/roomiest";
import { type Finding, finding } from "../../measure/finding";
import { tolerance } from "../../measure/tolerances";
import { type BackAsked } from "./back";

/** What is left of a plate outside a wall, and between two walls on it, at the least (mm). */
const LEAST_EDGE = 0.3;
const LEAST_BETWEEN = 0.5;
/** How closely walls and edges are followed (mm). */
const DRAWN = 0.002;

/** A wall that comes nearer to its plate's edge than is left of it, or over it: the place, and by how much. */
export function overEdge({ mount, outline, wall }: BackAsked, edge: Loop): Finding[] {
  const rim = flattened(edge.curve(), DRAWN);
  let least = { clear: Infinity, at: [0, 0] as Point };
  for (const at of flattened(outward(outline, wall.fit.value + wall.thickness.value).curve(), DRAWN)) {
    const clear = distanceInside(rim, at);
    if (clear < least.clear) least = { clear, at };
  }
  const over = LEAST_EDGE - least.clear;
  if (over <= tolerance.seen) return [];
  const { at } = nearestStation(outline.stations, least.at);
  const level = least.clear < 0 ? "error" : "warning";
  return [finding("plate.wall-over-edge", level, `${mount}.wall`, { at, over, clear: least.clear, least: LEAST_EDGE }, mount)];
}

/** A wall as it stands on a plate with others: its outer face. */
export interface Standing {
  readonly mount: string;
  readonly outline: Outline;
  /** mm from the outline. */
  readonly face: number;
}

/** How far a wall reaches from its stone's centre (mm). */
function reachOf({ outline: { centre, stations }, face }: Standing): number {
  return stations.reduce((most, { x, y }) => Math.max(most, Math.hypot(x - centre[0], y - centre[1])), 0) + face;
}

/** Settings on one plate that stand nearer to each other than is left between their walls: told of both, so of neither alone. */
export function tooClose(all: readonly Standing[]): Finding[] {
  const faces = all.map(({ outline, face }) => flattened(outward(outline, face).curve(), DRAWN));
  const reach = all.map(reachOf);
  return all.flatMap(({ mount, outline: { centre } }, i) =>
    all.slice(0, i).flatMap((other, k) => {
      const away = Math.hypot(centre[0] - other.outline.centre[0], centre[1] - other.outline.centre[1]);
      if (away > reach[i]! + reach[k]! + LEAST_BETWEEN) return [];
      const apart = between(faces[i]!, faces[k]!);
      if (apart >= LEAST_BETWEEN - tolerance.seen) return [];
      const level = apart < 0 ? "error" : "warning";
      return [finding("plate.walls-close", level, `${mount}.wall`, { apart, least: LEAST_BETWEEN, one: other.mount, other: mount })];
    }),
  );
}

/** The roomiest place on a plate for one more wall: as far as can be from its edge and from all that stand there. `like` is one of its size. */
export function freeOnPlate(edge: readonly Point[], all: readonly Standing[], like: Standing): Point {
  const own = reachOf(like);
  const clearAt = ([x, y]: Point) =>
    Math.min(
      distanceInside(edge, [x, y]) - own - LEAST_EDGE,
      ...all.map((each) => Math.hypot(x - each.outline.centre[0], y - each.outline.centre[1]) - reachOf(each) - own - LEAST_BETWEEN),
    );
  return roomiest(edge, clearAt, like.outline.centre, -Infinity);
}

/** How far apart two closed lines lie (mm); below 0 one reaches so far into the other. */
function between(one: readonly Point[], other: readonly Point[]): number {
  const from = (points: readonly Point[], to: readonly Point[]) =>
    points.reduce((least, at) => Math.min(least, -distanceInside(to, at)), Infinity);
  return Math.min(from(one, other), from(other, one));
}
