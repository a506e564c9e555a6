import { step } from "../../making/step";
import { single } from "../../measure/figure";
import { cutToLength } from "../../metal/cut";
import { type Metal, massOf } from "../../metal/metals";
import { type WorkKind } from "./work";

/** Wood or the like round the hoop as its liner, joined cold, and a strip let into it (mm). */
export interface Sleeve {
  readonly name: string;
  readonly thickness: number;
  readonly layers: number;
  readonly inlay: { readonly width: number; readonly depth: number; readonly metal: Metal } | null;
}

const INLAY = "hoop.inlay";

/** Round the middle of the strip, which is let in from the sleeve's outside: 2 pi (ID/2 + t + T - v/2). */
function inlayLength({ thickness, inlay }: Sleeve, inside: number, liner: number): number {
  return 2 * Math.PI * (inside / 2 + liner + thickness - (inlay?.depth ?? 0) / 2);
}

export const sleeve: WorkKind<Sleeve> = {
  forms: ["closed"],
  beside: [],
  faults: ({ thickness, inlay }) =>
    inlay && inlay.depth >= thickness
      ? [{ field: "inlay/depth", code: "above-limit", values: { limit: thickness, got: inlay.depth } }]
      : [],
  stands: ({ thickness }) => thickness,
  figures: (asked, { hoop, inside }) =>
    asked.inlay ? { "hoop.inlayLength": single("mm", inlayLength(asked, inside, hoop.section.thickness), "inlay.length") } : {},
  cuts: (asked, { hoop, inside }) => {
    if (!asked.inlay) return [];
    const { width, depth, metal } = asked.inlay;
    const length = inlayLength(asked, inside, hoop.section.thickness);
    return [cutToLength({ part: INLAY, mount: null, metal }, { form: "strip", width, thickness: depth }, "hoop.inlayLength", length)];
  },
  parts: (asked, { hoop, inside }) => {
    if (!asked.inlay) return [];
    const { width, depth, metal } = asked.inlay;
    const mass = massOf(metal, inlayLength(asked, inside, hoop.section.thickness) * width * depth);
    return [{ id: INLAY, kind: "inlay", mount: null, metal, mass, thickness: Math.min(width, depth) }];
  },
  joints: (asked, { hoop, inside }) => {
    const round = Math.PI * (inside + 2 * hoop.section.thickness);
    return [
      {
        id: "hoop.sleeve",
        kind: "sleeve",
        mount: null,
        parts: ["hoop"],
        length: round,
        area: round * hoop.section.width,
        place: "round",
        after: ["hoop.seam"],
        follows: ["hoop.insideDiameter"],
        isCold: true,
        work: {
          before: [
            step("hoop", "hoop.bore", {
              checks: ["sleeve.slides"],
              cautions: ["dust"],
              values: { name: asked.name, thickness: asked.thickness, layers: asked.layers },
            }),
            ...(asked.inlay
              ? [step(INLAY, "hoop.inlay", { target: "hoop.inlayLength", cautions: ["saw"], values: { depth: asked.inlay.depth } })]
              : []),
          ],
          lookedFor: ["sleeve.tight"],
          after: [
            ...(asked.inlay
              ? [step(INLAY, "hoop.inset", { works: ["hoop"], checks: ["sleeve.tight", "joint.noGlue"], cautions: ["glue"] })]
              : []),
            step("hoop", "hoop.wood", { checks: ["wood.sealed"], cautions: ["dust", "glue"], values: { name: asked.name } }),
          ],
        },
      },
    ];
  },
};
