"use client";

import { isHeating } from "@/core/making/step";
import { type Plan } from "@/core/piece/plan";
import { lengthUnit, showLength, type Units } from "@/words/show";
import { roundingOf } from "@/words/steps";
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
    <p className="step-figure mt-1 text-4xl leading-none md:text-4xl font-bold tracking-tight text-glow font-condensed lg:mt-4 lg:text-4xl">
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

/** All steps in one strip: done, this one, heats, still to come. */
export function Strip({ plan, done, at, onLook }: StripProps) {
  return (
    <ol aria-hidden="true" className="own-colours mt-2 flex h-6.5 items-center gap-0.5 lg:gap-1">
      {plan.steps.map((step, i) => (
        <li
          key={step.id}
          role="presentation"
          onClick={() => onLook(step.id)}
          className={`h-2 flex-1 cursor-pointer rounded-sm lg:h-2.5 ${colourOf(done.has(step.id), i === at, isHeating(step))}`}
        />
      ))}
    </ol>
  );
}

function colourOf(isDone: boolean, isHere: boolean, isHeat: boolean): string {
  if (isHere) return "bg-glow";
  if (isHeat) return isDone ? "bg-flame" : "bg-ember";
  return isDone ? "bg-metal-edge" : "bg-night-line";
}
