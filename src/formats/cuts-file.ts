import { type CutsPlan, type OrderLine } from "@/core/cutting/plan-cuts";
import { type Source } from "@/core/cutting/sources";
import { type PieceCost } from "@/core/cutting/cost";
import { type Rates } from "@/core/piece/bench";
import { cannotText, costTermText, unknownText } from "@/words/cuts";

/** What the cuts of some pieces come to, as a file has it. */
export interface Costed {
  readonly pieces: readonly { readonly id: string; readonly count: number }[];
  readonly plan: CutsPlan;
  readonly costs: readonly PieceCost[];
  readonly rates: Partial<Rates>;
}

/** Where everything is cut, what is to be ordered and what it costs; see the contract of `cuts`. */
export function cutsFile({ pieces, plan, costs, rates }: Costed): object {
  return {
    format: "hoop-ledger/cuts",
    version: 1,
    pieces,
    way: plan.way,
    status: plan.isProven ? "best" : "unproven",
    lengths: plan.lengths.map((each) => ({
      ...sourceOf(each),
      length: each.length,
      cuts: each.cuts.map(({ wanted, length, at }) => ({ piece: wanted.piece, copy: wanted.copy, figure: wanted.cut.figure, length, at })),
      left: each.left,
      goesBack: each.goesBack,
    })),
    sheets: plan.sheets.map((each) => ({
      ...sourceOf(each),
      placed: each.placed.map(({ wanted, x, y, turn }) => ({
        ...{ piece: wanted.piece, part: wanted.cut.part, copy: wanted.copy },
        ...{ x, y, turn, turnedOver: wanted.isTurnedOver },
      })),
      used: each.used,
      density: each.density,
      left: each.remainder?.clear ?? [0, 0],
    })),
    order: plan.order.map((line) => orderFile(line, rates.metals)),
    figures: figuresOf(plan, costs, rates.currency ?? ""),
    cannot: plan.cannot.map(({ wanted, why }) => ({ piece: wanted.piece, figure: wanted.cut.figure, why: cannotText(why) })),
  };
}

/** What is bought is numbered in the order it is listed, lengths and sheets each by themselves. */
function sourceOf({ stock, item }: Source): { readonly stock: string; readonly item: number } {
  return stock ? { stock: stock.id, item } : { stock: `bought.${item}`, item: 1 };
}

/** A line of an order, as a file has it; its cost is null where a gram has no price. */
export function orderFile({ form: { metal, stock }, length, width, count, mass }: OrderLine, prices: Rates["metals"]) {
  const price = prices?.[metal];
  return {
    form: stock.form,
    metal,
    ...(stock.form === "wire" && { section: stock.section }),
    ...(stock.form === "tube" && { outside: stock.outside, inside: stock.inside }),
    ...(width !== null ? { width } : stock.form === "strip" || stock.form === "wire" ? { width: stock.width } : {}),
    ...(stock.form !== "tube" && { thickness: stock.thickness }),
    ...{ length, count, mass },
    cost: price === undefined ? null : mass * price,
  };
}

function figuresOf({ metals }: CutsPlan, costs: readonly PieceCost[], currency: string): Record<string, object> {
  const total = (of: "drawn" | "blanks" | "spoiled") => metals.reduce((sum, each) => sum + each[of], 0);
  const grams = (value: number, terms: readonly { readonly label: string; readonly value: number }[]) => ({ value, unit: "g", terms });
  const cost = ({ value, terms, unknown }: Omit<PieceCost, "piece">) => ({
    ...{ value, unit: currency },
    terms: terms.map((term) => ({ label: term.metal ?? term.of, value: term.value, text: costTermText(term, currency) })),
    ...(unknown.length > 0 && { unknown: unknown.map(unknownText) }),
  });
  return {
    drawn: grams(total("drawn"), [
      { label: "blanks", value: total("blanks") },
      { label: "spoiled", value: total("spoiled") },
    ]),
    spoiled: grams(
      total("spoiled"),
      metals.map(({ metal, spoiled }) => ({ label: metal, value: spoiled })),
    ),
    cost: cost({
      value: costs.reduce((sum, each) => sum + each.value, 0),
      terms: costs.flatMap(({ terms }) => terms),
      unknown: costs.flatMap(({ unknown }) => unknown),
    }),
    ...Object.fromEntries(costs.map((each) => [`${each.piece}.cost`, cost(each)])),
  };
}
