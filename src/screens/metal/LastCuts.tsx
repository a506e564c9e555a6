"use client";

import { useEffect } from "react";
import { useClock } from "@/ui/clock";
import { usePutBack } from "@/ui/put-back";
import { useTray, useTrayState } from "@/ui/tray";
import { dayText } from "@/words/dates";
import { metalText } from "@/words/screens/metal";

/** Cuts that stand there. */
const SHOWN = 4;

/** What was cut last, each of which can be put back as long as what it left lies as it was. */
export function LastCuts() {
  const tray = useTray();
  const cuts = useTrayState((state) => state.cuts) ?? [];
  const putBack = usePutBack();
  const clockOf = useClock();
  useEffect(() => void tray.readCuts(), [tray]);
  if (cuts.length === 0) return null;
  return (
    <>
      <h2 className="section-head mt-3">{metalText.lastCuts}</h2>
      <ul className="text-sm">
        {cuts.slice(0, SHOWN).map((cut) => {
          const when = `${dayText(cut.at)}, ${clockOf(cut.at)}`;
          return (
            <li key={cut.id} className="flex items-center justify-between gap-2 border-t border-hair py-1">
              <span className="min-w-0 leading-tight">
                <b className="font-semibold">{when}</b>
                <small className="block text-xs text-soft">{metalText.begunAndLeft(cut.before.length, cut.after.length)}</small>
              </span>
              <button type="button" className="btn btn-small" aria-label={metalText.putBackOf(when)} onClick={() => void putBack(cut)}>
                {metalText.putBackShort}
              </button>
            </li>
          );
        })}
      </ul>
    </>
  );
}
