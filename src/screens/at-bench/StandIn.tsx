"use client";

import { type Instrument } from "@/ui/instruments";
import { STANDS_IN } from "@/words/making";
import { standInText } from "@/words/screens/at-bench";

interface Props {
  readonly instrument: Instrument;
  readonly onPress: () => void;
  /** Whether the key C presses it. */
  readonly hasKey: boolean;
  /** Whether its room is narrow: then its words stand under each other. */
  readonly isStacked?: boolean;
}

/** The instrument's button; one that stands in for a real one says so. */
export function StandIn({ instrument, onPress, hasKey, isStacked = false }: Props) {
  return (
    <button
      type="button"
      className={`night-btn !text-lg ${isStacked ? "!min-h-touch flex-col !gap-0 !px-1.5 !py-0.5" : "!min-h-touch"}`}
      onClick={onPress}
    >
      <span className="inline-flex items-center gap-3">
        {hasKey && <kbd className="night-key">C</kbd>}
        {standInText.read(instrument.name.toLowerCase())}
      </span>
      {instrument.isStandIn && (
        <small className={`font-normal text-night-soft ${isStacked ? "text-sm leading-tight" : "text-base"}`}>{STANDS_IN}</small>
      )}
    </button>
  );
}
