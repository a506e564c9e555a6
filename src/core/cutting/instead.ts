import { type CutStock } from "../metal/cut";
import { type StockItem, sheetSides } from "../metal/stock";
import { type Form, isSameForm, thicknessOf, widthAcross } from "./match";
import { type CutsPlan, type OrderLine } from "./plan-cuts";
import { holdsRectangle } from "./remainder";
import { formOf, formOfStock } from "./sources";
import { type Wanted } from "./wanted";

/** What is thicker or wider by up to this share would do too; a piece is then planned for it. */
const MORE = 0.25;
/** Sizes this much apart are the same (mm). */
const SAME = 1e-9;

/** What in the drawer would do in place of what is ordered, though it is a little thicker or wider, and large enough for each blank; the nearest first. */
export function insteadOf(line: OrderLine, { lengths, sheets }: CutsPlan, stock: readonly StockItem[]): StockItem[] {
  const ordered = [
    ...lengths.flatMap((each) => (each.stock ? [] : each.cuts)),
    ...sheets.flatMap((each) => (each.stock ? [] : each.placed)),
  ];
  const blanks = ordered.map(({ wanted }) => wanted).filter((wanted) => isSameForm(formOf(wanted), line.form));
  const over = (item: StockItem) => moreThan(line.form, formOfStock(item));
  return stock
    .filter((item) => item.count > 0 && over(item) !== null && blanks.every((wanted) => holds(item, wanted)))
    .sort((a, b) => over(a)! - over(b)!);
}

/** By what share something is thicker and wider; null where it is of another kind, the same, less, or much more. */
function moreThan(wanted: Form, there: Form): number | null {
  if (wanted.metal !== there.metal || kindOf(wanted.stock) !== kindOf(there.stock) || isSameForm(wanted, there)) return null;
  const shares = [thicknessOf, widthAcross].map((of) => (of(there.stock) - of(wanted.stock)) / (of(wanted.stock) || 1));
  if (shares.some((share) => share < -SAME || share > MORE + SAME)) return null;
  return Math.max(...shares);
}

function kindOf(stock: CutStock): string {
  return stock.form === "wire" ? stock.section : stock.form;
}

function holds(item: StockItem, { cut: { shape } }: Wanted): boolean {
  if (shape.kind === "length") return item.length >= shape.length - SAME;
  const { length, width } = sheetSides(item);
  return holdsRectangle([length, width], [shape.length, shape.width]);
}
