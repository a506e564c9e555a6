"use client";

import { Minus, Plus } from "lucide-react";
import { type ReactNode, useCallback, useEffect, useId, useRef, useState } from "react";
import { type AskedReading } from "@/core/making/step";
import { type MandrelMark, type SizeSystem, readSize, sizeText } from "@/core/hoop/sizes";
import { readLength } from "@/core/measure/reading";
import { type LengthReading, READ_STRAIGHT } from "@/core/mount/closed-length";
import { type Measured } from "@/core/piece/make";
import { type Misread, misreadOf } from "@/core/piece/misread";
import { type ReadingScale, startsAgain, verdictOf } from "@/core/piece/reading-scales";
import { type Keys } from "@/ui/keys";
import { type Instrument } from "@/ui/instruments";
import { SYSTEM_NAMES } from "@/words/names";
import { ASKED, MADE_UP, READ_BY, readingText, sayMisread, sayVerdict } from "@/words/making";
import { type Units, lengthUnit } from "@/words/show";
import { ReadingScaleView } from "./ReadingScaleView";
import { ReadingVerdict } from "./ReadingVerdict";
import { Toggle } from "./Toggle";
import { useTaking } from "./taking";
import { readingFieldText } from "@/words/screens/at-bench";

/** What is typed is taken by then, whether or not it was entered (ms): a browser that ends has it a moment later. */
const TAKEN_AFTER = 120;
/** Half a number is doubtful too: it is asked about once the hand has stopped (ms). */
const ASKED_AFTER = 900;
/** mm by which the buttons beside it step. */
const STEP = 0.05;

interface Props {
  readonly asked: AskedReading;
  /** Its name, where it is not what is asked for but what that follows from. */
  readonly part?: string;
  /** Whether it stands among several: lower, and without steps. */
  readonly isCompact?: boolean;
  /** What stands beside it in its row, where it is compact. */
  readonly beside?: ReactNode;
  /** The last reading of it. */
  readonly last: Measured | null;
  readonly scale: ReadingScale | null;
  /** How the length follows from what is read, where that is not the length itself. */
  readonly reading?: LengthReading;
  /** What it should be about (mm); a reading far from it is asked about. */
  readonly wanted: number;
  /** What was typed here and not taken, and whether as a size; null where there is none. */
  readonly draft: { readonly text: string; readonly isSize: boolean } | null;
  readonly onDraft: (text: string | null, isSize: boolean) => void;
  /** A text that was taken is kept for good: it is half typed no more. */
  readonly onKept: (text: string, isSize: boolean) => void;
  readonly units: Units;
  /** The size system that a hoop is read in beside its diameter. */
  readonly system: SizeSystem | null;
  readonly mandrel: readonly MandrelMark[];
  readonly instrument: Instrument | null;
  /** Whether it takes the focus where that opens no keyboard over the screen. */
  readonly isFirst: boolean;
  readonly onDone: () => void;
  readonly onBack: () => void;
  readonly onLeave: () => void;
  /** Single keys that go on working while nothing is typed. */
  readonly keys: Keys;
  /** Takes a reading in mm. */
  readonly onTake: (value: number, by: Measured["by"], inPlaceOf: number | null, isMadeUp: boolean) => Taken;
}

/** Why a reading cannot be taken; or that it is, and whether it comes to be kept. */
export type Taken = { readonly problem: string } | { readonly kept: Promise<boolean> };

