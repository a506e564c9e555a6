import { type Fault } from "@/core/piece/fault";
import { faultMessage } from "./faults";

/** What the fields of a piece are called, by where they stand in its file; numbers of settings and points do not count. */
const FIELD_NAMES: Readonly<Record<string, string>> = {
  "/name": "Name",
  "/kind": "Kind of piece",
  "/copies": "Copies",
  "/notes": "Notes",
  "/benchUsed": "The bench it came with",
  "/mounts/place/along": "Place along the hoop",
  "/mounts/place/turn": "Turned by",
  "/mounts/stone/name": "Name of the stone",
  "/mounts/stone/outline/shape": "Shape",
  "/mounts/stone/outline/length": "Length",
  "/mounts/stone/outline/width": "Width",
  "/mounts/stone/outline/diameter": "Across",
  "/mounts/stone/outline/exponent": "Fullness",
  "/mounts/stone/outline/corner": "Corner radius",
  "/mounts/stone/outline/cleft": "Cleft",
  "/mounts/stone/outline/side": "Side",
  "/mounts/stone/outline/bulge": "Bulge",
  "/mounts/stone/outline/points": "Points of the outline",
  "/mounts/stone/measuredPerimeter": "Round it by tape",
  "/mounts/stone/height": "Height",
  "/mounts/stone/turnIn": "Side leans in at",
  "/mounts/stone/turnIn/at": "Place of a height",
  "/mounts/stone/turnIn/height": "Side leans in at",
  "/mounts/stone/dome": "Dome",
  "/mounts/stone/material/name": "Material",
  "/mounts/stone/material/mohs": "Hardness, Mohs",
  "/mounts/stone/material/density": "Density",
  "/mounts/wall/source": "Wall from",
  "/mounts/wall/metal": "Metal of the wall",
  "/mounts/wall/thickness": "Thickness of the wall",
  "/mounts/wall/fit": "Fit",
  "/mounts/wall/heightRule": "Height set by",
  "/mounts/wall/fixedHeight": "House height",
  "/mounts/wall/catch": "Catch",
  "/mounts/wall/lift": "Lift",
  "/mounts/wall/seamAt": "Seam",
  "/mounts/wall/notch/pitch": "Pitch of the notches",
  "/mounts/wall/tube/outside": "Outside of the tube",
  "/mounts/wall/tube/inside": "Inside of the tube",
  "/mounts/wall/cup/length": "Outside of the cup",
  "/mounts/wall/cup/thickness": "Thickness of the cup",
  "/mounts/wall/cup/height": "Height of the cup",
  "/applied": "Parts put on",
  "/mounts/plate/style": "Edge of the plate",
  "/mounts/plate/metal": "Metal of the plate",
  "/mounts/plate/thickness": "Thickness of the plate",
  "/mounts/plate/border": "Border",
  "/mounts/plate/sawMargin": "Saw margin",
  "/mounts/plate/ornament": "Ornament",
  "/carrier/type": "Carried by",
  "/carrier/size/system": "Sized in",
  "/carrier/size/value": "Finger size",
  "/carrier/stock/section": "Section of the wire",
  "/carrier/stock/width": "Width of the wire",
  "/carrier/stock/thickness": "Thickness of the wire",
  "/carrier/stock/metal": "Metal of the hoop",
  "/carrier/form": "Form of the hoop",
  "/carrier/lengthRule": "Length counted by",
  "/carrier/lengthRule/multiplier": "Times",
  "/carrier/flatWidth": "Width of the flat",
  "/carrier/saddleWidth": "Width of the saddle",
  "/heats/shelf": "Solder shelf",
  "/heats/way": "Way of grading",
  "/heats/overshoot": "Overshoot",
  "/heats/pins": "Wishes for the heats",
};

/** A field's name by its path in the file; a field that has none is called by its last step. */
export function fieldName(path: string): string {
  const plain = path.replaceAll(/\/\d+(?=\/|$)/g, "");
  for (let at = plain; at; at = at.slice(0, at.lastIndexOf("/"))) {
    const name = FIELD_NAMES[at];
    if (name) return name;
  }
  return plain.slice(plain.lastIndexOf("/") + 1) || "The piece";
}

/** What is wrong with a piece, in the words of its fields. */
export function faultSentence(fault: Fault): string {
  return `${fieldName(fault.path)} ${faultMessage(fault)}`;
}
