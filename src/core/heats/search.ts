import { type Cost, NEVER, pack } from "./cost";
import { type Problem } from "./problem";
import { every, filterMask, lowest, maskOf, members, sets, size, subsets, sumOver, unionOver } from "./bits";
import { type BodyState, BodyStates, atLeastAsGood } from "./body-state";
import { danger, disturbance } from "./thermal";

/**
 * The least cost of making all joints, by what each body can have become.
 *
 * A heat's cost depends on the body it reaches only through how many of its joints each working temperature would run
 * or soften, which parts it holds, and (stepping down) its coolest heat so far: its *state*. Bodies that are not yet
 * joined do not touch each other. So for every connected set of joints the search keeps the states it can end with and
 * the least cost of each: the last heat made some of the set's joints, and what it joined were smaller sets, each
 * solved on its own. A state that is nowhere better than a cheaper one is dropped.
 *
 * Joints that only an order or a shared heat ties are solved as one set of several bodies.
 */
export class Search {
  private readonly memo = new Map<string, Known>();
  private readonly later: readonly number[];
  /** All joints that come before each, by way of others too. */
  private readonly earlier: readonly number[];
  private readonly bounds = new Map<number, Cost>();
  private readonly open = new Map<number, number>();
  private readonly tied: readonly number[];
  private readonly melts: readonly number[];
  private readonly risks: readonly number[];

  private readonly least: readonly Cost[];
  private readonly states: BodyStates;
  /** By how much the cheapest of what was not followed is over the most it may cost. */
  private over: Cost = NEVER;
  /** How many sets were solved, as a measure of the work. */
  solved = 0;

  /** @param isOver asked now and again; once it is so, the search throws `OutOfTime`. */
  constructor(
    private readonly problem: Problem,
    private readonly isOver: () => boolean,
  ) {
    const { flames, metals, before, together, allowed } = problem;
    this.least = allowed.map((mask) => {
      const ranks = Math.min(...flames.flatMap(({ rank }, f) => (mask & (1 << f) ? [rank] : [])));
      return pack({ runs: 0, softens: 0, atRisk: 0, heats: 0, ranks });
    });
    this.later = before.map((_, i) => maskOf(before.length, (j) => (before[j]! & (1 << i)) !== 0));
    this.earlier = closed(before);
    this.tied = before.map((mask, i) => mask | this.later[i]! | together[i]!);
    const table = (what: "runs" | "softens") =>
      flames.map((made) => flames.map((flame) => (disturbance(flame.working, made) === what ? 1 : 0)));
    this.states = new BodyStates({ runs: table("runs"), softens: table("softens") });
    const masks = (what: "melts" | "at-risk") =>
      flames.map((flame) => maskOf(metals.length, (part) => danger(flame.working, metals[part]!) === what));
    this.melts = masks("melts");
    this.risks = masks("at-risk");
  }

  /** The state before the first heat. */
  start(): State {
    const { ties, metals } = this.problem;
    const bodies = metals.map((_, part): Body => ({
      parts: 1 << part,
      heated: false,
      state: this.states.none,
    }));
    return { left: (1 << ties.length) - 1, bodies };
  }

  /**
   * Least cost of the joints left; NEVER if they cannot be made for `most`: what must cost more is not followed. It is more than `most` where that is
   * known from before. Any plan but those found costs at least `next`. What is found is kept, for other states and another `most`.
   */
  leastCost(state: State, most: Cost): { readonly cost: Cost; readonly next: Cost } {
    this.over = NEVER;
    const at: Setting = { bodies: state.bodies, links: this.links(state, state.left), solved: new Map() };
    let total: Cost = 0;
    const all = sets(state.left, (i) => at.links[i]! | this.tied[i]!);
    for (const set of all) {
      const others = all.reduce((sum, other) => (other === set ? sum : sum + this.leastOf(other)), 0);
      total += least(this.outcomes(at, set, most - others).kept);
    }
    return { cost: total, next: most + this.over };
  }

