"use client";

import { useEffect, useState } from "react";
import { type PieceCost, pieceCost } from "@/core/cutting/cost";
import { type CutsPlan, type CutsRequest } from "@/core/cutting/plan-cuts";
import { cutsRequestOf, wantedOfPieces } from "@/core/piece/cuts-request";
import { type Piece } from "@/core/piece/piece";
import { costInputsOf } from "@/core/piece/piece-costs";
import { type Plan } from "@/core/piece/plan";
import { cutsClient } from "@/workers/cuts/client";
import { useTrayState } from "./tray";
import { useSame } from "./useSame";

/** What a piece costs, by the hours that are scheduled for it. */
export type CostWith = (hours?: number) => PieceCost;

/** What was asked and what came of it. */
interface Laid {
  readonly of: Omit<CutsRequest, "way"> | null;
  readonly cuts: CutsPlan | null;
  readonly problem: string | null;
}

/**
 * What a piece costs, as often as it is meant to be made, when it is cut by itself from the drawer as that is now, at the bench's prices; by other
 * hours where some are given. Null until its cuts are laid, in a worker, or for want of a plan.
 */
export function useOwnCost(piece: Piece, plan: Plan | null): { readonly costWith: CostWith | null; readonly problem: string | null } {
  const [client] = useState(cutsClient);
  const bench = useTrayState((state) => state.bench);
  const count = piece.count ?? 1;
  const request = useSame([plan?.cuts, bench, piece.id, count, piece.copies], () =>
    plan ? cutsRequestOf(bench, wantedOfPieces([{ piece, plan }])) : null,
  );
  const [laid, setLaid] = useState<Laid>({ of: null, cuts: null, problem: null });
  useEffect(() => () => client.end(), [client]);
  useEffect(() => {
    if (!request) return client.cancel();
    client.ask({ request, ways: ["spoil"] }).then(
      (found) => found && setLaid({ of: request, cuts: found[0]!, problem: null }),
      (error: unknown) => setLaid({ of: request, cuts: null, problem: String(error) }),
    );
  }, [client, request]);
  const isOfThis = request !== null && laid.of === request;
  if (!isOfThis || !plan || !laid.cuts) return { costWith: null, problem: isOfThis ? laid.problem : null };
  const { cuts } = laid;
  const costWith: CostWith = (hours) => {
    const inputs = costInputsOf(piece, plan, count);
    return pieceCost(cuts, piece.id, hours === undefined ? inputs : { ...inputs, hours }, bench.rates ?? {});
  };
  return { costWith, problem: null };
}
