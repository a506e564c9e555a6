"use client";

import { Flame } from "lucide-react";
import { type Step, type StepStage, isHeating } from "@/core/making/step";
import { type Plan } from "@/core/piece/plan";
import { lengthUnit, showLength, type Units } from "@/words/show";
import { stageName } from "@/words/stages";
import { STAGE_TITLES, roundingOf } from "@/words/steps";
import { stepPartsText } from "@/words/screens/at-bench";

interface BigProps {
  readonly figureKey: string;
  readonly mm: number;
  readonly units: Units;
  /** Whether it follows what was measured. */
  readonly isMeasured: boolean;
}

/** The one figure that a step is about. */
export function Big({ figureKey, mm, units, isMeasured }: BigProps) {
  return (
    <p className="step-figure mt-1 leading-none font-bold tracking-tight text-glow font-condensed lg:mt-4">
      {showLength(mm, roundingOf(figureKey), units)}
      <span className="ml-2 text-2xl font-normal tracking-normal text-night-soft lg:text-3xl">
        {lengthUnit(units)}
        {isMeasured && <span className="ml-3 text-lg">{stepPartsText.measured}</span>}
      </span>
    </p>
  );
}

interface StripProps {
  readonly plan: Plan;
  readonly done: ReadonlyMap<string, string>;
  readonly at: number;
  readonly onLook: (step: string) => void;
}

/** All steps in one strip, in their stages: done, this one, heats, still to come. */
export function Strip({ plan, done, at, onLook }: StripProps) {
  return (
    <ol aria-hidden="true" className="own-colours flex min-w-0 flex-1 gap-2 lg:gap-3">
      {stagesOf(plan.steps).map(({ stage, steps, first }) => {
        const isHere = at >= first && at < first + steps.length;
        return (
          <li key={first} role="presentation" className="min-w-0" style={{ flex: steps.length }}>
            <ol className="flex h-6.5 items-center gap-0.5">
              {steps.map((step, i) => (
                <li
                  key={step.id}
                  role="presentation"
                  data-step={step.id}
                  onClick={() => onLook(step.id)}
                  className={`relative flex-1 cursor-pointer rounded-sm ${first + i === at ? "h-5" : "h-2.5"} ${colourOf(done.has(step.id), first + i === at, isHeating(step))}`}
                >
                  {isHeating(step) && (
                    <Flame
                      size={13}
                      className={`absolute -top-4 left-1/2 -translate-x-1/2 max-lg:hidden ${done.has(step.id) ? "text-flame" : "text-gather"}`}
                    />
                  )}
                </li>
              ))}
            </ol>
            <span
              className={`flex text-xs leading-none whitespace-nowrap ${first > 0 && first + steps.length === plan.steps.length ? "justify-end" : ""} ${isHere ? "font-semibold text-night-ink" : "text-night-soft max-lg:hidden"}`}
            >
              {steps.length < LEAST_NAMED && !isHere ? "" : stageName(STAGE_TITLES[stage], stage, plan)}
            </span>
          </li>
        );
      })}
    </ol>
  );
}

/** A stage of fewer steps has no room for its name. */
const LEAST_NAMED = 3;

interface StageRun {
  readonly stage: StepStage;
  readonly steps: readonly Step[];
  /** Its first step's place among all. */
  readonly first: number;
}

/** Steps of one stage after another; a heat belongs to the stage that it is in the midst of. */
function stagesOf(steps: readonly Step[]): StageRun[] {
  return steps.reduce<StageRun[]>((runs, step, i) => {
    const last = runs.at(-1);
    return last && (step.stage === last.stage || step.stage === "join")
      ? [...runs.slice(0, -1), { ...last, steps: [...last.steps, step] }]
      : [...runs, { stage: step.stage, steps: [step], first: i }];
  }, []);
}

function colourOf(isDone: boolean, isHere: boolean, isHeat: boolean): string {
  if (isHere) return "bg-glow";
  if (isHeat) return isDone ? "bg-flame" : "bg-ember";
  return isDone ? "bg-metal-edge" : "bg-night-line";
}
