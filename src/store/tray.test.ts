import { DEMO_BENCH } from "@demo/bench";
import { lastMake } from "./tray-state";
import { deleteDB, openDB } from "idb";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { type Make } from "@/core/piece/make";
import { type Piece } from "@/core/piece/piece";
import tern from "@/core/piece/reference/tern-ring.piece.json";
import { readBackup } from "@/formats/backup-codec";
import { type Json, type JsonObject } from "@/formats/read-json";
import { full, layOutPage, newDevice, told } from "./a-page.testing";
import { everythingName, everythingText } from "./files";
import { readJournal, writeJournal } from "./journal";
import { RepositoryError } from "./repository";
import { type Choice } from "./restore-items";
import { pieceRecord } from "./restoring";
import { isTold } from "./tray-state";
import { type Tray, openTray as opening } from "./tray";

const opened: Tray[] = [];
async function openTray(demo: Parameters<typeof opening>[0]): Promise<Tray> {
  const tray = await opening(demo);
  opened.push(tray);
  return tray;
}

const piece = tern as unknown as Piece;
const called = (id: string, name = id): Piece => ({ ...piece, id, name });
const demo = () => Promise.resolve({ bench: DEMO_BENCH, pieces: [called("first"), called("second")], makes: () => Promise.resolve([]) });
const lying = (tray: Tray) => tray.store.getState().pieces.filter(({ deleted }) => deleted === null);
const ids = (tray: Tray) => lying(tray).map(({ id }) => id);

beforeAll(layOutPage);
beforeEach(() => {
  newDevice();
  jest.spyOn(console, "error").mockImplementation(() => undefined);
  jest.spyOn(console, "warn").mockImplementation(() => undefined);
});

afterEach(() => opened.splice(0).forEach((tray) => tray.close()));

async function until(isSo: () => boolean): Promise<void> {
  while (!isSo()) await new Promise((resolve) => setTimeout(resolve, 5));
}

const tick = (tray: Tray, piece: Piece, step: string) => tray.tick(tray.making(piece), [step], true);
const steps = (make: Make | undefined) => make!.done.map(({ step }) => step);

test("a tray that has never held a piece gets the demo, the last given first; once it has, it does not", async () => {
  const tray = await openTray(demo);
  expect(ids(tray)).toEqual(["second", "first"]);
  expect(tray.store.getState().bench).toEqual(DEMO_BENCH);
  await tray.setDeleted(["first", "second"], true);
  expect(ids(await openTray(demo))).toEqual([]);
  expect(ids(await openTray(null))).toEqual([]);
});

test("two windows that lay out the demo at once lay it out once", async () => {
  const [one, other] = await Promise.all([openTray(demo), openTray(demo)]);
  await one.readNewest();
  expect(ids(one)).toEqual(["second", "first"]);
  expect(ids(other).length).toBeLessThanOrEqual(2);
});

test.each([
  ["no JSON", "{"],
  ["no entry", "null"],
  ["an entry of no kind", '{"kind":"other"}'],
  ["a piece that is none", JSON.stringify({ kind: "piece", record: { id: "x" }, madeOn: null })],
  ["a tick without a make", JSON.stringify({ kind: "tick", piece: "a", make: {}, step: "s", isDone: true })],
])("a journal with %s still ends with a tray, and stands among what could not be read", async (_name, text) => {
  localStorage.setItem("hoop-ledger/journal/broken", text);
  const tray = await openTray(demo);
  expect(ids(tray)).toHaveLength(2);
  expect(tray.store.getState().unreadable).toMatchObject([{ store: "journal", key: "broken", raw: text }]);
  expect(readJournal()).toEqual([]);
  await tray.drop(tray.store.getState().unreadable[0]!);
  expect((await openTray(demo)).store.getState().unreadable).toEqual([]);
});

