"use client";

import { type Step } from "@/core/making/step";
import { type Plan } from "@/core/piece/plan";
import { useDoubt } from "@/ui/doubt";
import { nextUpText } from "@/words/screens/at-bench";
import { type Units } from "@/words/show";
import { sayStep } from "@/words/steps";

interface Props {
  /** null where nothing is left after this one. */
  readonly step: Step | null;
  readonly plan: Plan;
  readonly units: Units;
}

/** What comes after the step that is shown, beside Done. */
export function NextUp({ step, plan, units }: Props) {
  const doubtOf = useDoubt();
  return (
    <p className="min-w-0 self-center text-base leading-snug text-night-soft max-lg:order-first max-lg:basis-full max-lg:truncate lg:flex-1 lg:border-l lg:border-night-line lg:pl-4">
      {step && (
        <>
          {nextUpText.next} <b className="text-night-ink">{sayStep(step, plan, units, doubtOf).title}</b>
        </>
      )}
    </p>
  );
}
