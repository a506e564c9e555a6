import { type StockItem, cutStockOf } from "../metal/stock";
import { type Form, isSameForm, noMatch } from "./match";
import { type Pin } from "./pin";
import { type Wanted } from "./wanted";

/** One length or sheet that is cut: of the drawer's, which of so many alike; or bought, counted from 1. */
export interface Source {
  readonly stock: StockItem | null;
  readonly item: number;
}

export function formOf({ cut: { metal, stock } }: Wanted): Form {
  return { metal, stock };
}

export function formOfStock(item: StockItem): Form {
  return { metal: item.metal, stock: cutStockOf(item) };
}

/** What is wanted that can come from the same stock belongs together, whatever else it could come from. */
export function groupsOf(wanted: readonly Wanted[], stock: readonly StockItem[]): Wanted[][] {
  const groups: { forms: Form[]; items: Set<string>; wanted: Wanted[] }[] = [];
  for (const each of wanted) {
    const form = formOf(each);
    const items = new Set(stock.filter((item) => noMatch(form, formOfStock(item)) === null).map(({ id }) => id));
    const isWith = (group: (typeof groups)[number]) =>
      group.forms.some((other) => noMatch(form, other) === null || noMatch(other, form) === null) ||
      [...items].some((id) => group.items.has(id));
    const joined = groups.filter(isWith);
    for (const group of joined) groups.splice(groups.indexOf(group), 1);
    groups.push({
      forms: [...joined.flatMap((group) => group.forms), form],
      items: new Set([...joined.flatMap((group) => [...group.items]), ...items]),
      wanted: [...joined.flatMap((group) => group.wanted), each],
    });
  }
  return groups.map((group) => group.wanted);
}

/** `item` is 0 of what is bought as often as it is wanted. */
export interface FormedSource extends Source {
  readonly form: Form;
}

/**
 * Everything in the drawer that some of a group can be cut from, each by itself; what is bought because something is pinned to it; and what is bought of
 * each form.
 */
export function sourcesFor(group: readonly Wanted[], stock: readonly StockItem[], pins: readonly Pin[]): FormedSource[] {
  const inHand = stock.flatMap((item): FormedSource[] => {
    const form = formOfStock(item);
    if (!group.some((each) => noMatch(formOf(each), form) === null)) return [];
    return Array.from({ length: item.count }, (_, i) => ({ stock: item, item: i + 1, form }));
  });
  const pinned: FormedSource[] = [];
  for (const { from, item } of pins)
    if (typeof from !== "string" && !pinned.some((each) => each.item === item && isSameForm(each.form, from)))
      pinned.push({ stock: null, item, form: from });
  const forms: Form[] = [];
  for (const each of group) if (!forms.some((other) => isSameForm(other, formOf(each)))) forms.push(formOf(each));
  return [...inHand, ...pinned, ...forms.map((form): FormedSource => ({ stock: null, item: 0, form }))];
}

/** The source that something is pinned to; below 0 where there is none. */
export function sourceOfPin({ from, item }: Pin, sources: readonly FormedSource[]): number {
  return sources.findIndex((each) =>
    typeof from === "string"
      ? each.stock?.id === from && each.item === item
      : each.stock === null && each.item === item && isSameForm(each.form, from),
  );
}

/** Gives what is bought its number, past those that are taken. */
export function numbered(sources: readonly FormedSource[]): (source: FormedSource) => number {
  const taken = new Set(sources.flatMap(({ stock, item }) => (stock === null ? [item] : [])));
  return ({ stock, item }) => {
    if (stock !== null || item > 0) return item;
    let next = 1;
    while (taken.has(next)) next++;
    taken.add(next);
    return next;
  };
}
