import { latestWins } from "../latest-wins";
import { type BesideAsk, type BesideReply } from "./protocol";

/** Whole plans worked out beside the page. */
export function besideClient() {
  return latestWins<BesideAsk, BesideReply>(() => new Worker(new URL("./beside.worker.ts", import.meta.url), { type: "module" }));
}
