import { type Curve } from "../geometry/curve";
import { linked, wireMass } from "../bail/link";
import { type Contribution, NOTHING } from "../joint/contribution";
import { step } from "../making/step";
import { layBlank } from "../measure/blank";
import { single } from "../measure/figure";
import { finding } from "../measure/finding";
import { cutToLength, roundWire } from "../metal/cut";
import { type Metal } from "../metal/metals";
import { wornInEar } from "./worn";

/** A length of round wire that hangs in an ear; lengths in mm. */
export interface EarWire {
  readonly metal: Metal;
  readonly wire: number;
  readonly length: number;
}

/** How it is bent: its eye and its bow, inside, and how much of what is left stands in front of the ear. */
const BENT = { eye: 2, bow: 8, front: 1 / 3 } as const;
/** With less than this for its two legs it does not reach round (mm). */
const LEAST_LEGS = 8;

/** It as it is bent; lengths in mm. */
export interface BentWire {
  readonly eye: number;
  readonly bow: number;
  /** Of the wire, one after the other: the eye, the leg in front of the ear, the bow, the leg behind. */
  readonly runs: { readonly eye: number; readonly front: number; readonly bow: number; readonly back: number };
  /** From what hangs in its eye to the top of its bow. */
  readonly height: number;
  readonly wire: number;
  /** The middle of the wire from the side, from its eye on: mm from what hangs in it, y upward. */
  readonly middle: Curve;
}

export function bentWire({ wire, length }: EarWire): BentWire {
  const eye = Math.PI * (BENT.eye + wire);
  const bow = (Math.PI * (BENT.bow + wire)) / 2;
  const legs = Math.max(0, length - eye - bow);
  const runs = { eye, front: legs * BENT.front, bow, back: legs * (1 - BENT.front) };
  const [small, large] = [(BENT.eye + wire) / 2, (BENT.bow + wire) / 2];
  const top = BENT.eye + wire / 2 + runs.front;
  return {
    ...{ eye: BENT.eye, bow: BENT.bow, runs, wire },
    height: top + large + wire / 2,
    middle: {
      from: [0, 2 * small - wire / 2],
      strokes: [
        { kind: "arc", x: 0, y: small - wire / 2, radius: small, start: Math.PI / 2, sweep: 2 * Math.PI },
        { kind: "line", to: [0, top] },
        { kind: "arc", x: large, y: top, radius: large, start: Math.PI, sweep: -Math.PI },
        { kind: "line", to: [2 * large, top - runs.back] },
      ],
    },
  };
}

/** What an ear wire adds to an earring that hangs from it by `holder`, a ring that is closed once the joint `after` is made. */
export function planEarWire(earWire: EarWire, holder: string, after: string): Contribution {
  const { metal, wire, length } = earWire;
  const bent = bentWire(earWire);
  const { runs } = bent;
  const legs = length - runs.eye - runs.bow;
  const part = "earwire";
  const making = [
    step(part, "earwire.cut", { target: "earwire.cutLength", checks: ["wire.smooth"], cautions: ["saw"] }),
    step(part, "earwire.bend", { checks: ["bows.alike"], values: { eye: bent.eye, bow: bent.bow, front: runs.front } }),
  ];
  return {
    ...NOTHING,
    figures: { "earwire.cutLength": single("mm", length, "earwire.length", "piece") },
    findings: [
      ...wornInEar("earwire", metal, wire),
      ...(legs < LEAST_LEGS ? [finding("earwire.short", "error", "earwire", { length, needed: length - legs + LEAST_LEGS })] : []),
    ],
    parts: [{ id: part, kind: "earwire", mount: null, metal, mass: wireMass(metal, wire, length), thickness: wire }],
    joints: [linked(part, holder, wire, [after], "earwire.cutLength", making)],
    cuts: [cutToLength({ part, mount: null, metal }, roundWire(wire), "earwire.cutLength", length)],
    made: { [part]: { flat: making, formed: making } },
    laid: {
      earwire: layBlank(length, 0, 0, [
        { code: "eye", at: 0 },
        { code: "frontLeg", at: runs.eye },
        { code: "bow", at: runs.eye + runs.front },
        { code: "backLeg", at: runs.eye + runs.front + runs.bow },
      ]),
    },
  };
}
