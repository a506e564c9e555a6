import exifr from "exifr";
import jpeg from "jpeg-js";
import { PNG } from "pngjs";
import { type Pixels } from "@/core/trace/pixels";
import { type Outcome, refused } from "@/core/trace/refusal";
import { turned } from "@/core/trace/turned";
import { MOST_PIXELS, pictureHead } from "@/formats/pictures/head";

/** A PNG or JPEG file as pixels, turned as its camera noted it. */
export async function picturePixels(bytes: Buffer): Promise<Outcome<Pixels>> {
  const head = pictureHead(bytes);
  if (!head.ok) return head;
  try {
    if (head.value.type === "png") {
      const { width, height, data } = PNG.sync.read(bytes);
      return { ok: true, value: { width, height, data } };
    }
    if (head.value.type === "jpeg") {
      const options = { useTArray: true, tolerantDecoding: false, maxResolutionInMP: MOST_PIXELS / 1e6, maxMemoryUsageInMB: 1024 } as const;
      const pixels = jpeg.decode(bytes, options);
      return { ok: true, value: turned(pixels, (await exifr.orientation(bytes)) ?? 1) };
    }
  } catch {
    return refused("picture-cut-short");
  }
  return refused("not-a-picture", { kinds: "a PNG or a JPEG" });
}
