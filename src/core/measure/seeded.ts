/** Even numbers from 0 to 1, the same for the same seed. */
export function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

/** About normal, of mean 0 and deviation 1: the sum of twelve even numbers less six. */
export function normal(random: () => number): number {
  return Array.from({ length: 12 }, random).reduce((all, each) => all + each, -6);
}
