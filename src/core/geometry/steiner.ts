import { type Curve, type Passed, type Stroke, bendsThrough } from "./curve";
import { type Extent, type Loop, type Outline, type Place, type Point, type Station } from "./outline";

const TURN = 2 * Math.PI;

/** First moments of an outline: integrals of the place over its area, along its line, and over its turn. */
export interface Moments {
  readonly area: Point;
  readonly line: Point;
  readonly turn: Point;
}

interface Uncrossed extends Pick<Outline, "perimeter" | "area" | "extent" | "stations" | "corners"> {
  /** How far the outline has turned from its datum to a place (radians). */
  readonly turnedTo: (place: Place) => number;
  readonly moments: () => Moments;
}

/**
 * The parallel curve of an outline where none of it crosses itself: length + 2 pi d, area + length d + pi d^2 (Steiner), and moments by the same:
 * its line's is the outline's and d times the turn's, its area's the area's, d times the line's and d^2 / 2 times the turn's.
 */
export function steinerLoop(outline: Uncrossed, d: number): Loop {
  const { perimeter, area, extent, turnedTo } = outline;
  const widened: Extent = (direction) => extent(direction) + 2 * d;
  let drawn: Curve | null = null;
  const [length, enclosed] = [perimeter + TURN * d, area + perimeter * d + Math.PI * d * d];
  return {
    length,
    area: enclosed,
    extent: widened,
    balance: () => {
      const of = outline.moments();
      const both = (value: (i: 0 | 1) => number): Point => [value(0), value(1)];
      return {
        area: both((i) => (of.area[i] + d * of.line[i] + (d * d * of.turn[i]) / 2) / enclosed),
        line: both((i) => (of.line[i] + d * of.turn[i]) / length),
      };
    },
    curve: () => (drawn ??= movedCurve(outline, d)),
    points: () => movedOut(outline, d),
    lengthTo: (place) => place.at * perimeter + d * turnedTo(place),
  };
}

/** The curve of an outline moved straight out by `d`: bends through its places, and the round of each corner that opens. */
function movedCurve(outline: Uncrossed, d: number): Curve {
  const { stations, corners, perimeter } = outline;
  const turns = turnsOf(outline);
  const passed = ({ x, y, nx, ny, at }: Station, i: number): Passed => ({
    at: [x + nx * d, y + ny * d],
    out: [nx, ny],
    along: at * perimeter + d * turns[i]!,
    turn: turns[i]!,
  });
  const [first] = stations as [Station];
  const strokes: Stroke[] = [];
  let run: Passed[] = [passed(first, 0)];
  const end = () => {
    strokes.push(...bendsThrough(run));
    run = [];
  };
  stations.slice(1).forEach((station, i) => {
    const before = stations[i]!;
    if (isSamePlace(before, station)) {
      end();
      strokes.push(...joinsAt(corners, station, d));
    }
    run.push(passed(station, i + 1));
  });
  const last = stations.at(-1)!;
  if (isSamePlace(last, first)) {
    end();
    strokes.push(...joinsAt(corners, first, d));
  } else {
    const closing = passed(first, 0);
    run.push({ ...closing, along: closing.along + perimeter + TURN * d, turn: closing.turn + TURN });
    end();
  }
  return { from: passed(first, 0).at, strokes };
}

const turnsKnown = new WeakMap<readonly Station[], readonly number[]>();

/** How far the outline has turned at each of its stations; the same for all its parallel curves. */
function turnsOf({ stations, turnedTo }: Uncrossed): readonly number[] {
  const known = turnsKnown.get(stations);
  if (known) return known;
  const turns = stations.map(turnedTo);
  turnsKnown.set(stations, turns);
  return turns;
}

function isSamePlace(a: Point2, b: Point2): boolean {
  return a.x === b.x && a.y === b.y;
}

type Point2 = Pick<Station, "x" | "y">;

function joinsAt(corners: Outline["corners"], place: Point2, d: number): Stroke[] {
  const corner = corners.find((each) => isSamePlace(each, place));
  if (!corner || d === 0) return [];
  const { x, y, nx, ny, turn } = corner;
  return [{ kind: "arc", x, y, radius: d, start: Math.atan2(ny, nx) - turn / 2, sweep: turn }];
}

/** How far a convex outline turns from the way it heads at its datum: less than once round. */
export function turnedFrom(heading: number): Uncrossed["turnedTo"] {
  return ({ at, nx, ny }) => {
    const turned = (((Math.atan2(ny, nx) - heading) % TURN) + TURN) % TURN;
    if (at < 0.5) return TURN - turned < SAME_HEADING ? 0 : turned;
    return turned < SAME_HEADING ? TURN : turned;
  };
}

/** Headings that rounding has put this far apart are one (radians): on a flat side the datum's may come out on either side of it. */
const SAME_HEADING = 1e-6;

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
