"use client";

import { Plus, Trash2 } from "lucide-react";
import { type Draft as Editable } from "immer";
import { useState } from "react";
import { oneLine } from "@/core/measure/one-line";
import { MM_PER_INCH, readLength } from "@/core/measure/reading";
import { METALS, type Metal } from "@/core/metal/metals";
import { type BenchEntry, type Strip, SHIPPED } from "@/core/piece/bench";
import { useUnits } from "@/ui/tray";
import { type Units, lengthUnit, showLength } from "@/words/show";
import { MetalSelect } from "./MetalSelect";
import { type BenchEdit } from "./bench-edit";
import { BenchEntryField } from "./BenchEntryField";
import { commonText } from "@/words/common";
import { listEditorsText } from "@/words/screens/my-bench";

/** A reading across a mandrel, as an example (mm). */
const AS_READ = 17.22;

/** The readings of the maker's own mandrel: what is engraved, and what a caliper reads across it there. */
export function MandrelEditor({ edit }: { readonly edit: BenchEdit }) {
  const mandrel = edit.bench.mandrel ?? [];
  const units = useUnits();
  const unit = lengthUnit(units);
  const [label, setLabel] = useState("");
  const [across, setAcross] = useState("");
  const [problem, setProblem] = useState<string | null>(null);
  const add = async () => {
    const reading = readLength(across, units.length);
    if (!label.trim() || !reading.ok) {
      return setProblem(listEditorsText.typeWhatIsEngravedAs(showLength(AS_READ, "measured", units)));
    }
    const refused = await edit.change((bench) => {
      const others = (bench.mandrel ?? []).filter((mark) => mark.label !== label.trim());
      bench.mandrel = [...others, { label: label.trim(), diameter: reading.value }].sort((a, b) => a.diameter - b.diameter);
    });
    setProblem(refused);
    if (refused === null) {
      // What was typed meanwhile for the next one stays.
      setLabel((now) => (now === label ? "" : now));
      setAcross((now) => (now === across ? "" : now));
    }
  };
  return (
    <>
      <ul className="text-sm">
        {mandrel.map((mark) => (
          <li key={mark.label} className="flex items-center justify-between border-t border-hair py-0.5">
            <span>
              <b className="font-strong">{mark.label}</b> <span className="text-soft">{listEditorsText.reads}</span>{" "}
              {showLength(mark.diameter, "measured", units)} {unit}
            </span>
            <button
              type="button"
              className="btn btn-plain"
              aria-label={listEditorsText.removeReading(mark.label)}
              onClick={() =>
                void edit
                  .change((bench) => void (bench.mandrel = bench.mandrel?.filter(({ label }) => label !== mark.label) ?? []))
                  .then(setProblem)
              }
            >
              <Trash2 size={14} aria-hidden="true" />
            </button>
          </li>
        ))}
      </ul>
      <div className="grid grid-cols-[1fr_1fr_auto] items-center gap-2 border-t border-hair py-1.5">
        <input
          aria-label={listEditorsText.engraved}
          placeholder={listEditorsText.engravedExample}
          value={label}
          onChange={(event) => setLabel(oneLine(event.target.value))}
          className="entry !justify-start"
        />
        <input
          aria-label={listEditorsText.readsAcross(unit)}
          placeholder={listEditorsText.across(unit)}
          value={across}
          onChange={(event) => setAcross(event.target.value)}
          onKeyDown={(event) => event.key === "Enter" && void add()}
          className="entry"
        />
        <button type="button" className="btn" onClick={() => void add()}>
          <Plus size={14} aria-hidden="true" /> {listEditorsText.reading}
        </button>
      </div>
      {problem && (
        <p role="alert" className="text-xs text-bad">
          ◆ {problem}.
        </p>
      )}
      <p className="narrow text-xs text-soft">{listEditorsText.sizesBetweenTwoReadingsAre}</p>
    </>
  );
}

/** A strip's thickness and heights, as examples (mm). */
const AS_THICK = 0.32;
const AS_TALL = [2.5, 3.2, 4] as const;

function showHeight(height: number, { length }: Units): string {
  return length === "inch" ? (height / MM_PER_INCH).toFixed(4) : String(height);
}

