import { type HeatsOf, bestHeats } from "@/core/heats/best";
import { RememberedHeats } from "@/core/heats/remember";
import { type BenchEntry } from "@/core/piece/bench";
import { type Piece } from "@/core/piece/piece";
import { type Attempt, attemptPlan } from "@/formats/attempt";

/** Up to so many joints the best heats are found within a frame. */
const MOST_AT_ONCE = 7;

/** What this page has worked out, for all its screens. */
export const heatsMemory = new RememberedHeats();

/** Heats at once: remembered, or few enough to search, or else what `forMany` gives. */
export function atOnce(forMany: HeatsOf): HeatsOf {
  return (assembly, wishes) => {
    const known = heatsMemory.find(assembly, wishes);
    if (known) return known;
    if (assembly.joints.length > MOST_AT_ONCE) return forMany(assembly, wishes);
    return heatsMemory.keep(assembly, wishes, bestHeats(assembly, wishes));
  };
}

/** Best heats found without a search, for lists of many pieces. */
export const quickHeats: HeatsOf = (assembly, wishes) => bestHeats(assembly, wishes, () => true);

/** A plan at once, where a search would take too long with the best heats that are found without one. */
export function planAtOnce(piece: Piece, bench: BenchEntry): Attempt {
  return attemptPlan(piece, bench, atOnce(quickHeats));
}
