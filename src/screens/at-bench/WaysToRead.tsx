"use client";

import { type HowRead } from "@/core/mount/closed-length";
import { WAYS_TO_READ } from "@/words/making";
import { Toggle } from "./Toggle";
import { waysToReadText } from "@/words/screens/at-bench";

interface Props {
  readonly ways: readonly HowRead[];
  readonly how: HowRead;
  readonly onChoose: (how: HowRead) => void;
}

/** How a closed bezel is read: a caliper cannot follow it. */
export function WaysToRead({ ways, how, onChoose }: Props) {
  return (
    <div className="mb-3">
      <div role="group" aria-label={waysToReadText.howItIsRead} className="flex flex-wrap gap-1.5">
        {ways.map((way) => (
          <Toggle key={way} isOn={way === how} onPress={() => onChoose(way)}>
            {WAYS_TO_READ[way].name}
          </Toggle>
        ))}
      </div>
      <p className="mt-1.5 text-base leading-snug text-night-soft">{WAYS_TO_READ[how].advice}</p>
    </div>
  );
}
