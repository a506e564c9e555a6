import { bestHeats } from "@/core/heats/best";
import { SHIPPED_BENCH, benchOf } from "@/core/piece/bench";
import { type Fault } from "@/core/piece/fault";
import { attemptPlan } from "@/formats/attempt";
import { planFile } from "@/formats/plan-file";
import { decodePlanRequest } from "@/formats/plan-request";
import { textOf } from "@/formats/read-json";
import { faultMessage } from "@/words/faults";
import { type PlanJob, type BesideReply, type PlanReply } from "./protocol";

/** A search for better heats that is not over by then gives the best found (ms): half of what a whole plan is given, as a busy machine takes its share of the rest. */
const SEARCHES = 1000;

/** Plans a piece for the page beside it. */
export function answerBeside({ piece, bench, measured }: PlanJob, now: () => number): BesideReply {
  const end = now() + SEARCHES;
  return attemptPlan(piece, bench, (assembly, wishes) => bestHeats(assembly, wishes, () => now() > end), measured);
}

/** Plans what a program asked for: 200 with the plan, or 422 with all that is wrong. `now` is a clock in ms. */
export function answerPlan(bytes: Uint8Array, now: () => number): PlanReply {
  const end = now() + SEARCHES;
  const read = textOf(bytes);
  if (!read.ok) return refused(read.faults);
  const decoded = decodePlanRequest(read.text);
  if (!decoded.ok) return refused(decoded.faults);
  const { piece, bench } = decoded.value;
  const attempt = attemptPlan(piece, bench ?? benchOf(piece, SHIPPED_BENCH), (assembly, wishes) =>
    bestHeats(assembly, wishes, () => now() > end),
  );
  return attempt.ok ? { status: 200, body: JSON.stringify(planFile(attempt.plan)) } : refused(attempt.faults);
}

export function refused(faults: readonly Fault[]): PlanReply {
  const told = faults.map((fault) => ({ path: fault.path, code: fault.code, expected: faultMessage(fault) }));
  return { status: 422, body: JSON.stringify({ faults: told }) };
}
