"use client";

import { useEffect } from "react";
import { type CutRecord } from "@/core/cutting/cut-record";
import { useClock } from "@/ui/clock";
import { useNotices } from "@/ui/notices";
import { useTray, useTrayState } from "@/ui/tray";
import { dayText } from "@/words/dates";
import { metalText } from "@/words/screens/metal";

/** Cuts that stand there. */
const SHOWN = 4;

/** Puts a cut back into the drawer; says why where it cannot be. */
export function usePutBack(): (cut: CutRecord) => Promise<void> {
  const tray = useTray();
  const { say, warn } = useNotices();
  return async (cut) => {
    const problem = await tray.putCutBack(cut);
    if (problem === null) say(metalText.isBack);
    else warn(problem === "changed" ? metalText.notBack : `${problem}.`);
  };
}

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
