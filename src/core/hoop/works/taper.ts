import { step } from "../../making/step";
import { sectionArea } from "../../metal/section";
import { type WorkKind } from "./work";

/** A band that is so wide at the back (mm), and as wide as its stock at the front. */
export interface Taper {
  readonly back: number;
}

/** Its width at a distance from the front: back + (front - back)(1 + cos(2 pi x / net)) / 2. */
export function widthAt({ back }: Taper, front: number, fromFront: number, net: number): number {
  return back + ((front - back) * (1 + Math.cos((2 * Math.PI * fromFront) / net))) / 2;
}

export const taper: WorkKind<Taper> = {
  forms: ["closed", "closed-flat", "open", "adjustable", "bridge"],
  beside: [],
  faults: ({ back }, { shape }) =>
    shape === "round" || shape === "square" ? [{ field: "backWidth", code: "taper-even", values: { section: shape, got: back } }] : [],
  bandWidth: ({ back }, width) => Math.max(back, width),
  volume: ({ back }, { section }) => sectionArea({ ...section, width: (section.width + back) / 2 }),
  steps: ({ back }, { hoop }) => ({
    flat: [step("hoop", "hoop.taper", { checks: ["edge.even"], cautions: ["saw"], values: { front: hoop.section.width, back } })],
  }),
};
