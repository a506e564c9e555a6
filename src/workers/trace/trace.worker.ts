import { type Pixels } from "@/core/trace/pixels";
import { type Outcome, refused } from "@/core/trace/refusal";
import { pictureHead } from "@/formats/pictures/head";
import { HEARD } from "../latest-wins";
import { answerTrace } from "./handler";
import { type AskedPicture, type TraceAsk, type TraceReply } from "./protocol";

/** The picture decoded last, so that a second question of it does not decode it again. */
let last: { readonly id: number; readonly pixels: Pixels } | null = null;

self.onmessage = ({ data }: MessageEvent<TraceAsk>) => {
  self.postMessage(HEARD);
  void answerTrace(data, { pixelsOf, fileOf }).then(
    (reply: TraceReply) => self.postMessage(reply),
    (error: unknown) =>
      setTimeout(() => {
        throw error;
      }),
  );
};

async function pixelsOf({ id, file }: AskedPicture): Promise<Outcome<Pixels>> {
  if (last?.id === id) return { ok: true, value: last.pixels };
  const head = pictureHead(new Uint8Array(await file.arrayBuffer()));
  if (!head.ok) return head;
  const bitmap = await createImageBitmap(file).catch(() => null);
  if (!bitmap) return refused("picture-cut-short");
  const { width, height } = bitmap;
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext("2d", { willReadFrequently: true });
  if (!context) return refused("picture-cut-short");
  context.drawImage(bitmap, 0, 0);
  bitmap.close();
  const pixels = { width, height, data: context.getImageData(0, 0, width, height).data };
  last = { id, pixels };
  return { ok: true, value: pixels };
}

async function fileOf({ width, height, data }: Pixels): Promise<Blob> {
  const canvas = new OffscreenCanvas(width, height);
  canvas.getContext("2d")?.putImageData(new ImageData(Uint8ClampedArray.from(data), width, height), 0, 0);
  return canvas.convertToBlob({ type: "image/jpeg", quality: 0.9 });
}
