import { tolerance } from "../measure/tolerances";
import { type Corner, type Outline, type Parallel, type Place, type Point, type Station } from "./outline";
import {
  convexHull,
  largestCircle,
  offsetPolygon,
  polygonArea,
  polygonExtent,
  polygonLength,
  polygonLoop,
  selfCrossing,
  startedAt,
  thinned,
} from "./polygon";
import { smoothPanel, visitPanel } from "./quadrature";
import { rolledRound } from "./rolled";
import { type Moments, movedOut, steinerLoop, turnedFrom } from "./steiner";

/** A place on a span: where it is, and how it moves and bends with `u`. */
export interface Motion {
  readonly x: number;
  readonly y: number;
  readonly dx: number;
  readonly dy: number;
  readonly ddx: number;
  readonly ddy: number;
}

/** A smooth run of a curve, from u = 0 to 1; its speed is nowhere 0 between. */
export type Span = (u: number) => Motion;

/** A step of the curve between two places: its span, from where to where, how long, and how far from the datum it begins. */
interface Step {
  readonly span: Span;
  readonly from: number;
  readonly to: number;
  readonly length: number;
  readonly start: number;
  /** Its shares of the area enclosed, and of that area's moments. */
  readonly area: number;
  readonly momentX: number;
  readonly momentY: number;
}

/** Chords stay this close to the curve (mm), and turn no more than this from one to the next (radians). */
const SAGITTA = 1.5e-3;
const MOST_TURN = Math.PI / 24;
const LEAST_STEP = 1 / 1024;
/** The largest circle is found to this (mm). */
const CIRCLE_WITHIN = 2e-3;

/**
 * An outline of smooth spans, each beginning where the one before it ends, anticlockwise from the datum. Lengths
 * and areas by Gauss-Legendre panels between places close enough for a chord (error far under 1e-4 mm on a stone).
 * Parallel curves in closed form (Steiner) as long as none of it crosses itself; else by polygon clipping on the chords, whose loss of length
 * is put back (within 0.002 mm on 60 mm).
 */
export function sampledOutline(spans: readonly Span[], inscribed?: number): Outline {
  const steps = stepsOf(spans);
  const perimeter = steps.at(-1)!.start + steps.at(-1)!.length;
  const stations = stationsOf(steps, perimeter);
  const corners = cornersOf(stations);
  const places = stations.map(({ x, y }): Point => [x, y]);
  const chords = thinned(places, SAGITTA);
  const total = (of: "area" | "momentX" | "momentY") => steps.reduce((sum, step) => sum + step[of], 0);
  const area = total("area");
  const isConvex = stations.every(({ curvature }) => curvature > -tolerance.sameLength) && corners.every(({ turn }) => turn > 0);
  const extent = polygonExtent(places);
  const outline = {
    perimeter,
    area,
    hullPerimeter: isConvex ? perimeter : hullLength(places, perimeter),
    inscribedRadius: inscribed ?? largestCircle(chords, CIRCLE_WITHIN).radius,
    centre: [total("momentX") / area, total("momentY") / area] as const,
    corners,
    isTraced: isTraced(spans, perimeter),
    stations,
    extent,
  };
  const bends = bendsOf(outline, isConvex);
  const moments = () => momentsOf(steps, outline);
  const pushed = pushedFrom(chords);
  return {
    ...outline,
    stationAt: (at) => stationAt(steps, perimeter, at - Math.floor(at)),
    parallel: (d) => parallelOf({ ...outline, moments }, pushed, bends, d),
  };
}

/**
 * An outline of so many points is traced if half of them lie further from a smooth line through their neighbours than this (mm). Of a fine
 * trace points side by side are off together: their second, fourth and further neighbours are looked at too, as far as `apart` (mm).
 */
const TRACED = { points: 48, off: 5e-4, apart: 0.25 } as const;
/** The fourth difference of points that are each off by some spread is so many times as large (root of 70). */
const FOURTH = 8.4;

