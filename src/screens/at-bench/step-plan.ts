import { useMemo } from "react";
import { type Step } from "@/core/making/step";
import { type Figures } from "@/core/measure/figure";
import { benchOf } from "@/core/piece/bench";
import { type Make, asOf, pieceNow } from "@/core/piece/make";
import { type Plan } from "@/core/piece/plan";
import { sizePiece } from "@/core/piece/size-piece";
import { usePlanned } from "@/ui/planner";
import { useTrayState } from "@/ui/tray";

/** A making's plan as it was when a step was done; as it is now for one that is not. */
export function usePlanAt(make: Make, plan: Plan, doneAt: string | undefined): Plan {
  const bench = useTrayState((state) => state.bench);
  const then = useMemo(() => (doneAt ? asOf(make, doneAt) : null), [make, doneAt]);
  const own = useMemo(() => then && { ...then.piece }, [then]);
  const planned = usePlanned(own ?? pieceNow(make), bench, then?.measured ?? make.measured);
  return own && planned?.ok ? planned.plan : plan;
}

/** A step's figures as they were before what is read at it: it keeps what it was done to. */
export function useFiguresBefore(make: Make, plan: Plan, step: Step | null, doneAt: string | undefined): Figures {
  const mine = useTrayState((state) => state.bench);
  return useMemo(() => {
    const { piece, measured } = doneAt ? asOf(make, doneAt) : { piece: pieceNow(make), measured: make.measured };
    const own = new Set(step?.reads.map(({ figure }) => figure));
    if (!measured.some(({ figure }) => own.has(figure))) return plan.figures;
    const others = measured.filter(({ figure }) => !own.has(figure));
    return sizePiece(piece, benchOf(piece, mine), others).contribution.figures;
  }, [make, plan, step, doneAt, mine]);
}
