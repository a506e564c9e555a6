import { type JointKind } from "@/core/joint/joint";
import { type Placing, usualPlacing } from "@/core/joint/placing";
import { type PinnedMeans } from "@/core/heats/pins";
import { type Way } from "@/core/heats/problem";
import { type Overlap } from "@/core/heats/overlaps";
import { SAFE_OVERSHOOT } from "@/core/heats/thermal";
import { type Pallions } from "@/core/heats/solder";
import { type DoubtOf, SURE, doubtAmong } from "@/core/piece/doubt";
import { type Plan, type PlannedHeat, type PlannedJoint } from "@/core/piece/plan";
import { BLANK, DOUBTS } from "./doubt";
import { agreeing, capital, counted, gradeName } from "./names";
import { type Units, degrees, lengthUnit, showLength, showRise, snipped, withUnit } from "./show";

/** What a joint rests on, or is held by, while it is heated. */
export type Support = "charcoal" | "mesh" | "board" | "thirdHand" | "wire";

/** Each in a word or two. */
export const SUPPORT_NAMES: Readonly<Record<Support, string>> = {
  charcoal: "charcoal",
  mesh: "mesh, tripod",
  board: "board",
  thirdHand: "third hand",
  wire: "iron wire",
};

export interface JointAdvice {
  /** null where it needs none. */
  readonly support: Support | null;
  readonly solder: string;
  readonly flame: string;
  /** Empty where it needs nothing. */
  readonly hold: string;
}

/** Where the usual solder goes, where the flame goes and how it is held, by the kind of joint: `{part}` is what is joined, `{onto}` what to. */
const JOINT_ADVICE: Readonly<Record<JointKind, JointAdvice>> = {
  seam: {
    support: "charcoal",
    solder: "under the seam, on charcoal",
    flame: "On and off at the join.",
    hold: "Its own spring holds it.",
  },
  foot: {
    support: "mesh",
    solder: "inside",
    flame: "From below, through the mesh.",
    hold: "On mesh and tripod, cotter pins under the plate.",
  },
  ledge: {
    support: "board",
    solder: "laid on the board under it",
    flame: "From below, the bezel last.",
    hold: "Pressed level, the bezel bound to it.",
  },
  ornament: {
    support: "mesh",
    solder: "outside, close to it",
    flame: "The {onto} first; the ornament last, and briefly.",
    hold: "It lies by itself; a pin at each end keeps it there.",
  },
  applied: {
    support: "mesh",
    solder: "melted on its back first",
    flame: "What it lies on, from below; never the small part.",
    hold: "It lies on top by its own weight; nudge it back with a pick.",
  },
  strands: {
    support: "wire",
    solder: "along the groove between them",
    flame: "Along all of it, back and forth.",
    hold: "Bound with iron wire, close together.",
  },
  twist: {
    support: "charcoal",
    solder: "along the groove between them",
    flame: "Along all of it, back and forth.",
    hold: "Its ends bound; it lies by itself.",
  },
  bridge: {
    support: "wire",
    solder: "at the arch's foot",
    flame: "The hoop first, the arch last.",
    hold: "The arch bound to the hoop with iron wire.",
  },
  eye: {
    support: "thirdHand",
    solder: "at the edge",
    flame: "The {onto} first, the {part} last and briefly.",
    hold: "The {part} in the third hand.",
  },
  post: {
    support: "thirdHand",
    solder: "melted on its end first",
    flame: "The {onto} first; the {part} gets hot by itself.",
    hold: "The {part} upright in the third hand, the back up.",
  },
  link: { support: null, solder: "none: it is closed", flame: "None.", hold: "" },
  sleeve: { support: null, solder: "none: it is glued", flame: "None.", hold: "" },
  added: { support: "thirdHand", solder: "along it", flame: "The larger part first.", hold: "In the third hand." },
  mount: {
    support: "thirdHand",
    solder: "along the seat",
    flame: "The hoop first, the setting last.",
    hold: "The hoop upright in the third hand, the setting face down.",
  },
};

const HOOP_SEAM_ADVICE: JointAdvice = {
  support: "board",
  solder: "across the seam",
  flame: "The whole {part}, then the seam.",
  hold: "Flat on the board; iron wire round it if it springs open.",
};

/** Of a seam, a setting's or the hoop's own; of what is put on, on the hoop or elsewhere. */
function adviceOf({ kind, mount, place }: Pick<PlannedJoint, "kind" | "mount" | "place">): JointAdvice {
  if (kind === "seam" && mount === null) return HOOP_SEAM_ADVICE;
  return kind === "applied" && mount === null && place === "formed" ? ON_HOOP_ADVICE : JOINT_ADVICE[kind];
}

/** Of what is put on round a hoop that is bent. */
const ON_HOOP_ADVICE: JointAdvice = {
  ...JOINT_ADVICE.applied,
  support: "thirdHand",
  hold: "The hoop in the third hand, turned so that it lies on top; nudge it back with a pick.",
};

/** Where the flame goes and how a joint is held, in the names of its parts. */
export function jointAdvice(
  joint: Pick<PlannedJoint, "kind" | "mount" | "place" | "parts">,
  partName: (id: string) => string,
): JointAdvice {
  const [part, onto = part] = joint.parts;
  const named = (text: string) => text.replaceAll("{part}", partName(part!)).replaceAll("{onto}", partName(onto!));
  const { support, solder, flame, hold } = adviceOf(joint);
  return { support, solder, flame: named(flame), hold: named(hold) };
}

/** Where solder goes, by how it is put where that is not usual for the joint. */
const PLACED: Readonly<Record<Placing, string>> = {
  inside: "inside",
  outside: "outside, close to it",
  under: "under it: stand it on them",
  sweat: "melted on one face first",
  wire: "fed by hand once it is hot",
  paste: "laid along it",
};

