import { readFileSync, statSync } from "node:fs";
import { fault } from "@/core/piece/fault";
import { type OutlineShape, outlineOfShape } from "@/core/stone/shapes/shapes";
import { type TraceRefusal } from "@/core/trace/refusal";
import { tracePicture } from "@/core/trace/trace";
import { MOST_DRAWING_BYTES, readDrawing } from "@/formats/drawings/drawing";
import { outlineFile } from "@/formats/outline-file";
import { MOST_PICTURE_BYTES } from "@/formats/pictures/head";
import { type LeftOut, leftOutText } from "@/words/drawings";
import { Misused, Refused, argsOf, command, fileText, fromHere } from "./files";
import { picturePixels } from "./picture";

const USAGE = "usage: npm run --silent trace -- PICTURE --scale PX_PER_MM [--at X,Y] [--json], or an SVG, DXF or CSV file without --scale";

interface Found {
  readonly outline: OutlineShape;
  readonly scatter: number | null;
  readonly leftOut: readonly LeftOut[];
}

await command("outline", async (args) => {
  const { file, given } = argsOf(args, USAGE, ["--scale", "--at"], ["--json"]);
  const found = given.has("--scale") ? await fromPicture(file, given) : fromDrawing(file);
  return given.has("--json") ? `${JSON.stringify(outlineFile(found.outline, found.scatter, found.leftOut), null, 2)}\n` : lines(found);
});

async function fromPicture(file: string, given: ReadonlyMap<string, string>): Promise<Found> {
  const pxPerMm = Number(given.get("--scale"));
  if (!(pxPerMm > 0) || !Number.isFinite(pxPerMm)) throw new Misused(USAGE);
  const at = given.get("--at")?.split(",").map(Number);
  if (at && !(at.length === 2 && at.every(Number.isFinite))) throw new Misused(USAGE);
  const pixels = await picturePixels(bytesOf(file));
  if (!pixels.ok) throw refusedFor(pixels.refusal, file);
  const traced = tracePicture(pixels.value, { pxPerMm, ...(at && { at: [at[0]!, at[1]!] as const }) });
  if (!traced.ok) throw refusedFor(traced.refusal, file);
  return { outline: traced.value.outline, scatter: traced.value.scatter, leftOut: [] };
}

function bytesOf(file: string): Buffer {
  try {
    if (statSync(fromHere(file)).size > MOST_PICTURE_BYTES)
      throw refusedFor({ code: "picture-too-large", values: { width: 0, height: 0, limit: MOST_PICTURE_BYTES } }, file);
    return readFileSync(fromHere(file));
  } catch (error) {
    if (error instanceof Error && "code" in error) throw new Misused(`cannot read ${file.slice(0, 200)}: ${String(error.code)}`);
    throw error;
  }
}

function fromDrawing(file: string): Found {
  const read = readDrawing(file, fileText(file, MOST_DRAWING_BYTES));
  if (!read.ok) throw refusedFor(read.refusal, file);
  const [largest, ...rest] = read.value.outlines;
  const leftOut = read.value.leftOut.filter(({ code }) => code !== "smaller");
  const smaller = rest.length + read.value.leftOut.filter(({ code }) => code === "smaller").reduce((sum, { count }) => sum + count, 0);
  return { outline: largest!.outline, scatter: null, leftOut: smaller > 0 ? [...leftOut, { code: "smaller", count: smaller }] : leftOut };
}

function refusedFor({ code, values }: TraceRefusal, file: string): Refused {
  return new Refused([fault("", code, values)], file);
}

function lines({ outline, scatter, leftOut }: Found): string {
  const { perimeter, area, extent } = outlineOfShape(outline);
  const points = outline.shape === "free" ? `, ${outline.points.length} points` : "";
  return [
    `Shape     ${outline.shape}${points}`,
    `Size      ${extent(0).toFixed(2)} x ${extent(Math.PI / 2).toFixed(2)} mm`,
    `Round it  ${perimeter.toFixed(2)} mm`,
    `Face      ${area.toFixed(1)} mm2`,
    ...(scatter === null ? [] : [`Scatter   ${scatter.toFixed(3)} mm`]),
    ...leftOut.map((each) => `Left out  ${leftOutText(each)}`),
    "",
  ].join("\n");
}
