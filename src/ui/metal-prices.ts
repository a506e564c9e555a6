import { seeded } from "@/core/measure/seeded";
import { type Metal } from "@/core/metal/metals";

/** What a gram of each metal, and of solder, costs on a day. */
export interface Quote {
  readonly currency: string;
  readonly metals: Readonly<Record<Metal, number>>;
  readonly solder: number;
  /** As "2026-12-01". */
  readonly day: string;
}

/** Somewhere that is asked what metal costs. A real one stands behind the same. */
export interface MetalPrices {
  /** Whether it only stands in for a real one: then every page and print that shows its prices says so. */
  readonly isStandIn: boolean;
  quote(day: string): Promise<Quote>;
}

/** About what they cost, in EUR a gram, and by how much a day may differ, as a share. */
const USUAL: Readonly<Record<Metal, number>> = { "fine-silver": 1.2, sterling: 1.11, "sterling-935": 1.12, copper: 0.06, brass: 0.05 };
const USUAL_SOLDER = 1.6;
const SPREAD = 0.05;

/** Prices made up from the day: the same day has the same. */
export const standInPrices: MetalPrices = {
  isStandIn: true,
  quote: (day) => {
    const random = seeded([...day].reduce((sum, letter) => sum * 31 + letter.charCodeAt(0), 7));
    const price = (usual: number) => Math.round(usual * (1 + SPREAD * (2 * random() - 1)) * 1000) / 1000;
    const metals = Object.fromEntries(Object.entries(USUAL).map(([metal, usual]) => [metal, price(usual)])) as Record<Metal, number>;
    return Promise.resolve({ currency: "EUR", metals, solder: price(USUAL_SOLDER), day });
  },
};
