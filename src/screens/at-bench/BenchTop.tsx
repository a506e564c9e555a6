"use client";

import Link from "next/link";
import { useEffect, useRef } from "react";
import { type Step } from "@/core/making/step";
import { type Names } from "@/words/names";
import { capital } from "@/words/names";
import { WAITS } from "@/words/making";
import { chime } from "@/ui/chime";
import { type Waiting, leftText } from "./timers";

interface WaitProps {
  readonly waiting: Waiting;
  readonly now: number;
  readonly names: Names;
  readonly onOut: () => void;
}

/** Something in the pickle, under glue or in a patina: how long yet; told by sound and words when it is ready. */
export function WaitRow({ waiting: { steps, since, until }, now, names, onOut }: WaitProps) {
  const left = Math.min(until - since, until - now);
  const isReady = left <= 0;
  const wasWaiting = useRef(!isReady);
  useEffect(() => {
    if (isReady && wasWaiting.current) chime();
    wasWaiting.current = !isReady;
  }, [isReady]);
  const [first] = steps;
  const what = capital(steps.map((step) => partName(step, names)).join(" and "));
  const word = WAITS[first!.code] ?? "waiting";
  const share = Math.min(1, (now - since) / (until - since));
  return (
    <div
      role="timer"
      aria-label={`${what} ${word}`}
      className={`relative flex min-h-[62px] items-center overflow-hidden rounded-[8px] border px-3.5 ${isReady ? "border-glow" : "border-night-edge"} bg-[#1b2023]`}
    >
      <span aria-hidden="true" className="absolute inset-y-0 left-0 bg-[#243437]" style={{ width: `${share * 100}%` }} />
      <p className="relative min-w-0 flex-1">
        <span className="block truncate text-[14px] text-night-soft">
          {what} {word}
        </span>
        <span className="text-[23px] leading-none font-bold [font-stretch:94%]" aria-live={isReady ? "assertive" : "off"}>
          {isReady ? "Ready: take it out" : leftText(left)}
          {!isReady && (
            <small className="ml-1.5 text-[15px] font-normal text-night-soft">left of {Math.round((until - since) / 60_000)}</small>
          )}
        </span>
      </p>
      <button type="button" className="night-btn relative !min-h-[46px] !px-4 !text-[17px]" onClick={onOut}>
        It’s out
      </button>
    </div>
  );
}

function partName(step: Step, names: Names): string {
  const { joint } = step.values;
  return typeof joint === "string" ? names.joint(joint) : "the piece";
}

/** Another piece that is being worked on: where it stands, and what comes next of it. */
export interface Beside {
  readonly id: string;
  readonly name: string;
  readonly next: string;
  readonly ready: number | null;
}

export function OtherPieces({ others, now }: { readonly others: readonly Beside[]; readonly now: number }) {
  if (others.length === 0) return null;
  return (
    <nav aria-label="Also on the bench" className="flex flex-col gap-1.5">
      {others.map(({ id, name, next, ready }) => (
        <Link
          key={id}
          href={`/pieces/${id}/bench`}
          className="flex min-h-[46px] items-center gap-3 rounded-[8px] border border-night-line px-3.5 text-[15px] hover:border-night-edge"
        >
          <b className="shrink-0">{name}</b>
          <span className="min-w-0 flex-1 truncate text-night-soft">next: {next}</span>
          {ready !== null && <span className="shrink-0 text-glow">{ready > now ? leftText(ready - now) : "ready"}</span>}
        </Link>
      ))}
    </nav>
  );
}
