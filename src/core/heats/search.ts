import { type Cost, NEVER, pack } from "./cost";
import { type Problem } from "./problem";
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
  private readonly memo = new Map<string, { readonly most: Cost; readonly kept: readonly Outcome[] }>();
  private readonly later: readonly number[];
  private readonly tied: readonly number[];
  private readonly melts: readonly number[];
  private readonly risks: readonly number[];

  private readonly least: readonly Cost[];
  private readonly states: BodyStates;

  /**
   * @param limit the cost of a plan that can be made; what must cost more is not followed.
   * @param isOver asked now and again; once it is so, the search throws `OutOfTime`.
   */
  constructor(
    private readonly problem: Problem,
    private readonly limit: Cost,
    private readonly isOver: () => boolean,
  ) {
    const { flames, metals, before, together, allowed } = problem;
    this.least = allowed.map((mask) => {
      const ranks = Math.min(...flames.flatMap(({ rank }, f) => (mask & (1 << f) ? [rank] : [])));
      return pack({ runs: 0, softens: 0, atRisk: 0, heats: 0, ranks });
    });
    this.later = before.map((_, i) => maskOf(before.length, (j) => (before[j]! & (1 << i)) !== 0));
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

  /** Least cost of the joints left; NEVER if they cannot be made for so much. */
  leastCost(state: State, most: Cost = this.limit): Cost {
    const links = this.links(state, state.left);
    let total: Cost = 0;
    for (const set of sets(state.left, (i) => links[i]! | this.tied[i]!)) {
      const others = this.leastOf(state.left & ~set);
      total += Math.min(NEVER, ...this.outcomes(state, set, links, most - others).map((outcome) => outcome.cost));
    }
    return total;
  }

  /** The heats that could come next, each with its cost and what it leaves; in the plan's order of ties. */
  nextHeats(state: State): NextHeat[] {
    const { before, together, apart, allowed, flames } = this.problem;
    const ready = filterMask(state.left, (i) => (before[i]! & state.left) === 0);
    const links = this.links(state, ready);
    const heats: NextHeat[] = [];
    for (const body of sets(ready, (i) => links[i]!)) {
      for (const joints of subsets(body)) {
        if (!every(joints, (i) => (together[i]! & ~joints) === 0 && (apart[i]! & joints) === 0)) continue;
        if (sets(joints, (i) => links[i]!).length !== 1) continue;
        const open = ~unionOver(joints, (i) => ~allowed[i]!);
        const touched = state.bodies.filter((each) => touches(this.problem, joints, each));
        const merged = touched.reduce((a, b) => this.join(a, b));
        for (let f = 0; f < flames.length; f++) {
          const made = open & (1 << f) ? this.heat(merged, joints, f) : null;
          if (!made) continue;
          const bodies = [
            ...state.bodies.filter((each) => !touched.includes(each)),
            { parts: merged.parts, heated: true, state: made.state },
          ];
          heats.push({ joints: members(joints), flame: f, cost: made.cost, leaves: { left: state.left & ~joints, bodies } });
        }
      }
    }
    return heats.sort((a, b) => a.flame - b.flame || inOrder(a.joints, b.joints));
  }

  /** Cost and resulting state of making `joints` on a body with one flame; null where a part would melt or the heat would step up. */
  private heat(body: Body, joints: number, f: number): { cost: Cost; state: BodyState } | null {
    const { flames, ties, shielded, weights, stepping } = this.problem;
    const flame = flames[f]!;
    if (stepping && flame.working > body.state.coolest) return null;
    const exempt = flame.fuses ? unionOver(joints, (i) => ties[i]!) : 0;
    const exposed = body.parts & ~exempt;
    if (exposed & this.melts[f]!) return null;
    const count = size(joints);
    const cost = pack({
      runs: body.state.runs[f]!,
      softens: body.state.softens[f]!,
      atRisk: size(exposed & this.risks[f]!),
      heats: 1,
      ranks: flame.rank * count,
    });
    const open = sumOver(joints & ~shielded, (i) => weights[i]!);
    return {
      cost,
      state: this.states.heatedBy(f, open, body.state, stepping ? flame.working : Infinity),
    };
  }

  /** What making these joints costs at the very least, whatever the heats. */
  leastOf(joints: number): Cost {
    return joints ? ONE_HEAT + sumOver(joints, (i) => this.least[i]!) : 0;
  }

  private join(a: Body, b: Body): Body {
    return { parts: a.parts | b.parts, heated: a.heated || b.heated, state: this.states.sum(a.state, b.state) };
  }

  /** Bodies whose joints lie in `reached` as one, since the heat that follows joins them all. */
  private mergeWithin(reached: number, bodies: Outcome["bodies"]): Outcome["bodies"] {
    const inside = bodies.filter((body) => body.joints & reached);
    if (inside.length < 2) return bodies;
    const one = inside.reduce((a, b) => ({ joints: a.joints | b.joints, ...this.join(a, b) }));
    return [...bodies.filter((body) => !(body.joints & reached)), one];
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

  /** Every state that making the joints of `set` can end with for `most` or less, at its least cost; remembered for the most that was asked. */
  private outcomes(state: State, set: number, links: readonly number[], most: Cost): readonly Outcome[] {
    const touched = state.bodies.filter((body) => touches(this.problem, set, body));
    const key = `${set}|${touched.map((body) => (body.heated ? `${body.parts}:${body.state.id}` : "")).join(";")}`;
    const known = this.memo.get(key);
    if (known && known.most >= most) return known.kept;
    if (this.isOver()) throw new OutOfTime();
    const found = new Map<string, Outcome>();
    for (const reached of sets(set, (i) => links[i]!)) {
      const last = filterMask(reached, (i) => (this.later[i]! & set) === 0);
      for (const joints of subsets(last)) this.lastHeat(state, set, reached, joints, links, touched, most, found);
    }
    const kept = undominated([...found.values()]);
    this.memo.set(key, { most, kept });
    return kept;
  }

  /** Adds to `found` what `set` can end as when `joints`, all of the body that the joints `reached` become, are its last heat. */
  private lastHeat(
    state: State,
    set: number,
    reached: number,
    joints: number,
    links: readonly number[],
    touched: readonly Body[],
    most: Cost,
    found: Map<string, Outcome>,
  ): void {
    const { together, apart, allowed, ties, flames } = this.problem;
    if (!every(joints, (i) => (together[i]! & ~joints) === 0 && (apart[i]! & joints) === 0)) return;
    const open = ~unionOver(joints, (i) => ~allowed[i]!);
    if (open === 0) return;
    const rest = set & ~joints;
    const mostBefore = most - this.leastOf(joints);
    const restParts = unionOver(rest, (i) => ties[i]!);
    const lone = touched.filter((body) => !(body.parts & restParts) && touches(this.problem, joints, body));
    let before: Outcome[] = [{ bodies: lone.map((body) => ({ joints, ...body })), cost: 0 }];
    for (const part of sets(rest, (i) => (links[i]! | this.tied[i]!) & rest)) {
      const outcomes = this.outcomes(state, part, links, mostBefore - this.leastOf(rest & ~part));
      before = undominated(
        before
          .flatMap((a) => outcomes.map((b) => ({ bodies: this.mergeWithin(reached, [...a.bodies, ...b.bodies]), cost: a.cost + b.cost })))
          .filter(({ cost }) => cost <= mostBefore),
      );
    }
    for (const { bodies, cost } of before) {
      const here = bodies.filter((body) => body.joints & reached);
      const others = bodies.filter((body) => !(body.joints & reached));
      const body = here.map((each): Body => each).reduce((a, b) => this.join(a, b));
      for (let f = 0; f < flames.length; f++) {
        const made = open & (1 << f) ? this.heat(body, joints, f) : null;
        if (!made || cost + made.cost > most) continue;
        const outcome = {
          bodies: [...others, { joints: reached, parts: body.parts, heated: true, state: made.state }].sort((a, b) => a.joints - b.joints),
          cost: cost + made.cost,
        };
        const key = outcome.bodies.map((each) => `${each.joints}:${each.state.id}`).join(";");
        const known = found.get(key);
        if (!known || outcome.cost < known.cost) found.set(key, outcome);
      }
    }
  }
}

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
  readonly leaves: State;
}

