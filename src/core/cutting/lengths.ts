import { tolerance } from "../measure/tolerances";
import { type Cost, type CuttingWay, NO_COST, ORDER, compared, isNoWorse } from "./cutting-way";

/** A length that metal is cut from. */
export interface Bar {
  readonly length: number;
  /** It is bought as often as it is wanted; a length of the drawer is there once. */
  readonly isBought: boolean;
  /** Cuts that are to come from it, whatever else does; what is bought for them is there once. */
  readonly pinned?: readonly number[];
}

/** Lengths to be cut from bars, in mm. */
export interface LengthsProblem {
  readonly bars: readonly Bar[];
  readonly cuts: readonly number[];
  /** mm2 of a bar's face that are trimmed off beside a cut; null where the cut cannot come from it. */
  readonly trim: (bar: number, cut: number) => number | null;
  /** Width of a cut. */
  readonly kerf: number;
  /** From this length on a leftover is kept. */
  readonly useful: number;
  readonly way: CuttingWay;
}

export interface CutBar {
  readonly bar: number;
  /** The cuts that come from it, the longest first. */
  readonly cuts: readonly number[];
  readonly left: number;
  readonly goesBack: boolean;
}

export interface LengthsPlan {
  readonly bars: readonly CutBar[];
  /** Cuts that no bar is left for and that are longer than what is bought. */
  readonly leftOut: readonly number[];
  /** Whether nothing better is possible; else the search ended before it had tried everything. */
  readonly isProven: boolean;
}

/** Patterns tried before a search ends unproven, and at one place of it. */
const EFFORT = 8_000;
const MOST_PATTERNS = 4000;
/** Patterns of each bar that are compared where none is taken back. */
const DIVE_PATTERNS = 40;
/** Of two patterns the one that buys is tried last; what is spoiled counts so many times what is left and kept. */
const BOUGHT = 1e9;
const SPOILED = 1e4;

/**
 * Which cut comes from which bar: after the fewest left out and the fewest bought, the best in a way (section 12 of the formulas). A leftover is
 * length less cuts less a kerf for each cut, not under 0; under `useful` it is spoiled. Bars are filled one after another, each begun with the longest cut
 * that is left, in all ways there are; what cannot become better than the best so far, or was reached before at no greater cost, is not followed. Bars with
 * pinned cuts are filled up first. Throws a RangeError where pinned cuts do not go into their bar.
 */
export function laidLengths(problem: LengthsProblem, effort = EFFORT): LengthsPlan {
  const search = new Search(problem, effort);
  return search.run();
}

/** Alike cuts. */
interface Kind {
  readonly length: number;
  readonly cuts: readonly number[];
  /** By bar. */
  readonly trims: readonly (number | null)[];
}

/** A bar and how many of each kind come from it. */
interface Pattern {
  readonly bar: number;
  readonly counts: readonly number[];
  readonly left: number;
  readonly trimmed: number;
  readonly promise: number;
}

/** What is pinned to a bar. */
interface Base {
  readonly filled: number;
  readonly pieces: number;
  readonly trimmed: number;
}

const NO_BASE: Base = { filled: 0, pieces: 0, trimmed: 0 };

class Search {
  private readonly kinds: readonly Kind[];
  private readonly order: readonly (keyof Cost)[];
  private readonly remaining: number[];
  private readonly isUsed: boolean[];
  private readonly chosen: Pattern[] = [];
  private readonly seen = new Map<string, Cost>();
  private best: { readonly cost: Cost; readonly patterns: readonly Pattern[]; readonly leftOut: readonly number[] } | null = null;
  /** Alike for bars that are as long and give the same cuts. */
  private readonly barKeys: readonly string[];
  private readonly isBuyable: readonly boolean[];
  private readonly longestBought: number;
  /** Bars that are there once. */
  private readonly longestFirst: readonly number[];
  /** Bought as often as it is wanted. */
  private readonly isEndless: readonly boolean[];
  private readonly bases: readonly Base[];
  private readonly withPinned: readonly number[];
  private looks = 0;
  private isWhole = true;

