"use client";

import { useClock } from "@/ui/clock";
import Link from "next/link";
import { Suspense, lazy } from "react";
import { type Step, isHeating } from "@/core/making/step";
import { type Make } from "@/core/piece/make";
import { type Plan } from "@/core/piece/plan";
import { type Remedy } from "@/core/piece/remedies";
import { Cautions } from "@/ui/Cautions";
import { useDoubt } from "@/ui/doubt";
import { TorchLines } from "@/ui/TorchLines";
import { useUnits } from "@/ui/tray";

import { WithWords } from "@/ui/WithWords";
import { sayRemedy } from "@/words/remedies";
import { stageName } from "@/words/stages";
import { STAGE_TITLES, sayStep } from "@/words/steps";
import { Big } from "./StepParts";
import { StepPicture } from "./StepPicture";
import { PICTURES } from "./step-pictures";
import { stepBodyText } from "@/words/screens/at-bench";
import { practiceText } from "@/words/screens/practice";

const TakeFromDrawer = lazy(() => import("./TakeFromDrawer").then(({ TakeFromDrawer }) => ({ default: TakeFromDrawer })));

interface Props {
  readonly step: Step;
  readonly plan: Plan;
  /** Null before it is begun. */
  readonly make: Make | null;
  /** What the plan says to do about what was read at it. */
  readonly remedies: readonly Remedy[];
  /** When it was done; undefined where it is not. */
  readonly doneAt: string | undefined;
  readonly onUntick: () => void;
}

/** What is done in a step: its words, its one figure, what was read of it, and what can hurt. */
export function StepBody({ step, plan, make, remedies, doneAt, onUntick }: Props) {
  const units = useUnits();
  const clockOf = useClock();
  const doubtOf = useDoubt();
  const { title, detail } = sayStep(step, plan, units, doubtOf);
  const figure = step.target === null ? undefined : plan.figures[step.target];
  const big = step.target !== null && figure?.unit === "mm" && !doubtOf(step.target) ? { key: step.target, figure } : null;
  const isWide = PICTURES[step.code] === "rule";
  return (
    <div aria-live="polite">
      <p className="text-base text-night-soft lg:text-lg">
        {stageName(STAGE_TITLES[step.stage], step.stage, plan)}
        {doneAt !== undefined && (
          <>
            {" "}
            · <span className="text-night-ok">{stepBodyText.done(clockOf(doneAt))}</span>{" "}
            <button type="button" className="ml-2 min-h-touch underline" onClick={onUntick}>
              {stepBodyText.notDoneYet}
            </button>
          </>
        )}
      </p>
      <h1 className="mt-1 max-w-205.5 text-2xl leading-tight md:text-3xl font-bold tracking-tight font-condensed lg:text-3xl">{title}</h1>
      {detail && (
        <p className="mt-2 max-w-194.5 text-base leading-text text-night-key lg:text-lg">
          <WithWords text={detail} />
        </p>
      )}
      <div className={`step-shown ${isWide ? "step-wide" : ""}`}>
        <div className="min-w-0">
          {big && (
            <Big
              figureKey={big.key}
              mm={big.figure.value}
              units={units}
              isMeasured={big.figure.terms.some(({ from }) => from === "measured")}
            />
          )}
          <TorchLines step={step} plan={plan} isNight />
          {isHeating(step) && doneAt === undefined && step.joints[0] && (
            <Link
              href={`/pieces/${plan.piece}/practice?joint=${step.joints[0]}&from=bench`}
              className="inline-grid min-h-touch place-items-center text-base font-semibold text-glow underline underline-offset-2"
            >
              {practiceText.practiseFirst}
            </Link>
          )}
        </div>
        <StepPicture step={step} plan={plan} />
      </div>
      {make && step.target !== null && !doubtOf(step.target) && plan.cuts.some(({ figure }) => figure === step.target) && (
        <Suspense>
          <TakeFromDrawer key={step.id} {...{ make, plan, step }} />
        </Suspense>
      )}
      {remedies.map((remedy) => {
        const { what, advice } = sayRemedy(remedy, units);
        return (
          <p key={remedy.code} role="note" className="mt-3 max-w-194.5 text-lg leading-snug text-night-warn lg:text-xl">
            <b>{what}</b> {advice}
          </p>
        );
      })}
      <Cautions codes={step.cautions} isNight />
    </div>
  );
}
