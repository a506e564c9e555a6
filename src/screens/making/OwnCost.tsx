"use client";

import Link from "next/link";
import { type DoubtOf, doubtAmong } from "@/core/piece/doubt";
import { type Plan } from "@/core/piece/plan";
import { CostDetails } from "@/ui/CostDetails";
import { useOwnCost } from "@/ui/own-cost";
import { useSessionState } from "@/ui/session";
import { DOUBTS } from "@/words/doubt";
import { costing } from "@/words/cuts";
import { ownCostText } from "@/words/screens/making";

/** What the piece costs, cut by itself, as often as it is meant to be made. */
export function OwnCost({ plan, doubtOf }: { readonly plan: Plan; readonly doubtOf: DoubtOf }) {
  const piece = useSessionState((state) => state.piece);
  const { costWith, problem } = useOwnCost(piece, plan);
  const sizes = plan.cuts.flatMap(({ figure, across }) => (across === null ? [figure] : [figure, across]));
  const doubt = doubtAmong(sizes, doubtOf);
  if (problem) return <p className="py-1 text-sm text-bad">◆ {costing.failed(problem)}</p>;
  return (
    <div className="py-1">
      <CostDetails name={ownCostText.costs(piece.count ?? 1)} cost={costWith?.() ?? null}>
        <p className="pl-4 text-xs text-soft">
          {ownCostText.byItself}{" "}
          <Link href={`/metal?pieces=${piece.id}`} className="pressed inline-flex items-center underline">
            {ownCostText.onMetal}
          </Link>
        </p>
      </CostDetails>
      {doubt && <p className="text-xs text-warn">○ {DOUBTS[doubt]}</p>}
    </div>
  );
}
