"use client";

import { useEffect, useRef } from "react";
import { costOf, madeAnew } from "@/core/piece/anew";
import { type Plan } from "@/core/piece/plan";
import { type Remedy } from "@/core/piece/remedies";
import { useUnits } from "@/ui/tray";
import { costText } from "@/words/making";
import { namesIn } from "@/words/names";
import { sayRemedy } from "@/words/remedies";

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
    <section ref={own} aria-label="Start again" role="alert" className="mb-4 scroll-mb-[110px]">
      <p className="text-[20px] leading-tight font-bold text-night-warn lg:text-[23px]">
        <span aria-hidden="true">◆ </span>
        {what}
      </p>
      <p className="mt-1 mb-2.5 text-[16px] leading-snug text-[#cdd5d6]">{advice} Not sure? Read it again and type it above.</p>
      <button type="button" className="night-btn night-go w-full !justify-start" onClick={onAnew}>
        <kbd className="night-key !border-[#c79f4b] !bg-[#e6bd66] !text-night max-lg:hidden">N</kbd>
        <span className="text-left leading-tight">
          Make a new {names.part(stop.anew[0]!)}
          <small className="block text-[13.5px] font-normal">again: {costText(costOf(again, plan.tasks))}; the rest stays</small>
        </span>
      </button>
      <button type="button" className="night-btn mt-2 w-full !justify-start" onClick={onGoOn}>
        <kbd className="night-key max-lg:hidden">G</kbd>
        <span className="text-left leading-tight">
          Go on all the same
          <small className="block text-[13.5px] font-normal text-night-soft">still to come: {costText(costOf(ahead, plan.tasks))}</small>
        </span>
      </button>
    </section>
  );
}