  /** The heats that could come next, each with its cost and what it leaves; in the plan's order of ties. */
  nextHeats(state: State): NextHeat[] {
    const { before, flames } = this.problem;
    const ready = filterMask(state.left, (i) => (before[i]! & state.left) === 0);
    const links = this.links(state, ready);
    const heats: NextHeat[] = [];
    for (const body of sets(ready, (i) => links[i]!)) {
      for (const joints of subsets(body)) {
        const open = this.openTo(joints);
        if (open === 0 || sets(joints, (i) => links[i]!).length !== 1) continue;
        const touched = state.bodies.filter((each) => touches(this.problem, joints, each));
        const merged = touched.reduce((a, b) => this.join(a, b));
        for (let f = 0; f < flames.length; f++) {
          const heating = open & (1 << f) ? this.flameOn(merged.parts, joints, f) : null;
          if (!heating?.isOpenTo(merged.state)) continue;
          const made = { parts: merged.parts, heated: true, state: this.heated(heating, merged.state) };
          const bodies = [...state.bodies.filter((each) => !touched.includes(each)), made];
          const cost = heating.cost + merged.state.moved[f]!;
          heats.push({ joints: members(joints), flame: f, cost, body: made.state, leaves: { left: state.left & ~joints, bodies } });
        }
      }
    }
    return heats.sort((a, b) => a.flame - b.flame || inOrder(a.joints, b.joints));
  }

  /** What making `joints` with a flame costs on a body of these parts, whatever became of it before; null where a part would melt. */
  private flameOn(parts: number, joints: number, f: number): Heating | null {
    const { flames, ties, shielded, weights, stepping } = this.problem;
    const { fuses, rank, working } = flames[f]!;
    const exposed = fuses ? parts & ~unionOver(joints, (i) => ties[i]!) : parts;
    if (exposed & this.melts[f]!) return null;
    return {
      flame: f,
      cost: pack({ runs: 0, softens: 0, atRisk: size(exposed & this.risks[f]!), heats: 1, ranks: rank * size(joints) }),
      weight: sumOver(joints & ~shielded, (i) => weights[i]!),
      isOpenTo: ({ coolest }) => !stepping || working <= coolest,
    };
  }

  /** The state of a body once it was heated so. */
  private heated({ flame, weight }: Heating, before: BodyState): BodyState {
    const { flames, stepping } = this.problem;
    return this.states.heatedBy(flame, weight, before, stepping ? flames[flame]!.working : Infinity);
  }

  /** What making these joints costs at the very least, whatever the heats. */
  leastOf(joints: number): Cost {
    const known = this.bounds.get(joints);
    if (known !== undefined) return known;
    const bound = joints ? this.chainIn(joints) * ONE_HEAT + sumOver(joints, (i) => this.least[i]!) : 0;
    this.bounds.set(joints, bound);
    return bound;
  }

  /** How many of these joints must at least be made one after the other; without end where each must come after another. */
  private chainIn(joints: number): number {
    let longest = 0;
    for (let rest = joints; rest; longest++) {
      const later = filterMask(rest, (i) => (this.earlier[i]! & rest) !== 0);
      if (later === rest) return Infinity;
      rest = later;
    }
    return longest;
  }

  private join(a: Body, b: Body): Body {
    return { parts: a.parts | b.parts, heated: a.heated || b.heated, state: this.states.sum(a.state, b.state) };
  }

  /** The flames with which joints can be made in one heat; none where they cannot share one. */
  private openTo(joints: number): number {
    const known = this.open.get(joints);
    if (known !== undefined) return known;
    const { together, apart, allowed } = this.problem;
    const canShare = every(joints, (i) => (together[i]! & ~joints) === 0 && (apart[i]! & joints) === 0);
    const open = canShare ? ~unionOver(joints, (i) => ~allowed[i]!) & ((1 << this.problem.flames.length) - 1) : 0;
    this.open.set(joints, open);
    return open;
  }

  /** For each joint of `among`, the others of it that share a body with it. */
  private links(state: State, among: number): number[] {
    const { ties } = this.problem;
    const at = new Array<number>(ties.length).fill(0);
    for (const body of state.bodies) {
      const here = filterMask(among, (i) => (ties[i]! & body.parts) !== 0);
      for (let rest = here; rest; rest &= rest - 1) at[lowest(rest)]! |= here;
    }
    return at;
  }

