import { useEffect } from "react";
import { titleText } from "@/words/ui";

/** What the window is called while a screen is shown. */
export function useTitle(...said: readonly string[]): void {
  const title = [...said, titleText.hoopLedger].join(" · ");
  useEffect(() => {
    document.title = title;
  }, [title]);
}
