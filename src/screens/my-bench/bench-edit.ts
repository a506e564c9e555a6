"use client";

import { useMemo } from "react";
import { type BenchEntry } from "@/core/piece/bench";
import { type BenchRecipe } from "@/store/bench-changes";
import { useNotices } from "@/ui/notices";
import { useTray, useTrayState } from "@/ui/tray";
import { benchEditText } from "@/words/screens/my-bench";

/** The bench being edited, with its undo. */
export interface BenchEdit {
  readonly bench: BenchEntry;
  /** Makes a change; returns why it cannot be made, or null. */
  readonly change: (recipe: BenchRecipe) => Promise<string | null>;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
}

export function useBenchEdit(): BenchEdit {
  const tray = useTray();
  const { warn } = useNotices();
  const bench = useTrayState((state) => state.bench);
  const { past, future } = useTrayState((state) => state.benchSteps);
  return useMemo(() => {
    const told = (word: string, step: () => Promise<string | null>) => () =>
      void step().then((problem) => problem !== null && warn(benchEditText.not(word, problem)));
    return {
      bench,
      change: tray.changeBench,
      undo: told("undone", tray.undoBench),
      redo: told("redone", tray.redoBench),
      canUndo: past > 0,
      canRedo: future > 0,
    };
  }, [tray, warn, bench, past, future]);
}
