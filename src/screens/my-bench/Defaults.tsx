"use client";

import { type Draft as Editable } from "immer";
import { useState } from "react";
import { WAYS } from "@/core/heats/problem";
import { type SizeSystem } from "@/core/hoop/sizes";
import { MM_PER_INCH, readLength, readNumber, readRise } from "@/core/measure/reading";
import { type BenchEntry, SHIPPED } from "@/core/piece/bench";
import { ChoiceField } from "@/ui/ChoiceField";
import { Segments } from "@/ui/Segments";
import { UnitSwitch } from "@/ui/UnitSwitch";
import { setClockHours, useClockHours } from "@/ui/clock";
import { standInsOn, switchStandIns } from "@/ui/stand-ins";
import { useUnits } from "@/ui/tray";
import { benchName } from "@/words/bench";
import { WAY_ADVICE, overshootHint } from "@/words/heats";
import { lossName } from "@/words/ledger";
import { READY_NAMES } from "@/words/ready-stock";
import { SYSTEM_NAMES, WAY_NAMES, capital, counted } from "@/words/names";
import { degrees, lengthUnit, showRise, withUnit } from "@/words/show";
import { BenchEntryField } from "./BenchEntryField";
import { MandrelEditor, StripEditor } from "./ListEditors";
import { MinutesEditor } from "./MinutesEditor";
import { ReadyStockEditor } from "./ReadyStockEditor";
import { ShelfEditor } from "./ShelfEditor";
import { type BenchEdit } from "./bench-edit";
import { commonText } from "@/words/common";
import { defaultsText } from "@/words/screens/my-bench";

const SYSTEMS: readonly SizeSystem[] = ["us", "uk", "eu", "continental", "jp", "diameter"];

/** Every default with its entry. */
export function Defaults({ edit }: { readonly edit: BenchEdit }) {
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-x-10 gap-y-4 md:grid-cols-2 lg:grid-cols-3">
      <div>
        <General edit={edit} />
        <h2 className="section-head !mt-5">{defaultsText.mandrel}</h2>
        <MandrelEditor edit={edit} />
        <h2 id="minutes" className="section-head !mt-5">
          {defaultsText.minutes}
        </h2>
        <MinutesEditor edit={edit} />
      </div>
      <div>
        <Losses edit={edit} />
        <OwnLosses edit={edit} />
      </div>
      <div>
        <h2 className="section-head">{defaultsText.solderShelf}</h2>
        <ShelfEditor edit={edit} />
        <h2 className="section-head !mt-5">{defaultsText.stripsOnTheShelf}</h2>
        <StripEditor edit={edit} />
        {(["tubes", "cups"] as const).map((kind) => (
          <section key={kind} aria-label={READY_NAMES[kind].head}>
            <h2 className="section-head !mt-5">{READY_NAMES[kind].head}</h2>
            <ReadyStockEditor edit={edit} kind={kind} />
          </section>
        ))}
      </div>
    </div>
  );
}

/** Instruments that only stand in for real ones can be put away. */
function StandInSwitch() {
  const [on, setOn] = useState(standInsOn);
  return (
    <label className="flex min-h-8 items-center justify-between border-t border-hair py-1.5 text-sm">
      <span>
        {defaultsText.standInInstruments}
        <small className="narrow block text-xs text-soft">{defaultsText.makeReadingsUpToTry}</small>
      </span>
      <input
        type="checkbox"
        checked={on}
        onChange={(event) => {
          switchStandIns(event.target.checked);
          setOn(event.target.checked);
        }}
        className="h-4 w-4 accent-accent max-lg:h-6.5 max-lg:w-6.5"
      />
    </label>
  );
}

/** How many hours the clock goes round in, on this device. */
function ClockChoice() {
  return (
    <div className="flex items-center justify-between border-t border-hair py-1.5 text-sm">
      <span>{defaultsText.clock}</span>
      <Segments
        label={defaultsText.clock}
        options={CLOCKS}
        value={useClockHours() === 12 ? "12" : "24"}
        onChoose={(hours) => setClockHours(hours === "12" ? 12 : 24)}
      />
    </div>
  );
}

