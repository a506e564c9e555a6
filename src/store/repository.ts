import { type Fault } from "@/core/piece/fault";
import { type BenchEntry } from "@/core/piece/bench";
import { type Make } from "@/core/piece/make";
import { type Piece } from "@/core/piece/piece";
import { type CutRecord } from "@/core/cutting/cut-record";
import { type TryFile } from "@/formats/flame-file";

/** What is half typed or wrong in a field, or was typed in other words than the field would write; by the field's key. */
export type Drafts = Readonly<Record<string, Draft>>;

export interface Draft {
  readonly text: string;
  /** What is wrong with it; null where the piece has taken its value. */
  readonly problem: string | null;
}

/** What every record has. */
interface Kept {
  readonly id: string;
  /** Counts the writes; a write names the revision it was made on. */
  readonly revision: number;
  /** ISO time of the last change. */
  readonly changed: string;
}

/** A piece as it is kept: with what was typed beside it. */
export interface PieceRecord extends Kept {
  readonly piece: Piece;
  readonly drafts: Drafts;
  /** Keys of fields whose value the maker has not given yet. */
  readonly unmeasured: readonly string[];
  /** ISO time it was deleted, or null. A deleted piece can be had back. */
  readonly deleted: string | null;
}

export interface MakeRecord extends Kept {
  /** The id of the piece it makes. */
  readonly piece: string;
  readonly make: Make;
  /** What an older program kept beyond the limits of a make, by its path in the make: part of no make, and saved as it is. */
  readonly over?: Over;
}

/** By JSON pointer: the end of a list, or of a text, that is over its limit. */
export type Over = Readonly<Record<string, readonly unknown[] | string>>;

/** A field at the bench as it is typed, until it is taken. Never exported. */
export interface DraftRecord extends Kept {
  /** The id of the piece that is made. */
  readonly piece: string;
  /** Which field. */
  readonly field: string;
  readonly text: string;
}

/** A try at the torch. */
export interface TryRecord extends Kept {
  /** The id of the piece it was tried on. */
  readonly piece: string;
  readonly tried: TryFile;
  /** How hot each part was, all of it together, every second (degrees C): drawn beside it. Left out where the try came in a file. */
  readonly lines?: readonly (readonly number[])[];
}

/** What was cut from the drawer at once. */
export interface StoredCut extends Kept {
  readonly cut: CutRecord;
}

export interface BenchRecord extends Kept {
  readonly id: "bench";
  readonly bench: BenchEntry;
}

/** Something begun that a later page goes on with. */
export interface PendingRecord extends Kept {
  readonly id: "demo-makes";
}

/** What is kept where. */
export interface Stores {
  readonly pieces: PieceRecord;
  readonly makes: MakeRecord;
  readonly settings: BenchRecord;
  readonly drafts: DraftRecord;
  readonly pending: PendingRecord;
  readonly tries: TryRecord;
  readonly cuts: StoredCut;
}

export type StoreName = keyof Stores;

/** A record as it is handed over; the repository counts its revision. */
export type Unrevised<R extends Kept> = Omit<R, "revision">;

/** Something that is kept and cannot be read: it stays where it is, as it is. */
export interface Unreadable {
  readonly store: StoreName | "journal";
  readonly key: string | number;
  readonly raw: unknown;
  readonly faults: readonly Fault[];
  /** Only this part of the record is set aside; the rest of it reads. */
  readonly isPart?: true;
}

/** What could be read of a store, and what could not. */
export interface ReadStore<R> {
  readonly records: readonly R[];
  readonly unreadable: readonly Unreadable[];
}

/**
 * A change of what is kept. `madeOn` is the revision it was made on: null for something new, "any" for what takes the place of whatever is
 * there. A `change` is made to what is kept at that moment, so that two windows' changes both count; null leaves it as it is.
 */
