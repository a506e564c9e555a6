import { parentPort } from "node:worker_threads";
import { answerPlan } from "./handler";

parentPort!.on("message", (bytes: Uint8Array) => parentPort!.postMessage(answerPlan(bytes, () => performance.now())));
