import { type CheckCode, type Step } from "@/core/making/step";
import { type Remedy, type RemedyCode } from "@/core/piece/remedies";

/** What a reading asks for that a check would deny. */
const DENIED: Partial<Readonly<Record<CheckCode, ReadonlySet<RemedyCode>>>> = {
  "hoop.size": new Set(["hoop.stretch", "hoop.cut-out", "hoop.open", "hoop.close"]),
  "wall.passes": new Set(["wall.too-short"]),
};

/** What was read and says otherwise than a check of a step, of the setting that it is of. */
export function contradicting(code: CheckCode, { part }: Pick<Step, "part">, remedies: readonly Remedy[]): Remedy | undefined {
  return remedies.find((remedy) => DENIED[code]?.has(remedy.code) && (remedy.mount === null || remedy.mount === part));
}
