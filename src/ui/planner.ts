import { useEffect, useState, useSyncExternalStore } from "react";
import { bestHeats, type HeatsOf } from "@/core/heats/best";
import { RememberedHeats } from "@/core/heats/remember";
import { type OwnMinutes, withOwnMinutes } from "@/core/making/own-minutes";
import { type StepCode } from "@/core/making/step";
import { type BenchEntry, benchOf } from "@/core/piece/bench";
import { type Fault, fault } from "@/core/piece/fault";
import { type Readings } from "@/core/piece/measured";
import { type Piece } from "@/core/piece/piece";
import { type Plan } from "@/core/piece/plan";
import { type Attempt, attemptPlan } from "@/formats/attempt";
import { heatsClient } from "@/workers/heats/client";
import { type HeatsAsk } from "@/workers/heats/protocol";
import { planWorkerClient } from "@/workers/plan/client";
import { type PlanJob } from "@/workers/plan/protocol";
import { FrameQueue } from "./frame-queue";

// The one place where a piece becomes a plan, for every screen: on the page, or beside it where that takes longer than a frame or two.

/** A traced outline of more points than this is planned in a worker. */
const MANY_POINTS = 200;
/** A plan in a worker that is not there by then is given up (ms). */
const LONGEST = 10_000;
/** Up to so many joints the best heats are found within a frame. */
const MOST_AT_ONCE = 7;

/** What was read of a piece that is not in a making. */
const NOTHING_READ: Readings = [];

/** What is known of a piece on a bench. */
interface Known {
  readonly bench: BenchEntry;
  readonly measured: Readings;
  /** null while a worker computes it. */
  readonly attempt: Attempt | null;
  /** A search that may find it better heats. */
  readonly search: HeatsAsk | null;
}

const known = new WeakMap<Piece, Known>();
const heatsMemory = new RememberedHeats();
const listeners = new Set<() => void>();
let plans: Plans = { now: planNow, soon: planSoon, isSettling };

function tell(): void {
  plans = { ...plans };
  listeners.forEach((hear) => hear());
}

function hearAnswers(hear: () => void): () => void {
  listeners.add(hear);
  return () => listeners.delete(hear);
}

/**
 * The plan of a piece on its own bench, else the maker's, or the faults that prevent one. Cached until the piece or the bench changes; null while a
 * worker is planning a heavy piece.
 */
type PlanOf = (piece: Piece, mine: BenchEntry) => Attempt | null;

interface Plans {
  readonly now: PlanOf;
  /** Of one piece among many that come into view: null as well until it is its turn, a few to a frame. */
  readonly soon: PlanOf;
  /** Whether the heats that are shown of it are not known to be its best: they are being searched for. */
  readonly isSettling: (piece: Piece, mine: BenchEntry) => boolean;
}

/** All plans so far. The object is replaced when a plan arrives, so that subscribers re-render. */
export function usePlans(): Plans {
  return useSyncExternalStore(
    hearAnswers,
    () => plans,
    () => plans,
  );
}

function planNow(piece: Piece, mine: BenchEntry): Attempt | null {
  return inMyTime(knownOf(piece, mine).attempt, ownMinutes);
}

/** Minutes that the maker's own makes have shown, by kind of step. */
let ownMinutes: ReadonlyMap<StepCode, OwnMinutes> = new Map();
const timed = new WeakMap<Attempt, { readonly own: typeof ownMinutes; readonly attempt: Attempt }>();

/** Sets the minutes by which every plan goes from now on. */
export function setOwnMinutes(own: typeof ownMinutes): void {
  if (JSON.stringify([...own]) === JSON.stringify([...ownMinutes])) return;
  ownMinutes = own;
  tell();
}

