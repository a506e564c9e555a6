import { type Metal } from "../metal/metals";
import { blankMasses } from "./masses";
import { type CutsPlan } from "./plan-cuts";

/** What a piece is paid for. */
export type CostOf = "metal" | "spoil" | "solder" | "stones" | "hours";

/** So much of something at a price, in the bench's currency. Metal and solder in grams. */
export interface CostTerm {
  readonly of: CostOf;
  readonly metal: Metal | null;
  readonly quantity: number;
  /** Of one; null of stones, which are bought by the piece. */
  readonly rate: number | null;
  readonly value: number;
}

/** What a piece costs, as the sum of its terms; `unknown` is what it takes too and nobody gave a price of. */
export interface PieceCost {
  readonly piece: string;
  readonly value: number;
  readonly terms: readonly CostTerm[];
  readonly unknown: readonly (Pick<CostTerm, "of" | "metal"> & { readonly quantity: number })[];
}

/** What is not metal that is cut: for all that are made of the piece. */
export interface CostInputs {
  /** g */
  readonly solder: number;
  /** Of each stone, null where nobody gave it. */
  readonly stones: readonly (number | null)[];
  /** Null where no order of heats was found. */
  readonly hours: number | null;
}

export interface Prices {
  readonly hour?: number;
  readonly metals?: Readonly<Partial<Record<Metal, number>>>;
  readonly solder?: number;
}

/**
 * What one of the planned pieces costs: its blanks and its share of what is spoiled of each metal, by its mass, at the price of a gram; solder by mass; stones;
 * hours at a rate (section 12 of the formulas).
 */
export function pieceCost(plan: CutsPlan, piece: string, { solder, stones, hours }: CostInputs, prices: Prices): PieceCost {
  const terms: CostTerm[] = [];
  const unknown: PieceCost["unknown"][number][] = [];
  const add = (of: CostOf, metal: Metal | null, quantity: number, rate: number | undefined) => {
    if (quantity === 0) return;
    if (rate === undefined) unknown.push({ of, metal, quantity });
    else terms.push({ of, metal, quantity, rate, value: quantity * rate });
  };
  for (const [metal, mass] of blankMasses(plan, piece)) {
    const { spoiled, blanks } = plan.metals.find((each) => each.metal === metal)!;
    add("metal", metal, mass, prices.metals?.[metal]);
    add("spoil", metal, (spoiled * mass) / blanks, prices.metals?.[metal]);
  }
  add("solder", null, solder, prices.solder);
  const priced = stones.filter((each) => each !== null);
  if (priced.length > 0) {
    const value = priced.reduce((sum, each) => sum + each, 0);
    terms.push({ of: "stones", metal: null, quantity: priced.length, rate: null, value });
  }
  if (priced.length < stones.length) unknown.push({ of: "stones", metal: null, quantity: stones.length - priced.length });
  if (hours === null) unknown.push({ of: "hours", metal: null, quantity: 0 });
  else add("hours", null, hours, prices.hour);
  return { piece, value: terms.reduce((sum, each) => sum + each.value, 0), terms, unknown };
}
