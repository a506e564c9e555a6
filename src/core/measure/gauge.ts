/** Gauges that metal is rolled and drawn to. */
export const GAUGES = { thickest: 1, thinnest: 36 } as const;

/** Thickness in mm of Brown & Sharpe gauge `n`: 0.127 * 92 ^ ((36 - n) / 39). */
export function gaugeThickness(n: number): number {
  return 0.127 * 92 ** ((36 - n) / 39);
}

/** The whole gauge nearest to a thickness in mm, on the gauge's own (logarithmic) scale. @throws below or at zero. */
export function nearestGauge(thickness: number): number {
  if (!(thickness > 0)) throw new RangeError(`thickness must be > 0, got ${thickness}`);
  return Math.round(36 - (39 * Math.log(thickness / 0.127)) / Math.log(92));
}
