import { latestWins } from "../latest-wins";
import { type PlanJob, type BesideReply } from "./protocol";

/** Whole plans worked out beside the page. */
export function planWorkerClient() {
  return latestWins<PlanJob, BesideReply>(() => new Worker(new URL("./plan.worker.ts", import.meta.url), { type: "module" }));
}
