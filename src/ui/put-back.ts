"use client";

import { type CutRecord } from "@/core/cutting/cut-record";
import { putBackText } from "@/words/cuts";
import { useNotices } from "./notices";
import { useTray } from "./tray";

/** Puts a cut back into the drawer; says why where it cannot be. */
export function usePutBack(): (cut: CutRecord) => Promise<void> {
  const tray = useTray();
  const { say, warn } = useNotices();
  return async (cut) => {
    const problem = await tray.putCutBack(cut);
    if (problem === null) say(putBackText.isBack);
    else warn(problem === "changed" ? putBackText.notBack : `${problem}.`);
  };
}
