import { type Point } from "../geometry/outline";
import { polygonArea, polygonWithout, selfCrossing } from "../geometry/polygon";
import { toMicron } from "../measure/micron";
import { type StockItem, sheetSides } from "../metal/stock";
import { anticlockwise } from "./convex";
import { sheetEdge } from "./sheet";

/** The sides of a sheet, its outline where it is no rectangle, and what is taken out of it; in mm from its corner. */
export interface SheetLines {
  readonly length: number;
  readonly width: number;
  readonly outline?: readonly Point[];
  readonly taken?: readonly (readonly Point[])[];
}

/** Why closed lines make no sheet, and which of them: 0 the outline, from 1 what is taken out. */
export interface SheetLinesFault {
  readonly code: "too-few" | "crosses" | "no-area" | "outside";
  readonly line: number;
}

export type ReadSheetLines = { readonly ok: true; readonly lines: SheetLines } | { readonly ok: false; readonly fault: SheetLinesFault };

/** What encloses less is nothing that could be sawn, and so much of what is taken may lie past the edge (mm2). */
const LEAST_AREA = 0.1;
const MOST_OUTSIDE = 0.01;

/** A sheet by closed lines in mm, wherever they were measured from: its outline, then what is taken out of it. */
export function sheetOfLines(lines: readonly (readonly Point[])[]): ReadSheetLines {
  const refuse = (code: SheetLinesFault["code"], line: number): ReadSheetLines => ({ ok: false, fault: { code, line } });
  for (const [line, points] of lines.entries()) {
    const code = wrongWith(points);
    if (code) return refuse(code, line);
  }
  const [edge, ...holes] = lines;
  if (!edge) return refuse("too-few", 0);
  const [left, low] = [Math.min(...edge.map(([x]) => x)), Math.min(...edge.map(([, y]) => y))];
  const placed = (points: readonly Point[]) => anticlockwise(points.map(([x, y]): Point => [toMicron(x - left), toMicron(y - low)]));
  const outline = placed(edge);
  const taken = holes.map(placed);
  const outside = taken.findIndex((hole) => areaOf(polygonWithout(hole, [outline])) > MOST_OUTSIDE);
  if (outside >= 0) return refuse("outside", outside + 1);
  const sides = sheetSides({ outline, length: 0 });
  const isRectangle = outline.length === 4 && Math.abs(polygonArea(outline) - sides.length * sides.width) < LEAST_AREA / 1000;
  return { ok: true, lines: { ...sides, ...(!isRectangle && { outline }), ...(taken.length > 0 && { taken }) } };
}

/** The closed lines of a sheet as it lies: its outline, then what is taken out of it. */
export function linesOfSheet(sheet: Pick<StockItem, "length" | "width" | "outline" | "taken">): readonly (readonly Point[])[] {
  return [sheetEdge({ ...sheetSides(sheet), outline: sheet.outline ?? null }), ...(sheet.taken ?? [])];
}

function wrongWith(points: readonly Point[]): SheetLinesFault["code"] | null {
  if (points.length < 3) return "too-few";
  if (selfCrossing(points)) return "crosses";
  return Math.abs(polygonArea(points)) < LEAST_AREA ? "no-area" : null;
}

function areaOf(polygons: readonly (readonly Point[])[]): number {
  return polygons.reduce((sum, each) => sum + polygonArea(anticlockwise(each)), 0);
}
