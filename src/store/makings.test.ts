import { SHIPPED_BENCH } from "@/core/piece/bench";
import { type Make, isUnderWay } from "@/core/piece/make";
import { type Piece } from "@/core/piece/piece";
import tern from "@/core/piece/reference/tern-ring.piece.json";
import { openDB } from "idb";
import { full, hearFrom, layOutPage, newDevice, stored } from "./a-page.testing";
import { type Tray, openTray as opening } from "./tray";

const opened: Tray[] = [];
async function openTray(): Promise<Tray> {
  const tray = await opening(null);
  opened.push(tray);
  return tray;
}

const piece = tern as unknown as Piece;
const called = (id: string): Piece => ({ ...piece, id, name: id });
const makesOf = (tray: Tray, id = piece.id) => tray.store.getState().makes[id] ?? [];
const begun = (of: string, i: number): Make => ({
  format: "hoop-ledger/make",
  version: 3,
  id: `${of}-${i}`,
  piece: of,
  pieceFile: called(of),
  started: new Date(Date.UTC(2026, 0, 1) + i * 60_000).toISOString(),
  finished: null,
  done: [],
  measured: [],
  remedies: [],
  notes: "",
});

beforeAll(layOutPage);
beforeEach(() => {
  newDevice();
  jest.spyOn(console, "error").mockImplementation(() => undefined);
});
afterEach(() => {
  jest.restoreAllMocks();
  opened.splice(0).forEach((tray) => tray.close());
});

test("a making is the one it begins as until it is kept; begun anew it is another, with the bench it was begun on", async () => {
  const tray = await openTray();
  const first = tray.making(piece);
  expect(tray.making(piece)).toBe(first);
  expect([first.pieceFile.benchUsed, makesOf(tray)]).toEqual([SHIPPED_BENCH, []]);
  await tray.tick(first, ["wall.cut"], true);
  expect(tray.making(piece)).toMatchObject({ id: first.id, done: [{ step: "wall.cut" }] });
  await tray.setMake(first, { finished: "2026-11-27T10:00:00.000Z" });
  const next = tray.making(piece);
  expect([isUnderWay(next), next.id === first.id, next.done]).toEqual([true, false, []]);
  const again = await tray.begin(piece);
  expect(makesOf(tray).map(({ id }) => id)).toEqual([again.id, first.id]);
});

test("what is typed in one field is taken back in one, what was taken back comes again until something else is done", async () => {
  const tray = await openTray();
  const make = tray.making(piece);
  const notes = () => makesOf(tray)[0]?.notes;
  await tray.tick(make, ["wall.cut"], true);
  for (const text of ["s", "sl", "slow"]) await tray.setMake(make, { notes: text }, "notes");
  await tray.setMake(make, { words: "good" }, "words");
  expect(await tray.stepMake(make, "past")).toMatchObject({ set: { words: "good" } });
  expect(notes()).toBe("slow");
  expect(await tray.stepMake(make, "past")).toMatchObject({ set: { notes: "slow" } });
  expect(notes()).toBe("");
  expect(await tray.stepMake(make, "future")).toMatchObject({ set: { notes: "slow" } });
  expect(notes()).toBe("slow");
  await tray.setMake(make, { notes: "slower" }, "notes");
  expect(await tray.stepMake(make, "future")).toBeNull();
  await tray.stepMake(make, "past");
  expect([notes(), makesOf(tray)[0]!.done.map(({ step }) => step)]).toEqual(["slow", ["wall.cut"]]);
});

test("what could not be kept is told so, does not show, and can be taken back as before", async () => {
  const tray = await openTray();
  const make = tray.making(piece);
  await tray.tick(make, ["wall.cut"], true);
  const before = tray.store.getState().makeSteps[make.id];
  expect(await full(() => tray.setMake(make, { notes: "lost" }))).toEqual({ ok: false, problem: "That was not kept" });
  expect(await full(() => tray.stepMake(make, "past"))).toBe("not-kept");
  expect(makesOf(tray)[0]).toMatchObject({ notes: "", done: [{ step: "wall.cut" }] });
  expect(tray.store.getState().makeSteps[make.id]).toEqual(before);
  expect(await tray.stepMake(make, "past")).not.toBe("not-kept");
  expect(makesOf(tray)[0]!.done).toEqual([]);
});

test("one taken out of the ledger comes back as it was", async () => {
  const tray = await openTray();
  const makes = [begun("a", 1), { ...begun("a", 2), notes: "kept" }];
  await tray.addMakes(makes);
  const back = await tray.removeMake(makes[1]!);
  expect(makesOf(tray, "a").map(({ id }) => id)).toEqual(["a-1"]);
  await back();
  expect(makesOf(tray, "a").map(({ id, notes }) => [id, notes])).toEqual([
    ["a-2", "kept"],
    ["a-1", ""],
  ]);
});

