/** A label that belongs to a mark on a rule: where the mark is, and how wide the label is (px). */
export interface Label {
  readonly at: number;
  readonly width: number;
}

/** From a mark to its label, and from one label to the next (px). */
const BESIDE = 8;
const APART = 14;

/**
 * Where the labels of two marks begin on a rule so wide, in the order given, so that neither lies on the other: the left one ends at its mark and the
 * right one begins at its own, as far as there is room; else both stand on the side that has it, one after the other.
 */
export function besideMarks([a, b]: readonly [Label, Label], width: number): readonly [number, number] {
  if (b.at < a.at) {
    const [first, second] = besideMarks([b, a], width);
    return [second, first];
  }
  const left = a.at - BESIDE - a.width;
  const right = b.at + BESIDE;
  const second = right + b.width <= width ? right : b.at - BESIDE - b.width;
  if (left >= 0) return [Math.min(left, second - APART - a.width), second];
  const first = a.at + BESIDE;
  return [first, Math.max(second, first + a.width + APART)];
}