/** A plan with the maker's own minutes: only the times of its tasks are others. */
function inMyTime<A extends Attempt | null>(attempt: A, own: typeof ownMinutes): A | Attempt {
  if (!attempt?.ok || !attempt.plan.tasks || own.size === 0) return attempt;
  const before = timed.get(attempt);
  if (before?.own === own) return before.attempt;
  const { plan } = attempt;
  const now: Attempt = { ok: true, plan: { ...plan, tasks: withOwnMinutes(attempt.plan.tasks, plan.steps, own) } };
  timed.set(attempt, { own, attempt: now });
  return now;
}

function planSoon(piece: Piece, mine: BenchEntry): Attempt | null {
  const bench = benchOf(piece, mine);
  const before = known.get(piece);
  if (before?.bench === bench) {
    if (before.search) searchLater({ piece, bench, measured: before.measured });
    return inMyTime(before.attempt, ownMinutes);
  }
  soon.ask(piece, { piece, bench, measured: NOTHING_READ });
  return null;
}

function isSettling(piece: Piece, mine: BenchEntry): boolean {
  const before = known.get(piece);
  return before?.bench === benchOf(piece, mine) && before.search !== null;
}

/** Pieces among many whose best heats are still to be searched for, the last asked for last; no more than these are waited for. */
const toSearch = new Map<Piece, PlanJob>();
const MOST_TO_SEARCH = 60;
let isSearching = false;

function searchLater(ask: PlanJob): void {
  toSearch.delete(ask.piece);
  toSearch.set(ask.piece, ask);
  if (toSearch.size > MOST_TO_SEARCH) toSearch.delete(toSearch.keys().next().value!);
  void searchAll();
}

/** One after the other in a worker, what was asked for last first. What fails is asked for again when it is next drawn. */
async function searchAll(): Promise<void> {
  if (isSearching) return;
  isSearching = true;
  const client = heatsClient();
  try {
    for (let ask = [...toSearch.values()].at(-1); ask; ask = [...toSearch.values()].at(-1)) {
      toSearch.delete(ask.piece);
      const again = planHere(ask);
      const best = again.search && (await client.ask(again.search));
      if (again.search && best) heatsMemory.keep(again.search.assembly, again.search.wishes, best);
      const last = known.get(ask.piece);
      if (last?.bench !== ask.bench || last.measured !== ask.measured) continue;
      known.set(ask.piece, best ? planHere(ask) : again);
      tell();
    }
  } finally {
    isSearching = false;
    client.end();
  }
}

const soon = new FrameQueue<Piece, PlanJob>(({ piece, bench }) => void knownOf(piece, bench), tell);

function knownOf(piece: Piece, mine: BenchEntry, measured: Readings = NOTHING_READ): Known {
  const bench = benchOf(piece, mine);
  const before = known.get(piece);
  if (before?.bench === bench && before.measured === measured) return before;
  const ask = { piece, bench, measured };
  const now = isHeavy(piece) ? { ...ask, attempt: null, search: null } : planHere(ask);
  known.set(piece, now);
  if (now.attempt === null) {
    waiting.push(ask);
    void workOff();
  }
  return now;
}

function isHeavy({ mounts }: Piece): boolean {
  return mounts.some(({ stone: { outline } }) => outline.shape === "free" && outline.points.length > MANY_POINTS);
}

/** Takes heats from the cache; with few joints searches them at once; otherwise uses the last or the quickest order until the worker has searched. */
function planHere({ piece, bench, measured }: PlanJob): Known {
  let search: HeatsAsk | null = null;
  const heatsOf: HeatsOf = (assembly, wishes) => {
    const found = heatsMemory.find(assembly, wishes);
    if (found) return found;
    if (assembly.joints.length <= MOST_AT_ONCE) return heatsMemory.keep(assembly, wishes, bestHeats(assembly, wishes));
    search ??= { assembly, wishes };
    return heatsMemory.lastFor(assembly) ?? bestHeats(assembly, wishes, () => true);
  };
  return { bench, measured, attempt: attemptPlan(piece, bench, heatsOf, measured), search };
}

const waiting: PlanJob[] = [];
let working: PlanJob | null = null;
let beside: ReturnType<typeof planWorkerClient> | null = null;

