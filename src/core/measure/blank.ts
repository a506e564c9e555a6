/** What lies where along a length to be cut, in mm from its end. */
export interface Blank {
  readonly length: number;
  /** Runs that are lost on the way: ends squared off, the mark, the saw. */
  readonly losses: readonly Span[];
  readonly marks: readonly { readonly code: BlankMark; readonly at: number }[];
  /** Runs where the finished wall gathers at its top. */
  readonly gathers: readonly Span[];
}

export interface Span {
  readonly from: number;
  readonly to: number;
}

export type BlankMark = "seam" | "end" | "corner" | "point" | "notch" | "farSide" | "front" | "stoneEdge" | "foot" | "seat";

/** A finished length between what it loses before its start and past its end. */
export function layBlank(net: number, lead: number, trail: number, marks: Blank["marks"], gathers: readonly Span[] = []): Blank {
  const length = lead + net + trail;
  return {
    length,
    losses: [
      { from: 0, to: lead },
      { from: lead + net, to: length },
    ],
    marks: marks.map(({ code, at }) => ({ code, at: at + lead })),
    gathers: gathers.map(({ from, to }) => ({ from: from + lead, to: to + lead })),
  };
}
