import { type BenchEntry } from "@/core/piece/bench";
import { fault } from "@/core/piece/fault";
import { type Make } from "@/core/piece/make";
import { type Piece } from "@/core/piece/piece";
import { type Decoded, decode, faultsUnder } from "./decode";
import { MAKE } from "./kinds";
import { pieceOnBench } from "./piece-codec";
import { type Json, asObject, readJson } from "./read-json";

function takenPiece(each: Json): Json {
  return typeof each === "object" && each !== null && "pieceFile" in each ? each.pieceFile! : null;
}

/** A making from a file's text. */
export function decodeMake(text: string, mine: BenchEntry): Decoded<Make> {
  const read = readJson(text, MAKE.format, MAKE.lists);
  return read.ok ? makeFromJson(read.value, mine) : read;
}

/** A making, its own copy of the piece read by the piece's decoder. `mine` is the bench that a copy without one was planned with. */
export function makeFromJson(value: Json, mine: BenchEntry): Decoded<Make> {
  const read = asObject(value, MAKE.format, MAKE.lists);
  if (!read.ok) return read;
  const { pieceFile, ...rest } = read.value;
  const later: readonly Json[] = Array.isArray(rest.taken) ? rest.taken : [];
  const piece: Decoded<Piece> = pieceFile === undefined ? { ok: false, faults: [fault("", "missing")] } : pieceOnBench(pieceFile, mine);
  const decoded = decode<Make>(MAKE, { ok: true, value: piece.ok ? { ...read.value, pieceFile: piece.value as unknown as Json } : rest });
  const faults = [
    ...(decoded.ok ? [] : decoded.faults.filter(({ path }) => piece.ok || path !== "/pieceFile")),
    ...faultsUnder("/pieceFile", piece),
    ...later.flatMap((each, i) => faultsUnder(`/taken/${i}/pieceFile`, pieceOnBench(takenPiece(each), mine))),
  ];
  if (faults.length > 0) return { ok: false, faults };
  if (!decoded.ok || !piece.ok) throw new RangeError("a decoder refused without a fault");
  const steps = decoded.value.done.map(({ step }) => step);
  const twice = steps.find((step, i) => steps.indexOf(step) < i);
  return twice === undefined ? decoded : { ok: false, faults: [fault("/done", "duplicate", { got: twice })] };
}
