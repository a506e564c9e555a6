import { type BlankMark } from "@/core/measure/blank";

/** What lies where along a strip or a hoop's blank. */
export const BLANK_MARKS: Readonly<Record<BlankMark, string>> = {
  seam: "seam",
  end: "end",
  corner: "corner",
  point: "point",
  notch: "notch",
  farSide: "far side",
  front: "front, opposite the seam",
  stoneEdge: "stone",
  foot: "foot",
  seat: "seat's floor",
  cut: "next",
  bead: "first bead",
  back: "back of the hoop",
  root: "root",
  frontLeg: "front leg",
  overChain: "over the chain",
  backLeg: "back leg",
  eye: "eye",
  bow: "bow",
};
