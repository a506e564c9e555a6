"use client";

import { isHeating } from "@/core/making/step";
import { type Plan } from "@/core/piece/plan";
import { lengthUnit, showLength, type Units } from "@/words/show";
import { roundingOf } from "@/words/steps";

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
    <p className="step-figure mt-1 text-[92px] leading-[0.98] md:text-[112px] font-[740] tracking-[-0.04em] text-glow [font-stretch:88%] lg:mt-4 lg:text-[128px]">
      {showLength(mm, roundingOf(figureKey), units)}
      <span className="ml-2 text-[28px] font-normal tracking-normal text-night-soft lg:text-[38px]">
        {lengthUnit(units)}
        {isMeasured && <span className="ml-3 text-[18px]">measured</span>}
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
    <ol aria-hidden="true" className="own-colours mt-2 flex h-[22px] items-center gap-[2px] lg:gap-1">
      {plan.steps.map((step, i) => (
        <li
          key={step.id}
          role="presentation"
          onClick={() => onLook(step.id)}
          className={`h-2 flex-1 cursor-pointer rounded-[2px] lg:h-2.5 ${colourOf(done.has(step.id), i === at, isHeating(step))}`}
        />
      ))}
    </ol>
  );
}

function colourOf(isDone: boolean, isHere: boolean, isHeat: boolean): string {
  if (isHere) return "bg-glow";
  if (isHeat) return isDone ? "bg-[#d9581a]" : "bg-[#8c3a1c]";
  return isDone ? "bg-[#6f7a7e]" : "bg-night-line";
}
