"use client";

import { ToggleGroup } from "radix-ui";
import { useTray, useTrayState } from "./tray";

/** Switches what lengths are shown in, or temperatures; kept on the bench. */
export function UnitSwitch({ of = "length" }: { readonly of?: "length" | "temperature" }) {
  const tray = useTray();
  const bench = useTrayState((state) => state.bench);
  const options = of === "length" ? (["mm", "inch"] as const) : (["C", "F"] as const);
  const current = bench.units?.[of] ?? options[0];
  return (
    <ToggleGroup.Root
      type="single"
      value={current}
      aria-label={of === "length" ? "Lengths in" : "Temperatures in"}
      onValueChange={(value) => {
        if (value) void tray.setBench({ ...bench, units: { ...bench.units, [of]: value } });
      }}
      className="inline-flex overflow-hidden rounded-[5px] border border-line text-[12.5px]"
    >
      {options.map((option) => (
        <ToggleGroup.Item
          key={option}
          value={option}
          className="bg-sheet px-[9px] py-1 text-soft data-[state=on]:bg-ink data-[state=on]:text-white"
        >
          {of === "length" ? option : `°${option}`}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}
