import { latestWins } from "../latest-wins";
import { type CutsAsk, type CutsReply } from "./protocol";

/** Cuts laid in a worker. */
export function cutsClient() {
  return latestWins<CutsAsk, CutsReply>(() => new Worker(new URL("./cuts.worker.ts", import.meta.url), { type: "module" }));
}
