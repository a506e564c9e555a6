import { type FormulaCode, type Source, type Term, type TermCode } from "@/core/measure/figure";

export const TERM_NAMES: Readonly<Record<TermCode, string>> = {
  outline: "outline",
  wall: "wall",
  fit: "fit",
  squaring: "squaring both ends",
  mark: "mark",
  lift: "lift",
  turnIn: "side leans in at",
  lip: "lip over the dome",
  arc: "along the dome",
  fold: "fold of the metal",
  foot: "foot sanding",
  top: "top levelling",
  third: "a third of the stone",
  fixed: "house height",
  whole: "whole face",
  covered: "under the lip",
  catch: "catch",
  tilt: "lean of the lip",
  stone: "stone",
  ornament: "ornament",
  border: "border",
  tube: "half the outside",
  inside: "half the inside",
  saw: "saw margin",
  size: "size",
  wideBand: "wide band",
  finger: "round the finger",
  fibre: "fibre",
  padding: "padding",
  sawPasses: "saw through the seam",
  formula: "worked out",
};

const FORMULA_NAMES: Readonly<Record<FormulaCode, string>> = {
  perimeter: "length of the outline",
  measured: "wrapped with a tape",
  area: "area of the outline",
  extent: "from edge to edge",
  hull: "round the outline's hull, at the wall's middle",
  parallel: "half the thickness, all the way round",
  "lip.flat": "catch over a flat face",
  density: "volume times density",
  "seam.straightest": "middle of the straightest run",
  "seam.chosen": "where you put it",
  "window.low": "net length over 1.02: stretches comfortably to fit",
  "window.high": "net length and 0.05 more: too large beyond",
  "strip.shelf": "lowest strip on the shelf that is tall enough",
  "strip.trim": "what comes off that strip",
  "notch.count": "net length over the pitch wanted, to the nearest whole number",
  "notch.pitch": "net length over the number of notches: the pattern closes at the seam",
  "fibre.half": "half the thickness",
  "fibre.segment": "middle of a circular segment, from its flat",
  "fibre.halfEllipse": "middle of a half ellipse, 4/3 of the thickness over pi",
  "flat.depth": "outside radius less what is left under the flat",
  "flat.left": "thickness less the flat's depth",
  "flat.width": "as wide as the plate there, or as leaves 60% of the thickness",
  "saddle.depth": "outside radius less its height at the saddle's edge",
  "saddle.left": "plate less the saddle's depth",
  "saddle.width": "as wide as the plate there, or as leaves 0.3 of it",
  lostPerMillimetre: "one over pi: inside diameter lost for each millimetre of length",
  blank: "bounding box of the saw line",
};

export const SOURCE_NAMES: Readonly<Record<Source, string>> = {
  stone: "from the stone",
  piece: "set on this piece",
  bench: "from my bench",
  shipped: "shipped default",
  formula: "worked out",
  measured: "as you measured it",
  learned: "yours, from your own makes",
};

/** A term's name, with its formula where it has one. */
export function termText({ label, note }: Term): string {
  if (!note) return TERM_NAMES[label];
  return label === "formula" ? FORMULA_NAMES[note] : `${TERM_NAMES[label]}: ${FORMULA_NAMES[note]}`;
}