test("with no room the tray stands all the same: the demo is not laid out, an unwritten change waits and is written once there is", async () => {
  const tray = await full(() => openTray(demo));
  expect([ids(tray), tray.store.getState().trouble]).toEqual([[], "full"]);
  writeJournal("waits", { kind: "piece", record: pieceRecord(called("waits"), "2026"), madeOn: null });
  const later = await full(() => openTray(null));
  expect(later.store.getState().trouble).toBe("full");
  expect(readJournal()).toHaveLength(1);
  await later.replay();
  expect(later.store.getState().trouble).toBeNull();
  await later.readNewest();
  expect(ids(later)).toEqual(["waits"]);
  expect(readJournal()).toEqual([]);
});

test("a newer program's database is left alone, and no demo is shown in its place", async () => {
  (await openDB("hoop-ledger", 99)).close();
  const tray = await openTray(demo);
  expect([tray.store.getState().trouble, ids(tray)]).toEqual(["newer", []]);
});

test("what the journal holds is put where it belongs, or beside what has moved on since", async () => {
  const tray = await openTray(null);
  await tray.add(called("tern"));
  const record = tray.store.getState().pieces[0]!;
  await tray.rename("tern", "Newer");
  const { revision: _revision, ...mine } = record;
  writeJournal("tern", { kind: "piece", record: { ...mine, piece: called("tern", "Mine") }, madeOn: 1 });
  await tick(tray, called("tern"), "one");
  const make = tray.store.getState().makes.tern![0]!;
  writeJournal("t", { kind: "making", piece: "tern", make, edit: { put: { done: [{ step: "two", at: "" }] } } });
  writeJournal("b", { kind: "bench", edits: [{ path: ["overshoot"], after: 3 }] });
  const again = await openTray(null);
  expect(lying(again).map((each) => [each.id, each.piece.name])).toEqual([
    ["tern", "Newer"],
    ["tern-2", "Mine (kept)"],
  ]);
  await again.readMakes();
  expect(steps(lastMake(again.store.getState().makes, "tern"))).toEqual(["one", "two"]);
  expect(again.store.getState().bench.overshoot).toBe(3);
});

test("ticks made in two windows are all kept, one that is not kept does not show, and the last can be taken back", async () => {
  const [here, there] = [await openTray(null), await openTray(null)];
  const all = Array.from({ length: 20 }, (_, i) => `step-${i}`);
  const kept = await Promise.all(
    all.map(async (step, i) => {
      for (let turn = 0; turn < i; turn++) await new Promise(setImmediate);
      return tick(i % 2 ? here : there, piece, step);
    }),
  );
  expect(kept.map(({ ok }) => ok)).toEqual(all.map(() => true));
  await here.readMakes();
  expect([...steps(lastMake(here.store.getState().makes, piece.id))].sort()).toEqual([...all].sort());
  expect((await full(() => tick(here, piece, "late"))).ok).toBe(false);
  expect(steps(lastMake(here.store.getState().makes, piece.id))).not.toContain("late");
  const made = lastMake(here.store.getState().makes, piece.id)!;
  expect(await here.stepMake(made, "past")).toMatchObject({ put: { done: [{ step: "step-19" }] } });
  expect(steps(lastMake(here.store.getState().makes, piece.id))).not.toContain("step-19");
  await here.stepMake(made, "future");
  expect(steps(lastMake(here.store.getState().makes, piece.id))).toContain("step-19");
});

test("other windows are told what has changed: which pieces, that a making did, that the bench did", async () => {
  const here = await openTray(null);
  told.length = 0;
  await here.addAll([called("a"), called("b")]);
  await here.rename("b", "Other");
  await tick(here, called("a"), "one");
  await here.changeBench((each) => void (each.overshoot = 6));
  expect(told).toEqual([
    { kind: "pieces", ids: ["a", "b"] },
    { kind: "pieces", ids: ["b"] },
    { kind: "makes", ids: ["a"] },
    { kind: "bench" },
  ]);
});