  constructor(
    private readonly problem: LengthsProblem,
    private readonly effort: number,
  ) {
    this.kinds = kindsOf(problem);
    this.bases = problem.bars.map((_, bar) => baseOf(problem, bar));
    this.withPinned = problem.bars.flatMap((_, bar) => (this.bases[bar]!.pieces > 0 ? [bar] : []));
    this.isEndless = problem.bars.map(({ isBought }, bar) => isBought && this.bases[bar]!.pieces === 0);
    this.order = ORDER[problem.way];
    this.remaining = this.kinds.map(({ cuts }) => cuts.length);
    this.barKeys = problem.bars.map(({ length, isBought }, i) => `${length} ${isBought} ${this.kinds.map(({ trims }) => trims[i]).join()}`);
    this.isBuyable = this.kinds.map((kind) => this.canBeBought(kind));
    this.longestBought = problem.bars.reduce((most, { length }, i) => (this.isEndless[i] ? Math.max(most, length) : most), 0);
    this.longestFirst = problem.bars
      .flatMap((_, i) => (this.isEndless[i] ? [] : [i]))
      .sort((a, b) => problem.bars[b]!.length - problem.bars[a]!.length);
    this.isUsed = problem.bars.map(() => false);
  }

  run(): LengthsPlan {
    this.greedy();
    this.dive();
    this.from(
      NO_COST,
      this.kinds.map(() => 0),
    );
    const { patterns, leftOut } = this.best!;
    const next = this.kinds.map(() => 0);
    const bars = patterns
      .map(({ bar, counts, left }): CutBar => {
        const own = counts.flatMap((count, k) => Array.from({ length: count }, () => this.kinds[k]!.cuts[next[k]!++]!));
        const lengths = this.problem.cuts;
        const cuts = [...(this.problem.bars[bar]!.pinned ?? []), ...own].sort((a, b) => lengths[b]! - lengths[a]!);
        return { bar, cuts, left, goesBack: this.isKept(left) };
      })
      .sort((a, b) => a.bar - b.bar);
    const out = leftOut.flatMap((count, k) => Array.from({ length: count }, () => this.kinds[k]!.cuts[next[k]!++]!));
    return { bars, leftOut: out, isProven: this.isWhole };
  }

  private isKept(left: number): boolean {
    return left > this.problem.useful - tolerance.sameLength;
  }

  private withPattern(cost: Cost, { bar, left, trimmed }: Pattern): Cost {
    const { length, isBought } = this.problem.bars[bar]!;
    const isKept = this.isKept(left);
    return {
      leftOut: cost.leftOut,
      bought: cost.bought + (isBought ? 1 : 0),
      spoiled: cost.spoiled + (isKept ? 0 : left),
      begun: cost.begun + length,
      bars: cost.bars + 1,
      longest: Math.max(cost.longest, isKept ? left : 0),
      trimmed: cost.trimmed + trimmed,
    };
  }

  private keep(cost: Cost, leftOut: readonly number[]): void {
    if (this.best && compared(cost, this.best.cost, this.order) >= 0) return;
    this.best = { cost, patterns: [...this.chosen], leftOut: [...leftOut] };
  }

  /** The best of first fits: the longest cuts first, into bars in several orders. */
  private greedy(): void {
    const { bars } = this.problem;
    const stock = bars.map((_, i) => i).filter((i) => !this.isEndless[i]);
    const bought = bars.map((_, i) => i).filter((i) => this.isEndless[i]);
    const byLength = [...stock].sort((a, b) => bars[a]!.length - bars[b]!.length);
    for (const order of [stock, byLength, [...byLength].reverse()]) this.firstFit([...order, ...bought]);
  }

  private firstFit(order: readonly number[]): void {
    const { bars, kerf } = this.problem;
    const open: { bar: number; counts: number[]; filled: number; pieces: number; trimmed: number }[] = [];
    const begin = (bar: number) => {
      const one = { bar, counts: this.kinds.map(() => 0), ...this.bases[bar]! };
      open.push(one);
      return one;
    };
    for (const bar of order) if (!this.isEndless[bar]) begin(bar);
    const leftOut = this.kinds.map(() => 0);
    this.kinds.forEach((kind, k) => {
      for (let i = 0; i < kind.cuts.length; i++) {
        const has = (one: (typeof open)[number]) =>
          kind.trims[one.bar] !== null && one.filled + kind.length + one.pieces * kerf <= bars[one.bar]!.length + tolerance.sameLength;
        let into = open.find(has);
        if (!into) {
          const bar = order.find((each) => this.isEndless[each] && kind.trims[each] !== null && kind.length <= bars[each]!.length);
          if (bar === undefined) {
            leftOut[k]!++;
            continue;
          }
          into = begin(bar);
        }
        into.counts[k]!++;
        into.filled += kind.length;
        into.pieces++;
        into.trimmed += kind.trims[into.bar]!;
      }
    });
    const patterns = open
      .filter(({ pieces }) => pieces > 0)
      .map(({ bar, counts, filled, pieces, trimmed }): Pattern => ({
        bar,
        counts,
        trimmed,
        left: this.leftOf(bar, filled, pieces),
        promise: 0,
      }));
    const none = { ...NO_COST, leftOut: leftOut.reduce((sum, count) => sum + count, 0) };
    this.chosen.push(...patterns);
    this.keep(
      patterns.reduce((cost, pattern) => this.withPattern(cost, pattern), none),
      leftOut,
    );
    this.chosen.length = 0;
  }

