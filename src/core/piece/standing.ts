import { type BenchEntry, benchOf } from "./bench";
import { faultsOf } from "./faults";
import { type HeldReading, type Make, inUse, pieceNow } from "./make";
import { type Remedy } from "./remedies";
import { sizePiece } from "./size-piece";
import { unplanned } from "./unplanned";

/** What was read in a making and cannot be mended on the part that was read, until that part is made anew. None of a piece that cannot be planned: it says so itself. */
export function standingOf(make: Pick<Make, "pieceFile" | "taken" | "measured">, mine: BenchEntry): readonly Remedy[] {
  if (inUse(make.measured).length === 0) return [];
  const piece = pieceNow(make);
  const bench = benchOf(piece, mine);
  if (faultsOf(piece, bench).length > 0 || unplanned(piece).length > 0) return [];
  return sizePiece(piece, bench, make.measured).remedies.filter(({ anew }) => anew.length > 0);
}

/** Whether a reading was gone on with all the same: that reading, not one that was taken since. */
export function isHeld({ figure, values }: Remedy, held: readonly HeldReading[] = []): boolean {
  return held.some((each) => each.figure === figure && each.value === values.from);
}