test("a device that was full says so until something is kept again", async () => {
  const here = await openTray(null);
  await here.addAll([called("a")]);
  await expect(full(() => here.rename("a", "Other"))).rejects.toBeInstanceOf(RepositoryError);
  expect(here.store.getState().trouble).toBe("full");
  await here.rename("a", "Again");
  expect(here.store.getState().trouble).toBeNull();
});

test("what is our own mistake is not told as a full device", () => {
  expect(() => isTold(new TypeError("x"))).toThrow(TypeError);
  expect(isTold(new RepositoryError("full", null))).toBeUndefined();
});

test("a change of the bench or a tick stands in the journal at once, so that a page that goes away meanwhile loses neither", async () => {
  const here = await openTray(null);
  const [bench, ticked] = [here.changeBench((each) => void (each.overshoot = 6)), tick(here, piece, "first")];
  expect(readJournal().map(({ entry }) => entry.kind)).toEqual(["bench", "making"]);
  expect([await bench, (await ticked).ok]).toEqual([null, true]);
  expect(readJournal()).toEqual([]);
});

test("changes of one list of the bench that are made before the first is kept all count, each undone by itself", async () => {
  const here = await openTray(null);
  const read = (label: string, diameter: number) =>
    here.changeBench((bench) => void (bench.mandrel = [...(bench.mandrel ?? []), { label, diameter }]));
  const labels = () => here.store.getState().bench.mandrel?.map(({ label }) => label);
  const both = [read("P", 17.9), read("Q", 18.3)];
  expect(readJournal().map(({ entry }) => entry.kind)).toEqual(["bench", "bench"]);
  expect(await Promise.all(both)).toEqual([null, null]);
  expect(labels()).toEqual(["P", "Q"]);
  expect(await here.undoBench()).toBeNull();
  expect(labels()).toEqual(["P"]);
  expect(await full(() => read("R", 18.7))).toMatch(/not kept/);
  expect(await read("S", 19.1)).toBeNull();
  expect(labels()).toEqual(["P", "S"]);
  here.close();
});

test("changes of the bench in two windows both count; each is undone by itself, and not over the other's", async () => {
  const [here, there] = [await openTray(null), await openTray(null)];
  expect(await here.changeBench((bench) => void (bench.overshoot = 4))).toBeNull();
  expect(await there.changeBench((bench) => void (bench.name = "There"))).toBeNull();
  expect(there.store.getState().bench).toMatchObject({ overshoot: 4, name: "There" });
  const marks = [0.2, 0.3].map((mark, i) =>
    [here, there][i]!.changeBench((bench) => {
      bench.losses = { ...bench.losses, [i === 0 ? "wall" : "hoop"]: { mark } };
    }),
  );
  expect(await Promise.all(marks)).toEqual([null, null]);
  await here.readAll();
  expect(here.store.getState().bench.losses).toEqual({ wall: { mark: 0.2 }, hoop: { mark: 0.3 } });
  expect(await there.undoBench()).toBeNull();
  expect(await here.undoBench()).toBeNull();
  const marked = await Promise.all(
    [here, there].map((tray, i) => tray.changeBench((bench) => void (bench.mandrel = [{ label: `at ${i}`, diameter: 17 + i }]))),
  );
  expect(marked.filter((told) => told === null)).toHaveLength(1);
  expect(marked.find((told) => told !== null)).toMatch(/another window/);
  await [here, there][marked.indexOf(null)]!.undoBench();
  expect(await here.changeBench((bench) => void (bench.overshoot = 99))).toMatch(/must be at most 14/);
  expect(await here.undoBench()).toBeNull();
  expect(here.store.getState().bench).toEqual({ ...SHIPPED_BENCH, name: "There" });
  expect(await here.redoBench()).toBeNull();
  expect(here.store.getState().bench.overshoot).toBe(4);
  await there.changeBench((bench) => void (bench.overshoot = 5));
  expect(await here.undoBench()).toMatch(/another window/);
  expect(here.store.getState().bench.overshoot).toBe(5);
  expect(await full(() => here.changeBench((bench) => void (bench.overshoot = 6)))).toMatch(/not kept/);
  expect(here.store.getState()).toMatchObject({ bench: { overshoot: 5 }, trouble: "full" });
});

