import { useEffect } from "react";

/** The space bar means done wherever nothing else takes it: no field, no button, no dialog. */
export function useSpace(act: () => void): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== " " || event.defaultPrevented || document.querySelector('[role="dialog"]')) return;
      if (event.target instanceof HTMLElement && event.target.closest("button, a, input, textarea, select")) return;
      event.preventDefault();
      if (!event.repeat) act();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [act]);
}
