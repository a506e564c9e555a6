import { type Cost, pack } from "./cost";

/** What later heats would do to a body: the weight of joints run and softened by each flame, and its coolest heat so far. */
export interface BodyState {
  /** Equal states of one table have one number. */
  readonly id: number;
  readonly runs: readonly number[];
  readonly softens: readonly number[];
  readonly coolest: number;
  /** What each flame costs for what it moves: `runs` and `softens` in one. */
  readonly moved: readonly Cost[];
}

/** Far more states than a search meets; two numbers below it make one that a double holds. */
const MOST_STATES = 2 ** 24;

/** More than all the joints of a search weigh. */
const MOST_WEIGHT = 64;

/** The states of one search, each made once, so that they are compared and looked up by number. */
export class BodyStates {
  private readonly byContent = new Map<string, BodyState>();
  private readonly sums = new Map<number, BodyState>();
  readonly none: BodyState;

  private readonly heated = new Map<number, BodyState>();

  /** @param moves what each flame does to a joint made with each: `moves.runs[made][flame]` is 1 where it runs it. */
  constructor(private readonly moves: { readonly runs: readonly (readonly number[])[]; readonly softens: readonly (readonly number[])[] }) {
    const zeros = moves.runs.map(() => 0);
    this.none = this.of(zeros, zeros, Infinity);
  }

  /** The state once joints of so much weight more, none shielded, are made with a flame; `coolest` follows from both. */
  heatedBy(flame: number, weight: number, before: BodyState, coolest: number): BodyState {
    const key = (before.id * this.moves.runs.length + flame) * MOST_WEIGHT + weight;
    const known = this.heated.get(key);
    if (known) return known;
    const more = (counts: readonly number[], moved: readonly number[]) => counts.map((n, g) => n + weight * moved[g]!);
    const state = this.of(more(before.runs, this.moves.runs[flame]!), more(before.softens, this.moves.softens[flame]!), coolest);
    this.heated.set(key, state);
    return state;
  }

  private of(runs: readonly number[], softens: readonly number[], coolest: number): BodyState {
    const content = `${runs.join()}/${softens.join()}/${coolest}`;
    const known = this.byContent.get(content);
    if (known) return known;
    const moved = runs.map((weight, f) => pack({ runs: weight, softens: softens[f]!, atRisk: 0, heats: 0, ranks: 0 }));
    const state = { id: this.byContent.size, runs, softens, coolest, moved };
    this.byContent.set(content, state);
    return state;
  }

  /** The state of two bodies that become one. */
  sum(a: BodyState, b: BodyState): BodyState {
    if (a === this.none) return b;
    if (b === this.none) return a;
    const pair = Math.min(a.id, b.id) * MOST_STATES + Math.max(a.id, b.id);
    const known = this.sums.get(pair);
    if (known) return known;
    const both = (x: readonly number[], y: readonly number[]) => x.map((n, i) => n + y[i]!);
    const state = this.of(both(a.runs, b.runs), both(a.softens, b.softens), Math.min(a.coolest, b.coolest));
    this.sums.set(pair, state);
    return state;
  }
}

/** Whether no later heat does more to `a` than to `b`, or is closed to it alone. */
export function atLeastAsGood(a: BodyState, b: BodyState): boolean {
  if (a === b) return true;
  if (a.coolest < b.coolest) return false;
  for (let i = 0; i < a.runs.length; i++) if (a.runs[i]! > b.runs[i]! || a.softens[i]! > b.softens[i]!) return false;
  return true;
}
