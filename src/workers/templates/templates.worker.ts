import { templatesPdf } from "@/formats/templates/pdf";
import { type PrintAsk } from "./protocol";

self.onmessage = ({ data }: MessageEvent<PrintAsk>) => {
  void templatesPdf(data.templates, data.print).then(
    (bytes) => self.postMessage(bytes),
    (error: unknown) =>
      setTimeout(() => {
        throw error;
      }),
  );
};
