import { type Cut, type CutStock } from "../metal/cut";
import { type Metal } from "../metal/metals";

/** Blanks of one size, in mm. */
export interface KitBlanks {
  readonly length: number;
  readonly width: number;
  readonly count: number;
}

/** All that is cut from one stock for several pieces. */
export interface KitLine {
  readonly metal: Metal;
  readonly stock: CutStock;
  /** How many lengths, and all of them end to end (mm); none of sheet. */
  readonly lengths: number;
  readonly total: number;
  /** Blanks of sheet by their sides, the largest first. */
  readonly blanks: readonly KitBlanks[];
}

interface Planned {
  readonly cuts: readonly Cut[];
}

/** Sizes nearer than this are one size of blank (mm). */
const SAME = 0.005;

/** The metal that several planned pieces take, each made so many times, stock by stock in the order in which it is first cut. */
export function kitOf(plans: readonly Planned[], copies = 1): KitLine[] {
  const lines = new Map<string, { readonly first: Cut; readonly cuts: Cut[] }>();
  for (const cut of plans.flatMap(({ cuts }) => cuts)) {
    const key = JSON.stringify([cut.metal, cut.stock]);
    const line = lines.get(key) ?? { first: cut, cuts: [] };
    line.cuts.push(cut);
    lines.set(key, line);
  }
  return [...lines.values()].map(({ first: { metal, stock }, cuts }) => {
    const lengths = cuts.flatMap(({ shape, count }) => (shape.kind === "length" ? [{ length: shape.length, count: count * copies }] : []));
    return {
      metal,
      stock,
      lengths: lengths.reduce((all, { count }) => all + count, 0),
      total: lengths.reduce((all, { length, count }) => all + length * count, 0),
      blanks: blanksOf(cuts, copies),
    };
  });
}

function blanksOf(cuts: readonly Cut[], copies: number): KitBlanks[] {
  const blanks: KitBlanks[] = [];
  for (const { shape, count } of cuts) {
    if (shape.kind !== "outline") continue;
    const { length, width } = shape;
    const i = blanks.findIndex((each) => Math.abs(each.length - length) < SAME && Math.abs(each.width - width) < SAME);
    const before = blanks[i]?.count ?? 0;
    blanks.splice(i < 0 ? blanks.length : i, i < 0 ? 0 : 1, { length, width, count: before + count * copies });
  }
  return blanks.sort((a, b) => b.length * b.width - a.length * a.width);
}