/** Every means of making a joint, as it is chosen. */
export const MEANS_NAMES: Readonly<Record<PinnedMeans, string>> = {
  inside: "pallions inside",
  outside: "pallions outside",
  under: "stood on its solder",
  sweat: "sweated",
  wire: "fed wire",
  paste: "paste",
  fuse: "fused",
  cold: "cold",
  solder: "soldered",
};

/** Where the solder of a joint goes. */
function whereText(joint: Pick<PlannedJoint, "kind" | "mount" | "place" | "means">): string {
  const { means } = joint;
  return means === "fuse" || means === "cold" || means === usualPlacing(joint) ? adviceOf(joint).solder : PLACED[means];
}

/** What a way of grading does. */
export const WAY_ADVICE: Readonly<Record<Way, string>> = {
  free: "the order that disturbs least",
  "step-down": "no heat hotter than the last on a body",
  "one-grade": "one solder throughout",
  "fuse-first": "fuse what can be fused, then step down",
  "seams-hard": "hard for seams, easy for the rest",
};

/** Joints that are wished before, after, or in one heat with others: "hoop to plate before wall to plate". */
export function movedText(
  {
    joints,
    where,
    others,
  }: { readonly joints: readonly string[]; readonly where: "before" | "after" | "with"; readonly others: readonly string[] },
  jointName: (id: string) => string,
): string {
  const [own, other] = [joints, others].map((ids) => ids.map(jointName).join(" and ")) as [string, string];
  return where === "with" ? `${own} in one heat with ${other}` : `${own} ${where} ${other}`;
}

/** How many joints run again in a later heat, and how many soften; the gravest first, none where all hold. */
function sayMoved({ heats }: Pick<Plan, "heats">): { readonly level: "error" | "warning"; readonly text: string }[] {
  const [runs, softens] = [new Set(heats.flatMap((heat) => heat.runs)).size, new Set(heats.flatMap((heat) => heat.softens)).size];
  return [
    ...(runs > 0 ? [{ level: "error", text: `${runs} ${agreeing(runs, "run")} again` } as const] : []),
    ...(softens > 0 ? [{ level: "warning", text: `${softens} ${agreeing(softens, "soften")}` } as const] : []),
  ];
}

/** A verdict on heats: `short` where there is room for a word. */
interface SaidHeats {
  readonly text: string;
  readonly short: string;
  readonly level: "error" | "warning" | null;
}

/** The verdict on a plan's heats, the same on every screen: what moves in them, and how grave that is. */
export function sayHeats(plan: Pick<Plan, "heats" | "heatPlan">): SaidHeats {
  if (plan.heatPlan.status === "impossible") return { text: "no order works", short: "none works", level: "error" };
  if (plan.heatPlan.status === "unproven") return { text: "not proven the best", short: "not proven the best", level: null };
  const moved = sayMoved(plan);
  const all = moved.map(({ text }) => text).join(", ");
  return { text: all || "all hold", short: all || "hold", level: moved[0]?.level ?? null };
}

/** What an overshoot is, in the maker's degrees. */
export function overshootHint(units: Units): string {
  return `past the flow point; over ${showRise(SAFE_OVERSHOOT, units)} endangers sterling`;
}

/** "Medium holds hard, with 32 °C to spare". */
export function overlapText({ harder, softer, what, spare }: Overlap, units: Units): string {
  const said = `${capital(gradeName(softer))} ${what} ${gradeName(harder)}`;
  const room = `${showRise(Math.abs(spare), units)} ${degrees(units)}`;
  return what === "holds"
    ? `${capital(gradeName(harder))} holds while ${gradeName(softer)} runs, with ${room} to spare`
    : `◆ ${said} again, ${room} past where ${gradeName(harder)} softens`;
}

/** While a search for better heats goes on. */
export const SETTLING = "looking for the best order";

/** "7 pallions 1.0 × 1.0 mm inside, one every 6.5", "4.2 mm of 0.5 mm wire inside", "3 balls of paste 1.0 mm across inside". */
export function pallionsText({ form, count, size, spacing, rows }: Pallions, where: string, units: Units): string {
  const [length, side] = [showLength(size[0], "blank", units), snipped(size[1], units)];
  const unit = lengthUnit(units);
  const what = {
    sheet: `${counted(count, "pallion")} ${asCut(size[1], units)}`,
    wire: `${length} ${unit} of ${side} ${unit} wire`,
    paste: `${counted(count, "ball")} of paste ${side} ${unit} across`,
  }[form];
  const place = where === "" ? "" : ` ${where}`;
  return `${what}${place}${rows > 1 ? ` in ${rows} rows` : ""}${spacing === null ? "" : `, one every ${withUnit(spacing, "blank", units)}`}`;
}

/** A piece's sides as it is snipped. */
function asCut(side: number, units: Units): string {
  const shown = snipped(side, units);
  return `${shown} × ${shown} ${lengthUnit(units)}`;
}

/** The solder of a heat, joint by joint; blanks where what it follows from cannot be trusted. */
export function solderText({ solder, joints }: PlannedHeat, plan: Pick<Plan, "joints">, units: Units, doubtOf: DoubtOf = SURE): string {
  if (solder.length === 0) return "no solder: fused";
  const texts = solder.map((pallions, i) => {
    const joint = plan.joints.find(({ id }) => id === joints[i])!;
    const where = whereText(joint);
    const doubt = doubtAmong(joint.follows, doubtOf);
    return doubt ? `${BLANK} pallions ${where}, ${DOUBTS[doubt]}` : pallionsText(pallions, where, units);
  });
  const isAlike = texts.length > 1 && texts.every((each) => each === texts[0]);
  return isAlike ? `each ${texts[0]!}` : texts.join("; ");
}
