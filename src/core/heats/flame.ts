import { METALS } from "../metal/metals";
import { type Part } from "../joint/joint";

export interface FlameShare {
  readonly part: string;
  /** Of the time the flame is on: 0 to 1. */
  readonly share: number;
}

const THIN_SIDE = 1 / 4;

/** How the flame's time divides among the parts heated: by their share of the heat they take up. `sawn` parts count as cut to their edge. */
export function flameShares(parts: readonly Part[], sawn: ReadonlySet<string>): FlameShare[] {
  const takes = parts.map((part) => (sawn.has(part.id) ? part.mass : (part.blankMass ?? part.mass)) * METALS[part.metal].heatCapacity);
  const all = takes.reduce((a, b) => a + b, 0);
  return parts.map((part, i) => ({ part: part.id, share: takes[i]! / all }));
}

/** Of two parts joined, the one that takes up less than a quarter of what the other does: keep the flame off it. Null where neither does. */
export function thinSide(a: FlameShare, b: FlameShare): string | null {
  const [less, more] = a.share <= b.share ? [a, b] : [b, a];
  return less.share < THIN_SIDE * more.share ? less.part : null;
}
