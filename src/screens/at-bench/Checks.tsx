"use client";

import { type CheckCode, type Step } from "@/core/making/step";
import { type Remedy } from "@/core/piece/remedies";
import { useUnits } from "@/ui/tray";
import { sayRemedy } from "@/words/remedies";
import { CHECKS } from "@/words/steps";

interface Props {
  readonly step: Pick<Step, "checks">;
  readonly looked: ReadonlySet<string>;
  /** What was read and says otherwise than a check. */
  readonly contradicted: (check: CheckCode) => Remedy | undefined;
  readonly onCheck: (index: number) => void;
}

/** What to look at before a step is done, each with its key; what a reading denies says so. */
export function Checks({ step: { checks }, looked, contradicted, onCheck }: Props) {
  const units = useUnits();
  if (checks.length === 0) return null;
  return (
    <section aria-label="Check before you go on">
      <h2 className="mb-1 text-[15px] text-night-soft">
        Check before you go on{" "}
        <span className="max-lg:hidden">
          ({checks.length === 1 ? "key" : "keys"} {checks.map((_, i) => i + 1).join(", ")})
        </span>
      </h2>
      {checks.map((check, i) => {
        const against = contradicted(check);
        return (
          <label key={check} className="flex min-h-[48px] items-center gap-3 border-t border-night-line text-[17px] lg:text-[19px]">
            <input
              type="checkbox"
              checked={looked.has(check)}
              onChange={() => onCheck(i)}
              className="h-[26px] w-[26px] shrink-0 accent-[#2d6a3f]"
            />
            <span>
              {CHECKS[check]}
              {against && <small className="block text-[15px] text-night-warn">◆ {sayRemedy(against, units).what}</small>}
            </span>
          </label>
        );
      })}
    </section>
  );
}
