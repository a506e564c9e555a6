"use client";

import { type Draft as Editable } from "immer";
import { Plus, Trash2 } from "lucide-react";
import { useState } from "react";
import { readLength } from "@/core/measure/reading";
import { type Metal } from "@/core/metal/metals";
import { type BenchEntry } from "@/core/piece/bench";
import { type ReadyCup, type ReadyTube } from "@/core/piece/ready-stock";
import { useUnits } from "@/ui/tray";
import { ADD, INSIDE_OUT, metalOf, READY_NAMES, READY_SIZES, removeText, sizeNeeded, cupText, tubeText } from "@/words/ready-stock";
import { type Units, lengthUnit } from "@/words/show";
import { MetalSelect } from "./MetalSelect";
import { type BenchEdit } from "./bench-edit";
import { readyStockEditorText } from "@/words/screens/my-bench";

type Kind = keyof typeof READY_SIZES;
type Stock = ReadyTube | ReadyCup;

/** The tubes or cups that the maker keeps: they are offered where a bezel is made from one. */
export function ReadyStockEditor({ edit, kind }: { readonly edit: BenchEdit; readonly kind: Kind }) {
  const units = useUnits();
  const { one } = READY_NAMES[kind];
  const sizes = READY_SIZES[kind];
  const all: readonly Stock[] = edit.bench[kind] ?? [];
  const [metal, setMetal] = useState<Metal>("sterling");
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const [problem, setProblem] = useState<string | null>(null);
  const add = async () => {
    const read = readSizes(kind, typed, units);
    if ("problem" in read) return setProblem(read.problem);
    const refused = await edit.change((bench) => void listOf(bench, kind).push({ metal, ...read.sizes } as Editable<Stock>));
    setProblem(refused);
    if (refused === null) setTyped((now) => (now === typed ? {} : now));
  };
  // Found as it is shown, not by its place: a second press before the first is drawn must not meet another.
  const remove = (stock: Stock) =>
    edit.change((bench) => {
      const list = listOf(bench, kind);
      const at = list.findIndex((each) => JSON.stringify(each) === JSON.stringify(stock));
      if (at >= 0) list.splice(at, 1);
    });
  const textOf = (stock: Stock) => ("outside" in stock ? tubeText(stock, units) : cupText(stock, units));
  return (
    <>
      <ul className="text-sm">
        {all.map((stock, i) => (
          <li key={`${i} ${JSON.stringify(stock)}`} className="flex items-center justify-between gap-2 border-t border-hair py-0.5">
            {textOf(stock)}
            <button
              type="button"
              className="btn btn-plain"
              aria-label={removeText(textOf(stock))}
              onClick={() => void remove(stock).then(setProblem)}
            >
              <Trash2 size={14} aria-hidden="true" />
            </button>
          </li>
        ))}
      </ul>
      <div className="grid grid-cols-[1fr_1fr_1fr] items-center gap-2 border-t border-hair py-1.5">
        <MetalSelect label={metalOf(one)} use="wall" value={metal} onChoose={setMetal} />
        {sizes.map(({ name, label }) => (
          <input
            key={name}
            aria-label={readyStockEditorText.ofThe(label, one, lengthUnit(units))}
            placeholder={label.toLowerCase()}
            value={typed[name] ?? ""}
            onChange={(event) => setTyped({ ...typed, [name]: event.target.value })}
            onKeyDown={(event) => event.key === "Enter" && void add()}
            className="entry"
          />
        ))}
        <button type="button" className="btn col-start-3" aria-label={`${ADD} a ${one}`} onClick={() => void add()}>
          <Plus size={14} aria-hidden="true" /> {ADD}
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

/** The list of a bench, to be written to. */
function listOf(bench: Editable<BenchEntry>, kind: Kind): Editable<Stock>[] {
  return (bench[kind] ??= []);
}

/** Sizes in mm by their names; what may be left out and is empty is none. */
function readSizes(
  kind: Kind,
  typed: Readonly<Record<string, string>>,
  units: Units,
): { readonly sizes: Readonly<Record<string, number>> } | { readonly problem: string } {
  const sizes: Record<string, number> = {};
  for (const { name, label, isOptional } of READY_SIZES[kind]) {
    const text = typed[name] ?? "";
    if (isOptional && text.trim() === "") continue;
    const reading = readLength(text, units.length);
    if (!reading.ok) return { problem: sizeNeeded(label) };
    sizes[name] = reading.value;
  }
  const { outside = 0, inside = 0, length = 0, width = 0, thickness = 0 } = sizes;
  const holds = kind === "tubes" ? inside < outside : 2 * thickness < Math.min(length, width);
  return holds ? { sizes } : { problem: INSIDE_OUT[kind] };
}
