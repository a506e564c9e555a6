"use client";

import { type PieceCost } from "@/core/cutting/cost";
import { costTermText, costText, money } from "@/words/cuts";
import { costsText } from "@/words/screens/metal";

interface Props {
  readonly costs: readonly PieceCost[];
  readonly currency: string;
  readonly nameOf: (piece: string) => string;
}

/** What each piece costs, with its terms on a press. */
export function Costs({ costs, currency, nameOf }: Props) {
  return (
    <>
      <h2 className="section-head mt-3">{costsText.head}</h2>
      <ul className="text-sm">
        {costs.map((cost) => (
          <li key={cost.piece} className="border-t border-hair py-1 leading-tight">
            <details>
              <summary className="cursor-pointer">
                <b className="font-semibold">{nameOf(cost.piece)}</b> {costText(cost, currency)}
              </summary>
              <ul className="py-1 pl-4 text-xs text-soft">
                {cost.terms.map((term, i) => (
                  <li key={i} className="flex justify-between gap-2">
                    <span>{costTermText(term, currency)}</span>
                    <span>{money(term.value, currency)}</span>
                  </li>
                ))}
              </ul>
            </details>
          </li>
        ))}
      </ul>
    </>
  );
}
