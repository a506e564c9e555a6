import jsQR from "jsqr";
import { type CodesAsk, type CodesReply } from "./protocol";

/** Looks for a code in a picture, dark on light or light on dark. */
export function readCode({ data, width, height }: CodesAsk): CodesReply {
  const found = jsQR(data, width, height, { inversionAttempts: "attemptBoth" });
  return { bytes: found ? Uint8Array.from(found.binaryData) : null };
}
