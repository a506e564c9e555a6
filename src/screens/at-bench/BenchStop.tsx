"use client";

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
  return (
    <section aria-label="Start again" role="alert" className="mb-5">
      <p className="text-[21px] leading-tight font-bold text-night-warn lg:text-[24px]">
        <span aria-hidden="true">◆ </span>
        {what}
      </p>
      <p className="mt-1 text-[16px] leading-snug text-[#cdd5d6]">{advice} Not sure? Read it again and type it above.</p>
      <div className="mt-3 rounded-[8px] border-2 border-glow p-3">
        <p className="mb-2 text-[15px] text-night-soft">Comes again: {costText(costOf(again, plan.tasks))}. The rest stays as it is.</p>
        <button type="button" className="night-btn night-go w-full" onClick={onAnew}>
          <kbd className="night-key !border-[#c79f4b] !bg-[#e6bd66] !text-night">N</kbd> Make a new {names.part(stop.anew[0]!)}
        </button>
      </div>
      <div className="mt-2.5 rounded-[8px] border border-night-edge p-3">
        <p className="mb-2 text-[15px] text-night-soft">
          Still to come: {costText(costOf(ahead, plan.tasks))}, on a part that does not hold.
        </p>
        <button type="button" className="night-btn w-full" onClick={onGoOn}>
          <kbd className="night-key">G</kbd> Go on all the same
        </button>
      </div>
    </section>
  );
}