  /** Every state that making the joints of `set` can end with for `most` or less, at its least cost; kept, and used for any most below the cost of what was left out. */
  private outcomes(at: Setting, set: number, most: Cost): Known {
    if (this.isTooMuch(this.leastOf(set), most)) return NOTHING;
    const before = at.solved.get(set);
    if (before && before.next > most) return this.noting(before, most);
    const touched = at.bodies.filter((body) => touches(this.problem, set, body));
    const key = `${set}|${touched.map((body) => (body.heated ? `${body.parts}:${body.state.id}` : "")).join(";")}`;
    const known = this.memo.get(key);
    if (known && known.next > most) {
      at.solved.set(set, known);
      return this.noting(known, most);
    }
    if (this.isOver()) throw new OutOfTime();
    this.solved++;
    const over = this.over;
    this.over = NEVER;
    const bodies = sets(set, (i) => at.links[i]!).map((joints): Joined => {
      const within = touched.filter((body) => touches(this.problem, joints, body));
      return { joints, parts: within.reduce((parts, body) => parts | body.parts, 0), from: within };
    });
    const found = new Map<number | string, Outcome>();
    bodies.forEach((body, b) => {
      const last = filterMask(body.joints, (i) => (this.later[i]! & set) === 0);
      for (const joints of subsets(last)) this.lastHeat(at, set, bodies, b, joints, most, found);
    });
    const solved: Known = { kept: undominated([...found.values()]), bodies, next: most + this.over };
    this.memo.set(key, solved);
    at.solved.set(set, solved);
    this.over = Math.min(over, this.over);
    return solved;
  }

  /** What is known already, of which nothing more can be had for `most`. */
  private noting(known: Known, most: Cost): Known {
    this.over = Math.min(this.over, known.next - most);
    return known;
  }

  private isTooMuch(cost: Cost, most: Cost): boolean {
    if (cost <= most) return false;
    this.over = Math.min(this.over, cost - most);
    return true;
  }

  /** Adds to `found` what `set` can end as when `joints`, all of them of one of the bodies that it becomes, are its last heat. */
  private lastHeat(
    at: Setting,
    set: number,
    bodies: readonly Joined[],
    b: number,
    joints: number,
    most: Cost,
    found: Map<number | string, Outcome>,
  ): void {
    const { ties, flames } = this.problem;
    const open = this.openTo(joints);
    if (open === 0) return;
    const rest = set & ~joints;
    const mostBefore = most - this.leastOf(joints);
    const parts = sets(rest, (i) => (at.links[i]! | this.tied[i]!) & rest);
    // each part has heats of its own: none of them is tied to another
    let others = parts.reduce((sum, part) => sum + this.leastOf(part), 0);
    if (this.isTooMuch(others, mostBefore)) return;
    const restParts = unionOver(rest, (i) => ties[i]!);
    const lone = bodies[b]!.from.filter((body) => !(body.parts & restParts));
    const state = lone.reduce((sum, body) => this.states.sum(sum, body.state), this.states.none);
    let before: Outcome[] = [{ states: bodies.map((_, i) => (i === b ? state : this.states.none)), cost: 0 }];
    for (const part of parts) {
      others -= this.leastOf(part);
      const known = this.outcomes(at, part, mostBefore - others - least(before));
      if (known.kept.length === 0) return;
      const within = known.bodies.map((inner) => bodies.findIndex((outer) => (outer.joints & inner.joints) !== 0));
      const next: Outcome[] = [];
      for (const a of before) {
        for (const { states, cost } of known.kept) {
          if (this.isTooMuch(a.cost + cost, mostBefore)) break;
          next.push({ states: this.withAll(a.states, states, within), cost: a.cost + cost });
        }
      }
      before = undominated(next);
    }
    for (let f = 0; f < flames.length; f++) {
      const heating = open & (1 << f) ? this.flameOn(bodies[b]!.parts, joints, f) : null;
      if (!heating) continue;
      for (const { states, cost: soFar } of before) {
        if (this.isTooMuch(soFar + heating.cost, most)) break;
        const body = states[b]!;
        const cost = soFar + heating.cost + body.moved[f]!;
        if (!heating.isOpenTo(body) || this.isTooMuch(cost, most)) continue;
        const ends = this.heated(heating, body);
        const key = states.length === 1 ? ends.id : states.map(({ id }, i) => (i === b ? ends.id : id)).join();
        const known = found.get(key);
        if (!known || cost < known.cost) found.set(key, { states: states.with(b, ends), cost });
      }
    }
  }