  private leftOf(bar: number, filled: number, pieces: number): number {
    return Math.max(0, this.problem.bars[bar]!.length - filled - pieces * this.problem.kerf);
  }

  /** Fills the next bar in every way; `cost` is that of the bars filled so far. */
  private from(cost: Cost, leftOut: readonly number[]): void {
    const pinned = this.nextPinned();
    const next = this.next();
    if (pinned === undefined && next < 0) return this.keep(cost, leftOut);
    if (this.best && compared(this.least(cost), this.best.cost, this.order) >= 0) return;
    if (this.looks > this.effort) {
      this.isWhole = false;
      return;
    }
    const key = String.fromCharCode(...this.remaining, ...this.isUsed.map(Number));
    const before = this.seen.get(key);
    if (before && isNoWorse(before, cost, this.order)) return;
    this.seen.set(key, cost);
    for (const pattern of pinned === undefined ? this.patterns(next, MOST_PATTERNS) : this.patternsOf(pinned, MOST_PATTERNS)) {
      this.take(pattern, 1);
      this.from(this.withPattern(cost, pattern), leftOut);
      this.take(pattern, -1);
    }
    if (pinned === undefined && !this.isBuyable[next]) {
      const count = this.remaining[next]!;
      this.remaining[next] = 0;
      this.from({ ...cost, leftOut: cost.leftOut + count }, leftOut.with(next, count));
      this.remaining[next] = count;
    }
  }

  private canBeBought({ trims, length }: Kind): boolean {
    return this.problem.bars.some((bar, i) => this.isEndless[i] && trims[i] !== null && length <= bar.length + tolerance.sameLength);
  }

  private take(pattern: Pattern, by: 1 | -1): void {
    pattern.counts.forEach((count, k) => (this.remaining[k]! -= by * count));
    if (!this.isEndless[pattern.bar]) this.isUsed[pattern.bar] = by === 1;
    if (by === 1) this.chosen.push(pattern);
    else this.chosen.pop();
  }

  /** What any way of going on costs at least. */
  private least(cost: Cost): Cost {
    const { bars, kerf } = this.problem;
    let [need, pieces, isBuyable] = [0, 0, true];
    for (let k = 0; k < this.kinds.length; k++) {
      const count = this.remaining[k]!;
      if (count === 0) continue;
      need += this.kinds[k]!.length * count;
      pieces += count;
      isBuyable &&= this.isBuyable[k]!;
    }
    // with its last kerf, which may be lost past its end, a bar holds so much
    const whole = need + pieces * kerf - tolerance.sameLength;
    let [holds, count, longest] = [0, 0, this.longestBought];
    for (const i of this.longestFirst) {
      if (this.isUsed[i]) continue;
      longest = Math.max(longest, bars[i]!.length);
      if (holds < whole) count++;
      holds += bars[i]!.length + kerf;
    }
    const bought = holds < whole && isBuyable ? Math.ceil((whole - holds) / (this.longestBought + kerf)) : 0;
    return {
      leftOut: cost.leftOut,
      bought: cost.bought + bought,
      spoiled: cost.spoiled,
      begun: cost.begun + (isBuyable ? need : 0),
      bars: cost.bars + (isBuyable && bought === 0 ? count : 0),
      longest: Math.max(cost.longest, longest),
      trimmed: cost.trimmed,
    };
  }

  /** Ways in which a bar is begun with the longest kind that is left, so many of each bar, the most promising first; of bars alike the first. */
  private patterns(first: number, most: number): Pattern[] {
    const { bars } = this.problem;
    const found: Pattern[] = [];
    const alike = new Set<string>();
    bars.forEach((bar, i) => {
      if (this.isUsed[i] || this.kinds[first]!.trims[i] === null) return;
      const key = this.barKeys[i]!;
      if (alike.has(key)) return;
      alike.add(key);
      this.fill(i, first, found, most);
    });
    return byPromise(found);
  }

  /** Ways in which a bar with pinned cuts is filled up, also with none. */
  private patternsOf(bar: number, most: number): Pattern[] {
    const found: Pattern[] = [];
    this.fill(bar, null, found, most);
    return byPromise(found);
  }

  /** The less, the sooner it is tried: what is bought comes last, then what is spoiled or left counts by the way. */
  private promise(bar: number, filled: number, left: number): number {
    const bought = this.problem.bars[bar]!.isBought ? BOUGHT : 0;
    if (this.problem.way === "fewest") return bought - filled;
    if (this.problem.way === "ends-first") return bought + left;
    return bought + (this.isKept(left) ? left : left * SPOILED);
  }