test("the newest stand first, the rest is read where it is wanted, once; what did not change stays the same object", async () => {
  const writer = await openTray();
  await writer.addMakes(Array.from({ length: 70 }, (_, i) => begun(`p${i % 50}`, i)));
  const tray = await openTray();
  await tray.readNewestMakes();
  const all = () => Object.values(tray.store.getState().makes).flat();
  expect([tray.store.getState().areMakesWhole, all().length]).toEqual([false, 60]);
  await tray.readRestOfMakes();
  expect([tray.store.getState().areMakesWhole, all().length]).toEqual([true, 70]);
  expect(makesOf(tray, "p3").map(({ id }) => id)).toEqual(["p3-53", "p3-3"]);
  const read = jest.spyOn(IDBObjectStore.prototype, "getAll");
  await tray.readRestOfMakes();
  expect(read).not.toHaveBeenCalled();
  const [known] = makesOf(tray, "p3");
  await writer.setMake(known!, { notes: "elsewhere" });
  hearFrom({ kind: "makes", ids: ["p3"] });
  while (makesOf(tray, "p3")[0]!.notes === "") await new Promise(setImmediate);
  expect(makesOf(tray, "p3")[0]!.pieceFile).toBe(known!.pieceFile);
  await writer.removeMake(begun("p7", 7));
  await tray.readMakesOf(Array.from({ length: 50 }, (_, i) => `p${i}`));
  expect([all().length, makesOf(tray, "p7").map(({ id }) => id)]).toEqual([69, ["p7-57"]]);
});

const photo = (i: number) => ({ name: `p${i}`, at: `2026-11-27T10:00:0${i}.000Z`, jpeg: "" });

test("of six pictures picked quickly four are kept and two refused with the reason; none is shown before it is kept", async () => {
  const tray = await openTray();
  const make = tray.making(piece);
  const adding = [1, 2, 3, 4, 5, 6].map((i) => tray.editMake(make, { put: { photos: [photo(i)] } }));
  expect(makesOf(tray)).toEqual([]);
  const kept = await Promise.all(adding);
  expect(kept.map(({ ok }) => ok)).toEqual([true, true, true, true, false, false]);
  expect(kept[4]).toMatchObject({ problem: "That was not kept: photos must hold at most 4" });
  expect(makesOf(tray)[0]!.photos).toHaveLength(4);
  expect((await tray.store.getState().repository.makes()).unreadable).toEqual([]);
});

test("words typed quickly go as few changes, stand in the journal at once, and are one step of undo", async () => {
  const tray = await openTray();
  const make = tray.making(piece);
  await tray.tick(make, ["wall.cut"], true);
  const write = jest.spyOn(tray.store.getState().repository, "write");
  const text = "slow and even";
  const typing = [...text].map((_, i) => tray.setMake(make, { words: text.slice(0, i + 1) }, "words"));
  const journal = [...stored].filter(([key]) => key.includes("/journal/making-")).map(([, entry]) => entry);
  expect(journal.at(-1)).toContain('"set":{"words":"slow and even"}');
  await Promise.all(typing);
  expect(write.mock.calls.length).toBeLessThanOrEqual(2);
  expect(makesOf(tray)[0]!.result).toEqual({ words: text });
  await tray.stepMake(make, "past");
  expect(makesOf(tray)[0]!.result).toBeUndefined();
});

test("two windows that write words of one make at once keep both; a size that took another's place says which", async () => {
  const [here, there] = [await openTray(), await openTray()];
  const make = here.making(piece);
  await here.setMake(make, { words: "the seam held" }, "words");
  await there.readMakesOf([piece.id]);
  await Promise.all([
    here.setMake(make, { words: "the hoop's seam held" }, "words"),
    there.setMake(make, { words: "the seam held, no pits" }, "words"),
  ]);
  await here.readMakesOf([piece.id]);
  expect(makesOf(here)[0]!.result!.words).toBe("the hoop's seam held, no pits");
  await there.stepMake(make, "past");
  expect(makesOf(there)[0]!.result!.words).toBe("the hoop's seam held");
  await here.setMake(make, { size: "54" }, "size");
  expect(await there.setMake(make, { size: "55" }, "size")).toEqual({ ok: true, overruled: { size: "54" } });
});

test("what is half typed at the bench is there for the next page, and gone once it is taken", async () => {
  const tray = await openTray();
  await tray.readDrafts(piece.id);
  for (const text of ["4", "46", "46..", "46..05"]) tray.setDraft(piece.id, "m1.wall.cutLength", text);
  tray.setDraft(piece.id, "minutes", "12x");
  tray.setDraft(piece.id, "minutes", null);
  await new Promise((resolve) => setTimeout(resolve, 50));
  const next = await openTray();
  await next.readDrafts(piece.id);
  expect(next.store.getState().drafts[piece.id]).toEqual({ "m1.wall.cutLength": "46..05" });
  await full(async () => {
    next.setDraft(piece.id, "minutes", "13x");
    await new Promise((resolve) => setTimeout(resolve, 50));
  });
  expect(next.store.getState().trouble).toBe("full");
});

test("a make that an older program overfilled is shown, what is over is named, kept by every change, and can be given up", async () => {
  const tray = await openTray();
  const make = tray.making(piece);
  await tray.tick(make, ["wall.cut"], true);
  const photos = [1, 2, 3, 4, 5, 6].map(photo);
  const db = await openDB("hoop-ledger");
  await db.put("makes", { id: make.id, piece: piece.id, make: { ...makesOf(tray)[0], photos }, revision: 2, changed: "2026-11-27" });
  db.close();
  await tray.readMakes();
  expect([makesOf(tray)[0]!.photos, tray.store.getState().unreadable]).toMatchObject([
    photos.slice(0, 4),
    [{ store: "makes", key: make.id, isPart: true, raw: { "/photos": photos.slice(4) } }],
  ]);
  await tray.tick(make, ["wall.ends"], true);
  await tray.readMakes();
  const [part] = tray.store.getState().unreadable;
  await tray.drop(part!);
  await tray.readMakes();
  expect([tray.store.getState().unreadable, makesOf(tray)[0]!.photos!.length, makesOf(tray)[0]!.done.length]).toEqual([[], 4, 2]);
});
