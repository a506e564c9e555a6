import { SHIPPED_BENCH } from "@/core/piece/bench";
import { type Fault, fault } from "@/core/piece/fault";
import { unplanned } from "@/core/piece/unplanned";
import { benchFromJson } from "@/formats/bench-codec";
import { broughtUp, decode, faultsUnder } from "@/formats/decode";
import { cutFromJson } from "@/formats/cut-record";
import {
  validateBenchRecord,
  validateCutRecord,
  validateDraftRecord,
  validateJournalEntry,
  validateMakeRecord,
  validateNews,
  validatePendingRecord,
  validatePieceRecord,
  validateTryRecord,
} from "@/formats/generated/validators";
import { tryFromJson } from "@/formats/flame-file";
import { MAKE, PIECE } from "@/formats/kinds";
import { type Json, type JsonObject, asObject } from "@/formats/read-json";
import { type Validator, schemaFaults } from "@/formats/validate";
import { type Piece } from "@/core/piece/piece";
import { type BenchChange } from "./bench-changes";
import { type MakeEdit, edited, ticking } from "./make-edits";
import {
  type BenchRecord,
  type DraftRecord,
  type MakeRecord,
  type Over,
  type PendingRecord,
  type PieceRecord,
  type Stores,
  type StoreName,
  type StoredCut,
  type TryRecord,
  type Unrevised,
} from "./repository";
import { type Make } from "@/core/piece/make";

export type Readable<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly faults: readonly Fault[] };

/** Everything that comes out of the browser passes here: records, the journal, what other windows tell. */
const READERS: { readonly [S in StoreName]: (raw: unknown) => Readable<Stores[S]> } = {
  pieces: readPieceRecord,
  makes: readMakeRecord,
  settings: readBenchRecord,
  pending: (raw) => shaped<PendingRecord>(validatePendingRecord, raw, (value) => ({ ok: true, value })),
  tries: readTryRecord,
  cuts: readCut,
  drafts: (raw) => shaped<DraftRecord>(validateDraftRecord, raw, (value) => ({ ok: true, value })),
};

/** The same for what is to be written: nothing is cut from it. */
export function checkRecord<S extends StoreName>(store: S, raw: unknown): Readable<Stores[S]> {
  const read = readRecord(store, raw);
  if (!read.ok || store !== "makes") return read;
  const make = readMake((raw as MakeRecord).make);
  return make.ok ? read : { ok: false, faults: faultsUnder("/make", make) };
}

export function readRecord<S extends StoreName>(store: S, raw: unknown): Readable<Stores[S]> {
  return READERS[store](raw);
}

/** Faults of a value's size alone: an older program took it, so it is shown with what is wrong, not set aside. */
const OF_SIZE: ReadonlySet<Fault["code"]> = new Set(["above", "at-least", "at-most"]);

/** A piece that has the shape of one, whatever it can mean: that depends on the bench it is planned with. */
function readPiece(raw: unknown): Readable<Piece> {
  const decoded = decode<Piece>(PIECE, asObject(raw as Json, PIECE.format, PIECE.lists));
  if (decoded.ok) {
    const later = unplanned(decoded.value);
    return later.length > 0 ? { ok: false, faults: later } : decoded;
  }
  return decoded.faults.every(({ code }) => OF_SIZE.has(code))
    ? { ok: true, value: broughtUp(PIECE, raw as JsonObject) as unknown as Piece }
    : decoded;
}

function readMake(raw: unknown): Readable<Make> {
  const decoded = decode<Make>(MAKE, asObject(raw as Json, MAKE.format, MAKE.lists));
  if (!decoded.ok) return decoded;
  const { pieceFile, taken = [] } = decoded.value;
  const later = [pieceFile, ...taken.map((each) => each.pieceFile)].flatMap(unplanned);
  return later.length > 0 ? { ok: false, faults: later } : decoded;
}

function readPieceRecord(raw: unknown): Readable<PieceRecord> {
  return shaped<PieceRecord>(validatePieceRecord, raw, (record) => {
    const piece = readPiece(record.piece);
    if (!piece.ok) return { ok: false, faults: faultsUnder("/piece", piece) };
    if (piece.value.id !== record.id) return { ok: false, faults: [fault("/piece/id", "duplicate", { got: piece.value.id })] };
    return { ok: true, value: piece.value === record.piece ? record : { ...record, piece: piece.value } };
  });
}

/** A make; where only a list or a text of it is over its limit, up to there, and what is over beside it. */
function readMakeRecord(raw: unknown): Readable<MakeRecord> {
  return shaped<MakeRecord>(validateMakeRecord, raw, (record) => {
    const cut = cutToLimits(record.make as unknown as JsonObject);
    const make = readMake(cut.make);
    if (!make.ok) return { ok: false, faults: faultsUnder("/make", make) };
    const over = { ...record.over, ...cut.over };
    return { ok: true, value: { ...record, make: make.value, ...(Object.keys(over).length > 0 && { over }) } };
  });
}

