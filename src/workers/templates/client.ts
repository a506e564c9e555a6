import { latestWins } from "../latest-wins";
import { type PrintAsk, type PrintReply } from "./protocol";

/** Templates laid out for printing in a worker. */
export function printClient() {
  return latestWins<PrintAsk, PrintReply>(() => new Worker(new URL("./templates.worker.ts", import.meta.url), { type: "module" }));
}
