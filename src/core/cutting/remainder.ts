import { type Point } from "../geometry/outline";
import { distanceInside, polygonArea, polygonWithout } from "../geometry/polygon";
import { anticlockwise } from "./convex";
import { type Sheet } from "./sheet";

/** What of a sheet lies past a straight cut across it, about its own corner. */
export interface Remainder extends Omit<Sheet, "isBought"> {
  /** mm2 */
  readonly area: number;
  /** Sides of the largest clear rectangle in it, along it and across. */
  readonly clear: readonly [number, number];
}

/** Squares along a sheet's longer side in which its clear rectangle is looked for. */
const SQUARES = 120;

/** What is left of a sheet past a length of it; null where nothing is. */
export function remainderOf({ length, width, outline, taken }: Sheet, from: number): Remainder | null {
  if (from >= length) return null;
  const before: readonly Point[] = [
    [-1, -1],
    [from, -1],
    [from, width + 1],
    [-1, width + 1],
  ];
  const past = (polygon: readonly Point[]) =>
    polygonWithout(anticlockwise(polygon), [before]).map((each) => anticlockwise(each.map(([x, y]): Point => [x - from, y])));
  const lines = outline ? past(outline).sort((a, b) => polygonArea(b) - polygonArea(a)) : null;
  if (lines?.length === 0) return null;
  const rest = lines?.[0] ?? null;
  const gone = taken.flatMap(past);
  const whole = { length: length - from, width, outline: rest, taken: gone };
  const area = (rest ? polygonArea(rest) : whole.length * width) - gone.reduce((sum, each) => sum + polygonArea(each), 0);
  return { ...whole, area, clear: clearRectangle(whole) };
}

/** Sides of the largest rectangle along a sheet that nothing was taken out of: exact where the sheet is one, else to a square or two. */
function clearRectangle({ length, width, outline, taken }: Omit<Remainder, "area" | "clear">): readonly [number, number] {
  if (!outline && taken.length === 0) return [length, width];
  const side = Math.max(length, width) / SQUARES;
  const [columns, rows] = [Math.max(1, Math.floor(length / side)), Math.max(1, Math.floor(width / side))];
  const isClear = (column: number, row: number) =>
    [0, 1].every((right) =>
      [0, 1].every((top) => {
        const corner: Point = [(column + right) * side, (row + top) * side];
        return (!outline || distanceInside(outline, corner) > -1e-6) && taken.every((each) => distanceInside(each, corner) < 1e-6);
      }),
    );
  let best: readonly [number, number] = [0, 0];
  const depths = new Array<number>(columns).fill(0);
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++) depths[column] = isClear(column, row) ? depths[column]! + 1 : 0;
    for (let from = 0; from < columns; from++) {
      let least = Infinity;
      for (let to = from; to < columns && depths[to]! > 0; to++) {
        least = Math.min(least, depths[to]!);
        if ((to - from + 1) * least * side * side > best[0] * best[1]) best = [(to - from + 1) * side, least * side];
      }
    }
  }
  return best;
}

/** Whether a rectangle holds another, turned by a quarter if need be. */
export function holdsRectangle([length, width]: readonly [number, number], [long, wide]: readonly [number, number]): boolean {
  return (length >= long && width >= wide) || (length >= wide && width >= long);
}
