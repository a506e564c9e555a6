"use client";

import { unitSwitchText } from "@/words/ui";
import { Segments } from "./Segments";
import { useTray, useTrayState } from "./tray";

const OPTIONS = {
  length: [
    { value: "mm", text: "mm" },
    { value: "inch", text: "inch" },
  ],
  temperature: [
    { value: "C", text: "°C" },
    { value: "F", text: "°F" },
  ],
} as const;

/** Switches what lengths are shown in, or temperatures; kept on the bench. */
export function UnitSwitch({ of = "length" }: { readonly of?: "length" | "temperature" }) {
  const tray = useTray();
  const bench = useTrayState((state) => state.bench);
  const options: readonly { readonly value: "mm" | "inch" | "C" | "F"; readonly text: string }[] = OPTIONS[of];
  return (
    <Segments
      label={of === "length" ? unitSwitchText.lengthsIn : unitSwitchText.temperaturesIn}
      options={options}
      value={bench.units?.[of] ?? OPTIONS[of][0].value}
      onChoose={(unit) => void tray.changeBench((each) => void (each.units = { ...each.units, [of]: unit }))}
    />
  );
}
