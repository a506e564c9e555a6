import { tolerance } from "../measure/tolerances";
import { clearOut, clearPart, isNotched } from "./clearance";
import { flattened, polygonCurve } from "./curve";
import { facing } from "./facing";
import { type Loop, type Outline, type Point, outward } from "./outline";
import { partOf } from "./part";
import { grownPolygon, joinedPolygons, polygonArea, polygonLoop } from "./polygon";

/** How far something lies outside an outline along a run of it, in mm; `to` may pass 1. Runs follow each other all round. */
export interface Reach {
  readonly from: number;
  readonly to: number;
  readonly out: number;
}

/** The greatest of it anywhere. */
export function furthest(reaches: readonly Reach[]): number {
  return Math.max(...reaches.map(({ out }) => out));
}

/** An edge round all that lies outside an outline, so far outside that: nowhere nearer, and round the ends of what stands out. Lengths in mm. */
export interface Rim {
  readonly loop: Loop;
  /** How far straight out of the outline it lies at a place, a share of the outline's length. */
  readonly outAt: (at: number) => number;
  /** How far it reaches past the outline along a direction, in radians from +x. */
  readonly past: (direction: number) => number;
  /** The edge so much further out. */
  wider(by: number): Rim;
}

/** How closely bands are drawn (mm). */
const DRAWN = 4e-4;

/** @throws where runs do not go all round. */
export function rimOf(outline: Outline, reaches: readonly Reach[], by: number): Rim {
  const [first] = reaches as [Reach];
  if (reaches.every(({ out }) => out === first.out)) return evenRim(outline, first.out + by);
  return steppedRim(outline, reaches, by);
}

function evenRim(outline: Outline, out: number): Rim {
  return {
    loop: outward(outline, out),
    outAt: () => out,
    past: () => out,
    wider: (more) => evenRim(outline, out + more),
  };
}

/** An edge that is not the outline's own: that of a plate it lies on. `edge` gives it so much further out. */
export function rimOn(outline: Outline, edge: (by: number) => Loop, by = 0): Rim {
  let points: readonly Point[] | null = null;
  const drawn = () => (points ??= flattened(edge(by).curve(), DRAWN));
  return {
    loop: edge(by),
    outAt: (at) => rayOut(drawn(), outline.stationAt(at)),
    past: (direction) => reachPast(outline, drawn(), direction),
    wider: (more) => rimOn(outline, edge, by + more),
  };
}

/** How far points reach past an outline along a direction (mm). */
function reachPast(outline: Outline, points: readonly Point[], direction: number): number {
  const [cos, sin] = [Math.cos(direction), Math.sin(direction)];
  const { x, y } = outline.stationAt(facing(outline, direction));
  return points.reduce((most, [px, py]) => Math.max(most, px * cos + py * sin), -Infinity) - (x * cos + y * sin);
}

function steppedRim(outline: Outline, reaches: readonly Reach[], by: number): Rim {
  const { points, larger } = lyingOn(outline, reaches);
  const edge = by > 0 ? grownPolygon(points, by, DRAWN) : points;
  let loop: Loop | null = null;
  return {
    get loop() {
      return (loop ??= { ...polygonLoop(edge, furthest(reaches) + by, 0, larger), curve: () => polygonCurve(edge) });
    },
    outAt: (at) => farFromSteps(outline, reaches, at, by) ?? rayOut(edge, outline.stationAt(at)),
    past: (direction) => reachPast(outline, edge, direction),
    wider: (more) => steppedRim(outline, reaches, by + more),
  };
}

/** How far out it lies where no end of a run is so near that it goes round it; null there, and wherever an outline is notched. */
function farFromSteps(outline: Outline, reaches: readonly Reach[], at: number, by: number): number | null {
  if (isNotched(outline)) return null;
  const rise = furthest(reaches) - Math.min(...reaches.map(({ out }) => out));
  const near = (by + rise) / outline.perimeter;
  const found = reaches.find(({ from, to }) => [0, 1].some((turn) => at + turn >= from + near && at + turn <= to - near));
  return found ? found.out + by : null;
}

