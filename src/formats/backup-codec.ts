import { type CutRecord } from "@/core/cutting/cut-record";
import { type BenchEntry, SHIPPED_BENCH } from "@/core/piece/bench";
import { type Fault, fault } from "@/core/piece/fault";
import { type Make } from "@/core/piece/make";
import { type Piece } from "@/core/piece/piece";
import { benchFromJson } from "./bench-codec";
import { type Decoded } from "./decode";
import { cutFromJson } from "./cut-record";
import { type TryFile, tryFromJson } from "./flame-file";
import { BENCH, MAKE, TRY } from "./kinds";
import { makeFromJson } from "./make-codec";
import { pieceOnBench } from "./piece-codec";
import { type Json, type JsonObject, MOST_FAULTS, asRecord, notAnObject, parsed, pointer } from "./read-json";

/** Everything saved at once. */
export interface Backup {
  readonly format: "hoop-ledger/backup";
  readonly version: 2;
  readonly bench: BenchEntry;
  readonly pieces: readonly Piece[];
  readonly makes: readonly Make[];
  readonly tries: readonly TryFile[];
  readonly cuts: readonly CutRecord[];
  /** When its pieces and its bench were last changed: which of two is newer is told by it. */
  readonly changed?: Changed;
}

/** ISO times, of pieces by their ids. */
export interface Changed {
  readonly bench?: string;
  readonly pieces: Readonly<Record<string, string>>;
}

/** Something of a backup that cannot be read: where it stands, what it calls itself, and what is wrong with it. */
export interface Unread {
  readonly path: string;
  readonly name: string;
  readonly faults: readonly Fault[];
}

/** What of a backup is good, each brought up to the newest version, and what is not. */
export interface ReadBackup {
  /** null where its bench cannot be read. */
  readonly bench: BenchEntry | null;
  readonly pieces: readonly Piece[];
  readonly makes: readonly Make[];
  readonly tries: readonly TryFile[];
  readonly cuts: readonly CutRecord[];
  /** As far as the file says. */
  readonly changed: Changed;
  readonly unread: readonly Unread[];
}

const BACKUP_FORMAT = "hoop-ledger/backup";
const NEWEST = 2;
/** What version 2 may hold besides and this program does not keep yet: each is told by its name. */
const LATER = ["day"] as const;

/**
 * Reads everything saved at once: each piece with the bench it came with, else with the backup's own. What is wrong in one part keeps no
 * other from being read; only what is no backup at all is refused. `onRead` hears how many of all parts have been read.
 */
export function readBackup(file: JsonObject, onRead: (done: number, of: number) => void = () => undefined): Decoded<ReadBackup> {
  const { format, version, bench, pieces, makes, changed, ...more } = file;
  const { tries = [], cuts = [], ...rest } = more;
  const others = version === NEWEST ? rest : more;
  const faults = [
    ...(format === BACKUP_FORMAT ? [] : [fault("/format", "wrong-format", { expected: `"${BACKUP_FORMAT}"` })]),
    ...(version === 1 || version === NEWEST
      ? []
      : [fault("/version", "too-new", { newest: NEWEST, got: JSON.stringify(version) ?? "nothing" })]),
    ...Object.keys(others)
      .filter((key) => version !== NEWEST || !LATER.some((later) => later === key))
      .slice(0, MOST_FAULTS)
      .map((key) => fault(`/${pointer(key)}`, "unknown-field")),
    ...listFaults("/pieces", pieces),
    ...listFaults("/makes", makes),
    ...listFaults("/tries", tries),
    ...listFaults("/cuts", cuts),
    ...changedFaults(changed),
  ];
  if (faults.length > 0) return { ok: false, faults };
  const mine = benchFromJson(bench ?? null);
  const of = [pieces, makes, tries, cuts].reduce<number>((sum, list) => sum + (list as readonly Json[]).length, 0);
  let done = 0;
  const later = LATER.filter((key) => others[key] !== undefined && !isEmpty(others[key]));
  const unread: Unread[] = [
    ...(mine.ok ? [] : [{ path: "/bench", name: "", faults: mine.faults }]),
    ...later.map((key): Unread => ({ path: `/${key}`, name: "", faults: [fault(`/${key}`, "not-planned", { got: key })] })),
  ];
  const readList = <T extends { readonly id: string }>(path: string, list: readonly Json[], each: (value: Json) => Decoded<T>): T[] => {
    const ids = new Set<string>();
    return list.flatMap((value, i) => {
      const decoded = each(value);
      onRead(++done, of);
      if (decoded.ok && !ids.has(decoded.value.id)) return (ids.add(decoded.value.id), [decoded.value]);
      const why = decoded.ok ? [fault("/id", "duplicate", { got: decoded.value.id })] : decoded.faults;
      unread.push({ path: `${path}/${i}`, name: nameOf(value), faults: why });
      return [];
    });
  };
  const lain = mine.ok ? mine.value : SHIPPED_BENCH;
  return {
    ok: true,
    migratedFrom: null,
    value: {
      bench: mine.ok ? mine.value : null,
      pieces: readList("/pieces", pieces as readonly Json[], (value) => pieceOnBench(value, lain)),
      makes: readList("/makes", makes as readonly Json[], (value) => makeFromJson(value, lain)),
      tries: readList("/tries", tries as readonly Json[], (value) => tryFromJson(value, lain)),
      cuts: readList("/cuts", cuts as readonly Json[], cutFromJson),
      changed: changed === undefined ? NOTHING_CHANGED : (changed as unknown as Changed),
      unread,
    },
  };
}

