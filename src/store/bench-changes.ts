import { type Draft as Editable, produce } from "immer";
import { type BenchEntry, SHIPPED_BENCH } from "@/core/piece/bench";
import { benchFromJson } from "@/formats/bench-codec";
import { type Json } from "@/formats/read-json";
import { faultMessage } from "@/words/faults";

export type BenchRecipe = (bench: Editable<BenchEntry>) => void;

/** One value of the bench altered: where it stands, what it was and what it becomes; left out where there is none. */
export interface BenchEdit {
  readonly path: readonly string[];
  readonly before?: Json | undefined;
  readonly after?: Json | undefined;
}

/** A change of the bench as what it alters, so that it is made to the bench as it then is: what another window changed stays. */
export type BenchChange = readonly BenchEdit[];

export type Changed = { readonly ok: true; readonly change: BenchChange } | { readonly ok: false; readonly problem: string };

/** The change that a recipe makes, or why it cannot be made. */
export function changeOf(bench: BenchEntry, recipe: BenchRecipe): Changed {
  const after = produce(bench, recipe);
  const problem = problemOf(after);
  return problem === null ? { ok: true, change: editsBetween(bench as unknown as Json, after as unknown as Json) } : { ok: false, problem };
}

/**
 * The bench with a change made to it, or null where it cannot be: it would no longer fit, or a list is no longer as it was. `onlyAsLeft`
 * refuses a single value that is not as it was, too: what takes a change back takes back no other.
 */
export function changed(bench: BenchEntry | null, change: BenchChange, onlyAsLeft = false): BenchEntry | null {
  let next = (bench ?? SHIPPED_BENCH) as unknown as Json | undefined;
  for (const { path, before, after } of change) {
    const now = path.reduce<Json | undefined>((value, key) => (isObject(value) ? value[key] : undefined), next);
    if ((onlyAsLeft || Array.isArray(now ?? before ?? after)) && !isSame(now, before)) return null;
    next = put(next, path, after);
  }
  const made = (next ?? {}) as unknown as BenchEntry;
  return problemOf(made) === null ? made : null;
}

/** What takes a change back. */
export function takenBack(change: BenchChange): BenchChange {
  return change.map(({ path, before, after }) => ({ path, before: after, after: before })).reverse();
}

/** Lists and single values count as one; of objects each key by itself, those that are there on one side alone too. */
function editsBetween(before: Json | undefined, after: Json | undefined, path: readonly string[] = []): BenchEdit[] {
  const [was, is] = [isObject(before) ? before : {}, isObject(after) ? after : {}];
  const isInside =
    (isObject(before) || isObject(after)) && (isObject(before) || before === undefined) && (isObject(after) || after === undefined);
  if (isInside)
    return [...new Set([...Object.keys(was), ...Object.keys(is)])].flatMap((key) => editsBetween(was[key], is[key], [...path, key]));
  return isSame(before, after) ? [] : [{ path, before, after }];
}

/** With a value at a path, or without it where there is none: an object that holds nothing more goes with it. */
function put(value: Json | undefined, [key, ...rest]: readonly string[], after: Json | undefined): Json | undefined {
  if (key === undefined) return after;
  const object = isObject(value) ? value : {};
  const next = put(object[key], rest, after);
  if (next !== undefined) return { ...object, [key]: next };
  const left = Object.entries(object).filter(([other]) => other !== key);
  return left.length > 0 ? Object.fromEntries(left) : undefined;
}

function isObject(value: Json | undefined): value is { readonly [key: string]: Json } {
  return typeof value === "object" && value !== null && !Array.isArray(value);
}

function isSame(a: Json | undefined, b: Json | undefined): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}

function problemOf(bench: BenchEntry): string | null {
  const decoded = benchFromJson(bench as unknown as Json);
  return decoded.ok ? null : faultMessage(decoded.faults[0]!);
}
