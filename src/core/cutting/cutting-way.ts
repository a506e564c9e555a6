import { tolerance } from "../measure/tolerances";

/** What counts most after the fewest bought lengths: little spoiled, short ends used up, or few lengths begun. */
export type CuttingWay = "spoil" | "ends-first" | "fewest";

/** What is compared, the first first: each is added up, but for the longest leftover. */
export interface Cost {
  leftOut: number;
  bought: number;
  spoiled: number;
  begun: number;
  bars: number;
  longest: number;
  trimmed: number;
}

export const NO_COST: Cost = { leftOut: 0, bought: 0, spoiled: 0, begun: 0, bars: 0, longest: 0, trimmed: 0 };

export const ORDER: Readonly<Record<CuttingWay, readonly (keyof Cost)[]>> = {
  spoil: ["leftOut", "bought", "spoiled", "begun", "longest", "trimmed"],
  "ends-first": ["leftOut", "bought", "begun", "spoiled", "longest", "trimmed"],
  fewest: ["leftOut", "bought", "bars", "spoiled", "begun", "longest", "trimmed"],
};

/** Under 0 where `a` is better: less of all, but the longest leftover, of which more is better. */
export function compared(a: Cost, b: Cost, order: readonly (keyof Cost)[]): number {
  for (const key of order) {
    const apart = key === "longest" ? b[key] - a[key] : a[key] - b[key];
    if (Math.abs(apart) > tolerance.sum) return apart;
  }
  return 0;
}

/** Whether what was reached before cost no more, whatever is still to come: a longer leftover to come may hide a shorter one so far. */
export function isNoWorse(before: Cost, now: Cost, order: readonly (keyof Cost)[]): boolean {
  const upToLongest = order.slice(0, order.indexOf("longest"));
  const apart = compared(before, now, upToLongest);
  if (apart !== 0) return apart < 0;
  return before.longest >= now.longest - tolerance.sum && before.trimmed <= now.trimmed + tolerance.sum;
}
