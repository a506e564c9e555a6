import { type ReadyCup, type ReadyTube } from "@/core/piece/ready-stock";
import { METALS } from "@/core/metal/metals";
import { type Units, lengthUnit, showLength, withUnit } from "./show";

/** "6.80 outside, 5.00 mm inside, sterling" */
export function tubeText({ outside, inside, metal }: ReadyTube, units: Units): string {
  return `${showLength(outside, "measured", units)} outside, ${withUnit(inside, "measured", units)} inside, ${METALS[metal].name}`;
}

/** "10.40 × 8.40 outside, 0.40 mm thick, 3.00 tall, copper" */
export function cupText({ length, width, thickness, height, metal }: ReadyCup, units: Units): string {
  const show = (mm: number) => showLength(mm, "measured", units);
  const tall = height === undefined ? "" : `, ${show(height)} tall`;
  return `${show(length)} × ${show(width)} outside, ${show(thickness)} ${lengthUnit(units)} thick${tall}, ${METALS[metal].name}`;
}

/** By how much it is off what the stone needs: "0.10 mm wider than needed". */
export function overText(over: number, units: Units): string {
  const by = withUnit(Math.abs(over), "measured", units);
  if (Number.parseFloat(by) === 0) return "as needed";
  return `${by} ${over > 0 ? "wider" : "narrower"} than needed`;
}

export const READY_NAMES = {
  tubes: { one: "tube", head: "Tubes you keep", offered: "Your tubes, nearest first" },
  cups: { one: "cup", head: "Cups you keep", offered: "Your cups, nearest first" },
} as const;

/** What is asked of each kind, in order; what may be left out is marked. */
export const READY_SIZES = {
  tubes: [
    { name: "outside", label: "Outside", isOptional: false },
    { name: "inside", label: "Inside", isOptional: false },
  ],
  cups: [
    { name: "length", label: "Length outside", isOptional: false },
    { name: "width", label: "Width outside", isOptional: false },
    { name: "thickness", label: "Thickness", isOptional: false },
    { name: "height", label: "Height", isOptional: true },
  ],
} as const;

export const ADD = "Add";
export const metalOf = (one: string): string => `Metal of the ${one}`;
export const removeText = (text: string): string => `Remove ${text}`;
export const INSIDE_OUT = {
  tubes: "The inside must be less than the outside",
  cups: "Twice the thickness must be less than the length and the width",
} as const;
export const sizeNeeded = (label: string): string => `${label}: type a length, e.g. 6.8 or 1/4in`;
