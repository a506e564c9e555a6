import { type Step } from "@/core/making/step";
import { type Plan } from "@/core/piece/plan";
import { torchLines } from "@/words/torch";
import { useDoubt } from "./doubt";
import { useUnits } from "./tray";

interface Props {
  readonly step: Step;
  readonly plan: Plan;
  readonly isNight?: boolean;
}

/** What is told at the torch: solder, what holds it, where the flame goes, what is seen, and what must be off the piece. */
export function TorchLines({ step, plan, isNight = false }: Props) {
  const units = useUnits();
  const lines = torchLines(step, plan, units, useDoubt());
  if (lines.length === 0) return null;
  return (
    <dl
      aria-label="At the torch"
      className={`mt-3 grid max-w-[680px] grid-cols-[auto_1fr] gap-x-3 gap-y-0.5 leading-[1.35] ${isNight ? "text-[16px] lg:text-[18px]" : "text-[13.5px]"}`}
    >
      {lines.map(([label, text], i) => (
        <div key={i} className="contents">
          <dt className={isNight ? "text-night-soft" : "text-soft"}>{label}</dt>
          <dd className={isNight ? "text-[#cdd5d6]" : ""}>{text}</dd>
        </div>
      ))}
    </dl>
  );
}
