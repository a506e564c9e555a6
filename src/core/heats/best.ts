import { type Assembly } from "./assembly";
import { type Cost, NEVER } from "./cost";
import { type HeatWishes, type Pin, type Problem, problemsOf } from "./problem";
import { type NextHeat, Search } from "./search";

/** One heat of a plan: the joints it makes, by id, and what it is made with. */
export interface ChosenHeat {
  readonly joints: readonly string[];
  readonly grade: string;
  readonly working: number;
}

/** A wish that a plan cannot keep together with the others: a pin, by its number, or the way of grading. */
export type Conflict = { readonly pin: number } | { readonly way: true };

export type BestHeats =
  | { readonly status: "best"; readonly heats: readonly ChosenHeat[]; readonly cost: Cost }
  | { readonly status: "impossible"; readonly conflicts: readonly Conflict[] };

/**
 * The best order of heats: least in runs, softenings, parts at risk, heats and ranks, in that order; among equals heat
 * by heat the harder grade, then the lower joints. Or the smallest set of wishes that cannot be kept together.
 */
export function bestHeats(assembly: Assembly, wishes: HeatWishes): BestHeats {
  const found = cheapest(problemsOf(assembly, wishes));
  if (!found) return { status: "impossible", conflicts: smallestConflict(assembly, wishes) };
  const heats = firstInOrder(found.search).map(({ joints, flame }) => ({
    joints: joints.map((i) => assembly.joints[i]!.id),
    grade: found.problem.flames[flame]!.id,
    working: found.problem.flames[flame]!.working,
  }));
  return { status: "best", heats, cost: found.cost };
}

interface Solved {
  readonly problem: Problem;
  readonly search: Search;
  readonly cost: Cost;
}

/** The problem with the least cost; of equals the first. Null if none can be made. */
function cheapest(problems: readonly Problem[]): Solved | null {
  let best: Solved | null = null;
  for (const problem of problems) {
    const search = new Search(problem);
    const cost = search.leastCost(search.start());
    if (cost < (best?.cost ?? NEVER)) best = { problem, search, cost };
  }
  return best;
}

/** Of all plans of least cost the first in order: at each heat the first that still leads to that cost. */
function firstInOrder(search: Search): NextHeat[] {
  const heats: NextHeat[] = [];
  let state = search.start();
  while (state.left) {
    const wanted = search.leastCost(state);
    const next = search.nextHeats(state).find((heat) => heat.cost + search.leastCost(heat.leaves) === wanted);
    if (!next) throw new Error("no heat leads to the least cost");
    heats.push(next);
    state = next.leaves;
  }
  return heats;
}

/**
 * The smallest set of wishes under which nothing can be planned, the first in order among equals; empty where even
 * without a wish a part would melt.
 */
function smallestConflict(assembly: Assembly, wishes: HeatWishes): Conflict[] {
  const all: Conflict[] = [...(wishes.way === "free" ? [] : [{ way: true } as const]), ...wishes.pins.map((_, pin) => ({ pin }))];
  const fails = (kept: readonly Conflict[]) => {
    const pins = kept.flatMap((each): Pin[] => ("pin" in each ? [wishes.pins[each.pin]!] : []));
    const way = kept.some((each) => "way" in each) ? wishes.way : "free";
    return cheapest(problemsOf(assembly, { ...wishes, way, pins })) === null;
  };
  for (let count = 0; count < all.length; count++) {
    for (const kept of choices(all, count)) if (fails(kept)) return kept;
  }
  return all;
}

/** All ways to choose `count` of a list, in order. */
function* choices<T>(list: readonly T[], count: number): Generator<T[]> {
  if (count === 0) yield [];
  else for (let i = 0; i + count <= list.length; i++) for (const rest of choices(list.slice(i + 1), count - 1)) yield [list[i]!, ...rest];
}
