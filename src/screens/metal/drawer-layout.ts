import { boxOf } from "@/core/geometry/curve";
import { placedCurve } from "@/core/geometry/placed";
import { type Form } from "@/core/cutting/match";
import { type Pin } from "@/core/cutting/pin";
import { type CutsPlan, type PlannedLength, type PlannedSheet, goesOn } from "@/core/cutting/plan-cuts";
import { formOfStock } from "@/core/cutting/sources";
import { type Wanted, blankId, sawLine } from "@/core/cutting/wanted";
import { type StockItem, sheetSides } from "@/core/metal/stock";
import { NARROW } from "@/ui/Drawing";

// Where everything lies in the picture of the drawer, in pixels, and what lies under a point of it.

/** Room for what lengths are called: at their left, or over them where the drawing is narrow; and past their ends for what is left (pixels). */
export const LABEL = 172;
/** Room over a length for what it is, and under it for what becomes of its end, where both find none beside it. */
const OVER = 16;
const UNDER = 10;
const END = 150;
/** Over a sheet, between things, and the height of a length (pixels). */
export const HEAD = 34;
const GAP = 18;
const ROW = 34;
export const BAR = 20;
export const RULE = 44;
export const MARGIN = 16;
/** Of a length that goes on past its last cut so much is drawn (mm), and no scale is larger (pixels a mm). */
const PAST = 18;
const LARGEST = 7;
const LEAST = 1.5;
/** The shortest rule that is drawn (mm). */
const SHORTEST = 60;

export type Whole<Planned> = Planned | StockItem;

interface Laid {
  readonly form: Form;
  /** How many alike it stands for: of what is not begun, all of it. */
  readonly alike: number;
  /** Where something is pinned that is to lie on it. */
  readonly from: Pick<Pin, "from" | "item">;
}

/** A sheet in the picture: its upper edge, its lower edge, and its sides in mm. */
export interface SheetBox extends Laid {
  readonly each: Whole<PlannedSheet>;
  readonly x: number;
  readonly top: number;
  readonly foot: number;
  readonly length: number;
  readonly width: number;
}

/** A length in the picture. */
export interface LengthRow extends Laid {
  readonly each: Whole<PlannedLength>;
  readonly left: number;
  readonly y: number;
  /** mm of it that are drawn. */
  readonly shown: number;
}

/** A blank in the picture, where it lies and in which box. */
export interface BlankBox {
  readonly id: string;
  readonly wanted: Wanted;
  readonly isPinned: boolean;
  readonly on: SheetBox | LengthRow;
  /** On a sheet: where it lies there; null on a length. */
  readonly at: Pin["at"];
  /** Of the box round it, in pixels. */
  readonly box: { readonly left: number; readonly top: number; readonly width: number; readonly height: number };
}

export interface DrawerLayout {
  readonly perMm: number;
  readonly height: number;
  readonly ruleAt: { readonly left: number; readonly y: number };
  readonly isNarrow: boolean;
  readonly sheets: readonly SheetBox[];
  readonly lengths: readonly LengthRow[];
  /** In an order that does not change with where they lie. */
  readonly blanks: readonly BlankBox[];
}

export function isItem(each: Whole<PlannedLength> | Whole<PlannedSheet>): each is StockItem {
  return "metal" in each;
}

export function isSheetBox(on: SheetBox | LengthRow): on is SheetBox {
  return "foot" in on;
}

/** Everything that is cut, from the drawer and what is bought, and what is not begun, to one scale. */
export function layoutOf(plan: CutsPlan, stock: readonly StockItem[], width: number): DrawerLayout {
  const flats = inOrder([...plan.sheets, ...untouched(stock, plan.sheets, "sheet")], stock);
  const longs = inOrder([...plan.lengths, ...untouched(stock, plan.lengths, "length")], stock);
  const longest = Math.max(SHORTEST, ...longs.map(shownLength), ...flats.map((each) => sidesOf(each).length));
  const isNarrow = width < NARROW;
  const left = isNarrow ? MARGIN : LABEL;
  const row = isNarrow ? ROW + OVER + UNDER : ROW;
  const perMm = Math.max(LEAST, Math.min(LARGEST, (width - left - (isNarrow ? MARGIN : END)) / longest));
  const { sheets, height: tall } = flow(flats, plan.sheets, perMm, width);
  const top = tall + (longs.length > 0 ? GAP : 0);
  const lengths = longs.map((each, i): LengthRow => ({
    ...laidOf(each, plan.lengths),
    ...{ each, left, y: top + i * row + (isNarrow ? OVER : 0), shown: shownLength(each) },
  }));
  const ruleY = top + lengths.length * row;
  const blanks = [...sheets.flatMap((on) => blanksOnSheet(on, perMm)), ...lengths.flatMap((on) => blanksOnLength(on, perMm))];
  blanks.sort((a, b) => (a.id < b.id ? -1 : 1));
  return { perMm, height: ruleY + RULE, ruleAt: { left, y: ruleY }, isNarrow, sheets, lengths, blanks };
}

