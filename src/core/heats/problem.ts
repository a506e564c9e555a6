import { METALS, type Metal } from "../metal/metals";
import { type Shelf } from "../metal/shelf";
import { canBeHeldTogether } from "../joint/holding";
import { type Assembly, type Joint, isSeam } from "../joint/joint";
import { type PinEntry, pinnedJoints } from "./pins";
import { type Flame, danger, fusingFlame, solderFlames } from "./thermal";

/** Ways of grading, in the order they are offered. */
export const WAYS = ["free", "step-down", "one-grade", "fuse-first", "seams-hard"] as const;
export type Way = (typeof WAYS)[number];

export interface HeatWishes {
  readonly shelf: Shelf;
  readonly way: Way;
  readonly overshoot: number;
  readonly pins: readonly PinEntry[];
}

/**
 * The joints of a piece with every wish turned into what each may be made with and when. Joints are numbered in the
 * plan's order, flames by rank; sets of flames are bits.
 */
export interface HeatTask {
  readonly flames: readonly Flame[];
  readonly metals: readonly Metal[];
  /** Numbers of the parts each joint ties: one or two. */
  readonly ties: readonly (readonly number[])[];
  /** Flames each joint may be made with. */
  readonly allowed: readonly number[];
  /** Joints that must be made in an earlier heat. */
  readonly before: readonly (readonly number[])[];
  /** Joints that must be made in the same heat, itself among them. */
  readonly together: readonly (readonly number[])[];
  /** Joints that cannot be held in one heat with it. */
  readonly apart: readonly (readonly number[])[];
  readonly shielded: readonly number[];
  /** How much each joint counts when it moves. */
  readonly weights: readonly number[];
  /** No heat hotter than an earlier one on the same body. */
  readonly stepping: boolean;
}

/** The same with sets of joints and of parts as bits of a number too, for up to 30 of each. */
export interface Problem {
  readonly flames: readonly Flame[];
  readonly metals: readonly Metal[];
  readonly ties: readonly number[];
  readonly allowed: readonly number[];
  readonly before: readonly number[];
  readonly together: readonly number[];
  readonly apart: readonly number[];
  readonly shielded: number;
  readonly weights: readonly number[];
  readonly stepping: boolean;
}

/** A seam that moves is small, early and easily propped; any other joint has the piece built up round it. */
const MOVED = { seam: 1, other: 2 } as const;

const MOST_BITS = 30;

/** @throws above 30 joints or parts. */
export function inBits(task: HeatTask): Problem {
  const { ties, metals } = task;
  if (ties.length > MOST_BITS || metals.length > MOST_BITS)
    throw new RangeError(`at most ${MOST_BITS} joints and parts, got ${ties.length} and ${metals.length}`);
  const bits = (members: readonly number[]) => members.reduce((mask, i) => mask | (1 << i), 0);
  return {
    ...task,
    ties: ties.map(bits),
    before: task.before.map(bits),
    together: task.together.map(bits),
    apart: task.apart.map(bits),
    shielded: bits(task.shielded),
  };
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
export function fusible(metals: readonly Metal[]): Metal | null {
  const [first] = metals;
  return first && METALS[first].fuses && metals.every((metal) => metal === first) ? first : null;
}

/**
 * The task of one way of grading: one, or for "one grade" one for each grade, hardest first. Pins that name no joint
 * of this piece are left out.
 */
export function tasksOf(assembly: Assembly, wishes: HeatWishes): HeatTask[] {
  const { parts, joints } = assembly;
  const number = new Map(joints.map((joint, i) => [joint.id, i]));
  const partNumber = new Map(parts.map((part, i) => [part.id, i]));
  const pins = wishes.pins.filter((pin) => pinnedJoints(pin).every((id) => number.has(id)));
  const metalsOf = joints.map((joint) => jointMetals(assembly, joint));
  const fusings = [...new Set(metalsOf.map(fusible).filter((metal) => metal !== null))].map(fusingFlame);
  const flames = [...fusings, ...solderFlames(wishes.shelf, wishes.overshoot)];

  const allowed = joints.map((joint, i) =>
    flames.reduce((mask, flame, f) => (isOpen(flame, joint, metalsOf[i]!, flames, wishes.way, pins) ? mask | (1 << f) : mask), 0),
  );
  const before = joints.map((joint) => joint.after.map((id) => number.get(id)!));
  const together = joints.map((_, i) => [i]);
  const shielded: number[] = [];
  for (const pin of pins) {
    if ("before" in pin) before[number.get(pin.before[1])!]!.push(number.get(pin.before[0])!);
    if ("shield" in pin) shielded.push(number.get(pin.shield)!);
    if ("together" in pin) tie(together, number.get(pin.together[0])!, number.get(pin.together[1])!);
  }
  const ties = joints.map((joint) => joint.parts.map((id) => partNumber.get(id)!));
  const stepping = wishes.way === "step-down" || wishes.way === "fuse-first";
  const weights = joints.map((joint) => (isSeam(joint) ? MOVED.seam : MOVED.other));
  const apart = joints.map((joint) => joints.flatMap((other, i) => (canBeHeldTogether(joint, other) ? [] : [i])));
  const metals = parts.map((part) => part.metal);
  const task: HeatTask = { flames, metals, ties, allowed, before, together, apart, shielded, weights, stepping };
  if (wishes.way !== "one-grade") return [task];
  const fused = flames.reduce((mask, flame, f) => (flame.fuses ? mask | (1 << f) : mask), 0);
  return flames.flatMap((flame, f) => (flame.fuses ? [] : [{ ...task, allowed: allowed.map((mask) => mask & (fused | (1 << f))) }]));
}

/** Joins the groups of two joints into one. */
function tie(together: number[][], a: number, b: number): void {
  const group = [...new Set([...together[a]!, ...together[b]!])].sort((x, y) => x - y);
  for (const member of group) together[member] = group;
}

function isOpen(
  flame: Flame,
  joint: Joint,
  metals: readonly Metal[],
  flames: readonly Flame[],
  way: Way,
  pins: readonly PinEntry[],
): boolean {
  const about = pins.filter((pin) => "joint" in pin && pin.joint === joint.id);
  const means = about.flatMap((pin) => ("means" in pin ? [pin.means] : []));
  if (flame.fuses !== null) {
    if (fusible(metals) !== flame.fuses) return false;
    if (way !== "fuse-first" && !means.includes("fuse")) return false;
  } else if (metals.some((metal) => danger(flame.working, metal) === "melts")) return false;
  if (means.some((each) => (each === "fuse") !== (flame.fuses !== null))) return false;
  if (new Set(means.filter((each) => each !== "solder")).size > 1) return false;
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