/** What a file says that does not say when. */
const NOTHING_CHANGED: Changed = { pieces: {} };

/** A backup that holds nothing: what is opened alone is put into one. */
export const EMPTY_BACKUP: ReadBackup = { bench: null, pieces: [], makes: [], tries: [], cuts: [], changed: NOTHING_CHANGED, unread: [] };

function changedFaults(changed: Json | undefined): Fault[] {
  if (changed === undefined) return [];
  const { bench = "", pieces, ...others } = asRecord(changed) ?? {};
  const times = asRecord(pieces);
  const wrong = (path: string, expected: string) => [fault(path, "wrong-type", { expected })];
  if (times === null || Object.keys(others).length > 0) return wrong("/changed", "the times of its bench and pieces");
  if (typeof bench !== "string") return wrong("/changed/bench", "a time");
  const [bad] = Object.keys(times).filter((id) => typeof times[id] !== "string");
  return bad === undefined ? [] : wrong(`/changed/pieces/${pointer(bad)}`, "a time");
}

function isEmpty(value: Json | undefined): boolean {
  return value === null || (Array.isArray(value) && value.length === 0);
}

function listFaults(path: string, list: Json | undefined): Fault[] {
  return Array.isArray(list) ? [] : [fault(path, list === undefined ? "missing" : "wrong-type", { expected: "a list" })];
}

/** What a value calls itself, so that a maker knows which it is. */
function nameOf(value: Json): string {
  const named = value as JsonObject | null;
  const name = typeof value === "object" && value !== null ? (named?.name ?? named?.id) : null;
  return typeof name === "string" ? name.slice(0, 120) : "";
}

/** What kind of file a parsed text is, by the format it names; what names none is taken for a piece, whose decoder says what is wrong. */
export function kindOf(value: Json): "bench" | "backup" | "make" | "try" | "piece" {
  const format = typeof value === "object" && value !== null ? (value as JsonObject).format : null;
  return KINDS.get(format ?? null) ?? "piece";
}

const KINDS: ReadonlyMap<Json, "bench" | "backup" | "make" | "try"> = new Map([
  [BENCH.format, "bench"],
  [BACKUP_FORMAT, "backup"],
  [MAKE.format, "make"],
  [TRY.format, "try"],
]);

/** Everything saved at once, from a file's text. */
export function decodeBackup(text: string): Decoded<ReadBackup> {
  const json = parsed(text)?.value;
  if (json === undefined) return { ok: false, faults: [fault("", "not-json")] };
  const file = asRecord(json);
  return file ? readBackup(file) : { ok: false, faults: [notAnObject(json)] };
}

/** A piece, bench, backup or making as its file's text; reading and writing it again changes nothing but white space. */
export function encode(file: Piece | BenchEntry | Backup | Make): string {
  return `${JSON.stringify(file, null, 2)}\n`;
}

/** Everything as its file's text, a part at a time, so that a page that writes much of it can do something else between two. */
export function* encodeParts({ format, version, bench, pieces, makes, tries, cuts, changed }: Backup): Generator<string> {
  yield `{\n"format": ${JSON.stringify(format)},\n"version": ${version},\n"bench": ${JSON.stringify(bench)},\n"pieces": [`;
  yield* encodedList(pieces);
  yield '\n],\n"makes": [';
  yield* encodedList(makes);
  if (tries.length > 0) {
    yield '\n],\n"tries": [';
    yield* encodedList(tries);
  }
  if (cuts.length > 0) {
    yield '\n],\n"cuts": [';
    yield* encodedList(cuts);
  }
  yield `\n]${changed ? `,\n"changed": ${JSON.stringify(changed)}` : ""}\n}\n`;
}

function* encodedList(list: readonly object[]): Generator<string> {
  for (const [i, each] of list.entries()) yield `${i ? "," : ""}\n${JSON.stringify(each)}`;
}
