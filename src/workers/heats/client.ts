import { latestWins } from "../latest-wins";
import { type HeatsAsk, type HeatsReply } from "./protocol";

/** Best heats worked out beside the page. */
export function heatsClient() {
  return latestWins<HeatsAsk, HeatsReply>(() => new Worker(new URL("./heats.worker.ts", import.meta.url), { type: "module" }));
}
