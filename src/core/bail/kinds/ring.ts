import { step } from "../../making/step";
import { single } from "../../measure/figure";
import { roundWire } from "../../metal/cut";
import { type Bail } from "../bail";
import { edgeOn, ringLength, wireFace } from "../link";
import { type BailKind, annulus, outsideOf } from "./kind";

/** A ring of round wire, closed and soldered by its outside to the edge: pi (inside + wire) of it. */
export const ring: BailKind = {
  part: "jump-ring",
  figure: "bail.jumpRingLength",
  blank: (bail) => single("mm", lengthOf(bail), "bail.ring"),
  volume: (bail) => lengthOf(bail) * wireFace(bail.thickness),
  restsBy: outsideOf,
  pastEdge: ({ bore, thickness }) => bore + thickness,
  foot: (bail) => ({ length: bail.thickness, area: wireFace(bail.thickness) }),
  seam: (bail, part) => ({
    id: part === "bail" ? "bail.seam" : `${part}.seam`,
    kind: "seam",
    mount: null,
    parts: [part],
    length: bail.thickness,
    area: wireFace(bail.thickness),
    place: "seam",
    after: [],
    follows: ["bail.jumpRingLength"],
    work: { before: ring.making(bail, part), lookedFor: ["joint.bright", "joint.noGap"], after: [] },
  }),
  making: ({ bore }, part) => [
    step(part, "bail.wind", { target: "bail.jumpRingLength", checks: ["ends.noLight"], cautions: ["saw"], values: { rod: bore } }),
  ],
  stock: ({ thickness }) => roundWire(thickness),
  marks: () => [{ code: "seam", at: 0 }],
  pattern: (bail) => [
    [0, bail.thickness],
    [lengthOf(bail), bail.thickness],
  ],
  findings: () => [],
  isSawnToShape: false,
  usualWidest: 0,
  usualDrop: () => 0,
  boreAt: outsideOf,
  front: (bail) => annulus(bail, [0, outsideOf(bail)]),
  side: (bail) => [edgeOn({ inside: bail.bore, wire: bail.thickness }, outsideOf(bail))],
};

function lengthOf({ bore, thickness }: Pick<Bail, "bore" | "thickness">): number {
  return ringLength({ inside: bore, wire: thickness });
}
