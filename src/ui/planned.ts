import { useEffect, useMemo, useState } from "react";
import { type BenchEntry } from "@/core/piece/bench";
import { type Fault } from "@/core/piece/fault";
import { type Piece } from "@/core/piece/piece";
import { type Plan } from "@/core/piece/plan";
import { type Attempt, attemptPlan } from "@/formats/attempt";
import { heatsClient } from "@/workers/heats/client";
import { type HeatsAsk } from "@/workers/heats/protocol";
import { besideClient } from "@/workers/plan/client";
import { atOnce, heatsMemory, quickHeats } from "./at-once";
import { askBeside, isHeavy } from "./beside";

export interface Planned {
  readonly plan: Plan;
  /** Whether what is shown is of before, in whole or in its heats: better is being worked out. */
  readonly isSettling: boolean;
}

/** A piece's plan as it is now, or what stands against one on this bench; null while a first one is being worked out. */
export type PlannedOrNot = (Planned & { readonly ok: true }) | { readonly ok: false; readonly faults: readonly Fault[] };

/** A heavy piece is planned beside the page, the others on it; the old plan stays until then. */
export function usePlanned(piece: Piece, bench: BenchEntry): PlannedOrNot | null {
  const heavy = isHeavy(piece);
  const here = usePlannedHere(heavy ? null : piece, bench);
  const beside = usePlannedBeside(heavy ? piece : null, bench);
  return heavy ? beside : here;
}

function usePlannedBeside(piece: Piece | null, bench: BenchEntry): PlannedOrNot | null {
  const [client] = useState(besideClient);
  const [answer, setAnswer] = useState<{ readonly piece: Piece; readonly bench: BenchEntry; readonly attempt: Attempt } | null>(null);
  useEffect(() => {
    if (!piece) return client.cancel();
    void askBeside(client, { piece, bench }).then((attempt) => attempt && setAnswer({ piece, bench, attempt }));
  }, [client, piece, bench]);
  useEffect(() => () => client.cancel(), [client]);
  if (!piece || !answer) return null;
  const { attempt } = answer;
  const isSettling = answer.piece !== piece || answer.bench !== bench;
  return attempt.ok ? { ok: true, plan: attempt.plan, isSettling } : attempt;
}

/** Where its heats take a search, a worker makes it and the old ones stay until then. */
function usePlannedHere(piece: Piece | null, bench: BenchEntry): PlannedOrNot | null {
  const [client] = useState(heatsClient);
  const [answers, setAnswers] = useState(0);
  const [failure, setFailure] = useState<Error | null>(null);
  const { attempt, missing } = useMemo(() => {
    const missing: HeatsAsk[] = [];
    const heatsOf = atOnce((assembly, wishes) => {
      missing.push({ assembly, wishes });
      return heatsMemory.lastFor(assembly) ?? quickHeats(assembly, wishes);
    });
    return { attempt: piece && attemptPlan(piece, bench, heatsOf), missing, answers };
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
  return attempt?.ok ? { ok: true, plan: attempt.plan, isSettling: missing.length > 0 } : attempt;
}
