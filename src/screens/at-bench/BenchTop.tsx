"use client";

import Link from "next/link";
import { useEffect, useRef } from "react";
import { type Step } from "@/core/making/step";
import { capital, counted, listed, namesIn } from "@/words/names";
import { type Plan } from "@/core/piece/plan";
import { type Units } from "@/words/show";
import { WAITS } from "@/words/making";
import { sayStep } from "@/words/steps";
import { useDoubt } from "@/ui/doubt";
import { chime } from "@/ui/chime";
import { type Waiting, leftText } from "./timers";
import { benchTopText } from "@/words/screens/at-bench";

interface WaitProps {
  readonly waiting: Waiting;
  readonly now: number;
  readonly plan: Plan;
  readonly onOut: () => void;
}

/** Something in the pickle, under glue or in a patina: how long yet; told by sound and words when it is ready. */
export function WaitRow({ waiting: { steps, since, until, isUsual }, now, plan, onOut }: WaitProps) {
  const left = Math.min(until - since, until - now);
  const isReady = left <= 0;
  const wasWaiting = useRef(!isReady);
  useEffect(() => {
    if (isReady && wasWaiting.current) chime();
    wasWaiting.current = !isReady;
  }, [isReady]);
  const [first] = steps;
  const what = capital(whatWaits(steps, plan));
  const word = WAITS[first!.code] ?? "waiting";
  const share = Math.min(1, (now - since) / (until - since));
  return (
    <div
      role="timer"
      aria-label={`${what} ${word}`}
      className={`relative flex min-h-touch items-center overflow-hidden rounded-lg border pl-3.5 ${isReady ? "border-glow" : "border-night-edge"} bg-night-sheet`}
    >
      <span aria-hidden="true" className="absolute bottom-0 left-0 h-1 bg-water" style={{ width: `${share * 100}%` }} />
      <p className="relative flex min-w-0 flex-1 flex-wrap items-baseline gap-x-3 py-1">
        <span className="min-w-0 truncate text-base text-night-key">
          {what} {word}
        </span>
        <span className="text-xl leading-none font-bold font-condensed whitespace-nowrap" aria-live={isReady ? "assertive" : "off"}>
          {isReady ? benchTopText.readyTakeItOut : leftText(left)}
          <small className="ml-1.5 text-base font-normal text-night-soft">
            {waitOf(isReady, Math.round((until - since) / 60_000), isUsual)}
          </small>
        </span>
      </p>
      <button type="button" className="night-btn relative !min-h-touch !rounded-none !border-0 !border-l !px-4 !text-base" onClick={onOut}>
        {benchTopText.itsOut}
      </button>
    </div>
  );
}

/** How long the wait is, and whose minutes those are where they are not the maker's own. */
function waitOf(isReady: boolean, minutes: number, isUsual: boolean): string {
  const long = counted(minutes, "minute");
  if (isUsual) return benchTopText.theUsual(isReady ? "after" : benchTopText.leftOf, long);
  return isReady ? "" : benchTopText.leftOfTheUsual(long);
}

/** The joints or parts that steps leave waiting; of what is done to several parts, the piece. */
function whatWaits(steps: readonly Step[], plan: Plan): string {
  const names = namesIn(plan);
  const [joints, parts] = [new Set<string>(), new Set<string>()];
  let isWhole = false;
  for (const { joints: made, values, part, works } of steps) {
    const [only, ...others] = plan.parts.filter(({ id }) => id === part || works.includes(id));
    if (made.length > 0) made.forEach((id) => joints.add(id));
    else if (typeof values.joint === "string") joints.add(values.joint);
    else if (only && others.length === 0) parts.add(only.id);
    else isWhole = true;
  }
  return listed([...names.joints([...joints]), ...names.parts([...parts]), ...(isWhole ? [benchTopText.thePiece] : [])]);
}

interface MeanwhileProps {
  readonly step: Step;
  readonly plan: Plan;
  readonly units: Units;
  readonly onTurn: () => void;
}

/** The next step's part lies in the pickle or cools: what can be done until it is out. */
export function Meanwhile({ step, plan, units, onTurn }: MeanwhileProps) {
  const { title } = sayStep(step, plan, units, useDoubt());
  return (
    <button
      type="button"
      onClick={onTurn}
      className="flex min-h-touch items-center gap-3 rounded-lg border border-night-line px-3.5 text-left text-base hover:border-night-edge"
    >
      <span className="min-w-0 flex-1 py-1.5 leading-snug">
        {benchTopText.thisPartIsWaiting} <b>{benchTopText.meanwhile(title)}</b>
      </span>
      <kbd className="night-key max-lg:hidden">M</kbd>
    </button>
  );
}

function readyText({ at, isUsual }: NonNullable<Beside["ready"]>, now: number): string {
  const text = at > now ? leftText(at - now) : "ready";
  return isUsual ? benchTopText.usualTime(text) : text;
}

/** Another piece that is being worked on: where it stands, and what comes next of it. */
export interface Beside {
  readonly id: string;
  readonly name: string;
  readonly next: string;
  readonly ready: { readonly at: number; readonly isUsual: boolean } | null;
}

export function OtherPieces({ others, now }: { readonly others: readonly Beside[]; readonly now: number }) {
  if (others.length === 0) return null;
  return (
    <nav aria-label={benchTopText.otherPiecesUnderWay} className="flex flex-col gap-1.5">
      {others.map(({ id, name, next, ready }) => (
        <Link
          key={id}
          href={`/pieces/${id}/bench`}
          className="flex min-h-touch items-center gap-3 rounded-lg border border-night-line px-3.5 text-base hover:border-night-edge"
        >
          <b className="shrink-0">{name}</b>
          <span className="min-w-0 flex-1 truncate text-night-soft">{benchTopText.next(next)}</span>
          {ready !== null && <span className="shrink-0 text-glow">{readyText(ready, now)}</span>}
        </Link>
      ))}
    </nav>
  );
}
