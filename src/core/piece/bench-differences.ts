import { type BenchEntry, SHIPPED } from "./bench";

/** A default in which two benches differ, and so may give a piece other numbers. */
export interface BenchDifference {
  /** Where it stands in the bench: "losses.wall.squaring". */
  readonly key: string;
  readonly theirs: string;
  readonly mine: string;
}

/** What of a bench goes into a plan, with the shipped defaults for what it leaves out. */
function planned(bench: BenchEntry) {
  const { losses, seatOf } = bench;
  return {
    losses: { wall: { ...SHIPPED.losses.wall, ...losses?.wall }, hoop: { ...SHIPPED.losses.hoop, ...losses?.hoop } },
    seatOf: { ...SHIPPED.seatOf, ...seatOf },
    overshoot: bench.overshoot ?? SHIPPED.overshoot,
    way: bench.way ?? SHIPPED.way,
    wideBand: bench.wideBand ?? SHIPPED.wideBand,
    allowances: bench.allowances ?? [],
    mandrel: bench.mandrel ?? SHIPPED.mandrel,
    strips: bench.strips ?? SHIPPED.strips,
    shelves: bench.shelves?.length ? bench.shelves : SHIPPED.shelves,
  };
}

/** All that differs between two benches and goes into a plan, in a fixed order. Lists differ as a whole. */
export function benchDifferences(theirs: BenchEntry, mine: BenchEntry): BenchDifference[] {
  return differences("", planned(theirs), planned(mine));
}

function differences(key: string, theirs: unknown, mine: unknown): BenchDifference[] {
  if (isRecord(theirs) && isRecord(mine))
    return Object.keys(mine).flatMap((each) => differences(key ? `${key}.${each}` : each, theirs[each], mine[each]));
  const [a, b] = [text(theirs), text(mine)];
  return a === b ? [] : [{ key, theirs: a, mine: b }];
}

function isRecord(value: unknown): value is Readonly<Record<string, unknown>> {
  return typeof value === "object" && value !== null && !Array.isArray(value);
}

/** Lists by what is in them, without regard to the order of keys. */
function text(value: unknown): string {
  if (Array.isArray(value)) return value.map(text).join("; ");
  if (isRecord(value))
    return Object.keys(value)
      .sort()
      .map((key) => `${key} ${text(value[key])}`)
      .join(", ");
  return String(value);
}
