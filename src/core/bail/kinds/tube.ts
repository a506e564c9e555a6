import { step } from "../../making/step";
import { single } from "../../measure/figure";
import { finding } from "../../measure/finding";
import { type BailKind, acrossEdge, annulus, outsideOf } from "./kind";

/** Nearer than this the edge is filed to it (mm). */
const TOUCHES = 0.1;

/** A length of tube that lies along the edge; the chain passes through it. */
export const tube: BailKind = {
  part: "bail",
  figure: "bail.blankLength",
  blank: ({ widest }) => single("mm", widest.value, "bail.tube", widest.from),
  volume: ({ widest, bore, thickness }) => Math.PI * (bore + thickness) * thickness * widest.value,
  restsBy: () => null,
  pastEdge: ({ drop }) => drop,
  foot: ({ widest, thickness }) => ({ length: widest.value, area: widest.value * thickness }),
  seam: () => null,
  making: (_bail, part) => [
    step(part, "bail.saw", { target: "bail.blankLength", checks: ["ends.square", "ends.noBurr"], cautions: ["saw"] }),
  ],
  stock: ({ bore, thickness }) => ({ form: "tube", outside: bore + 2 * thickness, inside: bore }),
  marks: () => [],
  pattern: ({ widest, bore, thickness }) => [
    [0, bore + 2 * thickness],
    [widest.value, bore + 2 * thickness],
  ],
  findings: (bail) => {
    const needed = outsideOf(bail);
    const gap = bail.drop - needed;
    return Math.abs(gap) > TOUCHES ? [finding("bail.tube-apart", "warning", "bail", { gap, needed })] : [];
  },
  isSawnToShape: false,
  usualWidest: 6,
  usualDrop: outsideOf,
  boreAt: ({ drop }) => drop,
  front: ({ widest, drop, ...bail }) => [acrossEdge(widest.value, drop - outsideOf(bail), widest.value, drop + outsideOf(bail))],
  side: (bail) => [annulus(bail, [0, bail.drop])],
};
