"use client";

import { Redo2, Undo2 } from "lucide-react";
import { type Draft as Editable } from "immer";
import { type Way } from "@/core/heats/problem";
import { type SizeSystem } from "@/core/hoop/sizes";
import { MM_PER_INCH, readLength, readNumber, readRise } from "@/core/measure/reading";
import { type BenchEntry, SHIPPED } from "@/core/piece/bench";
import { ChoiceField } from "@/ui/ChoiceField";
import { FindButton } from "@/ui/Find";
import { NavBar } from "@/ui/NavBar";
import { UnitSwitch } from "@/ui/UnitSwitch";
import { useTitle } from "@/ui/title";
import { useKeys } from "@/ui/keys";
import { useOpening } from "@/ui/opening";
import { saveFile } from "@/ui/save-file";
import { useTrayState, useUnits } from "@/ui/tray";
import { TROUBLE_WORDS } from "@/words/trouble";
import { benchName } from "@/words/bench";
import { WAY_ADVICE, overshootHint } from "@/words/heats";
import { SYSTEM_NAMES, WAY_NAMES, capital } from "@/words/names";
import { degrees, lengthUnit, showRise } from "@/words/show";
import { BenchEntryField } from "./BenchEntryField";
import { MandrelEditor, StripEditor } from "./ListEditors";
import { ShelfEditor } from "./ShelfEditor";
import { type BenchEdit, useBenchEdit } from "./bench-edit";

const SYSTEMS: readonly SizeSystem[] = ["us", "uk", "eu", "continental", "jp", "diameter"];
const WAYS: readonly Way[] = ["free", "step-down", "one-grade", "fuse-first", "seams-hard"];

/** The maker's defaults: what a piece leaves out is taken from here. */
export function MyBenchScreen() {
  const edit = useBenchEdit();
  const trouble = useTrayState((state) => state.trouble);
  const { pick } = useOpening();
  useTitle("My bench");
  useKeys({ "$mod+z": edit.undo, "$mod+Shift+z": edit.redo, "$mod+y": edit.redo });
  return (
    <main className="min-h-dvh">
      <NavBar>
        {trouble && <span className="text-[12.5px] font-semibold text-bad">{TROUBLE_WORDS[trouble]}</span>}
        <button type="button" className="btn btn-plain" aria-label="Undo" disabled={!edit.canUndo} onClick={edit.undo}>
          <Undo2 size={15} aria-hidden="true" />
        </button>
        <button type="button" className="btn btn-plain" aria-label="Redo" disabled={!edit.canRedo} onClick={edit.redo}>
          <Redo2 size={15} aria-hidden="true" />
        </button>
        <FindButton />
        <button type="button" className="btn" onClick={pick}>
          Open file
        </button>
        <button
          type="button"
          className="btn btn-main"
          onClick={() => void import("@/store/files").then(({ benchText }) => saveFile("my-bench.json", benchText(edit.bench)))}
        >
          Save file
        </button>
      </NavBar>
      <div className="mx-auto grid max-w-[1320px] grid-cols-[minmax(0,1fr)] gap-x-10 gap-y-4 px-6 py-5 max-lg:px-3.5 md:grid-cols-2 lg:grid-cols-3">
        <div>
          <General edit={edit} />
          <h2 className="section-head !mt-5">Mandrel</h2>
          <MandrelEditor edit={edit} />
        </div>
        <div>
          <Losses edit={edit} />
        </div>
        <div>
          <h2 className="section-head">Solder shelf</h2>
          <ShelfEditor edit={edit} />
          <h2 className="section-head !mt-5">Strips on the shelf</h2>
          <StripEditor edit={edit} />
        </div>
      </div>
    </main>
  );
}

function General({ edit }: { readonly edit: BenchEdit }) {
  const { bench, change } = edit;
  const way = bench.way ?? SHIPPED.way;
  const units = useUnits();
  return (
    <>
      <h1 className="mb-2 text-[22px] font-bold [font-stretch:92%]">My bench</h1>
      <p className="mb-3 text-[13px] text-soft">What a piece leaves out is taken from here. An empty field keeps the shipped default.</p>
      <BenchEntryField
        label="Name"
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
      <div className="flex items-center justify-between border-t border-hair py-1.5 text-[13.5px]">
        <span>Lengths in</span>
        <UnitSwitch />
      </div>
      <div className="flex items-center justify-between border-t border-hair py-1.5 text-[13.5px]">
        <span>Temperatures in</span>
        <UnitSwitch of="temperature" />
      </div>
      <ChoiceField
        label="Fingers sized in"
        value={bench.sizeSystem ?? SHIPPED.sizeSystem}
        options={SYSTEMS.map((value) => ({ value, text: capital(SYSTEM_NAMES[value]) }))}
        onChoose={(system) => change((each) => void (each.sizeSystem = system))}
        width="wide"
      />
      <ChoiceField
        label="Way of grading"
        hint={WAY_ADVICE[way]}
        value={way}
        options={WAYS.map((value) => ({ value, text: capital(WAY_NAMES[value]) }))}
        onChoose={(next) => change((each) => void (each.way = next))}
        width="wide"
      />
      <BenchEntryField
        label="Overshoot"
        hint={overshootHint(units)}
        value={bench.overshoot === undefined ? "" : showRise(bench.overshoot, units)}
        shipped={showRise(SHIPPED.overshoot, units)}
        unit={degrees(units)}
        onTake={(text) => {
          const reading = readRise(text, units.temperature);
          if (text.trim() !== "" && !reading.ok) return `Type a number, as ${showRise(SHIPPED.overshoot, units)}`;
          return change((each) => {
            if (reading.ok) each.overshoot = reading.value;
            else delete each.overshoot;
          });
        }}
      />
      <NumberEntry
        edit={edit}
        label="Pickle"
        hint="a piece lies in it"
        unit="min"
        value={bench.minutes?.[PICKLE]?.wait}
        shipped={SHIPPED.minutes[PICKLE].wait}
        write={(each, value) => {
          const { [PICKLE]: own, ...others } = each.minutes ?? {};
          each.minutes = value === undefined ? others : { ...others, [PICKLE]: { ...SHIPPED.minutes[PICKLE], ...own, wait: value } };
        }}
      />
    </>
  );
}

/** The step whose wait is asked for. */
const PICKLE = "join.pickle";

const WALL_LOSSES = ["squaring", "mark", "foot", "top"] as const;
const HOOP_LOSSES = ["squaring", "sawPasses", "kerf", "mark"] as const;
const SEAT = ["fit", "catch"] as const;

function Losses({ edit }: { readonly edit: BenchEdit }) {
  const { losses, seatOf } = edit.bench;
  return (
    <>
      <h2 className="section-head">Lost on a wall</h2>
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
      <h2 className="section-head !mt-5">Lost on a hoop</h2>
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
      <h2 className="section-head !mt-5">Round the stone</h2>
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
        return reading.ok ? edit.change((bench) => write(bench, reading.value)) : `Type a number, as ${shipped}`;
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
      hint={hint ?? (value === undefined ? "shipped default" : "yours")}
      value={value === undefined ? "" : shown(value)}
      shipped={shown(shipped)}
      unit={lengthUnit(units)}
      onTake={(text) => {
        if (text.trim() === "") return edit.change((bench) => write(bench, undefined));
        const reading = readLength(text, units.length);
        return reading.ok ? edit.change((bench) => write(bench, reading.value)) : `Type a length, as ${shown(shipped)}`;
      }}
    />
  );
}
