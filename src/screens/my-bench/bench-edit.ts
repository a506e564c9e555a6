"use client";

import { produce, type Draft as Editable } from "immer";
import { useCallback, useMemo, useState } from "react";
import { temporal } from "zundo";
import { useStore } from "zustand";
import { createStore } from "zustand/vanilla";
import { type BenchEntry } from "@/core/piece/bench";
import { benchFromJson } from "@/formats/bench-codec";
import { type Json } from "@/formats/read-json";
import { type Tray } from "@/store/tray";
import { faultMessage } from "@/words/faults";

export type BenchRecipe = (bench: Editable<BenchEntry>) => void;

/** The bench being edited, with its undo. */
export interface BenchEdit {
  readonly bench: BenchEntry;
  /** Makes a change; returns why it cannot be made, or null. */
  readonly change: (recipe: BenchRecipe) => string | null;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
}

const MOST_UNDO = 200;

export function useBenchEdit(tray: Tray): BenchEdit {
  const [store] = useState(() =>
    createStore<{ bench: BenchEntry }>()(temporal(() => ({ bench: tray.store.getState().bench }), { limit: MOST_UNDO })),
  );
  const bench = useStore(tray.store, (state) => state.bench);
  const canUndo = useStore(store.temporal, ({ pastStates }) => pastStates.length > 0);
  const canRedo = useStore(store.temporal, ({ futureStates }) => futureStates.length > 0);
  const change = useCallback(
    (recipe: BenchRecipe) => {
      const now = tray.store.getState().bench;
      if (store.getState().bench !== now) store.setState({ bench: now });
      const next = produce(now, recipe);
      const decoded = benchFromJson(next as unknown as Json);
      if (!decoded.ok) return faultMessage(decoded.faults[0]!);
      store.setState({ bench: next });
      void tray.setBench(next);
      return null;
    },
    [store, tray],
  );
  const step = useCallback(
    (way: "undo" | "redo") => {
      store.temporal.getState()[way]();
      void tray.setBench(store.getState().bench);
    },
    [store, tray],
  );
  return useMemo(
    () => ({ bench, change, undo: () => step("undo"), redo: () => step("redo"), canUndo, canRedo }),
    [bench, change, step, canUndo, canRedo],
  );
}
