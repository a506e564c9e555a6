import { step } from "../../making/step";
import { sum, term } from "../../measure/figure";
import { type Bail } from "../bail";
import { type BailKind } from "./kind";

/** Thin sheet folded over a rod: widest over the chain, tapering to the feet of both legs. 2 x drop and half a turn of the sheet's middle. */
export const folded: BailKind = {
  part: "bail",
  figure: "bail.blankLength",
  blank: (bail) => sum("mm", [term("drop", 2 * bail.drop, "piece"), term("overChain", overChain(bail), "formula")]),
  volume: ({ widest, foot, thickness, drop, ...bail }) =>
    (2 * drop + overChain({ ...bail, thickness })) * ((widest.value + foot.value) / 2) * thickness,
  pastEdge: ({ drop }) => drop,
  foot: ({ foot, thickness }) => ({ length: 2 * foot.value, area: 2 * foot.value * thickness }),
  seam: () => null,
  making: ({ bore }, part) => [
    step(part, "bail.cut", { target: "bail.blankLength", checks: ["ends.noBurr"], cautions: ["saw"] }),
    step(part, "bail.fold", { checks: ["bail.legs"], values: { rod: bore } }),
  ],
  marks: ({ drop, ...bail }) => [
    { code: "frontLeg", at: 0 },
    { code: "overChain", at: drop },
    { code: "backLeg", at: drop + overChain(bail) },
  ],
  shape: ({ foot, widest, bore, thickness }) => ({
    foot: foot.value / 2,
    widest: widest.value / 2,
    inside: bore / 2,
    outside: bore / 2 + thickness,
  }),
  pattern: ({ foot, widest, drop, ...bail }) => {
    const length = 2 * drop + overChain(bail);
    return [
      [0, foot.value],
      [length / 2, widest.value],
      [length, foot.value],
    ];
  },
};

function overChain({ bore, thickness }: Pick<Bail, "bore" | "thickness">): number {
  return (Math.PI * (bore + thickness)) / 2;
}
