"use client";

import { useClock } from "@/ui/clock";
import { type Step } from "@/core/making/step";
import { type Make } from "@/core/piece/make";
import { type Plan } from "@/core/piece/plan";
import { useSessionState } from "@/ui/session";

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
  const clockOf = useClock();
  return (
    <header className="night-head flex flex-wrap items-center gap-x-5 border-b border-night-line px-4 py-1.5 text-base text-night-soft lg:px-7.5">
      <p className="min-w-0 leading-snug max-lg:flex max-lg:flex-1 max-lg:items-baseline max-lg:gap-3 lg:max-w-53">
        <b className="block truncate text-night-ink" title={name}>
          {name}
        </b>
        <span
          className="text-sm whitespace-nowrap"
          title={isBegun ? benchHeadText.started(clockOf(make.started)) : benchHeadText.notStartedYet}
        >
          {step ? benchHeadText.stepOf(at + 1, plan.steps.length) : benchHeadText.allStepsDone}
        </span>
      </p>
      <div className="order-last flex min-w-0 max-lg:basis-full lg:order-none lg:flex-1">
        <Strip plan={plan} done={done} at={at} onLook={onLook} />
      </div>
      <div className="flex items-center gap-2">
        {undo && (
          <button type="button" className="night-btn !min-h-touch !px-3 !text-base" onClick={undo}>
            {commonText.undo}
          </button>
        )}
        <button type="button" className="night-btn !min-h-touch !px-3 !text-base" onClick={onLeave}>
          {benchHeadText.leave} <kbd className="night-key">{benchHeadText.esc}</kbd>
        </button>
      </div>
    </header>
  );
}
