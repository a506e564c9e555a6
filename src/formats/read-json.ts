import { type Fault, fault } from "@/core/piece/fault";

export type Json = null | boolean | number | string | readonly Json[] | JsonObject;
export interface JsonObject {
  readonly [key: string]: Json;
}

export const MOST_BYTES = 2 * 1024 * 1024;
/** Everything at once may hold some thousands of pieces. */
export const MOST_BACKUP_BYTES = 128 * 1024 * 1024;
/** More faults than these are counted, not told. */
export const MOST_FAULTS = 100;
const DEEPEST = 32;
/** No object of any file has so many fields. */
const MOST_FIELDS = 200;
/** Names that reach into every object of the language. */
const FORBIDDEN = new Set(["__proto__", "prototype", "constructor"]);

export type Read = { readonly ok: true; readonly value: JsonObject } | { readonly ok: false; readonly faults: readonly Fault[] };
export type ReadText = { readonly ok: true; readonly text: string } | { readonly ok: false; readonly faults: readonly Fault[] };

/** A file's bytes as text, of which a decoder refuses only what is not UTF-8; refused where it is too long, or by the place of the first byte that is not UTF-8. */
export function textOf(bytes: Uint8Array, most = MOST_BYTES): ReadText {
  if (bytes.length > most) return { ok: false, faults: [fault("", "too-large", { limit: most })] };
  try {
    return { ok: true, text: new TextDecoder("utf-8", { fatal: true }).decode(bytes) };
  } catch {
    return { ok: false, faults: [fault("", "not-utf8", { byte: firstStrangeByte(bytes) })] };
  }
}

/** The byte at which the longest readable start ends, found by halving. */
function firstStrangeByte(bytes: Uint8Array): number {
  const isReadable = (end: number) => {
    try {
      new TextDecoder("utf-8", { fatal: true }).decode(bytes.subarray(0, end), { stream: true });
      return true;
    } catch {
      return false;
    }
  };
  let [good, bad] = [0, bytes.length];
  while (bad - good > 1) {
    const middle = (good + bad) >> 1;
    if (isReadable(middle)) good = middle;
    else bad = middle;
  }
  return good;
}

/** A text as JSON; null for what is not JSON. What is far too deep is not gone into: its value is a list that deep and no deeper. */
export function parsed(text: string): { readonly value: Json } | null {
  if (beyond(text, Infinity) === "deep") return { value: nested(DEEPEST + WITHIN + 1) };
  try {
    return { value: JSON.parse(text.replace(/^\ufeff/, "")) as Json };
  } catch (error) {
    if (!(error instanceof SyntaxError)) throw error;
    return null;
  }
}

/** Files in files are this much deeper at the most. */
const WITHIN = 4;

/** No list or object of a file has so many members, but those of everything saved at once. */
export const WIDEST = 2048;

/** The first list or object of a text that has more members than any file's. What is too deep is left to others. */
export function tooWide(text: string): Fault | null {
  const found = beyond(text, WIDEST);
  return found === "deep" ? null : found;
}

/**
 * Where a text goes beyond any file: "deep" where its brackets nest far deeper, else the first list or object that has more members than `widest`.
 * Looked for in the text, as reading such a one in takes ten times as long.
 */
function beyond(text: string, widest: number): "deep" | Fault | null {
  const levels = DEEPEST + WITHIN + 1;
  const [members, keyFrom, keyTo] = [new Int32Array(levels), new Int32Array(levels), new Int32Array(levels)];
  const isList = new Uint8Array(levels);
  let [depth, from, to] = [0, 0, 0];
  const pathTo = () => {
    const steps = Array.from({ length: Math.max(0, depth - 1) }, (_, i) =>
      isList[i + 1] ? String(members[i + 1]) : text.slice(keyFrom[i + 1], keyTo[i + 1]),
    );
    return steps.map((step) => `/${pointer(step)}`).join("");
  };
  for (let i = 0; i < text.length; i++) {
    const code = text.charCodeAt(i);
    if (code === QUOTE) {
      from = i + 1;
      for (i++; i < text.length && text.charCodeAt(i) !== QUOTE; i++) if (text.charCodeAt(i) === BACKSLASH) i++;
      to = i;
    } else if (code === BRACKET || code === BRACE) {
      if (++depth >= levels) return "deep";
      members[depth] = 0;
      isList[depth] = code === BRACKET ? 1 : 0;
    } else if (code === BRACKET + 2 || code === BRACE + 2) depth = Math.max(0, depth - 1);
    else if (code === COLON) [keyFrom[depth], keyTo[depth]] = [from, to];
    else if (code === COMMA && ++members[depth]! >= widest) return fault(pathTo(), "too-many", { limit: widest });
  }
  return null;
}

