import { type Assembly } from "../joint/joint";
import { isSame } from "../measure/same";
import { type Cost, NEVER, pack, unpack } from "./cost";
import { atLeastAsGood } from "./body-state";
import { bestFound, lowerBound } from "./large";
import { type PinEntry } from "./pins";
import { type HeatWishes, type HeatTask, inBits, tasksOf } from "./problem";
import { type NextHeat, OutOfTime, Search, type State } from "./search";

/** With solder, or by the metal itself. */
export type Means = "solder" | "fuse";

/** One heat of a plan: the joints it makes, by id, and what it is made with. */
export interface ChosenHeat {
  readonly joints: readonly string[];
  readonly means: Means;
  /** The shelf's, where it is soldered. */
  readonly grade: string;
  readonly working: number;
}

/** A wish that a plan cannot keep together with the others: a pin, by its number, or the way of grading. */
export type Conflict = { readonly pin: number } | { readonly way: true };

export type BestHeats =
  | { readonly status: "best"; readonly heats: readonly ChosenHeat[]; readonly cost: Cost }
  | { readonly status: "unproven"; readonly heats: readonly ChosenHeat[]; readonly cost: Cost; readonly bound: Cost }
  | { readonly status: "impossible"; readonly conflicts: readonly Conflict[] };

/** How the heats of a piece are come by. */
export type HeatsOf = (assembly: Assembly, wishes: HeatWishes) => BestHeats;

/** Up to so many joints the plan is proven the best. */
const MOST_PROVEN = 20;

/**
 * The best order of heats, up to 20 joints: least in weight of runs and softenings, parts at risk, heats and ranks, in that order; among equals
 * heat by heat the harder grade, then the lower joints. Beyond, or once `isOver` says so, the best
 * found, with a cost that no plan can beat; it may be none. Or the smallest set of wishes that are proven to clash.
 */
export function bestHeats(assembly: Assembly, wishes: HeatWishes, isOver: () => boolean = () => false): BestHeats {
  const tasks = tasksOf(assembly, wishes);
  if (tasks.every(cannotBe)) return { status: "impossible", conflicts: smallestConflict(wishes, atSight(assembly, wishes), isOver) };
  if (assembly.joints.length > MOST_PROVEN) return foundForMany(assembly, wishes, tasks, isOver);
  try {
    const found = cheapest(tasks, isOver);
    if (!found) return { status: "impossible", conflicts: smallestConflict(wishes, bySearch(assembly, wishes, isOver), isOver) };
    return { status: "best", heats: named(assembly, found.task, firstInOrder(found)), cost: found.cost };
  } catch (error) {
    if (!(error instanceof OutOfTime)) throw error;
    return foundForMany(assembly, wishes, tasks, isOver);
  }
}

/** The best found of each task's; proven all the same where it costs no more than the bound. */
function foundForMany(assembly: Assembly, wishes: HeatWishes, tasks: readonly HeatTask[], isOver: () => boolean): BestHeats {
  const solved = tasks.flatMap((task) => {
    const found = bestFound(task, isOver);
    return found ? [{ task, found }] : [];
  });
  const least = solved.reduce<(typeof solved)[number] | null>(
    (best, each) => (best && best.found.cost <= each.found.cost ? best : each),
    null,
  );
  const open = tasks.filter((task) => !cannotBe(task));
  const bound = Math.min(...open.map(lowerBound));
  if (!least) return { status: "unproven", heats: [], cost: NEVER, bound };
  const heats = named(assembly, least.task, least.found.heats);
  const { cost } = least.found;
  return cost === bound ? { status: "best", heats, cost } : { status: "unproven", heats, cost, bound };
}

/**
 * Whether a task is proven impossible at sight: a joint that nothing may make, an order that runs in a circle, or joints of one heat that cannot be
 * held together or never be one body.
 */
function cannotBe(task: HeatTask): boolean {
  const { allowed, before, together, apart } = task;
  return (
    allowed.includes(0) ||
    together.some(
      (group) => group.reduce((mask, i) => mask & allowed[i]!, -1) === 0 || group.some((i) => group.some((j) => apart[i]!.includes(j))),
    ) ||
    hasCircle(before, together) ||
    together.some((group, i) => group[0] === i && group.length > 1 && !canMeet(task, group))
  );
}

