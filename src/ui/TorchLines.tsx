import { type Step } from "@/core/making/step";
import { type Plan } from "@/core/piece/plan";
import { torchLines } from "@/words/torch";
import { useDoubt } from "./doubt";
import { useUnits } from "./tray";
import { torchLinesText } from "@/words/ui";

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
      aria-label={torchLinesText.atTheTorch}
      className={`mt-3 grid max-w-194.5 grid-cols-[auto_1fr] gap-x-3 gap-y-0.5 leading-text ${isNight ? "text-lg lg:text-lg" : "text-sm"}`}
    >
      {lines.map(([label, text], i) => (
        <div key={i} className="contents">
          <dt className={isNight ? "text-night-soft" : "text-soft"}>{label}</dt>
          <dd className={isNight ? "text-night-key" : ""}>{text}</dd>
        </div>
      ))}
    </dl>
  );
}
