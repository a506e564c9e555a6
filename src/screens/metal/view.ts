import { type CutsPlan, type PlannedLength, type PlannedSheet } from "@/core/cutting/plan-cuts";
import { type CutStock } from "@/core/metal/cut";
import { METALS } from "@/core/metal/metals";
import { type StockItem, cutStockOf, sheetSides } from "@/core/metal/stock";
import { metalText } from "@/words/screens/metal";
import { METRIC, type Units, showLength, withUnit } from "@/words/show";
import { addingUp } from "@/words/sums";
import { grams, shortForm } from "@/words/cuts";

/** A line of the list beside the drawer: what lies there, how large it is, and what becomes of it. */
export interface DrawerLine {
  readonly id: string;
  readonly form: CutStock["form"];
  readonly name: string;
  readonly size: string;
  readonly left: string;
  readonly note: string;
  readonly isBegun: boolean;
  readonly isUnderLeast: boolean;
}

/** What lies in the drawer, in its order, with what is left of it once all is cut. */
export function drawerLines(stock: readonly StockItem[], plan: CutsPlan | null, units: Units): DrawerLine[] {
  return stock.map((item) => {
    const begun = [...(plan?.lengths ?? []), ...(plan?.sheets ?? [])].filter((each) => each.stock?.id === item.id);
    const long = longLeft(item, begun);
    return {
      id: item.id,
      form: item.form,
      name: shortForm({ metal: item.metal, stock: cutStockOf(item) }, units),
      size: `${METALS[item.metal].name}, ${sizeText(item, units)}`,
      left: begun.length === 0 ? "" : leftOf(begun, item, units),
      note: begun.length === 0 ? metalText.notTouched(1) : "",
      isBegun: begun.length > 0,
      isUnderLeast: item.least !== undefined && long < item.least,
    };
  });
}

/** How long it is, and how wide a sheet is; how many there are, and what is noted of it. */
export function sizeText(item: StockItem, units: Units): string {
  const named = item.note ? `, ${item.note}` : "";
  return `${item.count === 1 ? "" : `${item.count} × `}${oneSize(item, units)}${named}`;
}

function oneSize(item: StockItem, units: Units): string {
  if (item.form !== "sheet") return withUnit(item.length, "measured", units);
  const { length, width } = sheetSides(item);
  return `${showLength(length, "measured", units)} × ${withUnit(width, "measured", units)}`;
}

/** mm that lie there once all is cut. */
function longLeft(item: StockItem, begun: readonly (PlannedLength | PlannedSheet)[]): number {
  const kept = begun.reduce((sum, each) => sum + ("left" in each && each.goesBack ? each.left : 0), 0);
  return (item.count - begun.length) * item.length + kept;
}

function leftOf(begun: readonly (PlannedLength | PlannedSheet)[], item: StockItem, units: Units): string {
  const ends = begun.flatMap((each) => {
    if ("left" in each) return each.goesBack ? [withUnit(each.left, "measured", units)] : [];
    const [long, wide] = each.remainder?.clear ?? [0, 0];
    return each.goesBack ? [`${showLength(long, "measured", units)} × ${withUnit(wide, "measured", units)}`] : [];
  });
  const untouched = item.count - begun.length;
  const whole = untouched > 0 ? [`${untouched} × ${oneSize(item, units)}`] : [];
  return [...whole, ...ends].join(", ") || metalText.usedUp;
}

/** What stands at the foot of the page; grams add up as they are shown. */
export interface CutsTotals {
  readonly lengths: number;
  readonly sheets: number;
  readonly spoiled: string;
  readonly drawn: string;
  readonly metals: string;
}

export function totalsOf(plan: CutsPlan): CutsTotals {
  const inHand = ({ stock }: { readonly stock: StockItem | null }) => stock !== null;
  const amounts = [...plan.metals.map(({ blanks }) => blanks), plan.metals.reduce((sum, { spoiled }) => sum + spoiled, 0)];
  const shown = addingUp(amounts, "g", METRIC);
  return {
    lengths: plan.lengths.filter(inHand).length,
    sheets: plan.sheets.filter(inHand).length,
    spoiled: shown.at(-1)!.toFixed(2),
    drawn: grams(shown.reduce((sum, each) => sum + each, 0)),
    metals: plan.metals.map(({ metal }, i) => `${grams(shown[i]!)} ${METALS[metal].name}`).join(" + "),
  };
}
