import { type HeatsOf } from "@/core/heats/best";
import { type BenchEntry } from "@/core/piece/bench";
import { type Fault, fault } from "@/core/piece/fault";
import { type Piece } from "@/core/piece/piece";
import { type Plan } from "@/core/piece/plan";
import { planPiece } from "@/core/piece/plan-piece";
import { type Readings } from "@/core/piece/measured";
import { measuredFaults, pieceFaults } from "./piece-codec";

/** A piece's plan, or what stands against one: each with the path of what is wrong. */
export type Attempt = { readonly ok: true; readonly plan: Plan } | { readonly ok: false; readonly faults: readonly Fault[] };

/**
 * Plans a piece that may have become one that cannot be planned: another bench, an older program that took more. A plan that fails
 * for another reason is our own mistake; it is told as one fault of the whole piece, so that it hides no other piece.
 */
export function attemptPlan(piece: Piece, bench: BenchEntry, heatsOf?: HeatsOf, measured: Readings = []): Attempt {
  try {
    const ofPiece = pieceFaults(piece, bench);
    const faults = ofPiece.length > 0 ? ofPiece : measuredFaults(piece, bench, measured);
    return faults.length > 0 ? { ok: false, faults } : { ok: true, plan: planPiece(piece, bench, measured, heatsOf) };
  } catch (error) {
    return { ok: false, faults: [fault("", "not-worked-out", { why: error instanceof Error ? error.message : String(error) })] };
  }
}
