import { type Outline, type Parallel, type Point, type Station } from "./outline";
import { tolerance } from "../measure/tolerances";
import { polygonLoop } from "./polygon";
import { smoothIntegral, smoothPanel } from "./quadrature";
import { steinerLoop, turnedFrom } from "./steiner";
import { circle, polygonCurve } from "./curve";

/**
 * Perimeter of the ellipse with semi-axes `a` and `b`: the complete elliptic integral by the arithmetic-geometric
 * mean (Gauss), to the last digits of a double.
 */
export function ellipsePerimeter(a: number, b: number): number {
  let x = Math.max(a, b);
  let y = Math.min(a, b);
  let excess = x * x - (x * x - y * y) / 2;
  for (let power = 1; x - y > tolerance.meansAgree * x; power *= 2) {
    const half = (x - y) / 2;
    [x, y] = [(x + y) / 2, Math.sqrt(x * y)];
    excess -= power * half * half;
  }
  return (2 * Math.PI * excess) / ((x + y) / 2);
}

/** How fast the ellipse's place moves with its angle. Math.hypot, slower by far, guards against sizes no stone has. */
function speedOf(a: number, b: number): (t: number) => number {
  return (t) => {
    const [across, along] = [a * Math.sin(t), b * Math.cos(t)];
    return Math.sqrt(across * across + along * along);
  };
}

const PANELS = 48;
const NEWTON_STEPS = 8;

/** The ellipse with `a` along x and `b` along y. @throws unless both are > 0. */
export function ellipse(a: number, b: number): Outline {
  if (!(a > 0 && b > 0)) throw new RangeError(`semi-axes must be > 0, got ${a} and ${b}`);
  const perimeter = ellipsePerimeter(a, b);
  const speed = speedOf(a, b);
  const quarter = quarterLengths(speed, perimeter / 4);

  const station = (t: number, at: number): Station => {
    const [cos, sin, v] = [Math.cos(t), Math.sin(t), speed(t)];
    return { at, x: a * cos, y: b * sin, nx: (b * cos) / v, ny: (a * sin) / v, curvature: (a * b) / v ** 3 };
  };
  const stations: Station[] = [];
  for (let i = 0; i < 4 * PANELS; i++) stations.push(station(((i / PANELS) * Math.PI) / 2, stationShare(quarter, i)));

  return {
    perimeter,
    area: Math.PI * a * b,
    hullPerimeter: perimeter,
    inscribedRadius: Math.min(a, b),
    centre: MIDDLE,
    corners: [],
    isTraced: false,
    stations,
    extent: (direction) => extentOf(a, b, direction),
    stationAt: (at) => {
      const share = at - Math.floor(at);
      return station(angleAt(quarter, speed, share), share);
    },
    parallel: (d) => parallelEllipse(a, b, perimeter, stations, d),
  };
}

function extentOf(a: number, b: number, direction: number): number {
  return 2 * Math.hypot(a * Math.cos(direction), b * Math.sin(direction));
}

/** Lengths from the datum to each of `PANELS` + 1 places of the first quarter, scaled to end at the exact quarter. */
function quarterLengths(speed: (t: number) => number, exact: number): readonly number[] {
  const step = Math.PI / 2 / PANELS;
  const lengths = [0];
  for (let i = 0; i < PANELS; i++) lengths.push(lengths[i]! + smoothPanel(speed, i * step, (i + 1) * step));
  const scale = exact / lengths[PANELS]!;
  return lengths.map((length) => length * scale);
}

function stationShare(quarter: readonly number[], index: number): number {
  const whole = quarter[PANELS]!;
  const [turn, i] = [Math.floor(index / PANELS), index % PANELS];
  const within = turn % 2 === 0 ? quarter[i]! : whole - quarter[PANELS - i]!;
  return (turn + within / whole) / 4;
}

