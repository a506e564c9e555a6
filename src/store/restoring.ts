import { type BenchEntry } from "@/core/piece/bench";
import { benchDifferences } from "@/core/piece/bench-differences";
import { type Make } from "@/core/piece/make";
import { type Piece } from "@/core/piece/piece";
import { type ReadBackup } from "@/formats/backup-codec";
import { freeId } from "./ids";
import { type Change } from "./keeper";

/** What a maker answers before a backup is restored. */
export interface RestoreAnswers {
  /** What becomes of pieces whose id is taken. */
  readonly how: "replace" | "both";
  readonly bench: "theirs" | "mine";
}

/** What is kept already. */
interface Taken {
  readonly pieces: ReadonlySet<string>;
  readonly makes: ReadonlySet<string>;
  readonly bench: BenchEntry;
}

/**
 * The changes that restore a backup, all to be made at once; its first piece becomes the newest on the tray. Pieces kept beside one of their
 * id get an id of their own, and so do their makes. On the maker's own bench a piece goes on with the one it was saved with, where they differ.
 */
export function restoreChanges(backup: ReadBackup, { how, bench }: RestoreAnswers, taken: Taken, now: number): Change[] {
  const own = new Map<string, string>();
  const pieceIds = new Set(taken.pieces);
  const theirs = backup.bench;
  const isOther = bench === "mine" && theirs !== null && benchDifferences(theirs, taken.bench).length > 0;
  const onTheirs = (piece: Piece): Piece => (isOther && !piece.benchUsed ? { ...piece, benchUsed: theirs } : piece);
  const pieces = backup.pieces.map((piece) => {
    const id = how === "both" && pieceIds.has(piece.id) ? freeId(pieceIds, piece.id) : piece.id;
    pieceIds.add(id);
    own.set(piece.id, id);
    return onTheirs({ ...piece, id });
  });
  const makeIds = new Set(taken.makes);
  const makes = backup.makes.map((make): Make => {
    const piece = own.get(make.piece) ?? make.piece;
    const id = how === "both" && makeIds.has(make.id) ? freeId(makeIds, make.id) : make.id;
    makeIds.add(id);
    return { ...make, id, piece, pieceFile: { ...make.pieceFile, id: piece } };
  });
  const at = (i: number) => new Date(now + pieces.length - 1 - i).toISOString();
  return [
    ...pieces.map((piece, i): Change => ({ store: "pieces", put: pieceRecord(piece, at(i)), madeOn: "any" })),
    ...makes.map((make): Change => ({ store: "makes", put: makeRecord(make, make.started), madeOn: "any" })),
    ...(bench === "theirs" && theirs
      ? [{ store: "settings" as const, put: { id: "bench" as const, bench: theirs, changed: at(0) }, madeOn: "any" as const }]
      : []),
  ];
}

/** A piece as it is first kept. */
export function pieceRecord(piece: Piece, changed: string) {
  return { id: piece.id, piece, drafts: {}, unmeasured: [] as readonly string[], changed, deleted: null };
}

export function makeRecord(make: Make, changed: string) {
  return { id: make.id, piece: make.piece, make, changed };
}
