import { MM_PER_INCH } from "../measure/reading";

/** Under this share of the wanted, or over its inverse, a reading is asked about. */
const DOUBTFUL = 0.5;
/** What it may be meant as lies within so much of the wanted, as a ratio. */
const NEAR = 1.25;
/** How a value goes wrong: a point left out or put elsewhere, one unit for the other. */
const SLIPS: readonly number[] = [0.1, 0.01, 0.001, 10, 100, 1000, MM_PER_INCH, 1 / MM_PER_INCH];

/** A reading that can hardly be meant, and what it may be meant as. */
export interface Misread {
  /** null where nothing near the wanted comes of it. */
  readonly likely: number | null;
}

/** What is doubtful about a reading beside what is wanted, in the same unit; null where nothing is. A wanted of 0 or less is not known. */
export function misreadOf(value: number, wanted: number): Misread | null {
  if (!(wanted > 0) || (value >= wanted * DOUBTFUL && value <= wanted / DOUBTFUL)) return null;
  const apart = (other: number) => Math.abs(Math.log(other / wanted));
  const meant = SLIPS.map((slip) => value * slip).filter((other) => other > 0 && apart(other) <= Math.log(NEAR));
  return { likely: meant.length > 0 ? meant.reduce((best, other) => (apart(other) < apart(best) ? other : best)) : null };
}
