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

export type BlankMark =
  | "seam"
  | "start"
  | "oneEnd"
  | "otherEnd"
  | "leftEnd"
  | "rightEnd"
  | "topEnd"
  | "bottomEnd"
  | "corner"
  | "point"
  | "notch"
  | "farSide"
  | "front"
  | "stoneEdge"
  | "foot"
  | "seat"
  | "cut"
  | "bead"
  | "back"
  | "root"
  | "frontLeg"
  | "overChain"
  | "backLeg"
  | "eye"
  | "bow";

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

/** Finished lengths one after another, each cut by itself between what it loses at its ends; what stands at the start of each is marked, and the cuts between. */
export function layPieces(nets: readonly number[], lead: number, trail: number, starts: BlankMark): Blank {
  const blanks = nets.map((net) => layBlank(net, lead, trail, [{ code: starts, at: 0 }]));
  return blanks.reduce((before, blank) => ({
    length: before.length + blank.length,
    losses: [...before.losses, ...blank.losses.map(({ from, to }) => ({ from: from + before.length, to: to + before.length }))],
    marks: [
      ...before.marks,
      { code: "cut" as const, at: before.length },
      ...blank.marks.map(({ code, at }) => ({ code, at: at + before.length })),
    ],
    gathers: [],
  }));
}
