"use client";

import { useEffect, useRef } from "react";
import { costOf, madeAnew } from "@/core/piece/anew";
import { type Plan } from "@/core/piece/plan";
import { type Remedy } from "@/core/piece/remedies";
import { useUnits } from "@/ui/tray";
import { costText } from "@/words/making";
import { namesIn } from "@/words/names";
import { sayRemedy } from "@/words/remedies";
import { benchStopText } from "@/words/screens/at-bench";

interface Props {
  readonly stop: Remedy;
  readonly plan: Plan;
  readonly done: ReadonlyMap<string, string>;
  readonly onAnew: () => void;
  readonly onGoOn: () => void;
}

/** A reading that means "start again": what it means, and what each way on costs. */
export function BenchStop({ stop, plan, done, onAnew, onGoOn }: Props) {
  const units = useUnits();
  const { what, advice } = sayRemedy(stop, units);
  const names = namesIn(plan);
  const again = madeAnew(plan, stop.anew).steps.filter(({ id }) => done.has(id));
  const ahead = plan.steps.filter(({ id }) => !done.has(id));
  const own = useRef<HTMLElement>(null);
  useEffect(() => void own.current?.scrollIntoView({ block: "nearest" }), []);
  return (
    <section ref={own} aria-label={benchStopText.startAgain} role="alert" className="mb-4 scroll-mb-[110px]">
      <p className="text-xl leading-tight font-bold text-night-warn lg:text-2xl">
        <span aria-hidden="true">◆ </span>
        {what}
      </p>
      <p className="mt-1 mb-2.5 text-lg leading-snug text-night-key">{benchStopText.notSureReadItAgain(advice)}</p>
      <button type="button" className="night-btn night-go w-full !justify-start" onClick={onAnew}>
        <kbd className="night-key !border-brass !bg-brass-pale !text-night max-lg:hidden">N</kbd>
        <span className="text-left leading-tight">
          {benchStopText.makeANew(names.part(stop.anew[0]!))}
          <small className="block text-sm font-normal">{benchStopText.againTheRestStays(costText(costOf(again, plan.tasks)))}</small>
        </span>
      </button>
      <button type="button" className="night-btn mt-2 w-full !justify-start" onClick={onGoOn}>
        <kbd className="night-key max-lg:hidden">G</kbd>
        <span className="text-left leading-tight">
          {benchStopText.goOnAllTheSame}
          <small className="block text-sm font-normal text-night-soft">
            {benchStopText.stillToCome(costText(costOf(ahead, plan.tasks)))}
          </small>
        </span>
      </button>
    </section>
  );
}
