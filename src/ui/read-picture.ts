import { type PicturePart } from "@/core/trace/pixels";
import { type Tilt, straightened } from "@/core/trace/tilt";
import { readPictureText } from "@/words/ui";

/** A file larger than this is no picture that a camera takes (bytes), and one with more points holds up the page while it is read. */
const MOST_BYTES = 30_000_000;
const MOST_POINTS = 60_000_000;

export type ReadPicture = { readonly ok: true; readonly picture: ImageBitmap } | { readonly ok: false; readonly problem: string };

/** A picture, or a part of it, no longer than `longest` px on a side, or what is wrong with it. The browser reads and scales it off the main thread. */
export async function readPicture(file: Blob, longest: number, part?: PicturePart): Promise<ReadPicture> {
  if (file.size > MOST_BYTES)
    return { ok: false, problem: readPictureText.hasMbUseAPicture(Math.round(file.size / 1e6), MOST_BYTES / 1e6) };
  const size = await sizeOf(file);
  if (size && size.width * size.height > MOST_POINTS) {
    const mega = Math.round((size.width * size.height) / 1e6);
    return { ok: false, problem: readPictureText.hasMegapixelsUseAPicture(mega, MOST_POINTS / 1e6) };
  }
  const picture = size && (await bitmapOf(file, part ?? { x: 0, y: 0, ...size }, longest).catch(() => null));
  return picture ? { ok: true, picture } : { ok: false, problem: readPictureText.isNotAPictureThat };
}

function bitmapOf(file: Blob, { x, y, width, height }: PicturePart, longest: number): Promise<ImageBitmap> {
  return createImageBitmap(file, x, y, width, height, scaledTo({ width, height }, longest));
}

interface Size {
  readonly width: number;
  readonly height: number;
}

function scaledTo({ width, height }: Size, longest: number): ImageBitmapOptions {
  const scale = Math.min(1, longest / Math.max(width, height));
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

/** A canvas with the picture on it, its tilt undone about its middle; the picture is let go. */
export function drawn(picture: ImageBitmap, tilt?: Tilt): HTMLCanvasElement {
  const canvas = document.createElement("canvas");
  canvas.width = picture.width;
  canvas.height = picture.height;
  const context = canvas.getContext("2d");
  const [[a, b], [c, d]] = [straightened([1, 0], tilt), straightened([0, 1], tilt)];
  const [x, y] = [picture.width / 2, picture.height / 2];
  context?.setTransform(a, b, c, d, x - a * x - c * y, y - b * x - d * y);
  context?.drawImage(picture, 0, 0);
  picture.close();
  return canvas;
}
