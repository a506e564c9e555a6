import { METALS, type Metal, type MetalUse, metalsFor } from "@/core/metal/metals";

interface Props {
  readonly label: string;
  readonly use: MetalUse;
  readonly value: Metal;
  readonly onChoose: (metal: Metal) => void;
}

/** One of the metals that are offered for a use. */
export function MetalSelect({ label, use, value, onChoose }: Props) {
  return (
    <select
      aria-label={label}
      value={value}
      onChange={(event) => onChoose(event.target.value as Metal)}
      className="entry !justify-start text-sm font-medium"
    >
      {metalsFor(use).map((each) => (
        <option key={each} value={each}>
          {METALS[each].name}
        </option>
      ))}
    </select>
  );
}
