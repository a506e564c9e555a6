import { type WorkedJoint } from "../../joint/contribution";
import { type Step, step } from "../../making/step";
import { type Figures, single } from "../../measure/figure";
import { tolerance } from "../../measure/tolerances";
import { cutToLength, roundWire } from "../../metal/cut";
import { sectionArea } from "../../metal/section";
import { type Hoop } from "../hoop";
import { ROUND_MEETING, hoopParts } from "./strands";
import { type LaidHoop, type WorkKind } from "./work";

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
  stockCuts: (asked, { hoop, cut }) => [
    {
      ...cutToLength(
        { part: "hoop", mount: null, metal: hoop.metal },
        roundWire(asked.wire),
        "hoop.wireLength",
        cut * wirePerMm(asked, hoop),
      ),
      count: asked.plies,
    },
  ],
  steps: (asked, laid) => ({ stock: asked.isSoldered ? [] : [...twisting(asked), ...flattening(asked, laid)] }),
  stockJoints: (asked, laid) => (asked.isSoldered ? alongWires(asked, laid) : []),
};

function twisting({ wire, plies, turns }: Twist): Step[] {
  return [
    step("hoop", "hoop.twist", { target: "hoop.wireLength", cautions: ["torch", "hotMetal"], values: { wire, plies, turns: 10 * turns } }),
  ];
}

function flattening(asked: Twist, { hoop }: LaidHoop): Step[] {
  return isFlattened(asked, hoop) ? [step("hoop", "hoop.flatten", { values: { thickness: hoop.section.thickness } })] : [];
}

/** Its wires are soldered where they touch, all along the stock, before it is flattened: two along one line, more each to the next. */
function alongWires(asked: Twist, laid: LaidHoop): WorkedJoint[] {
  const lines = asked.plies === 2 ? 1 : asked.plies;
  const length = lines * laid.cut;
  return hoopParts(laid.hoop).map((part) => ({
    id: `${part}.twist`,
    kind: "twist",
    mount: null,
    parts: [part],
    length,
    area: (length * asked.wire) / ROUND_MEETING,
    place: "along",
    after: [],
    follows: ["hoop.cutLength"],
    work: { before: twisting(asked), lookedFor: ["joint.bright", "joint.noGap"], after: flattening(asked, laid) },
  }));
}
