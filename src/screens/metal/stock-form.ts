import { type SheetLines, linesOfSheet, sheetOfLines } from "@/core/cutting/sheet-lines";
import { readAmount, readLength } from "@/core/measure/reading";
import { toMicron } from "@/core/measure/micron";
import { type Metal } from "@/core/metal/metals";
import { type SectionShape } from "@/core/metal/section";
import { type StockItem, cutStockOf, lengthWeighing, sheetSides } from "@/core/metal/stock";
import { cornersText, readCorners } from "@/formats/corners";
import { type Units, showLength } from "@/words/show";
import { stockFormText } from "@/words/screens/metal";

export type Form = StockItem["form"];
export type Side = "width" | "thickness" | "outside" | "inside" | "length";

/** What is chosen and typed of metal for the drawer. */
export interface TypedStock {
  readonly form: Form;
  readonly metal: Metal;
  readonly section: SectionShape;
  readonly texts: Readonly<Partial<Record<Side | "count" | "least" | "grams" | "corners", string>>>;
}

/** What is asked of each form. */
const SIDES: Readonly<Record<Form, readonly Side[]>> = {
  strip: ["width", "thickness", "length"],
  wire: ["width", "thickness", "length"],
  sheet: ["length", "width", "thickness"],
  tube: ["outside", "inside", "length"],
};

/** Of round and square wire its thickness says its width; of a sheet with corners these say its sides. */
export function sidesAsked({ form, section, texts }: TypedStock): readonly Side[] {
  if (form === "sheet" && hasCorners(texts)) return ["thickness"];
  return SIDES[form].filter((side) => !(side === "width" && form === "wire" && (section === "round" || section === "square")));
}

/** What lies there already, as it would be typed. */
export function typedOf(item: StockItem | null, units: Units): TypedStock {
  if (!item) return { form: "strip", metal: "sterling", section: "round", texts: {} };
  const { form, metal, section = "round", count, least } = item;
  const sides = SIDES[form].flatMap((side): [Side, string][] => {
    const own = item[side];
    return own === undefined ? [] : [[side, showLength(own, "measured", units)]];
  });
  return {
    ...{ form, metal, section },
    texts: {
      ...(Object.fromEntries(sides) as Partial<Record<Side, string>>),
      count: String(count),
      ...(least !== undefined && { least: showLength(least, "measured", units) }),
      ...((item.outline ?? item.taken) && { corners: cornersShown(item, units) }),
    },
  };
}

function hasCorners({ corners = "" }: TypedStock["texts"]): boolean {
  return corners.trim() !== "";
}

function cornersShown(item: StockItem, units: Units): string {
  return cornersText(linesOfSheet(item), (mm) => showLength(mm, "measured", units));
}

export type ReadSheet = { readonly ok: true; readonly lines: SheetLines } | { readonly ok: false; readonly problem: string };

/** The sheet that its corners draw, or what is wrong with them; null where none are typed. One whose corners were not typed anew keeps the digits that are not shown. */
export function typedSheet({ form, texts: { corners = "" } }: TypedStock, item: StockItem | null, units: Units): ReadSheet | null {
  if (form !== "sheet" || corners.trim() === "") return null;
  if ((item?.outline ?? item?.taken) && corners === cornersShown(item, units)) {
    const { outline, taken } = item;
    return { ok: true, lines: { ...sheetSides(item), ...(outline && { outline }), ...(taken && { taken }) } };
  }
  const read = readCorners(corners, units.length);
  if (!read.ok) return { ok: false, problem: stockFormText.notACorner(read.line, read.got, units) };
  const sheet = sheetOfLines(read.lines);
  return sheet.ok ? sheet : { ok: false, problem: stockFormText.noSheet[sheet.fault.code](sheet.fault.line) };
}

export type ReadStock = { readonly ok: true; readonly item: Omit<StockItem, "id"> } | { readonly ok: false; readonly problem: string };

/** What was typed as an entry of the drawer, or the first thing that is wrong with it; what is not asked stays as it is in `item`. */
export function readStock(typed: TypedStock, item: StockItem | null, units: Units): ReadStock {
  const { form, metal, section, texts } = typed;
  const read: Partial<Record<Side, number>> = {};
  const sheet = typedSheet(typed, item, units);
  if (sheet && !sheet.ok) return sheet;
  for (const side of sidesAsked(typed)) {
    const reading = readLength(texts[side] ?? "", units.length);
    if (!reading.ok || reading.value <= 0) return { ok: false, problem: stockFormText.needed(stockFormText.sides[side]) };
    read[side] = asTyped(item?.[side], texts[side], reading.value, units);
  }
  const count = Number(texts.count ?? "1");
  if (!Number.isInteger(count) || count < 1) return { ok: false, problem: stockFormText.howMany };
  const least = (texts.least ?? "").trim() === "" ? null : readLength(texts.least!, units.length);
  if (least && !least.ok) return { ok: false, problem: stockFormText.needed(stockFormText.least) };
  const thickness = read.thickness ?? toMicron((read.outside! - read.inside!) / 2);
  if (thickness <= 0) return { ok: false, problem: stockFormText.insideOut };
  const { coil, note } = item ?? {};
  return {
    ok: true,
    item: {
      ...{ form, metal, thickness, count, length: read.length ?? sheet!.lines.length },
      ...(coil !== undefined && { coil }),
      ...(note !== undefined && { note }),
      ...(form === "wire" && { section, width: read.width ?? thickness }),
      ...((form === "strip" || form === "sheet") && { width: read.width! }),
      ...sheet?.lines,
      ...(form === "tube" && { outside: read.outside!, inside: read.inside! }),
      ...(least?.ok && { least: asTyped(item?.least, texts.least, least.value, units) }),
    },
  };
}

/** What was not typed anew keeps the digits that are not shown. */
function asTyped(own: number | undefined, text: string | undefined, read: number, units: Units): number {
  return own !== undefined && showLength(own, "measured", units) === text ? own : read;
}

/** The length that the typed grams give, in mm; null where none are typed, or a size is wanting. */
export function typedWeight(typed: TypedStock, item: StockItem | null, units: Units): number | null {
  const grams = readAmount(typed.texts.grams ?? "");
  if (grams === null || grams <= 0 || typed.form === "sheet") return null;
  const whole = readStock({ ...typed, texts: { ...typed.texts, length: typed.texts.length || "1", count: "1" } }, item, units);
  return whole.ok ? lengthWeighing({ metal: whole.item.metal, stock: cutStockOf({ id: "", ...whole.item }) }, grams) : null;
}
