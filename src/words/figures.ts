import { type StageId } from "./stages";

/** What figures are called when they are looked for, and the stage that shows each; by the key without the mount's id. */
export const FIGURE_NAMES: readonly { readonly key: string; readonly name: string; readonly stage: StageId }[] = [
  { key: "outline.perimeter", name: "Round the stone", stage: "stone" },
  { key: "outline.area", name: "Face of the stone", stage: "stone" },
  { key: "wall.cutLength", name: "Cut strip, length", stage: "wall" },
  { key: "wall.cutHeight", name: "Cut strip, height", stage: "wall" },
  { key: "wall.netLength", name: "Wall, net length", stage: "wall" },
  { key: "wall.netHeight", name: "Wall, net height", stage: "wall" },
  { key: "wall.lip", name: "Lip over the dome", stage: "wall" },
  { key: "wall.gather", name: "Gathering at the tightest", stage: "wall" },
  { key: "wall.faceShown", name: "Face shown", stage: "wall" },
  { key: "wall.windowLow", name: "Shortest strip that stretches to fit", stage: "wall" },
  { key: "wall.windowHigh", name: "Longest strip that fits", stage: "wall" },
  { key: "wall.stripHeight", name: "Strip to take from the shelf", stage: "wall" },
  { key: "plate.blankLength", name: "Plate's blank, length", stage: "plate" },
  { key: "plate.blankWidth", name: "Plate's blank, width", stage: "plate" },
  { key: "plate.length", name: "Plate, length", stage: "plate" },
  { key: "plate.width", name: "Plate, width", stage: "plate" },
  { key: "plate.mass", name: "Plate, mass", stage: "plate" },
  { key: "hoop.cutLength", name: "Cut blank of the hoop", stage: "hoop" },
  { key: "hoop.netLength", name: "Hoop, net length", stage: "hoop" },
  { key: "hoop.insideDiameter", name: "Hoop, inside across", stage: "hoop" },
  { key: "hoop.fibre", name: "Fibre of the wire", stage: "hoop" },
  { key: "hoop.flat", name: "Depth of the flat", stage: "hoop" },
  { key: "hoop.saddle", name: "Depth of the saddle", stage: "hoop" },
  { key: "hoop.mass", name: "Hoop, mass", stage: "hoop" },
];
