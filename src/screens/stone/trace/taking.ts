import { type Mount } from "@/core/piece/piece";
import { laidBy, levelTurn } from "@/core/trace/laid";
import { type OutlineShape } from "@/core/stone/shapes/shapes";
import { type PicturePart, type Spot } from "@/core/trace/pixels";
import { straightened } from "@/core/trace/tilt";
import { type Session } from "@/store/session";
import { smallJpeg } from "@/ui/small-jpeg";
import { traceText } from "@/words/screens/trace";
import { takeTraced } from "../fields";
import { type Tracing } from "./tracing";

/** How much about the stone is kept of its picture, as a share of its size. */
const KEPT_ABOUT = 0.1;

/** Takes the traced outline, or a regular shape in its place, with its picture; says what is wrong with it, or null. */
export async function takePicture(session: Session, mount: Mount, tracing: Tracing, regular?: OutlineShape): Promise<string | null> {
  const { picture, traced, outline, scale, isLevel } = tracing;
  if (!picture || !traced || !outline || !scale) return null;
  const { pxPerMm, tilt } = scale;
  const part = partAbout(traced.line, picture);
  const about: Spot = [part.x + part.width / 2, part.y + part.height / 2];
  const [dx, dy] = straightened([traced.middle[0] - about[0], traced.middle[1] - about[1]], tilt);
  const middle: Spot = [part.width / 2 + dx, part.height / 2 + dy];
  const laid = laidBy(outline, isLevel ? levelTurn(outline) : 0, { width: part.width, height: part.height, middle, pxPerMm });
  const small = await smallJpeg(picture.file, part, tilt);
  if (!small.ok) return traceText.thePicture(small.problem);
  const kept = {
    jpeg: small.jpeg,
    pxPerMm: (pxPerMm * small.width) / part.width,
    at: laid.at,
    ...(laid.turn !== 0 && { turn: laid.turn }),
  };
  const told = takeTraced(session, mount.id, regular ?? laid.outline, kept, picture.isMadeUp);
  return told && traceText.theOutline(told);
}

/** Takes an outline of a drawing; says what is wrong with it, or null. */
export function takeDrawn(session: Session, mount: Mount, outline: OutlineShape): string | null {
  const told = takeTraced(session, mount.id, outline, null, false);
  return told && traceText.theOutline(told);
}

/** The part of a picture about a line in it, in whole pixels. */
function partAbout(line: readonly Spot[], { width, height }: { readonly width: number; readonly height: number }): PicturePart {
  const range = (axis: 0 | 1, most: number) => {
    const values = line.map((spot) => spot[axis]);
    const [low, high] = [values.reduce((a, b) => Math.min(a, b), Infinity), values.reduce((a, b) => Math.max(a, b), -Infinity)];
    const about = (high - low) * KEPT_ABOUT;
    return [Math.max(0, Math.floor(low - about)), Math.min(most, Math.ceil(high + about))] as const;
  };
  const [[left, right], [top, foot]] = [range(0, width), range(1, height)];
  return { x: left, y: top, width: right - left, height: foot - top };
}
