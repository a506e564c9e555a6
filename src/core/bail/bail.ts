import { type Part, type Tie } from "../joint/joint";
import { type Contribution, NOTHING, type WorkedJoint } from "../joint/contribution";
import { polygonCurve } from "../geometry/curve";
import { step } from "../making/step";
import { layBlank } from "../measure/blank";
import { type Figures, type Sourced, figureOf, single } from "../measure/figure";
import { type Finding, finding } from "../measure/finding";
import { type Cut, cutToLength, roundWire } from "../metal/cut";
import { type Metal, massOf } from "../metal/metals";
import { type Hung } from "../mount/weights";
import { type DrawnHang, hangOf } from "./hanging";
import { type BailKind, type Filled } from "./kinds/kind";
import { BAILS } from "./kinds/kinds";
import { drawnRing, ringLength, ringLink, ringPart } from "./link";

export type BailStyle = "folded" | "tube" | "ring";

/** What a setting hangs by, every value settled. Lengths in mm. */
export interface Bail {
  readonly style: BailStyle;
  readonly metal: Metal;
  /** What the chain passes through, across. */
  readonly bore: number;
  /** From the edge to where it hangs; of a ring that follows from its sizes. */
  readonly drop: number;
  /** Of the sheet, or of the wire. */
  readonly thickness: number;
  readonly widest: Sourced<number>;
  readonly foot: Sourced<number>;
  /** The chain's largest end; null where nobody said. */
  readonly chainEnd: number | null;
  /** A ring that hangs in its bore, closed and not soldered; the chain then goes through that. */
  readonly ring: { readonly inside: number; readonly wire: number } | null;
  /** By setting: where it hangs, as a share of the outline's length; null where that is left to the plan. */
  readonly eyes: readonly Eye[];
  /** Degrees from +x: what should point down. */
  readonly axis: number;
}

export interface Eye {
  readonly mount: string;
  readonly at: number | null;
  /** At a point of the outline: degrees from the middle of its arc. */
  readonly turn: number;
}

/** A setting that is hung up, and what is joined to it. */
export interface Hanging {
  readonly mount: string;
  readonly tie: Tie;
  readonly hung: Hung;
}

/** A bail's own room, and each setting as it hangs. */
export interface BailDrawing {
  /** The figure that is cut to. */
  readonly cut: BailKind["figure"];
  readonly pastEdge: number;
  /** From the front: mm aside and out from the edge. */
  readonly front: Filled;
  /** From the side, by setting, over the edge of its plate: mm from the middle of the plate and out from the edge. */
  readonly sides: Readonly<Record<string, readonly Filled[]>>;
  /** From the edge to the middle of what the chain passes through. */
  readonly boreAt: number;
  /** The blank's outline on a rule: how wide it is so far along. */
  readonly pattern: readonly (readonly [number, number])[];
  /** Whether it is sawn to that outline. */
  readonly isSawnToShape: boolean;
  readonly hangs: readonly DrawnHang[];
  /** The ring that hangs in its bore, from the front and from the side; null where there is none. */
  readonly ring: { readonly front: Filled; readonly side: Filled; readonly middle: number; readonly top: number } | null;
}

export interface BailPlan extends Contribution {
  readonly drawn: BailDrawing;
}

/** The bore passes the chain's end with so much to spare (mm). */
const CHAIN_SPARE = 0.3;

