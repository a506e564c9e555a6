import { type Doubt } from "@/core/piece/doubt";

/** What is said in place of a number, or beside it, that cannot be trusted. */
export const DOUBTS: Readonly<Record<Doubt, string>> = { unmeasured: "not measured yet", refused: "uses a refused entry" };

/** A text, or in its place why what it says cannot be trusted. */
export function ifSure(doubt: Doubt | null, text: string): string {
  return doubt ? DOUBTS[doubt] : text;
}

/** Where a number is left to be written in by hand. */
export const BLANK = "______";
