import { joinedTo, madeAnew, scrappedReadings } from "@/core/piece/anew";
import { type Make } from "@/core/piece/make";
import { type Plan } from "@/core/piece/plan";
import { type MakeEdit } from "@/store/make-edits";
import { outOf } from "./timers";

/**
 * The edit for parts that are made anew: their steps are no longer done, and readings of the old parts are marked as theirs. Both lists are dropped as
 * they were, so that taking the edit back restores them. @throws for no part.
 */
export function anewEdit(
  make: Make,
  plan: Pick<Plan, "steps" | "parts" | "joints">,
  parts: readonly string[],
): Required<Pick<MakeEdit, "put" | "drop">> {
  const [first] = parts;
  if (first === undefined) throw new RangeError("no part is made anew");
  const { entries } = madeAnew(plan, parts);
  const gone = new Set(entries.flatMap((entry) => [entry, outOf(entry)]));
  const done = new Set(make.done.map(({ step }) => step));
  const joined = new Set(parts.flatMap((part) => [...joinedTo(plan, part, done)]));
  const { before, after } = scrappedReadings(plan, make.measured, first, joined);
  return { put: { measured: after }, drop: { done: make.done.filter(({ step }) => gone.has(step)), measured: before } };
}
