"use client";

import { readNumber } from "@/core/measure/reading";
import { type StepMinutes, USUAL_MINUTES } from "@/core/making/minutes";
import { STAGE_OF, STEP_STAGES, type StepCode } from "@/core/making/step";
import { type Draft as Editable } from "immer";
import { type BenchEntry, minutesOf } from "@/core/piece/bench";
import { STEP_NAMES } from "@/words/step-names";
import { STAGE_TITLES } from "@/words/steps";
import { capital } from "@/words/names";
import { type BenchEdit } from "./bench-edit";
import { BenchEntryField } from "./BenchEntryField";
import { minutesEditorText } from "@/words/screens/my-bench";

const CODES = Object.keys(STAGE_OF) as StepCode[];
const TIMES = [
  { name: "hands", label: minutesEditorText.hands },
  { name: "wait", label: minutesEditorText.thenWaits },
] as const;

/** How long each step takes the maker's hands, and how long it leaves the piece waiting. */
export function MinutesEditor({ edit }: { readonly edit: BenchEdit }) {
  return (
    <>
      {STEP_STAGES.map((stage) => (
        <details key={stage} open={stage === "join"} className="border-t border-hair py-1">
          <summary className="cursor-pointer py-1 text-sm font-strong max-lg:min-h-touch">{STAGE_TITLES[stage]}</summary>
          <div className="grid grid-cols-[minmax(0,1fr)_88px_88px] items-center gap-x-2 text-sm">
            <span />
            {TIMES.map(({ label }) => (
              <span key={label} className="text-right text-soft">
                {label}
              </span>
            ))}
            {CODES.filter((code) => STAGE_OF[code] === stage).map((code) => (
              <Minutes key={code} code={code} edit={edit} />
            ))}
          </div>
        </details>
      ))}
    </>
  );
}

/** Minutes that are the usual ones are none of the maker's own. */
function putMinutes(bench: Editable<BenchEntry>, code: StepCode, next: StepMinutes): void {
  const { [code]: _before, ...others } = bench.minutes ?? {};
  const isUsual = next.hands === USUAL_MINUTES[code].hands && next.wait === USUAL_MINUTES[code].wait;
  bench.minutes = isUsual ? others : { ...others, [code]: next };
  if (Object.keys(bench.minutes).length === 0) delete bench.minutes;
}

function Minutes({ code, edit }: { readonly code: StepCode; readonly edit: BenchEdit }) {
  const own = edit.bench.minutes?.[code];
  const put = (name: keyof StepMinutes, value: number | null) =>
    edit.change((bench) => putMinutes(bench, code, { ...minutesOf(edit.bench, code).value, [name]: value ?? USUAL_MINUTES[code][name] }));
  return (
    <>
      <span className="min-w-0 py-0.5">{capital(STEP_NAMES[code])}</span>
      {TIMES.map(({ name, label }) => (
        <BenchEntryField
          key={name}
          label={`${STEP_NAMES[code]}, ${label}`}
          hidesLabel
          value={own && own[name] !== USUAL_MINUTES[code][name] ? String(own[name]) : ""}
          shipped={String(USUAL_MINUTES[code][name])}
          unit={minutesEditorText.min}
          onTake={(text) => {
            if (text.trim() === "") return put(name, null);
            const reading = readNumber(text);
            if (!reading.ok) return minutesEditorText.typeMinutesAs(USUAL_MINUTES[code][name]);
            return put(name, reading.value);
          }}
        />
      ))}
    </>
  );
}