/** Whether joints that share a heat can end it as one body: tied by themselves and by all that need not wait for one of them. */
function canMeet({ ties, before, together }: HeatTask, group: readonly number[]): boolean {
  const late = new Set(group);
  for (let grew = true; grew;) {
    grew = false;
    before.forEach((earlier, i) => {
      if (late.has(i) || !(earlier.some((j) => late.has(j)) || together[i]!.some((j) => late.has(j)))) return;
      late.add(i);
      grew = true;
    });
  }
  const usable = ties.flatMap((parts, i) => (late.has(i) && !group.includes(i) ? [] : [parts]));
  const reached = new Set(ties[group[0]!]);
  for (let grew = true; grew;) {
    grew = false;
    for (const parts of usable) {
      if (!parts.some((part) => reached.has(part)) || parts.every((part) => reached.has(part))) continue;
      parts.forEach((part) => reached.add(part));
      grew = true;
    }
  }
  return group.every((i) => ties[i]!.every((part) => reached.has(part)));
}

/** Joints that share a heat count as one; what must come before any of them must come before all. */
function hasCircle(before: HeatTask["before"], together: HeatTask["together"]): boolean {
  const group = together.map((members) => Math.min(...members));
  const left = new Set(group);
  const waits = (g: number) => before.some((earlier, i) => group[i] === g && earlier.some((j) => left.has(group[j]!)));
  for (let isSmaller = true; isSmaller;) {
    const ready = [...left].filter((g) => !waits(g));
    ready.forEach((g) => left.delete(g));
    isSmaller = ready.length > 0;
  }
  return left.size > 0;
}

/** Whether wishes clash at sight. */
function atSight(assembly: Assembly, wishes: HeatWishes): (kept: readonly Conflict[]) => boolean {
  return (kept) => tasksOf(assembly, only(wishes, kept)).every(cannotBe);
}

/** Whether it is proven that wishes clash. */
function bySearch(assembly: Assembly, wishes: HeatWishes, isOver: () => boolean): (kept: readonly Conflict[]) => boolean {
  return (kept) => {
    const tasks = tasksOf(assembly, only(wishes, kept));
    if (tasks.every(cannotBe)) return true;
    try {
      return cheapest(tasks, isOver) === null;
    } catch (error) {
      if (!(error instanceof OutOfTime)) throw error;
      return false;
    }
  };
}

/** A list with everything taken out that it still holds without. */
function withoutNeedless<T>(all: readonly T[], holds: (kept: readonly T[]) => boolean): T[] {
  return all.reduce<T[]>(
    (kept, each) => {
      const rest = kept.filter((other) => other !== each);
      return holds(rest) ? rest : kept;
    },
    [...all],
  );
}

function named(
  assembly: Assembly,
  { flames }: HeatTask,
  heats: readonly { readonly joints: readonly number[]; readonly flame: number }[],
): ChosenHeat[] {
  return heats.map(({ joints, flame }) => ({
    joints: joints.map((i) => assembly.joints[i]!.id),
    means: flames[flame]!.fuses === null ? "solder" : "fuse",
    grade: flames[flame]!.id,
    working: flames[flame]!.working,
  }));
}

interface Asked {
  readonly task: HeatTask;
  readonly search: Search;
}

type Solved = Asked & { readonly cost: Cost };

/**
 * The task with the least cost; of equals the first. Null if none can be made. A low limit prunes more of the search: each is the least that a plan
 * can cost after the one before, with some room, and with more of it where that made little more work.
 */
function cheapest(tasks: readonly HeatTask[], isOver: () => boolean): Solved | null {
  const asked = tasks.filter((task) => !cannotBe(task)).map((task): Asked => ({ task, search: new Search(inBits(task), isOver) }));
  let limit = Math.min(...asked.map(({ task }) => lowerBound(task)));
  for (let room = 0; limit < NEVER;) {
    const before = solvedOf(asked);
    const { best, next } = cheapestWithin(withRoom(limit, room), asked);
    if (best) return best;
    if (solvedOf(asked) < 3 * before) room++;
    limit = next;
  }
  return null;
}

