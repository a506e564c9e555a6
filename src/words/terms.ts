import { METALS, type Metal } from "@/core/metal/metals";
import { counted } from "./names";
import { type Figure, type FormulaCode, type Source, type Term, type TermCode } from "@/core/measure/figure";

export const TERM_NAMES: Readonly<Record<TermCode, string>> = {
  outline: "outline",
  wall: "bezel",
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
  tight: "made tight by",
  ledge: "ledge",
  border: "border",
  plate: "plate's outline",
  dome: "for the dome",
  tube: "half the outside",
  inside: "half the inside",
  saw: "saw margin",
  size: "size",
  wideBand: "wide band",
  finger: "round the finger",
  fibre: "fibre",
  padding: "padding",
  sawPasses: "saw through the seam",
  openTop: "open on top",
  openGap: "left open",
  strandExtra: "spreading the strands",
  slit: "spreading the legs",
  fitting: "fitting the feet",
  hammer: "gained by hammering",
  yours: "yours",
  drop: "both legs",
  overChain: "over the chain",
  earWire: "ear wire",
  below: "hangs below it",
  setting: "setting",
  post: "post",
  wireAndRing: "wire and ring",
  ...(Object.fromEntries(Object.entries(METALS).map(([metal, { name }]) => [metal, name])) as Record<Metal, string>),
  formula: "worked out",
};

const FORMULA_NAMES: Readonly<Record<FormulaCode, string>> = {
  perimeter: "length of the outline",
  measured: "wrapped with a tape",
  area: "area of the outline",
  extent: "from edge to edge",
  hull: "round the outline's hull, at the bezel's middle",
  parallel: "half the thickness, all the way round",
  "lip.flat": "catch over a flat face",
  density: "volume times density",
  "seam.straightest": "middle of the straightest run",
  "seam.chosen": "where you put it",
  "window.low": "net length over 1.02: stretches comfortably to fit",
  "window.high": "net length and 0.05 more: too large beyond",
  "strip.shelf": "lowest strip on the shelf that is tall enough",
  "strip.trim": "what comes off that strip",
  middle: "out to its middle, all along",
  "twist.wire": "cut length times the root of 1 + (pi d n) squared",
  "bead.count": "as many as fit, touching, along their centre line",
  "bead.gap": "length of the line left over by the beads",
  "bead.closes": "beads of this size close with nothing left over",
  "bead.stock": "snippets of all the beads",
  "snippet.wire": "2 D cubed over 3 d squared: the same metal as wire",
  "snippet.strip": "pi D cubed over 6 t H: the same metal as strip",
  "notch.count": "net length over the pitch wanted, to the nearest whole number",
  "notch.pitch": "net length over the number of teeth: the pattern closes at the seam",
  "notch.depth": "half the lip",
  "notch.gap": "0.4 of the pitch wanted",
  "notch.chosen": "as you chose it",
  "fibre.half": "half the thickness",
  "fibre.segment": "middle of a circular segment, from its flat",
  "fibre.halfEllipse": "middle of a half ellipse, 4/3 of the thickness over pi",
  "flat.depth": "outside radius less what is left under the flat",
  "flat.left": "thickness less the flat's depth",
  "flat.width": "as wide as the plate there, or narrower, to leave 60% of the thickness",
  "saddle.depth": "outside radius less its height at the saddle's edge",
  "saddle.left": "plate less the saddle's depth",
  "saddle.width": "as wide as the plate there, or narrower, to leave 0.3 of it",
  lostPerMillimetre: "inside diameter lost for each millimetre of length",
  "foot.angle": "the angle whose cosine is the plate's height over the fibre's radius",
  "foot.end": "a right angle less the one it meets the plate at",
  "foot.reach": "root of the outside radius squared less the plate's height squared",
  "foot.stands": "half its feet's span over the height of its middle",
  "grip.width": "as wide as the plate there",
  "slit.loss": "twice: leg less the root of leg squared less its shift squared",
  "slit.leg": "half of the width less the saw's cut",
  "slit.shift": "from beside the saw's cut to the spread",
  "strand.extra": "twice: root of the free length squared and half the spread less a wire, squared, less the free length",
  "twist.flattened": "by the metal that the flattened section takes",
  "inlay.length": "round the middle of the strip in its groove",
  "bridge.blank": "round the arch's middle from foot to foot",
  "bridge.reach": "half of what the arch spans of the hoop",
  "bridge.arm": "half of what the opening leaves",
  "bail.tube": "as long as it was asked for",
  "bail.ring": "pi times the inside and one wire",
  "earwire.length": "as long as it was asked for",
  "post.length": "as long as it was asked for",
  "applied.size": "as you asked for it",
  "dome.disc": "twice the root of rim radius squared and rise squared: the same area",
  "dome.step": "sphere's radius less the root of its square and half the length's square",
  "earring.stands": "from edge to edge, the point down",
  "hang.tilt": "from the wanted axis to the line from the eye to the centre of mass",
  "hang.pulled": "from the wanted axis to the line through both eyes",
  "hang.straight": "the place on the edge where it hangs straight",
  blank: "bounding box of the saw line",
};

export const SOURCE_NAMES: Readonly<Record<Source, string>> = {
  stone: "from the stone",
  piece: "set on this piece",
  bench: "from my bench",
  shipped: "standard value",
  formula: "worked out",
  measured: "as you measured it",
  learned: "yours, from your own makes",
};

/** A term's name, by how many makes it was learned where it was. */
export function termName({ label, count }: Pick<Term, "label" | "count">): string {
  return count === undefined ? TERM_NAMES[label] : `${TERM_NAMES[label]}, from ${counted(count, "make")}`;
}

/** What a figure's own loss is called, by the makes that have taught it. */
export function yoursName({ terms }: Pick<Figure, "terms">): string {
  return termName(terms.find(({ label }) => label === "yours") ?? { label: "yours" });
}

/** A term's name, with its formula where it has one. */
export function termText(term: Term): string {
  const { label, note } = term;
  if (!note) return termName(term);
  return label === "formula" ? FORMULA_NAMES[note] : `${TERM_NAMES[label]}: ${FORMULA_NAMES[note]}`;
}
