import { type PlannedTask } from "./schedule";

/**
 * What the hands can take up while the next step's part lies `waiting` (ids of steps that left it so): the first open task that is after nothing
 * open and nothing that waits. Null where the next can be begun, or nothing can. `done` are ids of steps.
 */
export function meanwhile(tasks: readonly PlannedTask[], done: ReadonlySet<string>, waiting: ReadonlySet<string>): string | null {
  const open = tasks.filter(({ step }) => !done.has(step));
  const isHeld = ({ after }: PlannedTask) => after.some((id) => !done.has(id) || waiting.has(id));
  const [next] = open;
  if (!next || !isHeld(next)) return null;
  return open.find((task) => !isHeld(task))?.step ?? null;
}