const CLOCKS = [
  { value: "24", text: defaultsText.of24 },
  { value: "12", text: defaultsText.of12 },
] as const;

function General({ edit }: { readonly edit: BenchEdit }) {
  const { bench, change } = edit;
  const way = bench.way ?? SHIPPED.way;
  const units = useUnits();
  return (
    <>
      <p className="mb-3 text-sm text-soft">{defaultsText.theseValuesApplyWhereA}</p>
      <BenchEntryField
        label={commonText.name}
        value={bench.name ?? ""}
        shipped="yours"
        isText
        onTake={(text) =>
          change((each) => {
            if (text.trim()) each.name = text.trim();
            else delete each.name;
          })
        }
      />
      <StandInSwitch />
      <div className="flex items-center justify-between border-t border-hair py-1.5 text-sm">
        <span>{defaultsText.lengthsIn}</span>
        <UnitSwitch />
      </div>
      <div className="flex items-center justify-between border-t border-hair py-1.5 text-sm">
        <span>{defaultsText.temperaturesIn}</span>
        <UnitSwitch of="temperature" />
      </div>
      <ClockChoice />
      <ChoiceField
        label={defaultsText.ringSizesIn}
        value={bench.sizeSystem ?? SHIPPED.sizeSystem}
        options={SYSTEMS.map((value) => ({ value, text: capital(SYSTEM_NAMES[value]) }))}
        onChoose={(system) => change((each) => void (each.sizeSystem = system))}
        width="wide"
      />
      <ChoiceField
        label={defaultsText.wayOfGrading}
        hint={WAY_ADVICE[way]}
        value={way}
        options={WAYS.map((value) => ({ value, text: capital(WAY_NAMES[value]) }))}
        onChoose={(next) => change((each) => void (each.way = next))}
        width="wide"
      />
      <BenchEntryField
        label={defaultsText.overshoot}
        hint={overshootHint(units)}
        value={bench.overshoot === undefined ? "" : showRise(bench.overshoot, units)}
        shipped={showRise(SHIPPED.overshoot, units)}
        unit={degrees(units)}
        onTake={(text) => {
          const reading = readRise(text, units.temperature);
          if (text.trim() !== "" && !reading.ok) return defaultsText.typeANumberAs(showRise(SHIPPED.overshoot, units));
          return change((each) => {
            if (reading.ok) each.overshoot = reading.value;
            else delete each.overshoot;
          });
        }}
      />
    </>
  );
}

/** What the maker's own hands take off, as they agreed to in the ledger; each can be given back. */
function OwnLosses({ edit: { bench, change } }: { readonly edit: BenchEdit }) {
  const units = useUnits();
  const own = bench.allowances ?? [];
  if (own.length === 0) return null;
  return (
    <>
      <h2 className="section-head !mt-5">{defaultsText.whatYourHandsTakeOff}</h2>
      {own.map(({ kind, method, value, count }) => (
        <div key={`${kind} ${method}`} className="flex items-center justify-between gap-2 border-t border-hair py-1.5 text-sm">
          <span className="min-w-0">
            {lossName(kind)}
            {method && `, ${method}`}
            <small className="block text-xs text-soft">
              {count === undefined ? defaultsText.yours : defaultsText.yoursFrom(counted(count, "make"))}
            </small>
          </span>
          <b>{withUnit(value, "measured", units)}</b>
          <button
            type="button"
            className="btn btn-small max-lg:h-touch"
            onClick={() =>
              void change((each) => {
                const rest = (each.allowances ?? []).filter((other) => other.kind !== kind || other.method !== method);
                if (rest.length > 0) each.allowances = rest;
                else delete each.allowances;
              })
            }
          >
            {defaultsText.goBackToTheStandard}
          </button>
        </div>
      ))}
    </>
  );
}

const WALL_LOSSES = ["squaring", "mark", "foot", "top"] as const;
const HOOP_LOSSES = ["squaring", "sawPasses", "kerf", "mark"] as const;
const SEAT = ["fit", "catch"] as const;

