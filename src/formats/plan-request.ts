import { type BenchEntry } from "@/core/piece/bench";
import { type Fault, fault } from "@/core/piece/fault";
import { type Piece } from "@/core/piece/piece";
import { benchFromJson } from "./bench-codec";
import { type Decoded } from "./decode";
import { pieceFromJson } from "./piece-codec";
import { type Json, type JsonObject } from "./read-json";

/** What a program asks to have planned. */
export interface PlanRequest {
  readonly piece: Piece;
  readonly bench?: BenchEntry;
}

/** `{ piece, bench? }` from a text, with all that is wrong in either, by path. */
export function decodePlanRequest(text: string): Decoded<PlanRequest> {
  const asked = parsed(text);
  if (!asked) return { ok: false, faults: [fault("", "not-json")] };
  const { piece = null, bench, ...others } = asked;
  const strange = Object.keys(others).map((key) => fault(`/${key}`, "unknown-field"));
  const onBench = bench === undefined ? null : benchFromJson(bench);
  const own = pieceFromJson(piece, onBench?.ok ? onBench.value : undefined);
  if (own.ok && (!onBench || onBench.ok) && strange.length === 0) {
    return { ok: true, value: onBench ? { piece: own.value, bench: onBench.value } : { piece: own.value }, migratedFrom: own.migratedFrom };
  }
  return { ok: false, faults: [...strange, ...under("/bench", onBench), ...under("/piece", own)] };
}

function under(path: string, decoded: Decoded<unknown> | null): Fault[] {
  return !decoded || decoded.ok ? [] : decoded.faults.map((each) => ({ ...each, path: path + each.path }));
}

function parsed(text: string): JsonObject | null {
  try {
    const value = JSON.parse(text) as Json;
    return typeof value === "object" && value !== null && !Array.isArray(value) ? (value as JsonObject) : null;
  } catch (error) {
    if (!(error instanceof SyntaxError)) throw error;
    return null;
  }
}
