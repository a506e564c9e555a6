/** One stretch of a text replaced: `from` to `to` of what was there, by `by`. */
interface Replaced {
  readonly from: number;
  readonly to: number;
  readonly by: string;
}

/** The shortest single stretch that makes one text another. */
function replaced(before: string, after: string): Replaced {
  const most = Math.min(before.length, after.length);
  let from = 0;
  while (from < most && before[from] === after[from]) from++;
  let end = 0;
  while (end < most - from && before[before.length - 1 - end] === after[after.length - 1 - end]) end++;
  return { from, to: before.length - end, by: after.slice(from, after.length - end) };
}

/**
 * A text that two have changed from the same `base`, with both changes in it: apart where they lie apart, else theirs and then mine. Nothing that
 * either has typed is dropped.
 */
export function mergedText(base: string, mine: string, theirs: string): string {
  if (mine === theirs || mine === base) return theirs;
  if (theirs === base) return mine;
  const [a, b] = [replaced(base, theirs), replaced(base, mine)];
  const areApart = a.to < b.from || b.to < a.from || (a.to === b.from && a.from < a.to) || (b.to === a.from && b.from < b.to);
  if (areApart) {
    const [first, then] = a.from < b.from ? [a, b] : [b, a];
    return base.slice(0, first.from) + first.by + base.slice(first.to, then.from) + then.by + base.slice(then.to);
  }
  const [from, to] = [Math.min(a.from, b.from), Math.max(a.to, b.to)];
  const [before, after] = [base.slice(0, from), base.slice(to)];
  const kept = base.slice(from, a.from) + a.by + base.slice(a.to, to);
  return before + kept + gap(before + kept, b.by) + b.by + gap(b.by, after) + after;
}

/** Two texts that meet stay two words. */
function gap(left: string, right: string): string {
  return /\S$/.test(left) && /^\S/.test(right) ? " " : "";
}

/** Where the caret stands in a text that came in place of `text`: behind the same words as before. */
export function caretIn(next: string, text: string, caret: number): number {
  if (next.startsWith(text.slice(0, caret))) return caret;
  return next.endsWith(text.slice(caret)) ? next.length - (text.length - caret) : Math.min(caret, next.length);
}