/** What lies under a point of the picture, in pixels. */
export function boxUnder({ sheets, lengths, perMm, isNarrow }: DrawerLayout, [x, y]: readonly [number, number]) {
  const sheet = sheets.find((each) => x >= each.x && x <= each.x + each.length * perMm && y >= each.top && y <= each.foot);
  if (sheet) return sheet;
  const over = isNarrow ? OVER : (ROW - BAR) / 2;
  return lengths.find((each) => y >= each.y - over && y < each.y + BAR + (ROW - BAR) / 2) ?? null;
}

/** mm on a sheet, from its corner, of a point of the picture. */
export function onSheet({ x, foot }: SheetBox, perMm: number, [px, py]: readonly [number, number]): readonly [number, number] {
  return [(px - x) / perMm, (foot - py) / perMm];
}

/** The other boxes that something could lie on, in the order in which they are drawn, from the one it lies on; as many as there are. */
export function boxesFrom(layout: DrawerLayout, on: SheetBox | LengthRow, step: 1 | -1): readonly (SheetBox | LengthRow)[] {
  const all: readonly (SheetBox | LengthRow)[] = isSheetBox(on) ? layout.sheets : layout.lengths;
  const from = all.indexOf(on);
  return all.slice(1).map((_, i) => all[(from + step * (i + 1) + all.length * 2) % all.length]!);
}

/** As things lie in the drawer, so that none moves when something is cut from it; then what is bought. */
function inOrder<Each extends Whole<PlannedLength> | Whole<PlannedSheet>>(all: readonly Each[], stock: readonly StockItem[]): Each[] {
  const placeOf = (each: Each) => {
    const item = isItem(each) ? each : each.stock;
    const at = stock.findIndex(({ id }) => id === item?.id);
    return at < 0 ? stock.length : at;
  };
  const within = (each: Each) => (isItem(each) ? Number.MAX_VALUE : each.item);
  return [...all].sort((a, b) => placeOf(a) - placeOf(b) || within(a) - within(b));
}

/** What lies in the drawer and is not begun. */
function untouched(stock: readonly StockItem[], begun: readonly Pick<PlannedLength, "stock">[], kind: "sheet" | "length"): StockItem[] {
  return stock.filter(
    (item) => (item.form === "sheet") === (kind === "sheet") && item.count > begun.filter((each) => each.stock?.id === item.id).length,
  );
}

/** The form of what lies there; of something untouched the first that is not begun. */
function laidOf(
  each: Whole<PlannedLength> | Whole<PlannedSheet>,
  begun: readonly { readonly stock: StockItem | null; readonly item: number }[],
): Laid {
  if (!isItem(each)) return { form: each.form, alike: 1, from: { from: each.stock?.id ?? each.form, item: each.item } };
  const taken = new Set(begun.flatMap(({ stock, item }) => (stock?.id === each.id ? [item] : [])));
  let item = 1;
  while (taken.has(item)) item++;
  return { form: formOfStock(each), alike: each.count - taken.size, from: { from: each.id, item } };
}

function sidesOf(each: Whole<PlannedSheet>): { readonly length: number; readonly width: number } {
  return isItem(each) ? sheetSides(each) : each.sheet;
}

/** How much of a length is drawn: all of it, or of a coil and what is bought its cuts and a little more. */
function shownLength(each: Whole<PlannedLength>): number {
  if (isItem(each) ? !each.coil : !goesOn(each)) return each.length;
  const last = isItem(each) ? undefined : each.cuts.at(-1);
  return Math.min(each.length, (last ? last.at + last.length : 0) + PAST);
}

/** Where sheets lie, side by side in rows. */
function flow(all: readonly Whole<PlannedSheet>[], begun: readonly PlannedSheet[], perMm: number, within: number) {
  let [x, y, tallest] = [MARGIN, 0, 0];
  const sheets = all.map((each): SheetBox => {
    const { length, width } = sidesOf(each);
    const [long, tall] = [Math.max(length * perMm, LABEL), width * perMm + HEAD];
    if (x > MARGIN && x + long > within - MARGIN) [x, y, tallest] = [MARGIN, y + tallest + GAP, 0];
    const at = x;
    x += long + GAP;
    tallest = Math.max(tallest, tall);
    return { ...laidOf(each, begun), each, x: at, top: y + HEAD, foot: y + HEAD + width * perMm, length, width };
  });
  return { sheets, height: y + tallest };
}

function blanksOnSheet(on: SheetBox, perMm: number): BlankBox[] {
  if (isItem(on.each)) return [];
  return on.each.placed.map(({ wanted, x, y, turn, isPinned }): BlankBox => {
    const { left, right, low, high } = boxOf(placedCurve(sawLine(wanted), { at: [x, y], turn }));
    const box = { left: on.x + left * perMm, top: on.foot - high * perMm, width: (right - left) * perMm, height: (high - low) * perMm };
    return { id: blankId(wanted), wanted, isPinned, on, at: { x, y, turn }, box };
  });
}

function blanksOnLength(on: LengthRow, perMm: number): BlankBox[] {
  if (isItem(on.each)) return [];
  return on.each.cuts.map(({ wanted, length, at, isPinned }): BlankBox => ({
    ...{ id: blankId(wanted), wanted, isPinned, on, at: null },
    box: { left: on.left + at * perMm, top: on.y, width: length * perMm, height: BAR },
  }));
}
