/** Readings of one loss, the shipped default among them as so many. */
const PRIOR_WEIGHT = 3;
/** From so many on what lies far off is left out, further than so many times the usual scatter. */
const OUTLIERS = { from: 5, far: 3.5, scatter: 1.4826 } as const;

export interface Estimate {
  /** (3 m0 + sum of the kept) / (3 + number kept). */
  readonly estimate: number;
  /** Standard deviation of the kept (n - 1); null with fewer than two. */
  readonly spread: number | null;
  /** Numbers of those that are kept, and of those that are left out, in the order given. */
  readonly kept: readonly number[];
  readonly outliers: readonly number[];
}

/** What values teach beside a prior: robust against outliers by the median of the distances from the median (MAD). */
export function estimateOf(prior: number, values: readonly number[]): Estimate {
  const all = values.map((_, i) => i);
  const middle = median(values);
  const scatter = OUTLIERS.scatter * median(values.map((value) => Math.abs(value - middle)));
  const isFar = (i: number) => values.length >= OUTLIERS.from && scatter > 0 && Math.abs(values[i]! - middle) > OUTLIERS.far * scatter;
  const kept = all.filter((i) => !isFar(i));
  const sum = kept.reduce((total, i) => total + values[i]!, 0);
  const mean = sum / kept.length;
  const squares = kept.reduce((total, i) => total + (values[i]! - mean) ** 2, 0);
  return {
    estimate: (PRIOR_WEIGHT * prior + sum) / (PRIOR_WEIGHT + kept.length),
    spread: kept.length > 1 ? Math.sqrt(squares / (kept.length - 1)) : null,
    kept,
    outliers: all.filter(isFar),
  };
}

/** 0 of nothing. */
function median(values: readonly number[]): number {
  const sorted = Float64Array.from(values).sort();
  const half = sorted.length / 2;
  if (sorted.length === 0) return 0;
  return sorted.length % 2 === 1 ? sorted[Math.floor(half)]! : (sorted[half - 1]! + sorted[half]!) / 2;
}
