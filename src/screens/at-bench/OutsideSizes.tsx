"use client";

import { type ComponentProps, useRef, useState } from "react";
import { type Extents } from "@/core/mount/closed-length";
import { readLength } from "@/core/measure/reading";
import { type Measured } from "@/core/piece/make";
import { misreadOf } from "@/core/piece/misread";
import { type ReadingScale, verdictOf } from "@/core/piece/reading-scales";
import { type Instrument } from "@/ui/instruments";
import { OUTSIDE, sayVerdict } from "@/words/making";
import { type Units } from "@/words/show";
import { ReadingField, type Taken } from "./ReadingField";
import { ReadingScaleView } from "./ReadingScaleView";
import { ReadingVerdict } from "./ReadingVerdict";
import { useTaking } from "./taking";
import { outsideSizesText } from "@/words/screens/at-bench";

type Field = ComponentProps<typeof ReadingField>;

interface Props extends Pick<Field, "asked" | "units" | "onDone" | "onBack" | "onLeave" | "keys" | "isFirst"> {
  /** The scale of the length that follows. */
  readonly scale: ReadingScale | null;
  /** The last reading of it, read in this way; null where there is none. */
  readonly last: Measured | null;
  /** What both should be about (mm). */
  readonly planned: Extents;
  readonly instruments: readonly [Instrument, Instrument];
  readonly draftOf: (index: number) => Field["draft"];
  readonly onDraft: (index: number, text: string | null) => void;
  readonly onKept: (index: number, text: string) => void;
  readonly onTake: (sizes: Extents, by: Measured["by"], isMadeUp: boolean) => Taken;
}

/** A closed bezel's two outside sizes: its length follows once both are read. */
export function OutsideSizes({ asked, units, scale, last, planned, instruments, draftOf, onDraft, onKept, onTake, ...field }: Props) {
  const [sizes, setSizes] = useState<readonly (number | null)[]>(() =>
    planned.map((wanted, i) => sizeIn(draftOf(i)?.text, wanted, units) ?? last?.extents?.[i] ?? null),
  );
  const [isMissing, setMissing] = useState(false);
  /** What either was made up by: a pair with one such size counts no more than it. */
  const madeUp = useRef([last?.madeUp === true, last?.madeUp === true]);
  const take = (index: 0 | 1, value: number, by: Measured["by"], isMadeUp: boolean): Taken => {
    const [along = null, across = null] = sizes.with(index, value);
    madeUp.current[index] = isMadeUp;
    const taken = along === null || across === null ? WAITS : onTake([along, across], by, madeUp.current.some(Boolean));
    if (!("problem" in taken)) {
      setSizes(sizes.with(index, value));
      setMissing(false);
      // The other size goes with this one: neither is half typed any more.
      void taken.kept.then((isKept) => isKept && onDraft(1 - index, null));
    }
    return taken;
  };
  useTaking(() => {
    const isHalf = sizes.filter((size) => size === null).length === 1;
    setMissing(isHalf);
    return !isHalf;
  });
  const verdict = scale && last ? verdictOf(scale, last.value) : null;
  return (
    <>
      {([0, 1] as const).map((index) => (
        <ReadingField
          key={index}
          {...field}
          isFirst={field.isFirst && index === 0}
          asked={asked}
          part={OUTSIDE[index]}
          last={last?.extents ? { ...last, value: last.extents[index] } : null}
          scale={null}
          wanted={planned[index]}
          draft={draftOf(index)}
          onDraft={(text) => onDraft(index, text)}
          onKept={(text) => onKept(index, text)}
          units={units}
          system={null}
          mandrel={[]}
          instrument={instruments[index]}
          onTake={(value, by, _inPlaceOf, isMadeUp) => take(index, value, by, isMadeUp)}
        />
      ))}
      {scale && <ReadingScaleView scale={scale} value={last?.value ?? null} units={units} />}
      <p aria-live="polite" role="status" className="mt-1 mb-4 min-h-7 text-lg leading-snug">
        {isMissing && <span className="text-night-warn">{outsideSizesText.measureTheOtherSideToo}</span>}
        {!isMissing && verdict && last && scale && (
          <ReadingVerdict said={sayVerdict(asked, verdict, scale.wanted, last.value, units)} verdict={verdict} />
        )}
      </p>
    </>
  );
}

/** A size that was half typed, where it can be meant. */
function sizeIn(text: string | undefined, wanted: number, units: Units): number | null {
  const read = readLength(text ?? "", units.length);
  return read.ok && read.value > 0 && misreadOf(read.value, wanted) === null ? read.value : null;
}

/** One of two is nothing to keep yet; its text stays half typed. */
const WAITS: Taken = { kept: Promise.resolve(false) };
