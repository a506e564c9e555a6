import { type Kind } from "./decode";
import {
  benchLists,
  makeLists,
  pieceLists,
  tryLists,
  validateBench,
  validateMake,
  validatePiece,
  validateTryFile,
} from "./generated/validators";
import { benchMigrations, makeMigrations, pieceMigrations } from "./migrations";

/** The kinds of file there are: what each is called, its newest version and its schema. */
export const PIECE: Kind = {
  format: "hoop-ledger/piece",
  newest: 3,
  migrations: pieceMigrations,
  validate: validatePiece,
  lists: pieceLists,
};

export const BENCH: Kind = {
  format: "hoop-ledger/bench",
  newest: 3,
  migrations: benchMigrations,
  validate: validateBench,
  lists: benchLists,
};

export const MAKE: Kind = {
  format: "hoop-ledger/make",
  newest: 3,
  migrations: makeMigrations,
  validate: validateMake,
  lists: makeLists,
};

export const TRY: Kind = {
  format: "hoop-ledger/try",
  newest: 1,
  migrations: {},
  validate: validateTryFile,
  lists: tryLists,
};
