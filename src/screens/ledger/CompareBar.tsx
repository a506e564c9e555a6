"use client";

import { X } from "lucide-react";
import { dayText } from "@/words/dates";
import { type Entry } from "./entries";
import { MOST_COMPARED } from "./most-compared";

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
      aria-label="Side by side"
      className="z-10 flex flex-wrap max-lg:sticky max-lg:bottom-0 items-center gap-2 border-t border-line bg-paper px-[18px] py-2 text-[13px] max-lg:px-3.5"
    >
      <b>Side by side</b>
      {entries.map(({ make, piece }) => (
        <button
          key={make.id}
          type="button"
          aria-label={`Remove ${piece.name}, ${dayText(make.started)}`}
          onClick={() => onDrop(make.id)}
          className="btn inline-flex items-center gap-1.5 max-lg:h-[44px]"
        >
          {piece.name}, {dayText(make.started)} <X size={13} aria-hidden="true" />
        </button>
      ))}
      {entries.length < 2 && <span className="text-soft">Choose one or two more, up to {MOST_COMPARED}.</span>}
      <span className="ml-auto flex gap-2">
        <button type="button" className="btn max-lg:h-[44px]" onClick={onClear}>
          Clear
        </button>
        <button type="button" className="btn btn-main max-lg:h-[44px]" disabled={entries.length < 2} onClick={onCompare}>
          Compare
        </button>
      </span>
    </section>
  );
}
