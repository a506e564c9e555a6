import { HEARD } from "../latest-wins";
import { readCode } from "./handler";
import { type CodesAsk } from "./protocol";

self.onmessage = ({ data }: MessageEvent<CodesAsk>) => {
  self.postMessage(HEARD);
  self.postMessage(readCode(data));
};
