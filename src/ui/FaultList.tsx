import { type Fault } from "@/core/piece/fault";
import { faultLine } from "@/words/faults";
import { faultSentence } from "@/words/fields";
import { useUnits } from "./tray";

const MOST_SHOWN = 40;

/** What is wrong with a file, a line each: the field by its name, and small where it stands in the file. */
export function FaultList({ faults }: { readonly faults: readonly Fault[] }) {
  const units = useUnits();
  return (
    <ul className="text-[13px] break-words">
      {faults.slice(0, MOST_SHOWN).map((fault, i) => (
        <li key={i} className="border-t border-hair py-1">
          {fault.code === "not-planned" ? faultLine(fault) : faultSentence(fault, units)}
          <small className="block text-[11.5px] text-soft">{fault.path}</small>
        </li>
      ))}
      {faults.length > MOST_SHOWN && <li className="border-t border-hair py-1 text-soft">and {faults.length - MOST_SHOWN} more</li>}
    </ul>
  );
}
