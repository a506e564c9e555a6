import { HEARD } from "../latest-wins";
import { answerBeside } from "./handler";
import { type BesideAsk } from "./protocol";

self.onmessage = ({ data }: MessageEvent<BesideAsk>) => {
  self.postMessage(HEARD);
  self.postMessage(answerBeside(data, () => performance.now()));
};
