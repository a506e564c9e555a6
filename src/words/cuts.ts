import { type CostTerm, type PieceCost } from "@/core/cutting/cost";
import { type CuttingWay } from "@/core/cutting/cutting-way";
import { type Form, type NoMatch } from "@/core/cutting/match";
import { type Cannot, type CutsPlan, type OrderLine, type PlannedLength, type PlannedSheet } from "@/core/cutting/plan-cuts";
import { type Source } from "@/core/cutting/sources";
import { type Wanted } from "@/core/cutting/wanted";
import { METALS } from "@/core/metal/metals";
import { type Rates } from "@/core/piece/bench";
import { roundingOf } from "./steps";
import { moneyAddingUp } from "./sums";
import { formText } from "./kit";
import { SECTION_NAMES, capital, counted } from "./names";
import { type Units, showLength, withUnit } from "./show";

export const WAY_NAMES: Readonly<Record<CuttingWay, string>> = {
  spoil: "the least is spoiled",
  "ends-first": "short ends first, long lengths stay long",
  fewest: "the fewest are opened",
};

const WHY_NOT: Readonly<Record<NoMatch, string>> = {
  width: "what is there has another width",
  thickness: "what is there has another thickness",
  metal: "what is there is of another metal",
  form: "there is none",
};

/** Why it cannot be cut from something. */
export function whyNot(why: NoMatch): string {
  return WHY_NOT_FROM[why];
}

const WHY_NOT_FROM: Readonly<Record<NoMatch, string>> = {
  width: "it has another width",
  thickness: "it has another thickness",
  metal: "it is of another metal",
  form: "it has another form",
};

/** Why it is not cut from what is there. */
export function whyOrdered(why: NoMatch | null): string {
  return why === null ? "not enough is left" : WHY_NOT[why];
}

const CANNOT: Readonly<Record<Cannot["why"], string>> = {
  "too-long": "it is longer than what is there and what is bought",
  "too-large": "it is larger than what is there and what is bought",
};

export function cannotText(why: Cannot["why"]): string {
  return CANNOT[why];
}

/** "in the drawer" or "to order". */
export function sourceText({ stock }: Source): string {
  return stock ? "in the drawer" : "to order";
}

/** Grams as they are weighed. */
export function grams(g: number): string {
  return `${g.toFixed(2)} g`;
}

/** "12.40 EUR" */
export function money(value: number, currency: string): string {
  return `${value.toFixed(2)} ${currency}`;
}

export function sheetTitle({ form, sheet: { length, width }, stock }: PlannedSheet, units: Units): string {
  return `${formText(form, units)}, ${showLength(length, "measured", units)} × ${withUnit(width, "measured", units)}, ${sourceText({ stock, item: 1 })}`;
}

export function lengthTitle({ form, length, stock, item }: PlannedLength, units: Units): string {
  return `${formText(form, units)}, ${withUnit(length, "measured", units)}, ${sourceText({ stock, item })}`;
}

/** A form without its metal, as it is written beside what lies there: "Half-round 3.00 × 1.60". */
export function shortForm({ stock }: Form, units: Units): string {
  const length = (mm: number) => showLength(mm, "measured", units);
  switch (stock.form) {
    case "strip":
      return `Strip ${length(stock.width)} × ${length(stock.thickness)}`;
    case "wire":
      return `${capital(SECTION_NAMES[stock.section])} ${length(stock.width)}${stock.width === stock.thickness ? "" : ` × ${length(stock.thickness)}`}`;
    case "sheet":
      return `Sheet ${length(stock.thickness)}`;
    case "tube":
      return `Tube ${length(stock.outside)} / ${length(stock.inside)}`;
  }
}

/** What becomes of the end of a length. */
export function leftText({ left, goesBack }: Pick<PlannedLength, "left" | "goesBack">, units: Units): string {
  return goesBack ? `${withUnit(left, "measured", units)} goes back` : `${withUnit(left, "measured", units)} is spoiled`;
}

export const CUT_LIST = "What is cut, in this order";

/** A row of the list: what metal is taken, or beneath it what is cut from it. */
export interface CutListRow {
  readonly text: string;
  readonly isUnder: boolean;
}

/** What is cut from each sheet and each length, one row after another, numbered throughout. */
export function cutListRows(
  { sheets, lengths }: Pick<CutsPlan, "sheets" | "lengths">,
  nameOf: (piece: string) => string,
  units: Units,
): CutListRow[] {
  let number = 0;
  const head = (text: string): CutListRow => ({ text, isUnder: false });
  const under = (text: string): CutListRow => ({ text, isUnder: true });
  const cut = (piece: string, size: string) => under(`${++number}  ${nameOf(piece)}, ${size}`);
  return [
    ...sheets.flatMap((sheet) => [
      head(sheetTitle(sheet, units)),
      ...sheet.placed.map(({ wanted }) => cut(wanted.piece, blankSize(wanted, units))),
    ]),
    ...lengths.flatMap((length) => [
      head(lengthTitle(length, units)),
      ...length.cuts.map(({ wanted, at }) => cut(wanted.piece, `${blankSize(wanted, units)}, ${fromText(at, units)}`)),
      under(leftText(length, units)),
    ]),
  ];
}

/** "46.05 mm", or of what is sawn from sheet "18.7 × 14.7 mm": as the piece's own pages have it. */
export function blankSize({ cut: { shape, figure, across } }: Wanted, units: Units): string {
  if (shape.kind === "length") return withUnit(shape.length, roundingOf(figure), units);
  return `${showLength(shape.length, roundingOf(figure), units)} × ${withUnit(shape.width, roundingOf(across ?? figure), units)}`;
}

