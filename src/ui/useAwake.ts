"use client";

import { useEffect } from "react";

/** Keeps the screen awake while a page is shown, where the browser can; it lets go of it whenever the page is hidden. */
export function useAwake(): void {
  useEffect(() => {
    if (!("wakeLock" in navigator)) return;
    let lock: WakeLockSentinel | null = null;
    let isGone = false;
    const hold = async () => {
      if (document.visibilityState !== "visible") return;
      try {
        const held = await navigator.wakeLock.request("screen");
        if (isGone) await held.release();
        else lock = held;
      } catch (error) {
        // A browser refuses it on a low battery.
        console.warn("the screen is not kept awake", error);
      }
    };
    void hold();
    const onShown = () => void hold();
    document.addEventListener("visibilitychange", onShown);
    return () => {
      isGone = true;
      document.removeEventListener("visibilitychange", onShown);
      void lock?.release();
    };
  }, []);
}
