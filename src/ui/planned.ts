import { useEffect, useMemo, useState } from "react";
import { type BenchEntry } from "@/core/piece/bench";
import { type Piece } from "@/core/piece/piece";
import { type Plan } from "@/core/piece/plan";
import { planPiece } from "@/core/piece/plan-piece";
import { heatsClient } from "@/workers/heats/client";
import { type HeatsAsk } from "@/workers/heats/protocol";
import { atOnce, heatsMemory, quickHeats } from "./at-once";

export interface Planned {
  readonly plan: Plan;
  /** Whether its heats are still those of before: better ones are being searched for. */
  readonly isSettling: boolean;
}

/** The plan of a piece as it is now. Where its heats take a search, a worker makes it and the old ones stay until then. */
export function usePlanned(piece: Piece, bench: BenchEntry): Planned {
  const [client] = useState(heatsClient);
  const [answers, setAnswers] = useState(0);
  const [failure, setFailure] = useState<Error | null>(null);
  const { plan, missing } = useMemo(() => {
    const missing: HeatsAsk[] = [];
    const heatsOf = atOnce((assembly, wishes) => {
      missing.push({ assembly, wishes });
      return heatsMemory.lastFor(assembly) ?? quickHeats(assembly, wishes);
    });
    return { plan: planPiece(piece, bench, heatsOf), missing, answers };
  }, [piece, bench, answers]);
  useEffect(() => {
    const [asked] = missing;
    if (!asked) return client.cancel();
    client.ask(asked).then((best) => {
      if (!best) return;
      heatsMemory.keep(asked.assembly, asked.wishes, best);
      setAnswers((n) => n + 1);
    }, setFailure);
  }, [client, missing]);
  useEffect(() => () => client.cancel(), [client]);
  if (failure) throw failure;
  return { plan, isSettling: missing.length > 0 };
}