/** A cut list may show a text that is over, so it is looked through again. */
const MOST_CUTS = 3;
/** Whose lists and texts are a piece's own: to cut them would make it another. */
const OF_A_PIECE = /\/pieceFile(\/|$)/;

function cutToLimits(make: JsonObject, over: Over = {}, cuts = 0): { readonly make: JsonObject; readonly over: Over } {
  const read = cuts < MOST_CUTS ? readMake(make) : null;
  if (!read || read.ok || !read.faults.every(({ code, path }) => code === "too-many" && !OF_A_PIECE.test(path))) return { make, over };
  const next = structuredClone(make) as Record<string, unknown>;
  const ends: Record<string, readonly unknown[] | string> = {};
  for (const { path, values } of read.faults) {
    const steps = path.split("/").slice(1);
    const last = steps.pop()!;
    const holder = steps.reduce<Record<string, unknown>>((at, step) => at[step] as Record<string, unknown>, next);
    const [whole, limit] = [holder[last], Number(values.limit)];
    if (!Array.isArray(whole) && typeof whole !== "string") return { make, over };
    holder[last] = whole.slice(0, limit);
    ends[path] = whole.slice(limit) as readonly unknown[] | string;
  }
  return cutToLimits(next as JsonObject, { ...over, ...ends }, cuts + 1);
}

/** What is said of what was set aside of a make. */
export function overFaults(over: Over): Fault[] {
  return Object.entries(over).map(([path, { length }]) => fault(`/make${path}`, "over-limit", { count: length }));
}

/** A try carries the bench that its piece was planned with. */
function readTryRecord(raw: unknown): Readable<TryRecord> {
  return shaped<TryRecord>(validateTryRecord, raw, (record) => {
    const tried = tryFromJson(record.tried as unknown as Json, SHIPPED_BENCH);
    if (!tried.ok) return { ok: false, faults: faultsUnder("/tried", tried) };
    const { id, piece } = tried.value;
    if (id !== record.id) return { ok: false, faults: [fault("/tried/id", "one-of", { expected: record.id, got: id })] };
    if (piece !== record.piece) return { ok: false, faults: [fault("/tried/piece", "one-of", { expected: record.piece, got: piece })] };
    return { ok: true, value: { ...record, tried: tried.value } };
  });
}

function readCut(raw: unknown): Readable<StoredCut> {
  return shaped<StoredCut>(validateCutRecord, raw, (record) => {
    const cut = cutFromJson(record.cut as unknown as Json);
    return cut.ok ? { ok: true, value: { ...record, cut: cut.value } } : { ok: false, faults: faultsUnder("/cut", cut) };
  });
}

function readBenchRecord(raw: unknown): Readable<BenchRecord> {
  return shaped<BenchRecord>(validateBenchRecord, raw, (record) => {
    const bench = benchFromJson(record.bench as unknown as Json);
    return bench.ok ? { ok: true, value: { ...record, bench: bench.value } } : { ok: false, faults: faultsUnder("/bench", bench) };
  });
}

/** What the journal holds: a piece as it was, or what was to be done to a making or the bench. */
export type JournalEntry =
  | { readonly kind: "piece"; readonly record: Unrevised<PieceRecord>; readonly madeOn: number | null }
  | { readonly kind: "making"; readonly piece: string; readonly make: Make; readonly edit: MakeEdit }
  | { readonly kind: "bench"; readonly edits: BenchChange };

/** A tick as an older program wrote it down. */
interface OldTick {
  readonly kind: "tick";
  readonly piece: string;
  readonly make: Make;
  readonly step: string;
  readonly isDone: boolean;
}

export function readJournalEntry(raw: unknown): Readable<JournalEntry> {
  return shaped<JournalEntry | OldTick, JournalEntry>(validateJournalEntry, raw, (entry) => {
    if (entry.kind === "bench") return { ok: true, value: entry };
    if (entry.kind === "making" || entry.kind === "tick") {
      const make = readMake(entry.make);
      if (!make.ok) return make;
      const edit = entry.kind === "making" ? entry.edit : ticking(make.value, [entry.step], entry.isDone, "");
      const after = readMake(edited(make.value, edit));
      return after.ok ? { ok: true, value: { kind: "making", piece: entry.piece, make: make.value, edit } } : after;
    }
    const record = readPieceRecord({ ...(entry.record as object), revision: 0 });
    if (!record.ok) return record;
    const { revision: _none, ...unrevised } = record.value;
    return { ok: true, value: { ...entry, record: unrevised } };
  });
}

export type News = { readonly kind: "pieces" | "makes"; readonly ids: readonly string[] } | { readonly kind: "bench" | "tries" | "cuts" };

export function readNews(raw: unknown): Readable<News> {
  return shaped<News>(validateNews, raw, (value) => ({ ok: true, value }));
}

/** What fits its shape, as `read` finds it. */
function shaped<T, R = T>(validate: Validator, raw: unknown, read: (value: T) => Readable<R>): Readable<R> {
  const faults = schemaFaults(validate, raw);
  return faults.length > 0 ? { ok: false, faults } : read(raw as T);
}
