import { estimateOf } from "../measure/estimate";
import { doneSteps } from "./done";
import { USUAL_MINUTES } from "./minutes";
import { type PlannedTask } from "./schedule";
import { type Step, type StepCode } from "./step";
import { PAUSE } from "./worked";

const MINUTE = 60_000;
/** Ticks nearer than this were made one after the other, not worked between (minutes). */
const TOGETHER = 1 / 6;
/** From so many makes on a maker's own minutes count. */
const ENOUGH = 3;

/** Minutes of the hands at each kind of step, in one making or by all of them. */
export type StepTimes = ReadonlyMap<StepCode, number>;

/** What the maker's own makes have shown of a step. */
export interface OwnMinutes {
  readonly hands: number;
  readonly makes: number;
}

/**
 * Minutes from the tick before a step to its own, a mean for each kind of step, of one copy. Left out are pauses, ticks made all at once, several
 * steps ticked as one, and what a step before it leaves waiting. `timeOf` gives the ms of a tick's time, NaN where it has none.
 */
export function stepTimesOf(
  steps: readonly Step[],
  done: readonly { readonly step: string; readonly at: string }[],
  timeOf: (at: string) => number,
): StepTimes {
  const ticks = [...new Set(done.map(({ at }) => timeOf(at)).filter(Number.isFinite))].sort((a, b) => a - b);
  const times = [...doneSteps(steps, done)].map(([id, at]) => ({ step: steps.find((each) => each.id === id)!, at: timeOf(at) }));
  const at = (time: number) => times.filter((each) => each.at === time);
  const shown = times.flatMap((each): readonly [StepCode, number][] => {
    const before = ticks.findLast((tick) => tick < each.at);
    if (before === undefined || at(each.at).length > 1) return [];
    const gap = (each.at - before) / MINUTE;
    const waited = Math.max(0, ...at(before).map(({ step }) => USUAL_MINUTES[step.code].wait));
    const worked = gap - waited;
    if (gap > PAUSE || worked < TOGETHER) return [];
    return [[each.step.code, worked / Number(each.step.values.copies ?? 1)]];
  });
  const codes = [...new Set(shown.map(([code]) => code))];
  return new Map(
    codes.map((code) => {
      const own = shown.filter(([of]) => of === code).map(([, minutes]) => minutes);
      return [code, own.reduce((all, minutes) => all + minutes, 0) / own.length];
    }),
  );
}

/** What makes teach of the minutes: as of losses, the usual counts as three makes, and what lies far off is left out. From three makes on. */
export function ownMinutesFrom(makes: readonly StepTimes[]): ReadonlyMap<StepCode, OwnMinutes> {
  const codes = [...new Set(makes.flatMap((times) => [...times.keys()]))];
  return new Map(
    codes.flatMap((code): [StepCode, OwnMinutes][] => {
      const values = makes.flatMap((times) => times.get(code) ?? []);
      const { estimate, kept } = estimateOf(USUAL_MINUTES[code].hands, values);
      return kept.length < ENOUGH ? [] : [[code, { hands: toHalf(estimate), makes: kept.length }]];
    }),
  );
}

/** A clock at the bench tells no more, and sums of halves are exact: an order of work can be proven the shortest. */
function toHalf(minutes: number): number {
  return Math.max(0.5, Math.round(2 * minutes) / 2);
}

/** Tasks with the maker's own minutes where the makes have shown them and the bench names none. */
export function withOwnMinutes(
  tasks: readonly PlannedTask[],
  steps: readonly Step[],
  own: ReadonlyMap<StepCode, OwnMinutes>,
): readonly PlannedTask[] {
  if (own.size === 0) return tasks;
  const byId = new Map(steps.map((step) => [step.id, step]));
  return tasks.map((task) => {
    const step = byId.get(task.step);
    const mine = step && task.isUsual ? own.get(step.code) : undefined;
    return mine ? { ...task, hands: mine.hands * Number(step!.values.copies ?? 1), isUsual: false, makes: mine.makes } : task;
  });
}
