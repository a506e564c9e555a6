import { type Point } from "../geometry/outline";
import { grownPolygon, nearestOn, polygonArea, polygonWithout, thinned } from "../geometry/polygon";
import { tolerance } from "../measure/tolerances";
import { anticlockwise, convexParts, overlapping } from "./convex";
import { type Sheet, sheetArea } from "./sheet";

/** The line a blank is sawn along, as a polygon about the origin of its template. */
export type BlankLine = readonly Point[];

export interface Placed {
  readonly blank: number;
  /** Where the blank's origin lies, from the sheet's corner along its length and across it, and degrees anticlockwise that it is turned by. */
  readonly x: number;
  readonly y: number;
  readonly turn: number;
}

export interface NestedSheet {
  readonly sheet: number;
  readonly placed: readonly Placed[];
  /** Length used from the sheet's beginning. */
  readonly used: number;
}

export interface Nested {
  readonly sheets: readonly NestedSheet[];
  readonly leftOut: readonly number[];
  /** Of those that are to lie in a place, the ones that do. */
  readonly kept: readonly number[];
}

/** A blank that is to lie on a sheet, as near to a place as it can. */
export interface WishedPlace extends Placed {
  readonly sheet: number;
}

export interface NestProblem {
  readonly sheets: readonly Sheet[];
  readonly blanks: readonly BlankLine[];
  /** Saw lines are at least so far apart. */
  readonly kerf: number;
  /** Laid before all others, in this order; what is bought for one is there once. */
  readonly wished?: readonly WishedPlace[];
}

/** In which order blanks are laid and in how many turns each is tried. */
interface Try {
  readonly turns: number;
  readonly order: (blank: BlankSize) => number;
  readonly largestSheetFirst: boolean;
}

interface BlankSize {
  readonly area: number;
  readonly long: number;
  readonly wide: number;
}

/** Tried one after another; the first is the quickest. */
const TRIES: readonly Try[] = [
  { turns: 4, order: ({ area }) => area, largestSheetFirst: false },
  { turns: 8, order: ({ area }) => area, largestSheetFirst: false },
  { turns: 8, order: ({ long }) => long, largestSheetFirst: true },
  { turns: 12, order: ({ wide }) => wide, largestSheetFirst: false },
  { turns: 16, order: ({ area }) => area, largestSheetFirst: true },
];
export const NEST_TRIES = TRIES.length;

/** A curve is followed so closely, outside it (mm). */
const WITHIN = 0.06;
/** A place is no further out than this because numbers end (mm). */
const SLACK = 1e-4;

/**
 * Blanks laid on sheets, each in turn where it reaches least far along the sheet: its origin lies where lines cross along which it would touch others or
 * the sheet's sides (sums of convex parts), and overlaps none. Saw lines are `kerf` apart and from what was taken, and inside the sheet.
 * After the fewest left out and bought, least area is begun, then least length used of the last; the best of the tries is kept. What is wished to lie in a
 * place lies as near to it as it can, and is laid as all others where its sheet has no room for it turned so.
 */
export function nested(problem: NestProblem, tries = NEST_TRIES): Nested {
  const blanks = problem.blanks.map((line) => prepared(line, problem.kerf));
  const all = TRIES.slice(0, tries).map((each) => laid(problem, blanks, each));
  return all.reduce((best, each) => (isBetter(problem, each, best) ? each : best));
}

function isBetter(problem: NestProblem, a: Nested, b: Nested): boolean {
  const [p, q] = [costOf(problem, a), costOf(problem, b)];
  const i = p.findIndex((each, at) => Math.abs(each - q[at]!) > tolerance.sameLength);
  return i >= 0 && p[i]! < q[i]!;
}

function costOf({ sheets }: NestProblem, { sheets: begun, leftOut }: Nested): number[] {
  const bought = begun.filter(({ sheet }) => sheets[sheet]!.isBought).length;
  const area = begun.reduce((sum, { sheet }) => sum + sheetArea(sheets[sheet]!), 0);
  return [leftOut.length, bought, area, begun.at(-1)?.used ?? 0];
}

/** A blank's line, and the same with half a kerf about it, so that what touches is a kerf apart. */
interface Blank {
  readonly size: BlankSize;
  readonly line: readonly Point[];
  readonly grown: readonly Point[];
  readonly isRectangle: boolean;
  readonly turned: Map<number, Turned>;
}

interface Turned {
  readonly parts: readonly (readonly Point[])[];
  /** Of the blank itself. */
  readonly box: { readonly left: number; readonly right: number; readonly low: number; readonly high: number };
}

