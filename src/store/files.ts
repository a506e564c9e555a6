import { type BenchEntry } from "@/core/piece/bench";
import { type BenchDifference, benchDifferences } from "@/core/piece/bench-differences";
import { type Fault } from "@/core/piece/fault";
import { type Piece } from "@/core/piece/piece";
import { type Backup, decodeBackup, encode, kindOfFile } from "@/formats/backup-codec";
import { decodeBench } from "@/formats/bench-codec";
import { decodePiece } from "@/formats/piece-codec";
import { type Keeper } from "./keeper";

/** What an opened file turned out to be, and what there is to ask before it is taken. */
export type Opened =
  | { readonly kind: "refused"; readonly file: string; readonly faults: readonly Fault[] }
  | {
      readonly kind: "piece";
      readonly file: string;
      readonly piece: Piece;
      readonly isTaken: boolean;
      readonly differences: readonly BenchDifference[];
    }
  | { readonly kind: "bench"; readonly file: string; readonly bench: BenchEntry }
  | { readonly kind: "backup"; readonly file: string; readonly backup: Backup };

/** Reads a file's text; changes nothing. */
export function openText(file: string, text: string, bench: BenchEntry, taken: readonly string[]): Opened {
  switch (kindOfFile(text)) {
    case "bench": {
      const decoded = decodeBench(text);
      return decoded.ok ? { kind: "bench", file, bench: decoded.value } : { kind: "refused", file, faults: decoded.faults };
    }
    case "backup": {
      const decoded = decodeBackup(text);
      return decoded.ok ? { kind: "backup", file, backup: decoded.value } : { kind: "refused", file, faults: decoded.faults };
    }
    case "piece": {
      const decoded = decodePiece(text);
      if (!decoded.ok) return { kind: "refused", file, faults: decoded.faults };
      const piece = decoded.value;
      return {
        kind: "piece",
        file,
        piece,
        isTaken: taken.includes(piece.id),
        differences: piece.benchUsed ? benchDifferences(piece.benchUsed, bench) : [],
      };
    }
  }
}

/** A piece without the bench it came with: planned with the maker's own from now on. */
export function onMyBench(piece: Piece): Piece {
  const { benchUsed: _theirs, ...own } = piece;
  return own;
}

/** A piece as it is saved: with the defaults it is planned with. */
export function pieceText(piece: Piece, bench: BenchEntry): string {
  return encode({ ...piece, benchUsed: piece.benchUsed ?? bench });
}

export function benchText(bench: BenchEntry): string {
  return encode(bench);
}

/** Everything kept, but what is deleted. */
export async function everythingText(keeper: Keeper, bench: BenchEntry): Promise<string> {
  const [pieces, makes] = await Promise.all([keeper.pieces(), keeper.allMakes()]);
  return encode({
    format: "hoop-ledger/backup",
    version: 1,
    bench,
    pieces: pieces.filter(({ deleted }) => deleted === null).map(({ piece }) => piece),
    makes,
  });
}
