"use client";

import { type Step } from "@/core/making/step";
import { type Make } from "@/core/piece/make";
import { type Plan } from "@/core/piece/plan";
import { useSessionState } from "@/ui/session";
import { clockText } from "@/words/dates";
import { Strip } from "./StepParts";

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
    <header className="night-head border-b border-night-line px-4 py-2 lg:px-[26px]">
      <div className="flex items-center gap-4 text-[15px] text-night-soft">
        <b className="min-w-0 truncate text-night-ink" title={name}>
          {name}
        </b>
        <span className="whitespace-nowrap">{step ? `Step ${at + 1} of ${plan.steps.length}` : "All steps done"}</span>
        <span className="ml-auto whitespace-nowrap max-sm:hidden">
          {isBegun ? `Started ${clockText(make.started)}` : "Not started yet"}
        </span>
        {undo && (
          <button type="button" className="night-btn !min-h-[44px] !px-3 !text-[15px] max-sm:ml-auto" onClick={undo}>
            Undo
          </button>
        )}
        <button type="button" className={`night-btn !min-h-[44px] !px-3 !text-[15px] ${undo ? "" : "max-sm:ml-auto"}`} onClick={onLeave}>
          Leave <kbd className="night-key">Esc</kbd>
        </button>
      </div>
      <Strip plan={plan} done={done} at={at} onLook={onLook} />
    </header>
  );
}
