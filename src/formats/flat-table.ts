import { asText } from "./ledger-file";
import { type Json, type JsonObject, WIDEST } from "./read-json";

/**
 * Values as cells of a table: each by the names that lead to it, an index with a "#" before it, and after it, in brackets, what it is where it is no
 * text. Reading them again gives the same value; nothing is written in another notation inside a cell.
 */
export type Cells = ReadonlyMap<string, string>;

/** What stands in a cell, behind its name; a text is named by nothing. */
const KINDS = {
  number: " (number)",
  boolean: " (yes or no)",
  null: " (nothing)",
  list: " (empty list)",
  object: " (empty)",
  text: "",
  blank: " (empty text)",
} as const;
type Kind = keyof typeof KINDS;

const YES = "yes";
/** Deeper than anything of ours. */
const DEEPEST = 40;

/** A name as it stands in a head: without a sign that says something there. */
export function headName(name: string): string {
  return encodeURIComponent(name).replace(/[!'()*]/g, (sign) => `%${sign.charCodeAt(0).toString(16)}`);
}

/** The name that stands in a head; null where none does. */
export function nameIn(head: string): string | null {
  try {
    return decodeURIComponent(head);
  } catch {
    return null;
  }
}

export function cellsOf(value: Json, at = ""): Map<string, string> {
  const cells = new Map<string, string>();
  const put = (path: string, kind: Kind, text: string) => void cells.set(path + KINDS[kind], text);
  const visit = (each: Json, path: string): void => {
    if (each === null) return put(path, "null", YES);
    if (typeof each === "number") return put(path, "number", String(each));
    if (typeof each === "boolean") return put(path, "boolean", each ? YES : "no");
    if (typeof each === "string") return each === "" ? put(path, "blank", YES) : put(path, "text", written(each));
    const inside: readonly (readonly [string, Json | undefined])[] = Array.isArray(each)
      ? (each as readonly Json[]).map((item, i) => [`#${i + 1}`, item])
      : Object.entries(each).map(([name, item]) => [headName(name), item]);
    const known = inside.filter(([, item]) => item !== undefined);
    if (known.length === 0) return put(path, Array.isArray(each) ? "list" : "object", YES);
    for (const [name, item] of known) visit(item!, path === "" ? name : `${path}/${name}`);
  };
  visit(value, at);
  return cells;
}

/** A text as its cell has it: what a sheet would take for a formula bears a sign before it, and so does what begins with that sign. */
export function written(text: string): string {
  return text.startsWith("'") ? `'${text}` : asText(text);
}

/** The text of a cell that `written` wrote. */
export function readCell(cell: string): string {
  return cell.startsWith("'") ? cell.slice(1) : cell;
}

type Branch = Map<string, Branch | { readonly leaf: Json }>;

/** The value that cells are of; null where they cannot be one. Empty cells are of other rows. */
export function valueOf(cells: Iterable<readonly [head: string, cell: string]>): JsonObject | null {
  const root: Branch = new Map();
  for (const [head, cell] of cells) {
    if (cell === "") continue;
    const found = /^(.*?)( \([a-z ]+\))?$/.exec(head);
    const kind = (Object.keys(KINDS) as Kind[]).find((each) => KINDS[each] === (found?.[2] ?? ""));
    const leaf = kind === undefined ? undefined : leafOf(kind, cell);
    if (!found || leaf === undefined || !grow(root, found[1]!.split("/"), leaf)) return null;
  }
  const value = fruitOf(root);
  return value !== null && typeof value === "object" && !Array.isArray(value) ? (value as JsonObject) : null;
}

function leafOf(kind: Kind, cell: string): Json | undefined {
  switch (kind) {
    case "number": {
      const number = Number(cell);
      return Number.isFinite(number) ? number : undefined;
    }
    case "boolean":
      return cell === YES || cell === "no" ? cell === YES : undefined;
    case "null":
      return null;
    case "list":
      return [];
    case "object":
      return {};
    case "blank":
      return "";
    case "text":
      return readCell(cell);
  }
}

/** Lays a leaf where its names lead; false where something else lies there. */
function grow(root: Branch, names: readonly string[], leaf: Json): boolean {
  if (names.length > DEEPEST) return false;
  let branch = root;
  for (const name of names.slice(0, -1)) {
    const next = branch.get(name) ?? new Map<string, never>();
    if (!(next instanceof Map)) return false;
    branch.set(name, next);
    branch = next;
  }
  const last = names.at(-1)!;
  if (branch.has(last)) return false;
  branch.set(last, { leaf });
  return true;
}

/** undefined where a list has a gap, or names and indexes stand beside each other. */
function fruitOf(branch: Branch): Json | undefined {
  const names = [...branch.keys()];
  const isList = names.length > 0 && names.every((name) => name.startsWith("#"));
  if (isList && (names.length > WIDEST || !names.every((_, i) => branch.has(`#${i + 1}`)))) return undefined;
  if (!isList && names.some((name) => name.startsWith("#"))) return undefined;
  const of = (name: string): Json | undefined => {
    const part = branch.get(name)!;
    return part instanceof Map ? fruitOf(part) : part.leaf;
  };
  if (isList) {
    const items = names.map((_, i) => of(`#${i + 1}`));
    return items.every((item) => item !== undefined) ? items : undefined;
  }
  const entries = names.map((name) => [nameIn(name), of(name)] as const);
  return entries.every(([name, item]) => name !== null && item !== undefined) ? (Object.fromEntries(entries) as JsonObject) : undefined;
}
