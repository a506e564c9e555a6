import { type BenchEntry, SHIPPED_BENCH } from "@/core/piece/bench";
import { type Fault, fault, faultsOf, unplanned } from "@/core/piece/faults";
import { type Make } from "@/core/piece/make";
import { type Piece } from "@/core/piece/piece";
import { type Migrations, benchMigrations, makeMigrations, migrate, pieceMigrations } from "./migrations";
import { type Json, MOST_BACKUP_BYTES, type Read, asObject, readJson } from "./read-json";
import { validateBench, validateMake, validatePiece } from "./generated/validators";
import { type Validator, schemaFaults } from "./validate";

export type Decoded<T> =
  | { readonly ok: true; readonly value: T; readonly migratedFrom: number | null }
  | { readonly ok: false; readonly faults: readonly Fault[] };

/** A kind of file: its name, newest version, schema and the way from older versions. */
interface Kind {
  readonly format: string;
  readonly newest: number;
  readonly migrations: Migrations;
  readonly validate: Validator;
}

const PIECE: Kind = { format: "hoop-ledger/piece", newest: 1, migrations: pieceMigrations, validate: validatePiece };
const MAKE: Kind = { format: "hoop-ledger/make", newest: 1, migrations: makeMigrations, validate: validateMake };
const BENCH: Kind = { format: "hoop-ledger/bench", newest: 1, migrations: benchMigrations, validate: validateBench };

function decode<T>(kind: Kind, read: Read): Decoded<T> {
  if (!read.ok) return read;
  const { version } = read.value;
  if (typeof version !== "number" || !Number.isInteger(version) || version < 1) {
    return { ok: false, faults: [fault("/version", "whole-number", { got: JSON.stringify(version) ?? "nothing" })] };
  }
  if (version > kind.newest) return { ok: false, faults: [fault("/version", "too-new", { newest: kind.newest, got: version })] };
  const file = migrate(read.value, version, kind.newest, kind.migrations);
  const faults = schemaFaults(kind.validate, file);
  if (faults.length > 0) return { ok: false, faults };
  return { ok: true, value: file as T, migratedFrom: version === kind.newest ? null : version };
}

/** A piece from a file's text, with all that is wrong with it. `bench` is the one it would be planned with. */
export function decodePiece(text: string, bench?: BenchEntry): Decoded<Piece> {
  return checked(decode<Piece>(PIECE, readJson(text, PIECE.format)), bench);
}

/** The same from a value parsed already. */
export function pieceFromJson(value: Json, bench?: BenchEntry): Decoded<Piece> {
  return checked(decode<Piece>(PIECE, asObject(value, PIECE.format)), bench);
}

function checked(decoded: Decoded<Piece>, bench: BenchEntry | undefined): Decoded<Piece> {
  if (!decoded.ok) return decoded;
  const piece = decoded.value;
  const own = piece.benchUsed ? benchFaults(piece.benchUsed, "/benchUsed") : [];
  const faults = [...unplanned(piece), ...own, ...faultsOf(piece, bench ?? piece.benchUsed ?? SHIPPED_BENCH)];
  return faults.length > 0 ? { ok: false, faults } : decoded;
}

export function decodeBench(text: string): Decoded<BenchEntry> {
  return checkedBench(decode<BenchEntry>(BENCH, readJson(text, BENCH.format)));
}

export function benchFromJson(value: Json): Decoded<BenchEntry> {
  return checkedBench(decode<BenchEntry>(BENCH, asObject(value, BENCH.format)));
}

function checkedBench(decoded: Decoded<BenchEntry>): Decoded<BenchEntry> {
  if (!decoded.ok) return decoded;
  const faults = benchFaults(decoded.value, "");
  return faults.length > 0 ? { ok: false, faults } : decoded;
}

/** What a bench that fits its schema cannot mean. */
function benchFaults({ shelves = [] }: BenchEntry, path: string): Fault[] {
  return shelves.flatMap((shelf, s) => [
    ...(shelves.findIndex(({ id }) => id === shelf.id) < s ? [fault(`${path}/shelves/${s}/id`, "duplicate", { got: shelf.id })] : []),
    ...shelf.grades.flatMap(({ id, gives, runs }, g) => [
      ...(shelf.grades.findIndex((grade) => grade.id === id) < g
        ? [fault(`${path}/shelves/${s}/grades/${g}/id`, "duplicate", { got: id })]
        : []),
      ...(gives > runs ? [fault(`${path}/shelves/${s}/grades/${g}/gives`, "gives-above-runs", { runs, got: gives })] : []),
    ]),
  ]);
}

/** Everything saved at once. */
export interface Backup {
  readonly format: "hoop-ledger/backup";
  readonly version: 1;
  readonly bench: BenchEntry;
  readonly pieces: readonly Piece[];
  readonly makes: readonly Make[];
}

const BACKUP_FORMAT = "hoop-ledger/backup";

/** Everything saved at once, or all that is wrong with any part of it. */
export function decodeBackup(text: string): Decoded<Backup> {
  const read = readJson(text, BACKUP_FORMAT, MOST_BACKUP_BYTES);
  if (!read.ok) return read;
  const { version, bench, pieces, makes, ...others } = read.value;
  if (version !== 1) return { ok: false, faults: [fault("/version", "too-new", { newest: 1, got: JSON.stringify(version) ?? "nothing" })] };
  const strange = Object.keys(others)
    .filter((key) => key !== "format")
    .map((key) => fault(`/${key}`, "unknown-field"));
  const faults = [
    ...strange,
    ...faultsUnder("/bench", benchFromJson(bench ?? null)),
    ...faultsOfList("/pieces", pieces, (each) => pieceFromJson(each)),
    ...faultsOfList("/makes", makes, (each) => decode<Make>(MAKE, asObject(each, MAKE.format))),
  ];
  return faults.length > 0 ? { ok: false, faults } : { ok: true, value: read.value as unknown as Backup, migratedFrom: null };
}

function faultsUnder(path: string, decoded: Decoded<unknown>): Fault[] {
  return decoded.ok ? [] : decoded.faults.map((each) => ({ ...each, path: path + each.path }));
}

function faultsOfList(path: string, list: Json | undefined, each: (value: Json) => Decoded<unknown>): Fault[] {
  if (!Array.isArray(list)) return [fault(path, list === undefined ? "missing" : "wrong-type", { expected: "a list" })];
  return (list as readonly Json[]).flatMap((value, i) => faultsUnder(`${path}/${i}`, each(value)));
}

/** What kind of file a text is, by the format it names; what names none is taken for a piece, whose decoder says what is wrong. */
export function kindOfFile(text: string): "bench" | "backup" | "piece" {
  try {
    const { format } = (JSON.parse(text) ?? {}) as { readonly format?: unknown };
    return format === BENCH.format ? "bench" : format === BACKUP_FORMAT ? "backup" : "piece";
  } catch (error) {
    if (!(error instanceof SyntaxError)) throw error;
    return "piece";
  }
}

/** A piece, bench or backup as its file's text; reading and writing it again changes nothing but white space. */
export function encode(file: Piece | BenchEntry | Backup): string {
  return `${JSON.stringify(file, null, 2)}\n`;
}
