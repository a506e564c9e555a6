"use client";

import { useTray, useTrayState } from "./tray";

/** What is typed in a field beside a piece and not taken, kept over a reload; null where nothing is. */
export function useHalfTyped(piece: string, field: string): readonly [string | null, (text: string | null) => void] {
  const tray = useTray();
  const text = useTrayState(({ drafts }) => drafts[piece]?.[field] ?? null);
  return [text, (next) => tray.setDraft(piece, field, next)];
}
