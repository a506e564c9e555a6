import { type CutRecord } from "@/core/cutting/cut-record";
import { type StoreApi } from "zustand/vanilla";
import { type Make, isUnderWay } from "@/core/piece/make";
import { type BenchEntry } from "@/core/piece/bench";
import { type MakeEdit } from "./make-edits";
import {
  type Change,
  RepositoryError,
  type Repository,
  type Outcome,
  type PieceRecord,
  type TryRecord,
  type Trouble,
  type Unreadable,
  type Unrevised,
  type Writing,
} from "./repository";

/** All makings of each piece, by the piece's id, the one begun last first. */
export type Makes = Readonly<Record<string, readonly Make[]>>;

/** The making of a piece that is under way, or was last. */
export function lastMake(makes: Makes, piece: string): Make | undefined {
  return makes[piece]?.[0];
}

/** The making of a piece that is under way, if one is. */
export function underWay(makes: Makes, piece: string): Make | undefined {
  return makes[piece]?.find(isUnderWay);
}

/** The making of a piece that is under way with something done in it, if there is one. */
export function begunMake(makes: Makes, piece: string): Make | undefined {
  const make = underWay(makes, piece);
  return make && make.done.length > 0 ? make : undefined;
}

/** When each make that is ended was; ISO. */
export function finishedOf(makes: Makes): string[] {
  return Object.values(makes).flatMap((all) => all.flatMap(({ finished }) => finished ?? []));
}

export interface TrayState {
  readonly repository: Repository;
  readonly bench: BenchEntry;
  /** The pieces read so far, newest change first, the deleted ones among them. */
  readonly pieces: readonly PieceRecord[];
  /** Whether those are all. */
  readonly isWhole: boolean;
  /** Ids of all pieces kept, as far as they are known. */
  readonly ids: readonly string[];
  readonly makes: Makes;
  /** Whether those are all. */
  readonly areMakesWhole: boolean;
  /** What is kept and cannot be read. */
  readonly unreadable: readonly Unreadable[];
  readonly trouble: Trouble | null;
  /** Whether the journal, which holds the last moment before a crash, takes nothing more. */
  readonly isJournalFull: boolean;
  /** Whether the browser promises not to throw away what is kept when its disk is full; null while it has not said. */
  readonly isPersistent: boolean | null;
  /** Tries at the torch, the last first, by the piece they were tried on; of pieces whose tries were asked for. */
  readonly tries: Readonly<Record<string, readonly Unrevised<TryRecord>[]>>;
  /** What was cut from the drawer, the last first; null before it is read. */
  readonly cuts: readonly CutRecord[] | null;
  /** What is half typed at the bench, by piece and field. */
  readonly drafts: Readonly<Record<string, Readonly<Record<string, string>>>>;
  /** Changes of this page that can be taken back, and made again, by the making's id. */
  readonly makeSteps: Readonly<Record<string, MakeSteps>>;
  /** How many changes of the bench can be undone, and done again. */
  readonly benchSteps: { readonly past: number; readonly future: number };
}

export interface MakeSteps {
  readonly past: readonly MakeEdit[];
  readonly future: readonly MakeEdit[];
  /** The field that the last change was typed in; null where it was none. */
  readonly field: string | null;
}

export const NO_STEPS: MakeSteps = { past: [], future: [], field: null };

/** How many changes of a making, and of the bench, can be taken back. */
export const MOST_UNDO = 200;

/** What the pieces, makings and bench of a tray are kept by. */
export interface TrayBase {
  readonly repository: Repository;
  readonly store: StoreApi<TrayState>;
  /** Makes changes, and shows and tells what has changed. @throws RepositoryError, with the tray's trouble set to it */
  readonly write: (changes: readonly Change[], how?: Writing) => Promise<Outcome[]>;
  /** What a reading of the repository gives; null where it fails, with the tray's trouble set to it. */
  readonly reading: <T>(work: () => Promise<T>) => Promise<T | null>;
  /** Says that something could not be kept or read, and tries again later what waits. */
  readonly inTrouble: (trouble: Trouble) => void;
  /** What of a store cannot be read takes the place of what was known of it. */
  readonly noteUnreadable: (where: Unreadable["store"], found: readonly Unreadable[]) => void;
}

/** What a repository refused is told as the tray's trouble; anything else is our own mistake. */
export function isTold(error: unknown): void {
  if (!(error instanceof RepositoryError)) throw error;
}

export function now(): string {
  return new Date().toISOString();
}