test("pieces added at once under one name get ids of their own, whatever the window", async () => {
  const [here, there] = [await openTray(null), await openTray(null)];
  const given = await Promise.all([here.add(piece), there.add(piece), here.add(piece)]);
  expect(new Set(given).size).toBe(3);
  const copy = await here.duplicate({ piece, unmeasured: ["height"], drafts: { height: { text: "5,", problem: "unfinished" } } });
  expect(here.store.getState().pieces.find(({ id }) => id === copy)).toMatchObject({
    piece: { name: "Tern ring, copy" },
    unmeasured: ["height"],
    drafts: { height: { text: "5," } },
  });
});

test("what is removed for good goes with its makings, and can be had back as it was", async () => {
  const tray = await openTray(null);
  await tray.addAll([called("a"), called("b")]);
  await tick(tray, called("a"), "one");
  const before = tray.store.getState().pieces;
  const haveBack = await tray.remove(["a", "b"]);
  expect([ids(tray), Object.keys(tray.store.getState().makes)]).toEqual([[], []]);
  await haveBack();
  expect(ids(tray)).toEqual(["b", "a"]);
  expect(tray.store.getState().pieces.map(({ piece }) => piece)).toEqual(before.map(({ piece }) => piece));
  expect(steps(lastMake(tray.store.getState().makes, "a"))).toEqual(["one"]);
});

const onMandrel = { ...piece, carrier: { ...piece.carrier, size: { system: "mandrel", value: "54" } } } as Piece;
const mandrel = { ...SHIPPED_BENCH, mandrel: [{ label: "54", diameter: 17.2 }] };

/** The same choice for all of a backup. */
const all = async (tray: Tray, backup: Awaited<ReturnType<typeof saved>>, choice: Choice) =>
  new Map((await tray.restoreItems(backup)).map(({ key }) => [key, choice]));

async function saved(tray: Tray) {
  const { repository, bench } = tray.store.getState();
  const read = readBackup(JSON.parse((await everythingText(repository, bench)).join("")) as JsonObject);
  if (!read.ok) throw new Error(read.faults[0]!.code);
  return read.value;
}

test("everything saved is restored as it lay, also on another device: pieces in order, ticks, a size by the maker's own mandrel", async () => {
  const tray = await openTray(null);
  await tray.takeBench(mandrel);
  await tray.addAll([called("a"), { ...onMandrel, id: "b" }, called("c")]);
  await tray.setDeleted(["c"], true);
  await tick(tray, called("a"), "one");
  const backup = await saved(tray);
  expect([backup.unread, backup.pieces.map(({ id }) => id)]).toEqual([[], ["b", "a"]]);
  newDevice();
  const other = await openTray(null);
  const told: number[] = [];
  await other.restore(backup, await all(other, backup, "theirs"), { onDone: (done) => told.push(done) });
  expect([ids(other), told]).toEqual([
    ["b", "a"],
    [1, 2, 3, 4],
  ]);
  expect(other.store.getState()).toMatchObject({ bench: mandrel, makes: { a: [{ done: [{ step: "one" }] }] } });
  expect(await saved(other)).toEqual(backup);
});

