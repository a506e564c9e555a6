import { step } from "../../making/step";
import { single } from "../../measure/figure";
import { finding } from "../../measure/finding";
import { type BailKind, acrossEdge, annulus } from "./kind";

/** Nearer than this the edge is filed to it (mm). */
const TOUCHES = 0.1;

/** A length of tube that lies along the edge; the chain passes through it. */
export const tube: BailKind = {
  part: "bail",
  figure: "bail.blankLength",
  blank: ({ widest }) => single("mm", widest.value, "bail.tube", widest.from),
  volume: ({ widest, bore, thickness }) => Math.PI * (bore + thickness) * thickness * widest.value,
  pastEdge: ({ drop }) => drop,
  foot: ({ widest, thickness }) => ({ length: widest.value, area: widest.value * thickness }),
  seam: () => null,
  making: (_bail, part) => [
    step(part, "bail.saw", { target: "bail.blankLength", checks: ["ends.square", "ends.noBurr"], cautions: ["saw"] }),
  ],
  marks: () => [],
  pattern: ({ widest, bore, thickness }) => [
    [0, bore + 2 * thickness],
    [widest.value, bore + 2 * thickness],
  ],
  findings: ({ drop, bore, thickness }) => {
    const needed = bore / 2 + thickness;
    const gap = drop - needed;
    return Math.abs(gap) > TOUCHES ? [finding("bail.tube-apart", "warning", "bail", { gap, needed })] : [];
  },
  isSawnToShape: false,
  usualWidest: 6,
  boreAt: ({ drop }) => drop,
  front: ({ widest, drop, bore, thickness }) => [
    acrossEdge(widest.value, drop - bore / 2 - thickness, widest.value, drop + bore / 2 + thickness),
  ],
  side: (bail) => [annulus(bail, [0, bail.drop])],
};