function isTraced(spans: readonly Span[], perimeter: number): boolean {
  const n = spans.length;
  if (n < TRACED.points) return false;
  const points = spans.map((span): Point => {
    const { x, y } = span(0);
    return [x, y];
  });
  const middleOff = (stride: number) => {
    const off = points.map((_, i) => {
      const at = (steps: number) => points[(i + steps * stride + 2 * n) % n]!;
      const [a, b, c, d, e] = [at(-2), at(-1), at(0), at(1), at(2)];
      const fourth = (axis: 0 | 1) => a[axis] - 4 * b[axis] + 6 * c[axis] - 4 * d[axis] + e[axis];
      return Math.hypot(fourth(0), fourth(1)) / FOURTH;
    });
    return off.sort((a, b) => a - b)[n >> 1]!;
  };
  for (let stride = 1; stride === 1 || (stride * perimeter) / n <= TRACED.apart; stride *= 2)
    if (middleOff(stride) > TRACED.off) return true;
  return false;
}

function speedOf({ dx, dy }: Motion): number {
  return Math.sqrt(dx * dx + dy * dy);
}

/** Halves each span until a chord of it lies close. */
function stepsOf(spans: readonly Span[]): Step[] {
  const steps: Step[] = [];
  let start = 0;
  for (const span of spans) {
    const go = (from: number, a: Motion, to: number, b: Motion) => {
      const middle = (from + to) / 2;
      const m = span(middle);
      if (to - from > LEAST_STEP && !isStraight(a, m, b)) {
        go(from, a, middle, m);
        go(middle, m, to, b);
        return;
      }
      const step = stepOf(span, from, to, start);
      steps.push(step);
      start += step.length;
    };
    go(0, span(0), 1, span(1));
  }
  return steps;
}

function stepOf(span: Span, from: number, to: number, start: number): Step {
  let [length, area, momentX, momentY] = [0, 0, 0, 0];
  visitPanel(from, to, (u, weight) => {
    const motion = span(u);
    const { x, y, dx, dy } = motion;
    length += weight * speedOf(motion);
    area += (weight * (x * dy - y * dx)) / 2;
    momentX += (weight * x * x * dy) / 2;
    momentY -= (weight * y * y * dx) / 2;
  });
  return { span, from, to, length, start, area, momentX, momentY };
}

function isStraight(a: Motion, m: Motion, b: Motion): boolean {
  const chord = Math.sqrt((b.x - a.x) ** 2 + (b.y - a.y) ** 2);
  if (chord === 0) return true;
  const off = Math.abs((m.x - a.x) * (b.y - a.y) - (m.y - a.y) * (b.x - a.x)) / chord;
  return off < SAGITTA && Math.abs(turnBetween(a.dx, a.dy, b.dx, b.dy)) < MOST_TURN;
}

function turnBetween(ax: number, ay: number, bx: number, by: number): number {
  return Math.atan2(ax * by - ay * bx, ax * bx + ay * by);
}

function stationOf(motion: Motion, at: number): Station {
  const { x, y, dx, dy, ddx, ddy } = motion;
  const speed = speedOf(motion);
  return { at, x, y, nx: dy / speed, ny: -dx / speed, curvature: (dx * ddy - dy * ddx) / speed ** 3 };
}

/**
 * A place at the start of each step, and a second one where the step before ends otherwise than it begins. A small change of direction counts
 * as a bend over half of both steps.
 */
function stationsOf(steps: readonly Step[], perimeter: number): Station[] {
  const stations = steps.flatMap(({ span, from, start }, i) => {
    const before = steps[(i + steps.length - 1) % steps.length]!;
    const here = stationOf(span(from), start / perimeter);
    if (before.span === span && before.to === from) return [here];
    const ended = stationOf(before.span(before.to), here.at);
    const isSame = Math.abs(ended.curvature - here.curvature) < tolerance.sameBend && Math.abs(turnAt(ended, here)) < tolerance.sameHeading;
    if (isSame) return [here];
    const bend = (2 * turnAt(ended, here)) / (before.length + steps[i]!.length);
    const isBent = Math.abs(turnAt(ended, here)) > tolerance.sameHeading && Math.abs(turnAt(ended, here)) < tolerance.cornerTurn;
    const side = { ...ended, x: here.x, y: here.y };
    return isBent
      ? [
          { ...side, curvature: bend },
          { ...here, curvature: bend },
        ]
      : [side, here];
  });
  const [first, second] = stations as [Station, Station];
  const isDouble = first.at === second.at;
  return isDouble ? [...stations.slice(1), { ...first, at: 1 }] : stations;
}

