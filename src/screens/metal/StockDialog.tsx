"use client";

import { castDraft } from "immer";
import { useId, useState } from "react";
import { METALS, type Metal, massOf, metalsFor } from "@/core/metal/metals";
import { areaAcross } from "@/core/metal/cut";
import { STOCK_FORMS, type StockItem, WIRE_SECTIONS, cutStockOf } from "@/core/metal/stock";
import { type SectionShape } from "@/core/metal/section";
import { newId } from "@/store/ids";
import { Dialog, DialogActions } from "@/ui/Dialog";
import { standIn } from "@/ui/instruments";
import { standInsOn } from "@/ui/stand-ins";
import { useTray, useUnits } from "@/ui/tray";
import { STANDS_IN } from "@/words/making";
import { SECTION_NAMES, capital } from "@/words/names";
import { commonText } from "@/words/common";
import { stockFormText } from "@/words/screens/metal";
import { lengthUnit, showLength, withUnit } from "@/words/show";
import { Corners } from "./Corners";
import { type Form, readStock, sidesAsked, typedOf, typedSheet, typedWeight } from "./stock-form";

interface Props {
  /** What lies there already and is changed; null for what is laid in. */
  readonly item: StockItem | null;
  readonly onClose: () => void;
}

/** Metal that is laid into the drawer by hand, or changed where it lies. */
export function StockDialog({ item, onClose }: Props) {
  const tray = useTray();
  const units = useUnits();
  const id = useId();
  const [typed, type] = useState(() => typedOf(item, units));
  const [problem, setProblem] = useState<string | null>(null);
  const { form, metal, section, texts } = typed;
  const sides = sidesAsked(typed);
  const sheet = typedSheet(typed, item, units);
  const write = (key: keyof typeof texts, text: string) => type({ ...typed, texts: { ...texts, [key]: text } });
  const byWeight = typedWeight(typed, item, units);
  const keep = async () => {
    const read = readStock(typed, item, units);
    if (!read.ok) return setProblem(read.problem);
    let isGone = false;
    const told = await tray.changeBench((bench) => {
      const stock = bench.stock ?? [];
      const at = item ? stock.findIndex((each) => each.id === item.id) : -1;
      isGone = item !== null && at < 0;
      if (item && at >= 0) stock[at] = castDraft({ id: item.id, ...read.item });
      if (!item) bench.stock = [...stock, castDraft({ id: `${form}-${newId()}`, ...read.item })];
    });
    if (told !== null || isGone) return setProblem(told ?? stockFormText.gone);
    if (item) return onClose();
    setProblem(null);
    type({ ...typed, texts: {} });
  };
  const weigh = () => {
    if (!item) return;
    const wanted = massOf(item.metal, areaAcross(cutStockOf(item)) * item.length);
    const scale = standIn("scale", stockFormText.scale, { wanted, scatter: 0.02 * wanted, step: 0.01, seed: item.id });
    const stop = scale.onReading((grams) => write("grams", grams.toFixed(2)));
    scale.press();
    stop();
  };
  return (
    <Dialog title={item ? stockFormText.headChange : stockFormText.head} onClose={onClose} width={420}>
      <div className="grid grid-cols-2 gap-2.5 text-sm">
        <Choice
          label={stockFormText.form}
          value={form}
          options={STOCK_FORMS.map((value) => [value, stockFormText.forms[value]])}
          onChoose={(value) => type({ ...typed, form: value as Form })}
        />
        <Choice
          label={stockFormText.metal}
          value={metal}
          options={metalsFor("plate").map((value) => [value, capital(METALS[value].name)])}
          onChoose={(value) => type({ ...typed, metal: value as Metal })}
        />
        {form === "wire" && (
          <Choice
            label={stockFormText.section}
            value={section}
            options={WIRE_SECTIONS.map((value) => [value, capital(SECTION_NAMES[value])])}
            onChoose={(value) => type({ ...typed, section: value as SectionShape })}
          />
        )}
        {sides.map((side) => (
          <Entry
            key={side}
            id={`${id} ${side}`}
            label={stockFormText.sides[side]}
            value={texts[side] ?? ""}
            unit={lengthUnit(units)}
            onType={(text) => write(side, text)}
            onEnter={() => void keep()}
          />
        ))}
        <Entry
          id={`${id} count`}
          label={stockFormText.count}
          value={texts.count ?? "1"}
          onType={(text) => write("count", text)}
          onEnter={() => void keep()}
        />
        <Entry
          id={`${id} least`}
          label={stockFormText.least}
          value={texts.least ?? ""}
          unit={lengthUnit(units)}
          onType={(text) => write("least", text)}
          onEnter={() => void keep()}
        />
        {form === "sheet" && <Corners text={texts.corners ?? ""} sheet={sheet} onType={(text) => write("corners", text)} />}
        {form !== "sheet" && (
          <Entry
            id={`${id} grams`}
            label={stockFormText.grams}
            value={texts.grams ?? ""}
            unit="g"
            onType={(text) => write("grams", text)}
            onEnter={() => byWeight !== null && write("length", showLength(byWeight, "measured", units))}
          />
        )}
        {form !== "sheet" && item && standInsOn() && (
          <button type="button" className="btn col-span-2" onClick={weigh}>
            {stockFormText.readScale} <small className="font-normal text-soft">{STANDS_IN}</small>
          </button>
        )}
        {byWeight !== null && (
          <p className="col-span-2 flex items-center justify-between gap-2">
            {stockFormText.weighs(texts.grams ?? "", withUnit(byWeight, "measured", units))}
            <button type="button" className="btn btn-small" onClick={() => write("length", showLength(byWeight, "measured", units))}>
              {stockFormText.useLength}
            </button>
          </p>
        )}
      </div>
      {problem && (
        <p role="alert" className="pt-2 text-sm text-bad">
          ◆ {problem}.
        </p>
      )}
      <DialogActions>
        <button type="button" className="btn" onClick={onClose}>
          {item ? commonText.cancel : stockFormText.close}
        </button>
        <button type="button" className="btn btn-main" onClick={() => void keep()}>
          {item ? stockFormText.save : stockFormText.add}
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

interface EntryProps {
  readonly id: string;
  readonly label: string;
  readonly value: string;
  readonly unit?: string;
  readonly onType: (text: string) => void;
  readonly onEnter: () => void;
}

function Entry({ id, label, value, unit, onType, onEnter }: EntryProps) {
  return (
    <label htmlFor={id} className="block">
      {label}
      <span className="entry mt-0.5">
        <input
          id={id}
          value={value}
          inputMode="decimal"
          autoComplete="off"
          onChange={(event) => onType(event.target.value)}
          onKeyDown={(event) => event.key === "Enter" && onEnter()}
        />
        {unit && <span className="unit">{unit}</span>}
      </span>
    </label>
  );
}
