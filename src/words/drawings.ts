/** What of a drawing may be no outline. */
export type LeftOutCode = "open" | "smaller" | "not-a-stone" | "text" | "picture" | "block" | "unknown" | "no-unit";

/** What of a drawing is no outline, and how often. */
export interface LeftOut {
  readonly code: LeftOutCode;
  readonly count: number;
}

const LEFT_OUT: Readonly<Record<LeftOutCode, (count: number) => string>> = {
  open: (n) => `${n} line${n === 1 ? "" : "s"} that ${n === 1 ? "does" : "do"} not close`,
  smaller: (n) => `${n} smaller outline${n === 1 ? "" : "s"}`,
  "not-a-stone": (n) => `${n} closed line${n === 1 ? "" : "s"} too small, too large or crossing itself`,
  text: (n) => `${n} text${n === 1 ? "" : "s"}`,
  picture: (n) => `${n} picture${n === 1 ? "" : "s"}`,
  block: (n) => `${n} part${n === 1 ? "" : "s"} drawn by reference`,
  unknown: (n) => `${n} part${n === 1 ? "" : "s"} of a kind that is not read`,
  "no-unit": () => "it names no unit of length: check the size",
};

/** One thing that was left out of a drawing. */
export function leftOutText({ code, count }: LeftOut): string {
  return LEFT_OUT[code](count);
}
