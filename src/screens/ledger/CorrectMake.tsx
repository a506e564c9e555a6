"use client";

import { readAmount, readLength } from "@/core/measure/reading";
import { oneLine } from "@/core/measure/one-line";
import { MASS_FIGURE, type Make, type Measured, type Result } from "@/core/piece/make";
import { correctedDates, correctedNotes, correctedReading, correctedResult } from "@/store/make-corrections";
import { type MakeEdit } from "@/store/make-edits";
import { useNotices } from "@/ui/notices";
import { useTray, useUnits } from "@/ui/tray";
import { fromLocalMinute, localMinute } from "@/words/dates";
import { readingText } from "@/words/making";
import { type Units, lengthUnit } from "@/words/show";
import { CorrectField, type Reading } from "./CorrectField";
import { commonText } from "@/words/common";
import { correctMakeText } from "@/words/screens/ledger";

interface Props {
  readonly make: Make;
  /** What a reading is of. */
  readonly nameOf: (reading: Measured) => string;
  readonly hasSize: boolean;
}

/** All of a record that can be put right, each field by itself: what it was stays in the record, and each correction can be undone. */
export function CorrectMake({ make, nameOf, hasSize }: Props) {
  const tray = useTray();
  const units = useUnits();
  const { say, warn } = useNotices();
  const correct = async (what: string, edit: MakeEdit) => {
    if (Object.keys(edit).length === 0) return;
    const kept = await tray.editMake(make, edit);
    if (!kept.ok) return warn(`${kept.problem}.`);
    const undo = async () => {
      const isLast = tray.store.getState().makeSteps[make.id]?.past.at(-1) === edit;
      if (!isLast) return warn(correctMakeText.notUndoneThisRecordWas);
      const back = await tray.stepMake(make, "past");
      if (back === "not-kept") warn(correctMakeText.notUndoneTheRecordStays);
    };
    say(correctMakeText.corrected(what), { name: commonText.undo, run: () => void undo() });
  };
  const now = () => new Date().toISOString();
  const { result = {}, piece } = make;
  const name = (field: string) => `${make.id} ${field}`;
  const lastWas = <K extends keyof Result>(key: K) => result.was?.findLast((was) => was[key] !== undefined)?.[key];
  const told = (was: string | number | null | undefined) => (was === undefined ? "" : was === null ? "empty" : String(was));
  const setResult = (what: string, set: Parameters<typeof correctedResult>[1]) => void correct(what, correctedResult(make, set, now()));
  const setDates = (what: string, set: Parameters<typeof correctedDates>[1]) => void correct(what, correctedDates(make, set, now()));
  return (
    <>
      <div className="mt-2 grid gap-x-6 md:grid-cols-2">
        <CorrectField
          label={correctMakeText.begun}
          {...{ piece, name: name("started"), type: "datetime-local" }}
          own={localMinute(make.started)}
          was={timeWas(make.datesWas?.findLast(({ started }) => started !== undefined)?.started)}
          read={(text) => readTime(text, (time) => make.finished === null || time <= make.finished, correctMakeText.itMustBeginBeforeIt)}
          onCorrect={(started) => setDates(correctMakeText.whenItWasStarted, { started })}
        />
        {make.finished !== null && (
          <CorrectField
            label={correctMakeText.finished}
            {...{ piece, name: name("finished"), type: "datetime-local" }}
            own={localMinute(make.finished)}
            was={timeWas(make.datesWas?.findLast(({ finished }) => finished !== undefined)?.finished)}
            read={(text) => readTime(text, (time) => time >= make.started, correctMakeText.itMustBeFinishedAfter)}
            onCorrect={(finished) => setDates(correctMakeText.whenItWasFinished, { finished })}
          />
        )}
        {hasSize && (
          <CorrectField
            label={correctMakeText.sizeReached}
            {...{ piece, name: name("size"), longest: 24 }}
            own={result.size ?? ""}
            was={told(lastWas("size"))}
            read={readWords}
            onCorrect={(size) => setResult(correctMakeText.theSizeReached, { size: size === "" ? null : oneLine(size) })}
          />
        )}
        <CorrectField
          label={correctMakeText.minutesAtTheBench}
          {...{ piece, name: name("minutes") }}
          own={result.minutes === undefined ? "" : String(result.minutes)}
          was={told(lastWas("minutes"))}
          read={readMinutes}
          onCorrect={(minutes) => setResult(correctMakeText.theMinutes, { minutes })}
        />
      </div>
      <CorrectField
        label={correctMakeText.noteForNextTime}
        {...{ piece, name: name("words"), longest: 2000, rows: 2 }}
        own={result.words ?? ""}
        was={told(lastWas("words"))}
        read={readWords}
        onCorrect={(words) => setResult(correctMakeText.theNote, { words: words.trim() === "" ? null : words })}
      />
      <CorrectField
        label={correctMakeText.notesOfTheMake}
        {...{ piece, name: name("notes"), longest: 20_000, rows: 2 }}
        own={make.notes}
        was={told(make.notesWas?.at(-1)?.value)}
        read={readWords}
        onCorrect={(notes) => void correct(correctMakeText.theNotes, correctedNotes(make, notes, now()))}
      />
      <section aria-label={correctMakeText.correctWhatWasRead} className="mt-3">
        <h2 className="section-head">{commonText.measured}</h2>
        {make.measured.length === 0 && <p className="text-sm text-soft">{correctMakeText.nothingWasMeasured}</p>}
        {make.measured.map((reading) => {
          const { figure, at, was = [] } = reading;
          const of = nameOf(reading);
          const isMass = figure === MASS_FIGURE;
          return (
            <div key={`${figure} ${at}`} className="grid gap-x-6 md:grid-cols-2">
              <CorrectField
                label={of}
                {...{ piece, name: name(`${figure} ${at} value`) }}
                own={valueText(reading, units)}
                unit={isMass ? "g" : lengthUnit(units)}
                was={was.length === 0 ? "" : valueText({ figure, value: was.at(-1)!.value }, units)}
                read={(text) => readValue(text, isMass, units)}
                onCorrect={(value) => void correct(of, correctedReading(reading, { value }, now()))}
              />
              <CorrectField
                label={correctMakeText.method(of)}
                shown={correctMakeText.methodLabel}
                {...{ piece, name: name(`${figure} ${at} method`), longest: 40 }}
                own={reading.method ?? ""}
                was={told(was.findLast(({ method }) => method !== undefined)?.method)}
                read={readWords}
                onCorrect={(method) => void correct(of, correctedReading(reading, { method: oneLine(method.trim()) }, now()))}
              />
            </div>
          );
        })}
      </section>
    </>
  );
}