/** The ellipse's angle at a share of its length, by Newton's rule from the nearest place of the table. */
function angleAt(quarter: readonly number[], speed: (t: number) => number, share: number): number {
  const whole = quarter[PANELS]!;
  const turn = Math.min(3, Math.floor(share * 4));
  const along = (share * 4 - turn) * whole;
  const wanted = turn % 2 === 0 ? along : whole - along;
  let panel = quarter.findIndex((length, i) => i > 0 && length >= wanted) - 1;
  if (panel < 0) panel = PANELS - 1;
  const step = Math.PI / 2 / PANELS;
  const start = panel * step;
  let t = start + (step * (wanted - quarter[panel]!)) / (quarter[panel + 1]! - quarter[panel]!);
  for (let i = 0; i < NEWTON_STEPS; i++) {
    const miss = quarter[panel]! + smoothPanel(speed, start, t) - wanted;
    t -= miss / speed(t);
    if (Math.abs(miss) < tolerance.placeFound * whole) break;
  }
  return turn % 2 === 0 ? (turn * Math.PI) / 2 + t : ((turn + 1) * Math.PI) / 2 - t;
}

/**
 * Outward, and inward up to the tightest radius, Steiner's formulas hold: length + 2 pi d, area + length d + pi d^2.
 * Further in, the curve crosses itself on the long axis; what remains is the part of it that has not passed the axis.
 */
function parallelEllipse(a: number, b: number, perimeter: number, stations: readonly Station[], d: number): Parallel {
  const [long, short] = [Math.max(a, b), Math.min(a, b)];
  if (-d >= short) return { kind: "collapsed", largestInset: short };
  if (-d <= (short * short) / long) {
    const extent = (direction: number) => extentOf(a, b, direction);
    const moments = () => ({ area: MIDDLE, line: MIDDLE, turn: MIDDLE });
    const known = { perimeter, area: Math.PI * a * b, extent, stations, corners: [], turnedTo: turnedFrom(0), moments };
    return { kind: "one", ...steinerLoop(known, d), ...(a === b && { curve: () => circle(a + d) }) };
  }
  return crossedInset(long, short, -d, a >= b);
}

const MIDDLE: Point = [0, 0];

/** The lens left of an ellipse pushed in by `inset`, between its tightest radius and its short semi-axis. */
function crossedInset(long: number, short: number, inset: number, lengthAlongX: boolean): Parallel {
  const focal = long * long - short * short;
  const start = Math.asin(Math.sqrt(((inset * long) ** 2 / short ** 2 - short ** 2) / focal));
  const speed = speedOf(long, short);
  const at = (t: number): Point => {
    const v = speed(t);
    return [long * Math.cos(t) - (inset * short * Math.cos(t)) / v, short * Math.sin(t) - (inset * long * Math.sin(t)) / v];
  };
  const turned = ([x, y]: Point): Point => (lengthAlongX ? [x, y] : [-y, x]);
  const rate = (t: number) => speed(t) - (inset * long * short) / speed(t) ** 2;
  const end = Math.PI - start;
  const tip = at(start)[0];
  const points = () => {
    const upper = Array.from({ length: 97 }, (_, i) => at(start + ((end - start) * i) / 96));
    return [...upper, ...upper.slice(1, -1).map(([x, y]): Point => [-x, -y])].map(turned);
  };
  return {
    kind: "one",
    length: 2 * smoothIntegral(rate, start, end, PANELS),
    area: 2 * smoothIntegral((t) => (at(t)[1] * rate(t) * (long * Math.sin(t))) / speed(t), start, end, PANELS),
    extent: (direction) => 2 * supportOf(start, tip, lengthAlongX ? direction : direction - Math.PI / 2, long, short, inset),
    balance: () => ({ area: MIDDLE, line: MIDDLE }),
    curve: () => polygonCurve(points()),
    points,
    lengthTo: (place) => polygonLoop(points(), -inset, 0, 0).lengthTo(place),
  };
}

function supportOf(start: number, tip: number, direction: number, long: number, short: number, inset: number): number {
  const [cos, sin] = [Math.abs(Math.cos(direction)), Math.abs(Math.sin(direction))];
  const t = Math.atan2(short * sin, long * cos);
  if (t <= start) return tip * cos;
  return Math.hypot(long * cos, short * sin) - inset;
}
