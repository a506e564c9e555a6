import { tolerance } from "../measure/tolerances";
import { type Stroke } from "./curve";
import { leastBetween } from "./extremum";
import { type Corner, type Extent, type Loop, type Outline, type Parallel, type Point, type Station } from "./outline";
import {
  type Segment,
  arcOf,
  areaShare,
  curvatureOf,
  lengthOf,
  lineMoment,
  momentShares,
  nearestOn,
  normalAt,
  part,
  pointAt,
  supportOf,
  visitCrossings,
} from "./pieces";

/** What a shape of lines and arcs knows of itself in closed form. */
export interface ArcShape {
  /** Counter-clockwise from the datum, bending outward or straight; each begins where the one before it ends. */
  readonly pieces: readonly Segment[];
  readonly inscribedRadius: number;
  /** Where the hull is not the curve itself. */
  readonly hullPerimeter?: number;
}

/** Steps of an arc for stations and drawing (radians), and of a line (a share). */
const ARC_STEP = Math.PI / 48;
const LINE_STEPS = 12;

/** An outline of lines and arcs: every length, area and parallel curve in closed form. */
export function arcOutline({ pieces: all, inscribedRadius, hullPerimeter }: ArcShape): Outline {
  const pieces = all.filter((piece) => lengthOf(piece) > tolerance.sameLength);
  const starts = pieces.reduce<number[]>((sums, piece) => [...sums, sums.at(-1)! + lengthOf(piece)], [0]);
  const perimeter = starts.at(-1)!;
  const corners = cornersOf(pieces, starts, perimeter);
  const station = (i: number, share: number): Station => {
    const piece = pieces[i]!;
    const [[x, y], [nx, ny]] = [pointAt(piece, share), normalAt(piece, share)];
    const at = (starts[i]! + share * (starts[i + 1]! - starts[i]!)) / perimeter;
    return { at, x, y, nx, ny, curvature: curvatureOf(piece) };
  };
  const area = pieces.reduce((sum, piece) => sum + areaShare(piece), 0);
  return {
    perimeter,
    area,
    hullPerimeter: hullPerimeter ?? perimeter,
    inscribedRadius,
    centre: both((i) => pieces.reduce((sum, piece) => sum + momentShares(piece)[i], 0) / area),
    corners,
    isTraced: false,
    stations: pieces.flatMap((piece, i) => sharesOf(piece).map((share) => station(i, share))),
    extent: extentOf(pieces),
    stationAt: (at) => {
      const along = (at - Math.floor(at)) * perimeter;
      const next = starts.findIndex((start) => start > along);
      const i = next < 0 ? pieces.length - 1 : next - 1;
      return station(i, (along - starts[i]!) / (starts[i + 1]! - starts[i]!));
    },
    parallel: (d) => parallelOf({ pieces, corners, area, perimeter, inscribedRadius }, d),
  };
}

/** Radius of the largest circle that fits in, its centre on the x axis between two places, from the distance to the outline there. */
export function inscribedOnAxis(pieces: readonly Segment[], from: number, to: number): number {
  const clear = (x: number) => distanceTo(pieces, [x, 0]);
  const step = (to - from) / SCAN;
  let best = from;
  for (let i = 0; i <= SCAN; i++) if (clear(from + i * step) > clear(best)) best = from + i * step;
  return clear(leastBetween((x) => -clear(x), best - step, best + step));
}

const SCAN = 64;

function sharesOf(piece: Segment): number[] {
  const steps = piece.kind === "line" ? LINE_STEPS : Math.max(2, Math.ceil(Math.abs(piece.sweep) / ARC_STEP));
  return Array.from({ length: steps + 1 }, (_, i) => i / steps);
}

function cornersOf(pieces: readonly Segment[], starts: readonly number[], perimeter: number): Corner[] {
  return pieces.flatMap((piece, i) => {
    const before = pieces[(i + pieces.length - 1) % pieces.length]!;
    const [[ax, ay], [bx, by]] = [normalAt(before, 1), normalAt(piece, 0)];
    const turn = notchTurn(Math.atan2(ax * by - ay * bx, ax * bx + ay * by));
    if (Math.abs(turn) < tolerance.sameHeading) return [];
    const [x, y] = pointAt(piece, 0);
    const middle = Math.atan2(ay, ax) + turn / 2;
    return [{ at: starts[i]! / perimeter, x, y, nx: Math.cos(middle), ny: Math.sin(middle), turn }];
  });
}

