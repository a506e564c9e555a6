import { toMicron } from "../measure/micron";
import { isSame } from "../measure/same";
import { type Scrap, type StockItem } from "../metal/stock";
import { type DrawerAfter } from "./drawer-after";

/** What was cut from a drawer at once, so that it can be put back. */
export interface CutRecord {
  readonly id: string;
  /** ISO time. */
  readonly at: string;
  /** The id of the make it was cut for, where it was cut at the bench. */
  readonly make?: string;
  /** And the figure that was cut to. */
  readonly figure?: string;
  /** What was begun, as it lay; and what lies in its place. */
  readonly before: readonly StockItem[];
  readonly after: readonly StockItem[];
  /** What became scrap (g). */
  readonly scrap?: readonly Scrap[];
}

/** What of a drawer a cut has changed: nothing that stayed as it was. */
export function cutBetween(before: DrawerAfter, after: DrawerAfter, told: Omit<CutRecord, "before" | "after" | "scrap">): CutRecord {
  const owed = ({ scrap }: DrawerAfter, metal: Scrap["metal"]) => scrap.find((each) => each.metal === metal)?.grams ?? 0;
  const scrap = after.scrap.flatMap(({ metal, grams }): Scrap[] => {
    const more = toMicron(grams - owed(before, metal));
    return more > 0 ? [{ metal, grams: more }] : [];
  });
  return {
    ...told,
    before: before.stock.filter((item) => !after.stock.some((each) => isSame(each, item))),
    after: after.stock.filter((item) => !before.stock.some((each) => isSame(each, item))),
    ...(scrap.length > 0 && { scrap }),
  };
}

/** The drawer with a cut put back; null where what the cut left has been cut, changed or removed since. */
export function drawerBefore({ stock, scrap }: DrawerAfter, cut: CutRecord): DrawerAfter | null {
  const isLeft = (item: StockItem) => cut.after.some((each) => isSame(each, item));
  if (cut.after.some((item) => !stock.some((each) => isSame(each, item)))) return null;
  const stays = stock.filter((item) => !isLeft(item));
  if (cut.before.some(({ id }) => stays.some((each) => each.id === id))) return null;
  const first = stock.findIndex(isLeft);
  const at = first < 0 ? stays.length : stock.slice(0, first).filter((item) => !isLeft(item)).length;
  return {
    stock: [...stays.slice(0, at), ...cut.before, ...stays.slice(at)],
    scrap: scrap.flatMap(({ metal, grams }): Scrap[] => {
      const less = toMicron(grams - (cut.scrap?.find((each) => each.metal === metal)?.grams ?? 0));
      return less > 0 ? [{ metal, grams: less }] : [];
    }),
  };
}
