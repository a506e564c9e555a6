import { bestHeats } from "@/core/heats/best";
import { type HeatsAsk, type HeatsReply } from "./protocol";

/** A search that is not over by then gives the best found, with its bound. */
const LONGEST_MS = 10_000;

/** Answers one question; `now` is a clock in ms. */
export function answerHeats({ assembly, wishes }: HeatsAsk, now: () => number): HeatsReply {
  const end = now() + LONGEST_MS;
  return bestHeats(assembly, wishes, () => now() > end);
}
