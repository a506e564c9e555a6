import { type Step, entriesOf } from "./step";

/** What a make lists: an entry, and when it was made; "" where that is not known. */
interface Entry {
  readonly step: string;
  readonly at: string;
}

/** The steps that are done, by their ids, with when the last of their entries was made; a step is done when all of them stand. */
export function doneSteps(steps: readonly Step[], entries: readonly Entry[]): ReadonlyMap<string, string> {
  const at = new Map(entries.map((entry) => [entry.step, entry.at]));
  return new Map(
    steps.flatMap((step) => {
      const times = entriesOf(step).map((entry) => at.get(entry));
      const known = times.filter((time) => time !== undefined);
      return known.length === times.length ? [[step.id, known.reduce((last, time) => (time > last ? time : last))] as const] : [];
    }),
  );
}
