import { workedMinutes } from "@/core/making/worked";
import { type Make } from "@/core/piece/make";

/** Minutes that a making took by its ticks; null where they do not say. */
export function minutesOf({ done }: Pick<Make, "done">): number | null {
  return workedMinutes(done.map(({ at }) => Date.parse(at)));
}
