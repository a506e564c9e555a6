import { joinedTo, madeAnew, scrappedReadings } from "@/core/piece/anew";
import { type Make } from "@/core/piece/make";
import { type Plan } from "@/core/piece/plan";
import { type MakeEdit } from "@/store/make-edits";
import { outOf } from "./timers";

/** What a making loses and keeps when parts are made anew: their steps come again, and what was read of the old ones is theirs. */
export function anewEdit(make: Make, plan: Plan, parts: readonly string[]): Pick<MakeEdit, "put" | "drop"> {
  const entries = new Set(madeAnew(plan, parts).entries);
  const done = new Set(make.done.map(({ step }) => step));
  const [first] = parts;
  const joined = new Set(parts.flatMap((part) => [...joinedTo(plan, part, done)]));
  const gone = make.done.filter(({ step }) => entries.has(step) || [...entries].some((entry) => step === outOf(entry)));
  return {
    put: { measured: first === undefined ? [] : scrappedReadings(make.measured, first, joined) },
    drop: { done: gone },
  };
}