function prepared(line: BlankLine, kerf: number): Blank {
  const whole = anticlockwise(line);
  const { left, right, low, high } = boxOf(whole);
  const [length, width] = [right - left, high - low];
  const isRectangle = Math.abs(polygonArea(whole) - length * width) < tolerance.leastArea;
  return {
    size: { area: polygonArea(whole), long: Math.max(length, width), wide: Math.min(length, width) },
    line: whole,
    grown: isRectangle ? grownBox(left, right, low, high, kerf / 2) : grownLine(whole, kerf),
    isRectangle,
    turned: new Map(),
  };
}

function grownLine(line: readonly Point[], kerf: number): Point[] {
  return thinned(grownPolygon(line, kerf / 2 + WITHIN, WITHIN / 3), WITHIN);
}

function grownBox(left: number, right: number, low: number, high: number, by: number): Point[] {
  return [
    [left - by, low - by],
    [right + by, low - by],
    [right + by, high + by],
    [left - by, high + by],
  ];
}

function turnedBy(blank: Blank, degrees: number): Turned {
  const known = blank.turned.get(degrees);
  if (known) return known;
  const [cos, sin] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
  const turn = (points: readonly Point[]) => points.map(([x, y]): Point => [x * cos - y * sin, x * sin + y * cos]);
  const turned = { parts: convexParts(turn(blank.grown)), box: boxOf(turn(blank.line)) };
  blank.turned.set(degrees, turned);
  return turned;
}

function boxOf(points: readonly Point[]) {
  let [left, right, low, high] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const [x, y] of points) {
    left = Math.min(left, x);
    right = Math.max(right, x);
    low = Math.min(low, y);
    high = Math.max(high, y);
  }
  return { left, right, low, high };
}

/** A sheet with what lies on it so far, as convex parts. */
interface Begun {
  readonly sheet: number;
  readonly parts: (readonly Point[])[];
  readonly placed: Placed[];
  free: number;
  used: number;
}

function begin(sheets: readonly Sheet[], sheet: number, kerf: number): Begun {
  const { length, width, outline, taken } = sheets[sheet]!;
  // by halves: round the whole outline a frame would have a hole
  const halves = [grownBox(0, length / 2, 0, width, 1), grownBox(length / 2, length, 0, width, 1)];
  const outside = outline ? halves.flatMap((half) => polygonWithout(half, [anticlockwise(outline)])).map(anticlockwise) : [];
  const before = taken.map((each) => grownLine(anticlockwise(each), kerf));
  return {
    sheet,
    parts: [...outside, ...before].flatMap((each) => convexParts(each, 8)),
    placed: [],
    free: sheetArea(sheets[sheet]!),
    used: 0,
  };
}

function laid({ sheets, kerf, wished = [] }: NestProblem, blanks: readonly Blank[], { turns, order, largestSheetFirst }: Try): Nested {
  const bySize = sheets
    .map((_, i) => i)
    .sort((a, b) => (largestSheetFirst ? -1 : 1) * (sheetArea(sheets[a]!) - sheetArea(sheets[b]!)) || a - b);
  const stock = bySize.filter((i) => !sheets[i]!.isBought);
  const bought = bySize.filter((i) => sheets[i]!.isBought && !wished.some(({ sheet }) => sheet === i));
  const begun: Begun[] = [];
  const leftOut: number[] = [];
  const kept = new Set<number>();
  for (const wish of wished) {
    const lying = begun.find(({ sheet }) => sheet === wish.sheet);
    const on = lying ?? begin(sheets, wish.sheet, kerf);
    if (!putNear(on, sheets[wish.sheet]!, blanks[wish.blank]!, wish)) continue;
    if (!lying) begun.push(on);
    kept.add(wish.blank);
  }
  const others = blanks.map((_, i) => i).filter((i) => !kept.has(i));
  const byOrder = others.sort((a, b) => order(blanks[b]!.size) - order(blanks[a]!.size) || a - b);
  for (const i of byOrder) {
    const blank = blanks[i]!;
    const isPut = (on: Begun) => put(on, sheets[on.sheet]!, blank, i, turns);
    if (begun.some(isPut)) continue;
    const next = [...stock.filter((each) => !begun.some(({ sheet }) => sheet === each)), ...bought];
    const fresh = next.map((sheet) => begin(sheets, sheet, kerf)).find(isPut);
    if (fresh) begun.push(fresh);
    else leftOut.push(i);
  }
  return { sheets: begun.map(({ sheet, placed, used }) => ({ sheet, placed, used })), leftOut, kept: [...kept] };
}

