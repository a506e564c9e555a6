import { type Curve, type Stroke, polygonCurve } from "../../geometry/curve";
import { step } from "../../making/step";
import { sum, term } from "../../measure/figure";
import { type Bail } from "../bail";
import { type BailKind, type Filled, acrossEdge, outsideOf } from "./kind";

/** Thin sheet folded over a rod: widest over the chain, tapering to the feet of both legs. 2 x drop and half a turn of the sheet's middle. */
export const folded: BailKind = {
  part: "bail",
  figure: "bail.blankLength",
  blank: (bail) => sum("mm", [term("drop", 2 * bail.drop, "piece"), term("overChain", overChain(bail), "formula")]),
  volume: ({ widest, foot, thickness, drop, ...bail }) =>
    (2 * drop + overChain({ ...bail, thickness })) * ((widest.value + foot.value) / 2) * thickness,
  restsBy: () => null,
  pastEdge: ({ drop }) => drop,
  foot: ({ foot, thickness }) => ({ length: 2 * foot.value, area: 2 * foot.value * thickness }),
  seam: () => null,
  making: ({ bore }, part) => [
    step(part, "bail.cut", { target: "bail.blankLength", checks: ["ends.noBurr"], cautions: ["saw"] }),
    step(part, "bail.fold", { checks: ["bail.legs"], values: { rod: bore } }),
  ],
  stock: ({ thickness }) => ({ form: "sheet", thickness }),
  marks: ({ drop, ...bail }) => [
    { code: "frontLeg", at: 0 },
    { code: "overChain", at: drop },
    { code: "backLeg", at: drop + overChain(bail) },
  ],
  pattern: ({ foot, widest, drop, ...bail }) => {
    const length = 2 * drop + overChain(bail);
    return [
      [0, foot.value],
      [length / 2, widest.value],
      [length, foot.value],
    ];
  },
  findings: () => [],
  isSawnToShape: true,
  usualWidest: 4,
  usualDrop: () => 6,
  boreAt: ({ drop }) => drop,
  front: ({ foot, widest, drop, ...bail }) => [acrossEdge(foot.value, 0, widest.value, drop + outsideOf(bail))],
  side: (bail, plate) => [...[-1, 1].map((side): Filled => [legOf(bail, side, plate / 2)]), [foldOf(bail)]],
};

/** How far the feet lap the edge, as drawn (mm). */
const LAP = 0.4;

/** One leg from the side, from its face of the plate up to the fold. */
function legOf({ drop, ...bail }: Bail, side: number, face: number): Curve {
  return polygonCurve([
    [side * face, -LAP],
    [side * (face + bail.thickness), -LAP],
    [side * outsideOf(bail), drop],
    [(side * bail.bore) / 2, drop],
  ]);
}

/** The half round over the chain, from the side. */
function foldOf({ bore, drop, thickness }: Bail): Curve {
  const outside = outsideOf({ bore, thickness });
  const arc = (radius: number, start: number, sweep: number): Stroke => ({ kind: "arc", x: 0, y: drop, radius, start, sweep });
  return {
    from: [outside, drop],
    strokes: [arc(outside, 0, Math.PI), { kind: "line", to: [-bore / 2, drop] }, arc(bore / 2, Math.PI, -Math.PI)],
  };
}

function overChain({ bore, thickness }: Pick<Bail, "bore" | "thickness">): number {
  return (Math.PI * (bore + thickness)) / 2;
}
