import { type CodesAsk } from "@/workers/codes/protocol";
import { QUIET, codeSquares } from "./code-squares";

/** Something that takes pictures. A real one stands behind the same. */
export interface Camera {
  /** Whether it only stands in for a real one: then the screen says so. */
  readonly isStandIn: boolean;
  takePicture(): Promise<CodesAsk>;
}

/** Points to a square in a picture of the stand-in. */
const POINTS = 4;

/** A camera that ships with the program: it sees the codes it is given, one in each picture. They are fetched for the first. */
export function standInCamera(load: () => Promise<readonly Uint8Array[]>): Camera {
  let codes: readonly Uint8Array[] = [];
  let next = 0;
  return {
    isStandIn: true,
    takePicture: async () => {
      if (codes.length === 0) codes = await load();
      next += 1;
      return pictureOf(codes[(next - 1) % codes.length]!);
    },
  };
}

/** A code as a picture of it. */
export function pictureOf(code: Uint8Array): CodesAsk {
  const { side, isDark } = codeSquares(code);
  const width = (side + 2 * QUIET) * POINTS;
  const data = new Uint8ClampedArray(width * width * 4).fill(255);
  for (let y = 0; y < width; y += 1) {
    for (let x = 0; x < width; x += 1) {
      const [column, row] = [Math.floor(x / POINTS) - QUIET, Math.floor(y / POINTS) - QUIET];
      const isOn = column >= 0 && row >= 0 && column < side && row < side && isDark(column, row);
      if (isOn) data.fill(0, 4 * (y * width + x), 4 * (y * width + x) + 3);
    }
  }
  return { width, height: width, data };
}
