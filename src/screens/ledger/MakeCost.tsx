"use client";

import { type Make, pieceNow } from "@/core/piece/make";
import { type Plan } from "@/core/piece/plan";
import { CostDetails } from "@/ui/CostDetails";
import { useOwnCost } from "@/ui/own-cost";
import { useSame } from "@/ui/useSame";
import { costing } from "@/words/cuts";
import { makeCostText } from "@/words/screens/ledger";

interface Props {
  readonly make: Make;
  /** Worked on it; null where nobody measured them. */
  readonly minutes: number | null;
  readonly plan: Plan;
}

/** What one make costs at today's prices: by the hours that were scheduled, and by those that it took. */
export function MakeCost({ make, minutes, plan }: Props) {
  const piece = useSame([make], () => ({ ...pieceNow(make), count: 1 }));
  const { costWith, problem } = useOwnCost(piece, plan);
  if (problem) return <p className="mt-3 text-sm text-bad">◆ {costing.failed(problem)}</p>;
  return (
    <section aria-label={makeCostText.head} className="mt-3">
      <h2 className="section-head">{makeCostText.head}</h2>
      <CostDetails name={makeCostText.planned} cost={costWith?.() ?? null} />
      {minutes === null ? (
        <p className="text-sm text-soft">{makeCostText.notTimed}</p>
      ) : (
        <CostDetails name={makeCostText.made} cost={costWith?.(minutes / 60) ?? null} />
      )}
      <p className="text-xs text-soft">{makeCostText.today}</p>
    </section>
  );
}
