import { useSyncExternalStore } from "react";
import { fault } from "@/core/piece/fault";
import { type BenchEntry } from "@/core/piece/bench";
import { type Piece } from "@/core/piece/piece";
import { type Attempt } from "@/formats/attempt";
import { besideClient } from "@/workers/plan/client";
import { type BesideAsk } from "@/workers/plan/protocol";

/** A traced outline of more points than this takes longer than a frame or two to plan. */
const MANY_POINTS = 200;
/** A plan that is not there by then is given up (ms). */
const LONGEST = 10_000;

/** Whether a piece is planned beside the page rather than on it. */
export function isHeavy({ mounts }: Piece): boolean {
  return mounts.some(({ stone: { outline } }) => outline.shape === "free" && outline.points.length > MANY_POINTS);
}

/** Asks for one plan; ended and told as too slow where it takes too long. Null once a later question has taken its place. */
export async function askBeside(client: ReturnType<typeof besideClient>, ask: BesideAsk): Promise<Attempt | null> {
  let isLate = false;
  const late = setTimeout(() => {
    isLate = true;
    client.cancel();
  }, LONGEST);
  try {
    const answer = await client.ask(ask);
    return isLate ? { ok: false, faults: [fault("", "too-slow", { limit: LONGEST / 1000 })] } : answer;
  } catch (error) {
    return { ok: false, faults: [fault("", "not-worked-out", { why: String(error) })] };
  } finally {
    clearTimeout(late);
  }
}

const known = new WeakMap<Piece, { readonly bench: BenchEntry; readonly attempt: Attempt | null }>();
const waiting: BesideAsk[] = [];
const hearers = new Set<() => void>();
let answered = 0;
let client: ReturnType<typeof besideClient> | null = null;

/** The plan of a heavy piece, or null while it is being worked out: one after the other, in the order asked for. */
export function planBeside(piece: Piece, bench: BenchEntry): Attempt | null {
  const now = known.get(piece);
  if (now?.bench === bench) return now.attempt;
  known.set(piece, { bench, attempt: null });
  waiting.push({ piece, bench });
  if (waiting.length === 1) void workOff();
  return null;
}

async function workOff(): Promise<void> {
  client ??= besideClient();
  for (let ask = waiting[0]; ask; ask = waiting[0]) {
    const { piece, bench } = ask;
    const attempt = await askBeside(client, ask);
    if (known.get(piece)?.bench === bench) known.set(piece, { bench, attempt });
    waiting.shift();
    answered++;
    hearers.forEach((hear) => hear());
  }
}

/** Draws again when a plan has been worked out beside the page. */
export function useBeside(): void {
  useSyncExternalStore(
    (hear) => {
      hearers.add(hear);
      return () => hearers.delete(hear);
    },
    () => answered,
    () => answered,
  );
}
