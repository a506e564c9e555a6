import { LETTER } from "./Drawing";

/** How far a word keeps from its line (pixels). */
const ASIDE = 5;

/** A word beside the line of a mark; all in pixels. */
interface Word {
  readonly text: string;
  readonly at: number;
  /** Whether it gives way to the others where there is no room. */
  readonly isLeast: boolean;
}

/** Words beside their lines, to the right or, before the cut, to the left; one that would cover another is left out. */
export function placed(words: readonly Word[], end: number): { readonly text: string; readonly from: number }[] {
  const taken: { from: number; to: number }[] = words.map(({ at }) => ({ from: at - 1, to: at + 1 }));
  return [...words]
    .sort((a, b) => Number(a.isLeast) - Number(b.isLeast))
    .flatMap(({ text, at }) => {
      const long = text.length * LETTER;
      const spans = [at + ASIDE, at - ASIDE - long].map((from) => ({ from, to: from + long }));
      const free = spans.find(({ from, to }) => from > 0 && to < end && taken.every((other) => other.to < from - 2 || other.from > to + 2));
      if (!free) return [];
      taken.push(free);
      return [{ text, from: free.from }];
    });
}
