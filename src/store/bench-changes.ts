import { type Draft as Editable, type Patch, applyPatches, enablePatches, produceWithPatches } from "immer";
import { type BenchEntry, SHIPPED_BENCH } from "@/core/piece/bench";
import { benchFromJson } from "@/formats/bench-codec";
import { type Json } from "@/formats/read-json";
import { faultMessage } from "@/words/faults";

enablePatches();

export type BenchRecipe = (bench: Editable<BenchEntry>) => void;

/** A change of the bench as what it alters, so that it is made to the bench as it then is: what another window changed stays. */
export interface BenchChange {
  readonly patches: readonly Patch[];
  readonly inverse: readonly Patch[];
  readonly before: BenchEntry;
  readonly after: BenchEntry;
}

export type Changed = { readonly ok: true; readonly change: BenchChange } | { readonly ok: false; readonly problem: string };

/** The change that a recipe makes, or why it cannot be made. */
export function changeOf(bench: BenchEntry, recipe: BenchRecipe): Changed {
  const [after, patches, inverse] = produceWithPatches(bench, recipe);
  const problem = problemOf(after);
  return problem === null ? { ok: true, change: { patches, inverse, before: bench, after } } : { ok: false, problem };
}

/** The bench with a change made to it, or null where it cannot be: it no longer fits. */
export function patched(bench: BenchEntry | null, patches: readonly Patch[]): BenchEntry | null {
  try {
    const next = applyPatches(bench ?? SHIPPED_BENCH, patches);
    return problemOf(next) === null ? next : null;
  } catch (error) {
    console.warn("a change of the bench no longer fits", error);
    return null;
  }
}

/** Whether what a change altered is still as it left it: only then is taking it back safe. */
export function isAsLeft(bench: BenchEntry, patches: readonly Patch[], left: BenchEntry): boolean {
  const fields = new Set(patches.map(({ path }) => path[0] as keyof BenchEntry));
  return [...fields].every((field) => JSON.stringify(bench[field]) === JSON.stringify(left[field]));
}

function problemOf(bench: BenchEntry): string | null {
  const decoded = benchFromJson(bench as unknown as Json);
  return decoded.ok ? null : faultMessage(decoded.faults[0]!);
}
