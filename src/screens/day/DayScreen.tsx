"use client";

import { doneSteps } from "@/core/making/done";
import { usePathname, useSearchParams } from "next/navigation";
import { useState } from "react";
import { cuttingList } from "@/core/heats/cutting";
import { handsOf, withinHours } from "@/core/making/working-day";
import { type DoubtOf } from "@/core/piece/doubt";
import { type Plan } from "@/core/piece/plan";
import { begunMake, underWay } from "@/store/tray-state";
import { FindButton } from "@/ui/Find";
import { NavBar } from "@/ui/NavBar";
import { ChosenPieces } from "@/ui/ChosenPieces";
import { DayLanes, pieceColour } from "@/ui/DayLanes";
import { Reckoned } from "@/ui/Reckoned";
import { type DayPiece, type DayOfLanes, dayOfPieces } from "@/ui/day";
import { type DayAsked, NO_DAY_ASKED, keepDay, keptDay, minutesBetween } from "@/ui/day-hours";
import { doubtsOf } from "@/ui/doubt";
import { HighlightProvider, useHighlight } from "@/ui/highlight";
import { useNotices } from "@/ui/notices";
import { usePlans } from "@/ui/planner";
import { useTitle } from "@/ui/title";
import { useTrayState, useUnits } from "@/ui/tray";
import { useNow } from "@/ui/useNow";
import { clockText, later } from "@/words/dates";
import { SETTLING } from "@/words/heats";
import { NO_DAY, minutesText, savedText } from "@/words/day";
import { commonText } from "@/words/common";
import { TimeField } from "./TimeField";
import { counted } from "@/words/names";
import { cutSolderText } from "@/words/torch";
import { TROUBLE_WORDS } from "@/words/trouble";
import { dayScreenText } from "@/words/screens/day";

const PIECES = "pieces";
const MINUTE = 60_000;

/** Several pieces on the bench at once: what is done when with one pair of hands, and until when. */
export function DayScreen() {
  const { warn } = useNotices();
  const units = useUnits();
  const plans = usePlans();
  const bench = useTrayState((state) => state.bench);
  const makes = useTrayState((state) => state.makes);
  const all = useTrayState(({ pieces }) => pieces);
  const pathname = usePathname();
  const inAddress = useSearchParams().get(PIECES);
  const [asked, setAsked] = useState<DayAsked>(() => keptDay() ?? NO_DAY_ASKED);
  useTitle(dayScreenText.theDay);
  const lying = all.filter(({ deleted }) => deleted === null);
  const busy = lying.filter(({ id }) => begunMake(makes, id) !== undefined).map(({ id }) => id);
  const inHand = inAddress !== null ? inAddress.split(",").filter(Boolean) : asked.pieces.length > 0 ? asked.pieces : busy;
  const [changed, change] = useState<readonly string[] | null>(null);
  const chosen = (changed ?? inHand).filter((id) => lying.some((each) => each.id === id));
  const ask = (next: Partial<DayAsked>) => {
    const day = { ...asked, ...next };
    setAsked(day);
    if (!keepDay(day)) warn(`${TROUBLE_WORDS.full}.`);
  };
  const choose = (id: string) => {
    const next = chosen.includes(id) ? chosen.filter((each) => each !== id) : [...chosen, id];
    change(next);
    ask({ pieces: next });
    window.history.replaceState(null, "", `${pathname}?${PIECES}=${next.join(",")}`);
  };
  const records = chosen.map((id) => lying.find((each) => each.id === id)!);
  const attempts = records.map((record) => ({ record, attempt: plans.soon(record.piece, bench) }));
  const pieces = attempts.flatMap(({ record, attempt }): DayPiece[] => {
    if (!attempt?.ok || !attempt.plan.tasks || plans.isSettling(record.piece, bench)) return [];
    const { plan } = attempt;
    const done = new Set(doneSteps(plan.steps, underWay(makes, record.id)?.done ?? []).keys());
    return [{ id: record.id, plan, tasks: attempt.plan.tasks, done, doubtOf: doubtsOf(record) }];
  });
  const unordered = attempts.filter(({ attempt }) => attempt?.ok && !attempt.plan.tasks).map(({ record }) => record.piece.name);
  const settling = attempts.filter(({ record }) => plans.isSettling(record.piece, bench)).map(({ record }) => record.piece.name);
  const refused = attempts.filter(({ attempt }) => attempt && !attempt.ok).map(({ record }) => record.piece.name);
  const names = new Map(lying.map(({ id, piece }) => [id, piece.name]));
  return (
    <HighlightProvider>
      <main className="min-h-dvh bg-sheet">
        <h1 className="sr-only">{dayScreenText.theDay}</h1>
        <NavBar>
          <FindButton />
          <button type="button" className="btn print:hidden" onClick={() => window.print()}>
            {dayScreenText.printTheDay}
          </button>
        </NavBar>
        <ChosenPieces
          label={dayScreenText.piecesToWorkOn}
          leaveOut={dayScreenText.notToday}
          colourOf={pieceColour}
          records={records}
          others={lying.filter(({ id }) => !chosen.includes(id))}
          onChoose={choose}
        />
        {refused.length > 0 && (
          <p role="alert" className="px-4 py-2 text-sm text-bad">
            {dayScreenText.cannotBePlannedOpenTo(refused.join(", "))}
          </p>
        )}
        {unordered.length > 0 && (
          <p role="alert" className="px-4 py-2 text-sm text-bad">
            {dayScreenText.theDaySeeHeatsFor(unordered.join(", "), NO_DAY)}
          </p>
        )}
        {settling.length > 0 && (
          <p role="status" className="px-4 py-2 text-sm text-soft">
            {settling.join(", ")}: {SETTLING}.
          </p>
        )}
        {pieces.length === 0 ? (
          <p className="px-4 py-6 text-base text-soft">
            {lying.length === 0 ? dayScreenText.thereAreNoPiecesYet : dayScreenText.chooseThePiecesToWork}
          </p>
        ) : (
          <Told
            day={dayOfPieces(pieces, units)}
            pieces={pieces.map(({ id, plan, doubtOf }) => ({ id, name: names.get(id)!, plan, doubtOf }))}
            copies={new Map(records.map(({ id, piece }) => [id, piece.copies ?? 1]))}
            asked={asked}
            onAsk={ask}
          />
        )}
      </main>
    </HighlightProvider>
  );
}

