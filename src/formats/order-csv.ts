import { csvFormatRows } from "d3-dsv";
import { type OrderLine } from "@/core/cutting/plan-cuts";
import { type Rates } from "@/core/piece/bench";
import { orderFile } from "./cuts-file";
import { asText } from "./ledger-file";
import { SIZE_HEADS } from "./stock-csv";

const HEADS = [...SIZE_HEADS, "grams", "cost", "currency", "prices"] as const;

/** What is to be ordered as a table for other programs: lengths in mm; a cost only where a gram has a price, and by whom that was given. */
export function orderCsv(order: readonly OrderLine[], { metals, currency = "", by }: Partial<Rates>): string {
  const rows = order.map((line) => {
    const { mass, cost, ...rest } = orderFile(line, metals);
    const cells: Partial<Record<string, string | number | null>> = {
      ...rest,
      grams: mass.toFixed(2),
      cost: cost?.toFixed(2),
      ...(cost !== null && { currency, prices: by }),
    };
    return HEADS.map((head) => asText(String(cells[head] ?? "")));
  });
  return csvFormatRows([[...HEADS], ...rows]);
}
