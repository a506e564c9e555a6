"use client";

import { type ReactNode } from "react";
import { LitProvider } from "./lit";
import { doubtAmong } from "@/core/piece/doubt";
import { DOUBTS } from "@/words/doubt";
import { useDoubt } from "./doubt";
import { useSessionState } from "./session";
import { type Size, useSize } from "./useSize";

interface Props {
  readonly drawing: (size: Size) => ReactNode;
  readonly measures: ReactNode;
  readonly foot: ReactNode;
}

/** One stage of a piece: its drawing, its measures beside it, its answer across the foot. */
export function Stage({ drawing, measures, foot }: Props) {
  const [ref, size] = useSize(784, 548);
  return (
    <LitProvider>
      <section aria-label="Drawing" ref={ref} className="relative overflow-hidden border-r border-line bg-sheet [grid-area:draw]">
        {drawing(size)}
        <Refused />
      </section>
      <section aria-label="Measures" className="overflow-y-auto bg-paper px-3.5 pt-2.5 pb-3 [grid-area:meas]">
        {measures}
      </section>
      <section aria-label="Answer" className="relative overflow-hidden border-t border-line bg-paper px-[18px] pt-2.5 [grid-area:foot]">
        {foot}
      </section>
    </LitProvider>
  );
}

/** Why what is dragged in the drawing stops short. */
function Refused() {
  const refused = useSessionState((state) => state.refused);
  return (
    <p
      role="alert"
      className={
        refused
          ? "absolute bottom-3 left-3 max-w-[420px] rounded-[5px] bg-bad-wash px-[9px] py-[6px] text-[12.5px] text-[#7d1712]"
          : "sr-only"
      }
    >
      {refused && (
        <>
          <span aria-hidden="true">◆ </span>
          {refused}.
        </>
      )}
    </p>
  );
}

interface AnswersProps {
  /** Keys of the figures they come from. */
  readonly figures: readonly string[];
  readonly sum?: ReactNode;
  readonly children: ReactNode;
}

/** The answers in a row, and at the end the sum they came from, or why they cannot be trusted yet. */
export function Answers({ figures, children, sum }: AnswersProps) {
  const doubt = doubtAmong(figures, useDoubt());
  return (
    <div className={`flex items-baseline gap-x-5 overflow-hidden whitespace-nowrap ${doubt ? "doubtful" : ""}`}>
      {children}
      {doubt && (
        <p role="note" className="ml-auto text-[13px] font-semibold text-warn">
          <span aria-hidden="true">○ </span>
          {DOUBTS[doubt]}
        </p>
      )}
      {sum && !doubt && <div className="ml-auto hidden min-w-0 truncate text-[13px] text-soft min-[1120px]:block">{sum}</div>}
    </div>
  );
}

/** One answer in large figures. */
export function Answer({ lead, unit, children }: { readonly lead: string; readonly unit?: string; readonly children: ReactNode }) {
  return (
    <div className="flex items-baseline">
      <span className="mr-2 text-[12.5px] text-soft">{lead}</span>
      <span className="big">{children}</span>
      {unit && <span className="ml-1 text-[15px] font-[520] text-soft">{unit}</span>}
    </div>
  );
}
