"use client";

import { useEffect } from "react";

const SWITCH = "hoop-ledger/single-keys";

/** Whether single keys do anything on this device; they can be switched off. */
export function singleKeysOn(): boolean {
  return localStorage.getItem(SWITCH) !== "off";
}

export function switchSingleKeys(on: boolean): void {
  localStorage.setItem(SWITCH, on ? "on" : "off");
}

/** What each key does: a single key by its name, or "mod+z" with Ctrl or Command. */
export type Keys = Readonly<Record<string, () => void>>;

/** Single keys do nothing while a field has the focus or a dialog is open. */
export function useKeys(keys: Keys): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.altKey || event.defaultPrevented) return;
      const withMod = event.ctrlKey || event.metaKey;
      const name = withMod
        ? `mod+${event.shiftKey ? "shift+" : ""}${event.key.toLowerCase()}`
        : event.key.length === 1
          ? event.key.toLowerCase()
          : event.key;
      const act = keys[name];
      if (!act || (!withMod && (isTyping(event.target) || !singleKeysOn()))) return;
      if (document.querySelector('[role="dialog"]:not([data-quiet])')) return;
      event.preventDefault();
      act();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [keys]);
}

function isTyping(target: EventTarget | null): boolean {
  if (!(target instanceof HTMLElement)) return false;
  return (
    target.isContentEditable ||
    target instanceof HTMLTextAreaElement ||
    target instanceof HTMLSelectElement ||
    (target instanceof HTMLInputElement && target.type !== "checkbox")
  );
}
