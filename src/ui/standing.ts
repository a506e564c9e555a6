import { useMemo } from "react";
import { type Remedy } from "@/core/piece/remedies";
import { standingOf } from "@/core/piece/standing";
import { underWay } from "@/store/tray-state";
import { useTrayState } from "./tray";

/** What was read in a piece's making under way and means that a part is to be made anew, until that is done. */
export function useStanding(piece: string): readonly Remedy[] {
  const make = useTrayState(({ makes }) => underWay(makes, piece));
  const bench = useTrayState((state) => state.bench);
  return useMemo(() => (make ? standingOf(make, bench) : []), [make, bench]);
}
