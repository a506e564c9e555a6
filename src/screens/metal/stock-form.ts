import { readAmount, readLength } from "@/core/measure/reading";
import { toMicron } from "@/core/measure/micron";
import { type Metal } from "@/core/metal/metals";
import { type SectionShape } from "@/core/metal/section";
import { type StockItem, cutStockOf, lengthWeighing } from "@/core/metal/stock";
import { type Units, showLength } from "@/words/show";
import { stockFormText } from "@/words/screens/metal";

export type Form = StockItem["form"];
export type Side = "width" | "thickness" | "outside" | "inside" | "length";

/** What is chosen and typed of metal for the drawer. */
export interface TypedStock {
  readonly form: Form;
  readonly metal: Metal;
  readonly section: SectionShape;
  readonly texts: Readonly<Partial<Record<Side | "count" | "least" | "grams", string>>>;
}

/** What is asked of each form. */
const SIDES: Readonly<Record<Form, readonly Side[]>> = {
  strip: ["width", "thickness", "length"],
  wire: ["width", "thickness", "length"],
  sheet: ["length", "width", "thickness"],
  tube: ["outside", "inside", "length"],
};

/** Of round and square wire its thickness says its width; of a sheet with an outline this says its sides. */
export function sidesAsked({ form, section }: Pick<TypedStock, "form" | "section">, item: StockItem | null): readonly Side[] {
  if (item?.outline && form === "sheet") return ["thickness"];
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
    },
  };
}

export type ReadStock = { readonly ok: true; readonly item: Omit<StockItem, "id"> } | { readonly ok: false; readonly problem: string };

/** What was typed as an entry of the drawer, or the first thing that is wrong with it; what is not asked stays as it is in `item`. */
export function readStock(typed: TypedStock, item: StockItem | null, units: Units): ReadStock {
  const { form, metal, section, texts } = typed;
  const read: Partial<Record<Side, number>> = {};
  for (const side of sidesAsked(typed, item)) {
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
  const { id: _id, least: _least, section: _section, width: _width, outside: _outside, inside: _inside, ...rest } = item ?? { id: "" };
  return {
    ok: true,
    item: {
      ...rest,
      ...{ form, metal, thickness, count, length: read.length ?? item!.length },
      ...(form === "wire" && { section, width: read.width ?? thickness }),
      ...((form === "strip" || form === "sheet") && (read.width ?? item?.width) !== undefined && { width: read.width ?? item!.width! }),
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
