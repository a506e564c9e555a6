import { type Fault, fault } from "@/core/piece/fault";

export type Json = null | boolean | number | string | readonly Json[] | JsonObject;
export interface JsonObject {
  readonly [key: string]: Json;
}

export const MOST_BYTES = 2 * 1024 * 1024;
/** Everything at once may hold some thousands of pieces. */
export const MOST_BACKUP_BYTES = 128 * 1024 * 1024;
const DEEPEST = 32;
/** Names that reach into every object of the language. */
const FORBIDDEN = new Set(["__proto__", "prototype", "constructor"]);

export type Read = { readonly ok: true; readonly value: JsonObject } | { readonly ok: false; readonly faults: readonly Fault[] };

/** A file's text as a JSON object of the stated format, within the limits of size, depth and names. */
export function readJson(text: string, format: string, most = MOST_BYTES): Read {
  if (new TextEncoder().encode(text).length > most) return refused(fault("", "too-large", { limit: most }));
  let value: Json;
  try {
    value = JSON.parse(text.replace(/^\ufeff/, "")) as Json;
  } catch (error) {
    if (!(error instanceof SyntaxError)) throw error;
    return refused(fault("", "not-json"));
  }
  return asObject(value, format);
}

/** The same for a value that has been parsed already. */
export function asObject(value: Json, format: string): Read {
  const faults = structureFaults(value);
  if (faults.length > 0) return { ok: false, faults };
  if (typeof value !== "object" || value === null || Array.isArray(value))
    return refused(fault("", "wrong-type", { expected: "an object" }));
  const object = value as JsonObject;
  if (object.format !== format)
    return refused(fault("/format", "wrong-format", { expected: `"${format}"`, got: JSON.stringify(object.format) ?? "nothing" }));
  return { ok: true, value: object };
}

function refused(...faults: Fault[]): Read {
  return { ok: false, faults };
}

/** Walks without recursion: a file may be deeper than the stack. */
function structureFaults(root: Json): Fault[] {
  const waiting: { value: Json; path: string; depth: number }[] = [{ value: root, path: "", depth: 1 }];
  const faults: Fault[] = [];
  for (let next = waiting.pop(); next; next = waiting.pop()) {
    const { value, path, depth } = next;
    if (typeof value !== "object" || value === null) continue;
    if (depth > DEEPEST) return [fault(path, "too-deep", { limit: DEEPEST })];
    for (const key of Object.keys(value)) {
      const at = `${path}/${key.replaceAll("~", "~0").replaceAll("/", "~1")}`;
      if (FORBIDDEN.has(key)) faults.push(fault(at, "forbidden-key"));
      else waiting.push({ value: (value as JsonObject)[key]!, path: at, depth: depth + 1 });
    }
  }
  return faults;
}
