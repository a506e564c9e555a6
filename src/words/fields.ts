import { type Fault } from "@/core/piece/fault";
import { faultMessage, lengthFaultMessage } from "./faults";
import { type Units } from "./show";

interface PieceField {
  readonly label: string;
  /** What its number is counted in; none for words and bare numbers. */
  readonly unit?: "mm" | "°" | "g/cm³";
}

/** Dimensions of an outline: of a stone, and of a plate of its own. */
const OUTLINE_FIELDS: Readonly<Record<string, PieceField>> = {
  shape: { label: "Shape" },
  length: { label: "Length", unit: "mm" },
  width: { label: "Width", unit: "mm" },
  diameter: { label: "Across", unit: "mm" },
  exponent: { label: "Fullness" },
  corner: { label: "Corner radius", unit: "mm" },
  cleft: { label: "Cleft", unit: "mm" },
  side: { label: "Side", unit: "mm" },
  bulge: { label: "Bulge", unit: "mm" },
  points: { label: "Points of the outline", unit: "mm" },
};

function outlineAt(path: string): [string, PieceField][] {
  return Object.entries(OUTLINE_FIELDS).map(([name, field]) => [`${path}/${name}`, field]);
}

/** The fields of a piece by where they stand in its file; numbers of settings and points do not count. */
export const PIECE_FIELDS: Readonly<Record<string, PieceField>> = {
  "/name": { label: "Name" },
  "/kind": { label: "Kind of piece" },
  "/copies": { label: "Copies" },
  "/count": { label: "How many to make next" },
  "/methods": { label: "Whose own loss counts" },
  "/notes": { label: "Notes" },
  "/benchUsed": { label: "The bench it came with" },
  "/mounts/place/along": { label: "Place along the hoop", unit: "mm" },
  "/mounts/place/turn": { label: "Turned by", unit: "°" },
  "/mounts/stone/name": { label: "Name of the stone" },
  ...Object.fromEntries([...outlineAt("/mounts/stone/outline"), ...outlineAt("/mounts/plate/outline")]),
  "/mounts/stone/measuredPerimeter": { label: "Perimeter by tape", unit: "mm" },
  "/mounts/stone/height": { label: "Height", unit: "mm" },
  "/mounts/stone/turnIn": { label: "Side leans in at", unit: "mm" },
  "/mounts/stone/turnIn/at": { label: "Place of a height" },
  "/mounts/stone/turnIn/height": { label: "Side leans in at", unit: "mm" },
  "/mounts/stone/dome": { label: "Dome" },
  "/mounts/stone/material/name": { label: "Material" },
  "/mounts/stone/material/mohs": { label: "Hardness, Mohs" },
  "/mounts/stone/material/density": { label: "Density", unit: "g/cm³" },
  "/mounts/wall/source": { label: "Bezel from" },
  "/mounts/wall/metal": { label: "Metal of the bezel" },
  "/mounts/wall/thickness": { label: "Thickness of the bezel", unit: "mm" },
  "/mounts/wall/fit": { label: "Fit", unit: "mm" },
  "/mounts/wall/heightRule": { label: "Height set by" },
  "/mounts/wall/fixedHeight": { label: "House height", unit: "mm" },
  "/mounts/wall/catch": { label: "Catch", unit: "mm" },
  "/mounts/wall/lift": { label: "Lift", unit: "mm" },
  "/mounts/wall/seamAt": { label: "Seam" },
  "/mounts/wall/notch/pitch": { label: "From tooth to tooth", unit: "mm" },
  "/mounts/wall/tube/outside": { label: "Outside of the tube", unit: "mm" },
  "/mounts/wall/tube/inside": { label: "Inside of the tube", unit: "mm" },
  "/mounts/wall/cup/length": { label: "Outside of the cup", unit: "mm" },
  "/mounts/wall/cup/thickness": { label: "Thickness of the cup", unit: "mm" },
  "/mounts/wall/cup/height": { label: "Height of the cup", unit: "mm" },
  "/applied": { label: "Sweated parts" },
  "/mounts/plate/style": { label: "Edge of the plate" },
  "/mounts/plate/metal": { label: "Metal of the plate" },
  "/mounts/plate/thickness": { label: "Thickness of the plate", unit: "mm" },
  "/mounts/plate/border": { label: "Border", unit: "mm" },
  "/mounts/plate/sawMargin": { label: "Saw margin", unit: "mm" },
  "/mounts/plate/ornament": { label: "Ornament" },
  "/mounts/plate/outline": { label: "Outline of the plate" },
  "/mounts/plate/at": { label: "Place of the stone on its plate", unit: "mm" },
  "/mounts/plate/turn": { label: "Turn of the stone on its plate" },
  "/mounts/plate/domed": { label: "Dome of the plate" },
  "/mounts/plate/domed/rise": { label: "Rise of the dome", unit: "mm" },
  "/mounts/plate/texture": { label: "Texture of the plate" },
  "/mounts/on": { label: "Plate it stands on" },
  "/mounts/at": { label: "Place of the stone on the plate it shares", unit: "mm" },
  "/mounts/turn": { label: "Turn of the stone on the plate it shares" },
  "/mounts/ornament": { label: "Ornament" },
  "/carrier/type": { label: "Carried by" },
  "/carrier/size/system": { label: "Size system" },
  "/carrier/size/value": { label: "Finger size" },
  "/carrier/stock/section": { label: "Section of the wire" },
  "/carrier/stock/width": { label: "Width of the wire", unit: "mm" },
  "/carrier/stock/thickness": { label: "Thickness of the wire", unit: "mm" },
  "/carrier/stock/texture": { label: "Texture of the hoop" },
  "/carrier/stock/metal": { label: "Metal of the hoop" },
  "/carrier/form": { label: "Form of the hoop" },
  "/carrier/lengthRule": { label: "Length rule" },
  "/carrier/lengthRule/multiplier": { label: "Multiplier" },
  "/carrier/flatWidth": { label: "Width of the flat", unit: "mm" },
  "/carrier/saddleWidth": { label: "Width of the saddle", unit: "mm" },
  "/carrier/plateAbove": { label: "Plate above the finger", unit: "mm" },
  "/carrier/openGap": { label: "Gap left open", unit: "mm" },
  "/carrier/slit/length": { label: "Length of the slit", unit: "mm" },
  "/carrier/slit/kerf": { label: "Saw's cut of the slit", unit: "mm" },
  "/carrier/slit/spread": { label: "Spread of the legs", unit: "mm" },
  "/carrier/slit": { label: "Slit" },
  "/carrier/strands/count": { label: "Number of strands" },
  "/carrier/strands/soldered": { label: "Strands soldered for", unit: "mm" },
  "/carrier/strands/spread": { label: "Spread of the strands", unit: "mm" },
  "/carrier/strands": { label: "Strands" },
  "/carrier/bridge/inside": { label: "Inside of the arch", unit: "mm" },
  "/carrier/bridge/thickness": { label: "Thickness of the arch", unit: "mm" },
  "/carrier/bridge/gap": { label: "Gap between arch and hoop", unit: "mm" },
  "/carrier/bridge": { label: "Bridge" },
  "/carrier/stock/backWidth": { label: "Width at the back", unit: "mm" },
  "/carrier/stock/twist/wire": { label: "Wire of the twist", unit: "mm" },
  "/carrier/stock/twist/turns": { label: "Turns in 10 mm" },
  "/carrier/stock/twist": { label: "Twisted stock" },
  "/carrier/sleeve/thickness": { label: "Thickness of the sleeve", unit: "mm" },
  "/carrier/sleeve/name": { label: "What the sleeve is of" },
  "/mounts/wall/notch/depth": { label: "Depth of the gaps", unit: "mm" },
  "/mounts/wall/notch/gap": { label: "Width of the gaps", unit: "mm" },
  "/carrier/sleeve/inlay": { label: "Inlay" },
  "/carrier/sleeve": { label: "Sleeve" },
  "/carrier/losses/hammer": { label: "Gained by hammering", unit: "mm" },
  "/carrier/bore": { label: "Bore", unit: "mm" },
  "/carrier/drop": { label: "Drop", unit: "mm" },
  "/carrier/thickness": { label: "Sheet of the bail", unit: "mm" },
  "/carrier/widest": { label: "Widest", unit: "mm" },
  "/carrier/foot": { label: "Foot of the bail", unit: "mm" },
  "/carrier/chainEnd": { label: "Chain's end", unit: "mm" },
  "/carrier/inside": { label: "Inside of the jump ring", unit: "mm" },
  "/carrier/wire": { label: "Wire of the jump ring", unit: "mm" },
  "/carrier/eye": { label: "Eye" },
  "/carrier/eyes": { label: "Eyes" },
  "/carrier/hangAxis": { label: "What should point down", unit: "°" },
  "/mounts/wall/losses/squaring": { label: "Squared off the strip's ends", unit: "mm" },
  "/mounts/wall/losses/mark": { label: "Marked off the strip", unit: "mm" },
  "/mounts/wall/losses/foot": { label: "Filed off the foot", unit: "mm" },
  "/mounts/wall/losses/top": { label: "Filed off the top", unit: "mm" },
  "/mounts/plate/ledge/width": { label: "Width of the ledge", unit: "mm" },
  "/mounts/plate/ledge/height": { label: "Height of the ledge", unit: "mm" },
  "/mounts/plate/stamp/width": { label: "Width of the stamp", unit: "mm" },
  "/mounts/plate/stamp/height": { label: "Height of the stamp", unit: "mm" },
  "/mounts/plate/stamp/at": { label: "Place of the stamp", unit: "mm" },
  "/mounts/plate/drain/diameter": { label: "Drain hole", unit: "mm" },
  "/mounts/plate/drain/at": { label: "Place of the drain hole", unit: "mm" },
  "/mounts/plate/ornament/width": { label: "Width of the ornament", unit: "mm" },
  "/mounts/plate/ornament/height": { label: "Height of the ornament", unit: "mm" },
  "/mounts/plate/ornament/tight": { label: "Drawn tight by", unit: "mm" },
  "/mounts/plate/ornament/from/wire": { label: "Wire of the ornament", unit: "mm" },
  "/mounts/plate/ornament/from/strip": { label: "Strip of the ornament", unit: "mm" },
  "/mounts/plate/ornament/from/pitch": { label: "From notch to notch", unit: "mm" },
  "/carrier/losses/squaring": { label: "Squared off the blank's ends", unit: "mm" },
  "/carrier/losses/mark": { label: "Marked off the blank", unit: "mm" },
  "/carrier/losses/kerf": { label: "Saw's cut", unit: "mm" },
  "/carrier/sleeve/inlay/width": { label: "Width of the inlay", unit: "mm" },
  "/carrier/sleeve/inlay/depth": { label: "Depth of the inlay", unit: "mm" },
  "/carrier/ring/inside": { label: "Inside of the bail's ring", unit: "mm" },
  "/carrier/ring/wire": { label: "Wire of the bail's ring", unit: "mm" },
  "/carrier/length": { label: "Length of the post or wire", unit: "mm" },
  "/heats/pins/add/length": { label: "Length of the added joint", unit: "mm" },
  "/applied/disc/diameter": { label: "Across the disc", unit: "mm" },
  "/applied/disc/thickness": { label: "Thickness of the disc", unit: "mm" },
  "/applied/ball/diameter": { label: "Across the ball", unit: "mm" },
  "/applied/ring/inside": { label: "Inside of the ring put on", unit: "mm" },
  "/applied/ring/wire": { label: "Wire of the ring put on", unit: "mm" },
  "/applied/strip/length": { label: "Length of the strip put on", unit: "mm" },
  "/applied/strip/width": { label: "Width of the strip put on", unit: "mm" },
  "/applied/strip/thickness": { label: "Thickness of the strip put on", unit: "mm" },
  "/applied/at": { label: "Place of a part put on", unit: "mm" },
  "/applied/along": { label: "Place of a part put on", unit: "mm" },
  "/heats/shelf": { label: "Solder shelf" },
  "/heats/way": { label: "Way of grading" },
  "/heats/overshoot": { label: "Overshoot" },
  "/heats/pins": { label: "Pins" },
};

/** A path without the numbers of settings and points in it. */
function unnumbered(path: string): string {
  return path.replaceAll(/\/\d+(?=\/|$)/g, "");
}

/** A field's name by its path in the file; a field that has none is called by its last step. */
export function fieldName(path: string): string {
  const plain = unnumbered(path);
  for (let at = plain; at; at = at.slice(0, at.lastIndexOf("/"))) {
    const field = PIECE_FIELDS[at];
    if (field) return field.label;
  }
  return plain.slice(plain.lastIndexOf("/") + 1) || "The piece";
}

/** Whether the field at a path of the file holds a length. */
export function isLengthField(path: string): boolean {
  return PIECE_FIELDS[unnumbered(path)]?.unit === "mm";
}

/** What is wrong with a piece, in the words of its fields and the maker's units. */
export function faultSentence(fault: Fault, units: Units): string {
  const message = isLengthField(fault.path) ? lengthFaultMessage(fault, units) : faultMessage(fault, units);
  return `${fieldName(fault.path)} ${message}`;
}
