import { type Day, type OnTheBench, dayOf } from "@/core/making/day";
import { isAtFire } from "@/core/making/minutes";
import { type PlannedTask } from "@/core/making/schedule";
import { type DoubtOf } from "@/core/piece/doubt";
import { type Plan } from "@/core/piece/plan";
import { sayStep } from "@/words/steps";
import { type Units } from "@/words/show";
import { type LaneTask } from "./DayLanes";

/** A piece on the bench: its plan, its steps as they take time, and those of them that are done. */
export interface DayPiece {
  readonly id: string;
  readonly tasks: readonly PlannedTask[];
  readonly plan: Plan;
  readonly done: ReadonlySet<string>;
  readonly doubtOf: DoubtOf;
}

/** Everything there is to be said of a day: when what is done, and until when. */
export interface DayOfLanes extends Day {
  readonly told: readonly LaneTask[];
}

export function dayOfPieces(pieces: readonly DayPiece[], units: Units): DayOfLanes {
  const day = dayOf(pieces.map(({ id, tasks, done }): OnTheBench => ({ piece: id, tasks, done })));
  const numbers = new Map(pieces.map(({ id }, i) => [id, i]));
  const steps = new Map(pieces.flatMap(({ id, plan }) => plan.steps.map((step) => [`${id} ${step.id}`, step] as const)));
  return {
    ...day,
    told: day.tasks.map((task) => {
      const number = numbers.get(task.piece)!;
      const { plan, doubtOf } = pieces[number]!;
      const step = steps.get(`${task.piece} ${task.step}`)!;
      return { ...task, number, title: sayStep(step, plan, units, doubtOf).title, isAtFire: isAtFire(step.code) };
    }),
  };
}
