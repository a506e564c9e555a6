import { type DBSchema, type IDBPDatabase, openDB } from "idb";
import { type Make } from "@/core/piece/make";
import { type BenchEntry } from "@/core/piece/bench";
import { KeepError, type Keeper, type PieceRecord, comparePut } from "./keeper";

interface Schema extends DBSchema {
  pieces: { key: string; value: PieceRecord; indexes: { changed: string } };
  makes: { key: string; value: Make; indexes: { piece: string } };
  settings: { key: string; value: BenchEntry };
}

const NAME = "hoop-ledger";
const VERSION = 2;
/** Records read at a time, so that the page can paint between two. */
const CHUNK = 400;
const BENCH = "bench";

/**
 * Keeps everything in the browser's own database. @throws KeepError, "blocked" where another window holds an older one
 * open, "unavailable" where the browser has none to give.
 */
export async function deviceKeeper(): Promise<Keeper> {
  try {
    return keeperOn(await openDatabase());
  } catch (cause) {
    throw cause instanceof KeepError ? cause : new KeepError("unavailable", cause);
  }
}

function openDatabase(): Promise<IDBPDatabase<Schema>> {
  return new Promise((resolve, reject) => {
    let isBlocked = false;
    openDB<Schema>(NAME, VERSION, {
      upgrade(db, from, _to, change) {
        if (from < 1) {
          db.createObjectStore("pieces", { keyPath: "id" });
          db.createObjectStore("makes", { keyPath: "id" }).createIndex("piece", "piece");
          db.createObjectStore("settings");
        }
        if (from < 2) change.objectStore("pieces").createIndex("changed", "changed");
      },
      blocked() {
        isBlocked = true;
        reject(new KeepError("blocked", null));
      },
      blocking: (_current, _wanted, event) => (event.target as IDBDatabase).close(),
    }).then((db) => (isBlocked ? db.close() : resolve(db)), reject);
  });
}

function keeperOn(db: IDBPDatabase<Schema>): Keeper {
  return {
    kind: "device",
    pieces: async () => {
      const all: PieceRecord[] = [];
      for (let chunk = await db.getAll("pieces", undefined, CHUNK); chunk.length > 0;) {
        all.push(...chunk);
        chunk = await db.getAll("pieces", IDBKeyRange.lowerBound(chunk.at(-1)!.id, true), CHUNK);
      }
      return all;
    },
    newest: async (count) => {
      const records: PieceRecord[] = [];
      let cursor = await db.transaction("pieces").store.index("changed").openCursor(null, "prev");
      for (; cursor && records.length < count; cursor = await cursor.continue()) records.push(cursor.value);
      return records;
    },
    ids: async () => (await db.getAllKeysFromIndex("pieces", "changed")).reverse(),
    piece: async (id) => (await db.get("pieces", id)) ?? null,
    putPiece: (record, madeOn) =>
      told(async () => {
        const write = db.transaction("pieces", "readwrite");
        const put = comparePut((await write.store.get(record.id)) ?? null, record, madeOn);
        await Promise.all([put.ok ? write.store.put(put.record) : null, write.done]);
        return put;
      }),
    removePieces: (ids) =>
      told(async () => {
        const write = db.transaction("pieces", "readwrite");
        await Promise.all([...ids.map((id) => write.store.delete(id)), write.done]);
      }),
    bench: async () => (await db.get("settings", BENCH)) ?? null,
    putBench: (bench) => told(async () => void (await db.put("settings", bench, BENCH))),
    makes: (piece) => db.getAllFromIndex("makes", "piece", piece),
    allMakes: () => db.getAll("makes"),
    putMake: (make) => told(async () => void (await db.put("makes", make))),
  };
}

async function told<T>(write: () => Promise<T>): Promise<T> {
  try {
    return await write();
  } catch (cause) {
    const full = cause instanceof DOMException && cause.name === "QuotaExceededError";
    throw new KeepError(full ? "full" : "failed", cause);
  }
}
