import { type DBSchema, type IDBPDatabase, openDB } from "idb";
import { type Make } from "@/core/piece/make";
import { type BenchEntry } from "@/core/piece/bench";
import { KeepError, type Keeper, type PieceRecord, comparePut } from "./keeper";

interface Schema extends DBSchema {
  pieces: { key: string; value: PieceRecord };
  makes: { key: string; value: Make; indexes: { piece: string } };
  settings: { key: string; value: BenchEntry };
}

const NAME = "hoop-ledger";
const VERSION = 1;
const BENCH = "bench";

/** Keeps everything in the browser's own database. `onBlocked` is told when another window holds an older one open. */
export async function deviceKeeper(onBlocked: () => void): Promise<Keeper> {
  if (!("indexedDB" in globalThis)) throw new KeepError("unavailable", null);
  try {
    return keeperOn(await openDatabase(onBlocked));
  } catch (cause) {
    throw new KeepError("unavailable", cause);
  }
}

function openDatabase(onBlocked: () => void): Promise<IDBPDatabase<Schema>> {
  return openDB<Schema>(NAME, VERSION, {
    upgrade(db) {
      db.createObjectStore("pieces", { keyPath: "id" });
      db.createObjectStore("makes", { keyPath: "id" }).createIndex("piece", "piece");
      db.createObjectStore("settings");
    },
    blocked: onBlocked,
    blocking: (_current, _wanted, event) => (event.target as IDBDatabase).close(),
  });
}

function keeperOn(db: IDBPDatabase<Schema>): Keeper {
  return {
    kind: "device",
    pieces: () => db.getAll("pieces"),
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
