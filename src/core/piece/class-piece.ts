import { type BenchEntry, benchOf } from "./bench";
import { type FingerSize } from "./class-list";
import { type Mount, type Piece } from "./piece";

/** A bench without what its maker's own hands take off and how long they need: another's are not known, and go by the standard values. */
function standardBench({ losses: _losses, allowances: _allowances, minutes: _minutes, ...bench }: BenchEntry): BenchEntry {
  return bench;
}

/**
 * A piece as somebody else is to make it: for their finger, with standard losses. What belongs to how it is made, as sawing through a seam or
 * hammering, stays.
 */
export function pieceFor(piece: Piece, mine: BenchEntry, size: FingerSize | null): Piece {
  const { carrier } = piece;
  return {
    ...piece,
    benchUsed: standardBench(benchOf(piece, mine)),
    mounts: piece.mounts.map(withoutLosses),
    carrier: carrier.type === "hoop" ? { ...carrier, size: size ?? carrier.size, losses: ofTheWay(carrier.losses) } : carrier,
  };
}

function withoutLosses({ wall: { losses: _losses, ...wall }, ...mount }: Mount): Mount {
  return { ...mount, wall };
}

type HoopLosses = NonNullable<Extract<Piece["carrier"], { type: "hoop" }>["losses"]>;

function ofTheWay({ sawPasses, hammer }: HoopLosses = {}): HoopLosses {
  return { ...(sawPasses !== undefined && { sawPasses }), ...(hammer !== undefined && { hammer }) };
}
