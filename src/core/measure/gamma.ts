/** Coefficients of the approximation for g = 7. */
const SERIES = [
  0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059, 12.507343278686905,
  -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
] as const;

/** The gamma function of a number from 1 up, to 14 digits (Lanczos). */
export function gamma(x: number): number {
  const at = x - 1;
  const t = at + SERIES.length - 1.5;
  const [first, ...rest] = SERIES;
  const series = rest.reduce((all, each, i) => all + each / (at + i + 1), first as number);
  return Math.sqrt(2 * Math.PI) * t ** (at + 0.5) * Math.exp(-t) * series;
}
