/**
 * What a plan costs, least first: weight of joints that run, weight of joints that soften, parts at risk, heats, sum of ranks. Packed into
 * one whole number, so that costs add and compare as numbers: 12, 12, 11, 6 and 10 bits, which 40 joints cannot fill.
 */
export type Cost = number;

export interface CostParts {
  readonly runs: number;
  readonly softens: number;
  readonly atRisk: number;
  readonly heats: number;
  readonly ranks: number;
}

const RANKS = 1024;
const HEATS = 64;
const RISKS = 2048;
const SOFTENS = 4096;

export const NEVER: Cost = Infinity;

export function pack({ runs, softens, atRisk, heats, ranks }: CostParts): Cost {
  return (((runs * SOFTENS + softens) * RISKS + atRisk) * HEATS + heats) * RANKS + ranks;
}

/** @throws for a cost that no plan has. */
export function unpack(cost: Cost): CostParts {
  if (!Number.isFinite(cost)) throw new RangeError("no plan has this cost");
  let rest = cost;
  const next = (base: number) => {
    const digit = rest % base;
    rest = (rest - digit) / base;
    return digit;
  };
  const [ranks, heats, atRisk, softens] = [next(RANKS), next(HEATS), next(RISKS), next(SOFTENS)];
  return { runs: rest, softens, atRisk, heats, ranks };
}