function turnAt(a: Heading, b: Heading): number {
  return turnBetween(a.nx, a.ny, b.nx, b.ny);
}

type Heading = Pick<Station, "nx" | "ny">;

function cornersOf(stations: readonly Station[]): Corner[] {
  return stations.flatMap((station, i) => {
    const before = stations[(i + stations.length - 1) % stations.length]!;
    const isSamePlace = before.x === station.x && before.y === station.y;
    const turn = isSamePlace ? turnAt(before, station) : 0;
    if (Math.abs(turn) < tolerance.sameHeading) return [];
    const middle = Math.atan2(before.ny, before.nx) + turn / 2;
    return [{ at: station.at, x: station.x, y: station.y, nx: Math.cos(middle), ny: Math.sin(middle), turn }];
  });
}

/** Index of the last of a rising list that is not past a value; 0 if all are. */
function lastUpTo<T>(list: readonly T[], valueOf: (each: T) => number, value: number): number {
  let [low, high] = [0, list.length - 1];
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if (valueOf(list[middle]!) <= value) low = middle;
    else high = middle - 1;
  }
  return low;
}

const NEWTON_STEPS = 6;

function stationAt(steps: readonly Step[], perimeter: number, at: number): Station {
  const along = at * perimeter;
  const { span, from, to, length, start } = steps[lastUpTo(steps, (step) => step.start, along)]!;
  let u = from + ((to - from) * (along - start)) / length;
  for (let i = 0; i < NEWTON_STEPS; i++) {
    const miss = start + smoothPanel((v) => speedOf(span(v)), from, u) - along;
    if (Math.abs(miss) < tolerance.placeFound * perimeter) break;
    u -= miss / speedOf(span(u));
  }
  return stationOf(span(Math.min(to, Math.max(from, u))), at);
}

/** The length of the hull, its share of what the chords fall short of the curve put back. */
function hullLength(chords: readonly Point[], perimeter: number): number {
  const hull = polygonLength(convexHull(chords));
  const drawn = polygonLength(chords);
  return hull + (perimeter - drawn) * Math.min(1, hull / drawn);
}

interface Bends {
  /** Whether the curve moved out by `d` crosses itself nowhere. */
  readonly isUncrossed: (d: number) => boolean;
  readonly turnedTo: () => (place: Place) => number;
}

/** A wall, a border and a saw line seldom reach further than the first (mm): what is clear there is clear nearer by. */
const REACHES = [2, 1, 0.5];

function bendsOf(outline: Pick<Outline, "stations" | "corners">, isConvex: boolean): Bends {
  const { stations, corners } = outline;
  const [{ nx, ny }] = stations as [Station];
  /** So far, and no longer from so far on, it crosses itself nowhere. */
  const clear = { out: 0, in: 0 };
  const crossed = { out: Infinity, in: Infinity };
  let turned: ((place: Place) => number) | null = null;
  return {
    isUncrossed: (d) => {
      const way = d < 0 ? "in" : "out";
      const far = Math.abs(d);
      for (const reach of [...(d > 0 ? REACHES : []).filter((each) => each > far), far]) {
        if (far <= clear[way]) return true;
        if (reach >= crossed[way]) continue;
        const each = d < 0 ? -reach : reach;
        const isClear = bendsClear(stations, corners, each) && (isConvex || !selfCrossing(distinct(movedOut(outline, each))));
        if (isClear) clear[way] = reach;
        else crossed[way] = reach;
      }
      return far <= clear[way];
    },
    turnedTo: () => (turned ??= isConvex ? turnedFrom(Math.atan2(ny, nx)) : turnedAlong(stations)),
  };
}

/** A radius this much over the distance leaves the parallel curve room to turn. */
const CLEAR = 1.02;

/** Whether no bend or corner is so tight, on the side moved to, that the parallel curve would double back on itself there. */
function bendsClear(stations: readonly Station[], corners: readonly Corner[], d: number): boolean {
  if (corners.some(({ turn }) => turn * d < 0)) return false;
  return stations.every(({ curvature }) => 1 + CLEAR * d * curvature > 0);
}

/** Without points that stand where the one before them does. */
function distinct(points: readonly Point[]): Point[] {
  return points.filter(([x, y], i) => {
    const [px, py] = points[(i + points.length - 1) % points.length]!;
    return Math.abs(x - px) + Math.abs(y - py) > tolerance.sameLength;
  });
}