/** How many sets of joints were solved so far. */
function solvedOf(asked: readonly Asked[]): number {
  return asked.reduce((sum, { search }) => sum + search.solved, 0);
}

/** A limit with room for any ranks, then for one heat more, then for any heats, then for twice the joints that run. */
function withRoom(limit: Cost, room: number): Cost {
  const { runs, softens, atRisk, heats } = unpack(limit);
  if (room < 2) return pack({ runs, softens, atRisk, heats: heats + room + 1, ranks: 0 }) - 1;
  return pack({ runs: room < 3 ? runs + 1 : 2 * runs + 1, softens: 0, atRisk: 0, heats: 0, ranks: 0 }) - 1;
}

/** `next` is what a plan costs at least where there is none within the limit; NEVER if none can be made. */
function cheapestWithin(limit: Cost, asked: readonly Asked[]): { readonly best: Solved | null; readonly next: Cost } {
  let best: Solved | null = null;
  let least = NEVER;
  for (const { task, search } of asked) {
    const { cost, next } = search.leastCost(search.start(), best?.cost ?? limit);
    if (cost < (best?.cost ?? NEVER)) best = { task, search, cost };
    least = Math.min(least, next);
  }
  return { best, next: least };
}

/** Of all plans of least cost the first in order: at each heat the first that still leads to that cost. */
function firstInOrder({ search, cost }: Solved): NextHeat[] {
  const heats: NextHeat[] = [];
  let state = search.start();
  let wanted = cost;
  while (state.left) {
    const next = firstLeadingTo(wanted, search, state);
    heats.push(next);
    state = next.leaves;
    wanted -= next.cost;
  }
  return heats;
}

/** The first heat after which all joints left are made for what is wanted in all. What cannot cost so little is left out at once. */
function firstLeadingTo(wanted: Cost, search: Search, state: State): NextHeat {
  const tried: { readonly heat: NextHeat; readonly left: Cost }[] = [];
  for (const heat of search.nextHeats(state)) {
    const most = wanted - heat.cost;
    const isKnown = tried.some(
      ({ heat: { joints, body }, left }) => left > most && isSame(joints, heat.joints) && atLeastAsGood(body, heat.body),
    );
    if (isKnown || search.leastOf(heat.leaves.left) > most) continue;
    const { cost, next } = search.leastCost(heat.leaves, most);
    if (cost === most) return heat;
    tried.push({ heat, left: Math.min(cost, next) });
  }
  throw new Error("no heat leads to the least cost");
}

/** Sets of wishes that are tried before a set from which none can be taken is named instead of the smallest. */
const MOST_TRIED = 400;

/**
 * The smallest set of wishes under which nothing can be planned, the first in order among equals; empty where even
 * without a wish a part would melt. Where there are too many to try them all, or time is over, a set from which none
 * can be taken.
 */
function smallestConflict(wishes: HeatWishes, fails: (kept: readonly Conflict[]) => boolean, isOver: () => boolean): Conflict[] {
  const all = allWishes(wishes);
  let left = MOST_TRIED;
  const core = withoutNeedless(all, fails);
  for (let count = 0; count < core.length; count++) {
    for (const kept of choices(all, count)) {
      if (left-- <= 0 || isOver()) return core;
      if (fails(kept)) return kept;
    }
  }
  return core;
}

function allWishes({ way, pins }: HeatWishes): Conflict[] {
  return [...(way === "free" ? [] : [{ way: true } as const]), ...pins.map((_, pin) => ({ pin }))];
}

/** The wishes with only these kept. */
function only(wishes: HeatWishes, kept: readonly Conflict[]): HeatWishes {
  const pins = kept.flatMap((each): PinEntry[] => ("pin" in each ? [wishes.pins[each.pin]!] : []));
  return { ...wishes, way: kept.some((each) => "way" in each) ? wishes.way : "free", pins };
}

/** All ways to choose `count` of a list, in order. */
function* choices<T>(list: readonly T[], count: number): Generator<T[]> {
  if (count === 0) yield [];
  else for (let i = 0; i + count <= list.length; i++) for (const rest of choices(list.slice(i + 1), count - 1)) yield [list[i]!, ...rest];
}
