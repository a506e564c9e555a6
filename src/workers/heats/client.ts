import { latestWins } from "../latest-wins";
import { type HeatsAsk, type HeatsReply } from "./protocol";

/** Best heats searched in a worker. */
export function heatsClient() {
  return latestWins<HeatsAsk, HeatsReply>(() => new Worker(new URL("./heats.worker.ts", import.meta.url), { type: "module" }));
}
