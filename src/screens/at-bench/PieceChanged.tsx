"use client";

import { type PlanChange } from "./changes";

interface Props {
  readonly changes: readonly PlanChange[];
  readonly onTake: () => void;
  readonly onKeep: () => void;
}

const MOST_SHOWN = 4;

/** The piece was edited after its making began: what is different now, and which plan to go by. */
export function PieceChanged({ changes, onTake, onKeep }: Props) {
  return (
    <section aria-label="The piece has changed" className="rounded-[8px] border border-night-warn bg-[#2b2317] p-3.5">
      <h2 className="text-[18px] font-bold">The piece has changed since you started</h2>
      <ul className="mt-1 text-[16px] leading-snug">
        {changes.slice(0, MOST_SHOWN).map(({ id, before, after }) => (
          <li key={id} className="py-0.5">
            {after === null ? <s className="text-night-soft">{before}</s> : after}
            {before !== null && after !== null && <span className="text-night-soft"> (was: {before})</span>}
          </li>
        ))}
        {changes.length > MOST_SHOWN && <li className="text-night-soft">and {changes.length - MOST_SHOWN} more</li>}
      </ul>
      <p className="mt-1 text-[15px] text-night-soft">Finished steps keep their numbers either way.</p>
      <div className="mt-2 flex flex-wrap gap-2">
        <button type="button" className="night-btn !min-h-[46px] !text-[16px]" onClick={onKeep}>
          Keep the plan I started with
        </button>
        <button type="button" className="night-btn night-go !min-h-[46px] !text-[16px]" onClick={onTake}>
          Use the new plan from here
        </button>
      </div>
    </section>
  );
}