/** One heavy piece after the other, the first that waits first. */
async function workOff(): Promise<void> {
  if (working) return;
  beside ??= planWorkerClient();
  for (let ask = waiting[0]; ask; ask = waiting[0]) {
    working = ask;
    const attempt = await askPlanWorker(beside, ask);
    if (attempt) {
      waiting.splice(waiting.indexOf(ask), 1);
      const last = known.get(ask.piece);
      if (last?.bench === ask.bench && last.measured === ask.measured) known.set(ask.piece, { ...last, attempt, search: null });
      tell();
    }
  }
  working = null;
}

/** Asks for one plan; ended and told as too slow where it takes too long. Null where it was put off for another. */
async function askPlanWorker(client: ReturnType<typeof planWorkerClient>, ask: PlanJob): Promise<Attempt | null> {
  let isLate = false;
  const late = setTimeout(() => {
    isLate = true;
    client.cancel();
  }, LONGEST);
  try {
    const answer = await client.ask(ask);
    return isLate ? { ok: false, faults: [fault("", "too-slow", { limit: LONGEST / 1000 })] } : answer;
  } catch (error) {
    return { ok: false, faults: [fault("", "not-worked-out", { why: String(error) })] };
  } finally {
    clearTimeout(late);
  }
}

/** Moves a piece to the front of the queue because a screen shows it. Returns a function that removes it from the queue if it is still waiting. */
function prefer(piece: Piece, mine: BenchEntry, measured: Readings): () => void {
  const { bench } = knownOf(piece, mine, measured);
  const find = () => waiting.findIndex((each) => each.piece === piece && each.bench === bench && each.measured === measured);
  const at = find();
  if (at > 0) waiting.unshift(...waiting.splice(at, 1));
  if (working && working !== waiting[0]) beside?.cancel();
  return () => {
    const still = find();
    if (still < 0) return;
    const [ask] = waiting.splice(still, 1);
    known.delete(piece);
    if (working === ask) beside?.cancel();
  };
}

/** Whatever rests on them is drawn again when they change. */
const ownNow = () => ownMinutes;

export interface Planned {
  readonly plan: Plan;
  /** Whether the plan shown, or its heats, are stale while the new ones are being computed. */
  readonly isSettling: boolean;
}

/** A piece's plan as it is now, or what stands against one on this bench; null while a first one is being worked out. */
export type PlannedOrNot = (Planned & { readonly ok: true }) | { readonly ok: false; readonly faults: readonly Fault[] };

/**
 * The plan of the piece on screen, with its readings applied. The previous plan stays until the new one is ready; a worker searches for the best
 * heats.
 */
export function usePlanned(piece: Piece, mine: BenchEntry, measured: Readings = NOTHING_READ): PlannedOrNot | null {
  const [client] = useState(heatsClient);
  const [failure, setFailure] = useState<Error | null>(null);
  const ask = () => knownOf(piece, mine, measured);
  const { attempt: now, search } = useSyncExternalStore(hearAnswers, ask, ask);
  const [shown, setShown] = useState(now);
  if (now && now !== shown) setShown(now);
  const isWaiting = now === null;
  useEffect(() => (isWaiting ? prefer(piece, mine, measured) : undefined), [isWaiting, piece, mine, measured]);
  useEffect(() => {
    if (!search) return client.cancel();
    client.ask(search).then((best) => {
      if (!best) return;
      heatsMemory.keep(search.assembly, search.wishes, best);
      known.delete(piece);
      tell();
    }, setFailure);
  }, [client, search, piece]);
  useEffect(() => () => client.end(), [client]);
  if (failure) throw failure;
  const own = useSyncExternalStore(hearAnswers, ownNow, ownNow);
  const attempt = inMyTime(now ?? shown, own);
  if (!attempt?.ok) return attempt;
  return { ok: true, plan: attempt.plan, isSettling: isWaiting || search !== null };
}
