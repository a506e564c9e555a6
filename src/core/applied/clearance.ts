import { flattened } from "../geometry/curve";
import { type Outline, type Point, nearestStation } from "../geometry/outline";
import { distanceInside, distanceToPolygon } from "../geometry/polygon";
import { roomiest } from "../geometry/roomiest";
import { type HoopDrawing } from "../hoop/drawing";
import { roundTheHoop } from "../hoop/placing";
import { type SettingDrawing } from "../mount/drawing";
import { type Stretch, covers } from "../mount/layers/layer";
import { type Applied } from "./applied";

/** Nearer than this to a seam what is put on is soldered over it, or lets it go (mm). */
export const FROM_SEAM = 2;

/** Points round a shape that are held against what lies beside it. */
const ROUND = 32;

/** A setting's plane, seen from above: what stands on it, and where it ends. Lengths in mm. */
export interface Plane {
  readonly outline: Outline;
  /** The wall's outside; what lies within it lies under the stone. */
  readonly wall: readonly Point[];
  readonly edge: readonly Point[];
  /** Ornament by the part it is: from where it starts to where it ends, out from the outline. */
  readonly layers: readonly {
    readonly part: string;
    readonly extent: readonly Stretch[];
    readonly start: number;
    readonly width: number;
  }[];
}

/** How closely curves are followed (mm). */
const DRAWN = 0.01;

/** A setting's plane, from its stone's outline and what is drawn of it. */
export function planeOf(outline: Outline, { wallOutside, plateEdge, layers }: SettingDrawing["plan"]): Plane {
  return {
    outline,
    wall: flattened(wallOutside, DRAWN),
    edge: flattened(plateEdge, DRAWN),
    layers: layers.map(({ part, extent, cut, width }) => ({ part, extent, start: cut.start, width })),
  };
}

function rotated([x, y]: Point, degrees: number): Point {
  const [cos, sin] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
  return [x * cos - y * sin, x * sin + y * cos];
}

/** How far it reaches from its middle, along and across, as it is turned (mm). */
export function reachOf({ shaped: { half, isRound }, turn }: Applied): readonly [along: number, across: number] {
  if (isRound) return half;
  const [cos, sin] = [Math.abs(Math.cos((turn * Math.PI) / 180)), Math.abs(Math.sin((turn * Math.PI) / 180))];
  return [half[0] * cos + half[1] * sin, half[0] * sin + half[1] * cos];
}

/** How far a place lies outside a shape, in mm; below 0 within its metal. */
function outsideOf({ shaped: { half, isRound, hole }, turn }: Applied, place: Point): number {
  const [along, across] = half;
  const [x, y] = rotated(place, -turn);
  if (!isRound) {
    const [dx, dy] = [Math.abs(x) - along, Math.abs(y) - across];
    return dx > 0 && dy > 0 ? Math.hypot(dx, dy) : Math.max(dx, dy);
  }
  const d = Math.hypot(x, y);
  return hole > 0 ? Math.max(hole - d, d - along) : d - along;
}

/** Places on the edge of a shape about its middle. */
function edgeOf({ shaped: { half, isRound, hole }, turn }: Applied): Point[] {
  const [along, across] = half;
  const circle = (radius: number) =>
    Array.from({ length: ROUND }, (_, i): Point => {
      const turn = (2 * Math.PI * i) / ROUND;
      return [radius * Math.cos(turn), radius * Math.sin(turn)];
    });
  if (isRound) return hole > 0 ? [...circle(along), ...circle(hole)] : circle(along);
  const sides = Array.from({ length: ROUND + 1 }, (_, i) => (2 * i) / ROUND - 1).flatMap((t): Point[] => [
    [t * along, across],
    [t * along, -across],
    [along, t * across],
    [-along, t * across],
  ]);
  return sides.map((place) => rotated(place, turn));
}

const moved = (points: readonly Point[], [dx, dy]: Point): Point[] => points.map(([x, y]) => [x + dx, y + dy]);

/** How far two that are put on lie apart in one plane, in mm; below 0 one lies over the other. */
export function clearOfOther(one: Applied, other: Applied): number {
  const away: Point = [one.at[0] - other.at[0], one.at[1] - other.at[1]];
  const back: Point = [-away[0], -away[1]];
  return Math.min(
    ...moved(edgeOf(one), away).map((place) => outsideOf(other, place)),
    ...moved(edgeOf(other), back).map((place) => outsideOf(one, place)),
  );
}

