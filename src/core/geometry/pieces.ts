import { type Point } from "./outline";

/** A straight run: from (x, y) in the direction (dx, dy), of length 1. */
export interface Line {
  readonly kind: "line";
  readonly x: number;
  readonly y: number;
  readonly dx: number;
  readonly dy: number;
  readonly length: number;
}

/** A run of a circle from the angle `start` through `sweep`, anticlockwise if positive (radians). */
export interface Arc {
  readonly kind: "arc";
  readonly x: number;
  readonly y: number;
  readonly radius: number;
  readonly start: number;
  readonly sweep: number;
}

export type Segment = Line | Arc;

const TURN = 2 * Math.PI;

export function lineBetween([x, y]: Point, [toX, toY]: Point): Line {
  const length = Math.hypot(toX - x, toY - y);
  return { kind: "line", x, y, dx: length > 0 ? (toX - x) / length : 1, dy: length > 0 ? (toY - y) / length : 0, length };
}

export function arcOf(x: number, y: number, radius: number, start: number, sweep: number): Arc {
  return { kind: "arc", x, y, radius, start, sweep };
}

export function lengthOf(piece: Segment): number {
  return piece.kind === "line" ? piece.length : piece.radius * Math.abs(piece.sweep);
}

/** The point a share of the way along. */
export function pointAt(piece: Segment, share: number): Point {
  if (piece.kind === "line") return [piece.x + piece.dx * piece.length * share, piece.y + piece.dy * piece.length * share];
  const angle = piece.start + piece.sweep * share;
  return [piece.x + piece.radius * Math.cos(angle), piece.y + piece.radius * Math.sin(angle)];
}

/** The direction to the right of the way along, of length 1: outward on a curve that runs anticlockwise. */
export function normalAt(piece: Segment, share: number): Point {
  if (piece.kind === "line") return [piece.dy, -piece.dx];
  const angle = piece.start + piece.sweep * share;
  const way = Math.sign(piece.sweep);
  return [way * Math.cos(angle), way * Math.sin(angle)];
}

/** 1/mm, positive where it bends to the left. */
export function curvatureOf(piece: Segment): number {
  return piece.kind === "line" ? 0 : Math.sign(piece.sweep) / piece.radius;
}

/** Half the integral of x dy - y dx along the piece: around a closed curve these add up to its area. */
export function areaShare(piece: Segment): number {
  const [x1, y1] = pointAt(piece, 0);
  const [x2, y2] = pointAt(piece, 1);
  if (piece.kind === "line") return (x1 * y2 - x2 * y1) / 2;
  return (piece.radius ** 2 * piece.sweep + piece.x * (y2 - y1) - piece.y * (x2 - x1)) / 2;
}

/**
 * The integrals of x^2/2 dy and of -y^2/2 dx along the piece: around a closed curve, over its area, these add up to its centre of mass
 * (Green).
 */
export function momentShares(piece: Segment): Point {
  if (piece.kind === "line") {
    const [[x1, y1], [x2, y2]] = [pointAt(piece, 0), pointAt(piece, 1)];
    return [((y2 - y1) * (x1 * x1 + x1 * x2 + x2 * x2)) / 6, (-(x2 - x1) * (y1 * y1 + y1 * y2 + y2 * y2)) / 6];
  }
  const { x, y, radius: r, start, sweep } = piece;
  const across = (t: number) =>
    x * x * Math.sin(t) + 2 * x * r * (t / 2 + Math.sin(2 * t) / 4) + r * r * (Math.sin(t) - Math.sin(t) ** 3 / 3);
  const along = (t: number) =>
    -y * y * Math.cos(t) + 2 * y * r * (t / 2 - Math.sin(2 * t) / 4) + r * r * (Math.cos(t) ** 3 / 3 - Math.cos(t));
  return [across, along].map((integral) => (r / 2) * (integral(start + sweep) - integral(start))) as unknown as Point;
}

/** The integral of the place along the piece: of a line its middle times its length; of an arc its centre's, and r^2 times the turn of its ways out. */
export function lineMoment(piece: Segment): Point {
  if (piece.kind === "line") {
    const [x, y] = pointAt(piece, 0.5);
    return [x * piece.length, y * piece.length];
  }
  const { x, y, radius, start, sweep } = piece;
  const way = Math.sign(sweep) * radius;
  const end = start + sweep;
  return [way * (x * sweep + radius * (Math.sin(end) - Math.sin(start))), way * (y * sweep - radius * (Math.cos(end) - Math.cos(start)))];
}

/** From `from` to `to`, shares of the piece. */
export function part(piece: Segment, from: number, to: number): Segment {
  if (piece.kind === "arc") return { ...piece, start: piece.start + piece.sweep * from, sweep: piece.sweep * (to - from) };
  const [x, y] = pointAt(piece, from);
  return { ...piece, x, y, length: piece.length * (to - from) };
}

