import { type BenchEntry } from "@/core/piece/bench";
import { fault } from "@/core/piece/fault";
import { type Piece } from "@/core/piece/piece";
import { benchFromJson } from "./bench-codec";
import { type Decoded, faultsUnder } from "./decode";
import { pieceFromJson } from "./piece-codec";
import { BENCH, PIECE } from "./kinds";
import { type Lists, MOST_FAULTS, asRecord, lengthFaults, notAnObject, parsed, pointer, structureFaults, tooWide } from "./read-json";

/** What a program asks to have planned. */
export interface PlanRequest {
  readonly piece: Piece;
  readonly bench?: BenchEntry;
}

/** A piece in a request stands a level deeper than its file. */
const FILES_WITHIN = 1;

/** What is too long in either is not gone into. */
const LISTS: Lists = { at: { piece: PIECE.lists, bench: BENCH.lists } };

/** `{ piece, bench? }` from a text, with all that is wrong in either, by path. */
export function decodePlanRequest(text: string): Decoded<PlanRequest> {
  const wide = tooWide(text);
  if (wide) return { ok: false, faults: [wide] };
  const asked = parsed(text)?.value;
  const long = lengthFaults(LISTS, asked, "");
  if (long.length > 0) return { ok: false, faults: long };
  const deep = asked === undefined ? [] : structureFaults(asked, FILES_WITHIN);
  if (deep.length > 0) return { ok: false, faults: deep };
  if (asked === undefined) return { ok: false, faults: [fault("", "not-json")] };
  const request = asRecord(asked);
  if (!request) return { ok: false, faults: [notAnObject(asked)] };
  const { piece = null, bench, ...others } = request;
  const strange = Object.keys(others)
    .slice(0, MOST_FAULTS)
    .map((key) => fault(`/${pointer(key)}`, "unknown-field"));
  const onBench = bench === undefined ? null : benchFromJson(bench);
  const own = pieceFromJson(piece, onBench?.ok ? onBench.value : undefined);
  if (own.ok && (!onBench || onBench.ok) && strange.length === 0) {
    return { ok: true, value: onBench ? { piece: own.value, bench: onBench.value } : { piece: own.value }, migratedFrom: own.migratedFrom };
  }
  return { ok: false, faults: [...strange, ...(onBench ? faultsUnder("/bench", onBench) : []), ...faultsUnder("/piece", own)] };
}
