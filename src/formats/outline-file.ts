import { type OutlineShape, outlineOfShape } from "@/core/stone/shapes/shapes";
import { type LeftOut, leftOutText } from "@/words/drawings";

/** A stone's outline as a command writes it: lengths in mm; the scatter of the edge is null where none was read. */
export function outlineFile(outline: OutlineShape, scatter: number | null, leftOut: readonly LeftOut[]): object {
  return {
    format: "hoop-ledger/outline",
    version: 1,
    outline,
    perimeter: outlineOfShape(outline).perimeter,
    scatter,
    leftOut: leftOut.map((each) => ({ ...each, text: leftOutText(each) })),
  };
}
