"use client";

import { usePathname } from "next/navigation";
import { useEffect } from "react";
import { newerVersionText } from "@/words/ui";
import { startOffline, takeNewer, useOffline } from "./offline";

/** While the program is being written nothing of it is cached. */
const IS_BUILT = process.env.NODE_ENV === "production";

/** Says that a newer build is ready, wherever nothing is being made; or that another window has taken it. */
export function NewerVersion() {
  const { newer } = useOffline();
  const isAtBench = usePathname().endsWith("/bench");
  useEffect(() => {
    if (IS_BUILT) void startOffline();
  }, []);
  if (newer === null || (isAtBench && newer === "waiting")) return null;
  return (
    <div
      role="status"
      className="fixed right-4 bottom-4 z-40 flex flex-wrap items-center gap-3 rounded-md border border-line bg-sheet px-3 py-2 text-sm shadow-lg print:hidden"
    >
      {newer === "taken" ? newerVersionText.anotherWindowUsesIt : newerVersionText.isReady}
      <button type="button" className="btn btn-main" onClick={() => void takeNewer()}>
        {newer === "taken" ? newerVersionText.reload : newerVersionText.useIt}
      </button>
    </div>
  );
}
