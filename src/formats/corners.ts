import { circle, flattened } from "@/core/geometry/curve";
import { type Point } from "@/core/geometry/outline";
import { toMicron } from "@/core/measure/micron";
import { type LengthUnit, readLength } from "@/core/measure/reading";

/** The lines that a text of corners draws, in mm; or its first line that cannot be read, from 1, and what stands there. */
export type ReadCorners =
  | { readonly ok: true; readonly lines: readonly (readonly Point[])[] }
  | { readonly ok: false; readonly line: number; readonly got: string };

/** A round hole is followed so closely (mm). */
const ROUND_WITHIN = 0.01;
/** A bench's file holds so many points of a line. */
const MOST_POINTS = 2000;

/**
 * Closed lines by their corners, one on a line: how far along and how far up. An empty line begins the next one. A line by itself may be round: `round 12, 30 20`
 * by its diameter and its middle, or the diameter alone for one that lies in its own corner. In a table's cell `;` stands for a new line and `|` for an empty one.
 */
export function readCorners(text: string, unit: LengthUnit): ReadCorners {
  const lines: Point[][] = [[]];
  for (const [i, row] of text.replace(/\|/g, "\n\n").replace(/;/g, "\n").split("\n").entries()) {
    const refused = { ok: false, line: i + 1, got: row.trim() } as const;
    const last = lines.at(-1)!;
    if (row.trim() === "") {
      if (last.length > 0) lines.push([]);
      continue;
    }
    const round = roundOf(row.trim(), unit);
    if (round) {
      if (last.length > 0) return refused;
      last.push(...round);
      lines.push([]);
      continue;
    }
    const corner = pointOf(row.trim(), unit);
    if (!corner || last.length === MOST_POINTS) return refused;
    last.push(corner);
  }
  return { ok: true, lines: lines.filter((line) => line.length > 0) };
}

/** Closed lines as a text that `readCorners` reads, their lengths written by `show`. */
export function cornersText(lines: readonly (readonly Point[])[], show: (mm: number) => string): string {
  return lines.map((line) => line.map(([x, y]) => `${show(x)} ${show(y)}`).join("\n")).join("\n\n");
}

/** The same in one cell of a table, in mm. */
export function cornersCell(lines: readonly (readonly Point[])[]): string {
  return cornersText(lines, (mm) => String(toMicron(mm)))
    .replace(/\n\n/g, " | ")
    .replace(/\n/g, "; ");
}

function pointOf(row: string, unit: LengthUnit): Point | null {
  const both = /[\t]|,\s/.test(row) ? row.split(/\s*\t\s*|,\s+/) : row.split(/\s+/);
  const [x, y, ...more] = both.map((each) => readLength(each, unit));
  return more.length === 0 && x?.ok && y?.ok ? [x.value, y.value] : null;
}

function roundOf(row: string, unit: LengthUnit): readonly Point[] | null {
  const [, across = "", at] = /^round\s+(.+?)(?:,\s+(.+))?$/i.exec(row) ?? [];
  const diameter = readLength(across, unit);
  if (!diameter.ok || diameter.value <= 0 || diameter.value > MOST_ROUND) return null;
  const middle = at === undefined ? ([diameter.value / 2, diameter.value / 2] as const) : pointOf(at, unit);
  return middle && flattened(circle(diameter.value / 2, middle), ROUND_WITHIN);
}

/** mm; no round thing is larger. */
const MOST_ROUND = 10_000;
