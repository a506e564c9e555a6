import { type IDBPTransaction, type IndexNames } from "idb";
import { BENCH, type Database, type Schema, takeDatabase } from "./database";
import {
  type Change,
  KeepError,
  type Keeper,
  type Outcome,
  type ReadStore,
  type StoreName,
  type Stores,
  type Unreadable,
  settled,
} from "./keeper";
import { readRecord } from "./read-kept";

/** Records read at a time, so that the page can paint between two. */
const CHUNK = 400;

/**
 * Keeps everything in the browser's own database. @throws KeepError, "blocked" where another window holds an older one
 * open, "newer" where a newer program was here, "unavailable" where the browser has none to give.
 */
export async function deviceKeeper(): Promise<Keeper> {
  try {
    return keeperOn(await takeDatabase());
  } catch (cause) {
    if (cause instanceof KeepError) throw cause;
    const isNewer = cause instanceof DOMException && cause.name === "VersionError";
    throw new KeepError(isNewer ? "newer" : "unavailable", cause);
  }
}

function keeperOn(db: Database): Keeper {
  return {
    kind: "device",
    pieces: () => all(db, "pieces"),
    newest: (count) => last(db, "pieces", "changed", count),
    ids: async () => {
      const [newest, every] = await Promise.all([db.getAllKeysFromIndex("pieces", "changed"), db.getAllKeys("pieces")]);
      const dated = new Set(newest);
      return [...newest.reverse(), ...every.filter((id) => !dated.has(id))].map(String);
    },
    piece: async (id) => {
      const raw: unknown = await db.get("pieces", id);
      const read = raw === undefined ? null : readRecord("pieces", raw);
      return read?.ok ? read.value : null;
    },
    makes: () => all(db, "makes"),
    newestMakes: (count) => last(db, "makes", "started", count),
    makesOf: async (piece) => {
      const raw: unknown[] = await db.getAllFromIndex("makes", "piece", piece);
      return sorted(
        "makes",
        raw.map((value) => [(value as Stores["makes"]).id, value]),
      ).records;
    },
    bench: async () => {
      const raw: unknown = await db.get("settings", BENCH);
      return sorted("settings", raw === undefined ? [] : [[BENCH, raw]]);
    },
    write: (changes, how = {}) => told(how.signal, () => write(db, changes, how)),
  };
}

/** The last of an index, backward, and how many there are in all: read in as few turns as may be, for each waits for the page to be free. */
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
async function all<S extends "pieces" | "makes">(db: Database, store: S): Promise<ReadStore<Stores[S]>> {
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
    if (read.ok) records.push(read.value);
    else unreadable.push({ store, key, raw, faults: read.faults });
  }
  return { records, unreadable };
}

async function write(db: Database, changes: readonly Change[], how: Parameters<Keeper["write"]>[1] = {}): Promise<Outcome[]> {
  const work = db.transaction([...new Set(changes.map(({ store }) => store))], "readwrite");
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
    await done;
    return outcomes;
  } catch (error) {
    if (!how.signal?.aborted) abortQuietly(work);
    throw error;
  } finally {
    how.signal?.removeEventListener("abort", abort);
  }
}

/** A transaction that has ended by itself cannot be aborted again. */
function abortQuietly(work: { abort(): void }): void {
  try {
    work.abort();
  } catch (error) {
    if (!(error instanceof DOMException && error.name === "InvalidStateError")) throw error;
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
  const outcome = settled(change, sorted(change.store, raw).records, raw.length > 0);
  if (outcome.ok && outcome.record) await (change.store === "settings" ? store.put(outcome.record, BENCH) : store.put(outcome.record));
  return outcome;
}

async function keptFor(work: Write, change: Exclude<Change, { remove: unknown }>): Promise<[string | number, unknown][]> {
  if ("piece" in change) {
    const makes: unknown[] = await work.objectStore("makes").index("piece").getAll(change.piece);
    return makes.map((value) => [(value as Stores["makes"]).id, value]);
  }
  const id = "id" in change ? change.id : change.put.id;
  const value: unknown = await work.objectStore(change.store).get(id);
  return value === undefined ? [] : [[id, value]];
}

async function told<T>(signal: AbortSignal | undefined, work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (cause) {
    if (signal?.aborted) throw new KeepError("stopped", cause);
    const full = cause instanceof DOMException && cause.name === "QuotaExceededError";
    throw new KeepError(full ? "full" : "failed", cause);
  }
}
