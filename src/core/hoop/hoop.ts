import { type Finding, finding } from "../measure/finding";
import { type Figure, type Figures, type School, type Sourced, single, sum, taken, term } from "../measure/figure";
import { type Metal, massOf } from "../metal/metals";
import { type Section, fibre, sectionArea } from "../metal/section";
import { FORMS, type PlannedForm } from "./forms/forms";
import { type Base, type Foot, type Seat, touching } from "./seat";

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
  /** Inside diameter of the size asked for. */
  readonly size: Sourced<number>;
  /** What a wide band adds to it. */
  readonly wideBand: Sourced<number>;
  readonly rule: LengthRule;
  readonly losses: HoopLosses;
  readonly flatWidth: Sourced<number> | null;
  readonly saddleWidth: Sourced<number> | null;
}

export interface HoopPlan {
  readonly figures: Figures;
  readonly findings: readonly Finding[];
  readonly mass: number;
  readonly feet: readonly Foot[];
}

/** Multipliers that makers use in place of pi, so that the padding grows with the ring. */
const BENCH_MULTIPLIERS = [3.145, 3.15, 3.5] as const;

/** Blank, flats or saddles, mass and findings of a closed hoop that carries these bases. */
export function planHoop(hoop: Hoop, bases: readonly Base[]): HoopPlan {
  const inside = sum("mm", [taken("size", hoop.size), taken("wideBand", hoop.wideBand)]);
  const neutral = fibre(hoop.section);
  const net = netLength(hoop, inside.value);
  const cut = cutLength(hoop, net, padding(hoop, net));
  const outside = inside.value / 2 + hoop.section.thickness;
  const mass = massOf(hoop.metal, net.value * sectionArea(hoop.section));
  const { section, flatWidth, saddleWidth } = hoop;
  const seats = bases.map((base) => FORMS[hoop.form].seatOn({ section, outside, base, flatWidth, saddleWidth }));
  return {
    mass,
    feet: seats.map((seat) => seat.foot),
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
      ...ruleFindings(hoop, neutral.distance),
      ...seats.flatMap((seat) => seat.findings),
      ...touching(outside, bases, seats),
    ],
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

/** Pi times the inside diameter, and twice pi times the fibre's distance, by the rule's idea of the fibre. */
function netLength(hoop: Hoop, inside: number): Figure {
  const counted = hoop.rule === "fibre" ? fibre(hoop.section).distance : hoop.section.thickness / 2;
  return sum("mm", [term("finger", Math.PI * inside, hoop.size.from), term("fibre", 2 * Math.PI * counted, "formula")]);
}

/** What a bench multiplier adds to a net length counted with pi. */
function padding({ rule }: Hoop, net: Figure) {
  return term(
    "padding",
    typeof rule === "object" ? net.value * (rule.multiplier / Math.PI - 1) : 0,
    typeof rule === "object" ? "piece" : "formula",
  );
}

function cutLength({ losses }: Hoop, net: Figure, padded: ReturnType<typeof padding>): Figure {
  const passes = term("sawPasses", losses.sawPasses.value * losses.kerf.value, losses.sawPasses.from);
  return sum("mm", [
    ...net.terms,
    ...(padded.value === 0 ? [] : [padded]),
    taken("squaring", losses.squaring),
    passes,
    taken("mark", losses.mark),
  ]);
}

function otherRules(hoop: Hoop, inside: number): School[] {
  const named = (rule: LengthRule) => (typeof rule === "object" ? String(rule.multiplier) : rule);
  const rules: LengthRule[] = ["fibre", "thickness", ...BENCH_MULTIPLIERS.map((multiplier) => ({ multiplier }))];
  return rules
    .filter((rule) => named(rule) !== named(hoop.rule))
    .map((rule) => {
      const other = { ...hoop, rule };
      const net = netLength(other, inside);
      return { rule: named(rule) as School["rule"], value: cutLength(other, net, padding(other, net)).value };
    });
}

/** Counting half the thickness of a wire whose fibre lies nearer the finger makes the ring large. */
function ruleFindings(hoop: Hoop, distance: number): Finding[] {
  const over = hoop.section.thickness - 2 * distance;
  return hoop.rule === "fibre" || over <= 0 ? [] : [finding("hoop.rule-large", "note", "hoop", { over })];
}
