import { doneSteps } from "@/core/making/done";
import { type Step } from "@/core/making/step";
import { type BenchEntry, minutesOf } from "@/core/piece/bench";
import { type Make } from "@/core/piece/make";

/** Something that waits: in the pickle, under glue, in the patina. */
export interface Waiting {
  readonly steps: readonly Step[];
  /** ms since 1970 */
  readonly since: number;
  readonly until: number;
  /** Reckoned with usual minutes: nobody has given their own. */
  readonly isUsual: boolean;
}

/** A step of its own that is kept once what waited was taken out. */
export function outOf(step: string): string {
  return `${step}.out`;
}

/** What one press puts in is one wait (ms). */
const TOGETHER = 90_000;

/** What of a making waits, the first that is ready first. */
export function waitingIn(make: Make, steps: readonly Step[], bench: BenchEntry): Waiting[] {
  const done = doneSteps(steps, make.done);
  const listed = new Map(make.done.map(({ step, at }) => [step, at]));
  const each = steps.flatMap((step): Waiting[] => {
    const at = Date.parse(done.get(step.id) ?? "");
    const { value, from } = minutesOf(bench, step.code);
    const { wait } = value;
    const out = listed.get(outOf(step.id));
    // What was taken out before it was put in again waits again.
    const isOut = out !== undefined && !(Date.parse(out) < at);
    if (Number.isNaN(at) || wait <= 0 || isOut) return [];
    return [{ steps: [step], since: at, until: at + wait * 60_000, isUsual: from === "shipped" }];
  });
  const ordered = each.sort((a, b) => a.until - b.until);
  return ordered.reduce<Waiting[]>((all, next) => {
    const last = all.at(-1);
    const isSame = last && last.steps[0]!.code === next.steps[0]!.code && next.until - last.until < TOGETHER;
    return isSame ? [...all.slice(0, -1), { ...last, steps: [...last.steps, ...next.steps], until: next.until }] : [...all, next];
  }, []);
}

/** "4:10" */
export function leftText(ms: number): string {
  const seconds = Math.max(0, Math.ceil(ms / 1000));
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, "0")}`;
}
