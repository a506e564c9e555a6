"use client";

import { useState } from "react";
import { layBlank } from "@/core/measure/blank";
import { type SumCode, SUM_KINDS, type SumField } from "@/core/sums/sum";
import { SUMS, readSum } from "@/core/sums/sums";
import { FindButton } from "@/ui/Find";
import { NavBar } from "@/ui/NavBar";
import { Rule } from "@/ui/Rule";
import { UnitSwitch } from "@/ui/UnitSwitch";
import { useSumActions } from "@/ui/sum-actions";
import { useTitle } from "@/ui/title";
import { useTrayState, useUnits } from "@/ui/tray";
import { BLANK_MARKS } from "@/words/marks";
import { SUM_EXAMPLES, SUM_FIELDS, SUM_NAMES, sayQuickSum } from "@/words/quick-sums";
import { lengthUnit, withUnit } from "@/words/show";
import { sumsScreenText } from "@/words/screens/sums";
import { type Typed, inUnit, startOf } from "./fields";

/** How tall something stands on the rule, and how long a piece is, where nobody said (mm). */
const USUAL = { height: 3, side: 1 } as const;
/** More pieces than these are not told apart. */
const MOST_DRAWN = 60;

/** Sums by themselves, for whoever would rather fill fields than type a line. */
export function SumsScreen() {
  useTitle(sumsScreenText.sums);
  const units = useUnits();
  const [typed, setTyped] = useState<Readonly<Partial<Record<SumCode, Typed>>>>({});
  return (
    <main className="min-h-dvh bg-sheet">
      <NavBar>
        <UnitSwitch />
        <FindButton />
      </NavBar>
      <div className="px-5 py-3.5 max-lg:px-3.5">
        <h1 className="text-2xl font-bold font-condensed">{sumsScreenText.sums}</h1>
        <p className="mb-3 max-w-183 text-sm text-soft">{sumsScreenText.alsoByTyping}</p>
        <div className="grid grid-cols-[minmax(0,1fr)] gap-x-7 gap-y-5 xl:grid-cols-2">
          {SUM_KINDS.map((code) => (
            <SumForm
              key={code}
              code={code}
              typed={inUnit(code, typed[code] ?? startOf(code, units), units)}
              onType={(next) => setTyped({ ...typed, [code]: next })}
            />
          ))}
        </div>
      </div>
    </main>
  );
}

interface FormProps {
  readonly code: SumCode;
  readonly typed: Typed;
  readonly onType: (typed: Typed) => void;
}

/** One kind of sum: its fields, what they come to, and that along a rule. */
function SumForm({ code, typed, onType }: FormProps) {
  const units = useUnits();
  const bench = useTrayState((state) => state.bench);
  const { copy, begin } = useSumActions();
  const { fields, line } = SUMS[code];
  const read = readSum(line(typed.texts), units.length, bench);
  const sum = read.ok && read.sum.code === code ? read.sum : null;
  const said = sum && sayQuickSum(sum, units);
  const lies = sum && SUMS[code].along(sum);
  return (
    <section aria-label={SUM_NAMES[code]} className="min-w-0 overflow-x-clip border-t border-line pt-2.5">
      <h2 className="text-lg font-strong">{SUM_NAMES[code]}</h2>
      <div className="mt-1 flex flex-wrap gap-2.5">
        {fields.map((field) => (
          <Field
            key={field.name}
            field={field}
            unit={lengthUnit(units)}
            text={typed.texts[field.name] ?? ""}
            onType={(text) => onType({ texts: { ...typed.texts, [field.name]: text }, unit: units.length })}
          />
        ))}
      </div>
      <div aria-live="polite" className="mt-2 min-h-14">
        {said ? (
          <>
            <p className="flex flex-wrap items-baseline gap-x-2">
              <span className="text-sm text-soft">{said.answers[0]!.name}</span>
              <b className="big">{said.answers[0]!.text}</b>
              <span className="narrow text-sm text-soft">
                {said.answers
                  .slice(1)
                  .map(({ name, text }) => `${name} ${text}`)
                  .join(", ")}
              </span>
            </p>
            <p className="narrow text-sm text-soft">
              {[said.sum, said.sizes, said.assumed && sumsScreenText.takenAsUsual(said.assumed)].filter(Boolean).join("; ")}
            </p>
          </>
        ) : (
          <p className="text-sm text-bad">{sumsScreenText.cannotBe(SUM_EXAMPLES[code])}</p>
        )}
      </div>
      {lies && said && (
        <Rule
          blank={layBlank(lies.length, 0, 0, [])}
          height={lies.height ?? USUAL.height}
          cut={said.answers.find((each) => each.code === lies.answer)?.text ?? withUnit(lies.length, "measured", units)}
          beyond=""
          names={BLANK_MARKS}
          units={units}
          pieceName={sumsScreenText.piece}
          pieces={lies.pieces.slice(0, MOST_DRAWN).map(({ at, side }) => ({ at, side: side ?? USUAL.side }))}
        />
      )}
      {sum && said && (
        <div className="mt-1.5 flex flex-wrap gap-2">
          <button type="button" className="btn btn-small" onClick={() => copy(said.answers[0]!.text)}>
            {sumsScreenText.copy}
          </button>
          {said.begin && (
            <button type="button" className="btn btn-small" onClick={() => begin(sum)}>
              {said.begin}
            </button>
          )}
        </div>
      )}
    </section>
  );
}

interface FieldProps {
  readonly field: SumField;
  readonly unit: string;
  readonly text: string;
  readonly onType: (text: string) => void;
}

function Field({ field: { name, as }, unit, text, onType }: FieldProps) {
  const label = SUM_FIELDS[name]!;
  if (typeof as !== "string") {
    return (
      <label className="text-sm">
        <span className="block text-soft">{label}</span>
        <select value={text} onChange={(event) => onType(event.target.value)} className="btn max-lg:h-touch">
          {as.map((each) => (
            <option key={each} value={each}>
              {each}
            </option>
          ))}
        </select>
      </label>
    );
  }
  return (
    <label className="w-26 text-sm">
      <span className="block text-soft">{label}</span>
      <span className="entry">
        <input
          value={text}
          inputMode={as === "words" ? "text" : "decimal"}
          autoComplete="off"
          onChange={(event) => onType(event.target.value)}
        />
        {as === "length" && <span className="text-xs font-light text-soft">{unit}</span>}
      </span>
    </label>
  );
}
