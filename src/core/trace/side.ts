import { leastBetween } from "../geometry/extremum";
import { type Outline, type Point } from "../geometry/outline";
import { convexHull } from "../geometry/polygon";
import { toHundredth } from "../measure/micron";
import { tolerance } from "../measure/tolerances";
import { domeCurve } from "../stone/dome";
import { type Free } from "../stone/shapes/free";
import { outlineOfShape } from "../stone/shapes/shapes";
import { type Outcome, refused } from "./refusal";

/** What a picture from the side says of a stone (mm). */
export interface SideReading {
  readonly height: number;
  /** Where the side leans in, at the left and at the right of the picture. */
  readonly turnIn: { readonly left: number; readonly right: number };
  /** Exponent of the dome; null where the top is too flat for one. */
  readonly dome: number | null;
  /** Root mean square of the outline about the section drawn with these. */
  readonly off: number;
  /** That section, closed, where it lies on the outline. */
  readonly section: readonly Point[];
}

/** Degrees a base may lie off level, and how finely it is looked for. */
const MOST_TIP = 15;
const TIP_STEP = 0.25;
/** A place nearer to the base's line than this lies on it (mm), or this share of the width where the stone is large. */
const ON_BASE = 0.06;
const ON_BASE_SHARE = 0.004;
/** A base is at least this share of the stone's width. */
const LEAST_BASE = 0.4;
/** Exponents a dome may have; past the last the face is flat. */
const LEAST_DOME = 1;
const FLATTEST = 6;
/** Below this share of the height the foot's own rounding is not the section's. */
const FOOT = 0.12;
/** No side leans in nearer to the top than this share of the height, nor under this. */
const HIGHEST_LEAN = 0.97;
const LOWEST_LEAN = 0.02;
/** Of its turn-in: under this share of it a side is upright. */
const UPRIGHT = 0.9;
/** Of the outline's places about so many are read. */
const MOST_READ = 400;
/** Thirds cut off in a search: what is left is a thousandth of the height. */
const THIRDS = 18;

/**
 * Height, turn-ins and dome of a stone whose outline was traced from the side, standing upright. The base is the straight line under most of it; the
 * section of the formulas' section 3 (upright to the turn-in, then a quarter superellipse to the top) is laid on what stands over it by least
 * squares: one exponent, a turn-in for each side. What lies between the two sides, seen from above, the picture does not show.
 */
export function sideOf(outline: Free): Outcome<SideReading> {
  const places = outlineOfShape(outline).stations.map(({ x, y }): Point => [x, y]);
  const base = baseOf(places);
  if (!base) return refused("no-flat-base");
  const stood = turned(places, -base.turn).map(([x, y]): Point => [x, y - base.level]);
  const height = stood.reduce((most, [, y]) => Math.max(most, y), 0);
  const apart = Math.max(1, Math.floor(stood.length / MOST_READ));
  const over = stood.filter(([, y], i) => i % apart === 0 && y > FOOT * height);
  const rough = fitted(over, height, { left: extreme(over, -1), right: extreme(over, 1) });
  // the widest places of a line are those that noise pushed out: the upright parts' own mean is nearer to the side
  const fit = fitted(over, height, { left: uprightMean(over, -1, rough.left), right: uprightMean(over, 1, rough.right) });
  return {
    ok: true,
    value: {
      height: toHundredth(height),
      turnIn: { left: toHundredth(fit.left), right: toHundredth(fit.right) },
      dome: fit.exponent > FLATTEST - 0.05 ? null : Number(fit.exponent.toFixed(2)),
      off: Math.sqrt(fit.squares / over.length),
      section: turned(
        sectionLine(fit, height).map(([x, y]): Point => [x, y + base.level]),
        base.turn,
      ),
    },
  };
}

type Side = -1 | 1;

function extreme(places: readonly Point[], side: Side): number {
  return side * places.reduce((most, [x]) => Math.max(most, side * x), -Infinity);
}

/** Where a side stands upright: the mean of what lies well under its turn-in; its widest place where nothing does. */
function uprightMean(places: readonly Point[], side: Side, turnIn: number): number {
  const widest = extreme(places, side);
  const upright = places.filter(
    ([x, y]) => y < UPRIGHT * turnIn && Math.abs(x - widest) < Math.abs(x - extreme(places, side === 1 ? -1 : 1)),
  );
  return upright.length === 0 ? widest : upright.reduce((sum, [x]) => sum + x, 0) / upright.length;
}

