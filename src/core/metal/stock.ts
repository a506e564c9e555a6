import { type Point } from "../geometry/outline";
import { type CutStock, areaAcross } from "./cut";
import { type Metal, massOf } from "./metals";
import { type SectionShape } from "./section";

/** Forms that metal lies in, and sections of wire, in the order in which they are offered. */
export const STOCK_FORMS: readonly CutStock["form"][] = ["strip", "wire", "sheet", "tube"];
export const WIRE_SECTIONS: readonly SectionShape[] = ["round", "square", "rectangle", "oval", "half-round", "d"];

/** What lies in the drawer, in mm, as a bench's file has it. */
export interface StockItem {
  readonly id: string;
  readonly form: CutStock["form"];
  readonly metal: Metal;
  readonly section?: SectionShape;
  readonly width?: number;
  readonly thickness: number;
  readonly outside?: number;
  readonly inside?: number;
  readonly length: number;
  /** How many alike. */
  readonly count: number;
  readonly coil?: boolean;
  /** The length that is meant to be kept. */
  readonly least?: number;
  /** Of a sheet that is no rectangle, from its corner. */
  readonly outline?: readonly Point[];
  /** What was sawn out of a sheet before. */
  readonly taken?: readonly (readonly Point[])[];
  readonly note?: string;
}

/** Metal that is left over for the refiner. */
export interface Scrap {
  readonly metal: Metal;
  readonly grams: number;
}

/** What can be cut from it. */
export function cutStockOf({ form, section = "round", width, thickness, outside, inside }: StockItem): CutStock {
  switch (form) {
    case "strip":
      return { form, width: width ?? 0, thickness };
    case "wire":
      return { form, section, width: width ?? thickness, thickness };
    case "sheet":
      return { form, thickness };
    case "tube": {
      const wide = outside ?? (inside ?? 0) + 2 * thickness;
      return { form, outside: wide, inside: inside ?? wide - 2 * thickness };
    }
  }
}

/** Sides of a sheet, or of the box round its outline from its corner (mm). */
export function sheetSides({ outline, length, width }: Pick<StockItem, "outline" | "length" | "width">): {
  readonly length: number;
  readonly width: number;
} {
  const most = (points: readonly Point[], axis: 0 | 1) => points.reduce((far, point) => Math.max(far, point[axis]), 0);
  return outline ? { length: most(outline, 0), width: most(outline, 1) } : { length, width: width ?? 0 };
}

/** mm of a length that weighs so many grams. */
export function lengthWeighing({ metal, stock }: { readonly metal: Metal; readonly stock: CutStock }, grams: number): number {
  return grams / massOf(metal, areaAcross(stock));
}
