"use client";

import { doneSteps } from "@/core/making/done";
import { usePathname, useSearchParams } from "next/navigation";
import { useState } from "react";
import { begunMake, underWay } from "@/store/tray-state";
import { FindButton } from "@/ui/Find";
import { NavBar } from "@/ui/NavBar";
import { ChosenPieces } from "@/ui/ChosenPieces";
import { pieceColour } from "@/ui/DayLanes";
import { type DayPiece, dayOfPieces } from "@/ui/day";
import { type DayAsked, NO_DAY_ASKED, keepDay, keptDay } from "@/ui/day-hours";
import { doubtsOf } from "@/ui/doubt";
import { HighlightProvider } from "@/ui/highlight";
import { useNotices } from "@/ui/notices";
import { usePlans } from "@/ui/planner";
import { useTitle } from "@/ui/title";
import { useTrayState, useUnits } from "@/ui/tray";
import { SETTLING } from "@/words/heats";
import { NO_DAY } from "@/words/day";
import { TROUBLE_WORDS } from "@/words/trouble";
import { DayPlan } from "./DayPlan";
import { dayScreenText } from "@/words/screens/day";

const PIECES = "pieces";

/** Several pieces on the bench at once: what is done when with one pair of hands, and until when. */
export function DayScreen() {
  const { warn } = useNotices();
  const units = useUnits();
  const plans = usePlans();
  const bench = useTrayState((state) => state.bench);
  const makes = useTrayState((state) => state.makes);
  const all = useTrayState(({ pieces }) => pieces);
  const pathname = usePathname();
  const inAddress = useSearchParams().get(PIECES);
  const [asked, setAsked] = useState<DayAsked>(() => keptDay() ?? NO_DAY_ASKED);
  useTitle(dayScreenText.theDay);
  const lying = all.filter(({ deleted }) => deleted === null);
  const busy = lying.filter(({ id }) => begunMake(makes, id) !== undefined).map(({ id }) => id);
  const inHand = inAddress !== null ? inAddress.split(",").filter(Boolean) : asked.pieces.length > 0 ? asked.pieces : busy;
  const [changed, change] = useState<readonly string[] | null>(null);
  const chosen = (changed ?? inHand).filter((id) => lying.some((each) => each.id === id));
  const ask = (next: Partial<DayAsked>) => {
    const day = { ...asked, ...next };
    setAsked(day);
    if (!keepDay(day)) warn(`${TROUBLE_WORDS.full}.`);
  };
  const choose = (id: string) => {
    const next = chosen.includes(id) ? chosen.filter((each) => each !== id) : [...chosen, id];
    change(next);
    ask({ pieces: next });
    window.history.replaceState(null, "", `${pathname}?${PIECES}=${next.join(",")}`);
  };
  const records = chosen.map((id) => lying.find((each) => each.id === id)!);
  const attempts = records.map((record) => ({ record, attempt: plans.soon(record.piece, bench) }));
  const pieces = attempts.flatMap(({ record, attempt }): DayPiece[] => {
    if (!attempt?.ok || !attempt.plan.tasks || plans.isSettling(record.piece, bench)) return [];
    const { plan } = attempt;
    const done = new Set(doneSteps(plan.steps, underWay(makes, record.id)?.done ?? []).keys());
    return [{ id: record.id, plan, tasks: attempt.plan.tasks, done, doubtOf: doubtsOf(record) }];
  });
  const unordered = attempts.filter(({ attempt }) => attempt?.ok && !attempt.plan.tasks).map(({ record }) => record.piece.name);
  const settling = attempts.filter(({ record }) => plans.isSettling(record.piece, bench)).map(({ record }) => record.piece.name);
  const refused = attempts.filter(({ attempt }) => attempt && !attempt.ok).map(({ record }) => record.piece.name);
  const names = new Map(lying.map(({ id, piece }) => [id, piece.name]));
  return (
    <HighlightProvider>
      <main className="min-h-dvh bg-sheet">
        <h1 className="sr-only">{dayScreenText.theDay}</h1>
        <NavBar>
          <FindButton />
          <button type="button" className="btn print:hidden" onClick={() => window.print()}>
            {dayScreenText.printTheDay}
          </button>
        </NavBar>
        <ChosenPieces
          label={dayScreenText.piecesToWorkOn}
          leaveOut={dayScreenText.notToday}
          colourOf={pieceColour}
          records={records}
          others={lying.filter(({ id }) => !chosen.includes(id))}
          onChoose={choose}
        />
        {refused.length > 0 && (
          <p role="alert" className="px-4 py-2 text-sm text-bad">
            {dayScreenText.cannotBePlannedOpenTo(refused.join(", "))}
          </p>
        )}
        {unordered.length > 0 && (
          <p role="alert" className="px-4 py-2 text-sm text-bad">
            {dayScreenText.theDaySeeHeatsFor(unordered.join(", "), NO_DAY)}
          </p>
        )}
        {settling.length > 0 && (
          <p role="status" className="px-4 py-2 text-sm text-soft">
            {settling.join(", ")}: {SETTLING}.
          </p>
        )}
        {pieces.length === 0 ? (
          <p className="px-4 py-6 text-base text-soft">
            {lying.length === 0 ? dayScreenText.thereAreNoPiecesYet : dayScreenText.chooseThePiecesToWork}
          </p>
        ) : (
          <DayPlan
            day={dayOfPieces(pieces, units)}
            pieces={pieces.map(({ id, plan, doubtOf }) => ({ id, name: names.get(id)!, plan, doubtOf }))}
            copies={new Map(records.map(({ id, piece }) => [id, piece.copies ?? 1]))}
            asked={asked}
            onAsk={ask}
          />
        )}
      </main>
    </HighlightProvider>
  );
}
