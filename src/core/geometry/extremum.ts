/** Thirds cut off until what is left is finer than a double tells apart. */
const TRISECTIONS = 90;

/** Where a function that falls and then rises between two places is least. */
export function leastBetween(f: (x: number) => number, from: number, to: number, steps = TRISECTIONS): number {
  let [low, high] = [from, to];
  for (let i = 0; i < steps; i++) {
    const [left, right] = [low + (high - low) / 3, high - (high - low) / 3];
    if (f(left) < f(right)) high = right;
    else low = left;
  }
  return (low + high) / 2;
}
