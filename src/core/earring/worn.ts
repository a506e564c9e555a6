import { type Finding, finding } from "../measure/finding";
import { type Figures, single, sum, term } from "../measure/figure";
import { METALS, type Metal } from "../metal/metals";
import { type Weight } from "../mount/weights";

/** Wire that goes through a pierced ear: thinner cuts and bends, thicker does not pass (mm). */
const EAR = { least: 0.7, most: 1 } as const;

/** What is to be said of wire that is worn in a pierced ear. */
export function wornInEar(part: string, metal: Metal, wire: number): Finding[] {
  return [
    ...(wire > EAR.most ? [finding("ear.wire-thick", "warning", part, { wire, most: EAR.most })] : []),
    ...(wire < EAR.least ? [finding("ear.wire-thin", "warning", part, { wire, least: EAR.least })] : []),
    ...(METALS[metal].isWornInEar ? [] : [finding("ear.metal", "warning", part, { metal })]),
  ];
}

/** One earring on the ear: how long it is in mm, of the ear wire and what hangs below or of its setting alone, and what it weighs with its stone in g. */
export function earringFigures(
  length: { readonly wire: number | null; readonly below: number },
  { weights, stone, metal }: { readonly weights: readonly Weight[]; readonly stone: string; readonly metal: number },
): Figures {
  const ofStone = weights.filter(({ part }) => part === stone).reduce((all, { mass }) => all + mass, 0);
  const ofSetting = weights.filter(({ part }) => part !== stone).reduce((all, { mass }) => all + mass, 0);
  return {
    "earring.length":
      length.wire === null
        ? single("mm", length.below, "earring.stands")
        : sum("mm", [term("earWire", length.wire, "formula"), term("below", length.below, "formula")]),
    "earring.mass": sum("g", [
      term("stone", ofStone, "formula"),
      term("setting", ofSetting, "formula"),
      term(length.wire === null ? "post" : "wireAndRing", metal, "formula"),
    ]),
  };
}
