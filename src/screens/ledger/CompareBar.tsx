"use client";

import { X } from "lucide-react";
import { dayText } from "@/words/dates";
import { type Entry } from "./entries";
import { MOST_COMPARED } from "./most-compared";
import { compareBarText } from "@/words/screens/ledger";

interface Props {
  readonly entries: readonly Entry[];
  readonly onDrop: (make: string) => void;
  readonly onClear: () => void;
  readonly onCompare: () => void;
}

/** The makes that are chosen to stand side by side. */
export function CompareBar({ entries, onDrop, onClear, onCompare }: Props) {
  return (
    <section
      aria-label={compareBarText.sideBySide}
      className="z-10 flex flex-wrap max-lg:sticky max-lg:bottom-0 items-center gap-2 border-t border-line bg-paper px-5 py-2 text-sm max-lg:px-3.5"
    >
      <b>{compareBarText.sideBySide}</b>
      {entries.map(({ make, piece }) => (
        <button
          key={make.id}
          type="button"
          aria-label={compareBarText.remove(piece.name, dayText(make.started))}
          onClick={() => onDrop(make.id)}
          className="btn inline-flex items-center gap-1.5 max-lg:h-touch"
        >
          {piece.name}, {dayText(make.started)} <X size={13} aria-hidden="true" />
        </button>
      ))}
      {entries.length < 2 && <span className="text-soft">{compareBarText.chooseOneOrTwoMore(MOST_COMPARED)}</span>}
      <span className="ml-auto flex gap-2">
        <button type="button" className="btn max-lg:h-touch" onClick={onClear}>
          {compareBarText.clear}
        </button>
        <button type="button" className="btn btn-main max-lg:h-touch" disabled={entries.length < 2} onClick={onCompare}>
          {compareBarText.compare}
        </button>
      </span>
    </section>
  );
}
