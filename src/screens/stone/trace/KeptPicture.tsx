"use client";

import { type StonePicture } from "@/core/stone/stone";
import { pictureHead } from "@/formats/pictures/head";

/** What an outline was traced from, where it lies under it; in the frame of the drawing, mm and y upward. */
export function KeptPicture({ picture }: { readonly picture: StonePicture }) {
  const size = sizeOf(picture);
  if (!size) return null;
  const [wide, tall] = [size.width / picture.pxPerMm, size.height / picture.pxPerMm];
  return (
    <g transform={`translate(${picture.at[0]} ${picture.at[1]}) rotate(${picture.turn ?? 0}) scale(1 -1)`} pointerEvents="none">
      <image
        href={`data:image/jpeg;base64,${picture.jpeg}`}
        x={-wide / 2}
        y={-tall / 2}
        width={wide}
        height={tall}
        preserveAspectRatio="none"
      />
    </g>
  );
}

const sizes = new WeakMap<StonePicture, { readonly width: number; readonly height: number } | null>();

/** Its pixels, as its head says; null for what is no picture. */
function sizeOf(picture: StonePicture): { readonly width: number; readonly height: number } | null {
  const known = sizes.get(picture);
  if (known !== undefined) return known;
  const head = pictureHead(bytesOf(picture.jpeg));
  const size = head.ok ? head.value : null;
  sizes.set(picture, size);
  return size;
}

function bytesOf(base64: string): Uint8Array {
  try {
    return Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0));
  } catch {
    return new Uint8Array();
  }
}
