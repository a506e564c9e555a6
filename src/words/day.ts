import { type Schedule } from "@/core/making/schedule";

const HOUR = 60;

/** "45 min", "2 h 39 min"; a part of a minute counts as one. */
export function minutesText(minutes: number): string {
  const whole = Math.ceil(minutes - 1e-9);
  const [hours, rest] = [Math.floor(whole / HOUR), whole % HOUR];
  if (hours === 0) return `${rest} min`;
  return rest === 0 ? `${hours} h` : `${hours} h ${rest} min`;
}

/** Whose minutes a day is reckoned with, where they are not all the maker's own. */
export function reckonedText(tasks: readonly { readonly isUsual: boolean; readonly makes?: number }[]): string {
  const usual = tasks.filter(({ isUsual }) => isUsual).length;
  const shown = tasks.filter(({ makes }) => makes !== undefined).length;
  if (shown > 0)
    return `your own minutes, from your makes, for ${shown} of ${tasks.length} steps${usual > 0 ? `; the usual minutes for ${usual}` : ""}`;
  if (usual === 0) return "";
  return usual === tasks.length ? "based on the usual minutes, not your own" : `the usual minutes for ${usual} of ${tasks.length} steps`;
}

/** What stands in a day's place where there is none. */
export const NO_DAY = "cannot be planned until an order of heats is found";

type DayLength = Pick<Schedule, "finish" | "oneAfterAnother" | "proven" | "bound">;

/** What the order of work saves, and how sure it is that none is shorter. */
export function savedText({ finish, oneAfterAnother, proven, bound }: DayLength): string {
  const saved = oneAfterAnother - finish;
  const less = saved > 0 ? `${minutesText(saved)} saved by working during the waits` : "no time saved: nothing fits into the waits";
  return `${less}; ${proven ? "no order of work takes less time" : `at most ${minutesText(finish - bound)} longer than the shortest`}`;
}
