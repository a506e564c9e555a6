"use client";

import { useId, useState } from "react";
import { readLength } from "@/core/measure/reading";
import { tiltDegrees } from "@/core/trace/tilt";
import { ChoiceButton } from "@/ui/ChoiceButton";
import { useUnits } from "@/ui/tray";
import { scalePickText, squareText, traceMeasuresText } from "@/words/screens/trace";
import { lengthUnit, showLength, showPercent } from "@/words/show";
import { TraceRow } from "./TraceRow";
import { type Tracing } from "./tracing";

/** Sides of a square that squared paper is sold with (mm). */
const SQUARES = [1, 2, 5, 10, 6.35] as const;
/** A difference of the squares' two ways, or of two known lengths, that is worth a word. */
const SEEN = 0.004;

/** What says how large the picture shows things. */
export function ScaleMeasures({ tracing }: { readonly tracing: Tracing }) {
  const units = useUnits();
  const { choice, picture, scale, above, perspective, isPickingRound } = tracing;
  if (!choice || !picture) return null;
  const { squares } = picture;
  const tilt = squares ? Math.max(...squares.pitch) / Math.min(...squares.pitch) - 1 : 0;
  const chosen = choice.by === "squares" ? choice.square : null;
  const { round } = choice;
  return (
    <>
      <h2 className="section-head">{traceMeasuresText.scale}</h2>
      {above !== null && (
        <TraceRow label={scalePickText.sameAsAbove} hint={scalePickText.sameHint}>
          <ChoiceButton isChosen={choice.by === "above"} onPress={() => tracing.choose({ by: "above" })}>
            {scalePickText.same}
          </ChoiceButton>
        </TraceRow>
      )}
      {squares && (
        <TraceRow
          label={traceMeasuresText.oneSquareIs}
          hint={traceMeasuresText.squaresFound(((squares.pitch[0] + squares.pitch[1]) / 2).toFixed(1))}
        >
          <span className="flex flex-wrap justify-end gap-1">
            {SQUARES.map((mm) => (
              <ChoiceButton key={mm} isChosen={chosen === mm} onPress={() => tracing.choose({ by: "squares", square: mm })}>
                {squareText(mm)}
              </ChoiceButton>
            ))}
          </span>
        </TraceRow>
      )}
      {tilt > SEEN && chosen && !round && (
        <p className="text-xs text-warn">{traceMeasuresText.tiltSeen(showPercent(tilt, 1).replace(/ ?%/, ""))}</p>
      )}
      <KnownLength
        key={`rule ${units.length}`}
        label={traceMeasuresText.ruleIs}
        hint={traceMeasuresText.ruleHint}
        known={choice.mm}
        isChosen={choice.by === "rule"}
        onTake={(mm) => tracing.choose({ by: "rule", mm })}
      />
      {round ? (
        <KnownLength
          key={`round ${units.length}`}
          label={scalePickText.roundIs}
          hint={scalePickText.roundSeen(round.tilt.ratio.toFixed(3), tiltDegrees(round.tilt).toFixed(0))}
          known={choice.diameter}
          isChosen={choice.by === "round"}
          onTake={(diameter) => tracing.choose({ by: "round", diameter })}
        />
      ) : (
        <TraceRow label={scalePickText.round} hint={scalePickText.roundHint}>
          <ChoiceButton isChosen={isPickingRound} onPress={() => tracing.pickRound(!isPickingRound)}>
            {scalePickText.pickRound}
          </ChoiceButton>
        </TraceRow>
      )}
      {perspective !== null && perspective > SEEN && (
        <p className="text-xs text-warn">{scalePickText.perspective(showPercent(perspective, 1).replace(/ ?%/, ""))}</p>
      )}
      <p className="text-xs text-soft">{scale ? traceMeasuresText.perMm(scale.pxPerMm.toFixed(2)) : traceMeasuresText.sayTheScale}</p>
    </>
  );
}

interface KnownLengthProps {
  readonly label: string;
  readonly hint: string;
  readonly known: number | null;
  /** Whether the scale is by this: then the same length typed again changes nothing. */
  readonly isChosen: boolean;
  readonly onTake: (mm: number) => void;
}

/** How long something in the picture is. */
function KnownLength({ label, hint, known, isChosen, onTake }: KnownLengthProps) {
  const units = useUnits();
  const id = useId();
  const [text, setText] = useState(known === null ? "" : showLength(known, "measured", units));
  const [problem, setProblem] = useState<string | null>(null);
  const take = () => {
    if (text.trim() === "") return;
    const read = readLength(text, units.length);
    if (!read.ok || read.value <= 0) return setProblem(text);
    setProblem(null);
    if (read.value !== known || !isChosen) onTake(read.value);
  };
  return (
    <>
      <TraceRow label={<label htmlFor={id}>{label}</label>} hint={hint}>
        <span className={`entry w-24 ${problem === null ? "" : "entry-wrong"}`}>
          <input
            id={id}
            value={text}
            inputMode="decimal"
            autoComplete="off"
            aria-invalid={problem !== null}
            onChange={(event) => setText(event.target.value)}
            onBlur={take}
            onKeyDown={(event) => event.key === "Enter" && take()}
            onFocus={(event) => event.target.select()}
          />
          <span className="unit">{lengthUnit(units)}</span>
        </span>
      </TraceRow>
      {problem !== null && (
        <p role="alert" className="text-xs text-bad">
          ◆ {traceMeasuresText.notALength(problem)}.
        </p>
      )}
    </>
  );
}