/** A cusp that turns right back is a notch: no outline has a spike of no width. */
function notchTurn(turn: number): number {
  return Math.PI - Math.abs(turn) < tolerance.samePlace ? -Math.PI : turn;
}

function extentOf(pieces: readonly Segment[]): Extent {
  return (direction) => {
    const [cos, sin] = [Math.cos(direction), Math.sin(direction)];
    const reach = (way: number) => Math.max(...pieces.map((piece) => supportOf(piece, way * cos, way * sin)));
    return reach(1) + reach(-1);
  };
}

function distanceTo(pieces: readonly Segment[], point: Point): number {
  return Math.min(...pieces.map((piece) => nearestOn(piece, point).distance));
}

interface Known {
  readonly pieces: readonly Segment[];
  readonly corners: readonly Corner[];
  readonly area: number;
  readonly perimeter: number;
  readonly inscribedRadius: number;
}

/**
 * Each piece moved by `d`, with an arc round each corner that opens on that side. Outward of an outline without notches that
 * is all (Steiner). Else what of it lies nearer than `d` to the outline is cut away where the pieces cross.
 */
function parallelOf(known: Known, d: number): Parallel {
  const { pieces, corners, area, perimeter, inscribedRadius } = known;
  if (-d > inscribedRadius - tolerance.sameLength) return { kind: "collapsed", largestInset: inscribedRadius };
  if (Math.abs(d) < tolerance.sameLength) return { kind: "one", ...loopOf(pieces, 0), length: perimeter, area };
  const moved = movedPieces(pieces, corners, d);
  if (d >= 0 && corners.every(({ turn }) => turn > 0)) {
    const steiner = { length: perimeter + 2 * Math.PI * d, area: area + perimeter * d + Math.PI * d * d };
    return { kind: "one", ...loopOf(moved, d), ...steiner };
  }
  const loops = chained(clearRuns(moved, pieces, Math.abs(d)))
    .map((loop) => loopOf(loop, d))
    .filter((loop) => loop.area > tolerance.sameLength)
    .sort((a, b) => b.area - a.area);
  const [first] = loops;
  if (!first) return { kind: "collapsed", largestInset: inscribedRadius };
  return d > 0 || loops.length === 1 ? { kind: "one", ...first } : { kind: "split", parts: loops };
}

function movedPieces(pieces: readonly Segment[], corners: readonly Corner[], d: number): Segment[] {
  const open = corners.filter(({ turn }) => turn > 0 === d > 0);
  return pieces.flatMap((piece): Segment[] => {
    const [x, y] = pointAt(piece, 0);
    const corner = open.find((each) => each.x === x && each.y === y);
    const joined: Segment[] = corner ? [arcOf(x, y, Math.abs(d), outAngle(corner) + (d > 0 ? 0 : Math.PI), corner.turn)] : [];
    if (piece.kind === "line") return [...joined, { ...piece, x: piece.x + piece.dy * d, y: piece.y - piece.dx * d }];
    const radius = piece.radius + d * Math.sign(piece.sweep);
    return radius > tolerance.sameLength ? [...joined, { ...piece, radius }] : joined;
  });
}

/** The direction out of a corner's first side. */
function outAngle({ nx, ny, turn }: Corner): number {
  return Math.atan2(ny, nx) - turn / 2;
}

/** Where two moved pieces cross: one number for both. */
interface Cut {
  readonly share: number;
  readonly crossing: number;
}

/** A part of a moved piece; its ends are the piece's own (null) or crossings. */
interface ClearRun {
  readonly run: Segment;
  readonly piece: number;
  readonly from: number | null;
  readonly to: number | null;
}

/** The parts of moved pieces, between where others cross them, that are as far from the outline as they should be. */
function clearRuns(moved: readonly Segment[], outline: readonly Segment[], distance: number): ClearRun[] {
  const cuts = moved.map((): Cut[] => []);
  let crossing = 0;
  moved.forEach((a, i) => {
    for (let j = i + 1; j < moved.length; j++) {
      const joint = jointOf(moved, i, j);
      visitCrossings(a, moved[j]!, (onA, onB) => {
        if (joint && apart(pointAt(a, onA), joint) < JOINED) return;
        cuts[i]!.push({ share: onA, crossing });
        cuts[j]!.push({ share: onB, crossing });
        crossing++;
      });
    }
  });
  return moved.flatMap((piece, i) => clearParts(piece, i, cuts[i]!, outline, distance));
}

