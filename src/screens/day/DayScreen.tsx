"use client";

import { doneSteps } from "@/core/making/done";
import { useState } from "react";
import { begunMake, underWay } from "@/store/tray-state";
import { FindButton } from "@/ui/Find";
import { NavBar } from "@/ui/NavBar";
import { ChosenPieces } from "@/ui/ChosenPieces";
import { useChosenPieces, usePlanned } from "@/ui/chosen-pieces";
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

/** Several pieces on the bench at once: what is done when with one pair of hands, and until when. */
export function DayScreen() {
  const { warn } = useNotices();
  const units = useUnits();
  const plans = usePlans();
  const bench = useTrayState((state) => state.bench);
  const makes = useTrayState((state) => state.makes);
  const [asked, setAsked] = useState<DayAsked>(() => keptDay() ?? NO_DAY_ASKED);
  useTitle(dayScreenText.theDay);
  const choice = useChosenPieces((lying) =>
    asked.pieces.length > 0 ? asked.pieces : lying.filter(({ id }) => begunMake(makes, id) !== undefined).map(({ id }) => id),
  );
  const { records } = choice;
  const ask = (next: Partial<DayAsked>) => {
    const day = { ...asked, ...next };
    setAsked(day);
    if (!keepDay(day)) warn(`${TROUBLE_WORDS.full}.`);
  };
  const { attempts, refused } = usePlanned(records);
  const pieces = attempts.flatMap(({ record, attempt }): (DayPiece & { readonly name: string })[] => {
    if (!attempt?.ok || !attempt.plan.tasks || plans.isSettling(record.piece, bench)) return [];
    const { plan } = attempt;
    const done = new Set(doneSteps(plan.steps, underWay(makes, record.id)?.done ?? []).keys());
    return [{ id: record.id, name: record.piece.name, plan, tasks: attempt.plan.tasks, done, doubtOf: doubtsOf(record) }];
  });
  const unordered = attempts.filter(({ attempt }) => attempt?.ok && !attempt.plan.tasks).map(({ record }) => record.piece.name);
  const settling = attempts.filter(({ record }) => plans.isSettling(record.piece, bench)).map(({ record }) => record.piece.name);
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
          {...{ choice, refused }}
          onChoose={(id) => ask({ pieces: choice.choose(id) })}
        />
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
            {choice.others.length === 0 && records.length === 0 ? dayScreenText.thereAreNoPiecesYet : dayScreenText.chooseThePiecesToWork}
          </p>
        ) : (
          <DayPlan
            day={dayOfPieces(pieces, units)}
            pieces={pieces}
            copies={new Map(records.map(({ id, piece }) => [id, piece.copies ?? 1]))}
            asked={asked}
            onAsk={ask}
          />
        )}
      </main>
    </HighlightProvider>
  );
}