/** All that what settings hang by adds to a piece. */
export function planBail(bail: Bail, hangings: readonly Hanging[]): BailPlan {
  const kind = BAILS[bail.style];
  const blank = kind.blank(bail);
  const mass = massOf(bail.metal, kind.volume(bail));
  const eyes = bail.eyes.flatMap((eye, i) => {
    const hanging = hangings.find(({ mount }) => mount === eye.mount);
    return hanging
      ? [{ ...eye, hanging, part: partAt(i), number: bail.eyes.slice(0, i).filter(({ mount }) => mount === eye.mount).length }]
      : [];
  });
  const hangs = hangings.map((each) => hangOf(bail, each, kind, hangings.length === 1));
  const hangOn = (mount: string) => hangs.find(({ drawn }) => drawn.mount === mount)!.drawn;
  const seams = eyes.map(({ part }) => kind.seam(bail, part));
  const key = kind.figure;
  return {
    ...NOTHING,
    figures: {
      [key]: blank,
      "bail.mass": single("g", mass, "density"),
      ...(bail.ring && { "bail.ringLength": single("mm", ringLength(bail.ring), "bail.ring") }),
      ...(Object.assign({}, ...hangs.map(({ figures }) => figures)) as Figures),
    },
    findings: [...boreFindings(bail), ...kind.findings(bail), ...hangs.flatMap(({ findings }) => findings), ...unequalFindings(hangings)],
    parts: eyes.flatMap(({ part }): Part[] => [
      { id: part, kind: kind.part, mount: null, metal: bail.metal, mass, thickness: bail.thickness },
      ...(bail.ring ? [ringPart(bail.metal, bail.ring, part)] : []),
    ]),
    joints: [
      ...seams.flatMap((seam) => (seam ? [seam] : [])),
      ...eyes.map(({ part, mount, hanging, number }, i): WorkedJoint => {
        const { length, area } = kind.foot(bail);
        const { isBetween } = hangOn(mount).eyes[number]!;
        const sides = isBetween ? 2 : 1;
        return {
          id: `bail.eye.${mount}${number === 0 ? "" : `.${number + 1}`}`,
          kind: "eye",
          mount,
          parts: [part, hanging.tie.part],
          length: sides * length,
          area: sides * area,
          place: isBetween ? "notch" : "edge",
          ...(isBetween && { stretches: [length, length] }),
          after: [...hanging.tie.after, ...(seams[i] ? [seams[i].id] : [])],
          follows: [key],
          work: {
            before: [
              ...(seams[i] ? [] : kind.making(bail, part)),
              step(mount, "eye.mark", {
                checks: ["eye.seated"],
                cautions: ["saw"],
                values: { aside: hangOn(mount).aside, of: hangings.length === 1 ? "" : mount, between: isBetween ? 1 : 0 },
              }),
              step(hangings[0]!.mount, "join.finish", {
                works: [hanging.tie.part, part],
                checks: ["parts.reached"],
                cautions: ["dust", "wheel"],
              }),
            ],
            lookedFor: ["joint.bright", "joint.noGap"],
            after: [step(mount, "hang.try", { checks: ["hang.straight"] })],
          },
        };
      }),
      ...eyes.flatMap(({ part, mount, number }) =>
        bail.ring ? [ringLink(bail.ring, part, `bail.eye.${mount}${number === 0 ? "" : `.${number + 1}`}`)] : [],
      ),
    ],
    cuts: eyes.flatMap(({ part }) => [
      cutOf(bail, kind, part, blank.value),
      ...(bail.ring
        ? [
            cutToLength(
              { part: `${part}.ring`, mount: null, metal: bail.metal },
              roundWire(bail.ring.wire),
              "bail.ringLength",
              ringLength(bail.ring),
            ),
          ]
        : []),
    ]),
    made: Object.fromEntries(
      eyes.map(({ part }) => {
        const making = kind.making(bail, part);
        return [part, { flat: making, formed: making }];
      }),
    ),
    laid: {
      bail: layBlank(figureOf({ [key]: blank }, key).value, 0, 0, kind.marks(bail)),
    },
    drawn: {
      cut: key,
      pastEdge: kind.pastEdge(bail),
      front: kind.front(bail),
      sides: Object.fromEntries(hangings.map(({ mount, hung }) => [mount, kind.side(bail, hung.base)])),
      boreAt: kind.boreAt(bail),
      pattern: kind.pattern(bail),
      isSawnToShape: kind.isSawnToShape,
      hangs: hangs.map(({ drawn }) => drawn),
      ring: bail.ring && drawnRing(bail.ring, kind.boreAt(bail) + bail.bore / 2),
    },
  };
}

/** Sawn out of sheet round its pattern, its length along x; else only to length. */
function cutOf(bail: Bail, kind: BailKind, part: string, length: number): Cut {
  const cut = cutToLength({ part, mount: null, metal: bail.metal }, kind.stock(bail), kind.figure, length);
  if (!kind.isSawnToShape) return cut;
  const pattern = kind.pattern(bail);
  const side = (by: number) => pattern.map(([along, wide]) => [along, (by * wide) / 2] as const);
  const width = Math.max(...pattern.map(([, wide]) => wide));
  return { ...cut, shape: { kind: "outline", outline: polygonCurve([...side(-1), ...side(1).reverse()]), length, width } };
}

/** The first is the bail; others are numbered. */
function partAt(i: number): string {
  return i === 0 ? "bail" : `bail.${i + 1}`;
}

/** What the chain has to pass; the bore itself, or the ring in it, whose wire then has to pass the bore. */
function boreFindings({ bore, ring, chainEnd }: Bail): Finding[] {
  const passed = ring?.inside ?? bore;
  return [
    ...(ring && bore < ring.wire + CHAIN_SPARE
      ? [finding("bail.ring-thick", "error", "bail", { bore, wire: ring.wire, needed: ring.wire + CHAIN_SPARE })]
      : []),
    ...(chainEnd !== null && passed < chainEnd + CHAIN_SPARE
      ? [finding("bail.bore-small", "error", "bail", { bore: passed, chainEnd, needed: chainEnd + CHAIN_SPARE })]
      : []),
  ];
}

/** What cannot be told from alike, as it is shown: mm and g. */
const ALIKE = 0.005;

/** Two that hang apart are a pair: how far their sizes and weights are from each other. */
function unequalFindings(hangings: readonly Hanging[]): Finding[] {
  const [one, other] = hangings;
  if (!one || !other || hangings.length > 2) return [];
  const weigh = ({ hung }: Hanging) => hung.weights.reduce((all, { mass }) => all + mass, 0);
  const across = ({ hung }: Hanging) => hung.outline.extent(0);
  const [a, b] = [weigh(one), weigh(other)];
  const longer = Math.abs(across(one) - across(other));
  if (longer < ALIKE && Math.abs(a - b) < ALIKE) return [];
  return [
    finding("bail.unequal", "note", "bail", {
      one: one.mount,
      other: other.mount,
      lighter: Math.min(a, b),
      heavier: Math.max(a, b),
      longer,
    }),
  ];
}