interface ToldProps {
  readonly day: DayOfLanes;
  readonly pieces: readonly { readonly id: string; readonly name: string; readonly plan: Plan; readonly doubtOf: DoubtOf }[];
  readonly copies: ReadonlyMap<string, number>;
  readonly asked: DayAsked;
  readonly onAsk: (asked: Partial<DayAsked>) => void;
}

/** When the day begins: as it was typed, else with the next minute. */
function startOf(begins: string | null, now: number): number {
  if (begins === null) return now + MINUTE;
  const [hours, minutes] = begins.split(":").map(Number) as [number, number];
  return new Date(now).setHours(hours, minutes, 0, 0);
}

function Told({ day, pieces, copies, asked, onAsk }: ToldProps) {
  const now = useNow(MINUTE);
  const start = startOf(asked.start, now);
  const begins = clockText(new Date(start).toISOString());
  const clock = (minutes: number) => clockText(later(start, minutes));
  if (day.told.length === 0) return <p className="px-4 py-6 text-base text-soft">{dayScreenText.allTheirStepsAreDone}</p>;
  const { pause, stop } = asked;
  const { today, tomorrow, finish } = withinHours(day.told, {
    pause: pause && { from: minutesBetween(begins, pause.from), minutes: pause.minutes },
    stop: stop === null ? null : Math.max(0, minutesBetween(begins, stop)),
  });
  return (
    <div className="px-4 py-3 lg:px-6">
      <div className="float-right flex flex-wrap items-end gap-3 text-sm print:hidden">
        <TimeField label={dayScreenText.startAt} value={asked.start ?? begins} onChange={(value) => onAsk({ start: value })} />
        <TimeField
          label={dayScreenText.breakAt}
          value={pause?.from ?? ""}
          onChange={(value) => onAsk({ pause: value === null ? null : { from: value, minutes: pause?.minutes ?? USUAL_BREAK } })}
        />
        {pause && (
          <label>
            {dayScreenText.breakMinutes}
            <input
              type="number"
              min={1}
              max={240}
              value={pause.minutes}
              onChange={(event) => onAsk({ pause: { ...pause, minutes: Math.max(1, Number(event.target.value) || 1) } })}
              className="entry mt-0.5 block !w-20 max-lg:h-touch"
            />
          </label>
        )}
        <TimeField label={dayScreenText.stopAt} value={stop ?? ""} onChange={(value) => onAsk({ stop: value })} />
      </div>
      <p>
        <span className="mr-3 text-sm text-soft">
          {tomorrow.length > 0
            ? dayScreenText.todayUntil
            : pieces.length === 1
              ? dayScreenText.doneBy
              : dayScreenText.allDoneBy(pieces.length)}
        </span>
        <b className="text-3xl font-bold font-condensed">{clock(finish)}</b>
      </p>
      {tomorrow.length > 0 && (
        <p className="text-sm font-strong text-warn">
          {dayScreenText.goesToTomorrow(counted(tomorrow.length, "step"), minutesText(handsOf(tomorrow)))}
        </p>
      )}
      <p className="mb-3 text-sm text-soft">
        {minutesText(day.finish)}: {savedText(day)}.
        <Reckoned tasks={day.tasks} />
      </p>
      <DayLanes tasks={today} finish={finish} begins={start} isOfSeveral={pieces.length > 1} />
      {pieces.length > 1 && (
        <ul aria-label={commonText.pieces} className="mt-1 flex flex-wrap gap-x-5 gap-y-1 text-sm">
          {pieces.map(({ id, name }, i) => (
            <li key={id} className="flex items-center gap-1.5">
              <span className="h-3 w-3 rounded-sm" style={{ background: pieceColour(i) }} /> {name},{" "}
              <span className="text-soft">
                {tomorrow.some(({ piece }) => piece === id) ? dayScreenText.goesOnTomorrow : dayScreenText.by(clock(endOf(today, id)))}
              </span>
            </li>
          ))}
        </ul>
      )}
      <div className="grid gap-x-8 lg:grid-cols-[minmax(0,1fr)_280px]">
        <div className="min-w-0">
          <h2 className="section-head !mt-5">{dayScreenText.stepsInOrder(today.length)}</h2>
          <ol className="columns-1 gap-8 lg:columns-2">
            {today.map((task) => (
              <DayRow
                key={`${task.piece} ${task.step}`}
                task={task}
                at={clock(task.start)}
                piece={pieces.length > 1 ? pieces[task.number]!.name : null}
              />
            ))}
          </ol>
        </div>
        <CutFirst pieces={pieces} copies={copies} />
      </div>
    </div>
  );
}

