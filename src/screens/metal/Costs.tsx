"use client";

import { type PieceCost } from "@/core/cutting/cost";
import { CostDetails } from "@/ui/CostDetails";
import { costsText } from "@/words/screens/metal";

interface Props {
  readonly costs: readonly PieceCost[];
  readonly nameOf: (piece: string) => string;
}

/** What each piece costs, with its terms on a press. */
export function Costs({ costs, nameOf }: Props) {
  return (
    <>
      <h2 className="section-head mt-3">{costsText.head}</h2>
      <ul>
        {costs.map((cost) => (
          <li key={cost.piece} className="border-t border-hair py-1">
            <CostDetails name={nameOf(cost.piece)} cost={cost} />
          </li>
        ))}
      </ul>
    </>
  );
}
