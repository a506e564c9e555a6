import { METALS, type Metal } from "../metal/metals";
import { type Shelf } from "../metal/shelf";

/** A way of making a joint: a solder run at its working temperature, or the metal fused by heat alone. Degrees C. */
export interface Flame {
  readonly id: string;
  readonly rank: number;
  readonly working: number;
  readonly gives: number;
  readonly runs: number;
  /** The metal that is fused; null for a solder. */
  readonly fuses: Metal | null;
}

/** Past this overshoot hard solder's working temperature endangers sterling (degrees C). */
export const SAFE_OVERSHOOT = 10;
/** Once run, a joint that only gives holds this much longer: capillarity keeps it while pasty. */
const RISE = 40;
/** A part within this many degrees of its solidus is at risk. */
const NEAR_MELTING = 5;

/** The shelf's grades, hardest rank first; equal ranks in the shelf's order. */
export function solderFlames(shelf: Shelf, overshoot: number): Flame[] {
  return [...shelf.grades]
    .sort((a, b) => a.rank - b.rank)
    .map(({ id, rank, gives, runs }) => ({ id, rank, working: runs + overshoot, gives, runs, fuses: null }));
}

/** Fusing works at the metal's solidus, counts as rank 0 and leaves a joint that gives and runs there. */
export function fusingFlame(metal: Metal): Flame {
  const { solidus } = METALS[metal];
  return { id: "fuse", rank: 0, working: solidus, gives: solidus, runs: solidus, fuses: metal };
}

/** Degrees C between which a joint made before softens, and at which it runs; never softer than it runs. */
export function holds({ gives, runs }: Pick<Flame, "gives" | "runs">): { readonly gives: number; readonly runs: number } {
  return { gives: Math.min(gives + RISE, runs), runs };
}

/** What a heat does to a joint made before, unshielded; a joint that runs is not also counted as softening. */
export function disturbance(working: number, made: Flame): "runs" | "softens" | null {
  if (working >= made.runs) return "runs";
  return working > made.gives + RISE ? "softens" : null;
}

/** What a heat does to a part of this metal. */
export function danger(working: number, metal: Metal): "melts" | "at-risk" | null {
  const margin = METALS[metal].solidus - working;
  if (margin <= 0) return "melts";
  return margin < NEAR_MELTING ? "at-risk" : null;
}