/** How far it lies outside the wall, in mm; below 0 it lies over the wall, or under the stone. */
export function clearOfWall(each: Applied, { wall }: Plane): number {
  const own = moved(edgeOf(each), each.at);
  return Math.min(
    ...own.map((place) => -distanceInside(wall, place)),
    ...moved(wall, [-each.at[0], -each.at[1]]).map((place) => outsideOf(each, place)),
  );
}

/** How far it lies within the edge, in mm; below 0 it hangs over it by so much. */
export function clearOfEdge(each: Applied, { edge }: Plane): number {
  return Math.min(...moved(edgeOf(each), each.at).map((place) => distanceInside(edge, place)));
}

/** The ornament that it lies over most, and by how much; null where it lies clear of all. */
export function overLayer(each: Applied, { outline, wall, layers }: Plane): { readonly part: string; readonly over: number } | null {
  const round = outline.stations.map(({ x, y }): Point => [x, y]);
  const found = moved(edgeOf(each), each.at)
    .filter((place) => distanceInside(wall, place) < 0)
    .flatMap((place) => {
      const out = distanceToPolygon(round, place);
      const { at } = nearestStation(outline.stations, place);
      return layers.flatMap(({ part, extent, start, width }) => {
        const over = Math.min(out - start, start + width - out);
        return over > 0 && covers(extent, at) ? [{ part, over }] : [];
      });
    });
  return found.reduce<(typeof found)[number] | null>((most, one) => (most && most.over >= one.over ? most : one), null);
}

/** From one place round a hoop that is looked at to the next (mm). */
const LOOKED = 0.5;

/** The place in a plane where something new lies furthest from all that is there, and from the edge. */
export function freeIn(each: Applied, plane: Plane, others: readonly Applied[]): Point {
  const clearAt = (at: Point) => {
    if (distanceInside(plane.wall, at) >= 0 || distanceInside(plane.edge, at) <= 0) return -Infinity;
    const there = { ...each, at };
    return Math.min(
      clearOfWall(there, plane),
      clearOfEdge(there, plane),
      -(overLayer(there, plane)?.over ?? 0),
      ...others.map((other) => clearOfOther(there, other)),
    );
  };
  return roomiest(plane.edge, clearAt, each.at, -Infinity);
}

/** A hoop as what is put on it finds it: its outside and width in mm, and by angles from its front in radians what sits on it and its seams. */
export interface Round {
  readonly outside: number;
  readonly width: number;
  /** `half` is how far each covers it to one side of its middle. */
  readonly seats: readonly { readonly mount: string; readonly angle: number; readonly half: number }[];
  readonly seams: readonly number[];
}

export function roundOf({ outside, wire, seats, seams }: Pick<HoopDrawing, "outside" | "wire" | "seats" | "seams">): Round {
  return {
    outside,
    width: wire.width,
    seats: Object.entries(seats).map(([mount, { angle, covers: degrees }]) => ({ mount, angle, half: (degrees * Math.PI) / 360 })),
    seams,
  };
}

/** Where something new finds room round a hoop, in mm from its front, the nearest to it; the roomiest place where it finds none. */
export function freeRound(one: Applied, { outside, seats, seams }: Omit<Round, "width">, others: readonly Applied[]): number {
  const [half] = reachOf(one);
  let [best, most] = [0, -Infinity];
  for (let away = 0; away <= Math.PI * outside; away += LOOKED)
    for (const along of [away, -away]) {
      const least = Math.min(
        ...seats.map((seat) => roundTheHoop(outside, along - seat.angle * outside) - seat.half * outside - half),
        ...seams.map((angle) => roundTheHoop(outside, along - angle * outside) - FROM_SEAM - half),
        ...others.map((other) => roundTheHoop(outside, along - other.along) - half - reachOf(other)[0]),
      );
      if (least >= ROOM) return along;
      if (least > most) [best, most] = [along, least];
    }
  return best;
}

/** What is left free beside something new (mm). */
const ROOM = 0.3;
