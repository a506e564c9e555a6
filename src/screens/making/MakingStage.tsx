"use client";

import { useClock } from "@/ui/clock";
import Link from "next/link";
import { useMemo, useRef, useState } from "react";
import { type PlannedTask } from "@/core/making/schedule";
import { doneSteps } from "@/core/making/done";
import { type Step, entriesOf, isHeating } from "@/core/making/step";
import { underWay } from "@/store/tray-state";
import { type DoubtOf, doubtAmong } from "@/core/piece/doubt";
import { type Plan } from "@/core/piece/plan";
import { Cautions } from "@/ui/Cautions";
import { DayLanes } from "@/ui/DayLanes";
import { dayOfPieces } from "@/ui/day";
import { Reckoned } from "@/ui/Reckoned";
import { useNow } from "@/ui/useNow";
import { useNotices } from "@/ui/notices";
import { useDoubt } from "@/ui/doubt";
import { MeasureField } from "@/ui/MeasureField";
import { numberField } from "@/ui/fields";
import { usePlan } from "@/ui/plan";
import { useSessionState } from "@/ui/session";
import { TorchLines } from "@/ui/TorchLines";
import { useTray, useTrayState, useUnits } from "@/ui/tray";
import { later } from "@/words/dates";
import { NO_DAY, minutesText, savedText } from "@/words/day";
import { DOUBTS } from "@/words/doubt";
import { Note } from "@/ui/Note";
import { useStanding } from "@/ui/standing";
import { sayRemedy } from "@/words/remedies";
import { stageName } from "@/words/stages";
import { CHECKS, STAGE_TITLES, copiesText, sayStep } from "@/words/steps";
import { capital } from "@/words/names";
import { type Units } from "@/words/show";
import { OwnCost } from "./OwnCost";
import { makingStageText } from "@/words/screens/making";

const MINUTE = 60_000;

const countField = numberField("count", "", 1, 0, (piece, value) => {
  if (value === 1) delete piece.count;
  else piece.count = value;
});

/** The piece's making as ordered steps: what to do, what to look at, what can hurt. */
export function MakingStage() {
  const plan = usePlan();
  const units = useUnits();
  const doubtOf = useDoubt();
  const tray = useTray();
  const piece = useSessionState((state) => state.piece);
  const make = useTrayState((state) => underWay(state.makes, piece.id));
  const done = new Set(doneSteps(plan.steps, make?.done ?? []).keys());
  const next = plan.steps.find(({ id }) => !done.has(id));
  const standing = useStanding(piece.id);
  const copies = copiesText(piece.copies);
  const [chosen, choose] = useState<string | null>(null);
  const list = useRef<HTMLOListElement>(null);
  const shown = plan.steps.find(({ id }) => id === chosen) ?? next ?? plan.steps.at(-1);
  const { warn } = useNotices();
  const tick = async (step: Step) => {
    const kept = await tray.tick(tray.making(piece), entriesOf(step), !done.has(step.id));
    if (!kept.ok) warn(`${kept.problem}.`);
  };
  return (
    <>
      <section
        aria-label={makingStageText.steps}
        className="min-w-0 border-line bg-sheet px-4 py-3 [grid-area:meas] max-lg:px-2 lg:overflow-y-auto lg:border-r lg:[grid-area:draw]"
      >
        {standing.length > 0 && (
          <div className="flex flex-wrap gap-2 pb-2">
            {standing.map((remedy) => (
              <Note key={`${remedy.code} ${remedy.figure}`} level={remedy.level} said={sayRemedy(remedy, units)} />
            ))}
          </div>
        )}
        <div className="max-w-76 pb-1">
          <MeasureField
            field={countField}
            label={makingStageText.toMakeNext}
            hint={makingStageText.forCuttingAndOrdering}
            value={piece.count ?? 1}
            shape="compact"
          />
        </div>
        <OwnCost plan={plan} doubtOf={doubtOf} />
        {copies && <p className="pb-1 text-sm font-semibold">{copies}</p>}
        <ol ref={list}>
          {plan.steps.map((step, i) => (
            <StepRow
              key={step.id}
              step={step}
              number={i + 1}
              title={sayStep(step, plan, units, doubtOf).title}
              heading={step.stage !== plan.steps[i - 1]?.stage ? stageName(STAGE_TITLES[step.stage], step.stage, plan) : null}
              isDone={done.has(step.id)}
              isNext={step.id === next?.id}
              isShown={step.id === shown?.id}
              onShow={() => choose(step.id)}
              onTick={() => void tick(step)}
            />
          ))}
        </ol>
      </section>
      <section
        aria-label={makingStageText.thisStep}
        className="min-w-0 border-line bg-paper px-3.5 pt-2.5 pb-3 [grid-area:draw] max-lg:border-b lg:overflow-y-auto lg:[grid-area:meas]"
      >
        {shown && <StepDetail step={shown} plan={plan} units={units} doubtOf={doubtOf} />}
      </section>
      <section
        aria-label={makingStageText.answer}
        className="flex min-w-0 flex-col justify-center gap-4 overflow-hidden border-line bg-paper px-5 [grid-area:foot] max-lg:gap-2 max-lg:border-b max-lg:px-3.5 max-lg:py-3 lg:border-t"
      >
        <div className="flex items-baseline gap-5">
          <p className="min-w-0 lg:truncate">
            <span className="mr-2 text-sm text-soft">
              {next ? makingStageText.step(plan.steps.indexOf(next) + 1) : makingStageText.allSteps}
            </span>
            <span className="font-bold font-condensed max-lg:text-xl lg:text-2xl">
              {next ? sayStep(next, plan, units, doubtOf).title : makingStageText.done}
            </span>
          </p>
          <p className="ml-auto text-sm whitespace-nowrap text-soft">
            <b className="font-semibold text-ink">{plan.steps.filter(({ id }) => done.has(id)).length}</b>{" "}
            {makingStageText.ofDone(plan.steps.length)}
          </p>
        </div>
        {plan.tasks ? (
          <DayLeft piece={piece.id} plan={plan} tasks={plan.tasks} done={[...done].join()} />
        ) : (
          <p className="text-sm text-bad">{makingStageText.theDay(NO_DAY)}</p>
        )}
      </section>
    </>
  );
}