/** How far a point goes along a direction, at most, on the piece. */
export function supportOf(piece: Segment, cos: number, sin: number): number {
  const ends = Math.max(...[0, 1].map((share) => dot(pointAt(piece, share), cos, sin)));
  if (piece.kind === "line" || shareOfAngle(piece, Math.atan2(sin, cos)) === null) return ends;
  return Math.max(ends, piece.x * cos + piece.y * sin + piece.radius);
}

function dot([x, y]: Point, cos: number, sin: number): number {
  return x * cos + y * sin;
}

/** The share of an arc at which it passes an angle; null if it does not. */
function shareOfAngle({ start, sweep }: Arc, angle: number): number | null {
  const turned = sweep > 0 ? angle - start : start - angle;
  const along = ((turned % TURN) + TURN) % TURN;
  const whole = Math.abs(sweep);
  if (along <= whole) return along / whole;
  return TURN - along < ANGLE_SLACK ? 0 : along - whole < ANGLE_SLACK ? 1 : null;
}

/** An end that rounding has put this far beyond itself is still the end (radians; a share of a line's length). */
const ANGLE_SLACK = 1e-12;

/** The nearest place on a piece: its share, and how far off it lies. */
export function nearestOn(piece: Segment, [x, y]: Point): { readonly share: number; readonly distance: number } {
  if (piece.kind === "line") {
    const along = (x - piece.x) * piece.dx + (y - piece.y) * piece.dy;
    const share = piece.length > 0 ? Math.min(1, Math.max(0, along / piece.length)) : 0;
    const [px, py] = pointAt(piece, share);
    return { share, distance: Math.hypot(x - px, y - py) };
  }
  const far = Math.sqrt((x - piece.x) ** 2 + (y - piece.y) ** 2);
  const share = shareOfAngle(piece, Math.atan2(y - piece.y, x - piece.x));
  if (share !== null) return { share, distance: Math.abs(far - piece.radius) };
  const [[sx, sy], [ex, ey]] = [pointAt(piece, 0), pointAt(piece, 1)];
  const [toStart, toEnd] = [Math.sqrt((x - sx) ** 2 + (y - sy) ** 2), Math.sqrt((x - ex) ** 2 + (y - ey) ** 2)];
  return toStart <= toEnd ? { share: 0, distance: toStart } : { share: 1, distance: toEnd };
}

/** Visits where two pieces cross, by the share of each. */
export function visitCrossings(a: Segment, b: Segment, visit: (onA: number, onB: number) => void): void {
  for (const [x, y] of meetings(a, b)) {
    const onA = shareOn(a, x, y);
    const onB = onA === null ? null : shareOn(b, x, y);
    if (onA !== null && onB !== null) visit(onA, onB);
  }
}

function shareOn(piece: Segment, x: number, y: number): number | null {
  if (piece.kind === "arc") return shareOfAngle(piece, Math.atan2(y - piece.y, x - piece.x));
  const share = ((x - piece.x) * piece.dx + (y - piece.y) * piece.dy) / piece.length;
  return share >= -ANGLE_SLACK && share <= 1 + ANGLE_SLACK ? share : null;
}

/** Where the whole lines and circles of two pieces meet. */
function meetings(a: Segment, b: Segment): Point[] {
  if (a.kind === "line" && b.kind === "line") {
    const cross = a.dx * b.dy - a.dy * b.dx;
    if (Math.abs(cross) < ANGLE_SLACK) return [];
    const along = ((b.x - a.x) * b.dy - (b.y - a.y) * b.dx) / cross;
    return [[a.x + along * a.dx, a.y + along * a.dy]];
  }
  if (a.kind === "line") return b.kind === "arc" ? lineMeets(a, b) : [];
  return b.kind === "line" ? lineMeets(b, a) : circlesMeet(a, b);
}

function lineMeets(line: Line, { x, y, radius }: Arc): Point[] {
  const along = (x - line.x) * line.dx + (y - line.y) * line.dy;
  const off = (x - line.x) * line.dy - (y - line.y) * line.dx;
  const half = radius * radius - off * off;
  if (half < 0) return [];
  return [-1, 1].map((way): Point => {
    const at = along + way * Math.sqrt(half);
    return [line.x + at * line.dx, line.y + at * line.dy];
  });
}

function circlesMeet(a: Arc, b: Arc): Point[] {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const apart = Math.hypot(dx, dy);
  if (apart === 0) return [];
  const along = (apart * apart + a.radius * a.radius - b.radius * b.radius) / (2 * apart);
  const half = a.radius * a.radius - along * along;
  if (half < 0) return [];
  const [ux, uy, h] = [dx / apart, dy / apart, Math.sqrt(half)];
  return [-1, 1].map((way): Point => [a.x + along * ux - way * h * uy, a.y + along * uy + way * h * ux]);
}
