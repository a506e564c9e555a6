import { useEffect } from "react";

/** What the window is called while a screen is shown. */
export function useTitle(...said: readonly string[]): void {
  const title = [...said, "Hoop Ledger"].join(" · ");
  useEffect(() => {
    document.title = title;
  }, [title]);
}
