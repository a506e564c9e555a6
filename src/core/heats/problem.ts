import { METALS, type Metal } from "../metal/metals";
import { type Shelf } from "../metal/shelf";
import { type Assembly, type Joint, isSeam } from "./assembly";
import { type Flame, danger, fusingFlame, solderFlames } from "./thermal";

export type Way = "free" | "step-down" | "one-grade" | "fuse-first" | "seams-hard";

export type Pin =
  | { readonly joint: string; readonly grade: string }
  | { readonly joint: string; readonly means: "fuse" | "solder" }
  | { readonly before: readonly [string, string] }
  | { readonly together: readonly [string, string] }
  | { readonly shield: string }
  | { readonly forbid: readonly [joint: string, grade: string] };

export interface HeatWishes {
  readonly shelf: Shelf;
  readonly way: Way;
  readonly overshoot: number;
  readonly pins: readonly Pin[];
}

/** Most joints a problem can have: its sets of joints and of parts are the bits of a number. */
const MOST_JOINTS = 30;

/**
 * The joints of a piece with every wish turned into what each may be made with and when. Sets of joints, parts and
 * flames are bits; joints are numbered in the plan's order, flames by rank.
 */
export interface Problem {
  readonly flames: readonly Flame[];
  readonly metals: readonly Metal[];
  /** Parts each joint ties: one bit or two. */
  readonly ties: readonly number[];
  /** Flames each joint may be made with. */
  readonly allowed: readonly number[];
  /** Joints that must be made in an earlier heat. */
  readonly before: readonly number[];
  /** Joints that must be made in the same heat, itself among them. */
  readonly together: readonly number[];
  readonly shielded: number;
  /** No heat hotter than an earlier one on the same body. */
  readonly stepping: boolean;
}

/** Joints a pin speaks of. */
export function pinnedJoints(pin: Pin): readonly string[] {
  if ("joint" in pin) return [pin.joint];
  if ("before" in pin) return pin.before;
  if ("together" in pin) return pin.together;
  return "shield" in pin ? [pin.shield] : [pin.forbid[0]];
}

/** The metals a joint ties, one for each side. */
export function jointMetals(assembly: Assembly, joint: Joint): Metal[] {
  return joint.parts.map((id) => {
    const part = assembly.parts.find((each) => each.id === id);
    if (!part) throw new RangeError(`joint ${joint.id} names no part ${id}`);
    return part.metal;
  });
}

/** The metal that can be fused on all sides of a joint, or null. */
function fusible(metals: readonly Metal[]): Metal | null {
  const [first] = metals;
  return first && METALS[first].fuses && metals.every((metal) => metal === first) ? first : null;
}

/**
 * The problem of one way of grading: one problem, or for "one grade" one for each grade, hardest first. Pins that name
 * no joint of this piece are left out. @throws above `MOST_JOINTS`.
 */
export function problemsOf(assembly: Assembly, wishes: HeatWishes): Problem[] {
  const { parts, joints } = assembly;
  if (joints.length > MOST_JOINTS || parts.length > MOST_JOINTS)
    throw new RangeError(`at most ${MOST_JOINTS} joints and parts, got ${joints.length} and ${parts.length}`);
  const number = new Map(joints.map((joint, i) => [joint.id, i]));
  const pins = wishes.pins.filter((pin) => pinnedJoints(pin).every((id) => number.has(id)));
  const metalsOf = joints.map((joint) => jointMetals(assembly, joint));
  const fusings = [...new Set(metalsOf.map(fusible).filter((metal) => metal !== null))].map(fusingFlame);
  const flames = [...fusings, ...solderFlames(wishes.shelf, wishes.overshoot)];
  const bit = (id: string) => 1 << number.get(id)!;

  const allowed = joints.map((joint, i) => {
    const open = flames.flatMap((flame, f) => (isOpen(flame, joint, metalsOf[i]!, flames, wishes.way, pins) ? [f] : []));
    return open.reduce((mask, f) => mask | (1 << f), 0);
  });
  const before = joints.map((joint) => joint.after.reduce((mask, id) => mask | bit(id), 0));
  const together = joints.map((_, i) => 1 << i);
  let shielded = 0;
  for (const pin of pins) {
    if ("before" in pin) before[number.get(pin.before[1])!]! |= bit(pin.before[0]);
    if ("shield" in pin) shielded |= bit(pin.shield);
    if ("together" in pin) tie(together, bit(pin.together[0]) | bit(pin.together[1]));
  }
  const ties = joints.map((joint) => joint.parts.reduce((mask, id) => mask | (1 << parts.findIndex((part) => part.id === id)), 0));
  const stepping = wishes.way === "step-down" || wishes.way === "fuse-first";
  const problem = { flames, metals: parts.map((part) => part.metal), ties, allowed, before, together, shielded, stepping };
  if (wishes.way !== "one-grade") return [problem];
  const fused = (f: number) => flames[f]!.fuses !== null;
  const fusedMask = flames.reduce((mask, _, f) => (fused(f) ? mask | (1 << f) : mask), 0);
  return flames.flatMap((_, f) => (fused(f) ? [] : [{ ...problem, allowed: allowed.map((mask) => mask & (fusedMask | (1 << f))) }]));
}

/** Joins the groups that have a member in `members` into one. */
function tie(together: number[], members: number): void {
  let group = members;
  together.forEach((mask) => (group = mask & members ? group | mask : group));
  together.forEach((mask, i) => (together[i] = mask & group ? group : mask));
}

function isOpen(flame: Flame, joint: Joint, metals: readonly Metal[], flames: readonly Flame[], way: Way, pins: readonly Pin[]): boolean {
  const about = pins.filter((pin) => "joint" in pin && pin.joint === joint.id);
  const means = about.flatMap((pin) => ("means" in pin ? [pin.means] : []));
  if (flame.fuses !== null) {
    if (fusible(metals) !== flame.fuses) return false;
    if (way !== "fuse-first" && !means.includes("fuse")) return false;
  } else if (metals.some((metal) => danger(flame.working, metal) === "melts")) return false;
  const asMeans = flame.fuses === null ? "solder" : "fuse";
  if (means.some((each) => each !== asMeans)) return false;
  if (about.some((pin) => "grade" in pin && pin.grade !== flame.id)) return false;
  if (pins.some((pin) => "forbid" in pin && pin.forbid[0] === joint.id && pin.forbid[1] === flame.id)) return false;
  return way !== "seams-hard" || flame.fuses !== null || flame.id === (isSeam(joint) ? hardest(flames) : easiest(flames));
}

/** The shelf's grade called hard, or else its hardest. */
function hardest(flames: readonly Flame[]): string | undefined {
  const solders = flames.filter((flame) => flame.fuses === null);
  return (solders.find((flame) => flame.id === "hard") ?? solders[0])?.id;
}

/** The shelf's grade called easy, or else its softest. */
function easiest(flames: readonly Flame[]): string | undefined {
  const solders = flames.filter((flame) => flame.fuses === null);
  return (solders.find((flame) => flame.id === "easy") ?? solders.at(-1))?.id;
}
