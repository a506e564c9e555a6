"use client";

import { cuttingList } from "@/core/heats/cutting";
import { handsOf, withinHours } from "@/core/making/working-day";
import { type DoubtOf } from "@/core/piece/doubt";
import { type Plan } from "@/core/piece/plan";
import { useClock } from "@/ui/clock";
import { DayLanes, pieceColour } from "@/ui/DayLanes";
import { Reckoned } from "@/ui/Reckoned";
import { type DayOfLanes } from "@/ui/day";
import { type DayAsked, minutesBetween } from "@/ui/day-hours";
import { useHighlight } from "@/ui/highlight";
import { useUnits } from "@/ui/tray";
import { useNow } from "@/ui/useNow";
import { clockText, later } from "@/words/dates";
import { minutesText, savedText } from "@/words/day";
import { commonText } from "@/words/common";
import { TimeField } from "./TimeField";
import { counted } from "@/words/names";
import { cutSolderText } from "@/words/torch";
import { dayScreenText } from "@/words/screens/day";

const MINUTE = 60_000;

interface Props {
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

/** What is done when, until when, and what goes to tomorrow. */
export function DayPlan({ day, pieces, copies, asked, onAsk }: Props) {
  const now = useNow(MINUTE);
  const start = startOf(asked.start, now);
  const begins = clockText(new Date(start).toISOString());
  const clockOf = useClock();
  const clock = (minutes: number) => clockOf(later(start, minutes));
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
      <DayLanes tasks={today} finish={finish} begins={start} now={(now - start) / MINUTE} isOfSeveral={pieces.length > 1} />
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
function CutFirst({ pieces, copies }: Pick<Props, "pieces" | "copies">) {
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
