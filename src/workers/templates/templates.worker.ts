import { templatesPdf } from "@/formats/templates/pdf";
import { HEARD } from "../latest-wins";
import { type PrintAsk } from "./protocol";

self.onmessage = ({ data }: MessageEvent<PrintAsk>) => {
  self.postMessage(HEARD);
  void templatesPdf(data.templates, data.print).then(
    (bytes) => self.postMessage(bytes),
    (error: unknown) =>
      setTimeout(() => {
        throw error;
      }),
  );
};
