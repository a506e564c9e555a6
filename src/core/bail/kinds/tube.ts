import { step } from "../../making/step";
import { single } from "../../measure/figure";
import { type BailKind } from "./kind";

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
  shape: ({ widest, bore, thickness }) => ({
    foot: widest.value / 2,
    widest: widest.value / 2,
    inside: bore / 2,
    outside: bore / 2 + thickness,
  }),
  pattern: ({ widest, bore, thickness }) => [
    [0, bore + 2 * thickness],
    [widest.value, bore + 2 * thickness],
  ],
};
