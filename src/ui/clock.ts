import { useSyncExternalStore } from "react";
import { type ClockHours, clockText } from "@/words/dates";
import { isSwitchedOn, switchOnDevice } from "./device-switch";

const SWITCH = "hoop-ledger/clock-of-12";
const listeners = new Set<() => void>();

function hear(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Whether the maker's clock counts 12 hours or 24; kept on this device. */
export function useClockHours(): ClockHours {
  return useSyncExternalStore(
    hear,
    () => (isSwitchedOn(SWITCH, false) ? 12 : 24),
    () => 24,
  );
}

export function setClockHours(hours: ClockHours): void {
  switchOnDevice(SWITCH, hours === 12);
  listeners.forEach((listener) => listener());
}

/** Tells the time of a moment in ISO on the maker's clock. */
export function useClock(): (iso: string) => string {
  const hours = useClockHours();
  return (iso) => clockText(iso, hours);
}
