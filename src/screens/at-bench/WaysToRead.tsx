"use client";

import { type HowRead } from "@/core/mount/closed-length";
import { WAYS_TO_READ } from "@/words/making";

interface Props {
  readonly ways: readonly HowRead[];
  readonly how: HowRead;
  readonly onChoose: (how: HowRead) => void;
}

/** How a closed bezel is read: a caliper cannot follow it. */
export function WaysToRead({ ways, how, onChoose }: Props) {
  return (
    <div className="mb-3">
      <div role="group" aria-label="How it is read" className="flex flex-wrap gap-1.5">
        {ways.map((way) => (
          <button
            key={way}
            type="button"
            aria-pressed={way === how}
            onClick={() => onChoose(way)}
            className={`min-h-[44px] rounded-[6px] border px-3 text-[15px] ${way === how ? "border-glow text-night-ink" : "border-night-edge text-night-soft"}`}
          >
            {WAYS_TO_READ[way].name}
          </button>
        ))}
      </div>
      <p className="mt-1.5 text-[15px] leading-snug text-night-soft">{WAYS_TO_READ[how].advice}</p>
    </div>
  );
}
