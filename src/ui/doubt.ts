"use client";

import { useMemo } from "react";
import { type DoubtOf, doubter } from "@/core/piece/doubt";
import { type PieceRecord } from "@/store/keeper";
import { useSessionState } from "./session";

type Unsure = Pick<PieceRecord, "unmeasured" | "drafts">;

/** What cannot be trusted of a piece as it is kept, or open. */
export function doubtsOf({ unmeasured, drafts }: Unsure): DoubtOf {
  return doubter({ unmeasured, refused: Object.entries(drafts).flatMap(([key, { problem }]) => (problem === null ? [] : [key])) });
}

/** What cannot be trusted of the piece that is open. */
export function useDoubt(): DoubtOf {
  const unmeasured = useSessionState((state) => state.unmeasured);
  const drafts = useSessionState((state) => state.drafts);
  return useMemo(() => doubtsOf({ unmeasured, drafts }), [unmeasured, drafts]);
}
