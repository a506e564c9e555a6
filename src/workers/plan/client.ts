import { latestWins } from "../latest-wins";
import { type PlanJob, type BesideReply } from "./protocol";

/** Whole plans computed in a worker. */
export function planWorkerClient() {
  return latestWins<PlanJob, BesideReply>(() => new Worker(new URL("./plan.worker.ts", import.meta.url), { type: "module" }));
}
