import { dsvFormat } from "d3-dsv";
import { type Point } from "@/core/geometry/outline";
import { type Outcome, refused } from "@/core/trace/refusal";
import { type ReadDrawing } from "./drawing";

/** The piece file holds no more points. */
const MOST_ROWS = 400;

/** A table of points in mm, x and y, one a line, in order round the stone; a line of heads first if wished. With semicolons or tabs a comma is a decimal point. */
export function readCsvPoints(text: string): Outcome<ReadDrawing> {
  const mark = /\t/.test(text.slice(0, 400)) ? "\t" : /;/.test(text.slice(0, 400)) ? ";" : ",";
  const rows = dsvFormat(mark)
    .parseRows(text.replace(/^\ufeff/, ""))
    .filter((row) => row.some((cell) => cell.trim() !== ""));
  const numbers = rows.map((row) => row.map((cell) => numberOf(cell, mark)));
  const first = numbers[0]?.slice(0, 2).every((each) => each === null) ? 1 : 0;
  if (numbers.length - first > MOST_ROWS) return refused("drawing-too-many-points", { limit: MOST_ROWS, got: numbers.length - first });
  const points: Point[] = [];
  for (let i = first; i < numbers.length; i++) {
    const [x, y] = numbers[i]!;
    if (x === undefined || y === undefined || x === null || y === null)
      return refused("not-a-drawing", { why: `line ${i + 1} has no two numbers` });
    points.push([x, y]);
  }
  if (points.length > 1 && Math.hypot(points[0]![0] - points.at(-1)![0], points[0]![1] - points.at(-1)![1]) < 1e-6) points.pop();
  if (points.length < 4) return refused("not-a-drawing", { why: "an outline needs at least 4 points" });
  return { ok: true, value: { curves: [{ kind: "points", points }], leftOut: [] } };
}

function numberOf(cell: string, mark: string): number | null {
  const typed = mark === "," ? cell.trim() : cell.trim().replace(",", ".");
  if (!/^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/i.test(typed)) return null;
  const value = Number(typed);
  return Number.isFinite(value) ? value : null;
}