/** A break that nobody gave a length (minutes). */
const USUAL_BREAK = 45;

/** All the solder of the day's pieces, to be cut before the torch is lit. */
function CutFirst({ pieces, copies }: Pick<ToldProps, "pieces" | "copies">) {
  const units = useUnits();
  return (
    <section aria-label={dayScreenText.cutFirst}>
      <h2 className="section-head !mt-5">{dayScreenText.cutFirst}</h2>
      {pieces.map(({ id, name, plan, doubtOf }) => (
        <div key={id} className="border-t border-hair py-1 text-sm leading-text">
          {pieces.length > 1 && <b className="font-strong">{name}</b>}
          {cuttingList(plan.heats, copies.get(id)).map((cut, i) => (
            <p key={i}>{cutSolderText(cut, plan, units, doubtOf)}</p>
          ))}
        </div>
      ))}
    </section>
  );
}

function endOf(tasks: DayOfLanes["told"], piece: string): number {
  return Math.max(...tasks.map((task) => (task.piece === piece ? task.start + task.hands + task.wait : 0)));
}

interface RowProps {
  readonly task: DayOfLanes["told"][number];
  readonly at: string;
  readonly piece: string | null;
}

function DayRow({ task, at, piece }: RowProps) {
  const { isHighlighted, handlers } = useHighlight(`${task.piece} ${task.step}`);
  return (
    <li
      {...handlers}
      className={`grid break-inside-avoid grid-cols-[48px_1fr_auto] gap-x-2 border-t border-hair py-1 text-sm ${isHighlighted ? "bg-accent-wash" : ""}`}
    >
      <span className="text-soft">{at}</span>
      <span className="min-w-0">
        {piece && (
          <b className="mr-1.5 inline-flex items-center gap-1 font-strong">
            <span className="h-2.5 w-2.5 rounded-sm" style={{ background: pieceColour(task.number) }} />
            {piece}:
          </b>
        )}
        {task.isAtFire && <span className="mr-1.5 inline-block h-2.5 w-2.5 rounded-sm bg-ember" aria-hidden="true" />}
        {task.title}
      </span>
      <span className="text-right text-soft">
        {minutesText(task.hands)}
        {task.wait > 0 && dayScreenText.then(minutesText(task.wait))}
      </span>
    </li>
  );
}