export type Change =
  | { readonly store: "pieces"; readonly put: Unrevised<PieceRecord>; readonly madeOn: number | null | "any" }
  | { readonly store: "makes"; readonly put: Unrevised<MakeRecord>; readonly madeOn: number | null | "any" }
  | { readonly store: "settings"; readonly put: Unrevised<BenchRecord>; readonly madeOn: number | null | "any" }
  | { readonly store: "drafts"; readonly put: Unrevised<DraftRecord>; readonly madeOn: "any" }
  | { readonly store: "tries"; readonly put: Unrevised<TryRecord>; readonly madeOn: number | null | "any" }
  | { readonly store: "cuts"; readonly put: Unrevised<StoredCut>; readonly madeOn: number | null | "any" }
  | { readonly store: "pending"; readonly put: Unrevised<PendingRecord>; readonly madeOn: "any" }
  | { readonly store: "pieces"; readonly id: string; readonly change: (kept: PieceRecord | null) => Unrevised<PieceRecord> | null }
  | { readonly store: "settings"; readonly id: "bench"; readonly change: (kept: BenchRecord | null) => Unrevised<BenchRecord> | null }
  /** To the makes of one piece, or to one of them alone. */
  | {
      readonly store: "makes";
      readonly piece: string;
      readonly only: string | null;
      readonly change: (kept: readonly MakeRecord[]) => Unrevised<MakeRecord> | null;
    }
  /** For good. */
  | { readonly store: StoreName; readonly remove: string | number };

/**
 * What became of a change: put, or refused with what is there instead; null where nothing is, or nothing that can be read. `faults` where it was
 * refused because what it makes could not be read back.
 */
export type Outcome =
  | { readonly ok: true; readonly record: Stores[StoreName] | null }
  | { readonly ok: false; readonly newer: Stores[StoreName] | null; readonly faults?: readonly Fault[] };

export interface Writing {
  readonly onDone?: (done: number) => void;
  /** Hears what became of the changes once they are kept, before anything is read back. */
  readonly onKept?: (outcomes: readonly Outcome[]) => void;
  /** Once aborted, nothing of the write stands. */
  readonly signal?: AbortSignal;
}

/** Where pieces, makes and the bench are kept. A call that fails rejects with a RepositoryError. */
export interface Repository {
  /** "memory" keeps nothing beyond the page. */
  readonly kind: "device" | "memory";
  pieces(): Promise<ReadStore<PieceRecord>>;
  /** As many as asked for, the last changed first; `of` counts all there are. */
  newest(count: number): Promise<ReadStore<PieceRecord> & { readonly of: number }>;
  /** Ids of all pieces, the last changed first; those that cannot be read among them. */
  ids(): Promise<string[]>;
  /** null where there is none, or none that can be read. */
  piece(id: string): Promise<PieceRecord | null>;
  makes(): Promise<ReadStore<MakeRecord>>;
  /** As many as asked for, those begun last first; `of` counts all there are. */
  newestMakes(count: number): Promise<ReadStore<MakeRecord> & { readonly of: number }>;
  /** Those of one piece that can be read. */
  makesOf(piece: string): Promise<readonly MakeRecord[]>;
  bench(): Promise<ReadStore<BenchRecord>>;
  tries(): Promise<ReadStore<TryRecord>>;
  /** Those of one piece, and which of them cannot be read. */
  triesOf(piece: string): Promise<ReadStore<TryRecord>>;
  cuts(): Promise<ReadStore<StoredCut>>;
  /** What was begun and is not done yet. */
  pending(): Promise<readonly PendingRecord["id"][]>;
  /** What is half typed at the bench of a piece. */
  drafts(piece: string): Promise<readonly DraftRecord[]>;
  /** All changes at once: together they are made, or none is. Each that was made on an older revision is left out and told. */
  write(changes: readonly Change[], how?: Writing): Promise<Outcome[]>;
  /** Resolves once the browser has taken away what it kept: a newer program upgrades it, or it was cleared. */
  readonly lost: Promise<"newer" | "cleared">;
  /** Whether what was kept has been cleared since it was opened: what is missing was not deleted by its maker. */
  wasCleared(): boolean;
}

/** Why a change could not be kept. */
export type Trouble = "full" | "blocked" | "newer" | "unavailable" | "failed" | "stopped" | "cleared";

export class RepositoryError extends Error {
  constructor(
    readonly trouble: Trouble,
    cause: unknown,
  ) {
    super(`not kept: ${trouble}`, { cause });
  }
}

/** Orders records, the last changed first. */
export function newestFirst(a: Kept, b: Kept): number {
  return a.changed < b.changed ? 1 : a.changed > b.changed ? -1 : 0;
}

/** Orders makings, the one begun last first. */
export function begunLastFirst(a: MakeRecord, b: MakeRecord): number {
  return b.make.started.localeCompare(a.make.started);
}

/** The id of the one record that a change is of; of the makes of a piece, that piece's. */
export function idIn(change: Change): string {
  if ("remove" in change) return String(change.remove);
  if ("put" in change) return change.put.id;
  return "id" in change ? change.id : (change.only ?? change.piece);
}
