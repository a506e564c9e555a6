import { coarseOf } from "@/core/trace/coarse";
import { madeUpPicture } from "@/core/trace/made-up";
import { type Pixels } from "@/core/trace/pixels";
import { type Outcome } from "@/core/trace/refusal";
import { roundIn } from "@/core/trace/round";
import { sideOf } from "@/core/trace/side";
import { squaresIn } from "@/core/trace/squares";
import { stoneLine, tracePicture } from "@/core/trace/trace";
import { MADE_UP_PICTURES } from "@/core/trace/made-up-pictures";
import { readDrawing } from "@/formats/drawings/drawing";
import { type AskedPicture, type TraceAsk, type TraceReply } from "./protocol";

/** What only a worker of the browser can do. */
export interface PictureFiles {
  readonly pixelsOf: (picture: AskedPicture) => Promise<Outcome<Pixels>>;
  readonly fileOf: (pixels: Pixels) => Promise<Blob>;
}

/** Answers one question of a picture or a drawing. */
export async function answerTrace(ask: TraceAsk, files: PictureFiles): Promise<TraceReply> {
  if (ask.kind === "made-up") {
    const picture = MADE_UP_PICTURES[ask.number % MADE_UP_PICTURES.length]!;
    return { kind: "made-up", file: await files.fileOf(madeUpPicture(ask.view === "side" ? picture.fromSide : picture.made)) };
  }
  if (ask.kind === "drawing") {
    const read = readDrawing(ask.name, ask.text);
    return read.ok ? { kind: "drawing", drawing: read.value } : { kind: "refused", refusal: read.refusal };
  }
  if (ask.kind === "side") {
    const side = sideOf(ask.outline);
    return side.ok ? { kind: "side", reading: side.value } : { kind: "refused", refusal: side.refusal };
  }
  const pixels = await files.pixelsOf(ask.picture);
  if (!pixels.ok) return { kind: "refused", refusal: pixels.refusal };
  if (ask.kind === "picture") {
    const { width, height } = pixels.value;
    return { kind: "picture", width, height, squares: squaresIn(coarseOf(pixels.value), stoneLine(pixels.value)) };
  }
  if (ask.kind === "round") {
    const round = roundIn(pixels.value, ask.at);
    return round.ok ? { kind: "round", round: round.value } : { kind: "refused", refusal: round.refusal };
  }
  const traced = tracePicture(pixels.value, ask.request);
  return traced.ok ? { kind: "stone", traced: traced.value } : { kind: "refused", refusal: traced.refusal };
}
