import { step } from "../../making/step";
import { single, term } from "../../measure/figure";
import { finding } from "../../measure/finding";
import { type Section } from "../../metal/section";
import { type WorkKind } from "./work";

/** The wire sawn down its middle from the front, so far to each side, and its legs spread to so much from outside to outside (mm). */
export interface Slit {
  readonly length: number;
  readonly kerf: number;
  readonly spread: number;
}

/** A slit longer than this share of the way from the front to the back leaves too little to hold (a ratio of the net length). */
const LONGEST = 1 / 3;

export function legWidth({ kerf }: Slit, { width }: Pick<Section, "width">): number {
  return (width - kerf) / 2;
}

/** How far a leg's end moves aside: from beside the kerf to the spread. */
export function shift(slit: Slit, section: Pick<Section, "width">): number {
  const leg = legWidth(slit, section);
  return (slit.spread - leg) / 2 - (leg + slit.kerf) / 2;
}

/** What both ends lose: a leg of length s that moves aside by D reaches sqrt(s^2 - D^2). */
export function slitLoss(slit: Slit, section: Pick<Section, "width">): number {
  const aside = shift(slit, section);
  return 2 * (slit.length - Math.sqrt(slit.length * slit.length - aside * aside));
}

/** The widest that legs of this length bend to. */
function widestSpread({ length }: Slit, { width }: Pick<Section, "width">): number {
  return (2 * length) / 3 + width;
}

export const slit: WorkKind<Slit> = {
  forms: ["closed", "closed-flat", "open", "adjustable"],
  beside: ["taper"],
  faults: (asked, section) => [
    ...(asked.kerf >= section.width
      ? [{ field: "kerf", code: "above-limit" as const, values: { limit: section.width, got: asked.kerf } }]
      : []),
    ...(asked.spread < section.width
      ? [{ field: "spread", code: "at-least" as const, values: { limit: section.width, got: asked.spread } }]
      : []),
    ...(asked.spread > widestSpread(asked, section)
      ? [{ field: "spread", code: "at-most" as const, values: { limit: widestSpread(asked, section), got: asked.spread } }]
      : []),
  ],
  cut: (asked, { section }) => [term("slit", slitLoss(asked, section), "formula")],
  legs: (asked, section) => {
    const width = legWidth(asked, section);
    const offset = (asked.spread - width) / 2;
    return [-offset, offset].map((each) => ({ offset: each, width, parts: ["hoop"] }));
  },
  figures: (asked, { hoop: { section } }) => ({
    "hoop.slitLoss": single("mm", slitLoss(asked, section), "slit.loss"),
    "hoop.legWidth": single("mm", legWidth(asked, section), "slit.leg"),
    "hoop.slitShift": single("mm", shift(asked, section), "slit.shift"),
  }),
  findings: (asked, { net }) =>
    asked.length > LONGEST * net
      ? [finding("hoop.slit-long", "warning", "hoop", { length: asked.length, most: LONGEST * net, left: net - 2 * asked.length })]
      : [],
  steps: (asked) => ({
    flat: [
      step("hoop", "hoop.drill", { cautions: ["saw"], values: { at: asked.length, across: asked.kerf } }),
      step("hoop", "hoop.slit", {
        target: "hoop.legWidth",
        checks: ["legs.alike"],
        cautions: ["saw"],
        values: { long: asked.length },
      }),
    ],
    bent: [step("hoop", "hoop.spread", { checks: ["legs.alike"], values: { spread: asked.spread } })],
  }),
  marks: ({ length }, net, front) => [
    { code: "root", at: front === 0 ? length : front - length },
    { code: "root", at: front === 0 ? net - length : front + length },
  ],
};
