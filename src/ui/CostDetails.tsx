"use client";

import { type ReactNode } from "react";
import { type PieceCost } from "@/core/cutting/cost";
import { costing, costTerms, costText, markedStandIn } from "@/words/cuts";
import { useTrayState } from "./tray";

interface Props {
  readonly name: string;
  /** Null while it is worked out: what is open stays open over that. */
  readonly cost: PieceCost | null;
  /** What stands under its terms. */
  readonly children?: ReactNode;
}

/** What something costs, with its terms on a press; made-up prices say so. */
export function CostDetails({ name, cost, children }: Props) {
  const rates = useTrayState(({ bench }) => bench.rates);
  const currency = rates?.currency ?? "";
  return (
    <details className="text-sm leading-tight">
      <summary className="cursor-pointer max-lg:min-h-touch">
        <b className="font-semibold">{name}</b>{" "}
        {cost ? markedStandIn(costText(cost, currency), cost, rates) : <span className="text-soft">{costing.wait}</span>}
      </summary>
      <ul className="py-1 pl-4 text-xs text-soft">
        {(cost ? costTerms(cost, currency) : []).map(({ text, value }, i) => (
          <li key={i} className="flex max-w-110 justify-between gap-2">
            <span>{text}</span>
            <span>{value}</span>
          </li>
        ))}
      </ul>
      {children}
    </details>
  );
}
