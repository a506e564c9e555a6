import { type Spot } from "./pixels";

/** Spots on each side of a corner, from and to so far from it, from which its flanks are continued (pixels). */
const FLANK_FROM = 4;
const FLANK_TO = 17;
/** A line that turns by more than this within a few pixels may have a corner there (radians). */
const LEAST_TURN = 0.8;
/** How far blur draws a corner back at most, in its own deviations over the sine of half the corner. */
const DRAWN_BACK = 1.3;

/** A line with its corners put back, and where in its list they stand. */
export interface Cornered {
  readonly spots: Spot[];
  readonly corners: number[];
}

/**
 * Puts back the corners that blur has rounded: where a line turns sharply, what lies on both sides is continued (a parabola through each) until it
 * meets. A corner that is further out than the picture's blur could have drawn it back is round on the stone, and stays.
 *
 * @param step pixels from spot to spot
 * @param blur the edge's own blur (deviation, pixels)
 */
export function withCorners(spots: readonly Spot[], step: number, blur: number): Cornered {
  const n = spots.length;
  const reach = Math.max(2, Math.round(FLANK_FROM / step));
  const turns = spots.map((_, i) => turnAt(spots, i, reach));
  const result = [...spots];
  const corners: number[] = [];
  for (let i = 0; i < n; i++) {
    const turn = Math.abs(turns[i]!);
    if (turn < LEAST_TURN) continue;
    const isMost = Array.from({ length: 4 * reach + 1 }, (_, k) => Math.abs(turns[(i + k - 2 * reach + n) % n]!)).every(
      (other, k) => k === 2 * reach || other < turn || (other === turn && k > 2 * reach),
    );
    if (!isMost) continue;
    const met = flanksMeet(spots, i, step);
    if (!met) continue;
    const [x, y] = spots[i]!;
    const halfAngle = (Math.PI - turn) / 2;
    if (Math.hypot(met.at[0] - x, met.at[1] - y) > (DRAWN_BACK * (blur + 0.5)) / Math.max(0.15, Math.sin(halfAngle))) continue;
    result[i] = met.at;
    corners.push(i);
    for (let k = 1; k <= reach; k++) {
      const share = k / reach;
      result[(i - k + n) % n] = met.before(share);
      result[(i + k) % n] = met.after(share);
    }
  }
  return { spots: result, corners };
}

function turnAt(spots: readonly Spot[], i: number, reach: number): number {
  const n = spots.length;
  const at = (k: number) => spots[(i + k + n) % n]!;
  const [[ax, ay], [bx, by], [cx, cy], [dx, dy]] = [at(-2 * reach), at(-reach + 1), at(reach - 1), at(2 * reach)];
  const [ux, uy, vx, vy] = [bx - ax, by - ay, dx - cx, dy - cy];
  return Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy);
}

interface Met {
  readonly at: Spot;
  /** The flank at a share of the way back from the corner to where it was read. */
  readonly before: (share: number) => Spot;
  readonly after: (share: number) => Spot;
}

function flanksMeet(spots: readonly Spot[], i: number, step: number): Met | null {
  const before = parabola(spots, i, step, -1);
  const after = parabola(spots, i, step, 1);
  let [s, t] = [0, 0];
  for (let round = 0; round < 12; round++) {
    const [[px, py, pdx, pdy], [qx, qy, qdx, qdy]] = [before(s), after(t)];
    const [ex, ey] = [qx - px, qy - py];
    const det = qdx * pdy - pdx * qdy;
    if (Math.abs(det) < 1e-6) return null;
    const [ds, dt] = [(qdx * ey - qdy * ex) / det, (pdx * ey - pdy * ex) / det];
    [s, t] = [s + ds, t + dt];
    if (Math.abs(s) > 3 * FLANK_FROM || Math.abs(t) > 3 * FLANK_FROM) return null;
  }
  const [x, y] = before(s);
  const along =
    (flank: (at: number) => readonly number[], from: number) =>
    (share: number): Spot => {
      const [fx, fy] = flank(from + (FLANK_FROM - from) * share);
      return [fx!, fy!];
    };
  return { at: [x, y], before: along(before, s), after: along(after, t) };
}

/** Place and direction on the parabola through what lies on one side, by the pixels away from the corner along it. */
function parabola(spots: readonly Spot[], i: number, step: number, way: 1 | -1): (s: number) => readonly [number, number, number, number] {
  const n = spots.length;
  const sums = [0, 0, 0, 0, 0];
  const [sx, sy] = [
    [0, 0, 0],
    [0, 0, 0],
  ];
  const [ox, oy] = spots[i]!;
  for (let k = Math.ceil(FLANK_FROM / step); k * step <= FLANK_TO; k++) {
    const s = k * step;
    const [x, y] = spots[(i + way * k + 2 * n) % n]!;
    for (let power = 0; power < 5; power++) sums[power]! += s ** power;
    for (let power = 0; power < 3; power++) {
      sx[power]! += (x - ox) * s ** power;
      sy[power]! += (y - oy) * s ** power;
    }
  }
  const [cx, cy] = [solved(sums, sx), solved(sums, sy)];
  return (s) => [
    ox + cx[0]! + s * (cx[1]! + s * cx[2]!),
    oy + cy[0]! + s * (cy[1]! + s * cy[2]!),
    cx[1]! + 2 * s * cx[2]!,
    cy[1]! + 2 * s * cy[2]!,
  ];
}

/** Coefficients of the least-squares parabola from its moments (Cramer's rule). */
function solved([m0, m1, m2, m3, m4]: readonly number[], [v0, v1, v2]: readonly number[]): number[] {
  const det = (a: number, b: number, c: number, d: number, e: number, f: number, g: number, h: number, k: number) =>
    a * (e * k - f * h) - b * (d * k - f * g) + c * (d * h - e * g);
  const whole = det(m0!, m1!, m2!, m1!, m2!, m3!, m2!, m3!, m4!);
  return [
    det(v0!, m1!, m2!, v1!, m2!, m3!, v2!, m3!, m4!) / whole,
    det(m0!, v0!, m2!, m1!, v1!, m3!, m2!, v2!, m4!) / whole,
    det(m0!, m1!, v0!, m1!, m2!, v1!, m2!, m3!, v2!) / whole,
  ];
}
