import { figureOf } from "../measure/figure";
import { type BenchEntry } from "./bench";
import { type WallEntry } from "./piece";
import { type Plan } from "./plan";

export type ReadyTube = NonNullable<BenchEntry["tubes"]>[number];
export type ReadyCup = NonNullable<BenchEntry["cups"]>[number];

/** A tube or cup of the bench; `over` is by how much (mm) it is wider than what the stone needs, negative where it is narrower. */
export interface Offered<T> {
  readonly stock: T;
  readonly over: number;
}

/** The bench's tubes, the nearest to the outside that the setting needs first. Whether one holds the stone is for its plan to say. */
export function tubesFor({ tubes = [] }: BenchEntry, { figures }: Pick<Plan, "figures">, mount: string): readonly Offered<ReadyTube>[] {
  const needed = figureOf(figures, `${mount}.wall.tubeOutside`).value;
  return nearestFirst(tubes, ({ outside }) => outside - needed);
}

/** The bench's cups, the nearest to the inside length that the setting needs first. */
export function cupsFor({ cups = [] }: BenchEntry, { figures }: Pick<Plan, "figures">, mount: string): readonly Offered<ReadyCup>[] {
  const needed = figureOf(figures, `${mount}.wall.cupLength`).value;
  return nearestFirst(cups, ({ length, thickness }) => length - 2 * thickness - needed);
}

function nearestFirst<T>(all: readonly T[], over: (stock: T) => number): readonly Offered<T>[] {
  const offered = all.map((stock) => ({ stock, over: over(stock) }));
  return offered.sort((a, b) => Math.abs(a.over) - Math.abs(b.over));
}

/** What a bezel has from a tube of the bench. */
export function fromTube({ metal, outside, inside }: ReadyTube): Pick<WallEntry, "metal" | "tube"> {
  return { metal, tube: { outside, inside } };
}

/** What a bezel has from a cup of the bench; its width follows the stone's. */
export function fromCup({ metal, length, thickness, height }: ReadyCup): Pick<WallEntry, "metal" | "cup"> {
  return { metal, cup: { length, thickness, ...(height !== undefined && { height }) } };
}
