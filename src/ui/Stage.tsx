"use client";

import { type ReactNode } from "react";
import { type StageId } from "@/words/stages";
import { FindingNotes } from "./FindingNotes";
import { HighlightProvider } from "./highlight";
import { doubtAmong } from "@/core/piece/doubt";
import { DOUBTS } from "@/words/doubt";
import { useDoubt } from "./doubt";
import { useSessionState } from "./session";
import { GoesOn } from "./GoesOn";
import { type Size, useSize } from "./useSize";
import { stageText } from "@/words/ui";

interface Props {
  readonly stage: StageId;
  readonly mount: string;
  readonly drawing: (size: Size) => ReactNode;
  /** Whether the drawing has more than plan and section to show one under the other on a narrow screen. */
  readonly isTall?: boolean;
  readonly measures: ReactNode;
  readonly foot: ReactNode;
}

/** One stage of a piece: its drawing with what there is to say about it, its measures beside it, its answer across the foot. */
export function Stage({ stage, mount, drawing, isTall = false, measures, foot }: Props) {
  const [ref, size] = useSize(784, 548);
  return (
    <HighlightProvider>
      <section
        aria-label={stageText.answer}
        className="relative min-w-0 overflow-hidden border-line bg-paper px-5 pt-2.5 pb-1.5 [grid-area:foot] max-lg:border-b max-lg:px-3.5 lg:border-t"
      >
        {foot}
      </section>
      <section
        aria-label={stageText.drawing}
        className="flex min-w-0 flex-col border-line bg-sheet [grid-area:draw] max-lg:border-b lg:overflow-hidden lg:border-r"
      >
        <div
          ref={ref}
          className={`relative min-h-0 flex-1 overflow-hidden max-lg:flex-none ${isTall ? "max-sm:h-205.5 sm:max-lg:h-[max(440px,min(130vw,560px))]" : "max-lg:h-[max(440px,min(130vw,560px))]"}`}
        >
          {drawing(size)}
          <Refused />
        </div>
        <FindingNotes stage={stage} mount={mount} />
      </section>
      <section
        aria-label={stageText.measures}
        className="min-w-0 bg-paper px-3.5 pt-2.5 pb-3 [grid-area:meas] lg:scroll-pb-8 lg:overflow-y-auto"
      >
        <GoesOn>{measures}</GoesOn>
      </section>
    </HighlightProvider>
  );
}

/** Why what is dragged in the drawing stops short. */
function Refused() {
  const refused = useSessionState((state) => state.refused);
  return (
    <p
      role="alert"
      className={refused ? "absolute bottom-3 left-3 max-w-120 rounded-md bg-bad-wash px-2.5 py-1.5 text-sm text-melt" : "sr-only"}
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
    <div className={`flex flex-wrap items-baseline gap-x-5 gap-y-0.5 lg:min-h-15.5 ${doubt ? "doubtful" : ""}`}>
      {children}
      {doubt && (
        <p role="note" className="ml-auto text-sm font-semibold text-warn">
          <span aria-hidden="true">○ </span>
          {DOUBTS[doubt]}
        </p>
      )}
      {sum && !doubt && <div className="text-sm text-soft lg:ml-auto">{sum}</div>}
    </div>
  );
}

/** One answer in large figures. */
export function Answer({ lead, unit, children }: { readonly lead: string; readonly unit?: string; readonly children: ReactNode }) {
  return (
    <div className="flex items-baseline">
      <span className="mr-2 text-sm text-soft">{lead}</span>
      <span className="big">{children}</span>
      {unit && <span className="ml-1 text-base font-medium text-soft">{unit}</span>}
    </div>
  );
}
