import { openDB } from "idb";
import { type Piece } from "@/core/piece/piece";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import tern from "@/core/piece/reference/tern-ring.piece.json";
import { newDevice } from "./a-page.testing";
import { openAhead } from "./database";
import { deviceKeeper } from "./device";
import { type Change, RepositoryError, type Repository, type MakeRecord } from "./repository";
import { memoryKeeper } from "./memory";
import { makeRecord, pieceRecord } from "./restoring";

const piece = tern as unknown as Piece;
const record = (id: string, changed: string) => pieceRecord({ ...piece, id }, changed);
const put = (id: string, changed: string, madeOn: number | null | "any" = null): Change => ({
  store: "pieces",
  put: record(id, changed),
  madeOn,
});
const make = (id: string, done: readonly string[] = []) =>
  makeRecord(
    {
      format: "hoop-ledger/make",
      version: 3,
      id,
      piece: "a",
      pieceFile: { ...piece, id: "a" },
      started: "2026-11-12",
      finished: null,
      done: done.map((step) => ({ step, at: "2026-11-12" })),
      measured: [],
      remedies: [],
      notes: "",
    },
    "2026-11-12",
  );

beforeEach(newDevice);

describe.each([
  ["memory", () => Promise.resolve(memoryKeeper())],
  ["device", deviceKeeper],
] as const)("what every repository promises: %s", (kind, open) => {
  let repository: Repository;
  beforeEach(async () => void (repository = await open()));

  test("says what it is, and starts with nothing", async () => {
    expect(repository.kind).toBe(kind);
    expect(await repository.newest(5)).toEqual({ records: [], unreadable: [], of: 0 });
    expect(await repository.bench()).toEqual({ records: [], unreadable: [] });
  });

  test("a write names the revision it was made on; one made on another is refused with what is there", async () => {
    expect(await repository.write([put("a", "1")])).toMatchObject([{ ok: true, record: { revision: 1 } }]);
    expect(await repository.write([put("a", "2", 1)])).toMatchObject([{ ok: true, record: { revision: 2 } }]);
    for (const madeOn of [1, 3, null])
      expect(await repository.write([put("a", "3", madeOn)])).toMatchObject([{ ok: false, newer: { revision: 2, changed: "2" } }]);
    expect(await repository.write([put("a", "4", "any")])).toMatchObject([{ ok: true, record: { revision: 3 } }]);
    expect(await repository.write([{ store: "pieces", remove: "a" }])).toMatchObject([{ ok: true }]);
    expect(await repository.piece("a")).toBeNull();
    expect(await repository.write([put("a", "5", 3)])).toEqual([{ ok: false, newer: null }]);
  });

  test("pieces come newest first, as many as asked for, and all of them", async () => {
    await repository.write([put("a", "2"), put("b", "3"), put("c", "1")]);
    expect(await repository.ids()).toEqual(["b", "a", "c"]);
    const { records, of } = await repository.newest(2);
    expect([records.map(({ id }) => id), of]).toEqual([["b", "a"], 3]);
    for (const [count, expected] of [
      [1, ["b"]],
      [3, ["b", "a", "c"]],
      [4, ["b", "a", "c"]],
    ] as const)
      expect((await repository.newest(count)).records.map(({ id }) => id)).toEqual(expected);
    expect((await repository.pieces()).records.map(({ id }) => id).sort()).toEqual(["a", "b", "c"]);
    await repository.write([put("d", "2"), put("e", "2")]);
    expect((await repository.newest(2)).records).toHaveLength(2);
  });

  test("a change is made to what is kept at that moment, and null leaves it as it is", async () => {
    await repository.write([put("a", "1")]);
    const rename = (name: string): Change => ({
      store: "pieces",
      id: "a",
      change: (kept) => kept && { ...kept, piece: { ...kept.piece, name: kept.piece.name + name } },
    });
    await Promise.all([repository.write([rename("1")]), repository.write([rename("2")])]);
    expect(await repository.piece("a")).toMatchObject({ revision: 3, piece: { name: "Tern ring12" } });
    const [left] = await repository.write([{ store: "pieces", id: "a", change: () => null }]);
    expect(left).toMatchObject({ ok: false, newer: { revision: 3 } });
    expect(await repository.write([{ store: "pieces", id: "none", change: (kept) => kept }])).toEqual([{ ok: false, newer: null }]);
  });

  test("makes are changed by the piece they make, the bench by itself", async () => {
    const tick = (step: string): Change => ({
      store: "makes",
      piece: "a",
      only: null,
      change: (kept: readonly MakeRecord[]) => make("a-1", [...(kept[0]?.make.done ?? []).map((each) => each.step), step]),
    });
    await Promise.all(["one", "two", "three"].map((step) => repository.write([tick(step)])));
    expect((await repository.makes()).records).toMatchObject([
      { revision: 3, make: { done: [{ step: "one" }, { step: "two" }, { step: "three" }] } },
    ]);
    await repository.write([{ store: "makes", put: make("a-2", []), madeOn: null }]);
    const seen: string[][] = [];
    const alone = (kept: readonly MakeRecord[]) => {
      seen.push(kept.map(({ id }) => id));
      return make("a-2", ["four"]);
    };
    await repository.write([{ store: "makes", piece: "a", only: "a-2", change: alone }]);
    expect([seen, await repository.makesOf("a")]).toMatchObject([
      [["a-2"]],
      [{ make: { done: [{}, {}, {}] } }, { make: { done: [{ step: "four" }] } }],
    ]);
    const overshoot = (by: number): Change => ({
      store: "settings",
      id: "bench",
      change: (kept) => ({ id: "bench", bench: { ...(kept?.bench ?? SHIPPED_BENCH), overshoot: by }, changed: "1" }),
    });
    await repository.write([overshoot(4)]);
    await repository.write([overshoot(5)]);
    expect((await repository.bench()).records).toMatchObject([{ revision: 2, bench: { overshoot: 5 } }]);
  });

  test("many changes are made together or not at all: stopped or thrown out of, nothing of them stands", async () => {
    await repository.write([put("a", "1")]);
    const stop = new AbortController();
    const many = Array.from({ length: 20 }, (_, i) => put(`p${i}`, "2"));
    const stopped = repository.write(many, { signal: stop.signal, onDone: (done) => done === 7 && stop.abort() });
    await expect(stopped).rejects.toMatchObject({ trouble: "stopped" });
    expect(await repository.ids()).toEqual(["a"]);
    const failing: Change = {
      store: "pieces",
      id: "a",
      change: () => {
        throw new RangeError("ours");
      },
    };
    await expect(repository.write([put("b", "2"), failing])).rejects.toThrow();
    expect(await repository.ids()).toEqual(["a"]);
    let told = 0;
    await repository.write(many, { onDone: (done) => void (told = done) });
    expect([told, (await repository.ids()).length]).toEqual([20, 21]);
  });
});

