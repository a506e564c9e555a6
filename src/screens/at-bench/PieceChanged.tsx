"use client";

import { type PlanChange } from "./changes";
import { pieceChangedText } from "@/words/screens/at-bench";

interface Props {
  readonly changes: readonly PlanChange[];
  readonly onTake: () => void;
  readonly onKeep: () => void;
}

const MOST_SHOWN = 4;

/** The piece was edited after its making began: what is different now, and which plan to go by. */
export function PieceChanged({ changes, onTake, onKeep }: Props) {
  return (
    <section aria-label={pieceChangedText.thePieceHasChanged} className="rounded-lg border border-night-warn bg-night-warn-wash p-3.5">
      <h2 className="text-lg font-bold">{pieceChangedText.thePieceHasChangedSince}</h2>
      <ul className="mt-1 text-lg leading-snug">
        {changes.slice(0, MOST_SHOWN).map(({ id, before, after }) => (
          <li key={id} className="py-0.5">
            {after === null ? <s className="text-night-soft">{before}</s> : after}
            {before !== null && after !== null && <span className="text-night-soft"> {pieceChangedText.was(before)}</span>}
          </li>
        ))}
        {changes.length > MOST_SHOWN && <li className="text-night-soft">{pieceChangedText.andMore(changes.length - MOST_SHOWN)}</li>}
      </ul>
      <p className="mt-1 text-base text-night-soft">{pieceChangedText.finishedStepsKeepTheirNumbers}</p>
      <div className="mt-2 flex flex-wrap gap-2">
        <button type="button" className="night-btn !min-h-touch !text-lg" onClick={onKeep}>
          {pieceChangedText.keepThePlanIStarted}
        </button>
        <button type="button" className="night-btn night-go !min-h-touch !text-lg" onClick={onTake}>
          {pieceChangedText.useTheNewPlanFrom}
        </button>
      </div>
    </section>
  );
}
