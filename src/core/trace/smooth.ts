import { type Spot } from "./pixels";

/** Wavelengths a smoothing curve keeps, in spots, from one that follows every spot to one that follows the stone. */
const LADDER = [8, 13, 21, 34, 55, 89, 144] as const;
/** A stiffer curve is taken as long as it stays within so many deviations of what softer ones can tell. */
const SURE = 3.5;

/** A closed curve through scattered spots with the noise taken out, and how far the spots scatter about it. */
export interface Smoothed {
  readonly spots: Spot[];
  /** Deviation of the spots across the curve (pixels). */
  readonly scatter: number;
}

/**
 * The periodic smoothing curve of scattered spots: it lies near to them and changes its bend little (Whittaker 1923, third differences). Its
 * stiffness is set place by place by the edge's own scatter: a longer wavelength is taken as long as the stiffer curve cannot be told from the
 * softer ones (Lepski 1991), so that long runs are freed of noise and corners stay.
 *
 * @param weights how much each spot counts, 0 or more
 */
export function smoothedCurve(spots: readonly Spot[], weights: Float64Array, normals: readonly Spot[]): Smoothed {
  const n = spots.length;
  const rungs = LADDER.filter((wave) => wave < n / 3);
  const curves = rungs.map((wave) => penalised(spots, weights, new Float64Array(n).fill(stiffness(wave))));
  const across = (curve: readonly Spot[], other: readonly Spot[], i: number) =>
    (curve[i]![0] - other[i]![0]) * normals[i]![0] + (curve[i]![1] - other[i]![1]) * normals[i]![1];
  const scatter = scatterOf(spots, normals);
  const chosen = new Int32Array(n);
  for (let i = 0; i < n; i++) {
    let rung = 0;
    while (rung + 1 < rungs.length && agrees(rung + 1, i)) rung++;
    chosen[i] = rung;
  }
  function agrees(rung: number, i: number): boolean {
    for (let softer = 0; softer < rung; softer++)
      if (Math.abs(across(curves[rung]!, curves[softer]!, i)) > SURE * scatter * Math.sqrt(SHARE / rungs[softer]!)) return false;
    return true;
  }
  const waves = softened(chosen, rungs);
  const curve = penalised(spots, weights, waves.map(stiffness));
  return { spots: curve, scatter: Math.sqrt(spots.reduce((sum, _, i) => sum + across(spots, curve, i) ** 2, 0) / n) };
}

/** A smoothing curve of this wavelength averages about wavelength / SHARE spots. */
const SHARE = 2.3;

/** The weight of a third difference against a spot's distance at which a wave of this many spots keeps half its height. */
function stiffness(wave: number): number {
  return 1 / (2 * Math.sin(Math.PI / wave)) ** 6;
}

/** Deviation of the spots across the line, from their own third differences three apart: what the line itself does hardly enters. */
function scatterOf(spots: readonly Spot[], normals: readonly Spot[]): number {
  const n = spots.length;
  const apart = spots.map((_, i) => {
    const at = (k: number) => spots[(i + k * 2 + n) % n]!;
    const [a, b, c, d] = [at(-1), at(0), at(1), at(2)];
    const [nx, ny] = normals[i]!;
    return Math.abs((a[0] - 3 * b[0] + 3 * c[0] - d[0]) * nx + (a[1] - 3 * b[1] + 3 * c[1] - d[1]) * ny);
  });
  apart.sort((x, y) => x - y);
  return apart[Math.floor(n / 2)]! / 0.6745 / Math.sqrt(20);
}

/** The wavelength at each spot: no longer than a near one allows, and changing slowly. */
function softened(chosen: Int32Array, rungs: readonly number[]): Float64Array {
  const n = chosen.length;
  const logs = new Float64Array(n);
  for (let i = 0; i < n; i++) logs[i] = Math.log(rungs[chosen[i]!]!);
  // a wave of w spots reaches about w / 3 along the line: where a short one is needed, the next third of it has to be short as well
  const least = logs.slice();
  for (let i = 0; i < n; i++) {
    const reach = Math.round(rungs[chosen[i]!]! / 3);
    for (let d = -reach; d <= reach; d++) {
      const j = (i + d + n) % n;
      if (logs[i]! < least[j]!) least[j] = logs[i]!;
    }
  }
  return least.map(Math.exp);
}

/**
 * Least squares of the distance to the spots and of third differences, by a band Cholesky solver on the list continued beyond both ends, so that
 * it closes on itself.
 */
function penalised(spots: readonly Spot[], weights: Float64Array, stiff: Float64Array): Spot[] {
  const n = spots.length;
  const more = Math.min(n, 3 * Math.ceil(LADDER.at(-1)!));
  const m = n + 2 * more;
  const at = (i: number) => (((i - more) % n) + n) % n;
  const band = [0, 1, 2, 3].map(() => new Float64Array(m));
  const [x, y] = [new Float64Array(m), new Float64Array(m)];
  for (let i = 0; i < m; i++) {
    const k = at(i);
    band[0]![i] = weights[k]! + 1e-9;
    x[i] = band[0]![i]! * spots[k]![0];
    y[i] = band[0]![i]! * spots[k]![1];
  }
  const third = [-1, 3, -3, 1];
  for (let i = 0; i + 3 < m; i++) {
    const weight = stiff[at(i + 1)]!;
    for (let a = 0; a < 4; a++) for (let b = a; b < 4; b++) band[b - a]![i + a]! += weight * third[a]! * third[b]!;
  }
  solveBand(band, [x, y]);
  return Array.from({ length: n }, (_, i): Spot => [x[i + more]!, y[i + more]!]);
}

/** Solves a symmetric band matrix in place for several right sides (LDL transposed). `band[d][i]` is the entry of row i and column i + d. */
function solveBand(band: readonly Float64Array[], sides: readonly Float64Array[]): void {
  const m = band[0]!.length;
  const width = band.length - 1;
  for (let i = 0; i < m; i++) {
    for (let d = 1; d <= width && i + d < m; d++) {
      const factor = band[d]![i]! / band[0]![i]!;
      for (let e = d; e <= width && i + e < m; e++) band[e - d]![i + d]! -= factor * band[e]![i]!;
      for (const side of sides) side[i + d]! -= factor * side[i]!;
    }
  }
  for (let i = m - 1; i >= 0; i--)
    for (const side of sides) {
      let rest = side[i]!;
      for (let d = 1; d <= width && i + d < m; d++) rest -= band[d]![i]! * side[i + d]!;
      side[i] = rest / band[0]![i]!;
    }
}