test("a device that is full says so, and keeps nothing of the write that found it full", async () => {
  const repository = await deviceKeeper();
  await repository.write([put("a", "1")]);
  const writes = repository.write([put("b", "2"), put("c", "3")], {
    onDone: (done) => {
      if (done === 1)
        jest.spyOn(IDBObjectStore.prototype, "put").mockImplementationOnce(() => {
          throw new DOMException("full", "QuotaExceededError");
        });
    },
  });
  await expect(writes).rejects.toMatchObject({ trouble: "full" });
  expect(await repository.ids()).toEqual(["a"]);
});

/** Writes straight into the database, as no program of ours would. */
async function tamper(store: "pieces" | "makes" | "settings", value: unknown, key?: string): Promise<void> {
  const db = await openDB("hoop-ledger");
  await db.put(store, value, key);
  db.close();
}

const good = { ...record("good", "2026"), revision: 1 };
const tampered: readonly [string, Record<string, unknown>][] = [
  ["no changed", { ...good, changed: undefined }],
  ["a number for changed", { ...good, changed: 5 }],
  ["no piece", { ...good, piece: undefined }],
  ["a piece of text", { ...good, piece: "tern" }],
  ["a piece without mounts", { ...good, piece: { ...piece, mounts: [] } }],
  ["a mount of null", { ...good, piece: { ...piece, mounts: [null] } }],
  ["an unknown shape", { ...good, piece: { ...piece, mounts: [{ ...piece.mounts[0], stone: { outline: { shape: "blob" } } }] } }],
  ["a newer version", { ...good, piece: { ...piece, version: 9 } }],
  ["another id inside", { ...good, piece: { ...piece, id: "other" } }],
  ["no drafts", { ...good, drafts: undefined }],
  ["drafts of numbers", { ...good, drafts: { a: 5 } }],
  ["unmeasured of null", { ...good, unmeasured: null }],
  ["a revision of text", { ...good, revision: "1" }],
  ["deleted a number", { ...good, deleted: 1 }],
  ["a name of a number", { ...good, piece: { ...piece, name: 7 } }],
];

