"use client";

import { useEffect } from "react";
import { drawerAfter } from "@/core/cutting/drawer-after";
import { wantedOf } from "@/core/cutting/wanted";
import { type Step } from "@/core/making/step";
import { cutAsRead, cutsRequestOf } from "@/core/piece/cuts-request";
import { type Make, pieceNow } from "@/core/piece/make";
import { type Plan } from "@/core/piece/plan";
import { useClock } from "@/ui/clock";
import { useLaidCuts } from "@/ui/laid-cuts";
import { useNotices } from "@/ui/notices";
import { usePutBack } from "@/ui/put-back";
import { useTray, useTrayState, useUnits } from "@/ui/tray";
import { useSame } from "@/ui/useSame";
import { begunText, cannotText, whyOrdered } from "@/words/cuts";
import { takeFromDrawerText } from "@/words/screens/at-bench";
import { withUnit } from "@/words/show";

interface Props {
  readonly make: Make;
  readonly plan: Plan;
  readonly step: Step;
}

/** What a step cuts, taken from the drawer where it lies; it can be put back. Nothing for a maker who keeps no drawer. */
export function TakeFromDrawer({ make, plan, step }: Props) {
  const tray = useTray();
  const units = useUnits();
  const clockOf = useClock();
  const { say, warn } = useNotices();
  const bench = useTrayState((state) => state.bench);
  const records = useTrayState((state) => state.cuts);
  const putBack = usePutBack();
  useEffect(() => void tray.readCuts(), [tray]);
  const { copies = 1 } = pieceNow(make);
  const { stock = [], scrap = [] } = bench;
  const planned = plan.cuts.filter(({ figure }) => figure === step.target);
  const blanks = planned.map((cut) => cutAsRead(cut, make.measured));
  const request = useSame([bench, plan.cuts, make.measured, step.target, make.piece, copies], () =>
    blanks.length === 0 || stock.length === 0 ? null : cutsRequestOf(bench, wantedOf([{ id: make.piece, count: 1, copies, cuts: blanks }])),
  );
  const { cuts, problem } = useLaidCuts(request);
  const taken = records?.find((each) => each.make === make.id && each.figure === step.target);
  if (request === null && !taken) return null;
  if (problem) return <p className="text-base text-night-warn">{takeFromDrawerText.failed(problem)}</p>;
  const read = blanks.find((cut, i) => cut !== planned[i])?.shape;
  const readText = read?.kind === "length" ? withUnit(read.length, "measured", units) : null;
  const begun = cuts && [...cuts.lengths, ...cuts.sheets];
  const isThere = cuts !== null && cuts.order.length === 0 && cuts.cannot.length === 0;
  const take = async () => {
    if (!cuts) return;
    const found = await tray.takeCut({ stock, scrap }, drawerAfter(stock, scrap, cuts), { make: make.id, figure: step.target! });
    if (typeof found === "string") warn(`${found}.`);
    else say(takeFromDrawerText.isTaken, { name: takeFromDrawerText.putBack, run: () => void putBack(found) });
  };
  return (
    <p className="mt-2 flex flex-wrap items-center gap-x-3 text-base text-night-soft">
      {taken && (
        <>
          <span>{takeFromDrawerText.takenAt(clockOf(taken.at))}</span>
          <button type="button" className="min-h-touch underline" onClick={() => void putBack(taken)}>
            {takeFromDrawerText.putBack}
          </button>
        </>
      )}
      {!taken && isThere && <span>{takeFromDrawerText.from(begunText(begun!, units), readText)}</span>}
      {isThere && (
        <button type="button" className="min-h-touch underline" onClick={() => void take()}>
          {taken ? takeFromDrawerText.another : takeFromDrawerText.take}
        </button>
      )}
      {!taken && cuts && !isThere && (
        <span>{takeFromDrawerText.notThere(cuts.order[0] ? whyOrdered(cuts.order[0].why) : cannotText(cuts.cannot[0]!.why))}</span>
      )}
    </p>
  );
}