test("kept beside what is there, pieces and makes get ids of their own, and on my bench they go on with theirs", async () => {
  const tray = await openTray(null);
  await tray.addAll([called("a")]);
  for (const step of ["one", "two"]) await tick(tray, called("a"), step);
  const backup = { ...(await saved(tray)), bench: mandrel };
  await tick(tray, called("a"), "three");
  await tray.rename("a", "Mine");
  const both = new Map([...(await all(tray, backup, "both")), ["bench", "mine" as const]]);
  await tray.restore(backup, both, {});
  expect(ids(tray).sort()).toEqual(["a", "a-2"]);
  const { makes, pieces, bench } = tray.store.getState();
  expect([steps(lastMake(makes, "a")), steps(lastMake(makes, "a-2"))]).toEqual([
    ["one", "two", "three"],
    ["one", "two"],
  ]);
  expect(lastMake(makes, "a-2")!.pieceFile.id).toBe("a-2");
  expect(pieces.find(({ id }) => id === "a-2")!.piece.benchUsed).toEqual(mandrel);
  expect(bench).toEqual(SHIPPED_BENCH);
});

test("a piece has all its makings, the one begun last first, and a tick goes to that one", async () => {
  const tray = await openTray(null);
  await tray.add(called("a"));
  await tick(tray, called("a"), "one");
  const backup = await saved(tray);
  const first = backup.makes[0]!;
  const begun = (id: string, started: string): Make => ({ ...first, id, started, done: [] });
  const makes = [
    begun("a-1", "2025-01-01T10:00:00.000Z"),
    begun("a-3", "2027-01-01T10:00:00.000Z"),
    begun("a-2", "2026-01-01T10:00:00.000Z"),
  ];
  newDevice();
  const other = await openTray(null);
  await other.restore({ ...backup, makes }, await all(other, { ...backup, makes }, "theirs"), {});
  await tick(other, called("a"), "two");
  expect(other.store.getState().makes.a!.map(({ id, done }) => [id, done.map(({ step }) => step)])).toEqual([
    ["a-3", ["two"]],
    ["a-2", []],
    ["a-1", []],
  ]);
});

test("a restore that finds no room, or is stopped, changes nothing", async () => {
  const tray = await openTray(null);
  await tray.addAll([called("a"), called("b")]);
  const backup = await saved(tray);
  await tray.rename("a", "Mine");
  const answers = await all(tray, backup, "theirs");
  await expect(full(() => tray.restore(backup, answers, {}))).rejects.toBeInstanceOf(RepositoryError);
  const stop = new AbortController();
  const stopped = tray.restore(backup, answers, { signal: stop.signal, onDone: () => stop.abort() });
  await expect(stopped).rejects.toMatchObject({ trouble: "stopped" });
  expect(lying(tray).find(({ id }) => id === "a")!.piece.name).toBe("Mine");
});

test("of a backup with bad parts the good is read, each bad part named with what is wrong; ids used twice are bad", () => {
  const file = {
    format: "hoop-ledger/backup",
    version: 1,
    bench: { format: "hoop-ledger/bench", version: 3, overshoot: 40 },
    pieces: [piece, { ...piece, id: "b", kind: "spoon" }, piece] as unknown as Json[],
    makes: [{ format: "hoop-ledger/make", version: 3, id: "m", pieceFile: { ...piece, name: 5 } }] as unknown as Json[],
  };
  const read = readBackup(file);
  if (!read.ok) throw new Error("refused");
  expect(read.value).toMatchObject({ bench: null, pieces: [{ id: piece.id }], makes: [] });
  expect(read.value.unread.map(({ path, name, faults }) => [path, name, faults[0]!.path])).toEqual([
    ["/bench", "", "/overshoot"],
    ["/pieces/1", "Tern ring", "/kind"],
    ["/pieces/2", "Tern ring", "/id"],
    ["/makes/0", "m", "/piece"],
  ]);
  expect(readBackup({ ...file, format: "other", more: 1 })).toMatchObject({ ok: false });
});

test("the file of everything carries its day", () => {
  expect(everythingName(new Date(2026, 10, 5))).toBe("hoop-ledger-everything-2026-11-05.json");
});