test.each(tampered)("a record with %s is set aside as it is, and hides no other", async (_name, raw) => {
  const repository = await deviceKeeper();
  await repository.write([put("a", "1")]);
  const bad = { ...raw, id: "bad", ...(typeof raw.piece === "object" && { piece: { id: "bad", ...(raw.piece as object) } }) };
  await tamper("pieces", bad);
  const { records, unreadable } = await repository.pieces();
  expect(records.map(({ id }) => id)).toEqual(["a"]);
  expect(unreadable).toMatchObject([{ store: "pieces", key: "bad" }]);
  expect(unreadable[0]!.faults.length).toBeGreaterThan(0);
  expect(await repository.piece("bad")).toBeNull();
  expect((await repository.ids()).sort()).toEqual(["a", "bad"]);
  expect(await repository.write([put("bad", "2")])).toEqual([{ ok: false, newer: null }]);
});

test("a piece whose sizes an older program took is read, so that it can be put right; a broken make or bench is set aside", async () => {
  const repository = await deviceKeeper();
  const thin = structuredClone(good) as unknown as { id: string; piece: { id: string; carrier: { stock: { thickness: number } } } };
  [thin.id, thin.piece.id, thin.piece.carrier.stock.thickness] = ["thin", "thin", 5.5e-11];
  await tamper("pieces", thin);
  expect(await repository.piece("thin")).toMatchObject({ piece: { carrier: { stock: { thickness: 5.5e-11 } } } });
  await repository.write([{ store: "makes", put: make("a-1"), madeOn: null }]);
  await tamper("makes", { id: "a-2", piece: "a", make: { done: 5 }, revision: 1, changed: "1" });
  expect(await repository.makes()).toMatchObject({ records: [{ id: "a-1" }], unreadable: [{ store: "makes", key: "a-2" }] });
  await tamper("settings", { id: "bench", bench: { shelves: "none" }, revision: 1, changed: "1" }, "bench");
  expect(await repository.bench()).toMatchObject({ records: [], unreadable: [{ store: "settings", key: "bench" }] });
});

test("a database of version 2 is brought up: makes and the bench get a revision, and nothing of them is lost", async () => {
  const old = await openDB("hoop-ledger", 2, {
    upgrade(db) {
      db.createObjectStore("pieces", { keyPath: "id" }).createIndex("changed", "changed");
      db.createObjectStore("makes", { keyPath: "id" }).createIndex("piece", "piece");
      db.createObjectStore("settings");
    },
  });
  const plain = make("a-1", ["one"]).make;
  await old.put("makes", plain);
  await old.put("settings", { ...SHIPPED_BENCH, overshoot: 6 }, "bench");
  old.close();
  const repository = await deviceKeeper();
  expect(await repository.makes()).toMatchObject({ records: [{ id: "a-1", piece: "a", revision: 1, make: plain }], unreadable: [] });
  expect(await repository.bench()).toMatchObject({ records: [{ revision: 1, bench: { overshoot: 6 } }], unreadable: [] });
});

test("a database opened ahead is the one that is taken, once; what went wrong with it is told to who takes it", async () => {
  const open = jest.spyOn(indexedDB, "open");
  openAhead();
  const repository = await deviceKeeper();
  expect(open).toHaveBeenCalledTimes(1);
  await repository.write([put("a", "1")]);
  expect(await (await deviceKeeper()).ids()).toEqual(["a"]);
  expect(open).toHaveBeenCalledTimes(2);
  newDevice();
  (await openDB("hoop-ledger", 99)).close();
  openAhead();
  await expect(deviceKeeper()).rejects.toMatchObject(new RepositoryError("newer", null));
});

test("a database that a newer program left says so", async () => {
  (await openDB("hoop-ledger", 99)).close();
  await expect(deviceKeeper()).rejects.toMatchObject(new RepositoryError("newer", null));
});
