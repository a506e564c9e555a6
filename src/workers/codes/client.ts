import { latestWins } from "../latest-wins";
import { type CodesAsk, type CodesReply } from "./protocol";

/** Codes looked for in pictures, in a worker. */
export function codesClient() {
  return latestWins<CodesAsk, CodesReply>(() => new Worker(new URL("./codes.worker.ts", import.meta.url), { type: "module" }));
}