/** Lays a blank on a sheet as near to a place as it can lie, turned as it is to be; says whether there was room. */
function putNear(on: Begun, { length, width }: Sheet, blank: Blank, { blank: index, x, y, turn }: WishedPlace): boolean {
  const turned = turnedBy(blank, turn);
  const { left, right, low, high } = turned.box;
  if (right - left > length + SLACK || high - low > width + SLACK) return false;
  const place = nearestPlace(freeOf(on, turned, length, width), [x, y]);
  if (place) settle(on, { blank: index, x: place[0], y: place[1], turn }, blank, turned);
  return place !== null;
}

/** Where an origin can lie that is nearest to a wished place; null where there is no room. */
function nearestPlace({ room, overlaps }: Free, [x, y]: Point): Point | null {
  const wish: Point = [Math.min(room.right, Math.max(room.left, x)), Math.min(room.high, Math.max(room.low, y))];
  const feet = overlaps.flatMap(({ xs, ys }) =>
    Array.from(xs, (px, i) => {
      const next = (i + 1) % xs.length;
      return nearestOn([px, ys[i]!], [xs[next]!, ys[next]!], wish);
    }),
  );
  const isInRoom = ([px, py]: Point) =>
    px >= room.left - SLACK && px <= room.right + SLACK && py >= room.low - SLACK && py <= room.high + SLACK;
  const far = ([px, py]: Point) => Math.hypot(px - wish[0], py - wish[1]);
  const all = [wish, ...feet.filter(isInRoom), ...cornersOf(room, overlaps)].sort((p, q) => far(p) - far(q));
  return firstFree(all, overlaps);
}

/** Lays a blank on a sheet where it reaches least far along it, and least far across; says whether there was room. */
function put(on: Begun, { length, width }: Sheet, blank: Blank, index: number, turns: number): boolean {
  if (blank.size.area > on.free) return false;
  const step = blank.isRectangle ? 90 : 360 / turns;
  let best: { readonly placed: Placed; readonly reach: number; readonly across: number; readonly turned: Turned } | null = null;
  for (let turn = 0; turn < (blank.isRectangle ? 180 : 360); turn += step) {
    const turned = turnedBy(blank, turn);
    const { left, right, low, high } = turned.box;
    const wide = right - left;
    if (wide > length + SLACK || high - low > width + SLACK || (best && wide >= best.reach)) continue;
    const place = placeFor(on, turned, best ? Math.min(length, best.reach) : length, width);
    if (!place) continue;
    const [reach, across] = [place[0] + right, place[1] + high];
    if (!best || reach < best.reach - SLACK || across < best.across - SLACK)
      best = { placed: { blank: index, x: place[0], y: place[1], turn }, reach, across, turned };
  }
  if (!best) return false;
  settle(on, best.placed, blank, best.turned);
  return true;
}

function settle(on: Begun, placed: Placed, blank: Blank, { parts, box }: Turned): void {
  const { x, y } = placed;
  on.placed.push(placed);
  on.parts.push(...parts.map((part) => part.map(([px, py]): Point => [px + x, py + y])));
  on.free -= blank.size.area;
  on.used = Math.max(on.used, x + box.right);
}

/** Where a blank's origin lies least far along a sheet, and then least far across, up to a length of it; null where there is no room. */
function placeFor(on: Begun, turned: Turned, length: number, width: number): Point | null {
  const { room, overlaps } = freeOf(on, turned, length, width);
  const corners = cornersOf(room, overlaps).sort((p, q) => p[0] - q[0] || p[1] - q[1]);
  return firstFree(corners, overlaps);
}

function firstFree(places: readonly Point[], overlaps: readonly Overlap[]): Point | null {
  return places.find(([x, y]) => !overlaps.some((each) => isInside(each, x, y))) ?? null;
}

/** Where a blank's origin can lie: in a room, and in no overlap. */
interface Free {
  readonly room: Box;
  readonly overlaps: readonly Overlap[];
}

function freeOf(on: Begun, { parts, box }: Turned, length: number, width: number): Free {
  const room: Box = {
    left: -box.left,
    right: Math.max(-box.left, length - box.right),
    low: -box.low,
    high: Math.max(-box.low, width - box.high),
  };
  const overlaps: Overlap[] = [];
  for (const fixed of on.parts)
    for (const moving of parts) {
      const overlap = overlapOf(overlapping(fixed, moving));
      if (areNear(overlap.box, room)) overlaps.push(overlap);
    }
  return { room, overlaps };
}

type Box = Turned["box"];

