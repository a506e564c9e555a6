"use client";

import { useState } from "react";
import { drawerAfter } from "@/core/cutting/drawer-after";
import { type CutsPlan } from "@/core/cutting/plan-cuts";
import { cutsRequestOf, wantedOfPieces } from "@/core/piece/cuts-request";
import { type PieceRecord } from "@/store/repository";
import { ChosenPieces } from "@/ui/ChosenPieces";
import { useChosenPieces, usePlanned } from "@/ui/chosen-pieces";
import { usePutBack } from "@/ui/put-back";
import { pieceColour } from "@/ui/DayLanes";
import { keptDay } from "@/ui/day-hours";
import { doubtsOf } from "@/ui/doubt";
import { FindButton } from "@/ui/Find";
import { HighlightProvider } from "@/ui/highlight";
import { NavBar } from "@/ui/NavBar";
import { useNotices } from "@/ui/notices";
import { useTitle } from "@/ui/title";
import { useTray, useTrayState } from "@/ui/tray";
import { useSame } from "@/ui/useSame";
import { metalText } from "@/words/screens/metal";
import { DrawerList } from "./DrawerList";
import { type CutChoices, useCutChoices } from "./cut-choices";
import { LaidDrawer } from "./LaidDrawer";
import { MetalFoot } from "./MetalFoot";
import { WayChoice } from "./WayChoice";
import { useCosts } from "./costs";
import { WAYS, useCutting } from "./cutting";

/** So many pieces are laid out where nobody has chosen any. */
const FIRST = 4;

const NO_PINS: CutChoices["pins"] = [];

/** The drawer, and where the blanks of the chosen pieces are cut from it. */
export function MetalScreen() {
  const tray = useTray();
  const { say, warn } = useNotices();
  const bench = useTrayState((state) => state.bench);
  const [{ way, pins }, choose] = useCutChoices();
  useTitle(metalText.metal);
  const choice = useChosenPieces((lying) => keptDay()?.pieces ?? lying.slice(0, FIRST).map(({ id }) => id));
  const { records } = choice;
  const { wanted, isPlanning, refused, unmeasured } = useWanted(records);
  const { stock = [], scrap = [] } = bench;
  const isCutting = wanted.length > 0;
  const pinned = isCutting ? pins : NO_PINS;
  const request = useSame([wanted, bench, pinned], () => ({ ...cutsRequestOf(bench, wanted), pins: pinned }));
  // where nothing is to be cut, the drawer as it lies
  const cutting = useCutting(isCutting || (!isPlanning && stock.length > 0) ? request : null);
  const drawn = cutting.plans?.[WAYS.indexOf(way)] ?? null;
  const plan = isCutting ? drawn : null;
  const isBefore = cutting.isBefore || isPlanning;
  const costs = useCosts(plan, records);
  const names = new Map(records.map(({ id, piece }) => [id, piece.name]));
  const nameOf = (id: string) => names.get(id) ?? id;
  const colourOf = (id: string) => pieceColour(Math.max(0, [...names.keys()].indexOf(id)));
  const putBack = usePutBack();
  const take = async (cut: CutsPlan) => {
    const taken = await tray.takeCut({ stock, scrap }, drawerAfter(stock, scrap, cut));
    if (typeof taken === "string") return warn(`${taken}.`);
    choose({ pins: [] });
    say(metalText.areCut, { name: metalText.putBack, run: () => void putBack(taken).then(() => choose({ pins })) });
  };
  return (
    <HighlightProvider>
      <main className="flex min-h-dvh flex-col bg-sheet lg:h-dvh">
        <h1 className="sr-only">{metalText.metal}</h1>
        <NavBar>
          <FindButton />
        </NavBar>
        <ChosenPieces
          label={metalText.cutFor}
          leaveOut={metalText.notNow}
          colourOf={pieceColour}
          lights={(id) => `piece ${id}`}
          {...{ choice, refused }}
          onChoose={choice.choose}
        />
        {unmeasured.length > 0 && (
          <p className="px-4 py-1.5 text-sm text-warn">○ {metalText.unmeasured(unmeasured.map(nameOf).join(", "))}</p>
        )}
        {cutting.problem && (
          <p role="alert" className="px-4 py-2 text-sm text-bad">
            ◆ {metalText.failed(cutting.problem)}
          </p>
        )}
        <div className="flex min-h-0 flex-1 max-lg:flex-col">
          <section className="min-w-0 flex-1 p-4 lg:overflow-y-auto">
            <div className="flex flex-wrap items-start justify-between gap-3 pb-3">
              {/* beside the ways, so that the drawing stays where it is while the search goes on */}
              <div className="text-sm text-soft max-lg:min-h-16">
                {isCutting && <p className="pb-2">{metalText.drawing}</p>}
                {!isCutting && !isPlanning && (
                  <p className="text-base">{records.length + choice.others.length === 0 ? metalText.noPieces : metalText.choose}</p>
                )}
                {isCutting && cutting.isLooking && (
                  <p role="status" className="flex items-center gap-2">
                    {plan && !isBefore ? metalText.better : metalText.laying}
                    <button type="button" className="btn btn-small" onClick={cutting.stop}>
                      {metalText.stop}
                    </button>
                  </p>
                )}
              </div>
              {cutting.plans && plan && <WayChoice plans={cutting.plans} way={way} onChoose={(next) => choose({ way: next })} />}
            </div>
            {drawn && (
              <LaidDrawer
                {...{ plan: drawn, stock, pins: pinned, nameOf, colourOf }}
                isBefore={isBefore}
                onPins={(next) => choose({ pins: next })}
              />
            )}
          </section>
          <DrawerList plan={plan} wanted={wanted} costs={costs} nameOf={nameOf} />
        </div>
        {plan && <MetalFoot {...{ plan, costs, nameOf, unmeasured }} isBefore={isBefore} onTake={() => void take(plan)} />}
      </main>
    </HighlightProvider>
  );
}

/**
 * The blanks of pieces, the names of those that cannot be planned, and the ids of those whose sizes nobody measured yet. While a piece is being
 * planned the blanks are those of before.
 */
function useWanted(records: readonly PieceRecord[]) {
  const { attempts, refused } = usePlanned(records);
  const isPlanning = attempts.some(({ attempt }) => attempt === null);
  const planned = attempts.flatMap(({ record, attempt }) => (attempt?.ok ? [{ record, plan: attempt.plan }] : []));
  const parts = planned.flatMap(({ plan, record: { id, piece } }) => [id, plan.cuts, piece.count, piece.copies]);
  const ofPlanned = useSame(parts, () => wantedOfPieces(planned.map(({ record, plan }) => ({ piece: record.piece, plan }))));
  const [before, keep] = useState(ofPlanned);
  if (!isPlanning && before !== ofPlanned) keep(ofPlanned);
  const isDoubtful = ({ record, plan }: (typeof planned)[number]) => {
    const doubtOf = doubtsOf(record);
    return plan.cuts.some(({ figure, across }) => doubtOf(figure) !== null || (across !== null && doubtOf(across) !== null));
  };
  return {
    wanted: isPlanning ? before : ofPlanned,
    isPlanning,
    refused,
    unmeasured: planned.filter(isDoubtful).map(({ record }) => record.id),
  };
}
