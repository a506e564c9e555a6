import { type IDBPTransaction, type IndexNames } from "idb";
import { type Closed, BENCH, type Database, type OpenDatabase, type Schema, abortQuietly, takeDatabase } from "./database";
import {
  type Change,
  RepositoryError,
  type Repository,
  type Outcome,
  type PendingRecord,
  type ReadStore,
  type StoreName,
  type Stores,
  type Unreadable,
  idIn,
} from "./repository";
import { overFaults, readRecord } from "./read-kept";
import { settled } from "./settled";

/** How long a browser may take to clear what it kept (ms). */
const CLEARING = 400;
/** Records read at a time, so that the page can paint between two. */
const CHUNK = 400;

/**
 * Keeps everything in the browser's own database. @throws RepositoryError, "blocked" where another window holds an older one
 * open, "newer" where a newer program was here, "unavailable" where the browser has none to give.
 */
export async function deviceKeeper(): Promise<Repository> {
  return keeperOn(await opened());
}

/** @throws RepositoryError as `deviceKeeper` */
async function opened(): Promise<OpenDatabase> {
  try {
    return await takeDatabase();
  } catch (cause) {
    if (cause instanceof RepositoryError) throw cause;
    const isNewer = cause instanceof DOMException && cause.name === "VersionError";
    throw new RepositoryError(isNewer ? "newer" : "unavailable", cause);
  }
}

function keeperOn(first: OpenDatabase): Repository {
  let current: Promise<OpenDatabase> | null = Promise.resolve(first);
  let lost = null as Closed | null;
  const watch = ({ closed }: OpenDatabase): Promise<Closed> =>
    closed.then((why) => {
      lost = why;
      if (why === "cleared") current = null;
      return why;
    });

  /** What was cleared can be filled again, once the browser has done with it: opened at once it would be thrown away with the rest. */
  const anew = async (): Promise<OpenDatabase> => {
    await new Promise((resolve) => setTimeout(resolve, CLEARING));
    const next = await opened();
    void watch(next);
    return next;
  };
  const open = () => (current ??= anew().catch((error: unknown) => ((current = null), Promise.reject(error as Error))));

  const isTaken = () => lost === "newer";

  /**
   * Works on the database as it is open now. What is written when it has just been cleared goes into the new one; what is read would be nothing.
   * @throws RepositoryError, "newer" once a newer program has it, "cleared" for a reading that it was cleared under
   */
  const on = <T>(
    work: (db: Database) => Promise<T>,
    { signal, isWrite = false }: { readonly signal?: AbortSignal; readonly isWrite?: boolean } = {},
  ) =>
    told(signal, async () => {
      if (isTaken()) throw new RepositoryError("newer", null);
      const { db } = await open();
      const before = lost;
      try {
        return await work(db);
      } catch (error) {
        if (signal?.aborted || !isClosing(error)) throw error;
        // The browser closes it a moment before it says why.
        await new Promise((resolve) => setTimeout(resolve));
        if (isTaken()) throw new RepositoryError("newer", error);
        if (lost === before) throw error;
        if (!isWrite) throw new RepositoryError("cleared", error);
        return work((await open()).db);
      }
    });

  return {
    kind: "device",
    lost: watch(first),
    wasCleared: () => lost === "cleared",
    pieces: () => on((db) => all(db, "pieces")),
    newest: (count) => on((db) => last(db, "pieces", "changed", count)),
    ids: () =>
      on(async (db) => {
        const [newest, every] = await Promise.all([db.getAllKeysFromIndex("pieces", "changed"), db.getAllKeys("pieces")]);
        const dated = new Set(newest);
        return [...newest.reverse(), ...every.filter((id) => !dated.has(id))].map(String);
      }),
    piece: (id) =>
      on(async (db) => {
        const raw: unknown = await db.get("pieces", id);
        const read = raw === undefined ? null : readRecord("pieces", raw);
        return read?.ok ? read.value : null;
      }),
    makes: () => on((db) => all(db, "makes")),
    newestMakes: (count) => on((db) => last(db, "makes", "started", count)),
    makesOf: async (piece) => (await on((db) => ofPiece(db, "makes", piece))).records,
    cuts: () => on((db) => all(db, "cuts")),
    tries: () => on((db) => all(db, "tries")),
    triesOf: (piece) => on((db) => ofPiece(db, "tries", piece)),
    pending: () => on(async (db) => (await db.getAllKeys("pending")) as PendingRecord["id"][]),
    drafts: async (piece) => (await on((db) => ofPiece(db, "drafts", piece))).records,
    bench: () =>
      on(async (db) => {
        const raw: unknown = await db.get("settings", BENCH);
        return sorted("settings", raw === undefined ? [] : [[BENCH, raw]]);
      }),
    write: (changes, how = {}) => on((db) => write(db, changes, how), { ...(how.signal && { signal: how.signal }), isWrite: true }),
  };
}

/** Whether the database was closed under a call. */
function isClosing(error: unknown): boolean {
  return error instanceof DOMException && (error.name === "InvalidStateError" || error.name === "AbortError");
}

