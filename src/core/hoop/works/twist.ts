import { step } from "../../making/step";
import { type Figures, single } from "../../measure/figure";
import { tolerance } from "../../measure/tolerances";
import { sectionArea } from "../../metal/section";
import { type Hoop } from "../hoop";
import { type WorkKind } from "./work";

/** What the stock was made of: so many wires of a diameter in mm, turned so often in a millimetre, soldered before they were flattened or not. */
export interface Twist {
  readonly wire: number;
  readonly turns: number;
  readonly plies: number;
  readonly isSoldered: boolean;
}

/** Of the room that unsoldered wires are pressed into, so much is metal. */
const FILL_UNSOLDERED = 0.92;

/** How far the middle of each wire lies from the twist's own: half a wire of two, d / (2 sin(pi / plies)) of more. */
function turnsRound({ wire, plies }: Twist): number {
  return wire / (2 * Math.sin(Math.PI / plies));
}

/** How thick the twist stands before it is flattened. */
function standsAt(twist: Twist): number {
  return 2 * turnsRound(twist) + twist.wire;
}

function isFlattened(twist: Twist, { section }: Hoop): boolean {
  return section.thickness < standsAt(twist) - tolerance.sameLength;
}

function wireArea({ wire }: Twist): number {
  return (Math.PI / 4) * wire * wire;
}

/** mm of each wire in a mm of stock: along its helix, or by the metal that the flattened section takes. */
function wirePerMm(twist: Twist, hoop: Hoop): number {
  if (!isFlattened(twist, hoop)) return Math.hypot(1, 2 * Math.PI * turnsRound(twist) * twist.turns);
  return (sectionArea(hoop.section) * (twist.isSoldered ? 1 : FILL_UNSOLDERED)) / (twist.plies * wireArea(twist));
}

export const twist: WorkKind<Twist> = {
  forms: ["closed", "closed-flat", "open", "adjustable", "bridge"],
  beside: [],
  faults: () => [],
  volume: (asked, hoop) => asked.plies * wireArea(asked) * wirePerMm(asked, hoop),
  figures: (asked, { hoop, cut }): Figures => ({
    "hoop.wireLength": single("mm", cut * wirePerMm(asked, hoop), isFlattened(asked, hoop) ? "twist.flattened" : "twist.wire"),
  }),
  steps: (asked, { hoop }) => ({
    stock: [
      step("hoop", "hoop.twist", {
        target: "hoop.wireLength",
        values: { wire: asked.wire, plies: asked.plies, turns: 10 * asked.turns, soldered: asked.isSoldered ? 1 : 0 },
      }),
      ...(isFlattened(asked, hoop) ? [step("hoop", "hoop.flatten", { values: { thickness: hoop.section.thickness } })] : []),
    ],
  }),
};