/** Where one of two pieces goes on as the other; null where neither does. Neighbours that touch there do not cross there. */
function jointOf(moved: readonly Segment[], i: number, j: number): Point | null {
  const [before, after] = j === i + 1 ? [i, j] : i === 0 && j === moved.length - 1 ? [j, i] : [0, 0];
  if (before === after) return null;
  const end = pointAt(moved[before]!, 1);
  return apart(end, pointAt(moved[after]!, 0)) < JOINED ? end : null;
}

function clearParts(piece: Segment, i: number, cuts: readonly Cut[], outline: readonly Segment[], distance: number): ClearRun[] {
  const within = cuts.filter(({ share }) => share > 0 && share < 1).sort((a, b) => a.share - b.share);
  const ends = [{ share: 0, crossing: null }, ...within, { share: 1, crossing: null }];
  return ends.slice(1).flatMap((to, k) => {
    const from = ends[k]!;
    const run = part(piece, from.share, to.share);
    if (lengthOf(run) < tolerance.placeFound) return [];
    const middle = pointAt(run, 0.5);
    const isClear = outline.every((each) => nearestOn(each, middle).distance > distance - tolerance.sameLength);
    return isClear ? [{ run, piece: i, from: from.crossing, to: to.crossing }] : [];
  });
}

/**
 * Runs put end to end into closed loops by what they are: past its own end a piece goes on as the next one; at a crossing the loop goes over
 * to the other piece that crosses there.
 */
function chained(runs: readonly ClearRun[]): Segment[][] {
  const left = new Set(runs);
  const follows = (last: ClearRun, each: ClearRun) =>
    last.to === null
      ? each.from === null && apart(pointAt(last.run, 1), pointAt(each.run, 0)) < JOINED
      : each.from === last.to && each.piece !== last.piece;
  const loops: Segment[][] = [];
  for (const first of runs) {
    if (!left.delete(first)) continue;
    const loop = [first];
    for (;;) {
      const last = loop.at(-1)!;
      if (follows(last, first)) {
        loops.push(loop.map(({ run }) => run));
        break;
      }
      const next = [...left].find((each) => follows(last, each));
      if (!next) break;
      left.delete(next);
      loop.push(next);
    }
  }
  return loops;
}

/** Ends of neighbours nearer than this are one: what moving them both has rounded (mm). */
const JOINED = 1e-5;

function apart([ax, ay]: Point, [bx, by]: Point): number {
  return Math.hypot(ax - bx, ay - by);
}

function both(value: (i: 0 | 1) => number): Point {
  return [value(0), value(1)];
}

function strokeOf(piece: Segment): Stroke {
  return piece.kind === "line" ? { kind: "line", to: pointAt(piece, 1) } : piece;
}

function loopOf(pieces: readonly Segment[], d: number): Loop {
  const length = pieces.reduce((sum, piece) => sum + lengthOf(piece), 0);
  const area = pieces.reduce((sum, piece) => sum + areaShare(piece), 0);
  return {
    length,
    area,
    extent: extentOf(pieces),
    balance: () => ({
      area: both((i) => pieces.reduce((sum, piece) => sum + momentShares(piece)[i], 0) / area),
      line: both((i) => pieces.reduce((sum, piece) => sum + lineMoment(piece)[i], 0) / length),
    }),
    curve: () => ({ from: pointAt(pieces[0]!, 0), strokes: pieces.map(strokeOf) }),
    points: () =>
      pieces.flatMap((piece) =>
        sharesOf(piece)
          .slice(piece.kind === "line" ? -1 : 1)
          .map((share) => pointAt(piece, share)),
      ),
    lengthTo: ({ x, y, nx, ny }) => {
      const found = pieces.map((piece) => nearestOn(piece, [x + nx * d, y + ny * d]));
      const nearest = found.reduce((best, each, i) => (each.distance < found[best]!.distance ? i : best), 0);
      const before = pieces.slice(0, nearest).reduce((sum, piece) => sum + lengthOf(piece), 0);
      return before + found[nearest]!.share * lengthOf(pieces[nearest]!);
    },
  };
}
