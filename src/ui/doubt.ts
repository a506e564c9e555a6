"use client";

import { createContext, useContext, useMemo } from "react";
import { type DoubtOf, doubter, stillUnmeasured } from "@/core/piece/doubt";
import { type Measured } from "@/core/piece/make";
import { type Piece } from "@/core/piece/piece";
import { type PieceRecord } from "@/store/repository";
import { useSessionState } from "./session";

type Unsure = Pick<PieceRecord, "unmeasured" | "drafts"> & { readonly piece: Pick<Piece, "mounts"> };

/** What cannot be trusted of a piece as it is kept, or open. */
export function doubtsOf({ unmeasured, drafts, piece: { mounts } }: Unsure): DoubtOf {
  const plates = Object.fromEntries(mounts.flatMap(({ id, on }) => (on === undefined ? [] : [[id, on]])));
  return doubter({ plates, unmeasured, refused: Object.entries(drafts).flatMap(([key, { problem }]) => (problem === null ? [] : [key])) });
}

/** What cannot be trusted of the piece that is open. */
export function useDoubt(): DoubtOf {
  const measured = useContext(ReadAtBench);
  const unmeasured = useSessionState((state) => state.unmeasured);
  const drafts = useSessionState((state) => state.drafts);
  const mounts = useSessionState((state) => state.piece.mounts);
  return useMemo(
    () => doubtsOf({ unmeasured: stillUnmeasured(unmeasured, measured), drafts, piece: { mounts } }),
    [unmeasured, measured, drafts, mounts],
  );
}

/** What was read of the piece by which a screen plans it: at the bench only, for every other screen goes by its fields. */
export const ReadAtBench = createContext<readonly Measured[]>([]);
