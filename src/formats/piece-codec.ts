import { type BenchEntry, SHIPPED_BENCH, benchOf } from "@/core/piece/bench";
import { type Fault } from "@/core/piece/fault";
import { faultsOf } from "@/core/piece/faults";
import { inUse } from "@/core/piece/make";
import { type Readings, inHand } from "@/core/piece/measured";
import { type Piece } from "@/core/piece/piece";
import { unplanned } from "@/core/piece/unplanned";
import { benchFaults } from "./bench-codec";
import { type Decoded, decode } from "./decode";
import { PIECE } from "./kinds";
import { type Json, asObject, readJson } from "./read-json";
import { schemaFaults } from "./validate";

/** A piece from a file's text, with all that is wrong with it. `bench` is the one it is planned with, whatever it came with. */
export function decodePiece(text: string, bench?: BenchEntry): Decoded<Piece> {
  return checked(decode<Piece>(PIECE, readJson(text, PIECE.format, PIECE.lists)), bench);
}

/** The same from a value parsed already. */
export function pieceFromJson(value: Json, bench?: BenchEntry): Decoded<Piece> {
  return checked(decode<Piece>(PIECE, asObject(value, PIECE.format, PIECE.lists)), bench);
}

/** The same for a piece that lay on a bench: one that came with its own is planned with that. */
export function pieceOnBench(value: Json, mine: BenchEntry): Decoded<Piece> {
  const decoded = decode<Piece>(PIECE, asObject(value, PIECE.format, PIECE.lists));
  return decoded.ok ? checked(decoded, benchOf(decoded.value, mine)) : decoded;
}

function checked(decoded: Decoded<Piece>, bench: BenchEntry | undefined): Decoded<Piece> {
  if (!decoded.ok) return decoded;
  const faults = meaningFaults(decoded.value, bench ?? benchOf(decoded.value, SHIPPED_BENCH));
  return faults.length > 0 ? { ok: false, faults } : decoded;
}

/** What a piece that fits its schema cannot mean on a bench. */
function meaningFaults(piece: Piece, bench: BenchEntry): Fault[] {
  const own = piece.benchUsed ? benchFaults(piece.benchUsed, "/benchUsed") : [];
  const later = unplanned(piece);
  // What is not planned may stand in the place of what all the rest goes by.
  return later.length > 0 ? [...later, ...own] : [...own, ...faultsOf(piece, bench)];
}

/** Whether a piece has the shape and sizes of one, whatever it can mean. */
export function fitsSchema(piece: Piece): boolean {
  return schemaFaults(PIECE.validate, piece, PIECE.lists).length === 0;
}

/**
 * The reading by which a piece that can be planned could not be, by its place in a making's list: all are taken together, for a stone's measures
 * depend on each other. None where the piece can be planned with all of them.
 */
export function measuredFaults(piece: Piece, bench: BenchEntry, measured: Readings): Fault[] {
  const faultWith = (count: number) => pieceFaults(inHand(piece, inUse(measured.slice(0, count))).piece, bench)[0];
  const all = faultWith(measured.length);
  if (!all) return [];
  let good = measured.length - 1;
  while (faultWith(good)) good--;
  const { figure } = measured[good]!;
  return [{ ...all, path: `/measured/${measured.findLastIndex((each) => each.figure === figure)}/value` }];
}

/** All that stands against planning a piece on a bench: what its schema has against it, else what it cannot mean. */
export function pieceFaults(piece: Piece, bench: BenchEntry): Fault[] {
  const ofSchema = schemaFaults(PIECE.validate, piece, PIECE.lists);
  return ofSchema.length > 0 ? ofSchema : meaningFaults(piece, bench);
}
