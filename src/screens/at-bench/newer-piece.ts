import { useEffect } from "react";
import { useSession, useSessionState } from "@/ui/session";

/** What another window made of the piece comes in by itself where nothing is typed in this one; the making asks then which plan to go by. */
export function useNewerPiece(): void {
  const session = useSession();
  const isElsewhere = useSessionState(({ keeping }) => keeping.state === "elsewhere");
  useEffect(() => {
    if (isElsewhere && !session.isUnwritten()) session.takeNewer();
  }, [isElsewhere, session]);
}
