import { answerFile } from "./handler";
import { type FileAsk } from "./protocol";

self.onmessage = ({ data }: MessageEvent<FileAsk>) => answerFile(data, (reply) => self.postMessage(reply));
