import { type Point } from "../geometry/outline";
import { polygonArea } from "../geometry/polygon";

/** A sheet that blanks are sawn from. */
export interface Sheet {
  readonly length: number;
  readonly width: number;
  /** Its outline from its corner, where it is no rectangle. */
  readonly outline: readonly Point[] | null;
  /** What was sawn out of it before. */
  readonly taken: readonly (readonly Point[])[];
  /** It is bought as often as it is wanted. */
  readonly isBought: boolean;
}

/** mm2 of a sheet, less what was taken. */
export function sheetArea({ length, width, outline, taken }: Sheet): number {
  const whole = outline ? Math.abs(polygonArea(outline)) : length * width;
  return whole - taken.reduce((sum, each) => sum + Math.abs(polygonArea(each)), 0);
}

/** A sheet's own edge: its outline, or its four sides. */
export function sheetEdge({ length, width, outline }: Pick<Sheet, "length" | "width" | "outline">): readonly Point[] {
  return (
    outline ?? [
      [0, 0],
      [length, 0],
      [length, width],
      [0, width],
    ]
  );
}
