"use client";

import { useEffect } from "react";
import { tinykeys } from "tinykeys";
import { isSwitchedOn, switchOnDevice } from "./device-switch";

const SWITCH = "hoop-ledger/single-keys";

/** Whether single keys do anything on this device; they can be switched off. */
export function singleKeysOn(): boolean {
  return isSwitchedOn(SWITCH, true);
}

export function switchSingleKeys(on: boolean): void {
  switchOnDevice(SWITCH, on);
}

/** What each key does: a single key by its name, or "$mod+z" with Ctrl or Command. */
export type Keys = Readonly<Record<string, () => void>>;

/** Single keys do nothing while a field has the focus or a dialog is open. A key that is held counts once where it does not `repeats`. */
export function useKeys(keys: Keys, { repeats = true }: { readonly repeats?: boolean } = {}): void {
  useEffect(() => {
    const bound = Object.entries(keys).flatMap(([name, act]) => {
      const isSingle = !name.startsWith("$mod+");
      const onKey = (event: KeyboardEvent) => {
        if (event.defaultPrevented || (isSingle && (isTyping(event.target) || !singleKeysOn()))) return;
        if (document.querySelector('[role="dialog"]:not([data-quiet])')) return;
        event.preventDefault();
        if (repeats || !event.repeat) act();
      };
      return (isSingle ? typedAs(name) : [name]).map((each) => [each, onKey] as const);
    });
    return tinykeys(window, Object.fromEntries(bound));
  }, [keys, repeats]);
}

/** On some keyboards a sign is typed with Shift or Alt Graph, which Windows reports as Control and Alt. */
function typedAs(name: string): string[] {
  return /^\W$/.test(name) ? [name, `Shift+${name}`, `Control+Alt+${name}`] : [name];
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
