import { type Extent, type Loop, type Outline, type Place, type Point } from "./outline";

const TURN = 2 * Math.PI;

interface Uncrossed extends Pick<Outline, "perimeter" | "area" | "extent"> {
  /** How far the outline has turned from its datum to a place (radians). */
  readonly turnedTo: (place: Place) => number;
}

/** The parallel curve of an outline where none of it crosses itself: length + 2 pi d, area + length d + pi d^2 (Steiner). */
export function steinerLoop({ perimeter, area, extent, turnedTo }: Uncrossed, d: number, curve: () => Point[]): Loop {
  const widened: Extent = (direction) => extent(direction) + 2 * d;
  return {
    length: perimeter + TURN * d,
    area: area + perimeter * d + Math.PI * d * d,
    extent: widened,
    curve,
    lengthTo: (place) => place.at * perimeter + d * turnedTo(place),
  };
}

/** How far a convex outline turns from the way it heads at its datum: less than once round. */
export function turnedFrom(heading: number): Uncrossed["turnedTo"] {
  return ({ nx, ny }) => {
    const turned = (((Math.atan2(ny, nx) - heading) % TURN) + TURN) % TURN;
    return TURN - turned < SAME_HEADING ? 0 : turned;
  };
}

/** Headings that rounding has put this far apart are one (radians). */
const SAME_HEADING = 1e-9;

/** The points of a curve moved straight out by `d`, with the round of each corner that opens. */
export function movedOut({ stations, corners }: Pick<Outline, "stations" | "corners">, d: number): Point[] {
  const points: Point[] = [];
  for (const { x, y, nx, ny } of stations) points.push([x + nx * d, y + ny * d]);
  if (corners.length === 0) return points;
  return stations.flatMap((station, i): Point[] => {
    const corner = corners.find(({ x, y }) => x === station.x && y === station.y);
    const isSecond = corner && stations[(i + stations.length - 1) % stations.length]!.x === station.x;
    const joins = corner && isSecond ? roundJoin(corner, d) : [];
    return [...joins, points[i]!];
  });
}

const JOIN_STEPS = 16;

function roundJoin({ x, y, nx, ny, turn }: Outline["corners"][number], d: number): Point[] {
  const start = Math.atan2(ny, nx) - turn / 2;
  return Array.from({ length: JOIN_STEPS - 1 }, (_, i): Point => {
    const angle = start + (turn * (i + 1)) / JOIN_STEPS;
    return [x + d * Math.cos(angle), y + d * Math.sin(angle)];
  });
}
