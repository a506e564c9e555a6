import { polygonCurve } from "@/core/geometry/curve";
import { type Point } from "@/core/geometry/outline";
import { placedCurve } from "@/core/geometry/placed";
import { type PlannedSheet, sawLine } from "@/core/cutting/plan-cuts";
import { sheetTitle } from "@/words/cuts";
import { type Units } from "@/words/show";
import { type Template, type TemplateLine, boxRound } from "./sheet";

/** mm high. */
const LABEL = 2.4;

/** A sheet with all its saw lines at true size: its own edge, what was taken before, and each blank with the name of its piece. */
export function cutSheet(sheet: PlannedSheet, index: number, nameOf: (piece: string) => string, units: Units): Template {
  const { length, width, outline, taken } = sheet.sheet;
  const edge: readonly Point[] = outline ?? [
    [0, 0],
    [length, 0],
    [length, width],
    [0, width],
  ];
  const lines: TemplateLine[] = [
    { curve: polygonCurve(edge), isClosed: true, kind: "edge" },
    ...taken.map((each): TemplateLine => ({ curve: polygonCurve(each), isClosed: true, kind: "mark" })),
    ...sheet.placed.map(({ wanted, x, y, turn }): TemplateLine => ({
      curve: placedCurve(sawLine(wanted), { at: [x, y], turn }),
      isClosed: true,
      kind: "cut",
    })),
  ];
  const labels = sheet.placed.map(({ wanted }, i) => {
    const { left, right, low, high } = boxRound([lines[lines.length - sheet.placed.length + i]!]);
    return { at: [(left + right) / 2, (low + high) / 2 - LABEL / 3] as const, text: nameOf(wanted.piece), size: LABEL, isMiddle: true };
  });
  return { id: `sheet-${index + 1}`, title: sheetTitle(sheet, units), lines, labels, box: boxRound(lines) };
}
