import { type Outline, outward } from "../geometry/outline";

/**
 * How a closed bezel's length is read, for a caliper cannot follow a closed oval: by a paper tape pulled round its outside, by two outside sizes, or
 * by its inside while it is rounded on the mandrel.
 */
export type HowRead = "tape" | "extents" | "rounded";

/** A length lies where it was wanted within so much (mm), by how it was read; null is a length read straight. */
export function goodWithin(how: HowRead | null): number {
  return how === null ? STRAIGHT : WITHIN[how];
}

const STRAIGHT = 0.05;
const WITHIN: Readonly<Record<HowRead, number>> = { tape: 0.15, extents: 0.1, rounded: 0.06 };

/** Between a reading of one number and the length of the bezel's middle line (mm); `thickness` of the strip. */
export interface LengthReading {
  readonly lengthOf: (read: number) => number;
  readonly readingOf: (length: number) => number;
}

/** What is read is the length itself. */
export const READ_STRAIGHT: LengthReading = { lengthOf: (read) => read, readingOf: (length) => length };

/** A tape lies half a thickness outside the middle line all round; a mandrel reads the inside diameter, half a thickness within it. */
export function lengthReading(how: Exclude<HowRead, "extents">, thickness: number): LengthReading {
  return how === "tape"
    ? { lengthOf: (outside) => outside - Math.PI * thickness, readingOf: (length) => length + Math.PI * thickness }
    : { lengthOf: (inside) => Math.PI * (inside + thickness), readingOf: (length) => length / Math.PI - thickness };
}

/** The two outside sizes, along and across the stone (mm). */
export type Extents = readonly [along: number, across: number];

interface Strip {
  readonly fit: number;
  readonly thickness: number;
}

/** The outside sizes of a bezel round an outline as it was planned. */
export function extentsOf(outline: Outline, { fit, thickness }: Strip): Extents {
  const outside = 2 * (fit + thickness);
  return [outline.extent(0) + outside, outline.extent(Math.PI / 2) + outside];
}

/**
 * The length of a closed bezel's middle line from its two outside sizes: the outline is stretched along and across until the outside of the bezel has
 * them. Null where they leave no outline. What an inner corner takes off the middle line is taken from the outline as it was: a stretch of 2 % changes
 * it by less than 0.05 mm, even in a heart cleft deep.
 */
export function lengthByExtents(outline: Outline, strip: Strip, [along, across]: Extents): number | null {
  const outside = 2 * (strip.fit + strip.thickness);
  const x = (along - outside) / outline.extent(0);
  const y = (across - outside) / outline.extent(Math.PI / 2);
  if (!(x > 0 && y > 0)) return null;
  const middle = strip.fit + strip.thickness / 2;
  const beside = outward(outline, middle).length - outline.perimeter;
  return stretchedPerimeter(outline, x, y) + beside;
}

/** Places at which the outline's direction is asked for: enough for a thousandth of a millimetre. */
const PLACES = 720;

/** The outline's length, stretched `x` times along and `y` times across. */
function stretchedPerimeter(outline: Outline, x: number, y: number): number {
  let sum = 0;
  for (let i = 0; i < PLACES; i++) {
    const { nx, ny } = outline.stationAt((i + 0.5) / PLACES);
    sum += Math.hypot(x * ny, y * nx);
  }
  return (sum / PLACES) * outline.perimeter;
}