  /** `first`: the kind that some of come from it; null where it may stay as it is. */
  private fill(bar: number, first: number | null, found: Pattern[], most: number): void {
    const { kerf, bars } = this.problem;
    const { kinds, remaining } = this;
    const length = bars[bar]!.length + tolerance.sameLength;
    const counts = kinds.map(() => 0);
    const end = found.length + most;
    const add = (kind: number, filled: number, pieces: number, trimmed: number): void => {
      if (found.length >= end || this.looks > this.effort) {
        this.isWhole = false;
        return;
      }
      let next = kind;
      while (
        next < kinds.length &&
        (remaining[next] === 0 || kinds[next]!.trims[bar] === null || filled + kinds[next]!.length + pieces * kerf > length)
      )
        next++;
      if (next === kinds.length) {
        this.looks++;
        const left = this.leftOf(bar, filled, pieces);
        found.push({ bar, counts: [...counts], left, trimmed, promise: this.promise(bar, filled, left) });
        return;
      }
      const each = kinds[next]!.length;
      const room = Math.floor((length - filled - pieces * kerf + kerf) / (each + kerf));
      for (let count = Math.min(remaining[next]!, room); count >= (next === first ? 1 : 0); count--) {
        counts[next] = count;
        add(next + 1, filled + count * each, pieces + count, trimmed + count * kinds[next]!.trims[bar]!);
      }
      counts[next] = 0;
    };
    const { filled, pieces, trimmed } = this.bases[bar]!;
    if (first === null) add(0, filled, pieces, trimmed);
    else if (kinds[first]!.length <= length) add(first, 0, 0, 0);
  }

  /** Fills bar after bar with what promises most, without looking back: a first answer for what is too large to be tried in all ways. */
  private dive(): void {
    const taken: Pattern[] = [];
    let cost = NO_COST;
    const leftOut = this.kinds.map(() => 0);
    for (;;) {
      const [pinned, next] = [this.nextPinned(), this.next()];
      if (pinned === undefined && next < 0) break;
      this.looks = 0;
      const [pattern] = pinned === undefined ? this.patterns(next, DIVE_PATTERNS) : this.patternsOf(pinned, DIVE_PATTERNS);
      if (pattern) {
        this.take(pattern, 1);
        taken.push(pattern);
        cost = this.withPattern(cost, pattern);
      } else {
        leftOut[next] = this.remaining[next]!;
        cost = { ...cost, leftOut: cost.leftOut + leftOut[next] };
        this.remaining[next] = 0;
      }
    }
    this.keep(cost, leftOut);
    for (const pattern of taken.reverse()) this.take(pattern, -1);
    leftOut.forEach((count, k) => (this.remaining[k]! += count));
    this.looks = 0;
    this.isWhole = true;
  }

  private nextPinned(): number | undefined {
    return this.withPinned.find((bar) => !this.isUsed[bar]);
  }

  private next(): number {
    return this.remaining.findIndex((count) => count > 0);
  }
}

function byPromise(patterns: Pattern[]): Pattern[] {
  return patterns.sort((a, b) => a.promise - b.promise || a.trimmed - b.trimmed);
}

function baseOf({ bars, cuts, trim, kerf }: LengthsProblem, bar: number): Base {
  const { length, pinned = [] } = bars[bar]!;
  if (pinned.length === 0) return NO_BASE;
  const filled = pinned.reduce((sum, cut) => sum + cuts[cut]!, 0);
  const trims = pinned.map((cut) => trim(bar, cut));
  if (filled + (pinned.length - 1) * kerf > length + tolerance.sameLength || trims.includes(null))
    throw new RangeError(`cuts of ${filled} mm are pinned to a bar of ${length}`);
  return { filled, pieces: pinned.length, trimmed: trims.reduce<number>((sum, each) => sum + each!, 0) };
}

/** Cuts as long and as wide as each other, the longest first; those that are pinned are of none. */
function kindsOf({ bars, cuts, trim }: LengthsProblem): Kind[] {
  const kinds = new Map<string, { length: number; cuts: number[]; trims: (number | null)[] }>();
  const pinned = new Set(bars.flatMap((bar) => bar.pinned ?? []));
  cuts.forEach((length, cut) => {
    if (pinned.has(cut)) return;
    const trims = bars.map((_, bar) => trim(bar, cut));
    const key = `${length} ${trims.join()}`;
    const kind = kinds.get(key) ?? { length, cuts: [], trims };
    kind.cuts.push(cut);
    kinds.set(key, kind);
  });
  return [...kinds.values()].sort((a, b) => b.length - a.length);
}
