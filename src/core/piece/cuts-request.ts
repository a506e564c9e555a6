import { type CutsRequest } from "../cutting/plan-cuts";
import { type Wanted, wantedOf } from "../cutting/wanted";
import { type Cut } from "../metal/cut";
import { type BenchEntry, SHIPPED } from "./bench";
import { type Measured, inUse } from "./make";
import { type Piece } from "./piece";
import { type Plan } from "./plan";

/** A piece and its plan, whose blanks are cut. */
export interface PieceToCut {
  readonly piece: Piece;
  readonly plan: Pick<Plan, "cuts">;
}

/** The blanks of pieces, each as often as it is meant to be made next. */
export function wantedOfPieces(pieces: readonly PieceToCut[]): Wanted[] {
  return wantedOf(pieces.map(({ piece, plan }) => ({ id: piece.id, count: piece.count ?? 1, copies: piece.copies ?? 1, cuts: plan.cuts })));
}

/** A length as its maker read it once it was cut; as planned where none was read, or a stand-in made the reading up. */
export function cutAsRead(cut: Cut, measured: readonly Pick<Measured, "figure" | "value" | "madeUp" | "scrapped">[]): Cut {
  const read = inUse(measured).findLast(({ figure, madeUp }) => figure === cut.figure && !madeUp);
  return read && cut.shape.kind === "length" ? { ...cut, shape: { ...cut.shape, length: read.value } } : cut;
}

/** What is cut from the drawer of a bench, and what it buys. */
export function cutsRequestOf({ stock = [], bought, useful, losses }: BenchEntry, wanted: readonly Wanted[]): Omit<CutsRequest, "way"> {
  return {
    ...{ wanted, stock },
    bought: { ...SHIPPED.bought, ...bought },
    useful: { ...SHIPPED.useful, ...useful },
    kerf: losses?.hoop?.kerf ?? SHIPPED.losses.hoop.kerf,
  };
}
