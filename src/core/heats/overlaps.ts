import { type Shelf } from "../metal/shelf";
import { disturbance, holds, solderFlames } from "./thermal";

/** What a grade's heat does to joints made with the next harder one. */
export interface Overlap {
  readonly harder: string;
  readonly softer: string;
  readonly what: "runs" | "softens" | "holds";
  /** Degrees C that it stays under where those soften; below 0 past it. */
  readonly spare: number;
}

/** Each grade of a shelf against the one before it, hardest first, at an overshoot. */
export function overlapsOf(shelf: Shelf, overshoot: number): Overlap[] {
  const flames = solderFlames(shelf, overshoot);
  return flames.slice(1).map((softer, i) => {
    const harder = flames[i]!;
    return {
      harder: harder.id,
      softer: softer.id,
      what: disturbance(softer.working, harder) ?? "holds",
      spare: holds(harder).gives - softer.working,
    };
  });
}
