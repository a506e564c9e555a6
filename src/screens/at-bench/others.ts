import { doneSteps } from "@/core/making/done";
import { benchOf } from "@/core/piece/bench";
import { underWay } from "@/store/tray-state";
import { usePlans } from "@/ui/planner";
import { useTrayState, useUnits } from "@/ui/tray";
import { doubtsOf } from "@/ui/doubt";
import { sayStep } from "@/words/steps";
import { type Beside } from "./BenchTop";
import { waitingIn } from "./timers";
import { othersText } from "@/words/screens/at-bench";

/** Pieces shown beside the one that is worked on. */
const MOST_SHOWN = 3;

/** Other pieces whose making is under way, with what comes next of each; those that are ready first. */
export function useOthers(here: string): Beside[] {
  const units = useUnits();
  const plans = usePlans();
  const { bench, makes, pieces } = useTrayState((state) => state);
  const others = pieces.flatMap((record): Beside[] => {
    const make = underWay(makes, record.id);
    if (record.id === here || record.deleted !== null || !make || make.done.length === 0) return [];
    const attempt = plans.soon(record.piece, bench);
    if (!attempt?.ok || plans.isSettling(record.piece, bench)) return [];
    const { plan } = attempt;
    const done = doneSteps(plan.steps, make.done);
    const next = plan.steps.find(({ id }) => !done.has(id));
    const [first] = waitingIn(make, plan.steps, benchOf(record.piece, bench));
    const title = next ? sayStep(next, plan, units, doubtsOf(record)).title : othersText.putItInTheLedger;
    return [{ id: record.id, name: record.piece.name, next: title, ready: first ? { at: first.until, isUsual: first.isUsual } : null }];
  });
  return others.sort((a, b) => (a.ready?.at ?? Infinity) - (b.ready?.at ?? Infinity)).slice(0, MOST_SHOWN);
}
