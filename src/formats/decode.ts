import { type Fault, fault } from "@/core/piece/fault";
import { type Migrations, migrate } from "./migrations";
import { type JsonObject, type Lists, type Read } from "./read-json";
import { type Validator, schemaFaults } from "./validate";

export type Decoded<T> =
  | { readonly ok: true; readonly value: T; readonly migratedFrom: number | null }
  | { readonly ok: false; readonly faults: readonly Fault[] };

/** A kind of file: its name, newest version, schema and the way from older versions. */
export interface Kind {
  readonly format: string;
  readonly newest: number;
  readonly migrations: Migrations;
  readonly validate: Validator;
  /** How long its lists may be. */
  readonly lists: Lists;
}

/** A file of a kind from what was read, or all that its schema has against it. */
export function decode<T>(kind: Kind, read: Read): Decoded<T> {
  if (!read.ok) return read;
  const { version } = read.value;
  if (typeof version !== "number" || !Number.isInteger(version) || version < 1) {
    return { ok: false, faults: [fault("/version", "whole-number", { got: JSON.stringify(version) ?? "nothing" })] };
  }
  if (version > kind.newest) return { ok: false, faults: [fault("/version", "too-new", { newest: kind.newest, got: version })] };
  const file = broughtUp(kind, read.value);
  const faults = schemaFaults(kind.validate, file, kind.lists);
  if (faults.length > 0) return { ok: false, faults };
  return { ok: true, value: file as T, migratedFrom: version === kind.newest ? null : version };
}

/** A file whose version is one that is read, as the newest has it; what is at the newest already is the same. */
export function broughtUp({ newest, migrations }: Kind, file: JsonObject): JsonObject {
  return migrate(file, Number(file.version), newest, migrations);
}

/** The faults of a part of a file, by the path of the part. */
export function faultsUnder(path: string, decoded: Decoded<unknown>): Fault[] {
  return decoded.ok ? [] : decoded.faults.map((each) => ({ ...each, path: path + each.path }));
}