function readWords(text: string): Reading<string> {
  return { value: text };
}

function readMinutes(text: string): Reading<number | null> {
  if (text.trim() === "") return { value: null };
  const minutes = readAmount(text);
  return minutes === null ? { problem: correctMakeText.isNotATimeType(text.trim()) } : { value: minutes };
}

function readValue(text: string, isMass: boolean, units: Units): Reading<number> {
  const typed = text.trim();
  const value = isMass ? readAmount(text) : lengthOf(text, units);
  return value !== null && value > 0
    ? { value }
    : { problem: typed === "" ? correctMakeText.emptyTypeWhatItRead : correctMakeText.isNotAMeasureType(typed) };
}

function lengthOf(text: string, units: Units): number | null {
  const read = readLength(text, units.length);
  return read.ok ? read.value : null;
}

function valueText({ figure, value }: Pick<Measured, "figure" | "value">, units: Units): string {
  return figure === MASS_FIGURE ? value.toFixed(2) : readingText(value, units);
}

function readTime(text: string, isRight: (iso: string) => boolean, otherwise: string): Reading<string> {
  const time = fromLocalMinute(text);
  if (time === null) return { problem: correctMakeText.isNotADateWith(text) };
  return isRight(time) ? { value: time } : { problem: otherwise };
}

function timeWas(was: string | null | undefined): string {
  return was ? localMinute(was).replace("T", " ") : "";
}
