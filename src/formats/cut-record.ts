import { type CutRecord } from "@/core/cutting/cut-record";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { benchFromJson } from "./bench-codec";
import { type Decoded, faultsUnder } from "./decode";
import { validateCut } from "./generated/validators";
import { type Json } from "./read-json";
import { schemaFaults } from "./validate";

/** What was cut at once, from what was parsed; its metal read as a bench's drawer is. */
export function cutFromJson(value: Json): Decoded<CutRecord> {
  const shape = schemaFaults(validateCut, value);
  if (shape.length > 0) return { ok: false, faults: shape };
  const cut = value as unknown as CutRecord;
  const drawer = (stock: CutRecord["before"]) => benchFromJson({ ...SHIPPED_BENCH, stock, scrap: cut.scrap ?? [] } as unknown as Json);
  const faults = (["before", "after"] as const).flatMap((key) =>
    faultsUnder("", drawer(cut[key])).map((each) => ({ ...each, path: each.path.replace(/^\/stock/, `/${key}`) })),
  );
  return faults.length > 0 ? { ok: false, faults } : { ok: true, value: cut, migratedFrom: null };
}
