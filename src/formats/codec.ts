import { type BenchEntry, SHIPPED_BENCH } from "@/core/piece/bench";
import { type Fault, fault, faultsOf, unplanned } from "@/core/piece/faults";
import { type Piece } from "@/core/piece/piece";
import { type Migrations, benchMigrations, migrate, pieceMigrations } from "./migrations";
import { type Json, type Read, asObject, readJson } from "./read-json";
import { validateBench, validatePiece } from "./generated/validators";
import { type Validator, schemaFaults } from "./validate";

export type Decoded<T> = { readonly ok: true; readonly value: T; readonly migratedFrom: number | null } | { readonly ok: false; readonly faults: readonly Fault[] };

/** A kind of file: its name, newest version, schema and the way from older versions. */
interface Kind {
  readonly format: string;
  readonly newest: number;
  readonly migrations: Migrations;
  readonly validate: Validator;
}

const PIECE: Kind = { format: "hoop-ledger/piece", newest: 1, migrations: pieceMigrations, validate: validatePiece };
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
      ...(shelf.grades.findIndex((grade) => grade.id === id) < g ? [fault(`${path}/shelves/${s}/grades/${g}/id`, "duplicate", { got: id })] : []),
      ...(gives > runs ? [fault(`${path}/shelves/${s}/grades/${g}/gives`, "gives-above-runs", { runs, got: gives })] : []),
    ]),
  ]);
}

/** A piece or bench as its file's text; reading and writing it again changes nothing but white space. */
export function encode(file: Piece | BenchEntry): string {
  return `${JSON.stringify(file, null, 2)}\n`;
}
