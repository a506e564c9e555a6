import { HEARD } from "../latest-wins";
import { answerBeside } from "./handler";
import { type PlanJob } from "./protocol";

self.onmessage = ({ data }: MessageEvent<PlanJob>) => {
  self.postMessage(HEARD);
  self.postMessage(answerBeside(data, () => performance.now()));
};