interface Lying {
  readonly points: readonly Point[];
  /** mm2 that its curves enclose beyond its chords. */
  readonly larger: number;
}

const lying = new WeakMap<Outline, { readonly key: string; readonly found: Lying }>();

/** What lies within the nearest run, and each band that stands further out: along a run its parallel curve, at its ends straight out. Kept for the last asked for. */
function lyingOn(outline: Outline, reaches: readonly Reach[]): Lying {
  const key = JSON.stringify(reaches);
  const known = lying.get(outline);
  if (known?.key === key) return known.found;
  const least = Math.min(...reaches.map(({ out }) => out));
  const face = outward(outline, least);
  const round = flattened(face.curve(), DRAWN);
  const bands = reaches.flatMap((reach) => (reach.out > least ? [bandOf(outline, reach)] : []));
  const found = { points: joinedPolygons([round, ...bands]), larger: face.area - polygonArea(round) };
  lying.set(outline, { key, found });
  return found;
}

/**
 * What a band covers out from the outline: as far as its parallel curve along its run, and no further than where another place of the outline is
 * nearer.
 */
function bandOf(outline: Outline, { from, to, out }: Reach): Point[] {
  const clear = clearPart(outline, { from, to }, out);
  const inner = [from, ...placesWithin(outline, from, to), to].map((at) => outline.stationAt(at));
  const short = (ats: readonly number[]) =>
    ats.map((at): Point => {
      const place = outline.stationAt(at);
      const far = clearOut(outline, place, out);
      return [place.x + place.nx * far, place.y + place.ny * far];
    });
  const between = (a: number, b: number) =>
    b - a > tolerance.samePlace ? Array.from({ length: FEW }, (_, i) => a + ((b - a) * i) / FEW) : [];
  const outer = clear
    ? [...short(between(from, clear.from)), ...alongLoop(outline, clear, out), ...short(between(to, clear.to).reverse())]
    : short([from, ...between(from, to), to]);
  return [...outer, ...inner.map(({ x, y }): Point => [x, y]).reverse()];
}

/** Places looked at where a flank of a notch cuts a band short. */
const FEW = 16;

function placesWithin({ stations }: Outline, from: number, to: number): number[] {
  const within: number[] = [];
  for (const turn of [0, 1]) for (const { at } of stations) if (at + turn > from && at + turn < to) within.push(at + turn);
  return within.sort((a, b) => a - b);
}

/** The parallel curve between two places. */
function alongLoop(outline: Outline, { from, to }: { readonly from: number; readonly to: number }, out: number): Point[] {
  const loop = outward(outline, out);
  const [begin, end] = [outline.stationAt(from), outline.stationAt(to)];
  const start = loop.lengthTo(begin);
  const length = (loop.lengthTo(end) - start + loop.length) % loop.length;
  return flattened({ from: [begin.x + begin.nx * out, begin.y + begin.ny * out], strokes: partOf(loop, start, length) }, DRAWN);
}

/** How far along a normal the last side of a polygon is met (mm). */
function rayOut(
  points: readonly Point[],
  { x, y, nx, ny }: { readonly x: number; readonly y: number; readonly nx: number; readonly ny: number },
): number {
  let most = 0;
  points.forEach(([ax, ay], i) => {
    const [bx, by] = points[(i + 1) % points.length]!;
    const [a, b] = [nx * (ay - y) - ny * (ax - x), nx * (by - y) - ny * (bx - x)];
    if (a === b || a * b > 0) return;
    const share = a / (a - b);
    const along = (ax + (bx - ax) * share - x) * nx + (ay + (by - ay) * share - y) * ny;
    if (along > most) most = along;
  });
  return most;
}
