import { type WorkedJoint } from "../joint/contribution";
import { type Step, step } from "../making/step";
import { type Blank } from "../measure/blank";
import { type Figure, type Term, sum, taken, term, yours } from "../measure/figure";
import { fibre, sectionArea } from "../metal/section";
import { type Hoop } from "./hoop";
import { hoopParts } from "./works/strands";

/** Distance from the finger of the line that the blank is counted at, by the hoop's rule. */
export function countedAt(hoop: Hoop): number {
  return hoop.rule === "fibre" ? fibre(hoop.section).distance : hoop.section.thickness / 2;
}

/** Pi times the inside diameter, and twice pi times the fibre's distance, by the rule's idea of the fibre. */
export function bandLength(hoop: Hoop, inside: number): Figure {
  return sum("mm", [term("finger", Math.PI * inside, hoop.size.from), term("fibre", 2 * Math.PI * countedAt(hoop), "formula")]);
}

/** A seam is squared, sawn through to true it, and marked; or what the maker's own hands take off. */
export function bandLosses({ losses, learned }: Hoop): Term[] {
  if (learned) return [yours(learned)];
  const passes = term("sawPasses", losses.sawPasses.value * losses.kerf.value, losses.sawPasses.from);
  return [taken("squaring", losses.squaring), passes, taken("mark", losses.mark)];
}

/** What a blank with free ends loses. */
export function endLosses({ losses }: Hoop): Term[] {
  return [taken("squaring", losses.squaring), taken("mark", losses.mark)];
}

/** The seam at the back, so that it can be resized later; of strands that are spread, soldered at the back, each its own at the front. */
export function bandSeams(hoop: Hoop): WorkedJoint[] {
  const { section, works } = hoop;
  const parts = hoopParts(hoop);
  const isSpread = works.strands !== undefined && works.strands.soldered !== "all";
  const seam = (id: string, of: readonly string[]): WorkedJoint => ({
    id,
    kind: "seam",
    mount: null,
    parts: of as WorkedJoint["parts"],
    length: section.width * of.length,
    area: sectionArea(section) * of.length,
    place: isSpread ? "front" : "back",
    after: works.strands ? ["hoop.strands"] : [],
    follows: ["hoop.fibre"],
    work: { before: [], lookedFor: ["joint.bright", "joint.noGap"], after: [] },
  });
  return isSpread ? parts.map((part) => seam(`${part}.seam`, [part])) : [seam("hoop.seam", parts)];
}

/** Its blank from the seam, which lies at the back, or where its strands are spread at the front. */
export function bandMarks({ works }: Hoop, net: number): Blank["marks"] {
  const isSpread = works.strands !== undefined && works.strands.soldered !== "all";
  return [
    { code: "seam", at: 0 },
    { code: isSpread ? "back" : "front", at: net / 2 },
  ];
}

/** It is bent until its ends spring together. */
export function closing(): Step[] {
  return [step("hoop", "hoop.bend", { target: "hoop.netLength", checks: ["ends.noLight"] })];
}

/** It is bent round the mandrel, its ends apart. */
export function wrapping(): Step[] {
  return [step("hoop", "hoop.wrap", { target: "hoop.netLength", checks: ["hoop.round"] })];
}
