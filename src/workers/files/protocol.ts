import { type BenchEntry } from "@/core/piece/bench";
import { type BenchDifference } from "@/core/piece/bench-differences";
import { type Fault } from "@/core/piece/fault";
import { type Piece } from "@/core/piece/piece";
import { type ReadBackup } from "@/formats/backup-codec";

/** A file to be read. */
export interface FileAsk {
  readonly file: string;
  readonly bytes: Uint8Array;
  readonly bench: BenchEntry;
  /** Ids of the pieces on the tray. */
  readonly taken: ReadonlySet<string>;
}

/** What a file turned out to be, and what there is to ask before it is taken. */
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
  | {
      readonly kind: "backup";
      readonly file: string;
      readonly backup: ReadBackup;
    };

/** Told while a file is read, and at its end; a backup's lists come in parts before it, so that no part holds the page up. */
export type FileReply =
  | { readonly kind: "progress"; readonly done: number; readonly of: number }
  | { readonly kind: "part"; readonly part: Partial<Pick<ReadBackup, "pieces" | "makes" | "tries">> }
  | { readonly kind: "opened"; readonly opened: Opened };
