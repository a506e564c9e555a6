import { HEARD } from "../latest-wins";
import { answerHeats } from "./handler";
import { type HeatsAsk } from "./protocol";

self.onmessage = ({ data }: MessageEvent<HeatsAsk>) => {
  self.postMessage(HEARD);
  self.postMessage(answerHeats(data, () => performance.now()));
};
