import { type Point, outward } from "../../geometry/outline";
import { distanceInside } from "../../geometry/polygon";
import { roomiest } from "../../geometry/roomiest";
import { type Finding, finding } from "../../measure/finding";
import { type BackAsked, type BackDrawing, type Band, type Stamp } from "./back";

/** Between what is struck, the hoop's band and the edge, where the plan finds the place (mm). */
const CLEAR = 0.5;
/** Points along a stamp's side that are held against the edge. */
const ALONG_A_SIDE = 6;

/** What is struck into a plate or drilled through it, where it lies, and what is wrong with that. */
export function struck(
  asked: BackAsked,
  edge: readonly Point[],
): { readonly drawn: Omit<BackDrawing, "plate" | "outer">; readonly findings: readonly Finding[] } {
  const { back, band } = asked;
  const stamp = back.stamp && stampOn(back.stamp, band, edge);
  const drain = back.drain && drainIn(asked, back.drain.diameter, back.drain.at);
  return {
    drawn: { stamp, drain, band },
    findings: [
      ...(stamp && back.stamp ? stampFindings(asked, back.stamp, stamp) : []),
      ...(drain ? drainFindings(asked, drain) : cavityFindings(asked)),
    ],
  };
}

/** Beside the hoop's band, or the middle where there is none, to one side of it or the other. */
function besideBand(width: number, band: Band | null, side: 1 | -1): Point {
  const { half, along } = band ?? { half: 0, along: 0 };
  const out = side * (half + CLEAR + width / 2);
  return [out * Math.cos(along), out * Math.sin(along)];
}

/** The usual place where it has room there; else the one on a plate that leaves most. */
function placed(usual: Point, edge: readonly Point[], clearAt: (at: Point) => number): Point {
  const clear = clearAt(usual);
  return clear >= 0 ? usual : roomiest(edge, clearAt, usual, clear);
}

function drainIn({ band, outline, wall }: BackAsked, diameter: number, at: Point | null): NonNullable<BackDrawing["drain"]> {
  const usual = besideBand(diameter, band, 1);
  const inside = at ? [] : outward(outline, wall.fit.value).points();
  return { at: at ?? placed(usual, inside, (place) => drainClear(diameter, place, band, inside)), diameter };
}

function stampOn(stamp: Stamp, band: Band | null, edge: readonly Point[]) {
  const at = stamp.at ?? placed(besideBand(stamp.width, band, -1), edge, (place) => stampClear(stamp, place, band, edge));
  return { corners: cornersOf(stamp, at), at, clear: stampClear(stamp, at, band, edge) };
}

/** How far a stamp would lie from the plate's edge and from the carrier's band; below 0 over one of them. */
export function stampClear(stamp: Stamp, at: Point, band: Band | null, edge: readonly Point[]): number {
  const corners = cornersOf(stamp, at);
  return Math.min(...sides(corners).map((point) => distanceInside(edge, point)), offBand(corners, band));
}

/** How far a drain would lie inside the wall and from the carrier's band; below 0 over one of them. */
export function drainClear(diameter: number, at: Point, band: Band | null, wall: readonly Point[]): number {
  return Math.min(distanceInside(wall, at) - diameter / 2, offBand(acrossDrain(diameter, at, band), band));
}

function acrossDrain(diameter: number, [x, y]: Point, band: Band | null): Point[] {
  const [cos, sin] = [Math.cos(band?.along ?? 0), Math.sin(band?.along ?? 0)];
  return [-1, 1].map((side): Point => [x + (side * diameter * cos) / 2, y + (side * diameter * sin) / 2]);
}

function cornersOf({ width, height, turn }: Stamp, [x, y]: Point): Point[] {
  const angle = (turn * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  return [
    [-1, -1],
    [1, -1],
    [1, 1],
    [-1, 1],
  ].map(([i, j]): Point => {
    const [u, v] = [(i! * width) / 2, (j! * height) / 2];
    return [x + u * cos - v * sin, y + u * sin + v * cos];
  });
}

function sides(corners: readonly Point[]): Point[] {
  return corners.flatMap(([ax, ay], i) => {
    const [bx, by] = corners[(i + 1) % corners.length]!;
    return Array.from({ length: ALONG_A_SIDE }, (_, k): Point => [
      ax + ((bx - ax) * k) / ALONG_A_SIDE,
      ay + ((by - ay) * k) / ALONG_A_SIDE,
    ]);
  });
}

/** How far the nearest of some points lies beside a band; below 0 they lie under it. */
function offBand(points: readonly Point[], band: Band | null): number {
  if (!band) return Infinity;
  const off = points.map(([x, y]) => x * Math.cos(band.along) + y * Math.sin(band.along));
  const [least, most] = [Math.min(...off), Math.max(...off)];
  return Math.max(least - band.half, -band.half - most);
}

function stampFindings(
  { mount, band }: BackAsked,
  { width, height }: Stamp,
  { corners, clear }: NonNullable<BackDrawing["stamp"]>,
): Finding[] {
  if (clear >= 0) return [];
  const at = `${mount}.plate`;
  return offBand(corners, band) < 0
    ? [finding("plate.stamp-under-hoop", "error", at, { over: -offBand(corners, band), width, height }, mount)]
    : [finding("plate.stamp-off", "error", at, { over: -clear, width, height }, mount)];
}

/** A drain opens into the hollow under the stone, and is not covered by the hoop. */
function drainFindings(
  { mount, outline, wall, band }: BackAsked,
  { at, diameter }: { readonly at: Point; readonly diameter: number },
): Finding[] {
  const part = `${mount}.plate`;
  const within = distanceInside(outward(outline, wall.fit.value).points(), at) - diameter / 2;
  if (within < 0) return [finding("plate.drain-off", "error", part, { over: -within, diameter }, mount)];
  const off = offBand(acrossDrain(diameter, at, band), band);
  return off < 0 ? [finding("plate.drain-under-hoop", "warning", part, { over: -off, diameter }, mount)] : [];
}

/** Where the stone stands off the plate there is a hollow under it; and what gets under a stone that is tender to water stays there. */
function cavityFindings({ mount, wall, isTenderToWater }: BackAsked): Finding[] {
  if (wall.lift > 0) return [finding("plate.closed-cavity", "warning", `${mount}.plate`, { lift: wall.lift }, mount)];
  return isTenderToWater ? [finding("plate.no-drain", "note", `${mount}.plate`, {}, mount)] : [];
}
