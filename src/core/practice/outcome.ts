import { type PlannedHeat } from "../piece/plan";
import { type HeatBody } from "./body";
import { type PractisedHeat } from "./heat";

/** From one place of a joint to another, mm along it from its first place; why solder did not take there. */
export interface DryRun {
  readonly from: number;
  readonly to: number;
  /** The part that it climbed and by how many degrees that was hotter; null where it never ran. */
  readonly climbed: { readonly part: string; readonly hotter: number } | null;
}

/** What happened to a joint of the heat. */
export interface JointOutcome {
  readonly joint: string;
  readonly isMade: boolean;
  /** Of its length: 0 to 1. */
  readonly share: number;
  readonly dry: readonly DryRun[];
  /** Whether its flux is spent somewhere. */
  readonly isSpent: boolean;
}

/** What came of a try, as its file has it, and what is told of it. */
export interface TryResult {
  /** Joints of the heat: made from end to end, and not. */
  readonly ran: readonly string[];
  readonly dry: readonly string[];
  /** Joints made before: that softened, and of these that ran. */
  readonly softened: readonly string[];
  readonly opened: readonly string[];
  /** Parts of which a place melted. */
  readonly lost: readonly string[];
  readonly seconds: number;
  /** Degrees between the hottest and the coolest place of the heat's joints as the last of them ran; null where not all did. */
  readonly evenness: number | null;
}

export interface Outcome {
  readonly result: TryResult;
  readonly joints: readonly JointOutcome[];
  /** Seconds for which each softened joint was soft. */
  readonly soft: readonly { readonly joint: string; readonly seconds: number }[];
  readonly isWon: boolean;
}

/** Along a heat's joints no more than this from the hottest to the coolest place counts as even (degrees). */
export const EVEN = 25;

/** Whether a heat is over: something melted; or it is decided, and the flame is away. */
export function isOver(heat: PractisedHeat): boolean {
  return heat.lost.includes(true) || (heat.torchNow?.isOn !== true && isDecided(heat));
}

/** Whether nothing better can come of it: all has run, something opened that the plan keeps, or no solder is left to run. */
export function isDecided(heat: PractisedHeat): boolean {
  return isAllMade(heat) || hasOpened(heat) || heat.solder.some((solder, j) => heat.body.joints[j]!.isWanted && solder.isDry);
}

export function isAllMade({ body, solder }: PractisedHeat): boolean {
  return body.joints.every(({ isWanted }, j) => !isWanted || solder[j]!.isMade);
}

function hasOpened({ body, disturbed }: PractisedHeat): boolean {
  return body.joints.some(({ id }, j) => disturbed[j]!.hasRun && !body.heat.runs.includes(id));
}

/** What has come of a heat by now. `evenness` is what was found as the last place ran. */
export function outcomeOf(heat: PractisedHeat, evenness: number | null): Outcome {
  const { body, solder, disturbed } = heat;
  const wanted = body.joints.flatMap((joint, j) => (joint.isWanted ? [{ joint, j }] : []));
  const earlier = body.joints.flatMap(({ id, isWanted }, j) => (isWanted ? [] : [{ id, ...disturbed[j]! }]));
  const softened = earlier.filter(({ soft, hasRun }) => soft > 0 || hasRun);
  const result: TryResult = {
    ran: wanted.filter(({ j }) => solder[j]!.isMade).map(({ joint }) => joint.id),
    dry: wanted.filter(({ j }) => !solder[j]!.isMade).map(({ joint }) => joint.id),
    softened: softened.map(({ id }) => id),
    opened: softened.filter(({ hasRun }) => hasRun).map(({ id }) => id),
    lost: body.parts.filter((_, p) => heat.lost[p]).map(({ id }) => id),
    seconds: heat.seconds,
    evenness,
  };
  return {
    result,
    joints: wanted.map(({ joint, j }) => ({
      joint: joint.id,
      isMade: solder[j]!.isMade,
      share: solder[j]!.share,
      dry: dryRuns(heat, j),
      isSpent: joint.places.some((_, p) => heat.fluxAt(j, p) === "spent"),
    })),
    soft: softened.map(({ id, soft }) => ({ joint: id, seconds: soft })),
    isWon: isWon(result, body.heat),
  };
}

/** Whether a try made all that it was to make, and spoiled nothing but what the plan of its heat says will soften. */
export function isWon({ dry, lost, softened }: TryResult, { softens, runs }: Pick<PlannedHeat, "softens" | "runs">): boolean {
  return dry.length === 0 && lost.length === 0 && softened.every((id) => softens.includes(id) || runs.includes(id));
}

/** Degrees between the hottest and the coolest place of the joints that are made in a heat, as they are now. */
export function evennessOf(heat: PractisedHeat): number {
  let [least, most] = [Infinity, -Infinity];
  heat.body.joints.forEach((joint) => {
    if (!joint.isWanted) return;
    joint.places.forEach((_, p) => {
      least = Math.min(least, heat.coolestAt(joint, p));
      most = Math.max(most, heat.hottestAt(joint, p));
    });
  });
  return most - least;
}

function dryRuns({ body, solder }: PractisedHeat, j: number): DryRun[] {
  const { places, pallions } = body.joints[j]!;
  const joint = solder[j]!;
  const runs: { from: number; to: number; first: number; last: number }[] = [];
  let along = 0;
  places.forEach(({ length }, p) => {
    const last = runs.at(-1);
    if (!joint.isMadeAt(p)) {
      if (last?.last === p - 1) [last.to, last.last] = [along + length, p];
      else runs.push({ from: along, to: along + length, first: p, last: p });
    }
    along += length;
  });
  return runs.map(({ from, to, first, last }) => {
    const climbed = pallions.findIndex((place, i) => joint.climbed[i]! >= 0 && place >= first && place <= last);
    return { from, to, climbed: climbed < 0 ? null : climbedOf(body, joint.climbed[climbed]!, joint.climbedBy[climbed]!) };
  });
}

function climbedOf({ parts }: HeatBody, part: number, hotter: number): DryRun["climbed"] {
  return { part: parts[part]!.id, hotter };
}
