"use client";

import { type PieceCost, pieceCost } from "@/core/cutting/cost";
import { cutsRequestOf, wantedOfPieces } from "@/core/piece/cuts-request";
import { type Piece } from "@/core/piece/piece";
import { costInputsOf } from "@/core/piece/piece-costs";
import { type Plan } from "@/core/piece/plan";
import { useLaidCuts } from "./laid-cuts";
import { useTrayState } from "./tray";
import { useSame } from "./useSame";

/** What a piece costs, by the hours that are scheduled for it. */
export type CostWith = (hours?: number) => PieceCost;

/**
 * What a piece costs, as often as it is meant to be made, when it is cut by itself from the drawer as that is now, at the bench's prices; by other
 * hours where some are given. Null until its cuts are laid, in a worker, or for want of a plan.
 */
export function useOwnCost(piece: Piece, plan: Plan | null): { readonly costWith: CostWith | null; readonly problem: string | null } {
  const bench = useTrayState((state) => state.bench);
  const count = piece.count ?? 1;
  const request = useSame([plan?.cuts, bench, piece.id, count, piece.copies], () =>
    plan ? cutsRequestOf(bench, wantedOfPieces([{ piece, plan }])) : null,
  );
  const { cuts, problem } = useLaidCuts(request);
  if (!plan || !cuts) return { costWith: null, problem };
  const costWith: CostWith = (hours) => {
    const inputs = costInputsOf(piece, plan, count);
    return pieceCost(cuts, piece.id, hours === undefined ? inputs : { ...inputs, hours }, bench.rates ?? {});
  };
  return { costWith, problem: null };
}
