"use client";

import { line, scaleLinear } from "d3";
import { useState } from "react";
import { type TryFile } from "@/formats/flame-file";
import { type Names } from "@/words/names";
import { dayText } from "@/words/dates";
import { clockText, resultText } from "@/words/practice";
import { practiceText } from "@/words/screens/practice";
import { lineColour } from "./LadderInTime";
import { type ListedTry } from "./tries";

interface Props {
  readonly tries: readonly ListedTry[];
  readonly names: Names;
  readonly onAgain: (tried: TryFile) => void;
  readonly onSave: (tried: TryFile) => void;
  readonly onRemove: (tried: TryFile) => void;
}

/** Tries that stand there before all are asked for. */
const FIRST_SHOWN = 4;
const LINK = "tap mr-3 font-semibold text-glow underline underline-offset-2";

/** The tries kept of a heat, the last first: what came of each, and its lines. */
export function TryList({ tries, names, onAgain, onSave, onRemove }: Props) {
  const [isWhole, showAll] = useState(false);
  const shown = isWhole ? tries : tries.slice(0, FIRST_SHOWN);
  return (
    <>
      <h2 className="mt-4 text-sm font-semibold text-night-soft">{practiceText.lastTries}</h2>
      <p className="text-sm">{tries.length === 0 ? practiceText.noTries : practiceText.keptHere}</p>
      <ol>
        {shown.map(({ tried, lines, isWon, isOfNow, isPlayable }, i) => {
          const count = tries.length - i;
          return (
            <li
              key={tried.id}
              className="grid grid-cols-[44px_110px_1fr] items-center gap-3 border-b border-night-line py-2 text-sm"
              aria-label={practiceText.tryOf(count, dayText(tried.at))}
            >
              <b className="text-night-ink">{clockText(tried.result.seconds)}</b>
              {lines ? <Lines lines={lines} /> : <span />}
              <span className="min-w-0">
                <b className={`block ${isWon ? "text-night-ok" : "text-night-warn"}`}>{resultText(tried.result, isWon, names)}</b>
                {!isOfNow && <span className="block">{practiceText.ofAnother}</span>}
                {isPlayable && (
                  <button type="button" className={LINK} aria-label={practiceText.playAgainOf(count)} onClick={() => onAgain(tried)}>
                    {practiceText.playAgain}
                  </button>
                )}
                <button type="button" className={LINK} aria-label={practiceText.saveOf(count)} onClick={() => onSave(tried)}>
                  {practiceText.save}
                </button>
                <button type="button" className={LINK} aria-label={practiceText.removeOf(count)} onClick={() => onRemove(tried)}>
                  {practiceText.remove}
                </button>
              </span>
            </li>
          );
        })}
      </ol>
      {shown.length < tries.length && (
        <button type="button" className={LINK} onClick={() => showAll(true)}>
          {practiceText.showAllTries(tries.length)}
        </button>
      )}
    </>
  );
}

const WIDE = 110;
const TALL = 34;

/** A try's lines, small: by whole seconds. */
function Lines({ lines }: { readonly lines: NonNullable<ListedTry["lines"]> }) {
  const x = scaleLinear([0, Math.max(1, (lines[0]?.length ?? 0) - 1)], [0, WIDE]);
  const y = scaleLinear([20, 830], [TALL - 2, 2]).clamp(true);
  const path = line<number>()
    .x((_, second) => x(second))
    .y((celsius) => y(celsius));
  return (
    <svg width={WIDE} height={TALL} aria-hidden="true">
      {lines.map((own, p) => (
        <path key={p} d={path([...own]) ?? ""} fill="none" stroke={lineColour(p)} strokeWidth={1.6} />
      ))}
    </svg>
  );
}