  /** States with others added, each to that of the body it becomes part of. */
  private withAll(states: readonly BodyState[], more: readonly BodyState[], within: readonly number[]): readonly BodyState[] {
    const sum = [...states];
    more.forEach((state, i) => (sum[within[i]!] = this.states.sum(sum[within[i]!]!, state)));
    return sum;
  }
}

/** What a set of joints can end as; anything else costs at least `next`. */
interface Known {
  /** The cheapest first. */
  readonly kept: readonly Outcome[];
  readonly next: Cost;
  /** The bodies that the set's joints become. */
  readonly bodies: readonly Joined[];
}

const NOTHING: Known = { kept: [], next: NEVER, bodies: [] };

const ONE_HEAT = pack({ runs: 0, softens: 0, atRisk: 0, heats: 1, ranks: 0 });

/** Thrown by a search that was told that its time is over. */
export class OutOfTime extends Error {}

interface Body {
  readonly parts: number;
  /** Whether a heat has joined it; a part that none has is like every other. */
  readonly heated: boolean;
  readonly state: BodyState;
}

export interface State {
  /** Joints not made yet. */
  readonly left: number;
  readonly bodies: readonly Body[];
}

export interface NextHeat {
  readonly joints: readonly number[];
  readonly flame: number;
  readonly cost: Cost;
  /** What it makes of the body it is on. */
  readonly body: BodyState;
  readonly leaves: State;
}

/** A state from which sets of its joints are solved, and those that were. */
interface Setting {
  readonly bodies: readonly Body[];
  readonly links: readonly number[];
  readonly solved: Map<number, Known>;
}

/** A body that joints make of others. */
interface Joined {
  readonly joints: number;
  readonly parts: number;
  readonly from: readonly Body[];
}

/** A heat on a body: what it costs whatever became of the body before, and the weight of the joints that it makes and nothing shields. */
interface Heating {
  readonly flame: number;
  readonly cost: Cost;
  readonly weight: number;
  readonly isOpenTo: (state: BodyState) => boolean;
}

/** The states of the bodies that a set's joints become, in their order. */
interface Outcome {
  readonly states: readonly BodyState[];
  readonly cost: Cost;
}

/** Every joint that must come before each, by way of others too. */
function closed(before: readonly number[]): number[] {
  const all = [...before];
  for (let grew = true; grew;) {
    grew = false;
    for (let i = 0; i < all.length; i++) {
      const more = all[i]! | unionOver(all[i]!, (j) => all[j]!);
      grew ||= more !== all[i]!;
      all[i] = more;
    }
  }
  return all;
}

/** The least cost of some, which stand by their costs. */
function least([first]: readonly Outcome[]): Cost {
  return first?.cost ?? NEVER;
}

function touches(problem: Problem, joints: number, body: Body): boolean {
  return !every(joints, (i) => (problem.ties[i]! & body.parts) === 0);
}

/** The outcomes that no cheaper or equal one matches in every body, the cheapest first. All have the same bodies, in the same order. */
function undominated(outcomes: Outcome[]): Outcome[] {
  const kept: Outcome[] = [];
  for (const outcome of outcomes.sort((a, b) => a.cost - b.cost)) {
    if (!kept.some((other) => other.states.every((state, i) => atLeastAsGood(state, outcome.states[i]!)))) kept.push(outcome);
  }
  return kept;
}

function inOrder(a: readonly number[], b: readonly number[]): number {
  for (let i = 0; i < Math.min(a.length, b.length); i++) if (a[i] !== b[i]) return a[i]! - b[i]!;
  return a.length - b.length;
}
