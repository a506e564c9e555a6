import { type HeatsOf, bestHeats } from "../heats/best";
import { type BenchEntry } from "./bench";
import { type Readings } from "./measured";
import { type Piece } from "./piece";
import { type Plan } from "./plan";
import { planHeats } from "./plan-heats";
import { sizePiece } from "./size-piece";

/**
 * The spine: a piece becomes its plan, the same on every machine, and follows what was measured of it in the making. `heatsOf` is the search for
 * the best heats, or a way to do without. @throws for a piece that `faultsOf` or `unplanned` refuse; decoders ask both.
 */
export function planPiece(piece: Piece, bench: BenchEntry, measured: Readings = [], heatsOf: HeatsOf = bestHeats): Plan {
  return planHeats(sizePiece(piece, bench, measured), bench, heatsOf);
}
