"use client";

import { useId } from "react";
import { useTray, useTrayState } from "./tray";
import { unitSwitchText } from "@/words/ui";

/** Switches what lengths are shown in, or temperatures; kept on the bench. */
export function UnitSwitch({ of = "length" }: { readonly of?: "length" | "temperature" }) {
  const tray = useTray();
  const name = useId();
  const bench = useTrayState((state) => state.bench);
  const options = of === "length" ? (["mm", "inch"] as const) : (["C", "F"] as const);
  const current = bench.units?.[of] ?? options[0];
  return (
    <span
      role="radiogroup"
      aria-label={of === "length" ? unitSwitchText.lengthsIn : unitSwitchText.temperaturesIn}
      className="inline-flex rounded-md border border-line text-sm"
    >
      {options.map((option) => (
        <label
          key={option}
          className="relative cursor-pointer bg-sheet px-2.5 py-1 text-soft max-lg:grid max-lg:h-touch max-lg:min-w-touch max-lg:place-items-center first:rounded-l-sm last:rounded-r-sm has-checked:bg-ink has-checked:text-white has-focus-visible:outline-2 has-focus-visible:outline-offset-2 has-focus-visible:outline-accent"
        >
          <input
            type="radio"
            name={name}
            value={option}
            checked={option === current}
            onChange={() => void tray.changeBench((each) => void (each.units = { ...each.units, [of]: option }))}
            className="absolute inset-0 cursor-pointer opacity-0"
          />
          {of === "length" ? option : `°${option}`}
        </label>
      ))}
    </span>
  );
}
