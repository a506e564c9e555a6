import { smallJpegText } from "@/words/ui"; /** Longest side of a picture that is kept (px), and the most it takes in base64 (a making holds at most 300 kB of each). */
const LONGEST = 1200;
const MOST = 400_000;
const QUALITIES = [0.82, 0.7, 0.55, 0.4, 0.25] as const;
/** A file larger than this is no picture that a camera takes (bytes), and one with more points holds up the page while it is read. */
const MOST_BYTES = 30_000_000;
const MOST_POINTS = 60_000_000;

export type SmallJpeg = { readonly ok: true; readonly jpeg: string } | { readonly ok: false; readonly problem: string };

/** A picture made small: JPEG in base64, or what is wrong with it. The browser reads and scales it off the main thread. */
export async function smallJpeg(file: Blob): Promise<SmallJpeg> {
  if (file.size > MOST_BYTES) return { ok: false, problem: smallJpegText.hasMbUseAPicture(Math.round(file.size / 1e6), MOST_BYTES / 1e6) };
  const size = await sizeOf(file);
  if (size && size.width * size.height > MOST_POINTS) {
    const mega = Math.round((size.width * size.height) / 1e6);
    return { ok: false, problem: smallJpegText.hasMegapixelsUseAPicture(mega, MOST_POINTS / 1e6) };
  }
  const picture = size && (await createImageBitmap(file, scaledTo(size)).catch(() => null));
  if (!picture) return { ok: false, problem: smallJpegText.isNotAPictureThat };
  const canvas = document.createElement("canvas");
  canvas.width = picture.width;
  canvas.height = picture.height;
  canvas.getContext("2d")?.drawImage(picture, 0, 0);
  picture.close();
  for (const quality of QUALITIES) {
    const jpeg = await base64Of(canvas, quality);
    if (jpeg !== null && jpeg.length <= MOST) return { ok: true, jpeg };
  }
  return { ok: false, problem: smallJpegText.couldNotBeMadeSmall };
}

interface Size {
  readonly width: number;
  readonly height: number;
}

function scaledTo({ width, height }: Size): ImageBitmapOptions {
  const scale = Math.min(1, LONGEST / Math.max(width, height));
  const at = (side: number) => Math.max(1, Math.round(side * scale));
  return { resizeWidth: at(width), resizeHeight: at(height), resizeQuality: "medium" };
}

/** Its size as its head tells it, before any point of it is read; null for what is no picture. */
function sizeOf(file: Blob): Promise<Size | null> {
  const address = URL.createObjectURL(file);
  const picture = new Image();
  return new Promise<Size | null>((resolve) => {
    picture.onload = () => resolve({ width: picture.naturalWidth, height: picture.naturalHeight });
    picture.onerror = () => resolve(null);
    picture.src = address;
  }).finally(() => URL.revokeObjectURL(address));
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
