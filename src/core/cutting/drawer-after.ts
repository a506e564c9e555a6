import { polygonArea } from "../geometry/polygon";
import { type Point } from "../geometry/outline";
import { type Scrap, type StockItem } from "../metal/stock";
import { toMicron } from "../measure/micron";
import { type CutsPlan } from "./plan-cuts";
import { type Remainder } from "./remainder";

/** The drawer once everything is cut. */
export interface DrawerAfter {
  readonly stock: readonly StockItem[];
  /** What is spoiled joins what was owed before, by metal. */
  readonly scrap: readonly Scrap[];
}

/**
 * What is left of a drawer after a plan is cut: each length and sheet that was begun is gone, its useful end lies in its place with an outline of its own; what
 * was bought leaves its useful ends too. Spoiled metal goes to scrap.
 */
export function drawerAfter(stock: readonly StockItem[], scrap: readonly Scrap[], plan: CutsPlan): DrawerAfter {
  const ids = new Set(stock.map(({ id }) => id));
  const ends = endsOf(plan).map(({ of, end }) => ({ of, end: { ...end, id: unusedId(end.id, ids) } }));
  const begun = [...plan.lengths, ...plan.sheets];
  const kept = stock.flatMap((item) => {
    const count = item.count - begun.filter((each) => each.stock?.id === item.id).length;
    return [...(count > 0 ? [{ ...item, count }] : []), ...ends.flatMap(({ of, end }) => (of === item.id ? [end] : []))];
  });
  const bought = ends.flatMap(({ of, end }) => (of === null ? [end] : []));
  return { stock: [...kept, ...bought], scrap: withSpoiled(scrap, plan) };
}

/** A useful end, and what of the drawer it was cut from; null for what was bought. */
interface End {
  readonly of: string | null;
  readonly end: StockItem;
}

function endsOf({ lengths, sheets }: CutsPlan): End[] {
  const longs = lengths.flatMap(({ stock, form, left, goesBack }): End[] =>
    goesBack ? [{ of: stock?.id ?? null, end: { ...(stock ?? boughtItem(form)), length: toMicron(left), count: 1 } }] : [],
  );
  const flats = sheets.flatMap(({ stock, form, remainder, goesBack }): End[] =>
    goesBack && remainder ? [{ of: stock?.id ?? null, end: sheetEnd(stock ?? boughtItem(form), remainder) }] : [],
  );
  return [...longs, ...flats];
}

function sheetEnd({ outline: _outline, taken: _taken, ...item }: StockItem, { outline, taken, length, width }: Remainder): StockItem {
  const gone = taken.filter((each) => Math.abs(polygonArea(each)) > LEAST_TAKEN);
  const rounded = (line: readonly Point[]) => line.map(([x, y]): Point => [toMicron(x), toMicron(y)]);
  return {
    ...item,
    ...{ length: toMicron(length), width: toMicron(width), count: 1 },
    ...(outline && { outline: rounded(outline) }),
    ...(gone.length > 0 && { taken: gone.map(rounded) }),
  };
}

/** A sliver of what was taken is none (mm2). */
const LEAST_TAKEN = 0.01;

/** What is bought, before it has a place in the drawer. */
function boughtItem({ metal, stock }: CutsPlan["lengths"][number]["form"]): StockItem {
  const thickness = stock.form === "tube" ? (stock.outside - stock.inside) / 2 : stock.thickness;
  return { id: `${stock.form}-${metal}`, metal, length: 0, count: 1, ...stock, thickness };
}

/** An id that none has; it is then taken. */
function unusedId(id: string, ids: Set<string>): string {
  let next = id;
  for (let i = 2; ids.has(next); i++) next = `${id.replace(/-end\d+$/, "")}-end${i}`;
  ids.add(next);
  return next;
}

function withSpoiled(scrap: readonly Scrap[], { metals }: CutsPlan): Scrap[] {
  const spoiled = new Map(metals.map(({ metal, spoiled: grams }) => [metal, grams]));
  const all = scrap.map(({ metal, grams }): Scrap => ({ metal, grams: toMicron(grams + (spoiled.get(metal) ?? 0)) }));
  const fresh = metals.filter(({ metal, spoiled: grams }) => toMicron(grams) > 0 && !scrap.some((each) => each.metal === metal));
  return [...all, ...fresh.map(({ metal, spoiled: grams }): Scrap => ({ metal, grams: toMicron(grams) }))];
}
