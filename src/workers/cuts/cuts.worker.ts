import { HEARD } from "../latest-wins";
import { answerCuts } from "./handler";
import { type CutsAsk } from "./protocol";

self.onmessage = ({ data }: MessageEvent<CutsAsk>) => {
  self.postMessage(HEARD);
  self.postMessage(answerCuts(data));
};