test("a restore leaves what is further on here, and one step puts everything back but what was changed since", async () => {
  const tray = await openTray(null);
  await tray.addAll([called("a"), called("b")]);
  await tick(tray, called("a"), "one");
  const backup = await saved(tray);
  await tick(tray, called("a"), "two");
  await tray.rename("a", "Mine");
  await tray.rename("b", "Mine too");
  const items = await tray.restoreItems(backup);
  expect(items.map(({ key, standing }) => [key.split(" ")[0], standing])).toEqual([
    ["bench", "same"],
    ["piece", "newer-here"],
    ["piece", "newer-here"],
    ["make", "newer-here"],
  ]);
  const pieces = new Map(items.flatMap(({ kind, key }) => (kind === "piece" ? [[key, "theirs" as const]] : [])));
  const undo = await tray.restore(backup, pieces, {});
  const names = () => lying(tray).map(({ piece: { name } }) => name);
  expect([names().sort(), steps(lastMake(tray.store.getState().makes, "a"))]).toEqual([
    ["a", "b"],
    ["one", "two"],
  ]);
  await tray.rename("b", "Changed since");
  expect(await undo()).toBe(1);
  expect(names().sort()).toEqual(["Changed since", "Mine"]);
  const theirs = await tray.restore(backup, await all(tray, backup, "theirs"), {});
  expect(steps(lastMake(tray.store.getState().makes, "a"))).toEqual(["one"]);
  expect(await theirs()).toBe(0);
  expect(steps(lastMake(tray.store.getState().makes, "a"))).toEqual(["one", "two"]);
});

test("the demo is laid out whole: a page that ends between its pieces and its makes is gone on with by the next", async () => {
  const make = (id: string): Make => ({
    ...{ format: "hoop-ledger/make", version: 3, id: `${id}-1`, piece: id, pieceFile: called(id), started: "2026-11-27" },
    ...{ finished: null, done: [], measured: [], remedies: [], notes: "" },
  });
  const demo = () =>
    Promise.resolve({ bench: DEMO_BENCH, pieces: [called("a"), called("b")], makes: () => Promise.resolve([make("a"), make("b")]) });
  const first = await openTray(null);
  await first.layPieces(await demo());
  first.close();
  const next = await openTray(demo);
  await until(() => Object.keys(next.store.getState().makes).length === 2);
  await next.removeMake(next.store.getState().makes.a![0]!);
  next.close();
  const later = await openTray(demo);
  await until(() => later.store.getState().makes.b !== undefined);
  expect(later.store.getState().makes.a).toBeUndefined();
});

test("a name with a tab and line ends is one line, and the piece is there after a reload", async () => {
  const tray = await openTray(null);
  await tray.addAll([called("a")]);
  await tray.rename("a", "Tern\tring\r\nof mine ");
  const next = await openTray(null);
  expect(lying(next).map(({ piece: { name } }) => name)).toEqual(["Tern ring of mine"]);
});

test("a database taken by a newer program says so from then on, and nothing is told as deleted", async () => {
  const tray = await openTray(null);
  await tray.addAll([called("a")]);
  const newer = await openDB("hoop-ledger", 99);
  await until(() => tray.store.getState().trouble === "newer");
  await tray.readMakesOf(["a"]);
  await expect(tray.rename("a", "x")).rejects.toMatchObject({ trouble: "newer" });
  expect(lying(tray).map(({ id }) => id)).toEqual(["a"]);
  newer.close();
});

test("a database that is cleared under a page says so; what the page holds is kept again at a press", async () => {
  const tray = await openTray(null);
  await tray.addAll([called("a")]);
  await tick(tray, called("a"), "one");
  await deleteDB("hoop-ledger");
  await until(() => tray.store.getState().trouble === "cleared");
  await tray.keepAgain();
  expect(tray.store.getState().trouble).toBeNull();
  const next = await openTray(null);
  await next.readMakes();
  expect([ids(next), steps(lastMake(next.store.getState().makes, "a"))]).toEqual([["a"], ["one"]]);
});
