/** A step as it takes time, in minutes: the hands first, then what is left to wait before anything after it. */
export interface PlannedTask {
  readonly step: string;
  readonly hands: number;
  readonly wait: number;
  /** Tasks that are over, and waited for, before it begins. */
  readonly after: readonly string[];
  /** Its minutes are the usual ones: nobody has given their own. */
  readonly isUsual: boolean;
  /** They are what so many of the maker's own makes have shown. */
  readonly makes?: number;
}

export interface ScheduledTask extends PlannedTask {
  /** Minutes from when the first begins. */
  readonly start: number;
}

/** A day at the bench with one pair of hands, in minutes. */
export interface Schedule {
  readonly finish: number;
  readonly oneAfterAnother: number;
  readonly proven: boolean;
  /** No order of work ends earlier. */
  readonly bound: number;
  /** In the order they are begun. */
  readonly tasks: readonly ScheduledTask[];
}

/** A task among the others, by their places. */
interface Go {
  readonly task: PlannedTask;
  readonly hands: number;
  readonly wait: number;
  readonly before: readonly number[];
  readonly next: readonly number[];
  /** From when it begins to the end of all that waits for it. */
  readonly rest: number;
}

/** Places in the search that are looked at before the best found is told with its bound. */
const MOST_LOOKS = 400_000;
const LEAST_LOOKS = 300;
/** Minutes that count as none. */
const EPSILON = 1e-9;

/**
 * Finds the shortest day by branch and bound: longest remaining chain first, pruned where a lower bound is no better than the best day found. The
 * bound allows preemption; it is at least the total hands-on time plus the shortest final wait, and at least the longest chain. Tasks are in an
 * order in which each is listed after those it is after. Where that makes the day no longer, what belongs to one piece is done one thing after the
 * other; `pieceOf` tells whose a step is. @throws where one is after another that is not listed before it.
 */
export function schedule(tasks: readonly PlannedTask[], pieceOf: (step: string) => string = () => ""): Schedule {
  const gos = gosOf(tasks);
  const search = new DaySearch(gos);
  const starts = togetherByPiece(
    gos,
    search.best(),
    gos.map((go) => pieceOf(go.task.step)),
  );
  const told = gos.map(({ task }, g): ScheduledTask => ({ ...task, start: starts[g]! }));
  return {
    finish: search.finish,
    oneAfterAnother: tasks.reduce((all, { hands, wait }) => all + hands + wait, 0),
    proven: search.finish <= search.bound + EPSILON,
    bound: search.bound,
    tasks: told.sort((a, b) => a.start - b.start),
  };
}

function gosOf(tasks: readonly PlannedTask[]): Go[] {
  const places = new Map(tasks.map(({ step }, i) => [step, i]));
  const before = tasks.map(({ step, after }, i) => {
    const earlier = after.map((id) => {
      const at = places.get(id);
      if (at === undefined || at >= i) throw new RangeError(`${step} is after ${id}, which is not before it`);
      return at;
    });
    return [...new Set(earlier)];
  });
  const next = tasks.map((_, g) => before.flatMap((earlier, later) => (earlier.includes(g) ? [later] : [])));
  const rest: number[] = [];
  for (let g = tasks.length - 1; g >= 0; g--)
    rest[g] = tasks[g]!.hands + tasks[g]!.wait + Math.max(0, ...next[g]!.map((later) => rest[later]!));
  return tasks.map((task, g) => ({ task, hands: task.hands, wait: task.wait, before: before[g]!, next: next[g]!, rest: rest[g]! }));
}

/** When it begins and leaves the hands: at once when they are free and all before it is `over`. */
function placed({ before, hands }: Go, over: readonly number[], free: number): { readonly start: number; readonly done: number } {
  const start = before.reduce((latest, earlier) => Math.max(latest, over[earlier]!), free);
  return { start, done: start + hands };
}

/** When each begins where they are done in this order, each as soon as it can be, and when all are over. */
function laidOut(gos: readonly Go[], order: readonly number[]): { readonly starts: readonly number[]; readonly finish: number } {
  const starts: number[] = [];
  const over: number[] = [];
  let [free, finish] = [0, 0];
  for (const g of order) {
    const { start, done } = placed(gos[g]!, over, free);
    starts[g] = start;
    free = done;
    over[g] = done + gos[g]!.wait;
    finish = Math.max(finish, over[g]);
  }
  return { starts, finish };
}

/** The same day with fewer changes from piece to piece: what can follow on the same piece at once does, where nothing ends later for it. */
function togetherByPiece(gos: readonly Go[], found: readonly number[], pieces: readonly string[]): readonly number[] {
  let order = gos.map((_, g) => g).sort((a, b) => found[a]! - found[b]! || a - b);
  let day = laidOut(gos, order);
  for (let i = 1; i < order.length; i++) {
    const piece = pieces[order[i - 1]!]!;
    if (pieces[order[i]!] === piece) continue;
    const done = new Set(order.slice(0, i));
    const next = order.findIndex((g, at) => at > i && pieces[g] === piece && gos[g]!.before.every((b) => done.has(b)));
    if (next < 0) continue;
    const moved = [...order.slice(0, i), order[next]!, ...order.slice(i, next), ...order.slice(next + 1)];
    const then = laidOut(gos, moved);
    const isAsSoon = then.starts[order[next]!]! <= day.starts[order[i]!]! + EPSILON;
    if (isAsSoon && then.finish <= day.finish + EPSILON) [order, day] = [moved, then];
  }
  return day.starts;
}

