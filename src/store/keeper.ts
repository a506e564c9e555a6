import { type BenchEntry } from "@/core/piece/bench";
import { type Make } from "@/core/piece/make";
import { type Piece } from "@/core/piece/piece";

/** What is half typed or wrong in a field, or was typed in other words than the field would write; by the field's key. */
export type Drafts = Readonly<Record<string, Draft>>;

export interface Draft {
  readonly text: string;
  /** What is wrong with it; null where the piece has taken its value. */
  readonly problem: string | null;
}

/** A piece as it is kept: with what was typed beside it. */
export interface PieceRecord {
  readonly id: string;
  readonly piece: Piece;
  readonly drafts: Drafts;
  /** Keys of fields whose value the maker has not given yet. */
  readonly unmeasured: readonly string[];
  /** Counts the writes; a write names the revision it was made on. */
  readonly revision: number;
  /** ISO time of the last change. */
  readonly changed: string;
  /** ISO time it was deleted, or null. A deleted piece can be had back. */
  readonly deleted: string | null;
}

export type Put = { readonly ok: true; readonly record: PieceRecord } | { readonly ok: false; readonly newer: PieceRecord };

/** Where pieces, makes and the bench are kept. A call that fails rejects with the reason. */
export interface Keeper {
  /** "memory" keeps nothing beyond the page. */
  readonly kind: "device" | "memory";
  pieces(): Promise<PieceRecord[]>;
  /** As many as asked for, the last changed first. */
  newest(count: number): Promise<PieceRecord[]>;
  /** Ids of all pieces, the last changed first. */
  ids(): Promise<string[]>;
  piece(id: string): Promise<PieceRecord | null>;
  /** Compares the kept revision with the one the change was made on, and puts it, in one transaction; null for a new piece. */
  putPiece(record: Omit<PieceRecord, "revision">, madeOn: number | null): Promise<Put>;
  /** For good. */
  removePieces(ids: readonly string[]): Promise<void>;
  bench(): Promise<BenchEntry | null>;
  putBench(bench: BenchEntry): Promise<void>;
  makes(piece: string): Promise<Make[]>;
  allMakes(): Promise<Make[]>;
  putMake(make: Make): Promise<void>;
}

/** Why a change could not be kept. */
export type Trouble = "full" | "blocked" | "unavailable" | "failed";

export class KeepError extends Error {
  constructor(
    readonly trouble: Trouble,
    cause: unknown,
  ) {
    super(`not kept: ${trouble}`, { cause });
  }
}

/** Orders records, the last changed first. */
export function newestFirst(a: PieceRecord, b: PieceRecord): number {
  return a.changed < b.changed ? 1 : a.changed > b.changed ? -1 : 0;
}

/** The outcome of a compare-and-put, whatever it is kept in. */
export function comparePut(kept: PieceRecord | null, record: Omit<PieceRecord, "revision">, madeOn: number | null): Put {
  if (kept && kept.revision !== madeOn) return { ok: false, newer: kept };
  return { ok: true, record: { ...record, revision: (kept?.revision ?? 0) + 1 } };
}
