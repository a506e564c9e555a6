import { LEAST_SIDE } from "@/core/trace/pixels";
import { type Outcome, refused } from "@/core/trace/refusal";

/** What a picture file says of itself before it is decoded. */
export interface PictureHead {
  readonly type: "png" | "jpeg" | "webp";
  /** Pixels, as stored: not yet turned. */
  readonly width: number;
  readonly height: number;
}

/** No picture is decoded that has more pixels, or more on a side. */
export const MOST_PIXELS = 24_000_000;
export const MOST_SIDE = 12_000;
/** No file of one is larger. */
export const MOST_PICTURE_BYTES = 60 * 1024 * 1024;

/** Reads a picture's kind and size from its first bytes, and looks whether its end is there. Nothing is decoded. */
export function pictureHead(bytes: Uint8Array): Outcome<PictureHead> {
  if (bytes.length > MOST_PICTURE_BYTES) return refused("picture-too-large", { width: 0, height: 0, limit: MOST_PICTURE_BYTES });
  const head = pngHead(bytes) ?? jpegHead(bytes) ?? webpHead(bytes);
  if (!head) return refused("not-a-picture", { kinds: "a PNG, a JPEG or a WebP" });
  if (!head.isWhole) return refused("picture-cut-short");
  const { type, width, height } = head;
  if (width * height > MOST_PIXELS || Math.max(width, height) > MOST_SIDE)
    return refused("picture-too-large", { width, height, limit: MOST_SIDE });
  if (Math.min(width, height) < LEAST_SIDE) return refused("picture-too-small", { width, height, least: LEAST_SIDE });
  return { ok: true, value: { type, width, height } };
}

interface Found extends PictureHead {
  readonly isWhole: boolean;
}

function starts(bytes: Uint8Array, at: number, with_: readonly number[]): boolean {
  return with_.every((byte, i) => bytes[at + i] === byte);
}

function text(word: string): number[] {
  return [...word].map((letter) => letter.charCodeAt(0));
}

/** The signature, then the block IHDR; the last block is IEND. */
function pngHead(bytes: Uint8Array): Found | null {
  if (!starts(bytes, 0, [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a])) return null;
  const view = viewOf(bytes);
  if (bytes.length < 33) return { type: "png", width: 0, height: 0, isWhole: false };
  const end = bytes.length - 12;
  return { type: "png", width: view.getUint32(16), height: view.getUint32(20), isWhole: starts(bytes, end + 4, text("IEND")) };
}

const [MARK, START, END, SCAN] = [0xff, 0xd8, 0xd9, 0xda];

/** Segments up to the frame's, which says the size; the file ends with the mark of its end, zeros after it aside. */
function jpegHead(bytes: Uint8Array): Found | null {
  if (!starts(bytes, 0, [MARK, START, MARK])) return null;
  const view = viewOf(bytes);
  const cut = { type: "jpeg", width: 0, height: 0, isWhole: false } as const;
  for (let at = 2; at + 9 < bytes.length;) {
    if (bytes[at] !== MARK) return cut;
    const mark = bytes[at + 1]!;
    if (mark === MARK) at++;
    else if (isFrame(mark)) return { type: "jpeg", width: view.getUint16(at + 7), height: view.getUint16(at + 5), isWhole: hasEnd(bytes) };
    else if (mark === SCAN) return cut;
    else at += 2 + view.getUint16(at + 2);
  }
  return cut;
}

/** C0 to CF, but for tables (C4, CC) and C8. */
function isFrame(mark: number): boolean {
  return mark >= 0xc0 && mark <= 0xcf && mark !== 0xc4 && mark !== 0xc8 && mark !== 0xcc;
}

/** Cameras may put more behind the picture: its end is looked for in the last half of the file. */
function hasEnd(bytes: Uint8Array): boolean {
  for (let at = bytes.length - 2; at > bytes.length / 2; at--) if (bytes[at] === MARK && bytes[at + 1] === END) return true;
  return false;
}

/** RIFF, its length, WEBP, then a block VP8, VP8L or VP8X. */
function webpHead(bytes: Uint8Array): Found | null {
  if (!starts(bytes, 0, text("RIFF")) || !starts(bytes, 8, text("WEBP"))) return null;
  if (bytes.length < 31) return { type: "webp", width: 0, height: 0, isWhole: false };
  const view = viewOf(bytes);
  const isWhole = view.getUint32(4, true) + 8 <= bytes.length;
  const at24 = (at: number) => (view.getUint32(at, true) & 0xffffff) + 1;
  if (starts(bytes, 12, text("VP8X"))) return { type: "webp", width: at24(24), height: at24(27), isWhole };
  if (starts(bytes, 12, text("VP8L"))) {
    const packed = view.getUint32(21, true);
    return { type: "webp", width: (packed & 0x3fff) + 1, height: ((packed >> 14) & 0x3fff) + 1, isWhole };
  }
  return { type: "webp", width: view.getUint16(26, true) & 0x3fff, height: view.getUint16(28, true) & 0x3fff, isWhole };
}

function viewOf(bytes: Uint8Array): DataView {
  return new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
}
