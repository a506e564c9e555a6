import { polygonArea } from "../geometry/polygon";
import { tolerance } from "../measure/tolerances";
import { areaAcross } from "../metal/cut";
import { METALS, type Metal, massOf } from "../metal/metals";
import { STOCK_FORMS, type StockItem, sheetSides } from "../metal/stock";
import { type CuttingWay } from "./cutting-way";
import { laidLengths } from "./lengths";
import { type Form, type NoMatch, isSameForm, noMatch, widthAcross } from "./match";
import { metalsOf } from "./masses";
import { nested } from "./nest";
import { type Pin, type PinnedAt } from "./pin";
import { type Remainder, holdsRectangle, remainderOf } from "./remainder";
import { type Sheet } from "./sheet";
import { type Source, formOf, formOfStock, groupsOf, numbered, sourceOfPin, sourcesFor } from "./sources";
import { type Wanted, blankId, sawPolygon } from "./wanted";

/** What is to be cut, and from what. */
export interface CutsRequest {
  readonly wanted: readonly Wanted[];
  readonly stock: readonly StockItem[];
  readonly bought: { readonly length: number; readonly sheet: readonly [number, number] };
  readonly useful: { readonly length: number; readonly sheet: readonly [number, number] };
  readonly kerf: number;
  readonly way: CuttingWay;
  /** Where the maker wants some of the blanks; an earlier one keeps its place where two meet. */
  readonly pins?: readonly Pin[];
  /** Ways to lay sheets that are tried, the quickest first; all where it is left out. */
  readonly tries?: number;
}

export interface PlannedLength extends Source {
  readonly form: Form;
  readonly length: number;
  /** Each with how far from the beginning it lies. */
  readonly cuts: readonly { readonly wanted: Wanted; readonly length: number; readonly at: number; readonly isPinned: boolean }[];
  readonly left: number;
  readonly goesBack: boolean;
}

/** Whether a length reaches far past its last cut: of a coil, and of what is bought. */
export function goesOn({ stock }: PlannedLength): boolean {
  return stock === null || stock.coil === true;
}

export interface PlannedSheet extends Source {
  readonly form: Form;
  readonly sheet: Sheet;
  readonly placed: readonly (PinnedAt & { readonly wanted: Wanted; readonly isPinned: boolean })[];
  readonly used: number;
  /** mm2 of blanks to mm2 of the sheet's width along what is used. */
  readonly density: number;
  readonly remainder: Remainder | null;
  readonly goesBack: boolean;
}

/** Why something is in no plan: it is larger than what is bought. */
export interface Cannot {
  readonly wanted: Wanted;
  readonly why: "too-long" | "too-large";
}

/** What is to be bought of one form, and what was nearest to it in the drawer. */
export interface OrderLine {
  readonly form: Form;
  readonly length: number;
  /** Of a sheet. */
  readonly width: number | null;
  readonly count: number;
  readonly mass: number;
  /** Null where the drawer has it, but not enough. */
  readonly why: NoMatch | null;
}

/** g of one metal: what is drawn is blanks and what is spoiled. */
export interface DrawnMetal {
  readonly metal: Metal;
  readonly drawn: number;
  readonly blanks: number;
  readonly spoiled: number;
}

export interface CutsPlan {
  readonly way: CuttingWay;
  /** Lengths alone are ever proven to be the best; sheets are the best of several tries. */
  readonly isProven: boolean;
  readonly lengths: readonly PlannedLength[];
  readonly sheets: readonly PlannedSheet[];
  readonly order: readonly OrderLine[];
  readonly cannot: readonly Cannot[];
  readonly metals: readonly DrawnMetal[];
  /** Blanks that are wanted and do not go where they are pinned: it is gone, of another form by now, or has no room. */
  readonly notThere: readonly Wanted[];
}