/** A value read off the metal: typed, stepped, or sent by an instrument; what it means stands under it at once. */
export function ReadingField({
  asked,
  part,
  isCompact = false,
  beside,
  last,
  scale,
  reading = READ_STRAIGHT,
  wanted,
  draft,
  onDraft,
  onKept,
  units,
  system,
  mandrel,
  instrument,
  isFirst,
  onDone,
  onBack,
  onLeave,
  keys,
  onTake,
}: Props) {
  const id = useId();
  const [inSizes, readInSizes] = useState(draft ? draft.isSize : system !== null);
  const [text, setText] = useState<string | null>(draft?.text ?? null);
  const [problem, setProblem] = useState<string | null>(null);
  const [doubt, setDoubt] = useState<(Misread & { readonly value: number; readonly by: Measured["by"] }) | null>(null);
  /** The value last taken while the field has been open: the next one takes its place. */
  const taken = useRef<number | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const late = useRef<ReturnType<typeof setTimeout>>(undefined);
  /** The text that was taken last, as it stands in the field. */
  const takenText = useRef<string | null>(null);
  /** Whether what was taken last comes to be kept. */
  const keeping = useRef<Promise<boolean>>(Promise.resolve(true));

  const read = useCallback(
    (typed: string): { readonly value: number } | { readonly problem: string } => {
      if (inSizes && system) {
        const size = readSize(system, typed, mandrel);
        return size.ok ? { value: size.diameter } : { problem: readingFieldText.isNotASizeType(typed.trim(), SYSTEM_NAMES[system]) };
      }
      const length = readLength(typed, units.length);
      if (!length.ok)
        return {
          problem: typed.trim() === "" ? readingFieldText.emptyTypeTheReading : readingFieldText.isNotANumberType(typed.trim()),
        };
      return length.value > 0 ? length : { problem: readingFieldText.isNothingToMeasureIt(typed.trim()) };
    },
    [inSizes, system, mandrel, units.length],
  );

  const isSize = inSizes && system !== null;
  const take = (value: number, by: Measured["by"], as: string, isMadeUp = false): boolean => {
    clearTimeout(late.current);
    setDoubt(null);
    const now = value === taken.current ? { kept: keeping.current } : onTake(value, by, taken.current, isMadeUp);
    setProblem("problem" in now ? now.problem : null);
    if ("problem" in now) return false;
    taken.current = value;
    takenText.current = as;
    onDraft(as, isSize);
    keeping.current = now.kept;
    void now.kept.then((isKept) => isKept && onKept(as, isSize));
    return true;
  };
  /** Takes a text; what can hardly be meant is asked about first. Returns whether it was taken. */
  const takeText = (typed: string, isEntered: boolean): boolean => {
    const reading = read(typed);
    if ("problem" in reading) {
      setProblem(reading.problem);
      return false;
    }
    const by = isSize ? "mandrel" : "typed";
    const misread = reading.value === taken.current ? null : misreadOf(reading.value, wanted);
    if (misread) {
      const ask = () => setDoubt({ ...misread, value: reading.value, by });
      if (isEntered) ask();
      else late.current = setTimeout(ask, ASKED_AFTER);
      return false;
    }
    return take(reading.value, by, typed);
  };
  /** Takes what stands in the field, if it was typed since it was last taken. */
  const takeTyped = (): boolean =>
    text === null || text.trim() === "" || text === takenText.current || (takeText(text, true) && !isStartAgain());
  /** Whether what was just taken means "start again": that is answered before the step goes on. */
  const isStartAgain = () => scale !== null && taken.current !== null && startsAgain(verdictOf(scale, taken.current));
  const type = (typed: string) => {
    setText(typed);
    setProblem(null);
    setDoubt(null);
    clearTimeout(late.current);
    onDraft(typed.trim() === "" ? null : typed, isSize);
    if (!("problem" in read(typed))) late.current = setTimeout(() => takeText(typed, false), TAKEN_AFTER);
  };
  const lastText = (value: number) =>
    inSizes && system ? (system === "mandrel" ? "" : (sizeText(system, value) ?? "")) : readingText(value, units);
  const use = (value: number, by: Measured["by"]) => {
    setText(lastText(value));
    take(value, by, lastText(value));
    input.current?.focus();
  };
  useTaking(() => {
    const isTaken = takeTyped();
    if (!isTaken) input.current?.focus();
    return isTaken;
  });
  const hear = useRef<(value: number) => void>(() => undefined);
  useEffect(() => {
    hear.current = (value) => {
      const isSize = inSizes && system !== null && system !== "mandrel";
      if (!isSize) readInSizes(false);
      const shownAs = isSize ? (sizeText(system, value) ?? "") : readingText(value, units);
      setText(shownAs);
      take(value, instrument!.by, shownAs, instrument!.isStandIn);
    };
  });
  useEffect(() => instrument?.onReading((value) => hear.current(value)), [instrument]);
  useEffect(() => {
    if (isFirst && window.matchMedia("(hover: hover)").matches) input.current?.focus();
  }, [isFirst]);
  useEffect(() => () => clearTimeout(late.current), []);

  const typed = text === null ? null : read(text);
  const value = typed === null ? (last?.value ?? null) : "problem" in typed ? null : typed.value;
  const shown = text ?? (last === null ? "" : lastText(last.value));
  const verdict = scale && value !== null ? verdictOf(scale, value) : null;
  const { lengthOf } = reading;
  const said = verdict && scale && value !== null ? sayVerdict(asked, verdict, lengthOf(scale.wanted), lengthOf(value), units) : null;
  const step = (by: 1 | -1) => {
    const from = value ?? scale?.wanted;
    if (from === undefined) return;
    readInSizes(false);
    type(readingText(from + by * STEP, units));
  };
  /** Sizes that are said in letters leave none for keys. */
  const hasLetters = inSizes && (system === "uk" || system === "mandrel");
  /** What was typed, with its unit where it names none. */
  const typedWithUnit = /^[\d.,\s]*$/.test(shown) ? `${shown.trim()} ${isSize ? SYSTEM_NAMES[system] : lengthUnit(units)}` : shown.trim();
  const isGood = verdict?.code === "good";
  const label = part ?? ASKED[asked.kind];
  return (
    <section aria-label={label} className={isCompact ? "mb-2" : "mb-5"}>
      <div className={`${isCompact ? "mb-1" : "mb-2"} flex items-baseline gap-3 text-base text-night-soft`}>
        <label htmlFor={id}>{label}</label>
        {system && (
          <span className="ml-auto flex gap-1.5">
            {[true, false].map((each) => (
              <Toggle
                key={String(each)}
                isOn={inSizes === each}
                onPress={() => {
                  readInSizes(each);
                  setText(null);
                  setProblem(null);
                }}
              >
                {each ? SYSTEM_NAMES[system] : readingFieldText.inside(lengthUnit(units))}
              </Toggle>
            ))}
          </span>
        )}
      </div>
      <div className={isCompact ? "grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-2" : "grid grid-cols-[60px_1fr_60px] gap-2"}>
        {!isCompact && (
          <button type="button" aria-label={readingFieldText.less} onClick={() => step(-1)} className="night-btn !px-0">
            <Minus aria-hidden="true" />
          </button>
        )}
        <div
          className={`flex min-w-0 items-baseline gap-2 rounded-lg border-2 px-3 ${problem ? "border-night-warn" : isGood ? "border-ok" : "border-night-edge"} focus-within:border-glow`}
        >
          <input
            ref={input}
            id={id}
            value={shown}
            inputMode="decimal"
            autoComplete="off"
            spellCheck={false}
            aria-invalid={problem !== null}
            aria-describedby={`${id}-told`}
            onChange={(event) => type(event.target.value)}
            onKeyDown={(event) => {
              // In a field that is empty or holds a plain number a space says nothing: there too it means that the step is done.
              if (event.key === " " && (typed === null || !inSizes)) {
                event.preventDefault();
                if (!event.repeat) onDone();
              }
              // A foot switch says the same while a reading is typed.
              if (event.key === "PageDown" || event.key === "PageUp") {
                event.preventDefault();
                if (!event.repeat) (event.key === "PageDown" ? onDone : onBack)();
              }
              const act = keys[event.key.toLowerCase()];
              if (act && event.key.length === 1 && text === null && !hasLetters && !event.ctrlKey && !event.metaKey && !event.altKey) {
                event.preventDefault();
                event.currentTarget.blur();
                act();
              }
              if (event.key === "Escape") {
                event.preventDefault();
                event.currentTarget.blur();
                if (problem === null) onLeave();
              }
              if (event.key !== "Enter") return;
              event.preventDefault();
              if (takeText(event.currentTarget.value, true)) event.currentTarget.blur();
            }}
            onFocus={(event) => {
              taken.current = null;
              event.target.select();
            }}
            onBlur={takeTyped}
            className={`w-0 min-w-0 flex-1 bg-transparent py-1 text-right font-bold tabular-nums outline-none font-condensed ${isCompact ? "text-2xl" : "text-3xl"}`}
          />
          <span className="text-lg text-night-soft">{inSizes && system ? SYSTEM_NAMES[system] : lengthUnit(units)}</span>
        </div>
        {isCompact ? (
          beside
        ) : (
          <button type="button" aria-label={readingFieldText.more} onClick={() => step(1)} className="night-btn !px-0">
            <Plus aria-hidden="true" />
          </button>
        )}
      </div>
      {scale && <ReadingScaleView scale={scale} value={doubt ? null : value} units={units} />}
      <p id={`${id}-told`} aria-live="polite" className={isCompact ? "mt-0.5 text-lg leading-snug" : "mt-1 min-h-7 text-lg leading-snug"}>
        {problem && (
          <span className="text-night-warn">
            <span aria-hidden="true">◆ </span>
            {problem}.
          </span>
        )}
        {doubt && (
          <span className="text-night-warn">
            <span aria-hidden="true">◆ </span>
            {sayMisread(typedWithUnit, doubt.value, wanted, units)}
          </span>
        )}
        {!problem && !doubt && said && verdict && <ReadingVerdict said={said} verdict={verdict} />}
        {!problem && !doubt && !said && !part && last && text === null && (
          <span className="text-night-soft">
            {readingFieldText.thePlanNowUsesIt(readingText(last.value, units), lengthUnit(units), READ_BY[last.by])}
          </span>
        )}
        {last?.madeUp && <span className="block text-night-soft">{MADE_UP}</span>}
      </p>
      {doubt && (
        <p ref={intoView} className="mt-1 flex scroll-mb-[110px] flex-wrap gap-2">
          {doubt.likely !== null && (
            <button type="button" className="night-btn night-go !min-h-touch !text-lg" onClick={() => use(doubt.likely!, doubt.by)}>
              {readingFieldText.use(readingText(doubt.likely, units))}
            </button>
          )}
          <button type="button" className="night-btn !min-h-touch !text-lg" onClick={() => take(doubt.value, doubt.by, text ?? "")}>
            {readingFieldText.keep(typedWithUnit)}
          </button>
        </p>
      )}
    </section>
  );
}

/** A question is seen as soon as it is asked, above what stands at the foot. */
function intoView(element: HTMLElement | null): void {
  element?.scrollIntoView({ block: "nearest" });
}
