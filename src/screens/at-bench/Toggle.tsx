"use client";

import { type ReactNode } from "react";

/** One of several ways to do the same: the one that is chosen is lit. */
export function Toggle({
  isOn,
  onPress,
  children,
}: {
  readonly isOn: boolean;
  readonly onPress: () => void;
  readonly children: ReactNode;
}) {
  return (
    <button
      type="button"
      aria-pressed={isOn}
      onClick={onPress}
      className={`min-h-touch rounded-md border px-3 text-base ${isOn ? "border-glow text-night-ink" : "border-night-edge text-night-soft"}`}
    >
      {children}
    </button>
  );
}
