"use client";

import { type AskedReading } from "@/core/making/step";
import { oneLine } from "@/core/measure/one-line";
import { ASKED } from "@/words/making";
import { methodFieldText } from "@/words/screens/at-bench";

interface Props {
  readonly asked: AskedReading;
  readonly value: string;
  /** The maker's own words for it, the one said last first. */
  readonly known: readonly string[];
  readonly onType: (method: string) => void;
  readonly onLeave: () => void;
}

/** How a length was worked, in the maker's own words: what the hands take off is learned by it. */
export function MethodField({ asked, value, known, onType, onLeave }: Props) {
  return (
    <label className="flex min-h-touch min-w-57 flex-1 items-center gap-2">
      <span className="shrink-0">{methodFieldText.method}</span>
      <input
        value={value}
        list={`methods-${asked.kind}`}
        maxLength={60}
        placeholder={methodFieldText.fileSaw}
        aria-label={methodFieldText.methodOf(ASKED[asked.kind])}
        onChange={(event) => onType(oneLine(event.target.value))}
        onBlur={onLeave}
        className="min-h-touch w-31.5 min-w-0 flex-1 rounded-md border border-night-edge bg-transparent px-2.5 text-lg text-night-ink"
      />
      <datalist id={`methods-${asked.kind}`}>
        {known.map((each) => (
          <option key={each} value={each} />
        ))}
      </datalist>
    </label>
  );
}
