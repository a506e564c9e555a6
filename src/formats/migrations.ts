import { type JsonObject } from "./read-json";

export type Migrations = Readonly<Record<number, (file: JsonObject) => JsonObject>>;

/** `migrations[n]` turns a version-n file into version n + 1. A row is never edited once shipped. */
export const pieceMigrations: Migrations = {};
export const benchMigrations: Migrations = {};
export const makeMigrations: Migrations = {};

/** The file brought to `newest`, step by step. @throws if a step is missing. */
export function migrate(file: JsonObject, from: number, newest: number, migrations: Migrations): JsonObject {
  let current = file;
  for (let version = from; version < newest; version++) {
    const step = migrations[version];
    if (!step) throw new RangeError(`no migration from version ${version}`);
    current = step(current);
  }
  return current;
}
