import { create } from "qrcode";

/** The squares of a code, dark or light, row by row; `side` of them in a row. */
export interface CodeSquares {
  readonly side: number;
  readonly isDark: (x: number, y: number) => boolean;
}

export function codeSquares(bytes: Uint8Array): CodeSquares {
  const { modules } = create([{ data: Uint8ClampedArray.from(bytes), mode: "byte" }], { errorCorrectionLevel: "M" });
  return { side: modules.size, isDark: (x, y) => modules.get(y, x) === 1 };
}

/** A reader wants so many light squares round a code. */
export const QUIET = 4;
