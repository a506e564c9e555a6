"use client";

import { useEffect, useState } from "react";
import { fault } from "@/core/piece/fault";
import { type Free } from "@/core/stone/shapes/free";
import { type SideReading } from "@/core/trace/side";
import { faultMessage } from "@/words/faults";
import { traceText } from "@/words/screens/trace";
import { traceClient } from "@/workers/trace/client";

/** What an outline from the side says of the stone, once it was read; or why it says nothing. */
export interface SideState {
  readonly reading: SideReading | null;
  readonly problem: string | null;
}

const NOTHING: SideState = { reading: null, problem: null };

/** While a point is dragged the outline changes at every move: it is read when it has rested so long (ms). */
const RESTED = 120;

/** The reading of an outline from the side, made in a worker of its own: the one that holds the picture is not ended by it. */
export function useSideReading(outline: Free | null): SideState {
  const [client] = useState(traceClient);
  const [read, setRead] = useState<{ readonly of: Free; readonly state: SideState } | null>(null);
  useEffect(() => () => client.end(), [client]);
  useEffect(() => {
    if (!outline) return;
    const set = (state: SideState) => setRead({ of: outline, state });
    const rested = setTimeout(
      () =>
        void client.ask({ kind: "side", outline }).then(
          (reply) => {
            if (reply?.kind === "side") set({ reading: reply.reading, problem: null });
            if (reply?.kind === "refused")
              set({ reading: null, problem: traceText.thePicture(faultMessage(fault("", reply.refusal.code, reply.refusal.values))) });
          },
          (error: unknown) => set({ reading: null, problem: traceText.couldNot(String(error)) }),
        ),
      RESTED,
    );
    return () => clearTimeout(rested);
  }, [client, outline]);
  return read && read.of === outline ? read.state : NOTHING;
}
