"use client";

import { doneSteps } from "@/core/making/done";
import { ArrowLeft } from "lucide-react";
import Link from "next/link";
import { usePathname, useSearchParams } from "next/navigation";
import { useState } from "react";
import { underWay } from "@/store/tray-state";
import { NotKept } from "@/ui/NotKept";
import { DayLanes, pieceColour } from "@/ui/DayLanes";
import { Reckoned } from "@/ui/Reckoned";
import { type DayPiece, type DayOfLanes, dayOfPieces } from "@/ui/day";
import { doubtsOf } from "@/ui/doubt";
import { HighlightProvider, useHighlight } from "@/ui/highlight";
import { usePlans } from "@/ui/planner";
import { useTitle } from "@/ui/title";
import { useTrayState, useUnits } from "@/ui/tray";
import { useNow } from "@/ui/useNow";
import { clockText, later } from "@/words/dates";
import { SETTLING } from "@/words/heats";
import { NO_DAY, minutesText, savedText } from "@/words/day";
import { commonText } from "@/words/common";
import { dayScreenText } from "@/words/screens/day";

const PIECES = "pieces";
const MINUTE = 60_000;

/** Several pieces on the bench at once: what is done when with one pair of hands, and until when. */
export function DayScreen() {
  const units = useUnits();
  const plans = usePlans();
  const bench = useTrayState((state) => state.bench);
  const makes = useTrayState((state) => state.makes);
  const all = useTrayState(({ pieces }) => pieces);
  const pathname = usePathname();
  const asked = useSearchParams().get(PIECES);
  const [chosen, setChosen] = useState<readonly string[]>(() => asked?.split(",").filter(Boolean) ?? []);
  useTitle(dayScreenText.theDay);
  const lying = all.filter(({ deleted }) => deleted === null);
  const choose = (id: string) => {
    const next = chosen.includes(id) ? chosen.filter((each) => each !== id) : [...chosen, id];
    setChosen(next);
    window.history.replaceState(null, "", `${pathname}?${PIECES}=${next.join(",")}`);
  };
  const attempts = lying.filter(({ id }) => chosen.includes(id)).map((record) => ({ record, attempt: plans.soon(record.piece, bench) }));
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
        <header className="flex min-h-touch flex-wrap items-center gap-2 border-b border-line px-4 py-1.5">
          <Link href="/" className="btn max-lg:h-touch">
            <ArrowLeft size={14} aria-hidden="true" /> {commonText.pieces}
          </Link>
          <h1 className="text-base font-strong">{dayScreenText.theDay}</h1>
        </header>
        <NotKept />
        <fieldset className="flex flex-wrap gap-x-4 gap-y-1 border-b border-line bg-paper px-4 py-2.5 text-sm">
          <legend className="sr-only">{dayScreenText.piecesToWorkOn}</legend>
          {lying.map(({ id, piece }) => (
            <label key={id} className="flex items-center gap-1.5 max-lg:min-h-touch">
              <input type="checkbox" checked={chosen.includes(id)} onChange={() => choose(id)} className="h-4 w-4 accent-accent" />
              {piece.name}
            </label>
          ))}
        </fieldset>
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
          <Told day={dayOfPieces(pieces, units)} pieces={pieces.map(({ id }) => ({ id, name: names.get(id)! }))} />
        )}
      </main>
    </HighlightProvider>
  );
}

/** When the day begins: as typed today, else with the next minute. */
function startOf(begins: string | null, now: number): number {
  if (begins === null) return now + MINUTE;
  const [hours, minutes] = begins.split(":").map(Number) as [number, number];
  return new Date(now).setHours(hours, minutes, 0, 0);
}

interface ToldProps {
  readonly day: DayOfLanes;
  readonly pieces: readonly { readonly id: string; readonly name: string }[];
}

function Told({ day, pieces }: ToldProps) {
  const now = useNow(MINUTE);
  const [begins, setBegins] = useState<string | null>(null);
  const start = startOf(begins, now);
  const clock = (minutes: number) => clockText(later(start, minutes));
  if (day.told.length === 0) return <p className="px-4 py-6 text-base text-soft">{dayScreenText.allTheirStepsAreDone}</p>;
  return (
    <div className="px-4 py-3 lg:px-6">
      <label className="float-right flex items-center gap-2 text-sm">
        {dayScreenText.startAt}
        <input
          type="time"
          value={begins ?? clockText(new Date(start).toISOString())}
          onChange={(event) => setBegins(event.target.value || null)}
          className="entry w-31.5 !justify-start max-lg:h-touch"
        />
      </label>
      <p>
        <span className="mr-3 text-sm text-soft">
          {pieces.length === 1 ? dayScreenText.doneBy : dayScreenText.allDoneBy(pieces.length)}
        </span>
        <b className="text-3xl font-bold font-condensed">{clock(day.finish)}</b>
      </p>
      <p className="mb-3 text-sm text-soft">
        {minutesText(day.finish)}: {savedText(day)}.
        <Reckoned tasks={day.tasks} />
      </p>
      <DayLanes tasks={day.told} finish={day.finish} begins={start} isOfSeveral={pieces.length > 1} />
      {pieces.length > 1 && (
        <ul aria-label={commonText.pieces} className="mt-1 flex flex-wrap gap-x-5 gap-y-1 text-sm">
          {pieces.map(({ id, name }, i) => (
            <li key={id} className="flex items-center gap-1.5">
              <span className="h-3 w-3 rounded-sm" style={{ background: pieceColour(i) }} /> {name},{" "}
              <span className="text-soft">{dayScreenText.by(clock(endOf(day, id)))}</span>
            </li>
          ))}
        </ul>
      )}
      <h2 className="section-head !mt-5">{dayScreenText.stepsInOrder(day.told.length)}</h2>
      <ol className="columns-1 gap-8 lg:columns-2">
        {day.told.map((task) => (
          <DayRow
            key={`${task.piece} ${task.step}`}
            task={task}
            at={clock(task.start)}
            piece={pieces.length > 1 ? pieces[task.number]!.name : null}
          />
        ))}
      </ol>
    </div>
  );
}

function endOf({ tasks }: DayOfLanes, piece: string): number {
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