function Losses({ edit }: { readonly edit: BenchEdit }) {
  const { losses, seatOf } = edit.bench;
  return (
    <>
      <h2 className="section-head">{defaultsText.lostOnABezel}</h2>
      {WALL_LOSSES.map((name) => (
        <LengthEntry
          key={name}
          edit={edit}
          label={benchName(`losses.wall.${name}`)}
          value={losses?.wall?.[name]}
          shipped={SHIPPED.losses.wall[name]}
          write={(bench, value) => {
            bench.losses = { ...bench.losses, wall: without({ ...bench.losses?.wall, [name]: value }) };
          }}
        />
      ))}
      <h2 className="section-head !mt-5">{defaultsText.lostOnAHoop}</h2>
      {HOOP_LOSSES.map((name) =>
        name === "sawPasses" ? (
          <NumberEntry
            key={name}
            edit={edit}
            label={benchName(`losses.hoop.${name}`)}
            unit=""
            value={losses?.hoop?.[name]}
            shipped={SHIPPED.losses.hoop[name]}
            write={(bench, value) => {
              bench.losses = { ...bench.losses, hoop: without({ ...bench.losses?.hoop, [name]: value }) };
            }}
          />
        ) : (
          <LengthEntry
            key={name}
            edit={edit}
            label={benchName(`losses.hoop.${name}`)}
            value={losses?.hoop?.[name]}
            shipped={SHIPPED.losses.hoop[name]}
            write={(bench, value) => {
              bench.losses = { ...bench.losses, hoop: without({ ...bench.losses?.hoop, [name]: value }) };
            }}
          />
        ),
      )}
      <h2 className="section-head !mt-5">{defaultsText.roundTheStone}</h2>
      {SEAT.map((name) => (
        <LengthEntry
          key={name}
          edit={edit}
          label={benchName(`seatOf.${name}`)}
          value={seatOf?.[name]}
          shipped={SHIPPED.seatOf[name]}
          write={(bench, value) => {
            bench.seatOf = without({ ...bench.seatOf, [name]: value });
          }}
        />
      ))}
    </>
  );
}

/** An object without the fields that are undefined. */
function without<T extends object>(object: T): { [K in keyof T]: Exclude<T[K], undefined> } {
  return Object.fromEntries(Object.entries(object).filter(([, value]) => value !== undefined)) as {
    [K in keyof T]: Exclude<T[K], undefined>;
  };
}

interface NumberProps {
  readonly edit: BenchEdit;
  readonly label: string;
  readonly hint?: string;
  readonly value: number | undefined;
  readonly shipped: number;
  readonly write: (bench: Editable<BenchEntry>, value: number | undefined) => void;
}

function NumberEntry({ edit, label, hint, unit, value, shipped, write }: NumberProps & { readonly unit: string }) {
  return (
    <BenchEntryField
      label={label}
      hint={hint}
      value={value === undefined ? "" : String(value)}
      shipped={String(shipped)}
      unit={unit}
      onTake={(text) => {
        if (text.trim() === "") return edit.change((bench) => write(bench, undefined));
        const reading = readNumber(text);
        return reading.ok ? edit.change((bench) => write(bench, reading.value)) : defaultsText.typeANumberEG(shipped);
      }}
    />
  );
}

function LengthEntry({ edit, label, hint, value, shipped, write }: NumberProps) {
  const units = useUnits();
  const shown = (mm: number) => (units.length === "inch" ? (mm / MM_PER_INCH).toFixed(4) : mm.toFixed(2));
  return (
    <BenchEntryField
      label={label}
      hint={hint ?? (value === undefined ? defaultsText.standardValue : defaultsText.yours)}
      value={value === undefined ? "" : shown(value)}
      shipped={shown(shipped)}
      unit={lengthUnit(units)}
      onTake={(text) => {
        if (text.trim() === "") return edit.change((bench) => write(bench, undefined));
        const reading = readLength(text, units.length);
        return reading.ok ? edit.change((bench) => write(bench, reading.value)) : defaultsText.typeALengthEG(shown(shipped));
      }}
    />
  );
}
