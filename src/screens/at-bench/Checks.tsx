"use client";

import { type CheckCode, type Step } from "@/core/making/step";
import { type Remedy } from "@/core/piece/remedies";
import { useUnits } from "@/ui/tray";
import { sayRemedy } from "@/words/remedies";
import { CHECKS } from "@/words/steps";
import { checksText } from "@/words/screens/at-bench";

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
    <section aria-label={checksText.checkBeforeYouGoOn}>
      <h2 className="mb-1 text-base text-night-soft">
        {checksText.checkBeforeYouGoOn}{" "}
        <span className="max-lg:hidden">
          ({checks.length === 1 ? checksText.key : checksText.keys} {checks.map((_, i) => i + 1).join(", ")})
        </span>
      </h2>
      {checks.map((check, i) => {
        const against = contradicted(check);
        return (
          <label key={check} className="flex min-h-touch items-center gap-3 border-t border-night-line text-lg lg:text-xl">
            <input type="checkbox" checked={looked.has(check)} onChange={() => onCheck(i)} className="h-7.5 w-7.5 shrink-0 accent-ok" />
            <span>
              {CHECKS[check]}
              {against && <small className="block text-base text-night-warn">◆ {sayRemedy(against, units).what}</small>}
            </span>
          </label>
        );
      })}
    </section>
  );
}
