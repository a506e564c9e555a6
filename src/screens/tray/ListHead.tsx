"use client";

import { UnitSwitch } from "@/ui/UnitSwitch";
import { listHeadText } from "@/words/screens/tray";
import { type Choosing, FILTERS, type Filter, SORTS, type Sort } from "./choosing";

interface Props {
  readonly choosing: Choosing;
  /** How many pieces each filter shows; null where that is not known. */
  readonly counts: Readonly<Record<Filter, number | null>>;
  readonly onChoose: (choosing: Choosing) => void;
}

/** What of the pieces is shown, found by their words, and in what order. */
export function ListHead({ choosing, counts, onChoose }: Props) {
  return (
    <div className="relative flex flex-nowrap items-center gap-2 border-b border-line px-4 py-2 max-lg:overflow-x-auto">
      <span className="sm:hidden">
        <UnitSwitch />
      </span>
      <div role="group" aria-label={listHeadText.show} className="flex gap-1.5">
        {FILTERS.map((filter) => {
          const count = counts[filter];
          return (
            <button
              key={filter}
              type="button"
              aria-pressed={choosing.filter === filter}
              onClick={() => onChoose({ ...choosing, filter })}
              className={`rounded-full border px-3 py-1 max-xl:px-2.5 text-sm whitespace-nowrap max-lg:min-h-touch ${choosing.filter === filter ? "border-accent bg-accent-wash font-semibold" : "border-line bg-sheet hover:border-metal-edge"}`}
            >
              {filter === "to-put-right" && <span className="text-warn">◆ </span>}
              {listHeadText.filters[filter]} {count !== null && <span className="text-soft">{count}</span>}
            </button>
          );
        })}
      </div>
      <input
        type="search"
        aria-label={listHeadText.search}
        placeholder={listHeadText.search}
        value={choosing.search}
        onChange={(event) => onChoose({ ...choosing, search: event.target.value })}
        className="entry min-w-28 flex-1 !justify-start text-left !text-sm !font-normal max-lg:min-h-touch"
      />
      <label className="flex items-center gap-2 text-sm whitespace-nowrap text-soft">
        <span className="sr-only">{listHeadText.order}</span>
        <select
          value={choosing.sort}
          onChange={(event) => onChoose({ ...choosing, sort: event.target.value as Sort })}
          className="h-8.5 rounded-md border border-line bg-sheet px-2 text-sm max-xl:max-w-30 text-ink max-lg:min-h-touch"
        >
          {SORTS.map((sort) => (
            <option key={sort} value={sort}>
              {listHeadText.sorts[sort]}
            </option>
          ))}
        </select>
      </label>
    </div>
  );
}