/** Where every blank is cut, after what is wanted and what there is; section 12 of the formulas. */
export function planCuts(request: CutsRequest): CutsPlan {
  const { wanted, way, pins = [] } = request;
  const [lengths, outlines] = [
    wanted.filter(({ cut }) => cut.shape.kind === "length"),
    wanted.filter(({ cut }) => cut.shape.kind === "outline"),
  ];
  const cut = groupsOf(lengths, request.stock).map((group) => cutLengths(group, request, pinsOf(group, pins)));
  const sawn = groupsOf(outlines, request.stock).map((group) => sawSheets(group, request, pinsOf(group, pins)));
  const plan = { lengths: cut.flatMap((each) => each.lengths), sheets: sawn.flatMap((each) => each.sheets) };
  return {
    way,
    isProven: cut.every((each) => each.isProven) && sawn.length === 0,
    ...plan,
    order: orderOf(plan, request.stock),
    cannot: [...cut, ...sawn].flatMap((each) => each.cannot),
    metals: metalsOf(plan),
    notThere: [...cut, ...sawn].flatMap((each) => each.notThere),
  };
}

/** A blank of a group and its pin. */
interface PinnedBlank {
  readonly index: number;
  readonly pin: Pin;
}

/** The pins of a group's blanks; of several for one the last counts. */
function pinsOf(group: readonly Wanted[], pins: readonly Pin[]): PinnedBlank[] {
  const ids = group.map(blankId);
  const last = pins.filter(({ blank }, i) => pins.findLastIndex((each) => each.blank === blank) === i);
  return last.flatMap((pin) => (ids.includes(pin.blank) ? [{ index: ids.indexOf(pin.blank), pin }] : []));
}

function lengthOf({ cut: { shape } }: Wanted): number {
  return shape.length;
}

function cutLengths(group: readonly Wanted[], { stock, bought, useful, kerf, way }: CutsRequest, pins: readonly PinnedBlank[]) {
  const sources = sourcesFor(
    group,
    stock,
    pins.map(({ pin }) => pin),
  );
  // strip is snipped and loses nothing; the rest is sawn
  const ownKerf = formOf(group[0]!).stock.form === "strip" ? 0 : kerf;
  const lengths = group.map(lengthOf);
  const longs = sources.map((each) => each.stock?.length ?? bought.length);
  const trim = (bar: number, cut: number) => {
    const [want, has] = [formOf(group[cut]!), sources[bar]!.form];
    return noMatch(want, has) === null ? Math.max(0, widthAcross(has.stock) - widthAcross(want.stock)) * lengths[cut]! : null;
  };
  const pinned = sources.map((): number[] => []);
  for (const { index, pin } of pins) {
    const bar = sourceOfPin(pin, sources);
    if (bar < 0 || trim(bar, index) === null) continue;
    const filled = pinned[bar]!.reduce((sum, cut) => sum + lengths[cut]! + ownKerf, 0);
    if (filled + lengths[index]! <= longs[bar]! + tolerance.sameLength) pinned[bar]!.push(index);
  }
  const isPinned = (cut: number) => pinned.some((each) => each.includes(cut));
  const plan = laidLengths({
    bars: longs.map((length, i) => ({
      length,
      isBought: sources[i]!.stock === null,
      ...(pinned[i]!.length > 0 && { pinned: pinned[i]! }),
    })),
    cuts: lengths,
    trim,
    kerf: ownKerf,
    useful: useful.length,
    way,
  });
  const numberOf = numbered(sources);
  return {
    isProven: plan.isProven,
    notThere: pins.filter(({ index }) => !isPinned(index)).map(({ index }) => group[index]!),
    lengths: plan.bars.map(({ bar, cuts, left, goesBack }): PlannedLength => {
      const source = sources[bar]!;
      let at = 0;
      return {
        ...source,
        item: numberOf(source),
        length: longs[bar]!,
        cuts: cuts.map((cut) => {
          const own = { wanted: group[cut]!, length: lengths[cut]!, at, isPinned: isPinned(cut) };
          at += lengths[cut]! + ownKerf;
          return own;
        }),
        left,
        goesBack,
      };
    }),
    cannot: plan.leftOut.map((cut): Cannot => ({ wanted: group[cut]!, why: "too-long" })),
  };
}

