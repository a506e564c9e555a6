import { type BenchEntry, SHIPPED_BENCH } from "@/core/piece/bench";
import { faultsOf, unplanned } from "@/core/piece/faults";
import { type Piece } from "@/core/piece/piece";
import { benchFaults } from "./bench-codec";
import { type Decoded, type Kind, decode } from "./decode";
import { validatePiece } from "./generated/validators";
import { pieceMigrations } from "./migrations";
import { type Json, asObject, readJson } from "./read-json";

const PIECE: Kind = { format: "hoop-ledger/piece", newest: 1, migrations: pieceMigrations, validate: validatePiece };

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
