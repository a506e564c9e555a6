import { type Finding, finding } from "../measure/finding";
import { type Figure, type Figures, type School, type Sourced, single, sum, taken, term } from "../measure/figure";
import { tolerance } from "../measure/tolerances";
import { type Metal, massOf } from "../metal/metals";
import { type Section, fibre, flatFace, sectionArea } from "../metal/section";

export type HoopForm = "closed" | "closed-flat" | "open" | "split" | "twin" | "bridge" | "adjustable";
export type LengthRule = "fibre" | "thickness" | { readonly multiplier: number };

/** Forms of the contract that are planned here. */
export const PLANNED_FORMS: readonly HoopForm[] = ["closed", "closed-flat"];

export interface HoopLosses {
  readonly squaring: Sourced<number>;
  readonly mark: Sourced<number>;
  /** How often a closed seam is sawn through to true it. */
  readonly sawPasses: Sourced<number>;
  readonly kerf: Sourced<number>;
}

/** A hoop with every value settled. */
export interface Hoop {
  readonly form: "closed" | "closed-flat";
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

/** What a mount asks of the hoop under it. */
export interface Base {
  readonly mount: string;
  /** Its plate's extent along the finger's curve, and its thickness. */
  readonly extent: number;
  readonly thickness: number;
}

export interface Foot {
  readonly mount: string;
  /** Length along the finger's curve, and area, of the face in contact. */
  readonly length: number;
  readonly area: number;
}

export interface HoopPlan {
  readonly figures: Figures;
  readonly findings: readonly Finding[];
  readonly mass: number;
  readonly feet: readonly Foot[];
}

/** A flat must leave this share of the thickness; a base over a saddle this many mm. */
const LEFT_AFTER_FLAT = 0.6;
const LEFT_AFTER_SADDLE = 0.3;
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
  const seats = bases.map((base) => (hoop.form === "closed-flat" ? flat(hoop, outside, base) : saddle(hoop, outside, base)));
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
      ...seats.reduce((all, seat) => ({ ...seat.figures, ...all }), {}),
    },
    findings: [
      ...(hoop.wideBand.value > 0
        ? [finding("hoop.wide-band", "note", "hoop", { width: hoop.section.width, add: hoop.wideBand.value })]
        : []),
      ...ruleFindings(hoop, neutral.distance),
      ...seats.flatMap((seat) => seat.findings),
    ],
  };
}

/** Inside diameter after the hoop's closed length has lost `lost`: (net - lost) / pi - 2 x fibre. */
export function insideAfterLoss(netLengthMm: number, fibreMm: number, lost: number): number {
  return (netLengthMm - lost) / Math.PI - 2 * fibreMm;
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

interface Seat {
  readonly foot: Foot;
  readonly figures: Figures;
  readonly findings: readonly Finding[];
}

/** Depth of a flat or saddle of width `b` on a circle of radius `r`. */
export function sagitta(r: number, b: number): number {
  return r - Math.sqrt(Math.max(0, r * r - (b * b) / 4));
}

/** The width whose sagitta is `depth`, at most the diameter. */
function widthAtDepth(r: number, depth: number): number {
  const kept = Math.max(0, r - depth);
  return 2 * Math.sqrt(r * r - kept * kept);
}

/** A flat filed on top: by default as wide as the plate there, or as leaves 60 % of the thickness. */
function flat(hoop: Hoop, outside: number, base: Base): Seat {
  const { thickness } = hoop.section;
  const widest = widthAtDepth(outside, (1 - LEFT_AFTER_FLAT) * thickness);
  const width: Sourced<number> = hoop.flatWidth ?? { value: Math.min(base.extent, widest), from: "formula" };
  const depth = sagitta(outside, width.value);
  const left = thickness - depth;
  const needed = LEFT_AFTER_FLAT * thickness;
  return {
    foot: { mount: base.mount, length: width.value, area: flatFace(hoop.section, outside, width.value) },
    figures: {
      "hoop.flatWidth": single("mm", width.value, "flat.width", width.from),
      "hoop.flat": single("mm", depth, "flat.depth"),
      "hoop.flatLeft": single("mm", left, "flat.left"),
    },
    findings:
      left < needed - tolerance.sameLength
        ? [finding("hoop.flat-too-deep", "error", "hoop", { left, needed, width: width.value, widest })]
        : [],
  };
}

/** A saddle filed in the base's underside: by default as wide as the base, or as leaves 0.3 of it. */
function saddle(hoop: Hoop, outside: number, base: Base): Seat {
  const widest = widthAtDepth(outside, Math.max(0, base.thickness - LEFT_AFTER_SADDLE));
  const width: Sourced<number> = hoop.saddleWidth ?? { value: Math.min(base.extent, widest), from: "formula" };
  const depth = sagitta(outside, width.value);
  const left = base.thickness - depth;
  return {
    foot: { mount: base.mount, length: width.value, area: width.value * contactWidth(hoop.section) },
    figures: {
      "hoop.saddleWidth": single("mm", width.value, "saddle.width", width.from),
      "hoop.saddle": single("mm", depth, "saddle.depth"),
      "hoop.saddleLeft": single("mm", left, "saddle.left"),
    },
    findings:
      left < LEFT_AFTER_SADDLE - tolerance.sameLength
        ? [finding("hoop.saddle-too-deep", "error", `${base.mount}.plate`, { left, needed: LEFT_AFTER_SADDLE, width: width.value, widest })]
        : [],
  };
}

/** A flat-topped wire touches the saddle across its width; of a rounded one about half the width comes to bear. */
function contactWidth({ shape, width }: Section): number {
  return shape === "square" || shape === "rectangle" ? width : width / 2;
}
