"use client";

import { useState } from "react";
import { type PieceCost } from "@/core/cutting/cost";
import { type CutsPlan } from "@/core/cutting/plan-cuts";
import { type Rates } from "@/core/piece/bench";
import { cutLists, cutTemplates, orderLists } from "@/formats/templates/cut-templates";
import { Answer } from "@/ui/Stage";
import { useNotices } from "@/ui/notices";
import { saveFile } from "@/ui/save-file";
import { useTrayState, useUnits } from "@/ui/tray";
import { costOfAll, costText, markedStandIn, money, statusText } from "@/words/cuts";
import { metalText } from "@/words/screens/metal";
import { printClient } from "@/workers/templates/client";
import { totalsOf } from "./view";

interface Props {
  readonly plan: CutsPlan;
  readonly costs: readonly PieceCost[];
  readonly nameOf: (piece: string) => string;
  /** Pieces some of whose sizes nobody measured yet. */
  readonly unmeasured: readonly string[];
  /** The cuts are being laid anew: what stands here cannot be cut. */
  readonly isBefore: boolean;
  readonly onTake: () => void;
}

/** What the cuts come to, and what is done with them. */
export function MetalFoot({ plan, costs, nameOf, unmeasured, isBefore, onTake }: Props) {
  const units = useUnits();
  const { warn } = useNotices();
  const [client] = useState(printClient);
  const { lengths, sheets, spoiled, metals, drawn } = totalsOf(plan);
  const rates = useTrayState(({ bench }) => bench.rates);
  const cost = costOf(costs, rates);
  const printedName = (id: string) => (unmeasured.includes(id) ? metalText.notMeasured(nameOf(id)) : nameOf(id));
  const print = () =>
    client
      .ask({
        templates: [
          ...cutLists(plan, printedName, units),
          ...orderLists(plan, rates ?? {}, units),
          ...cutTemplates(plan, printedName, units),
        ],
        print: { name: metalText.metal, revision: metalText.printed, paper: "a4" },
      })
      .then((bytes) => bytes && saveFile("cuts.pdf", [bytes], "application/pdf"))
      .catch((error: unknown) => warn(`${metalText.failed(String(error))}.`));
  return (
    <footer className="border-t border-line bg-paper px-4 py-2.5 lg:px-6">
      <div className="flex flex-wrap items-end gap-x-5 gap-y-1.5">
        <Answer lead={metalText.cutFromLead} unit={metalText.lengthsUnit(lengths)}>
          {lengths}
        </Answer>
        <Answer lead={metalText.and} unit={metalText.sheetsUnit(sheets)}>
          {sheets}
        </Answer>
        <Answer lead={metalText.spoiled} unit="g">
          {spoiled}
        </Answer>
        <span className="flex-1" />
        {plan.sheets.length + plan.lengths.length > 0 && (
          <button type="button" className="btn" onClick={() => void print()}>
            {metalText.printTheCuts}
          </button>
        )}
        <button type="button" className="btn btn-main" disabled={isBefore} onClick={onTake}>
          {metalText.theseAreCut}
        </button>
      </div>
      <p className="pt-1 text-sm text-soft">
        {metalText.sum(metals, spoiled, drawn)}; {cost}; {statusText(plan)}
      </p>
    </footer>
  );
}

/** What all the pieces cost together, what of it has no price, and what a tenth on the price of metal would add. */
function costOf(costs: readonly PieceCost[], rates: Rates | undefined): string {
  const whole = costOfAll(costs);
  const currency = rates?.currency ?? "";
  const metal = whole.terms.reduce((sum, term) => sum + (term.metal === null ? 0 : term.value), 0);
  const marked = metalText.cost(markedStandIn(costText(whole, currency), whole, rates));
  return metal > 0 ? `${marked}; ${metalText.tenth(money(metal / 10, currency))}` : marked;
}
