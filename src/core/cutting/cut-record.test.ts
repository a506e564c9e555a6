import { type StockItem } from "../metal/stock";
import { cutBetween, drawerBefore } from "./cut-record";

const strip = (id: string, length: number, count = 1): StockItem => ({
  id,
  form: "strip",
  metal: "fine-silver",
  width: 4,
  thickness: 0.3,
  length,
  count,
});
const TOLD = { id: "c-1", at: "2026-12-01T10:00:00.000Z" };
const before = { stock: [strip("a", 100), strip("b", 60, 3), strip("c", 40)], scrap: [{ metal: "fine-silver" as const, grams: 1.5 }] };
const after = {
  stock: [strip("a", 31), strip("b", 60, 2), strip("b-2", 35), strip("c", 40)],
  scrap: [{ metal: "fine-silver" as const, grams: 1.75 }],
};
const cut = cutBetween(before, after, TOLD);

test("a cut holds what it changed alone: what was begun, what lies in its place, and what became scrap", () => {
  expect(cut).toEqual({
    ...TOLD,
    before: [strip("a", 100), strip("b", 60, 3)],
    after: [strip("a", 31), strip("b", 60, 2), strip("b-2", 35)],
    scrap: [{ metal: "fine-silver", grams: 0.25 }],
  });
  expect(cutBetween(before, { ...after, scrap: before.scrap }, TOLD)).not.toHaveProperty("scrap");
});

test("put back, the drawer is as it was, whatever came to it since and in whatever order a file names its fields", () => {
  expect(drawerBefore(after, cut)).toEqual(before);
  const came = { stock: [strip("new", 10), ...after.stock], scrap: [...after.scrap, { metal: "copper" as const, grams: 2 }] };
  expect(drawerBefore(came, cut)).toEqual({
    stock: [strip("new", 10), ...before.stock],
    scrap: [...before.scrap, { metal: "copper", grams: 2 }],
  });
  const turned = after.stock.map((item) => Object.fromEntries(Object.entries(item).reverse()) as unknown as StockItem);
  expect(drawerBefore({ ...after, stock: turned }, cut)?.stock.map(({ id, length }) => [id, length])).toEqual([
    ["a", 100],
    ["b", 60],
    ["c", 40],
  ]);
});

test("what was used up whole comes back at the end, and scrap never falls under nothing", () => {
  const gone = cutBetween({ stock: [strip("a", 9)], scrap: [] }, { stock: [], scrap: [{ metal: "fine-silver", grams: 0.2 }] }, TOLD);
  expect(drawerBefore({ stock: [strip("z", 5)], scrap: [] }, gone)).toEqual({ stock: [strip("z", 5), strip("a", 9)], scrap: [] });
});

test("it is not put back where what it left was cut, counted or removed since, or its place is taken", () => {
  for (const stock of [
    after.stock.map((item) => (item.id === "a" ? strip("a", 20) : item)),
    after.stock.map((item) => (item.id === "b" ? strip("b", 60, 1) : item)),
    after.stock.filter(({ id }) => id !== "b-2"),
  ])
    expect(drawerBefore({ ...after, stock }, cut)).toBeNull();
  const gone = cutBetween({ stock: [strip("a", 9)], scrap: [] }, { stock: [], scrap: [] }, TOLD);
  expect(drawerBefore({ stock: [strip("a", 7)], scrap: [] }, gone)).toBeNull();
});