/** Heights in mm, or null where one cannot be read; one that still stands as it was shown keeps its own value. */
function readHeights(text: string, before: readonly number[], units: Units): number[] | null {
  const read = text
    .split(/[\s;]+/)
    .filter(Boolean)
    .map((each) => {
      const same = before.find((height) => showHeight(height, units) === each);
      if (same !== undefined) return same;
      const reading = readLength(each, units.length);
      return reading.ok ? reading.value : null;
    });
  return read.every((each) => each !== null) ? read : null;
}

/** The strips of a bench, to be written to. */
function stripsOf(bench: Editable<BenchEntry>): Editable<Strip>[] {
  return (bench.strips ??= structuredClone<readonly Strip[]>(SHIPPED.strips) as Editable<Strip>[]);
}

/** Heights of the strips on the shelf, by metal and thickness. */
export function StripEditor({ edit }: { readonly edit: BenchEdit }) {
  const strips: readonly Strip[] = edit.bench.strips ?? SHIPPED.strips;
  const units = useUnits();
  const unit = lengthUnit(units);
  const [metal, setMetal] = useState<Metal>("fine-silver");
  const [thickness, setThickness] = useState("");
  const [problem, setProblem] = useState<string | null>(null);
  const change = (recipe: (strips: Editable<Strip>[]) => void) => edit.change((bench) => recipe(stripsOf(bench)));
  // Found as it is shown, not by its place: a second press before the first is drawn must not meet another.
  const changeStrip = (strip: Strip, recipe: (all: Editable<Strip>[], at: number) => void) =>
    change((all) => {
      const at = all.findIndex((each) => JSON.stringify(each) === JSON.stringify(strip));
      if (at >= 0) recipe(all, at);
    });
  const add = async () => {
    const reading = readLength(thickness, units.length);
    if (!reading.ok) return setProblem(listEditorsText.typeTheStripsThicknessAs(showLength(AS_THICK, "measured", units)));
    const strip = { metal, thickness: Math.round(reading.value * 1000) / 1000, heights: [] };
    const refused = await change((all) => void all.push(strip));
    setProblem(refused);
    if (refused === null) setThickness((now) => (now === thickness ? "" : now));
  };
  return (
    <>
      {strips.map((strip, i) => (
        <div key={i} className="grid grid-cols-[minmax(0,1fr)_34px] max-lg:grid-cols-[minmax(0,1fr)_44px] items-center">
          <BenchEntryField
            label={`${METALS[strip.metal].name}, ${showLength(strip.thickness, "measured", units)}`}
            value={strip.heights.map((height) => showHeight(height, units)).join("  ")}
            shipped="heights"
            isWide
            unit={unit}
            onTake={(text) => {
              const heights = readHeights(text, strip.heights, units);
              if (!heights)
                return listEditorsText.typeHeightsWithSpacesBetween(AS_TALL.map((height) => showHeight(height, units)).join(" "));
              return changeStrip(strip, (all, at) => void (all[at]!.heights = heights));
            }}
          />
          <button
            type="button"
            className="btn btn-plain"
            aria-label={listEditorsText.remove(METALS[strip.metal].name, strip.thickness)}
            onClick={() => void changeStrip(strip, (all, at) => void all.splice(at, 1)).then(setProblem)}
          >
            <Trash2 size={14} aria-hidden="true" />
          </button>
        </div>
      ))}
      <div className="grid grid-cols-[1fr_1fr_auto] items-center gap-2 border-t border-hair py-1.5">
        <MetalSelect label={listEditorsText.metalOfTheStrip} use="strip" value={metal} onChoose={setMetal} />
        <input
          aria-label={listEditorsText.thicknessOfTheStrip(unit)}
          placeholder={listEditorsText.thickOrGa(unit)}
          value={thickness}
          onChange={(event) => setThickness(event.target.value)}
          onKeyDown={(event) => event.key === "Enter" && void add()}
          className="entry"
        />
        <button type="button" className="btn" onClick={() => void add()}>
          <Plus size={14} aria-hidden="true" /> {commonText.strip}
        </button>
      </div>
      {problem && (
        <p role="alert" className="text-xs text-bad">
          ◆ {problem}.
        </p>
      )}
    </>
  );
}