interface DayProps {
  readonly piece: string;
  readonly plan: Plan;
  readonly tasks: readonly PlannedTask[];
  /** Steps that are done, as one text. */
  readonly done: string;
}

/** What is left of the making as a day from now, and what its waits save. */
function DayLeft({ piece, plan, tasks, done }: DayProps) {
  const units = useUnits();
  const doubtOf = useDoubt();
  const day = useMemo(
    () => dayOfPieces([{ id: piece, plan, tasks, done: new Set(done.split(",")), doubtOf }], units),
    [piece, plan, tasks, done, doubtOf, units],
  );
  const now = useNow(MINUTE) + MINUTE;
  const clockOf = useClock();
  const clock = (minutes: number) => clockOf(later(now, minutes));
  if (day.told.length === 0) return null;
  return (
    <>
      <p className="text-sm text-soft">
        <b className="font-semibold text-ink">{minutesText(day.finish)}</b> {makingStageText.leftDoneBy}{" "}
        <b className="font-semibold text-ink">{clock(day.finish)}</b>: {savedText(day)}.{" "}
        <Link href={`/day?pieces=${piece}`} className="pressed inline-flex items-center underline max-lg:flex max-lg:w-fit">
          {makingStageText.planTheDay}
        </Link>
        <Reckoned tasks={day.tasks} />
      </p>
      <DayLanes tasks={day.told} finish={day.finish} begins={now} isOfSeveral={false} />
    </>
  );
}

interface RowProps {
  readonly step: Step;
  readonly number: number;
  readonly title: string;
  readonly heading: string | null;
  readonly isDone: boolean;
  readonly isNext: boolean;
  readonly isShown: boolean;
  readonly onShow: () => void;
  readonly onTick: () => void;
}

function StepRow({ step, number, title, heading, isDone, isNext, isShown, onShow, onTick }: RowProps) {
  const isHeat = isHeating(step);
  return (
    <li>
      {heading && <h2 className="mt-3 mb-1 text-xs font-strong text-soft first:mt-0">{heading}</h2>}
      <div
        className={`grid grid-cols-[30px_26px_1fr_auto] items-center max-lg:grid-cols-[44px_26px_1fr_auto] rounded-sm border-t border-hair ${isShown ? "bg-accent-wash" : ""} ${isNext ? "font-strong" : ""}`}
      >
        <label className="pressed grid place-items-center">
          <input
            type="checkbox"
            checked={isDone}
            onChange={onTick}
            onFocus={onShow}
            aria-label={`${number}. ${title}`}
            className="h-4 w-4 accent-accent max-lg:h-6.5 max-lg:w-6.5"
          />
        </label>
        <span className="text-right text-sm text-soft">{number}</span>
        <button
          type="button"
          onClick={onShow}
          className={`min-w-0 py-1.5 pl-2.5 text-left text-sm max-lg:min-h-touch ${isDone ? "text-soft" : ""}`}
        >
          {isHeat && <span className="mr-1.5 inline-block h-2.5 w-2.5 rounded-sm bg-ember" aria-hidden="true" />}
          {title}
        </button>
        {isNext && <span className="px-2 text-xs text-accent">{makingStageText.next}</span>}
      </div>
    </li>
  );
}

interface DetailProps {
  readonly step: Step;
  readonly plan: Plan;
  readonly units: Units;
  readonly doubtOf: DoubtOf;
}

function StepDetail({ step, plan, units, doubtOf }: DetailProps) {
  const { title, detail } = sayStep(step, plan, units, doubtOf);
  const doubt = doubtAmong(
    [step.target, step.second].filter((key) => key !== null),
    doubtOf,
  );
  return (
    <>
      <h2 className="section-head">{stageName(STAGE_TITLES[step.stage], step.stage, plan)}</h2>
      <h3 className="text-xl leading-tight font-bold font-condensed">{title}</h3>
      {doubt && <p className="mt-1 text-sm font-semibold text-warn">○ {capital(DOUBTS[doubt])}</p>}
      {detail && <p className="mt-2 text-sm leading-text">{detail}</p>}
      <TorchLines step={step} plan={plan} />
      {step.checks.length > 0 && (
        <>
          <h2 className="section-head mt-4">{makingStageText.checkBeforeYouGoOn}</h2>
          <ul>
            {step.checks.map((check) => (
              <li key={check} className="border-t border-hair py-1.5 text-sm">
                {CHECKS[check]}
              </li>
            ))}
          </ul>
        </>
      )}
      <Cautions codes={step.cautions} />
    </>
  );
}
