import { type Fault } from "@/core/piece/fault";
import { faultLine } from "@/words/faults";
import { faultSentence } from "@/words/fields";
import { useUnits } from "./tray";
import { faultListText } from "@/words/ui";

const MOST_SHOWN = 40;

/** What is wrong with a file, a line each: the field by its name, and small where it stands in the file. */
export function FaultList({ faults }: { readonly faults: readonly Fault[] }) {
  const units = useUnits();
  return (
    <ul className="text-sm break-words">
      {faults.slice(0, MOST_SHOWN).map((fault, i) => (
        <li key={i} className="border-t border-hair py-1">
          {fault.code === "not-planned" ? faultLine(fault) : faultSentence(fault, units)}
          <small className="block text-xs text-soft">{fault.path}</small>
        </li>
      ))}
      {faults.length > MOST_SHOWN && (
        <li className="border-t border-hair py-1 text-soft">{faultListText.andMore(faults.length - MOST_SHOWN)}</li>
      )}
    </ul>
  );
}
