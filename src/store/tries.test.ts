import { SHIPPED_BENCH } from "@/core/piece/bench";
import { type Piece } from "@/core/piece/piece";
import tern from "@/core/piece/reference/tern-ring.piece.json";
import { readBackup } from "@/formats/backup-codec";
import { type TryFile, pieceOfTry, tryFile } from "@/formats/flame-file";
import { type JsonObject } from "@/formats/read-json";
import { openDB } from "idb";
import { full, layOutPage, newDevice } from "./a-page.testing";
import { everythingText } from "./files";
import { RepositoryError } from "./repository";
import { type Tray, openTray } from "./tray";

layOutPage();
beforeEach(newDevice);

const piece = tern as unknown as Piece;
const torch = { ms: 0, x: 0, y: 0, size: 4, isOn: false, isBelow: false, distance: 40, toward: 90 };
const tried = (id: string, at: string, of = piece): TryFile =>
  tryFile({
    ...{ id, at, pieceFile: pieceOfTry(of, SHIPPED_BENCH), joints: ["m1.seam"], flame: { flame: [torch], acts: [] } },
    result: { ran: [], dry: ["m1.seam"], softened: [], opened: [], lost: [], seconds: 3, evenness: null },
  });
const ids = (tray: Tray, of = piece.id) => (tray.store.getState().tries[of] ?? []).map(({ id }) => id);

test("a try is kept with its lines, the last first, over a new page; removed, it can be had back", async () => {
  const tray = await openTray(null);
  await tray.readTries(piece.id);
  await tray.keepTry(tried("t-1", "2026-12-01T10:00"), [[20, 30]]);
  await tray.keepTry(tried("t-2", "2026-12-01T11:00"), [[20]]);
  expect(ids(tray)).toEqual(["t-2", "t-1"]);
  const later = await openTray(null);
  expect(ids(later)).toEqual([]);
  await later.readTries(piece.id);
  expect(later.store.getState().tries[piece.id]).toMatchObject([
    { id: "t-2" },
    { tried: tried("t-1", "2026-12-01T10:00"), lines: [[20, 30]] },
  ]);
  const haveBack = await later.removeTry("t-2");
  expect(ids(later)).toEqual(["t-1"]);
  await haveBack();
  expect(ids(later)).toEqual(["t-2", "t-1"]);
  expect(later.store.getState().makes).toEqual({});
});

test("tries of a piece stand when it is removed for good, and beside those of no other", async () => {
  const tray = await openTray(null);
  await tray.addAll([piece]);
  await tray.keepTry(tried("t-1", "1"), []);
  await tray.keepTry(tried("t-9", "1", { ...piece, id: "other" }), []);
  await tray.remove([piece.id]);
  await tray.readTries(piece.id);
  expect([ids(tray), ids(tray, "other")]).toEqual([["t-1"], ["t-9"]]);
});

test("a try that finds no room stands on its page, and the trouble is told", async () => {
  const tray = await openTray(null);
  await tray.keepTry(tried("t-1", "1"), []);
  await full(() => expect(tray.keepTry(tried("t-2", "2"), [])).rejects.toMatchObject(new RepositoryError("full", null)));
  expect([ids(tray), tray.store.getState().trouble]).toEqual([["t-2", "t-1"], "full"]);
  await tray.readTries(piece.id);
  expect(ids(tray)).toEqual(["t-2", "t-1"]);
});

test("a try that could not be read back is not kept, and the trouble is told", async () => {
  const tray = await openTray(null);
  await tray.keepTry({ ...tried("t-1", "1"), flame: [] }, []);
  expect([ids(tray), tray.store.getState().trouble]).toEqual([["t-1"], "failed"]);
  await tray.readTries(piece.id);
  expect(ids(await openTray(null))).toEqual([]);
});

test("a record that is no try is set aside and hides no other", async () => {
  const tray = await openTray(null);
  await tray.keepTry(tried("t-1", "1"), []);
  const db = await openDB("hoop-ledger");
  const record = { piece: piece.id, revision: 1, changed: "1" };
  await db.put("tries", { ...record, id: "bad", tried: { ...tried("bad", "1"), flame: "none" } });
  await db.put("tries", { ...record, id: "other", tried: tried("t-5", "1") });
  await db.put("tries", { ...record, id: "worse", tried: 7 });
  db.close();
  await tray.readTries(piece.id);
  expect(ids(tray)).toEqual(["t-1"]);
  expect(tray.store.getState().unreadable).toMatchObject([
    { store: "tries", key: "bad", faults: [{ path: "/tried/flame" }] },
    { store: "tries", key: "other", faults: [{ path: "/tried/id" }] },
    { store: "tries", key: "worse", faults: [{ path: "/tried" }] },
  ]);
});

test("everything saved holds the tries; restored elsewhere they are the same, and go with a piece that got another id", async () => {
  const tray = await openTray(null);
  await tray.addAll([piece]);
  await tray.keepTry(tried("t-1", "1"), [[20]]);
  const { repository, bench } = tray.store.getState();
  const read = readBackup(JSON.parse((await everythingText(repository, bench)).join("")) as JsonObject);
  if (!read.ok) throw new Error(read.faults[0]!.code);
  expect(read.value.tries).toEqual([tried("t-1", "1")]);
  expect((await tray.restoreItems(read.value)).map(({ kind, standing }) => [kind, standing])).toContainEqual(["try", "same"]);
  newDevice();
  const other = await openTray(null);
  await other.addAll([{ ...piece, name: "Mine" }]);
  const items = await other.restoreItems(read.value);
  expect(items.find(({ kind }) => kind === "try")).toMatchObject({ key: "try t-1", standing: "only-there" });
  const putBack = await other.restore(read.value, new Map([[`piece ${piece.id}`, "both"], ["try t-1", "theirs"]] as const), {}); // prettier-ignore
  await other.readTries("tern-ring-2");
  expect(other.store.getState().tries["tern-ring-2"]).toMatchObject([
    { id: "t-1", tried: { piece: "tern-ring-2", pieceFile: { id: "tern-ring-2" } } },
  ]);
  await putBack();
  expect(ids(other, "tern-ring-2")).toEqual([]);
  const [mine] = [{ ...tried("t-1", "2") }];
  await other.keepTry(mine, []);
  expect((await other.restoreItems(read.value)).find(({ kind }) => kind === "try")).toMatchObject({ standing: "differs" });
  await other.restore(read.value, new Map([["try t-1", "both"]]), {});
  expect(ids(other)).toEqual(["t-1", "t-1-2"]);
});
