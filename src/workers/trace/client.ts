import { latestWins } from "../latest-wins";
import { type TraceAsk, type TraceReply } from "./protocol";

/** Pictures and drawings read in a worker. */
export function traceClient() {
  return latestWins<TraceAsk, TraceReply>(() => new Worker(new URL("./trace.worker.ts", import.meta.url), { type: "module" }));
}