interface Outcome {
  readonly bodies: readonly (Body & { readonly joints: number })[];
  readonly cost: Cost;
}

function touches(problem: Problem, joints: number, body: Body): boolean {
  return !every(joints, (i) => (problem.ties[i]! & body.parts) === 0);
}

/** The outcomes that no cheaper or equal one matches in every body. All have the same bodies, in the same order. */
function undominated(outcomes: Outcome[]): Outcome[] {
  const kept: Outcome[] = [];
  for (const outcome of outcomes.sort((a, b) => a.cost - b.cost)) {
    if (!kept.some((other) => other.bodies.every((body, i) => atLeastAsGood(body.state, outcome.bodies[i]!.state)))) kept.push(outcome);
  }
  return kept;
}

function inOrder(a: readonly number[], b: readonly number[]): number {
  for (let i = 0; i < Math.min(a.length, b.length); i++) if (a[i] !== b[i]) return a[i]! - b[i]!;
  return a.length - b.length;
}

function maskOf(count: number, has: (i: number) => boolean): number {
  let mask = 0;
  for (let i = 0; i < count; i++) if (has(i)) mask |= 1 << i;
  return mask;
}

function members(mask: number): number[] {
  const list: number[] = [];
  for (let rest = mask; rest; rest &= rest - 1) list.push(lowest(rest));
  return list;
}

function size(mask: number): number {
  let n = 0;
  for (let rest = mask; rest; rest &= rest - 1) n++;
  return n;
}

function every(mask: number, holds: (i: number) => boolean): boolean {
  for (let rest = mask; rest; rest &= rest - 1) if (!holds(lowest(rest))) return false;
  return true;
}

function filterMask(mask: number, holds: (i: number) => boolean): number {
  let kept = 0;
  for (let rest = mask; rest; rest &= rest - 1) if (holds(lowest(rest))) kept |= rest & -rest;
  return kept;
}

/** The sum of what each member adds. */
function sumOver(mask: number, of: (i: number) => number): number {
  let sum = 0;
  for (let rest = mask; rest; rest &= rest - 1) sum += of(lowest(rest));
  return sum;
}

function unionOver(mask: number, of: (i: number) => number): number {
  let union = 0;
  for (let rest = mask; rest; rest &= rest - 1) union |= of(lowest(rest));
  return union;
}

/** The number of the lowest member of a set that has one. */
function lowest(mask: number): number {
  return 31 - Math.clz32(mask & -mask);
}

/** The subsets of a set, but for the empty one. */
function* subsets(mask: number): Generator<number> {
  for (let sub = mask; sub; sub = (sub - 1) & mask) yield sub;
}

/** The parts that a set falls into when each member is linked to those of `links`. */
function sets(mask: number, links: (i: number) => number): number[] {
  const found: number[] = [];
  for (let rest = mask; rest;) {
    let reached = rest & -rest;
    for (let edge = reached; edge;) {
      const next = unionOver(edge, links) & mask & ~reached;
      reached |= next;
      edge = next;
    }
    found.push(reached);
    rest &= ~reached;
  }
  return found;
}
