import { METALS } from "@/core/metal/metals";
import { type AppliedShape } from "@/core/joint/joint";
import { type Applied } from "@/core/applied/applied";
import { type Units, lengthUnit, showLength } from "./show";

/** Sizes as they are told, by shape: the first with its unit. */
const SIZES: Readonly<Record<AppliedShape, (length: (name: string) => string, unit: string) => string>> = {
  disc: (length, unit) => `${length("diameter")} ${unit} across, ${length("thickness")} thick`,
  ball: (length, unit) => `${length("diameter")} ${unit} across`,
  ring: (length, unit) => `${length("inside")} ${unit} inside, wire ${length("wire")}`,
  strip: (length, unit) => `${length("length")} × ${length("width")} ${unit}, ${length("thickness")} thick`,
};

/** "4.00 mm across, 0.60 thick, sterling". */
export function appliedText({ shape, sizes, metal }: Applied, units: Units): string {
  const told = SIZES[shape]((name) => showLength(Number(sizes[name]), "measured", units), lengthUnit(units));
  return `${told}, ${METALS[metal].name}`;
}