/** Where along a length something is cut. */
function fromText(at: number, units: Units): string {
  return `from ${withUnit(at, "measured", units)} on`;
}

export function orderText({ form, length, width, count, mass }: OrderLine, units: Units): string {
  const size =
    width === null
      ? withUnit(length, "measured", units)
      : `${showLength(length, "measured", units)} × ${withUnit(width, "measured", units)}`;
  return `${formText(form, units)}: ${count} of ${size}, ${grams(mass)}`;
}

export const ORDER_LIST = "What to order";

/** What is ordered with its cost where a gram has a price; then what each metal of it weighs, and all of it costs. Sums are of what is shown. */
export function orderRows(order: readonly OrderLine[], { metals, currency = "", by }: Partial<Rates>, units: Units): CutListRow[] {
  const shown = order.map((line) => {
    const { metal } = line.form;
    const price = metals?.[metal];
    return { line, metal, mass: asShown(line.mass), cost: price === undefined ? null : asShown(line.mass * price) };
  });
  const total = (of: (each: (typeof shown)[number]) => number) => shown.reduce((sum, each) => sum + of(each), 0);
  const all = [...new Set(shown.map(({ metal }) => metal))];
  const isPriced = shown.some(({ cost }) => cost !== null);
  return [
    ...shown.map(({ line, cost }) => ({
      text: orderText(line, units) + (cost === null ? "" : `, ${money(cost, currency)}`),
      isUnder: false,
    })),
    ...all.map((metal) => ({
      text: `${grams(total((each) => (each.metal === metal ? each.mass : 0)))} ${METALS[metal].name}`,
      isUnder: true,
    })),
    ...(isPriced
      ? [
          {
            text:
              money(
                total(({ cost }) => cost ?? 0),
                currency,
              ) + (by === "stand-in" ? MADE_UP : ""),
            isUnder: true,
          },
        ]
      : []),
  ];
}

/** Grams and money are shown to the hundredth. */
function asShown(value: number): number {
  return Math.round(value * 100) / 100;
}

const MADE_UP = ", by made-up prices of a stand-in";

/** A cost as it is told, marked where a price in it was made up. */
export function markedStandIn(text: string, { terms }: Pick<PieceCost, "terms">, rates: Partial<Rates> | undefined): string {
  return rates?.by === "stand-in" && terms.length > 0 ? text + MADE_UP : text;
}

export const COST_NAMES: Readonly<Record<CostTerm["of"], string>> = {
  metal: "metal",
  spoil: "spoiled",
  solder: "solder",
  stones: "stones",
  hours: "hours",
};

/** "2.41 g sterling at 0.95" */
export function costTermText({ of, metal, quantity, rate }: CostTerm, currency: string): string {
  if (of === "stones") return counted(quantity, "stone");
  const what = of === "hours" ? `${quantity.toFixed(2)} h` : grams(quantity);
  const named = metal === null ? COST_NAMES[of] : METALS[metal].name + (of === "spoil" ? ", spoiled" : "");
  return `${what} ${named} at ${money(rate ?? 0, currency)}`;
}

/** What a cost leaves out because nobody gave a price of it. */
export function unknownText({ of, metal }: PieceCost["unknown"][number]): string {
  return metal === null ? COST_NAMES[of] : METALS[metal].name;
}

/** A cost's terms with what each comes to, as they are shown: they add up to the cost as it is shown. */
export function costTerms({ terms }: Pick<PieceCost, "terms">, currency: string): { readonly text: string; readonly value: string }[] {
  const values = moneyAddingUp(terms.map(({ value }) => value));
  return terms.map((term, i) => ({ text: costTermText(term, currency), value: money(values[i]!, currency) }));
}

/** What several pieces cost together, as each of them is shown. */
export function costOfAll(costs: readonly PieceCost[]): Omit<PieceCost, "piece"> {
  return {
    value: costs.reduce((sum, { value }) => sum + asShown(value), 0),
    terms: costs.flatMap(({ terms }) => terms),
    unknown: costs.flatMap(({ unknown }) => unknown),
  };
}

/** "12.40 EUR, without stones": what a piece costs, and what of it nobody gave a price of. */
export function costText({ value, terms, unknown }: Omit<PieceCost, "piece">, currency: string): string {
  const without = [...new Set(unknown.map(unknownText))].join(", ");
  if (terms.length === 0) return `not known: no price of ${without}`;
  return money(value, currency) + (without === "" ? "" : `, without ${without}`);
}

/** While what a piece costs is worked out, and where that fails. */
export const costing = {
  wait: "working it out…",
  failed: (why: string) => `What it costs could not be worked out: ${why}`,
};

/** How good a plan of cuts is known to be. */
export function statusText({ isProven, sheets }: Pick<CutsPlan, "isProven" | "sheets">): string {
  if (isProven) return "the best there is";
  return sheets.length > 0 ? "the best found; sheets are never proven to be the best" : "the best found, not proven";
}

export const putBackText = {
  isBack: "The drawer is as it was before that cut",
  notBack: "It cannot be put back: what it left in the drawer was cut, changed or removed since.",
};

/** "Strip 3.20 × 0.32, 90.00 mm": what lies in the drawer that something is cut from. */
export function begunText(begun: readonly (PlannedLength | PlannedSheet)[], units: Units): string {
  const texts = begun.map((each) => {
    const size =
      "sheet" in each
        ? `${showLength(each.sheet.length, "measured", units)} × ${withUnit(each.sheet.width, "measured", units)}`
        : withUnit(each.length, "measured", units);
    return `${shortForm(each.form, units)}, ${METALS[each.form.metal].name}, ${size}`;
  });
  return texts.join("; ");
}
