import { type Schedule, type ScheduledTask, type PlannedTask, schedule } from "./schedule";

/** What is on the bench: a piece's tasks, and the steps of it that are done. */
export interface OnTheBench {
  readonly piece: string;
  readonly tasks: readonly PlannedTask[];
  readonly done: ReadonlySet<string>;
}

export interface DayTask extends Omit<ScheduledTask, "after"> {
  readonly piece: string;
}

export interface Day extends Omit<Schedule, "tasks"> {
  readonly tasks: readonly DayTask[];
}

/** The shortest day in which one pair of hands ends all that is left of several pieces. */
export function dayOf(bench: readonly OnTheBench[]): Day {
  const ofAll = bench.flatMap(({ piece, tasks, done }, i) =>
    leftOf(tasks, done).map((task) => ({ piece, task, step: named(i, task.step), after: task.after.map((id) => named(i, id)) })),
  );
  const known = new Map(ofAll.map((each) => [each.step, each]));
  const { tasks, ...day } = schedule(
    ofAll.map(({ task, step, after }) => ({ ...task, step, after })),
    (step) => known.get(step)!.piece,
  );
  return {
    ...day,
    tasks: tasks.map(({ step: id, start }) => {
      const { piece, task } = known.get(id)!;
      return {
        piece,
        step: task.step,
        start,
        hands: task.hands,
        wait: task.wait,
        isUsual: task.isUsual,
        ...(task.makes !== undefined && { makes: task.makes }),
      };
    }),
  };
}

/** Pieces keep the ids of their steps apart. */
function named(piece: number, step: string): string {
  return `${piece} ${step}`;
}

/** Tasks without those done, each still after all that it was after and that is left. */
function leftOf(tasks: readonly PlannedTask[], done: ReadonlySet<string>): PlannedTask[] {
  const of = new Map(tasks.map((task) => [task.step, task]));
  const left = (ids: readonly string[]): string[] => ids.flatMap((id) => (done.has(id) ? left(of.get(id)!.after) : [id]));
  return tasks.filter(({ step }) => !done.has(step)).map((task) => ({ ...task, after: [...new Set(left(task.after))] }));
}
