"use client";

import { useEffect, useState } from "react";
import { type CuttingWay } from "@/core/cutting/cutting-way";
import { type CutsPlan, type CutsRequest } from "@/core/cutting/plan-cuts";
import { cutsClient } from "@/workers/cuts/client";

export const WAYS: readonly CuttingWay[] = ["spoil", "ends-first", "fewest"];

/** Cuts as far as they are laid: a plan in each way, and whether better ones are still looked for. */
export interface Cutting {
  readonly plans: readonly CutsPlan[] | null;
  /** They are those of before: the same blanks are being laid round other pins, or on another drawer. */
  readonly isBefore: boolean;
  readonly isLooking: boolean;
  readonly problem: string | null;
  readonly stop: () => void;
}

type Asked = Omit<CutsRequest, "way">;

/** The cuts of what is wanted, laid in a worker: the quickest answer first, then the best of all tries. */
export function useCutting(request: Asked | null): Cutting {
  const [client] = useState(cutsClient);
  const [state, setState] = useState<{ readonly of: Asked | null } & Omit<Cutting, "stop" | "isBefore">>({
    ...{ of: null, plans: null, isLooking: false, problem: null },
  });
  useEffect(() => () => client.end(), [client]);
  useEffect(() => {
    if (!request) return client.cancel();
    let isOver = false;
    const look = async () => {
      const first = await client.ask({ request: { ...request, tries: 1 }, ways: WAYS });
      if (!first || isOver) return;
      const hasSheets = first[0]!.sheets.length > 0;
      setState({ of: request, plans: first, isLooking: hasSheets, problem: null });
      if (!hasSheets) return;
      const best = await client.ask({ request, ways: WAYS });
      if (best && !isOver) setState({ of: request, plans: best, isLooking: false, problem: null });
    };
    look().catch((error: unknown) => !isOver && setState({ of: request, plans: null, isLooking: false, problem: String(error) }));
    return () => {
      isOver = true;
    };
  }, [client, request]);
  const isOfThis = request !== null && state.of === request;
  const isBefore = !isOfThis && request !== null && state.of?.wanted === request.wanted;
  return {
    plans: isOfThis || isBefore ? state.plans : null,
    isBefore,
    isLooking: request !== null && (!isOfThis || state.isLooking),
    problem: isOfThis ? state.problem : null,
    stop: () => {
      client.cancel();
      setState((now) => ({ of: request, plans: isOfThis ? now.plans : null, isLooking: false, problem: null }));
    },
  };
}
