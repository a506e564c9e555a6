"use client";

import { type Step } from "@/core/making/step";
import { type Make } from "@/core/piece/make";
import { type Plan } from "@/core/piece/plan";
import { useSessionState } from "@/ui/session";
import { clockText } from "@/words/dates";
import { Strip } from "./StepParts";
import { commonText } from "@/words/common";
import { benchHeadText } from "@/words/screens/at-bench";

interface Props {
  readonly make: Make;
  readonly plan: Plan;
  /** When each step was done. */
  readonly done: ReadonlyMap<string, string>;
  /** The step that is shown; null once all are done. */
  readonly step: Step | null;
  readonly at: number;
  readonly isBegun: boolean;
  /** Takes the last thing back; null where there is nothing to take back. */
  readonly undo: (() => void) | null;
  readonly onLook: (step: string) => void;
  readonly onLeave: () => void;
}

/** The piece, how far its make is, and the way back and out, always in reach of a hand. */
export function BenchHead({ make, plan, done, step, at, isBegun, undo, onLook, onLeave }: Props) {
  const name = useSessionState((state) => state.piece.name);
  return (
    <header className="night-head border-b border-night-line px-4 py-2 lg:px-7.5">
      <div className="flex items-center gap-4 text-base text-night-soft">
        <b className="min-w-0 truncate text-night-ink" title={name}>
          {name}
        </b>
        <span className="whitespace-nowrap">{step ? benchHeadText.stepOf(at + 1, plan.steps.length) : benchHeadText.allStepsDone}</span>
        <span className="ml-auto whitespace-nowrap max-sm:hidden">
          {isBegun ? benchHeadText.started(clockText(make.started)) : benchHeadText.notStartedYet}
        </span>
        {undo && (
          <button type="button" className="night-btn !min-h-touch !px-3 !text-base max-sm:ml-auto" onClick={undo}>
            {commonText.undo}
          </button>
        )}
        <button type="button" className={`night-btn !min-h-touch !px-3 !text-base ${undo ? "" : "max-sm:ml-auto"}`} onClick={onLeave}>
          {benchHeadText.leave} <kbd className="night-key">{benchHeadText.esc}</kbd>
        </button>
      </div>
      <Strip plan={plan} done={done} at={at} onLook={onLook} />
    </header>
  );
}
