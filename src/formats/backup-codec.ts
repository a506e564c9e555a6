import { type BenchEntry } from "@/core/piece/bench";
import { type Fault, fault } from "@/core/piece/fault";
import { type Make } from "@/core/piece/make";
import { type Piece } from "@/core/piece/piece";
import { BENCH, benchFromJson } from "./bench-codec";
import { type Decoded, type Kind, decode } from "./decode";
import { validateMake } from "./generated/validators";
import { makeMigrations } from "./migrations";
import { pieceFromJson } from "./piece-codec";
import { type Json, MOST_BACKUP_BYTES, asObject, readJson } from "./read-json";

const MAKE: Kind = { format: "hoop-ledger/make", newest: 1, migrations: makeMigrations, validate: validateMake };

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
