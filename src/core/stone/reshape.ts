import { toHundredth } from "../measure/micron";
import { type Outline, type Point } from "../geometry/outline";
import { type OutlineShape, outlineOfShape } from "./shapes/shapes";

/** What a shape that is newly chosen is given from length and width, as shares of the size. */
const USUAL = { cushionExponent: 2.8, corner: 0.12, cleft: 0.17, triangleSide: 1.15, triangleCorner: 0.1, bulge: 0.06 } as const;
const FREE_POINTS = 12;
/** Room over the least length a heart can have. */
const HEART_ROOM = 1.08;

/** The size of an outline: along x and across it (mm). */
export function sizeOf(outline: Outline): { readonly length: number; readonly width: number } {
  return { length: outline.extent(0), width: outline.extent(Math.PI / 2) };
}

/** A shape of another kind and about the same size; its dimensions in whole hundredths. */
export function reshaped(from: OutlineShape, shape: OutlineShape["shape"]): OutlineShape {
  const outline = outlineOfShape(from);
  const { length, width } = sizeOf(outline);
  return shape === "free" ? { shape, points: pointsOf(outline) } : ofSize(shape, length, width);
}

/**
 * Names of the dimensions that nobody measured once an outline has another shape; `guessed` are those of the old one. Of a free-form the points
 * are its one dimension, from which length and width can be read.
 */
export function guessedOf(from: OutlineShape, to: OutlineShape, guessed: readonly string[]): string[] {
  const isKnown = (name: string) => !guessed.includes(name);
  const old = Object.entries(from).filter(([name]) => name !== "shape");
  if (to.shape === "free") return old.every(([name]) => isKnown(name)) ? [] : ["points"];
  const known = new Set(old.flatMap(([name, value]) => (isKnown(name) ? [value as unknown] : [])));
  const isRead = (name: string) => from.shape === "free" && isKnown("points") && (name === "length" || name === "width");
  return Object.entries(to).flatMap(([name, value]) => (name === "shape" || known.has(value) || isRead(name) ? [] : [name]));
}

/** A shape of this kind, as nearly so long and wide as it can be. */
export function ofSize(shape: Exclude<OutlineShape["shape"], "free">, length: number, width: number): OutlineShape {
  const [long, wide] = [hundredths(Math.max(length, width)), hundredths(Math.min(length, width))];
  switch (shape) {
    case "round":
      return { shape, diameter: hundredths(Math.sqrt(length * width)) };
    case "oval":
      return { shape, length: hundredths(length), width: hundredths(width) };
    case "cushion":
      return { shape, length: hundredths(length), width: hundredths(width), exponent: USUAL.cushionExponent };
    case "rectangle":
      return { shape, length: hundredths(length), width: hundredths(width), corner: hundredths(USUAL.corner * wide) };
    case "pear":
    case "marquise":
      return { shape, length: long, width: wide };
    case "heart": {
      const narrowest = HEART_ROOM * (1 + USUAL.cleft - Math.sqrt(USUAL.cleft));
      const across = Math.min(width, Math.sqrt((length * width) / narrowest));
      const along = Math.max(length, narrowest * across);
      return { shape, length: hundredths(along), width: hundredths(across), cleft: hundredths(USUAL.cleft * across) };
    }
    case "triangle": {
      const side = USUAL.triangleSide * Math.sqrt(length * width);
      return { shape, side: hundredths(side), corner: hundredths(USUAL.triangleCorner * side), bulge: hundredths(USUAL.bulge * side) };
    }
  }
}

/** Points evenly apart round an outline, its corners among them. */
function pointsOf(outline: Outline): Point[] {
  const even = Array.from({ length: FREE_POINTS }, (_, i) => i / FREE_POINTS);
  const corners = outline.corners.map(({ at }) => at);
  const isFree = (at: number) => corners.every((corner) => Math.abs(corner - at) > 0.4 / FREE_POINTS);
  return [...even.filter(isFree), ...corners]
    .sort((a, b) => a - b)
    .map((at) => outline.stationAt(at))
    .map(({ x, y }): Point => [hundredths(x), hundredths(y)]);
}

function hundredths(mm: number): number {
  return Math.max(0.01, Math.abs(toHundredth(mm))) * (mm < 0 ? -1 : 1);
}
