import { type WorkedJoint } from "../joint/contribution";
import { step } from "../making/step";
import { type Figure, type Term, sum, taken, term } from "../measure/figure";
import { fibre, sectionArea } from "../metal/section";
import { type Hoop } from "./hoop";

/** Pi times the inside diameter, and twice pi times the fibre's distance, by the rule's idea of the fibre. */
export function bandLength(hoop: Hoop, inside: number): Figure {
  const counted = hoop.rule === "fibre" ? fibre(hoop.section).distance : hoop.section.thickness / 2;
  return sum("mm", [term("finger", Math.PI * inside, hoop.size.from), term("fibre", 2 * Math.PI * counted, "formula")]);
}

/** A seam is squared, sawn through to true it, and marked. */
export function bandLosses({ losses }: Hoop): Term[] {
  const passes = term("sawPasses", losses.sawPasses.value * losses.kerf.value, losses.sawPasses.from);
  return [taken("squaring", losses.squaring), passes, taken("mark", losses.mark)];
}

/** The blank is cut and bent before its seam is heated, and rounded up to its size after. */
export function bandSeam({ section, asked }: Hoop): WorkedJoint {
  return {
    id: "hoop.seam",
    kind: "seam",
    mount: null,
    parts: ["hoop"],
    length: section.width,
    area: sectionArea(section),
    place: "back",
    after: [],
    follows: ["hoop.fibre"],
    work: {
      before: [
        step("hoop", "hoop.cut", "hoop", { target: "hoop.cutLength", checks: ["ends.noBurr"], cautions: ["saw"] }),
        step("hoop", "hoop.square", "hoop", { checks: ["ends.square"] }),
        step("hoop", "hoop.bend", "hoop", { target: "hoop.netLength", checks: ["ends.noLight"] }),
      ],
      lookedFor: ["joint.bright", "joint.noGap"],
      after: [
        step("hoop", "hoop.round", "hoop", {
          target: "hoop.insideDiameter",
          checks: ["hoop.round", "hoop.size"],
          values: { system: asked.system, size: asked.value },
        }),
      ],
    },
  };
}
