import { type DBSchema, type IDBPDatabase, type IDBPTransaction, openDB } from "idb";
import { RepositoryError, type StoreName, type Stores } from "./repository";

export interface Schema extends DBSchema {
  pieces: { key: string; value: Stores["pieces"]; indexes: { changed: string } };
  makes: { key: string; value: Stores["makes"]; indexes: { piece: string; started: string } };
  settings: { key: string; value: Stores["settings"] };
  pending: { key: string; value: Stores["pending"] };
  drafts: { key: string; value: Stores["drafts"]; indexes: { piece: string } };
  tries: { key: string; value: Stores["tries"]; indexes: { piece: string } };
  cuts: { key: string; value: Stores["cuts"] };
}

export type Database = IDBPDatabase<Schema>;

/** A database that is open. `closed` resolves once the browser closes it under the page, with the reason. */
export interface OpenDatabase {
  readonly db: Database;
  readonly closed: Promise<Closed>;
}

/** "newer": a newer program upgrades it. "cleared": it was deleted or evicted, or its data was cleared. */
export type Closed = "newer" | "cleared";

const NAME = "hoop-ledger";
const VERSION = 6;
/** The bench's own key. */
export const BENCH = "bench";
/** A database that has not opened by then is held by another window (ms). */
const LONGEST_OPENING = 8000;

let ahead: Promise<OpenDatabase> | null = null;

/** Begins to open the database while what reads it is still being fetched. */
export function openAhead(): void {
  ahead = openDatabase();
  // What goes wrong is told to whoever takes it.
  ahead.catch(() => undefined);
}

/** The database that is being opened already, once, or else another. @throws as `openDatabase` */
export function takeDatabase(): Promise<OpenDatabase> {
  const opening = ahead ?? openDatabase();
  ahead = null;
  return opening;
}

/** @throws RepositoryError, "blocked" where another window holds an older one open; DOMException as the browser has it */
function openDatabase(): Promise<OpenDatabase> {
  return new Promise((resolve, reject) => {
    let isGivenUp = false;
    let close: (why: Closed) => void = () => undefined;
    const closed = new Promise<Closed>((tell) => (close = tell));
    const giveUp = () => {
      isGivenUp = true;
      reject(new RepositoryError("blocked", null));
    };
    const late = setTimeout(giveUp, LONGEST_OPENING);
    // A browser that has none at all throws here rather than in the promise.
    Promise.resolve()
      .then(() =>
        openDB<Schema>(NAME, VERSION, {
          upgrade: (db, from, _to, change) => {
            // How it ends is told by the opening.
            change.done.catch(() => undefined);
            void upgrade(db, from, change).catch(() => abortQuietly(change));
          },
          blocked: giveUp,
          blocking: (_current, wanted, event) => {
            (event.target as IDBDatabase).close();
            close(wanted === null ? "cleared" : "newer");
          },
          terminated: () => close("cleared"),
        }),
      )
      .then((db) => (isGivenUp ? db.close() : resolve({ db, closed })), reject)
      .finally(() => clearTimeout(late));
  });
}

type Upgrade = IDBPTransaction<Schema, StoreName[], "versionchange">;

/** A row for each version, never edited once shipped. */
async function upgrade(db: Database, from: number, change: Upgrade): Promise<void> {
  if (from < 1) {
    db.createObjectStore("pieces", { keyPath: "id" });
    db.createObjectStore("makes", { keyPath: "id" }).createIndex("piece", "piece");
    db.createObjectStore("settings");
  }
  if (from < 2) change.objectStore("pieces").createIndex("changed", "changed");
  if (from < 3) await countRevisions(change);
  if (from < 4) change.objectStore("makes").createIndex("started", "make.started");
  if (from < 5) {
    db.createObjectStore("drafts", { keyPath: "id" }).createIndex("piece", "piece");
    db.createObjectStore("pending", { keyPath: "id" });
  }
  if (from < 6) {
    db.createObjectStore("tries", { keyPath: "id" }).createIndex("piece", "piece");
    db.createObjectStore("cuts", { keyPath: "id" });
  }
}

/** From version 3 a making and the bench are records with a revision, as a piece is. */
async function countRevisions(change: Upgrade): Promise<void> {
  const makes = change.objectStore("makes");
  for (const make of (await makes.getAll()) as unknown[]) {
    const { id, piece, started } = make as Record<string, unknown>;
    await makes.put({ id, piece, make, revision: 1, changed: started } as Stores["makes"]);
  }
  const settings = change.objectStore("settings");
  const bench: unknown = await settings.get(BENCH);
  if (bench !== undefined) await settings.put({ id: BENCH, bench, revision: 1, changed: "2026" } as Stores["settings"], BENCH);
}

/** A transaction that has ended by itself cannot be aborted again. */
export function abortQuietly(work: { abort(): void }): void {
  try {
    work.abort();
  } catch (error) {
    if (!(error instanceof DOMException && error.name === "InvalidStateError")) throw error;
  }
}
