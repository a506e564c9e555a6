import { SHIPPED_BENCH } from "@/core/piece/bench";
import { type Piece } from "@/core/piece/piece";
import tern from "@/core/piece/reference/tern-ring.piece.json";
import { pieceFaults } from "@/formats/piece-codec";
import oldSamphire from "@/formats/version-1/samphire-ring.piece.json";
import oldTern from "@/formats/version-1/tern-ring.piece.json";
import { layOutPage, stored } from "./a-page.testing";
import { freeId } from "./ids";
import { clearJournal, dropAside, readJournal, setAside, writeJournal } from "./journal";
import { type MakeEdit } from "./make-edits";
import { overFaults, readJournalEntry, readNews, readRecord } from "./read-kept";
import { pieceRecord } from "./restoring";

beforeAll(layOutPage);
beforeEach(() => {
  stored.clear();
  for (const key of Object.keys(localStorage)) localStorage.removeItem(key);
});

const piece = tern as unknown as Piece;
const changed = "2026-11-12T09:41:00Z";
const record = (more: object = {}) => ({ ...pieceRecord(piece, changed), revision: 3, ...more });
const make = {
  format: "hoop-ledger/make",
  version: 3,
  id: "m-1",
  piece: piece.id,
  pieceFile: piece,
  started: changed,
  finished: null,
} as const;
const whole = { ...make, done: [{ step: "a", at: changed }], measured: [], remedies: [], notes: "" };
const kept = (more: object = {}) => ({ id: "m-1", piece: piece.id, make: whole, changed, revision: 1, ...more });
const told = (read: ReturnType<typeof readRecord> | ReturnType<typeof readNews> | ReturnType<typeof readJournalEntry>) =>
  read.ok ? [] : read.faults.map(({ path, code }) => `${path} ${code}`);

test("a record is read as it was put, or refused by the place of what is wrong", () => {
  expect(readRecord("pieces", record())).toEqual({ ok: true, value: record() });
  expect(told(readRecord("pieces", record({ changed: undefined })))).toEqual(["/changed missing"]);
  expect(told(readRecord("pieces", record({ revision: 1.5 })))).toEqual(["/revision whole-number"]);
  expect(told(readRecord("pieces", record({ drafts: { a: { text: 7 } } })))).toEqual([
    "/drafts/a/problem missing",
    "/drafts/a/text wrong-type",
  ]);
  expect(told(readRecord("pieces", record({ id: "other" })))).toEqual(["/piece/id duplicate"]);
  expect(told(readRecord("pieces", record({ piece: { ...piece, kind: "hat" } })))).toEqual(["/piece/kind one-of"]);
  for (const nothing of [null, undefined, 7, "x", []]) expect(readRecord("pieces", nothing).ok).toBe(false);
  expect(readRecord("makes", kept())).toEqual({ ok: true, value: kept() });
  expect(told(readRecord("makes", kept({ make: { ...whole, done: ["a"] } })))).toEqual(["/make/done/0 wrong-type"]);
  const bench = { id: "bench", bench: SHIPPED_BENCH, changed, revision: 1 };
  expect(readRecord("settings", bench)).toEqual({ ok: true, value: bench });
  expect(told(readRecord("settings", { ...bench, id: "other" }))).toEqual(["/id wrong-format"]);
  expect(told(readRecord("settings", { ...bench, bench: { ...SHIPPED_BENCH, overshoot: 40 } }))).toEqual(["/bench/overshoot at-most"]);
});

test("what an older program kept is brought up as it is read, also where it would be taken no more", () => {
  const old = (of: object, more: object = {}) => ({ ...record(), id: "samphire-ring", piece: of, ...more });
  expect(readRecord("pieces", old(oldSamphire))).toMatchObject({
    ok: true,
    value: { piece: { version: 3, mounts: [{ wall: { cup: { length: 11 } } }] } },
  });
  const thin = { ...oldTern, carrier: { ...oldTern.carrier, stock: { ...oldTern.carrier.stock, thickness: 5.5e-11 } } };
  const read = readRecord("pieces", old(thin, { id: "tern-ring" }));
  if (!read.ok) throw new Error(JSON.stringify(read.faults));
  expect(pieceFaults(read.value.piece, SHIPPED_BENCH).map(({ path, code }) => `${path} ${code}`)).toEqual([
    "/carrier/stock/thickness at-least",
  ]);
  expect(
    readRecord("makes", kept({ make: { ...make, version: 1, pieceFile: oldTern, done: ["a"], measured: [], notes: "" } })),
  ).toMatchObject({
    ok: true,
    value: { make: { version: 3, done: [{ step: "a", at: "" }] } },
  });
  const bench = { format: "hoop-ledger/bench", version: 1, minutes: { pickle: 5 } };
  expect(readRecord("settings", { id: "bench", bench, changed, revision: 1 })).toMatchObject({
    ok: true,
    value: { bench: { version: 3, minutes: { "join.pickle": { hands: 1, wait: 5 } } } },
  });
  expect(told(readRecord("pieces", record({ piece: { ...piece, version: 4 } })))).toEqual(["/piece/version too-new"]);
});

