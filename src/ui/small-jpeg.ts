/** Longest side of a picture that is kept (px), and the most it takes in base64 (a making holds at most 300 kB of each). */
const LONGEST = 1200;
const MOST = 400_000;
const QUALITIES = [0.82, 0.7, 0.55, 0.4, 0.25] as const;

/** A picture made small: JPEG in base64; null where it cannot be read as one. */
export async function smallJpeg(file: Blob): Promise<string | null> {
  const picture = await createImageBitmap(file).catch(() => null);
  if (!picture) return null;
  const scale = Math.min(1, LONGEST / Math.max(picture.width, picture.height));
  const canvas = document.createElement("canvas");
  canvas.width = Math.max(1, Math.round(picture.width * scale));
  canvas.height = Math.max(1, Math.round(picture.height * scale));
  const paper = canvas.getContext("2d");
  if (!paper) return null;
  paper.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  for (const quality of QUALITIES) {
    const jpeg = canvas.toDataURL("image/jpeg", quality).split(",")[1]!;
    if (jpeg.length <= MOST) return jpeg;
  }
  return null;
}
