"use client";

import { useState } from "react";
import { pieceCost } from "@/core/cutting/cost";
import { type CutsPlan } from "@/core/cutting/plan-cuts";
import { costInputsOf } from "@/core/piece/piece-costs";
import { type PieceRecord } from "@/store/repository";
import { cutSheet } from "@/formats/templates/cut-sheets";
import { Answer } from "@/ui/Stage";
import { useNotices } from "@/ui/notices";
import { usePlans } from "@/ui/planner";
import { saveFile } from "@/ui/save-file";
import { useTrayState, useUnits } from "@/ui/tray";
import { costText, orderText, statusText } from "@/words/cuts";
import { metalText } from "@/words/screens/metal";
import { printClient } from "@/workers/templates/client";
import { totalsOf } from "./view";

interface Props {
  readonly plan: CutsPlan;
  readonly records: readonly PieceRecord[];
  readonly nameOf: (piece: string) => string;
  readonly onTake: () => void;
}

/** What the cuts come to, and what is done with them. */
export function MetalFoot({ plan, records, nameOf, onTake }: Props) {
  const units = useUnits();
  const { say, warn } = useNotices();
  const [client] = useState(printClient);
  const { lengths, sheets, spoiled, metals, drawn } = totalsOf(plan);
  const cost = useCost(plan, records);
  const print = () =>
    client
      .ask({
        templates: plan.sheets.map((sheet, i) => cutSheet(sheet, i, nameOf, units)),
        print: { name: metalText.metal, revision: metalText.printed, paper: "a4" },
      })
      .then((bytes) => bytes && saveFile("cuts-sheets.pdf", [bytes], "application/pdf"))
      .catch((error: unknown) => warn(`${metalText.failed(String(error))}.`));
  const copy = () =>
    navigator.clipboard.writeText(plan.order.map((line) => orderText(line, units)).join("\n")).then(
      () => say(metalText.copied),
      (error: unknown) => warn(`${metalText.notCopied(String(error))}.`),
    );
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
        {plan.order.length > 0 && (
          <button type="button" className="btn" onClick={() => void copy()}>
            {metalText.copyTheList}
          </button>
        )}
        {plan.sheets.length > 0 && (
          <button type="button" className="btn" onClick={() => void print()}>
            {metalText.printTheCuts}
          </button>
        )}
        <button type="button" className="btn btn-main" onClick={onTake}>
          {metalText.theseAreCut}
        </button>
      </div>
      <p className="pt-1 text-sm text-soft">
        {metalText.sum(metals, spoiled, drawn)}; {cost}; {statusText(plan)}
      </p>
    </footer>
  );
}

/** What all the pieces cost together, and what of it has no price. */
function useCost(plan: CutsPlan, records: readonly PieceRecord[]): string {
  const plans = usePlans();
  const bench = useTrayState((state) => state.bench);
  const costs = records.flatMap((record) => {
    const attempt = plans.soon(record.piece, bench);
    if (!attempt?.ok) return [];
    const { piece } = record;
    return [pieceCost(plan, record.id, costInputsOf(piece, attempt.plan, piece.count ?? 1), bench.rates ?? {})];
  });
  const whole = {
    value: costs.reduce((sum, { value }) => sum + value, 0),
    terms: costs.flatMap(({ terms }) => terms),
    unknown: costs.flatMap(({ unknown }) => unknown),
  };
  return costText(whole, bench.rates?.currency ?? "");
}
