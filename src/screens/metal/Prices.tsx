"use client";

import { useId, useState } from "react";
import { type Draft as Editable } from "immer";
import { type Rates } from "@/core/piece/bench";
import { METALS, type Metal } from "@/core/metal/metals";
import { standInPrices } from "@/ui/metal-prices";
import { useNotices } from "@/ui/notices";
import { standInsOn } from "@/ui/stand-ins";
import { useTray, useTrayState } from "@/ui/tray";
import { capital } from "@/words/names";
import { pricesText } from "@/words/screens/metal";

/** What a gram and an hour cost: typed, or made up by a stand-in that says so. */
export function Prices({ metals }: { readonly metals: readonly Metal[] }) {
  const tray = useTray();
  const { warn } = useNotices();
  const rates = useTrayState(({ bench }) => bench.rates);
  const [hasStandIn] = useState(standInsOn);
  const change = async (recipe: (rates: Editable<Rates>) => void) => {
    const day = new Date().toISOString().slice(0, 10);
    const problem = await tray.changeBench((bench) => {
      const next: Editable<Rates> = bench.rates ?? { currency: "", by: "typed", at: day };
      // what a stand-in made up is not kept beside what somebody typed
      if (next.by === "stand-in") {
        delete next.metals;
        delete next.solder;
      }
      Object.assign(next, { by: "typed", at: day });
      recipe(next);
      bench.rates = next;
    });
    if (problem) warn(`${problem}.`);
    return problem === null;
  };
  const ask = async () => {
    const quote = await standInPrices.quote(new Date().toISOString().slice(0, 10));
    const { currency, metals: each, solder, day } = quote;
    const problem = await tray.changeBench((bench) => {
      bench.rates = { ...bench.rates, currency, metals: { ...each }, solder, by: "stand-in", at: day };
    });
    if (problem) warn(`${problem}.`);
  };
  const currency = rates?.currency ?? "";
  return (
    <>
      <h2 className="section-head mt-3">{pricesText.head}</h2>
      {rates?.by === "stand-in" && <p className="rounded-sm bg-warn-wash px-2 py-1 text-sm text-warn">{pricesText.isStandIn(rates.at)}</p>}
      <div className="grid grid-cols-2 gap-x-3 gap-y-1.5 py-1.5 text-sm">
        <Price
          key={`currency ${currency}`}
          label={pricesText.currency}
          value={currency}
          isRight={(text) => /^[A-Za-z]{3}$/.test(text)}
          wrong={pricesText.threeLetters}
          onTake={(text) => change((next) => void (next.currency = text.toUpperCase()))}
        />
        {currency !== "" && (
          <>
            <Amount label={pricesText.hour} value={rates?.hour} onTake={(value) => change((next) => void (next.hour = value))} />
            {metals.map((metal) => (
              <Amount
                key={metal}
                label={pricesText.gramOf(capital(METALS[metal].name))}
                value={rates?.metals?.[metal]}
                onTake={(value) => change((next) => void (next.metals = { ...next.metals, [metal]: value }))}
              />
            ))}
            <Amount
              label={pricesText.gramOf(pricesText.solder)}
              value={rates?.solder}
              onTake={(value) => change((next) => void (next.solder = value))}
            />
          </>
        )}
      </div>
      {hasStandIn && (
        <button type="button" className="btn btn-small" onClick={() => void ask()}>
          {pricesText.standIn}
        </button>
      )}
    </>
  );
}

interface AmountProps {
  readonly label: string;
  readonly value: number | undefined;
  readonly onTake: (value: number) => Promise<boolean>;
}

function Amount({ label, value, onTake }: AmountProps) {
  const shown = value === undefined ? "" : String(value);
  const read = (text: string) => Number(text.replace(",", "."));
  return (
    <Price
      key={shown}
      label={label}
      value={shown}
      isRight={(text) => read(text) >= 0 && Number.isFinite(read(text))}
      wrong={pricesText.anAmount}
      onTake={(text) => onTake(read(text))}
    />
  );
}

interface PriceProps {
  readonly label: string;
  readonly value: string;
  readonly isRight: (text: string) => boolean;
  readonly wrong: string;
  readonly onTake: (text: string) => Promise<boolean>;
}

function Price({ label, value, isRight, wrong, onTake }: PriceProps) {
  const id = useId();
  const [text, setText] = useState(value);
  const [isWrong, setWrong] = useState(false);
  const take = () => {
    const typed = text.trim();
    if (typed === value || typed === "") return setWrong(false);
    if (!isRight(typed)) return setWrong(true);
    setWrong(false);
    void onTake(typed);
  };
  return (
    <label htmlFor={id} className="block">
      {label}
      <span className={`entry mt-0.5 ${isWrong ? "entry-wrong" : ""}`}>
        <input
          id={id}
          value={text}
          inputMode="decimal"
          autoComplete="off"
          aria-invalid={isWrong}
          onChange={(event) => setText(event.target.value)}
          onBlur={take}
          onKeyDown={(event) => event.key === "Enter" && take()}
        />
      </span>
      {isWrong && (
        <small role="alert" className="block text-xs text-bad">
          ◆ {wrong}
        </small>
      )}
    </label>
  );
}
