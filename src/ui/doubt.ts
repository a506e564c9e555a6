"use client";

import { createContext, useContext, useMemo } from "react";
import { type DoubtOf, doubter, stillUnmeasured } from "@/core/piece/doubt";
import { type Measured } from "@/core/piece/make";
import { type PieceRecord } from "@/store/repository";
import { useSessionState } from "./session";

type Unsure = Pick<PieceRecord, "unmeasured" | "drafts">;

/** What cannot be trusted of a piece as it is kept, or open. */
export function doubtsOf({ unmeasured, drafts }: Unsure): DoubtOf {
  return doubter({ unmeasured, refused: Object.entries(drafts).flatMap(([key, { problem }]) => (problem === null ? [] : [key])) });
}

/** What cannot be trusted of the piece that is open. */
export function useDoubt(): DoubtOf {
  const measured = useContext(ReadAtBench);
  const unmeasured = useSessionState((state) => state.unmeasured);
  const drafts = useSessionState((state) => state.drafts);
  return useMemo(() => doubtsOf({ unmeasured: stillUnmeasured(unmeasured, measured), drafts }), [unmeasured, measured, drafts]);
}

/** What was read of the piece by which a screen plans it: at the bench only, for every other screen goes by its fields. */
export const ReadAtBench = createContext<readonly Measured[]>([]);