/** How far the outline has turned from its datum to a place, back and forth. */
function turnedAlong(stations: readonly Station[]): (place: Place) => number {
  let sum = 0;
  const turned = stations.map((station, i) => (sum += i === 0 ? 0 : turnAt(stations[i - 1]!, station)));
  return (place) => {
    const i = lastUpTo(stations, ({ at }) => at, place.at);
    return turned[i]! + turnAt(stations[i]!, place);
  };
}

/** Integrals over the area, along the line and over the turn; a corner turns all at its place. */
function momentsOf(steps: readonly Step[], { centre, area, corners }: Pick<Outline, "centre" | "area" | "corners">): Moments {
  const line: [number, number] = [0, 0];
  const turn: [number, number] = [0, 0];
  const add = (sum: [number, number], x: number, y: number, weight: number) => {
    sum[0] += x * weight;
    sum[1] += y * weight;
  };
  for (const { x, y, turn: by } of corners) add(turn, x, y, by);
  for (const { span, from, to } of steps)
    visitPanel(from, to, (u, weight) => {
      const motion = span(u);
      const { x, y, dx, dy, ddx, ddy } = motion;
      const speed = speedOf(motion);
      add(line, x, y, weight * speed);
      add(turn, x, y, (weight * (dx * ddy - dy * ddx)) / (speed * speed));
    });
  return { area: [centre[0] * area, centre[1] * area], line, turn };
}

type Sampled = Omit<Outline, "stationAt" | "parallel"> & { readonly moments: () => Moments };

function parallelOf(outline: Sampled, pushed: Pushed, { isUncrossed, turnedTo }: Bends, d: number): Parallel {
  const { perimeter, area, inscribedRadius } = outline;
  const { chords, drawn } = pushed;
  if (-d >= inscribedRadius) return { kind: "collapsed", largestInset: inscribedRadius };
  if (isUncrossed(d)) return { kind: "one", ...steinerLoop({ ...outline, turnedTo: turnedTo() }, d) };
  if (d === 0) return { kind: "one", ...polygonLoop(chords, 0, perimeter - drawn, area - polygonArea(chords)) };
  const found = pushed.by(d);
  const [first] = found;
  if (!first) return { kind: "collapsed", largestInset: inscribedRadius };
  if (d < 0 && found.length > 1) return { kind: "split", parts: found.map((points) => polygonLoop(points, d, 0, 0)) };
  const loop = startedAt(first, levelWithDatum(outline, d));
  const kept = Math.min(1, Math.max(0, (polygonLength(loop) - 2 * Math.PI * d) / drawn));
  return { kind: "one", ...polygonLoop(loop, d, kept * (perimeter - drawn), kept * (area - polygonArea(chords))) };
}

/** The outline's chords pushed out or in. */
interface Pushed {
  readonly chords: readonly Point[];
  /** The chords' length. */
  readonly drawn: number;
  /** The polygons at a distance, the largest first. */
  readonly by: (d: number) => readonly (readonly Point[])[];
}

/** A curve of more chords than this wavers: the way of a disc rolled round it stands for it. */
const WAVERING = 400;
/** How far the points that are left of such a way may lie from it (mm). */
const LEFT_OUT = 1.5e-4;
/** So little outward loosens loops from each other (mm). */
const LOOSENED = 1e-5;

function pushedFrom(chords: readonly Point[]): Pushed {
  const rolled = (d: number) => {
    const way = d > 0 ? rolledRound(chords, d) : rolledRound([...chords].reverse(), -d).reverse();
    const points = thinned(way, LEFT_OUT);
    return polygonArea(points) > 0 && !selfCrossing(points) ? [points] : offsetPolygon(points, LOOSENED);
  };
  const isWavering = chords.length > WAVERING;
  return { chords, drawn: polygonLength(chords), by: (d) => (isWavering ? rolled(d) : offsetPolygon(chords, d)) };
}

/** The place of a parallel curve that is level with the outline's datum: between the ways out of both its sides, where it is a corner. */
function levelWithDatum({ stations, corners }: Sampled, d: number): Point {
  const [datum] = stations as [Station];
  const corner = corners.find(({ at }) => at === 0);
  const { x, y, nx, ny } = corner ?? datum;
  return [x + nx * d, y + ny * d];
}
