import { type Contribution, type WorkedJoint } from "../joint/contribution";
import { step } from "../making/step";
import { type Blank, layBlank } from "../measure/blank";
import { type Finding, finding } from "../measure/finding";
import { type Figure, type Figures, type School, type Sourced, single, sum, taken, term } from "../measure/figure";
import { unusualFindings } from "../measure/usual";
import { type Metal, massOf } from "../metal/metals";
import { type Section, fibre, sectionArea } from "../metal/section";
import { type SizeSystem } from "./sizes";
import { FORMS, type PlannedForm } from "./forms/forms";
import { type Base, type Seat, touching } from "./seat";

/** Forms of the contract. */
export type HoopForm = "closed" | "closed-flat" | "open" | "bridge" | "adjustable";
export type LengthRule = "fibre" | "thickness" | { readonly multiplier: number };

export interface HoopLosses {
  readonly squaring: Sourced<number>;
  readonly mark: Sourced<number>;
  /** How often a closed seam is sawn through to true it. */
  readonly sawPasses: Sourced<number>;
  readonly kerf: Sourced<number>;
}

/** A hoop with every value settled. */
export interface Hoop {
  readonly form: PlannedForm;
  readonly metal: Metal;
  readonly section: Section;
  /** Inside diameter of the size asked for, and how the maker says it. */
  readonly size: Sourced<number>;
  readonly asked: { readonly system: SizeSystem; readonly value: string };
  /** What a wide band adds to it. */
  readonly wideBand: Sourced<number>;
  readonly rule: LengthRule;
  readonly losses: HoopLosses;
  readonly flatWidth: Sourced<number> | null;
  readonly saddleWidth: Sourced<number> | null;
}

export interface HoopPlan extends Contribution {
  readonly seats: readonly Seat[];
}

/** Multipliers that makers use in place of pi, so that the padding grows with the ring. */
const BENCH_MULTIPLIERS = [3.145, 3.15, 3.5] as const;

/** All that a hoop that carries these bases adds to a piece. */
export function planHoop(hoop: Hoop, bases: readonly Base[]): HoopPlan {
  const form = FORMS[hoop.form];
  const inside = sum("mm", [taken("size", hoop.size), taken("wideBand", hoop.wideBand)]);
  const neutral = fibre(hoop.section);
  const net = form.netLength(hoop, inside.value);
  const cut = cutLength(hoop, net);
  const outside = inside.value / 2 + hoop.section.thickness;
  const mass = massOf(hoop.metal, net.value * sectionArea(hoop.section));
  const seats = bases.map((base) => form.seat(hoop, outside, base));
  const seams = form.seams(hoop);
  return {
    seats,
    figures: {
      "hoop.insideDiameter": inside,
      "hoop.fibre": single("mm", neutral.distance, neutral.note),
      "hoop.netLength": net,
      "hoop.cutLength": { ...cut, schools: otherRules(hoop, inside.value) },
      "hoop.padding": sum("mm", [padding(hoop, net)]),
      "hoop.mass": single("g", mass, "density"),
      "hoop.lostPerMillimetre": single("mm", 1 / Math.PI, "lostPerMillimetre"),
      ...seatFigures(seats),
    },
    findings: [
      ...(hoop.wideBand.value > 0
        ? [finding("hoop.wide-band", "note", "hoop", { width: hoop.section.width, add: hoop.wideBand.value })]
        : []),
      ...unusualFindings("hoop.unusual", hoop.section.thickness, HOOP),
      ...ruleFindings(hoop, neutral.distance),
      ...seats.flatMap((seat) => seat.findings),
      ...touching(outside, bases, seats),
    ],
    parts: [{ id: HOOP, kind: "hoop", mount: null, metal: hoop.metal, mass, thickness: hoop.section.thickness }],
    joints: [...seams, ...seats.map((seat, i) => mountJoint(bases, i, seat, seams))],
    laid: { [HOOP]: layHoop(hoop, net.value, cut.value) },
    first: [],
    last: [],
  };
}

/** The blank as it is cut, from its end at the seam. */
function layHoop({ losses }: Hoop, net: number, cut: number): Blank {
  const lead = losses.squaring.value / 2;
  return layBlank(net, lead, cut - net - lead, [
    { code: "seam", at: 0 },
    { code: "front", at: net / 2 },
  ]);
}

const HOOP = "hoop";

/** A mount is joined to the closed hoop once both sit. The first one's seat has the hoop's own step, so that one more mount leaves its tick. */
function mountJoint(bases: readonly Base[], i: number, { act, foot }: Seat, seams: readonly WorkedJoint[]): WorkedJoint {
  const { mount, tie } = bases[i]!;
  const of = bases.length === 1 ? "" : mount;
  return {
    id: `${HOOP}.mount.${mount}`,
    kind: "mount",
    mount,
    parts: [tie.part, HOOP],
    length: foot.length,
    area: foot.area,
    place: "front",
    after: [...tie.after, ...seams.map(({ id }) => id)],
    follows: [`${mount}.hoop`],
    work: {
      before: [
        step(i === 0 ? HOOP : mount, `hoop.${act}`, "hoop", { target: `${mount}.hoop.${act}`, checks: ["hoop.sitsFlat"], values: { of } }),
        step(mount, "join.finish", "join", { checks: ["parts.reached"], cautions: ["dust", "wheel"] }),
      ],
      lookedFor: ["joint.bright", "mount.square"],
      after: [],
    },
  };
}

/** Each seat's figures under its mount's name; those of the only one under the hoop's as well. */
function seatFigures(seats: readonly Seat[]): Figures {
  const named = (of: string, { figures }: Seat) => Object.entries(figures).map(([name, figure]) => [`${of}hoop.${name}`, figure] as const);
  const [first] = seats;
  return Object.fromEntries([
    ...seats.flatMap((seat) => named(`${seat.foot.mount}.`, seat)),
    ...(first && seats.length === 1 ? named("", first) : []),
  ]);
}

/** What a bench multiplier adds to a net length counted with pi. */
function padding({ rule }: Hoop, net: Figure) {
  return term(
    "padding",
    typeof rule === "object" ? net.value * (rule.multiplier / Math.PI - 1) : 0,
    typeof rule === "object" ? "piece" : "formula",
  );
}

function cutLength(hoop: Hoop, net: Figure): Figure {
  const padded = padding(hoop, net);
  return sum("mm", [...net.terms, ...(padded.value === 0 ? [] : [padded]), ...FORMS[hoop.form].losses(hoop)]);
}

function otherRules(hoop: Hoop, inside: number): School[] {
  const named = (rule: LengthRule) => (typeof rule === "object" ? String(rule.multiplier) : rule);
  const rules: LengthRule[] = ["fibre", "thickness", ...BENCH_MULTIPLIERS.map((multiplier) => ({ multiplier }))];
  return rules
    .filter((rule) => named(rule) !== named(hoop.rule))
    .map((rule) => {
      const other = { ...hoop, rule };
      return { rule: named(rule) as School["rule"], value: cutLength(other, FORMS[hoop.form].netLength(other, inside)).value };
    });
}

/** Counting half the thickness of a wire whose fibre lies nearer the finger makes the ring large. */
function ruleFindings(hoop: Hoop, distance: number): Finding[] {
  const over = hoop.section.thickness - 2 * distance;
  return hoop.rule === "fibre" || over <= 0 ? [] : [finding("hoop.rule-large", "note", "hoop", { over })];
}
