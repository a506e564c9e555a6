import { type Extent, type Loop, type Outline, type Point } from "./outline";

const TURN = 2 * Math.PI;

type Convex = Pick<Outline, "perimeter" | "area" | "extent"> & { readonly heading: number };

/**
 * The parallel curve of a convex outline where none of it crosses itself: length + 2 pi d, area + length d + pi d^2 (Steiner). `heading` is
 * the direction out of the outline at its datum (radians).
 */
export function steinerLoop({ perimeter, area, extent, heading }: Convex, d: number, curve: () => Point[]): Loop {
  const widened: Extent = (direction) => extent(direction) + 2 * d;
  return {
    length: perimeter + TURN * d,
    area: area + perimeter * d + Math.PI * d * d,
    extent: widened,
    curve,
    lengthTo: ({ at, nx, ny }) => {
      const turned = (((Math.atan2(ny, nx) - heading) % TURN) + TURN) % TURN;
      const whole = TURN - turned < SAME_HEADING ? 0 : turned;
      return at * perimeter + d * whole;
    },
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
