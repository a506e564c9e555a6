import { useCallback } from "react";
import { benchOf } from "@/core/piece/bench";
import { useWhenIdle } from "@/ui/idle";
import { useSession } from "@/ui/session";
import { useTray } from "@/ui/tray";
import { planWorkerClient } from "@/workers/plan/client";

/** One worker for whatever is tried on the heats before it is taken: what a move would do, and the five ways. */
export const heatsWorker = planWorkerClient();

/** Warms up the worker with this piece when the page is idle: the first answer takes about ten times as long as later ones. */
export function useHeatsWorker(): void {
  const session = useSession();
  const tray = useTray();
  useWhenIdle(
    useCallback(() => {
      const { piece } = session.store.getState();
      const bench = benchOf(piece, tray.store.getState().bench);
      heatsWorker
        .prepare({ piece, bench, measured: [] })
        .catch((error: unknown) => console.error("nothing is planned in the worker", error));
    }, [session, tray]),
  );
}
