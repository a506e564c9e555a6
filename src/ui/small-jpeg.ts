import { smallJpegText } from "@/words/ui";
import { type PicturePart } from "@/core/trace/pixels";
import { type Tilt } from "@/core/trace/tilt";
import { drawn, readPicture } from "./read-picture";

/** Longest side of a picture that is kept (px), and the most it takes in base64 (a making holds at most 300 kB of each). */
const LONGEST = 1200;
const MOST = 400_000;
const QUALITIES = [0.82, 0.7, 0.55, 0.4, 0.25] as const;

export type SmallJpeg =
  { readonly ok: true; readonly jpeg: string; readonly width: number } | { readonly ok: false; readonly problem: string };

/** A picture, or a part of it, made small and straight: JPEG in base64 and how wide that is, or what is wrong with it. */
export async function smallJpeg(file: Blob, part?: PicturePart, tilt?: Tilt): Promise<SmallJpeg> {
  const read = await readPicture(file, LONGEST, part);
  if (!read.ok) return read;
  const { width } = read.picture;
  const canvas = drawn(read.picture, tilt);
  for (const quality of QUALITIES) {
    const jpeg = await base64Of(canvas, quality);
    if (jpeg !== null && jpeg.length <= MOST) return { ok: true, jpeg, width };
  }
  return { ok: false, problem: smallJpegText.couldNotBeMadeSmall };
}

function base64Of(canvas: HTMLCanvasElement, quality: number): Promise<string | null> {
  return new Promise((resolve) =>
    canvas.toBlob(
      (blob) => {
        if (!blob) return resolve(null);
        const reader = new FileReader();
        reader.onload = () => resolve(typeof reader.result === "string" ? (reader.result.split(",")[1] ?? null) : null);
        reader.readAsDataURL(blob);
      },
      "image/jpeg",
      quality,
    ),
  );
}
