/** The one table of tolerances, each with what it means in metal or in arithmetic. */
export const tolerance = {
  /** Distances that differ only by the last digits of a double, added up another way (mm). */
  sameDistance: 1e-12,
  /** Two lengths nearer than this are the same length: far below what any tool at the bench can cut or read (mm). */
  sameLength: 1e-6,
  /** Less than this is not seen on any rule, nor told (mm). */
  seen: 0.005,
  /** Two places on an outline nearer than this are the same place (a ratio of its length). */
  samePlace: 1e-9,
  /** A shorter stretch of an outline holds nothing that could be laid on it (a ratio of its length). */
  leastStretch: 1e-6,
  /** A stone with less of a face than this is none (mm2). */
  leastArea: 1e-4,
  /** A change of direction less than this is none (radians). */
  sameHeading: 1e-6,
  /** Curvatures that differ by less where two spans meet are one (1/mm): a radius of 5 mm to a hundredth of it. */
  sameBend: 2e-3,
  /** A change of direction less than this is bent like a curve, not folded like a corner (radians: 15 degrees). */
  cornerTurn: Math.PI / 12,
  /** The two means of an elliptic integral agree: the next step would change no digit (a ratio). */
  meansAgree: 1e-8,
  /** A place on an outline is found by its length (a ratio of a quarter of it). */
  placeFound: 1e-14,
  /** Terms of a figure add up to its value within this (in its unit). */
  sum: 1e-9,
  /** A tape reading further from the calculated perimeter than this is probably wrong (a ratio). */
  wrongReading: 0.02,
  /** Further off than this it is not this stone's reading (a ratio). */
  noReading: 0.25,
} as const;
