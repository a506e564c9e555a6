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
  useTitle("The day");
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
        <header className="flex min-h-[46px] flex-wrap items-center gap-2 border-b border-line px-4 py-1.5">
          <Link href="/" className="btn max-lg:h-[44px]">
            <ArrowLeft size={14} aria-hidden="true" /> Pieces
          </Link>
          <h1 className="text-[15px] font-[660]">The day</h1>
        </header>
        <NotKept />
        <fieldset className="flex flex-wrap gap-x-4 gap-y-1 border-b border-line bg-paper px-4 py-2.5 text-[13px]">
          <legend className="sr-only">Pieces to work on</legend>
          {lying.map(({ id, piece }) => (
            <label key={id} className="flex items-center gap-1.5 max-lg:min-h-[44px]">
              <input type="checkbox" checked={chosen.includes(id)} onChange={() => choose(id)} className="h-4 w-4 accent-[#0b5d66]" />
              {piece.name}
            </label>
          ))}
        </fieldset>
        {refused.length > 0 && (
          <p role="alert" className="px-4 py-2 text-[13px] text-bad">
            ◆ Cannot be planned: {refused.join(", ")}. Open to see why.
          </p>
        )}
        {unordered.length > 0 && (
          <p role="alert" className="px-4 py-2 text-[13px] text-bad">
            ◆ {unordered.join(", ")}: the day {NO_DAY}. See Heats for the reason.
          </p>
        )}
        {settling.length > 0 && (
          <p role="status" className="px-4 py-2 text-[13px] text-soft">
            {settling.join(", ")}: {SETTLING}.
          </p>
        )}
        {pieces.length === 0 ? (
          <p className="px-4 py-6 text-[15px] text-soft">
            {lying.length === 0
              ? "There are no pieces yet. Add one to plan a day."
              : "Choose the pieces to work on. The day is planned for one pair of hands and uses the waits in the pickle."}
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
  if (day.told.length === 0) return <p className="px-4 py-6 text-[15px] text-soft">All their steps are done.</p>;
  return (
    <div className="px-4 py-3 lg:px-6">
      <label className="float-right flex items-center gap-2 text-[13px]">
        Start at
        <input
          type="time"
          value={begins ?? clockText(new Date(start).toISOString())}
          onChange={(event) => setBegins(event.target.value || null)}
          className="entry w-[110px] !justify-start max-lg:h-[44px]"
        />
      </label>
      <p>
        <span className="mr-3 text-[13px] text-soft">{pieces.length === 1 ? "Done by" : `All ${pieces.length} done by`}</span>
        <b className="text-[32px] font-bold [font-stretch:92%]">{clock(day.finish)}</b>
      </p>
      <p className="mb-3 text-[13.5px] text-soft">
        {minutesText(day.finish)}: {savedText(day)}.
        <Reckoned tasks={day.tasks} />
      </p>
      <DayLanes tasks={day.told} finish={day.finish} begins={start} isOfSeveral={pieces.length > 1} />
      {pieces.length > 1 && (
        <ul aria-label="Pieces" className="mt-1 flex flex-wrap gap-x-5 gap-y-1 text-[13px]">
          {pieces.map(({ id, name }, i) => (
            <li key={id} className="flex items-center gap-1.5">
              <span className="h-3 w-3 rounded-[2px]" style={{ background: pieceColour(i) }} /> {name},{" "}
              <span className="text-soft">by {clock(endOf(day, id))}</span>
            </li>
          ))}
        </ul>
      )}
      <h2 className="section-head !mt-5">Steps in order: {day.told.length}</h2>
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
      className={`grid break-inside-avoid grid-cols-[48px_1fr_auto] gap-x-2 border-t border-hair py-1 text-[13.5px] ${isHighlighted ? "bg-accent-wash" : ""}`}
    >
      <span className="text-soft">{at}</span>
      <span className="min-w-0">
        {piece && (
          <b className="mr-1.5 inline-flex items-center gap-1 font-[620]">
            <span className="h-2.5 w-2.5 rounded-[2px]" style={{ background: pieceColour(task.number) }} />
            {piece}:
          </b>
        )}
        {task.isAtFire && <span className="mr-1.5 inline-block h-2.5 w-2.5 rounded-[2px] bg-[#a3411c]" aria-hidden="true" />}
        {task.title}
      </span>
      <span className="text-right text-soft">
        {minutesText(task.hands)}
        {task.wait > 0 && `, then ${minutesText(task.wait)}`}
      </span>
    </li>
  );
}