function areNear(a: Box, b: Box): boolean {
  return a.left < b.right && a.right > b.left && a.low < b.high && a.high > b.low;
}

/** A convex polygon in which an origin does not lie: its corners, and each side's normal inward with how far along it the side lies. */
interface Overlap {
  readonly xs: Float64Array;
  readonly ys: Float64Array;
  readonly normalXs: Float64Array;
  readonly normalYs: Float64Array;
  readonly levels: Float64Array;
  readonly box: Box;
}

function overlapOf(points: readonly Point[]): Overlap {
  const n = points.length;
  const [xs, ys] = [Float64Array.from(points, ([x]) => x), Float64Array.from(points, ([, y]) => y)];
  const [normalXs, normalYs, levels] = [new Float64Array(n), new Float64Array(n), new Float64Array(n)];
  for (let i = 0; i < n; i++) {
    const [dx, dy] = [xs[(i + 1) % n]! - xs[i]!, ys[(i + 1) % n]! - ys[i]!];
    const long = Math.sqrt(dx * dx + dy * dy) || 1;
    normalXs[i] = -dy / long;
    normalYs[i] = dx / long;
    levels[i] = normalXs[i]! * xs[i]! + normalYs[i]! * ys[i]!;
  }
  return { xs, ys, normalXs, normalYs, levels, box: boxOf(points) };
}

/** Whether a place lies within an overlap, and not on its line. */
function isInside({ normalXs, normalYs, levels, box }: Overlap, x: number, y: number): boolean {
  if (x <= box.left || x >= box.right || y <= box.low || y >= box.high) return false;
  for (let i = 0; i < levels.length; i++) if (normalXs[i]! * x + normalYs[i]! * y - levels[i]! <= SLACK) return false;
  return true;
}

/** All places in a room where a corner of what is free of overlaps can lie: its own corners, and where lines cross each other or its sides. */
function cornersOf(room: Box, overlaps: readonly Overlap[]): Point[] {
  const { left, right, low, high } = room;
  const corners: Point[] = [
    [left, low],
    [right, low],
    [left, high],
    [right, high],
  ];
  const add = (x: number, y: number) => {
    if (x >= left - SLACK && x <= right + SLACK && y >= low - SLACK && y <= high + SLACK) corners.push([x, y]);
  };
  overlaps.forEach((overlap, i) => {
    const { xs, ys } = overlap;
    for (let k = 0; k < xs.length; k++) {
      const next = (k + 1) % xs.length;
      const [ax, ay, bx, by] = [xs[k]!, ys[k]!, xs[next]!, ys[next]!];
      add(ax, ay);
      for (const at of [left, right]) if (ax < at !== bx < at) add(at, ay + ((at - ax) / (bx - ax)) * (by - ay));
      for (const at of [low, high]) if (ay < at !== by < at) add(ax + ((at - ay) / (by - ay)) * (bx - ax), at);
    }
    for (let j = i + 1; j < overlaps.length; j++) if (areNear(overlap.box, overlaps[j]!.box)) crossings(overlap, overlaps[j]!, add);
  });
  return corners;
}

/** Places where the sides of two overlaps cross. */
function crossings(one: Overlap, other: Overlap, add: (x: number, y: number) => void): void {
  const { xs, ys } = one;
  const { box, xs: otherXs, ys: otherYs } = other;
  const [n, m] = [xs.length, otherXs.length];
  for (let i = 0; i < n; i++) {
    const next = i + 1 === n ? 0 : i + 1;
    const ax = xs[i]!;
    const ay = ys[i]!;
    const bx = xs[next]!;
    const by = ys[next]!;
    if (
      (ax < box.left && bx < box.left) ||
      (ax > box.right && bx > box.right) ||
      (ay < box.low && by < box.low) ||
      (ay > box.high && by > box.high)
    )
      continue;
    const dx = bx - ax;
    const dy = by - ay;
    let before = dx * (otherYs[m - 1]! - ay) - dy * (otherXs[m - 1]! - ax);
    for (let j = 0; j < m; j++) {
      const side = dx * (otherYs[j]! - ay) - dy * (otherXs[j]! - ax);
      if (before > 0 !== side > 0) {
        const last = j === 0 ? m - 1 : j - 1;
        const share = before / (before - side);
        const x = otherXs[last]! + share * (otherXs[j]! - otherXs[last]!);
        const y = otherYs[last]! + share * (otherYs[j]! - otherYs[last]!);
        const along = (x - ax) * dx + (y - ay) * dy;
        if (along >= 0 && along <= dx * dx + dy * dy) add(x, y);
      }
      before = side;
    }
  }
}
