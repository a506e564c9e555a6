import { mkdirSync, readFileSync, writeFileSync } from "node:fs";
import jpeg from "jpeg-js";
import { toMicron } from "@/core/measure/micron";
import { laidBy } from "@/core/trace/laid";
import { madeUpPicture } from "@/core/trace/made-up";
import { MADE_UP_PICTURES } from "@/core/trace/made-up-pictures";
import { type Pixels, partOf } from "@/core/trace/pixels";
import { tracePicture } from "@/core/trace/trace";

const FOLDER = "demo/photographs";
/** The piece whose stone was traced from the first of them. */
const TRACED = "demo/pieces/saltgrass-pendant.json";
const QUALITY = { whole: 82, kept: 60 } as const;
/** How much about the stone is kept of its picture (pixels). */
const ABOUT = 40;

/** Writes the shipped photographs, which nobody took, and the demo's traced stone with its picture. */
mkdirSync(FOLDER, { recursive: true });
for (const { id, made, fromSide } of MADE_UP_PICTURES) {
  writeFileSync(`${FOLDER}/${id}.jpg`, encoded(madeUpPicture(made), QUALITY.whole));
  writeFileSync(`${FOLDER}/${id}-side.jpg`, encoded(madeUpPicture(fromSide), QUALITY.whole));
}

const [{ made }] = MADE_UP_PICTURES as [(typeof MADE_UP_PICTURES)[number]];
const picture = jpeg.decode(encoded(madeUpPicture(made), QUALITY.whole), { useTArray: true });
const traced = tracePicture(picture, { pxPerMm: made.pxPerMm });
if (!traced.ok) throw new Error(`not traced: ${traced.refusal.code}`);
const { line, middle, outline } = traced.value;
const [xs, ys] = [line.map(([x]) => x), line.map(([, y]) => y)];
const [x, y] = [Math.floor(Math.min(...xs)) - ABOUT, Math.floor(Math.min(...ys)) - ABOUT];
const part = { x, y, width: Math.ceil(Math.max(...xs)) + ABOUT - x, height: Math.ceil(Math.max(...ys)) + ABOUT - y };
const laid = laidBy(outline, 0, { ...part, middle: [middle[0] - x, middle[1] - y], pxPerMm: made.pxPerMm });
const piece = JSON.parse(readFileSync(TRACED, "utf8")) as { mounts: [{ stone: object }] };
piece.mounts[0].stone = {
  ...piece.mounts[0].stone,
  outline: laid.outline,
  picture: { jpeg: encoded(partOf(picture, part), QUALITY.kept).toString("base64"), pxPerMm: toMicron(made.pxPerMm), at: laid.at },
};
writeFileSync(TRACED, `${JSON.stringify(piece, null, 2)}\n`);

function encoded({ width, height, data }: Pixels, quality: number): Buffer {
  return jpeg.encode({ width, height, data }, quality).data;
}