function sawSheets(group: readonly Wanted[], { stock, bought, useful, kerf, tries }: CutsRequest, pins: readonly PinnedBlank[]) {
  const sources = sourcesFor(
    group,
    stock,
    pins.map(({ pin }) => pin),
  );
  const sheets = sources.map(({ stock: item }): Sheet => {
    if (!item) return { length: bought.sheet[0], width: bought.sheet[1], outline: null, taken: [], isBought: true };
    return { ...sheetSides(item), outline: item.outline ?? null, taken: item.taken ?? [], isBought: false };
  });
  const blanks = group.map(sawPolygon);
  const wished = pins.flatMap(({ index, pin }) => {
    const sheet = sourceOfPin(pin, sources);
    const isOf = sheet >= 0 && pin.at !== null && noMatch(formOf(group[index]!), sources[sheet]!.form) === null;
    return isOf ? [{ ...pin.at, blank: index, sheet }] : [];
  });
  const plan = nested({ sheets, blanks, kerf, wished }, tries);
  const numberOf = numbered(sources);
  return {
    notThere: pins.filter(({ index }) => !plan.kept.includes(index)).map(({ index }) => group[index]!),
    sheets: plan.sheets.map(({ sheet: i, placed, used }): PlannedSheet => {
      const [source, sheet] = [sources[i]!, sheets[i]!];
      const remainder = remainderOf(sheet, used + kerf);
      const cutArea = placed.reduce((sum, { blank }) => sum + Math.abs(polygonArea(blanks[blank]!)), 0);
      return {
        ...source,
        item: numberOf(source),
        sheet,
        placed: placed.map(({ blank, x, y, turn }) => ({ wanted: group[blank]!, x, y, turn, isPinned: plan.kept.includes(blank) })),
        used,
        density: cutArea / (sheet.width * used),
        remainder,
        goesBack: remainder !== null && holdsRectangle(remainder.clear, useful.sheet),
      };
    }),
    cannot: plan.leftOut.map((blank): Cannot => ({ wanted: group[blank]!, why: "too-large" })),
  };
}

type Begun = Pick<CutsPlan, "lengths" | "sheets">;

function orderOf({ lengths, sheets }: Begun, stock: readonly StockItem[]): OrderLine[] {
  const lines: OrderLine[] = [];
  const add = (form: Form, length: number, width: number | null) => {
    const mass = massOf(form.metal, (width ?? 1) * length * areaAcross(form.stock));
    const i = lines.findIndex((line) => isSameForm(line.form, form));
    const before = lines[i];
    const line = { form, length, width, count: (before?.count ?? 0) + 1, mass: (before?.mass ?? 0) + mass, why: nearestMiss(form, stock) };
    lines.splice(i < 0 ? lines.length : i, i < 0 ? 0 : 1, line);
  };
  for (const { stock: item, form, length } of lengths) if (!item) add(form, length, null);
  for (const { stock: item, form, sheet } of sheets) if (!item) add(form, sheet.length, sheet.width);
  const placeOf = ({ form: { metal, stock: of } }: OrderLine) =>
    METAL_CODES.indexOf(metal) * STOCK_FORMS.length + STOCK_FORMS.indexOf(of.form);
  return lines.sort((a, b) => placeOf(a) - placeOf(b));
}

/** What is ordered stands by its metal, then by its form. */
const METAL_CODES = Object.keys(METALS);

/** The nearest thing first. */
const NEAREST: readonly NoMatch[] = ["width", "thickness", "metal", "form"];

/** What kept the nearest thing in the drawer from being used; null where there was some of it. */
function nearestMiss(form: Form, stock: readonly StockItem[]): NoMatch | null {
  const misses = stock.filter(({ count }) => count > 0).map((item) => noMatch(form, formOfStock(item)));
  if (misses.includes(null)) return null;
  return NEAREST.find((miss) => misses.includes(miss)) ?? "form";
}
