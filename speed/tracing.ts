import { contours } from "d3";
import { type Point } from "@/core/geometry/outline";
import { distanceToPolygon, polygonArea } from "@/core/geometry/polygon";
import { outlineOfShape } from "@/core/stone/shapes/shapes";
import { madeUpPicture, spotOf } from "@/core/trace/made-up";
import { MADE_UP_PICTURES } from "@/core/trace/made-up-pictures";
import { tracePicture } from "@/core/trace/trace";
import { row } from "./measure";

const [WIDTH, HEIGHT, PX_PER_MM] = [4000, 3000, 100] as const;
const made = { ...MADE_UP_PICTURES[0]!.made, width: WIDTH, height: HEIGHT, pxPerMm: PX_PER_MM, noise: 2 };
const truth = made.things[0]!.outline.map((point) => spotOf(made, point));
const picture = madeUpPicture(made);

/** What a contour of the whole picture is drawn over: how green it is. */
const GREEN = 22;

function traced(): readonly Point[] {
  const found = tracePicture(picture, { pxPerMm: PX_PER_MM });
  if (!found.ok) throw new Error(`not traced: ${found.refusal.code}`);
  const { outline, middle } = found.value;
  return outlineOfShape(outline).stations.map(({ x, y }): Point => [middle[0] + x * PX_PER_MM, middle[1] - y * PX_PER_MM]);
}

function contoured(): readonly Point[] {
  const values = new Float32Array(WIDTH * HEIGHT);
  for (let i = 0; i < values.length; i++) values[i] = 2 * picture.data[i * 4 + 1]! - picture.data[i * 4]! - picture.data[i * 4 + 2]!;
  const [contour] = contours().size([WIDTH, HEIGHT]).thresholds([GREEN])(values as unknown as number[]);
  const rings = contour!.coordinates.map((polygon) => polygon[0]! as unknown as Point[]);
  return rings.reduce((largest, ring) => (Math.abs(polygonArea(ring)) > Math.abs(polygonArea(largest)) ? ring : largest));
}

/** Root mean square of a line about the true one (mm). */
function error(line: readonly Point[]): string {
  const every = Math.max(1, Math.floor(line.length / 400));
  const off = line.filter((_, i) => i % every === 0).map((spot) => distanceToPolygon(truth, spot) / PX_PER_MM);
  return Math.sqrt(off.reduce((sum, each) => sum + each * each, 0) / off.length).toFixed(4);
}

/** The best of three, and how far the process grew meanwhile (ms, MB). */
function timed(run: () => readonly Point[]): { ms: number; mb: number; line: readonly Point[] } {
  const before = process.resourceUsage().maxRSS;
  let best = Infinity;
  let line: readonly Point[] = [];
  for (let i = 0; i < 3; i++) {
    const start = performance.now();
    line = run();
    best = Math.min(best, performance.now() - start);
  }
  return { ms: best, mb: (process.resourceUsage().maxRSS - before) / 1024, line };
}

const ours = timed(traced);
const whole = timed(contoured);
row(
  "a photograph of 12 megapixels, traced",
  ours.ms,
  "ms",
  `off by ${error(ours.line)} mm; the process grew by ${ours.mb.toFixed(0)} MB; target under 40`,
);
row(
  "the same by one contour of every pixel",
  whole.ms,
  "ms",
  `off by ${error(whole.line)} mm; grew by ${whole.mb.toFixed(0)} MB; ${(whole.ms / ours.ms).toFixed(1)} times as long, target 4`,
);
