import { roundWire } from "@/core/metal/cut";
import { type OrderLine } from "@/core/cutting/plan-cuts";
import { METRIC } from "@/words/show";
import { orderRows } from "@/words/cuts";
import { orderCsv } from "./order-csv";
import { readStockCsv } from "./stock-csv";

const order: readonly OrderLine[] = [
  { form: { metal: "sterling", stock: { form: "sheet", thickness: 0.6 } }, length: 100, width: 50, count: 2, mass: 62.204, why: null },
  {
    form: { metal: "fine-silver", stock: { form: "strip", width: 3.2, thickness: 0.32 } },
    length: 300,
    width: null,
    count: 1,
    mass: 3.226,
    why: "form",
  },
  { form: { metal: "fine-silver", stock: roundWire(1) }, length: 300, width: null, count: 1, mass: 2.4716, why: "width" },
  {
    form: { metal: "fine-silver", stock: { form: "tube", outside: 6, inside: 5 } },
    length: 300,
    width: null,
    count: 1,
    mass: 27.174,
    why: "form",
  },
];
const rates = { currency: "EUR", metals: { "fine-silver": 2 }, by: "stand-in", at: "2026-12-01" } as const;

test("an order is a table that can be added to the drawer as it is, its cost only where a gram has a price", () => {
  const text = orderCsv(order, rates);
  expect(text.split("\n")).toEqual([
    "form,metal,section,width,thickness,outside,inside,length,count,grams,cost,currency,prices",
    "sheet,sterling,,50,0.6,,,100,2,62.20,,,",
    "strip,fine-silver,,3.2,0.32,,,300,1,3.23,6.45,EUR,stand-in",
    "wire,fine-silver,round,1,1,,,300,1,2.47,4.94,EUR,stand-in",
    "tube,fine-silver,,,,6,5,300,1,27.17,54.35,EUR,stand-in",
  ]);
  const read = readStockCsv(text);
  expect(read).toMatchObject({
    ok: true,
    items: [{ form: "sheet", count: 2 }, { form: "strip" }, { form: "wire" }, { form: "tube", thickness: 0.5 }],
  });
});

test("printed, sums are of what is shown, and made-up prices say so", () => {
  const rows = orderRows(order, rates, METRIC);
  expect(rows.filter(({ isUnder }) => isUnder).map(({ text }) => text)).toEqual([
    "62.20 g sterling",
    "32.87 g fine silver",
    "65.74 EUR, by made-up prices of a stand-in",
  ]);
  expect(rows.slice(0, 2).map(({ text }) => text)).toEqual([
    "Sheet 0.60 mm, sterling: 2 of 100.00 × 50.00 mm, 62.20 g",
    "Strip 3.20 × 0.32 mm, fine silver: 1 of 300.00 mm, 3.23 g, 6.45 EUR",
  ]);
  expect(orderRows(order, {}, METRIC).some(({ text }) => text.includes("EUR"))).toBe(false);
});
