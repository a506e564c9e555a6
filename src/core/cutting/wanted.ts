import { type Curve, flattened, mirrored } from "../geometry/curve";
import { type Point } from "../geometry/outline";
import { type Cut } from "../metal/cut";

/** One blank that is wanted: of which piece, and of which of so many made of it. */
export interface Wanted {
  readonly piece: string;
  /** From 1; of a pair each earring is a copy. */
  readonly copy: number;
  readonly cut: Cut;
  /** Which of so many alike of one copy, from 1. */
  readonly nth: number;
  /** The second of a pair is cut from its outline turned over. */
  readonly isTurnedOver: boolean;
}

/** A planned piece, and how many are to be made. */
export interface WantedPiece {
  readonly id: string;
  readonly count: number;
  /** 2 for a pair. */
  readonly copies: number;
  readonly cuts: readonly Cut[];
}

/** Every blank of every piece, in the order in which pieces are given and their parts are made. */
export function wantedOf(pieces: readonly WantedPiece[]): Wanted[] {
  return pieces.flatMap(({ id, count, copies, cuts }) =>
    Array.from({ length: count * copies }, (_, copy) =>
      cuts.flatMap((cut) =>
        Array.from({ length: cut.count }, (_, i): Wanted => ({
          piece: id,
          copy: copy + 1,
          cut,
          nth: i + 1,
          isTurnedOver: copies === 2 && copy % 2 === 1,
        })),
      ),
    ).flat(),
  );
}

/** The same blank has the same, whatever its size is by now. */
export function blankId({ piece, copy, cut: { part, figure }, nth }: Wanted): string {
  return [piece, copy, part, figure, nth].join(" ");
}

/** The line a blank is sawn along about its template's origin, turned over where it is the second of a pair. */
export function sawLine({ cut: { shape }, isTurnedOver }: Wanted): Curve {
  if (shape.kind !== "outline") throw new RangeError("a length has no saw line");
  return isTurnedOver ? mirrored(shape.outline) : shape.outline;
}

/** A curve is followed so closely where it is laid on a sheet (mm). */
const WITHIN = 0.02;

/** The same as a polygon. */
export function sawPolygon(wanted: Wanted): Point[] {
  return flattened(sawLine(wanted), WITHIN);
}
