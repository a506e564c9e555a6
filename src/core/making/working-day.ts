import { type Day, type DayTask } from "./day";

/** A day's hours in minutes after it begins; null where there is no break, or no end. */
export interface Hours {
  readonly pause: { readonly from: number; readonly minutes: number } | null;
  readonly stop: number | null;
}

export interface WorkingDay<Task extends DayTask> {
  /** What is done before the stop, each where it begins once the break is left free. */
  readonly today: readonly Task[];
  /** What is left, in its order. */
  readonly tomorrow: readonly Task[];
  /** When the last of today ends, its wait included; 0 where nothing is done. */
  readonly finish: number;
}

/**
 * A day's tasks within its hours. Hands do not work in the break: what would run into it, and all after it, begins at its end; waits go on through it.
 * From the first task whose hands would work past the stop all go to tomorrow, for what comes after it may need it.
 */
export function withinHours<Task extends DayTask>(tasks: readonly Task[], { pause, stop }: Hours): WorkingDay<Task> {
  const inOrder = [...tasks].sort((a, b) => a.start - b.start);
  let late = 0;
  const placed = inOrder.map((task) => {
    const at = task.start + late;
    if (pause && at < pause.from + pause.minutes && at + task.hands > pause.from) late += pause.from + pause.minutes - at;
    return { ...task, start: task.start + late };
  });
  const first = stop === null ? -1 : placed.findIndex(({ start, hands }) => start + hands > stop);
  const today = first < 0 ? placed : placed.slice(0, first);
  return {
    today,
    tomorrow: first < 0 ? [] : inOrder.slice(first),
    finish: today.reduce((last, { start, hands, wait }) => Math.max(last, start + hands + wait), 0),
  };
}

/** Minutes of hands in these tasks. */
export function handsOf(tasks: readonly Pick<Day["tasks"][number], "hands">[]): number {
  return tasks.reduce((all, { hands }) => all + hands, 0);
}