/** What of a store belongs to a piece. */
async function ofPiece<S extends "makes" | "drafts" | "tries">(db: Database, store: S, piece: string): Promise<ReadStore<Stores[S]>> {
  const raw: unknown[] = await db.getAllFromIndex(store as "makes", "piece", piece);
  return sorted<S>(
    store,
    raw.map((value) => [(value as { readonly id: string }).id, value]),
  );
}

/** The newest records of an index and the total count, in as few requests as possible: each one waits for the main thread. */
async function last<S extends "pieces" | "makes">(db: Database, store: S, by: IndexNames<Schema, S>, count: number) {
  const kept = db.transaction(store).store;
  const index = kept.index(by);
  const newest = await index.openKeyCursor(null, "prev");
  const oldest = count > 1 ? await newest?.advance(count - 1) : newest;
  const from = oldest && IDBKeyRange.lowerBound(oldest.key);
  const [of, keys, values] = await Promise.all([kept.count(), index.getAllKeys(from), index.getAll(from)]);
  const raw = values.map((value, i): [string, unknown] => [String(keys[i]), value]);
  return { ...sorted<S>(store, raw.reverse().slice(0, count)), of };
}

/** Everything of a store, read chunk by chunk. */
async function all<S extends "pieces" | "makes" | "tries" | "cuts">(db: Database, store: S): Promise<ReadStore<Stores[S]>> {
  const records: Stores[S][] = [];
  const unreadable: Unreadable[] = [];
  let after: IDBKeyRange | undefined;
  for (;;) {
    const [keys, values] = await Promise.all([db.getAllKeys(store, after, CHUNK), db.getAll(store, after, CHUNK)]);
    const read = sorted(
      store,
      values.map((value, i) => [keys[i]!, value]),
    );
    records.push(...read.records);
    unreadable.push(...read.unreadable);
    if (keys.length < CHUNK) return { records, unreadable };
    after = IDBKeyRange.lowerBound(keys.at(-1)!, true);
  }
}

function sorted<S extends StoreName>(store: S, kept: readonly (readonly [string | number, unknown])[]): ReadStore<Stores[S]> {
  const records: Stores[S][] = [];
  const unreadable: Unreadable[] = [];
  for (const [key, raw] of kept) {
    const read = readRecord(store, raw);
    if (!read.ok) unreadable.push({ store, key, raw, faults: read.faults });
    else {
      records.push(read.value);
      const over = "over" in read.value ? read.value.over : undefined;
      if (over) unreadable.push({ store, key, raw: over, faults: overFaults(over), isPart: true });
    }
  }
  return { records, unreadable };
}

async function write(db: Database, changes: readonly Change[], how: Parameters<Repository["write"]>[1] = {}): Promise<Outcome[]> {
  const work = db.transaction([...new Set(changes.map(({ store }) => store))], "readwrite", { durability: "strict" });
  const abort = () => work.abort();
  const done = work.done;
  done.catch(() => undefined);
  how.signal?.addEventListener("abort", abort);
  try {
    const outcomes: Outcome[] = [];
    for (const [i, change] of changes.entries()) {
      outcomes.push(await make(work, change));
      how.onDone?.(i + 1);
    }
    // Without waiting for the page to be free once more: a browser that ends now has it.
    work.commit();
    await done;
    return outcomes;
  } catch (error) {
    if (!how.signal?.aborted) abortQuietly(work);
    throw error;
  } finally {
    how.signal?.removeEventListener("abort", abort);
  }
}

type Write = IDBPTransaction<Schema, StoreName[], "readwrite">;

async function make(work: Write, change: Change): Promise<Outcome> {
  const store = work.objectStore(change.store);
  if ("remove" in change) {
    await store.delete(change.remove as string);
    return { ok: true, record: null };
  }
  const raw = await keptFor(work, change);
  const outcome = settled(change, sorted<StoreName>(change.store, raw).records, raw.length > 0);
  if (outcome.ok && outcome.record) await (change.store === "settings" ? store.put(outcome.record, BENCH) : store.put(outcome.record));
  return outcome;
}

async function keptFor(work: Write, change: Exclude<Change, { remove: unknown }>): Promise<[string | number, unknown][]> {
  if ("piece" in change && change.only === null) {
    const makes: unknown[] = await work.objectStore("makes").index("piece").getAll(change.piece);
    return makes.map((value) => [(value as Stores["makes"]).id, value]);
  }
  const id = idIn(change);
  const value: unknown = await work.objectStore(change.store).get(id);
  return value === undefined ? [] : [[id, value]];
}

async function told<T>(signal: AbortSignal | undefined, work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (cause) {
    if (signal?.aborted) throw new RepositoryError("stopped", cause);
    if (cause instanceof RepositoryError) throw cause;
    const full = cause instanceof DOMException && cause.name === "QuotaExceededError";
    throw new RepositoryError(full ? "full" : "failed", cause);
  }
}
