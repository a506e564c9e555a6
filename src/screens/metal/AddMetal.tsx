"use client";

import { castDraft } from "immer";
import { useId, useState } from "react";
import { readLength } from "@/core/measure/reading";
import { METALS, type Metal, metalsFor } from "@/core/metal/metals";
import { type StockItem } from "@/core/metal/stock";
import { type SectionShape } from "@/core/metal/section";
import { newId } from "@/store/ids";
import { Dialog, DialogActions } from "@/ui/Dialog";
import { useTray, useUnits } from "@/ui/tray";
import { SECTION_NAMES, capital } from "@/words/names";
import { stockFormText } from "@/words/screens/metal";
import { lengthUnit } from "@/words/show";

type Form = StockItem["form"];
type Side = "width" | "thickness" | "outside" | "inside" | "length";

const FORMS: readonly Form[] = ["strip", "wire", "sheet", "tube"];
const SECTIONS: readonly SectionShape[] = ["round", "square", "rectangle", "oval", "half-round", "d"];
/** What is asked of each form. Of round and square wire its thickness says its width. */
const SIDES: Readonly<Record<Form, readonly Side[]>> = {
  strip: ["width", "thickness", "length"],
  wire: ["width", "thickness", "length"],
  sheet: ["length", "width", "thickness"],
  tube: ["outside", "inside", "length"],
};

/** Metal that is laid into the drawer by hand. */
export function AddMetal({ onClose }: { readonly onClose: () => void }) {
  const tray = useTray();
  const units = useUnits();
  const id = useId();
  const [form, setForm] = useState<Form>("strip");
  const [metal, setMetal] = useState<Metal>("sterling");
  const [section, setSection] = useState<SectionShape>("round");
  const [typed, setTyped] = useState<Partial<Record<Side | "count", string>>>({});
  const [problem, setProblem] = useState<string | null>(null);
  const sides = SIDES[form].filter((side) => !(side === "width" && form === "wire" && (section === "round" || section === "square")));
  const add = async () => {
    const read: Partial<Record<Side, number>> = {};
    for (const side of sides) {
      const reading = readLength(typed[side] ?? "", units.length);
      if (!reading.ok || reading.value <= 0) return setProblem(stockFormText.needed(stockFormText.sides[side]));
      read[side] = reading.value;
    }
    const count = Number(typed.count ?? "1");
    if (!Number.isInteger(count) || count < 1) return setProblem(stockFormText.howMany);
    const thickness = read.thickness ?? (read.outside! - read.inside!) / 2;
    if (thickness <= 0) return setProblem(stockFormText.insideOut);
    const item: StockItem = {
      ...{ id: `${form}-${newId()}`, form, metal, thickness, count, length: read.length! },
      ...(form === "wire" && { section, width: read.width ?? thickness }),
      ...((form === "strip" || form === "sheet") && { width: read.width! }),
      ...(form === "tube" && { outside: read.outside!, inside: read.inside! }),
    };
    const told = await tray.changeBench((bench) => {
      bench.stock = castDraft([...(bench.stock ?? []), item]);
    });
    setProblem(told);
    if (told === null) setTyped({});
  };
  return (
    <Dialog title={stockFormText.head} onClose={onClose} width={420}>
      <div className="grid grid-cols-2 gap-2.5 text-sm">
        <Choice
          label={stockFormText.form}
          value={form}
          options={FORMS.map((value) => [value, stockFormText.forms[value]])}
          onChoose={(value) => setForm(value as Form)}
        />
        <Choice
          label={stockFormText.metal}
          value={metal}
          options={metalsFor("plate").map((value) => [value, capital(METALS[value].name)])}
          onChoose={(value) => setMetal(value as Metal)}
        />
        {form === "wire" && (
          <Choice
            label={stockFormText.section}
            value={section}
            options={SECTIONS.map((value) => [value, capital(SECTION_NAMES[value])])}
            onChoose={(value) => setSection(value as SectionShape)}
          />
        )}
        {sides.map((side) => (
          <label key={side} htmlFor={`${id} ${side}`} className="block">
            {stockFormText.sides[side]}
            <span className="entry mt-0.5">
              <input
                id={`${id} ${side}`}
                value={typed[side] ?? ""}
                inputMode="decimal"
                autoComplete="off"
                onChange={(event) => setTyped({ ...typed, [side]: event.target.value })}
                onKeyDown={(event) => event.key === "Enter" && void add()}
              />
              <span className="unit">{lengthUnit(units)}</span>
            </span>
          </label>
        ))}
        <label htmlFor={`${id} count`} className="block">
          {stockFormText.count}
          <span className="entry mt-0.5">
            <input
              id={`${id} count`}
              value={typed.count ?? "1"}
              inputMode="numeric"
              autoComplete="off"
              onChange={(event) => setTyped({ ...typed, count: event.target.value })}
              onKeyDown={(event) => event.key === "Enter" && void add()}
            />
          </span>
        </label>
      </div>
      {problem && (
        <p role="alert" className="pt-2 text-sm text-bad">
          ◆ {problem}.
        </p>
      )}
      <DialogActions>
        <button type="button" className="btn" onClick={onClose}>
          {stockFormText.close}
        </button>
        <button type="button" className="btn btn-main" onClick={() => void add()}>
          {stockFormText.add}
        </button>
      </DialogActions>
    </Dialog>
  );
}

interface ChoiceProps {
  readonly label: string;
  readonly value: string;
  readonly options: readonly (readonly [value: string, text: string])[];
  readonly onChoose: (value: string) => void;
}

function Choice({ label, value, options, onChoose }: ChoiceProps) {
  const id = useId();
  return (
    <label htmlFor={id} className="block">
      {label}
      <select id={id} value={value} onChange={(event) => onChoose(event.target.value)} className="entry mt-0.5 !justify-start font-medium">
        {options.map(([each, text]) => (
          <option key={each} value={each}>
            {text}
          </option>
        ))}
      </select>
    </label>
  );
}
