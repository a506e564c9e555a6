"use client";

import { useEffect, useState } from "react";
import { type CutsPlan, type CutsRequest } from "@/core/cutting/plan-cuts";
import { cutsClient } from "@/workers/cuts/client";

type Asked = Omit<CutsRequest, "way">;

/** Cuts laid in a worker so that the least is spoiled; null until they are, or where nothing is asked. */
export function useLaidCuts(request: Asked | null): { readonly cuts: CutsPlan | null; readonly problem: string | null } {
  const [client] = useState(cutsClient);
  const [laid, setLaid] = useState<{ readonly of: Asked | null; readonly cuts: CutsPlan | null; readonly problem: string | null }>({
    ...{ of: null, cuts: null, problem: null },
  });
  useEffect(() => () => client.end(), [client]);
  useEffect(() => {
    if (!request) return client.cancel();
    client.ask({ request, ways: ["spoil"] }).then(
      (found) => found && setLaid({ of: request, cuts: found[0]!, problem: null }),
      (error: unknown) => setLaid({ of: request, cuts: null, problem: String(error) }),
    );
  }, [client, request]);
  const isOfThis = request !== null && laid.of === request;
  return { cuts: isOfThis ? laid.cuts : null, problem: isOfThis ? laid.problem : null };
}
