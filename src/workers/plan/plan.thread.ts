import { parentPort } from "node:worker_threads";
import { answerPlan } from "./handler";
import { READY } from "./pool";

parentPort!.on("message", (bytes: Uint8Array) => parentPort!.postMessage(answerPlan(bytes, () => performance.now())));
parentPort!.postMessage(READY);
