import { contours } from "d3";
import { type Grid } from "@/core/practice/laid";

/** A plane's temperatures laid out cell by cell for drawing: a cell outside the plate has its nearest bit's, so that no edge is drawn against nothing. */
export interface Field {
  readonly grid: Grid;
  /** The bit of each cell, row by row from the low side. */
  readonly bitOf: Int32Array;
}

export function fieldOf(grid: Grid): Field {
  const { wide, tall, bits } = grid;
  const bitOf = Int32Array.from(bits);
  let edge = [...bitOf.keys()].filter((cell) => bitOf[cell]! >= 0);
  while (edge.length > 0) {
    const next: number[] = [];
    for (const cell of edge) {
      const [i, j] = [cell % wide, Math.floor(cell / wide)];
      for (const [di, dj] of ASIDE) {
        const [ni, nj] = [i + di, j + dj];
        const other = nj * wide + ni;
        if (ni < 0 || nj < 0 || ni >= wide || nj >= tall || bitOf[other]! >= 0) continue;
        bitOf[other] = bitOf[cell]!;
        next.push(other);
      }
    }
    edge = next;
  }
  return { grid, bitOf };
}

const ASIDE = [
  [1, 0],
  [-1, 0],
  [0, 1],
  [0, -1],
] as const;

/** Lines of one temperature over a plane, in mm. */
export interface Isotherm {
  /** In the maker's unit. */
  readonly degrees: number;
  readonly lines: readonly (readonly (readonly [number, number])[])[];
}

/** A plane with its lines. */
export interface FieldLines {
  readonly field: Field;
  readonly lines: readonly Isotherm[];
}

export function isOnPlate({ grid: { wide, tall, left, low, spacing, bits } }: Field, [x, y]: readonly [number, number]): boolean {
  const [i, j] = [Math.floor((x - left) / spacing), Math.floor((y - low) / spacing)];
  return i >= 0 && j >= 0 && i < wide && j < tall && bits[j * wide + i]! >= 0;
}

/** Degrees between two lines, the finest first, and how many lines there are at most. */
const STEPS = [2, 5, 10, 25, 50, 100] as const;
const MOST_LINES = 5;

/** Lines of equal temperature over a plane, at round degrees of the maker's unit, which `shown` turns degrees C into. */
export function isotherms(
  { grid: { wide, tall, left, low, spacing, bits }, bitOf }: Field,
  temperatures: Float64Array,
  shown: (celsius: number) => number,
): Isotherm[] {
  let [least, most] = [Infinity, -Infinity];
  for (const bit of bits) {
    if (bit < 0) continue;
    const t = shown(temperatures[bit]!);
    least = Math.min(least, t);
    most = Math.max(most, t);
  }
  const step = STEPS.find((each) => (most - least) / each <= MOST_LINES) ?? STEPS.at(-1)!;
  const first = Math.ceil(least / step) * step;
  const thresholds = Array.from({ length: Math.max(0, Math.floor((most - first) / step) + 1) }, (_, k) => first + k * step);
  const values = Array.from(bitOf, (bit) => shown(temperatures[bit]!));
  const at = ([i, j]: readonly number[]) => [left + i! * spacing, low + j! * spacing] as const;
  return contours()
    .size([wide, tall])
    .thresholds(thresholds)(values)
    .map(({ value, coordinates }) => ({
      degrees: value,
      lines: coordinates.flatMap((rings) => rings.flatMap((ring) => alongInside(ring, wide, tall))).map((line) => line.map(at)),
    }));
}

/** A ring without what runs along the field's own edge, which is no line of equal temperature. */
function alongInside(ring: readonly (readonly number[])[], wide: number, tall: number): (readonly number[])[][] {
  const isEdge = ([i, j]: readonly number[]) => i! <= 0 || j! <= 0 || i! >= wide || j! >= tall;
  const lines: (readonly number[])[][] = [];
  let line: (readonly number[])[] = [];
  for (const point of ring) {
    if (!isEdge(point)) line.push(point);
    else if (line.length > 0) {
      lines.push(line);
      line = [];
    }
  }
  if (line.length > 1) lines.push(line);
  return lines.filter((each) => each.length > 1);
}
