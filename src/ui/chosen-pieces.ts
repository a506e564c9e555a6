"use client";

import { useSearchParams } from "next/navigation";
import { useState } from "react";
import { type PieceRecord } from "@/store/repository";
import { usePlans } from "./planner";
import { useTrayState } from "./tray";

const PIECES = "pieces";

/** The pieces that are chosen on a page, in the order in which they were; and those that could be. */
export interface PieceChoice {
  readonly records: readonly PieceRecord[];
  readonly others: readonly PieceRecord[];
  /** Adds a piece, or leaves it out. Returns the ids that are chosen now. */
  readonly choose: (id: string) => readonly string[];
}

/** Pieces chosen on a page, named in its address; `usual` says which are to begin with, where the address names none. */
export function useChosenPieces(usual: (lying: readonly PieceRecord[]) => readonly string[]): PieceChoice {
  const all = useTrayState(({ pieces }) => pieces);
  const inAddress = useSearchParams().get(PIECES);
  const [changed, change] = useState<readonly string[] | null>(null);
  const lying = all.filter(({ deleted }) => deleted === null);
  const ids = [...new Set(changed ?? inAddress?.split(",") ?? usual(lying))];
  const records = ids.flatMap((id) => lying.find((each) => each.id === id) ?? []);
  return {
    records,
    others: lying.filter((each) => !records.includes(each)),
    choose: (id) => {
      const chosen = records.map((each) => each.id);
      const next = chosen.includes(id) ? chosen.filter((each) => each !== id) : [...chosen, id];
      change(next);
      setInAddress(PIECES, next.join(","));
      return next;
    },
  };
}

/** Says something in the page's address beside what stands there, so that a reload has it again. */
export function setInAddress(name: string, value: string): void {
  const said = new URLSearchParams(window.location.search);
  said.set(name, value);
  window.history.replaceState(null, "", `${window.location.pathname}?${said.toString().replaceAll("%2C", ",")}`);
}

/** Each piece with its plan, null while that is worked out; and the names of those that cannot be planned. */
export function usePlanned(records: readonly PieceRecord[]) {
  const plans = usePlans();
  const bench = useTrayState((state) => state.bench);
  const attempts = records.map((record) => ({ record, attempt: plans.soon(record.piece, bench) }));
  return { attempts, refused: attempts.filter(({ attempt }) => attempt && !attempt.ok).map(({ record }) => record.piece.name) };
}