class DaySearch {
  /** Of the best order found. */
  finish = Infinity;
  bound = 0;
  private starts: number[];
  private readonly now: number[];
  /** When each is over and waited for; of one that is not begun the earliest it can be, from what is. */
  private readonly over: number[];
  private readonly isDone: boolean[];
  private looks: number;
  /** Ways to have done the same work: the hands' time, then when each that still is waited for is over. */
  private readonly seen = new Map<string, number[][]>();

  constructor(private readonly gos: readonly Go[]) {
    this.now = gos.map(() => 0);
    this.starts = gos.map(() => 0);
    this.over = gos.map(() => 0);
    this.isDone = gos.map(() => false);
    this.looks = Math.max(LEAST_LOOKS, Math.floor(MOST_LOOKS / Math.max(1, gos.length ** 2)));
  }

  /** When each begins in the best order found. */
  best(): readonly number[] {
    if (this.gos.length === 0) {
      this.finish = 0;
      return [];
    }
    this.bound = this.leastFinish(0);
    this.follow(0, 0, this.gos.length);
    if (this.looks > 0) this.bound = this.finish;
    return this.starts;
  }

  private get isOver(): boolean {
    return this.looks <= 0 || this.finish <= this.bound + EPSILON;
  }

  /** Everything that can be begun next, the hands being free from `time` on. */
  private follow(time: number, end: number, left: number): void {
    if (left === 0) {
      if (end < this.finish - EPSILON) [this.finish, this.starts] = [end, [...this.now]];
      return;
    }
    const ready = this.gos.flatMap((go, g) => {
      if (this.isDone[g] || go.before.some((earlier) => !this.isDone[earlier])) return [];
      return [{ g, ...placed(go, this.over, time) }];
    });
    const soonest = Math.min(...ready.map(({ done }) => done));
    // What could be done while the hands wait for another is done then.
    const useful = ready.filter(({ start }) => start < soonest - EPSILON);
    useful.sort((a, b) => a.start - b.start || this.gos[b.g]!.rest - this.gos[a.g]!.rest);
    for (const { g, start, done } of useful) {
      this.looks--;
      const { wait } = this.gos[g]!;
      this.isDone[g] = true;
      this.over[g] = done + wait;
      this.now[g] = start;
      const ends = Math.max(end, done + wait);
      // Until one order is found a bound excludes nothing.
      const mayBeLess = this.finish === Infinity || this.leastFinish(done, ends) < this.finish - EPSILON;
      if (mayBeLess && !this.isKnown(done, ends)) this.follow(done, ends, left - 1);
      this.isDone[g] = false;
      if (this.isOver) return;
    }
  }

  /** Whether the same work was done before with the hands free as early and nothing waited for longer. */
  private isKnown(time: number, end: number): boolean {
    const key = this.isDone.map((isDone) => (isDone ? "1" : "0")).join("");
    const way = [
      time,
      end,
      ...this.gos.flatMap(({ next }, g) => (this.isDone[g] && next.some((l) => !this.isDone[l]) ? [this.over[g]!] : [])),
    ];
    const known = this.seen.get(key) ?? [];
    if (known.some((other) => other.every((at, i) => at <= way[i]! + EPSILON))) return true;
    this.seen.set(key, [...known, way]);
    return false;
  }

  /**
   * No order of what is left ends earlier: each begins once what is before it can be over, the hands take up what has the longest rest of what has
   * begun, and leave it for what has a longer one.
   */
  private leastFinish(time: number, end = 0): number {
    const heads: number[] = [];
    const open: number[] = [];
    this.gos.forEach(({ before }, g) => {
      if (this.isDone[g]) return;
      open.push(g);
      heads[g] = before.reduce((latest, b) => Math.max(latest, this.isDone[b] ? this.over[b]! : heads[b]! + this.span(b)), time);
    });
    const tail = (g: number) => this.gos[g]!.rest - this.gos[g]!.hands;
    const left = this.gos.map(({ hands }) => hands);
    const coming = open.sort((a, b) => heads[a]! - heads[b]!);
    const begun: number[] = [];
    let [now, next, least] = [time, 0, end];
    while (next < coming.length || begun.length > 0) {
      if (begun.length === 0) now = Math.max(now, heads[coming[next]!]!);
      while (next < coming.length && heads[coming[next]!]! <= now + EPSILON) begun.push(coming[next++]!);
      const first = begun.reduce((best, g, i) => (tail(g) > tail(begun[best]!) ? i : best), 0);
      const g = begun[first]!;
      const until = Math.min(now + left[g]!, next < coming.length ? heads[coming[next]!]! : Infinity);
      left[g]! -= until - now;
      now = until;
      if (left[g]! > EPSILON) continue;
      begun.splice(first, 1);
      least = Math.max(least, now + tail(g));
    }
    return least;
  }

  private span(g: number): number {
    return this.gos[g]!.hands + this.gos[g]!.wait;
  }
}
