import { type CutRecord } from "@/core/cutting/cut-record";
import { type StockItem } from "@/core/metal/stock";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { type Piece } from "@/core/piece/piece";
import tern from "@/core/piece/reference/tern-ring.piece.json";
import { readBackup } from "@/formats/backup-codec";
import { type JsonObject } from "@/formats/read-json";
import { openDB } from "idb";
import { layOutPage, newDevice } from "./a-page.testing";
import { everythingText } from "./files";
import { type Tray, openTray } from "./tray";

layOutPage();
beforeEach(newDevice);

const piece = tern as unknown as Piece;
const strip = (id: string, length: number): StockItem => ({
  ...{ id, form: "strip", metal: "fine-silver", width: 4, thickness: 0.3, length, count: 1 },
});
const before = { stock: [strip("a", 100), strip("b", 60)], scrap: [] };
const after = { stock: [strip("a", 31), strip("b", 60)], scrap: [{ metal: "fine-silver" as const, grams: 0.5 }] };
const drawerOf = (tray: Tray) => {
  const { stock, scrap } = tray.store.getState().bench;
  return { stock, scrap };
};
const withDrawer = async (tray: Tray) => tray.takeBench({ ...SHIPPED_BENCH, ...before });
const taken = async (tray: Tray): Promise<CutRecord> => {
  const cut = await tray.takeCut(before, after);
  if (typeof cut === "string") throw new Error(cut);
  return cut;
};

test("what is cut is taken from the drawer, and put back by a later page as it was", async () => {
  const tray = await openTray(null);
  await withDrawer(tray);
  const cut = await taken(tray);
  expect([drawerOf(tray), tray.store.getState().cuts]).toEqual([after, [cut]]);
  const later = await openTray(null);
  expect(later.store.getState().cuts).toBeNull();
  await later.readCuts();
  expect(later.store.getState().cuts).toEqual([cut]);
  expect(await later.putCutBack(cut)).toBeNull();
  expect([drawerOf(later), later.store.getState().cuts]).toEqual([before, []]);
});

test("drawer and record are written at once, so that neither is without the other, also when it is put back", async () => {
  const tray = await openTray(null);
  await withDrawer(tray);
  const write = jest.spyOn(tray.store.getState().repository, "write");
  const cut = await taken(tray);
  await tray.putCutBack(cut);
  expect(write.mock.calls.map(([changes]) => changes.map(({ store }) => store))).toEqual([
    ["settings", "cuts"],
    ["settings", "cuts"],
  ]);
});

test("one whose end was used since is not put back, and stays told; a drawer that is refused leaves none", async () => {
  const tray = await openTray(null);
  await withDrawer(tray);
  const cut = await taken(tray);
  await tray.changeBench((bench) => void (bench.stock![0]!.length = 20));
  expect(await tray.putCutBack(cut)).toBe("changed");
  expect([tray.store.getState().bench.stock![0]!.length, tray.store.getState().cuts]).toEqual([20, [cut]]);
  expect(typeof (await tray.takeCut(before, { stock: [strip("a", -1)], scrap: [] }))).toBe("string");
  expect(tray.store.getState().cuts).toEqual([cut]);
});

test("a cut that cannot be read is set aside by its place and hides no other", async () => {
  const tray = await openTray(null);
  await withDrawer(tray);
  const cut = await taken(tray);
  const db = await openDB("hoop-ledger");
  await db.put("cuts", { id: "bad", cut: { ...cut, id: "bad", after: [{ ...strip("a", 9), metal: "tin" }] }, revision: 1, changed: "1" });
  db.close();
  await tray.readCuts();
  expect(tray.store.getState().cuts).toEqual([cut]);
  expect(tray.store.getState().unreadable).toMatchObject([{ store: "cuts", key: "bad", faults: [{ path: "/cut/after/0/metal" }] }]);
});

test("everything saved holds the cuts; they come back with the bench whose drawer they are of, and only with it", async () => {
  const tray = await openTray(null);
  await tray.addAll([piece]);
  await withDrawer(tray);
  const cut = (await tray.takeCut(before, after, { make: "make-1", figure: "m1.wall.cutLength" })) as CutRecord;
  const { repository, bench } = tray.store.getState();
  const read = readBackup(JSON.parse((await everythingText(repository, bench)).join("")) as JsonObject);
  if (!read.ok) throw new Error(read.faults[0]!.code);
  expect(read.value.cuts).toEqual([cut]);
  expect(cut).toMatchObject({ make: "make-1", figure: "m1.wall.cutLength" });
  newDevice();
  const other = await openTray(null);
  await other.restore(read.value, new Map([[`piece ${piece.id}`, "theirs"]]), {});
  await other.readCuts();
  expect(other.store.getState().cuts).toEqual([]);
  const putBack = await other.restore(read.value, new Map([["bench", "theirs"]]), {});
  expect([drawerOf(other), other.store.getState().cuts]).toEqual([after, [cut]]);
  await putBack();
  expect([drawerOf(other).stock, other.store.getState().cuts]).toEqual([undefined, []]);
});
