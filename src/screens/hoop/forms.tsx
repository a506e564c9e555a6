"use client";

import { type Draft as Editable } from "immer";
import { type ReactNode } from "react";
import { usualArch } from "@/core/hoop/forms/bridge";
import { type Hoop, type HoopForm } from "@/core/hoop/hoop";
import { type HoopEntry } from "@/core/piece/piece";
import { MeasureField } from "@/ui/MeasureField";
import { useUnits } from "@/ui/tray";
import { showLength } from "@/words/show";
import { optionalField, partField } from "./fields";
import { formsText } from "@/words/screens/hoop";

interface FieldsProps {
  readonly hoop: HoopEntry;
  readonly settled: Hoop;
}

interface FormScreen {
  readonly text: string;
  readonly hint: string;
  /** What it cannot be without, in sizes to begin with on a hoop of that outside radius under a setting so wide (mm). */
  readonly start?: (hoop: Editable<HoopEntry>, outside: number, width: number) => void;
  /** What only it has; nothing where that is so of all of them. */
  readonly Fields?: (props: FieldsProps) => ReactNode;
}

/** The forms of a hoop: what each is called, how it is begun, and its measures. */
export const FORM_SCREENS: Readonly<Record<HoopForm, FormScreen>> = {
  closed: { text: formsText.closed, hint: formsText.seamAtTheBack },
  "closed-flat": { text: formsText.flatOnTop, hint: formsText.seamAtTheBack },
  open: { text: formsText.open, hint: formsText.twoFeetOnThePlate, Fields: lengthOf("plateAbove", formsText.plateAboveFinger) },
  bridge: {
    text: formsText.bridge,
    hint: formsText.anArchGripsTheSetting,
    start: (hoop, outside, width) => void (hoop.bridge ??= usualArch(outside, width)),
    Fields: ArchFields,
  },
  adjustable: { text: formsText.openEnds, hint: formsText.openedAndClosedAtThe, Fields: lengthOf("openGap", formsText.gapAtTheBack) },
};

/** One length that may be left out, and what is taken then. */
function lengthOf(name: "plateAbove" | "openGap", label: string) {
  return function Length({ hoop, settled }: FieldsProps) {
    const units = useUnits();
    return (
      <MeasureField
        field={optionalField(name, units)}
        label={label}
        hint={formsText.empty(showLength(settled[name].value, "measured", units))}
        value={hoop[name] ?? null}
        lights="seat"
      />
    );
  };
}

/** The arch over the front of a band. */
function ArchFields({ hoop: { bridge: arch } }: FieldsProps) {
  const units = useUnits();
  if (!arch) return null;
  const field = (name: "inside" | "thickness" | "gap") => partField(`bridge.${name}`, units, (hoop, mm) => void (hoop.bridge![name] = mm));
  return (
    <div className="grid gap-x-3 wide:grid-cols-2">
      <MeasureField field={field("inside")} label={formsText.arch} value={arch.inside} lights="arch" shape="compact" />
      <MeasureField field={field("gap")} label={formsText.stands} value={arch.gap ?? null} lights="arch" shape="compact" />
      <MeasureField field={field("thickness")} label={formsText.sheet} value={arch.thickness} lights="arch" shape="compact" />
    </div>
  );
}