/** Turn-ins and exponent of the section between two sides that fits best, and its squared distances. */
function fitted(places: readonly Point[], height: number, edges: { readonly left: number; readonly right: number }) {
  const [middle, half] = [(edges.left + edges.right) / 2, (edges.right - edges.left) / 2];
  const sideAt = (side: Side) => places.flatMap(([x, y]): Point[] => (side * (x - middle) >= 0 ? [[side * (x - middle), y]] : []));
  const [left, right] = [sideAt(-1), sideAt(1)];
  const best = (side: readonly Point[], exponent: number) => {
    const off = (turnIn: number) => squares(side, { half, height, turnIn, exponent });
    const turnIn = leastBetween(off, LOWEST_LEAN * height, HIGHEST_LEAN * height, THIRDS);
    return { turnIn, off: off(turnIn) };
  };
  const exponent = leastBetween((m) => best(left, m).off + best(right, m).off, LEAST_DOME, FLATTEST, THIRDS);
  const [l, r] = [best(left, exponent), best(right, exponent)];
  return { left: l.turnIn, right: r.turnIn, exponent, squares: l.off + r.off, middle, half };
}

/** Places of a dome's curve on each side. */
const DRAWN_BY = 40;

function sectionLine({ left, right, exponent, middle, half }: ReturnType<typeof fitted>, height: number): Point[] {
  const dome = (side: Side, turnIn: number) =>
    domeCurve({ radius: half, turnIn, height, exponent }, DRAWN_BY).map(({ x, y }): Point => [middle + side * x, y]);
  return [[middle - half, 0], [middle + half, 0], ...dome(1, right), ...dome(-1, left).reverse().slice(1)];
}

/** Where the ends of a stone that is seen from the side lie on its outline: shares of the way round, the front being its lower edge. */
export function endsOf(outline: Outline): { readonly left: number; readonly right: number } {
  const places = Array.from({ length: PLACES }, (_, i) => ({ at: i / PLACES, x: outline.stationAt(i / PLACES).x }));
  const end = (side: Side) => places.reduce((best, each) => (side * each.x > side * best.x + tolerance.sameLength ? each : best)).at;
  return { left: end(-1), right: end(1) };
}

/** Shares of the way round are told to a thousandth. */
const PLACES = 1000;

function turned(places: readonly Point[], by: number): Point[] {
  const [cos, sin] = [Math.cos(by), Math.sin(by)];
  return places.map(([x, y]): Point => [x * cos - y * sin, x * sin + y * cos]);
}

/** The line a stone stands on: radians it is turned anticlockwise, and how high it lies once level; null where nothing is flat. */
function baseOf(places: readonly Point[]): { readonly turn: number; readonly level: number } | null {
  const hull = convexHull(places);
  const wide = hull.reduce((most, [x]) => Math.max(most, x), -Infinity) - hull.reduce((least, [x]) => Math.min(least, x), Infinity);
  const near = Math.max(ON_BASE, ON_BASE_SHARE * wide);
  const lying = (turn: number) => {
    const stood = turned(hull, -turn);
    const level = stood.reduce((least, [, y]) => Math.min(least, y), Infinity);
    const on = stood.filter(([, y]) => y - level < near);
    const [from, to] = [on.reduce((least, [x]) => Math.min(least, x), Infinity), on.reduce((most, [x]) => Math.max(most, x), -Infinity)];
    return { turn, level, length: to - from, on };
  };
  const steps = Math.round((2 * MOST_TIP) / TIP_STEP);
  const tries = Array.from({ length: steps + 1 }, (_, i) => lying(((i * TIP_STEP - MOST_TIP) * Math.PI) / 180));
  const rough = tries.reduce((best, each) => (each.length > best.length ? each : best));
  if (rough.length < LEAST_BASE * wide) return null;
  const slope = slopeOf(turned(places, -rough.turn).filter(([, y]) => y - rough.level < near));
  const turn = rough.turn + Math.atan(slope);
  const onIt = turned(places, -turn).filter(([, y]) => y - lying(turn).level < near);
  return { turn, level: onIt.reduce((sum, [, y]) => sum + y, 0) / onIt.length };
}

/** Slope of the straight line nearest to places, by least squares. */
function slopeOf(places: readonly Point[]): number {
  const mean = (axis: 0 | 1) => places.reduce((sum, place) => sum + place[axis], 0) / places.length;
  const [mx, my] = [mean(0), mean(1)];
  const [xy, xx] = places.reduce(([a, b], [x, y]) => [a + (x - mx) * (y - my), b + (x - mx) ** 2] as const, [0, 0] as const);
  return xx === 0 ? 0 : xy / xx;
}

interface Section {
  readonly half: number;
  readonly height: number;
  readonly turnIn: number;
  readonly exponent: number;
}

/** The squared distances of places from a section, added up; each to the first order. */
function squares(places: readonly Point[], { half, height, turnIn, exponent: m }: Section): number {
  const rise = height - turnIn;
  return places.reduce((sum, [x, y]) => {
    if (y <= turnIn) return sum + (half - x) ** 2;
    const [u, v] = [x / half, (y - turnIn) / rise];
    const share = (u ** m + v ** m) ** (1 / m);
    const slope = share ** (1 - m) * Math.hypot(u ** (m - 1) / half, v ** (m - 1) / rise);
    return sum + ((share - 1) / slope) ** 2;
  }, 0);
}
