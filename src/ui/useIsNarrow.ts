import { useSyncExternalStore } from "react";

/** As `max-md` has it. */
const NARROW = "(width < 48rem)";

/** Whether the window is as narrow as a phone's. */
export function useIsNarrow(): boolean {
  return useSyncExternalStore(
    hearWidth,
    () => matchMedia(NARROW).matches,
    () => false,
  );
}

function hearWidth(hear: () => void): () => void {
  const media = matchMedia(NARROW);
  media.addEventListener("change", hear);
  return () => media.removeEventListener("change", hear);
}