test("the journal gives back what was written, name by name; what cannot be read is set aside with why, and can be dropped", () => {
  const { revision: _none, ...unrevised } = record();
  writeJournal("tern-ring", { kind: "piece", record: unrevised, madeOn: 3 });
  writeJournal("t", { kind: "making", piece: piece.id, make: whole, edit: { put: { done: [{ step: "a", at: changed }] } } });
  writeJournal("b", { kind: "bench", edits: [{ path: ["overshoot"], after: 3 }] });
  localStorage.setItem("hoop-ledger/journal/torn", "{");
  localStorage.setItem("hoop-ledger/journal/strange", '{"kind":"spoon"}');
  localStorage.setItem("elsewhere", "{");
  const read = readJournal();
  expect(read.map(({ name }) => name).sort()).toEqual(["b", "t", "tern-ring"]);
  expect(read.find(({ name }) => name === "tern-ring")!.entry).toEqual({ kind: "piece", record: unrevised, madeOn: 3 });
  expect(setAside().map(({ key, raw, faults }) => [key, raw, faults[0]!.code])).toEqual([
    ["torn", "{", "not-json"],
    ["strange", '{"kind":"spoon"}', "one-of"],
  ]);
  expect(readJournal()).toHaveLength(3);
  clearJournal("t");
  dropAside("torn");
  expect([
    readJournal()
      .map(({ name }) => name)
      .sort(),
    setAside().map(({ key }) => key),
  ]).toEqual([["b", "tern-ring"], ["strange"]]);
  expect(told(readJournalEntry({ kind: "piece", record: { ...unrevised, piece: 5 }, madeOn: 1 }))).toEqual(["/piece wrong-type"]);
  const edit = { put: { done: [{ step: "a", at: "" }] } };
  expect(told(readJournalEntry({ kind: "making", piece: "a", make: { ...whole, id: 5 }, edit }))).toEqual(["/id wrong-type"]);
  expect(told(readJournalEntry({ kind: "making", piece: "a", make: whole, edit: { put: { done: [{ step: 5 }] } } }))).toEqual([
    "/done/1/at missing",
    "/done/1/step wrong-type",
  ]);
  expect(readJournalEntry({ kind: "tick", piece: piece.id, make: whole, step: "a", isDone: true })).toEqual({
    ok: true,
    value: { kind: "making", piece: piece.id, make: whole, edit },
  });
});

test("a browser that refuses its storage is told in the console, and nothing else stops", () => {
  const heard = jest.spyOn(console, "warn").mockImplementation(() => undefined);
  const setItem = localStorage.setItem.bind(localStorage);
  Object.defineProperty(localStorage, "setItem", {
    configurable: true,
    value: () => {
      throw new DOMException("full", "QuotaExceededError");
    },
  });
  writeJournal("b", { kind: "bench", edits: [] });
  Object.defineProperty(localStorage, "setItem", { configurable: true, value: setItem });
  expect(heard.mock.calls.map(([what]) => String(what))).toEqual(["journal not written"]);
  expect(readJournal()).toEqual([]);
  heard.mockRestore();
});

test("news of other windows is which pieces or that a making or the bench changed; anything else is not for us", () => {
  expect(readNews({ kind: "pieces", ids: ["a"] })).toEqual({ ok: true, value: { kind: "pieces", ids: ["a"] } });
  for (const kind of ["bench", "tries", "cuts"]) expect(readNews({ kind }).ok).toBe(true);
  for (const strange of [null, "pieces", { kind: "pieces" }, { kind: "spoon" }, { kind: "makes", ids: [7] }])
    expect(readNews(strange).ok).toBe(false);
});

test("an id is made from a name: small letters, digits and hyphens, never too long, never one that is taken", () => {
  const free = (name: string, ...taken: string[]) => freeId(new Set(taken), name);
  expect([free("Tern ring"), free("Tern ring", "tern-ring"), free("Tern ring", "tern-ring", "tern-ring-2")]).toEqual([
    "tern-ring",
    "tern-ring-2",
    "tern-ring-3",
  ]);
  expect([free("Ébène 2"), free("9 lives"), free("!!!"), free("a".repeat(80))]).toEqual(["ebene-2", "lives", "piece", "a".repeat(26)]);
});

test("a make over a limit reads up to it, with what is over beside it; a piece in it is never cut", () => {
  const photos = Array.from({ length: 6 }, (_, i) => ({ name: `p${i}`, at: changed, jpeg: "" }));
  const read = readRecord("makes", kept({ make: { ...whole, photos, notes: "n".repeat(20_005) } }));
  expect(read).toMatchObject({
    ok: true,
    value: { make: { photos: photos.slice(0, 4), notes: "n".repeat(20_000) }, over: { "/photos": photos.slice(4), "/notes": "nnnnn" } },
  });
  if (!read.ok) throw new Error("refused");
  expect(overFaults(read.value.over!).map(({ path, values }) => [path, values.count])).toEqual([
    ["/make/photos", 2],
    ["/make/notes", 5],
  ]);
  expect(readRecord("makes", read.value)).toEqual(read);
  const mounts = Array.from({ length: 13 }, (_, i) => ({ ...piece.mounts[0], id: `m${i}` }));
  expect(told(readRecord("makes", kept({ make: { ...whole, pieceFile: { ...piece, mounts } } })))).toEqual([
    "/make/pieceFile/mounts too-many",
  ]);
});

test("the journal holds whatever a making lists, so that a browser that ends loses none of it", () => {
  const lists = {
    ...{ done: 1, measured: 1, remedies: 1, taken: 1, photos: 1, held: 1, notesWas: 1, datesWas: 1, resultWas: 1 },
  } satisfies Record<keyof NonNullable<MakeEdit["put"]>, 1>;
  const entries = Object.fromEntries(Object.keys(lists).map((list) => [list, []]));
  const entry = { kind: "making", piece: piece.id, make: whole, edit: { put: entries, drop: entries } };
  expect(readJournalEntry(entry)).toEqual({ ok: true, value: entry });
  expect(readJournalEntry({ ...entry, edit: { put: { spoons: [] } } }).ok).toBe(false);
});
