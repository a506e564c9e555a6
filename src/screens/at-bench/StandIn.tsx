"use client";

import { type Instrument } from "@/ui/instruments";
import { STANDS_IN } from "@/words/making";

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
      className={`night-btn !text-[16px] ${isStacked ? "!min-h-[46px] flex-col !gap-0 !px-1.5 !py-0.5" : "!min-h-[46px]"}`}
      onClick={onPress}
    >
      <span className="inline-flex items-center gap-3">
        {hasKey && <kbd className="night-key">C</kbd>}
        Read {instrument.name.toLowerCase()}
      </span>
      {instrument.isStandIn && (
        <small className={`font-normal text-night-soft ${isStacked ? "text-[12.5px] leading-tight" : "text-[14px]"}`}>{STANDS_IN}</small>
      )}
    </button>
  );
}