const [QUOTE, BACKSLASH, BRACKET, BRACE, COLON, COMMA] = [0x22, 0x5c, 0x5b, 0x7b, 0x3a, 0x2c];

function nested(levels: number): Json {
  return levels === 0 ? [] : [nested(levels - 1)];
}

/** A file's text as a JSON object of the stated format, within the limits of size, depth and names. */
export function readJson(text: string, format: string, lists: Lists = {}, most = MOST_BYTES): Read {
  if (text.length > most || new TextEncoder().encode(text).length > most) return refused(fault("", "too-large", { limit: most }));
  const wide = tooWide(text);
  if (wide) return refused(wide);
  const json = parsed(text);
  return json ? asObject(json.value, format, lists) : refused(fault("", "not-json"));
}

/** The same for a value that has been parsed already; lists that are too long are not gone into. */
export function asObject(value: Json, format: string, lists: Lists = {}): Read {
  const long = lengthFaults(lists, value, "");
  const faults = long.length > 0 ? long : structureFaults(value);
  if (faults.length > 0) return { ok: false, faults };
  const object = asRecord(value);
  if (!object) return refused(notAnObject(value));
  if (object.format !== format)
    return refused(fault("/format", "wrong-format", { expected: `"${format}"`, got: JSON.stringify(object.format) ?? "nothing" }));
  return { ok: true, value: object };
}

/** What a file is that is not an object. */
export function notAnObject(value: Json): Fault {
  const isPlain = typeof value === "number" || typeof value === "boolean";
  const got = value === null ? "null" : isPlain ? String(value) : Array.isArray(value) ? "a list" : "a text";
  return fault("", "wrong-type", { expected: "an object", got });
}

function refused(...faults: Fault[]): Read {
  return { ok: false, faults };
}

/** Which lists a value may hold and how long each may be: `most` of this one, what stands `in` it, and by field. */
export interface Lists {
  readonly most?: number;
  readonly in?: Lists;
  readonly at?: Readonly<Record<string, Lists>>;
}

/** The lists of a value that are too long. */
export function lengthFaults({ most, in: within, at }: Lists, value: unknown, path: string): Fault[] {
  if (Array.isArray(value)) {
    if (most !== undefined && value.length > most) return [fault(path, "too-many", { limit: most })];
    return within ? value.flatMap((each, i) => lengthFaults(within, each, `${path}/${i}`)).slice(0, MOST_FAULTS) : [];
  }
  if (typeof value !== "object" || value === null || !at) return [];
  return Object.keys(at).flatMap((key) => lengthFaults(at[key]!, (value as Readonly<Record<string, unknown>>)[key], `${path}/${key}`));
}

/** A value where it is an object that is no list, or a list; else null. */
export function asRecord(value: Json | undefined): JsonObject | null {
  return typeof value === "object" && value !== null && !Array.isArray(value) ? (value as JsonObject) : null;
}

export function asList(value: Json | undefined): readonly Json[] | null {
  return Array.isArray(value) ? (value as readonly Json[]) : null;
}

/** A name as a step of a JSON pointer. */
export function pointer(name: unknown): string {
  return String(name).replaceAll("~", "~0").replaceAll("/", "~1");
}

interface Waiting {
  readonly value: Json;
  readonly key: string;
  readonly within: Waiting | null;
  readonly depth: number;
}

function pathOf(place: Waiting | null): string {
  const steps: string[] = [];
  for (let at = place; at?.within; at = at.within) steps.unshift(`/${pointer(at.key)}`);
  return steps.join("");
}

/** Depth, names and numbers, whatever the schema; `within` are levels that a file stands in. Walks without recursion: a file may be deeper than the stack. */
export function structureFaults(root: Json, within = 0): Fault[] {
  const waiting: Waiting[] = [{ value: root, key: "", within: null, depth: 1 }];
  const faults: Fault[] = [];
  for (let next = waiting.pop(); next && faults.length <= MOST_FAULTS; next = waiting.pop()) {
    const { value, depth } = next;
    if (typeof value === "number" && !Number.isFinite(value)) faults.push(fault(pathOf(next), "not-finite", { got: String(value) }));
    if (typeof value !== "object" || value === null) continue;
    if (depth > DEEPEST + within) return [fault(pathOf(next), "too-deep", { limit: DEEPEST })];
    const keys = Object.keys(value);
    if (!Array.isArray(value) && keys.length > MOST_FIELDS) {
      return [fault(pathOf(next), "too-many", { limit: MOST_FIELDS, what: "fields", got: keys.length })];
    }
    for (const key of keys) {
      const inner = { value: (value as JsonObject)[key]!, key, within: next, depth: depth + 1 };
      if (FORBIDDEN.has(key)) faults.push(fault(pathOf(inner), "forbidden-key"));
      else if (typeof inner.value === "object" || typeof inner.value === "number") waiting.push(inner);
    }
  }
  return faults;
}
