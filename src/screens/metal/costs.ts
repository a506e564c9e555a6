"use client";

import { type PieceCost, pieceCost } from "@/core/cutting/cost";
import { type CutsPlan } from "@/core/cutting/plan-cuts";
import { costInputsOf } from "@/core/piece/piece-costs";
import { type PieceRecord } from "@/store/repository";
import { usePlans } from "@/ui/planner";
import { useTrayState } from "@/ui/tray";

/** What each of the planned pieces costs at the bench's prices. */
export function useCosts(plan: CutsPlan | null, records: readonly PieceRecord[]): readonly PieceCost[] {
  const plans = usePlans();
  const bench = useTrayState((state) => state.bench);
  if (!plan) return [];
  return records.flatMap((record) => {
    const attempt = plans.soon(record.piece, bench);
    if (!attempt?.ok) return [];
    return [pieceCost(plan, record.id, costInputsOf(record.piece, attempt.plan, record.piece.count ?? 1), bench.rates ?? {})];
  });
}
