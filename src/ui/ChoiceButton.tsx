"use client";

import { type ReactNode } from "react";

interface Props {
  readonly isChosen: boolean;
  readonly onPress: () => void;
  readonly children: ReactNode;
}

/** A small button that stays pressed while what it names is chosen. */
export function ChoiceButton({ isChosen, onPress, children }: Props) {
  return (
    <button
      type="button"
      aria-pressed={isChosen}
      onClick={onPress}
      className={`pressed rounded-sm border px-1.5 py-0.5 text-sm ${isChosen ? "border-accent bg-accent-wash font-semibold text-accent-deep" : "border-line bg-sheet text-soft"}`}
    >
      {children}
    </button>
  );
}
