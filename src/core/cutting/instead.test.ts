import { type Cut, cutToLength, rectangle, roundWire } from "../metal/cut";
import { type StockItem } from "../metal/stock";
import { SHIPPED } from "../piece/bench";
import { insteadOf } from "./instead";
import { planCuts } from "./plan-cuts";
import { type Wanted } from "./wanted";

const OF = { part: "hoop", mount: null, metal: "sterling" } as const;
const wantedOf = (cut: Cut): Wanted => ({ piece: "a", copy: 1, cut, nth: 1, isTurnedOver: false });
const ids = (wanted: readonly Wanted[], stock: readonly StockItem[]) => {
  const plan = planCuts({ wanted, stock, bought: SHIPPED.bought, useful: SHIPPED.useful, kerf: 0.28, way: "spoil", tries: 1 });
  return plan.order.map((line) => insteadOf(line, plan, stock).map(({ id }) => id));
};
const wire = (id: string, thickness: number, length = 100, more: Partial<StockItem> = {}): StockItem => ({
  ...{ id, form: "wire", metal: "sterling", section: "round", width: thickness, thickness, length, count: 1 },
  ...more,
});

test("wire a little thicker and long enough would do, the nearest first; thinner, much thicker or other wire would not", () => {
  const stock = [
    wire("thickest", 1.25),
    wire("thicker", 1.1),
    wire("much", 1.26),
    wire("thinner", 0.95),
    wire("short", 1.1, 59),
    wire("copper", 1.1, 100, { metal: "copper" }),
    wire("square", 1.1, 100, { section: "square" }),
    wire("gone", 1.1, 100, { count: 0 }),
  ];
  expect(ids([wantedOf(cutToLength(OF, roundWire(1), "hoop.cutLength", 60))], stock)).toEqual([["thicker", "thickest"]]);
});

test("sheet of 0.65 for 0.6, where the blank's sides go on it; one that is 0.6 but too small is no other", () => {
  const sheet = (id: string, thickness: number, length: number, width: number): StockItem => {
    return { id, form: "sheet", metal: "sterling", thickness, length, width, count: 1 };
  };
  const cut: Cut = { ...OF, stock: { form: "sheet", thickness: 0.6 }, figure: "l", across: "w", count: 1, shape: rectangle(20, 12) };
  expect(ids([wantedOf(cut)], [sheet("turned", 0.65, 12, 20), sheet("small", 0.65, 19, 19), sheet("same", 0.6, 10, 10)])).toEqual([
    ["turned"],
  ]);
});
