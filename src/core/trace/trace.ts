import { type Point } from "../geometry/outline";
import { convexHull, distanceInside, polygonArea, polygonLength } from "../geometry/polygon";
import { toMicron } from "../measure/micron";
import { type Free } from "../stone/shapes/free";
import { type Coarse, coarseOf, noiseOf, reducedOf } from "./coarse";
import { type FineEdge, edgeLine, finely, followed } from "./edge";
import { withCorners } from "./corners";
import { type Candidate, candidates, candidatesAt } from "./find";
import { keptPoints } from "./keep";
import { borderOf, holds } from "./mask";
import { LEAST_SIDE, type Pixels, type PicturePart, type Spot, partOf } from "./pixels";
import { smoothedLine } from "./profiles";
import { type Outcome, refused } from "./refusal";
import { smoothedCurve } from "./smooth";
import { type Tilt, straightened, tilted } from "./tilt";

/** A run of the edge that hardly stands out: from and to as shares of the way round from the first point. */
export interface Doubtful {
  readonly from: number;
  readonly to: number;
}

export interface Traced {
  readonly outline: Free;
  /** Where the outline's own zero lies in the picture. */
  readonly middle: Spot;
  /** The traced line in the picture, closed, close enough for drawing. */
  readonly line: readonly Spot[];
  /** Root mean square of the edge about the outline (mm). */
  readonly scatter: number;
  readonly doubtful: readonly Doubtful[];
  /** Share of the edge that is doubtful. */
  readonly doubtfulShare: number;
  /** How wide the edge is drawn, from stone to paper (mm). */
  readonly edgeWidth: number;
}

/** How large a picture shows what lies on the paper. */
export interface PictureScale {
  readonly pxPerMm: number;
  /** How the picture was tilted, where a round showed it; its scale is then that of the round's long axis. */
  readonly tilt?: Tilt;
}

export interface TraceRequest extends PictureScale {
  /** A spot inside the stone, where it is not to be found by itself. */
  readonly at?: Spot;
  /** A spot inside something that is not the stone. */
  readonly not?: Spot;
  /** The part of the picture that it lies in. */
  readonly within?: PicturePart;
}

/** Below this an edge cannot be told to a tenth of a millimetre. */
export const LEAST_PX_PER_MM = 6;
/** An edge wider than the larger of these is blurred (mm, pixels). */
const MOST_EDGE_MM = 0.25;
const MOST_EDGE_PX = 2.5;
/** Slopes of so many times the noise's own are clear. */
const CLEAR = 4;
/** A stone's edge is clear along at least this share of it. */
const LEAST_CLEAR = 0.88;

/**
 * The outline of a stone in a picture taken from straight above. It is looked for in blocks, followed by dynamic programming along normals, read
 * where its slope is steepest to a part of a pixel, and freed of noise; see sections 11 and 2 of the formulas.
 */
export function tracePicture(picture: Pixels, { within, ...request }: TraceRequest): Outcome<Traced> {
  if (!within) return traceWhole(picture, request);
  const [dx, dy] = [within.x, within.y];
  const moved = (spot: Spot | undefined): Spot | undefined => spot && [spot[0] - dx, spot[1] - dy];
  const [at, not] = [moved(request.at), moved(request.not)];
  const traced = traceWhole(partOf(picture, within), { ...request, ...(at && { at }), ...(not && { not }) });
  if (!traced.ok) return traced;
  const back = ([x, y]: Spot): Spot => [x + dx, y + dy];
  return { ok: true, value: { ...traced.value, middle: back(traced.value.middle), line: traced.value.line.map(back) } };
}

function traceWhole(picture: Pixels, { at, not, ...scale }: Omit<TraceRequest, "within">): Outcome<Traced> {
  const { pxPerMm } = scale;
  if (pxPerMm < LEAST_PX_PER_MM) return refused("too-coarse", { pxPerMm: Number(pxPerMm.toPrecision(3)), least: LEAST_PX_PER_MM });
  if (Math.min(picture.width, picture.height) < LEAST_SIDE)
    return refused("picture-too-small", { width: picture.width, height: picture.height, least: LEAST_SIDE });
  const found = foundStone(picture, at, not);
  if (!found.ok) return found;
  return traceFrom(picture, found.value, scale, noiseOf(picture));
}

/** The line round the stone of a picture whose scale is not known yet, in pixels; empty where none is clear. */
export function stoneLine(picture: Pixels): readonly Spot[] {
  const found = foundStone(picture);
  return found.ok ? found.value : [];
}

interface Tried {
  readonly candidate: Candidate;
  readonly line: Spot[];
  /** Share of the edge that is clear, and how clear it is on the whole. */
  readonly clearShare: number;
  readonly worth: number;
}

/** The line round the stone, in the picture's own pixels, as near as a reduced picture shows it. */
export function foundStone(whole: Pixels, at?: Spot, not?: Spot): Outcome<readonly Spot[]> {
  const { picture, by } = reducedOf(whole);
  const reduced = (spot: Spot | undefined): Spot | undefined => spot && [spot[0] / by, spot[1] / by];
  const found = stoneIn(picture, reduced(at), reduced(not));
  if (found.ok) return { ok: true, value: found.value.map(([x, y]): Spot => [x * by, y * by]) };
  const { code, values } = found.refusal;
  return refused(code, Object.fromEntries(Object.entries(values).map(([name, value]) => [name, Number(value) * by])));
}

function stoneIn(picture: Pixels, at?: Spot, not?: Spot): Outcome<Spot[]> {
  const noise = noiseOf(picture);
  const coarse = coarseOf(picture);
  const every = at ? candidatesAt(coarse, [at[0] / coarse.block, at[1] / coarse.block]) : candidates(coarse);
  const isOther = ({ mask }: Candidate) => not !== undefined && holds(mask, [not[0] / coarse.block, not[1] / coarse.block]);
  const first = distinct(every.filter((each) => !isOther(each))).map((candidate) => firstLook(picture, coarse, candidate, noise));
  first.sort((a, b) => b.worth - a.worth);
  const tried = first
    .slice(0, MOST_CLOSE)
    .map((each) => CLOSER_LOOKS.reduce((now, look) => looked(picture, coarse, now.candidate, now.line, look, noise), each));
  const clear = tried
    .filter(({ clearShare, line }) => clearShare >= LEAST_CLEAR && !(not && distanceInside(line, not) > 0))
    .sort((a, b) => b.worth - a.worth);
  const [best] = clear;
  if (!best) return refused("no-clear-stone");
  if (best.candidate.onEdge > 0) return refused("cut-by-the-edge", spotOf(best.line));
  const other = at ? undefined : clear.find((each) => each.worth > 0.5 * best.worth && areApart(each.candidate, best.candidate));
  if (other) return refused("two-stones", { ...spotOf(best.line), x2: spotOf(other.line).x, y2: spotOf(other.line).y });
  return { ok: true, value: best.line };
}

/** The pixel a line lies about. */
function spotOf(line: readonly Spot[]): { x: number; y: number } {
  const mean = (axis: 0 | 1) => Math.round(line.reduce((sum, spot) => sum + spot[axis], 0) / line.length);
  return { x: mean(0), y: mean(1) };
}

/** Without those that are all but another of them. */
function distinct(every: readonly Candidate[]): Candidate[] {
  const kept: Candidate[] = [];
  for (const each of every) if (!kept.some((other) => shared(each, other) > 0.99 * Math.max(each.size, other.size))) kept.push(each);
  return kept;
}

function shared(a: Candidate, b: Candidate): number {
  let both = 0;
  for (let i = 0; i < a.mask.bits.length; i++) both += a.mask.bits[i]! & b.mask.bits[i]!;
  return both;
}

function areApart(a: Candidate, b: Candidate): boolean {
  return shared(a, b) < 0.05 * Math.min(a.size, b.size);
}

/** Ways in which a candidate's edge is looked for, in blocks each way: first widely and with few profiles, then closer. */
const FIRST_LOOK = { blocks: 5, profiles: 0.3 } as const;
const CLOSER_LOOKS = [
  { blocks: 3, profiles: 0.45 },
  { blocks: 2, profiles: 0.45 },
] as const;
/** What encloses less than this share of a circle's area, round as far, is a shadow's sickle or a line that folded up. */
const LEAST_COMPACT = 0.25;
/** Of all candidates so many are looked at closely. */
const MOST_CLOSE = 4;

interface Look {
  readonly blocks: number;
  /** Profiles to each place along a profile. */
  readonly profiles: number;
}

/** Whether a spot lies at the picture's own edge: what ends there has no edge of its own. */
function isAtRim([x, y]: Spot, { width, height }: Pixels, block: number): boolean {
  const rim = 2.5 * block;
  return x < rim || y < rim || x > width - rim || y > height - rim;
}

function firstLook(picture: Pixels, coarse: Coarse, candidate: Candidate, noise: number): Tried {
  const border = borderOf(candidate.mask).map(([x, y]): Spot => [x * coarse.block, y * coarse.block]);
  return looked(picture, coarse, candidate, smoothedLine(border, 3), FIRST_LOOK, noise);
}

function looked(picture: Pixels, { block }: Coarse, candidate: Candidate, from: readonly Spot[], look: Look, noise: number): Tried {
  const reach = Math.max(6, look.blocks * block);
  const every = Math.max(1, reach / 20);
  const { edge } = followed(picture, from, { reach, every, apart: Math.max(1.5, every / look.profiles) }, noise);
  const line = smoothedLine(edgeLine(edge), 2);
  const inner = edge.clear.filter((_, i) => !isAtRim(edge.ring.spots[i]!, picture, block));
  const clearShare = inner.reduce((sum, each) => sum + Math.min(1, each / CLEAR), 0) / Math.max(1, inner.length);
  const area = Math.abs(polygonArea(line));
  const around = polygonLength(line);
  const isThin = 4 * Math.PI * area < LEAST_COMPACT * around * around;
  const whole = polygonLength(convexHull(line)) / around;
  return { candidate, line, clearShare: isThin ? 0 : clearShare, worth: isThin ? 0 : clearShare ** 4 * whole ** 2 * area ** 0.25 };
}

/** From a line near the edge to its outline. */
export function traceFrom(picture: Pixels, near: readonly Spot[], scale: PictureScale, noise: number): Outcome<Traced> {
  const { pxPerMm } = scale;
  const apart = Math.max(LEAST_STEP, Math.min(MOST_STEP, pxPerMm * STEP_MM));
  const first = followed(picture, near, { reach: 8, every: 1, apart }, noise);
  const { edge: closer, sides } = followed(
    picture,
    smoothedLine(edgeLine(first.edge), 3),
    { reach: 7, every: 1, apart },
    noise,
    first.sides,
  );
  let line = smoothedLine(edgeLine(closer), 3);
  let edge = finely(picture, line, 3, apart, sides, noise);
  let smooth = smoothedOf(edge);
  edge = finely(picture, smooth.spots, 1.5, apart, sides, noise);
  smooth = smoothedOf(edge);
  const cornered = withCorners(smooth.spots, edge.ring.step, edge.blur);
  line = cornered.spots;
  const width = (2 * edge.blur) / pxPerMm;
  const most = Math.max(MOST_EDGE_MM, MOST_EDGE_PX / pxPerMm);
  if (width > most) return refused("too-blurred", { width, most });
  return { ok: true, value: tracedOf(line, cornered.corners, edge.clear, smooth.scatter, scale, width) };
}

/** How far one reading of the edge is from the next: so many mm, within these numbers of pixels. */
const STEP_MM = 0.05;
const LEAST_STEP = 1.5;
const MOST_STEP = 3;

function smoothedOf(edge: FineEdge) {
  const spots = edgeLine(edge);
  const weights = Float64Array.from(edge.clear, (each) => Math.min(1, (each / (2 * CLEAR)) ** 2));
  return smoothedCurve(spots, weights, edge.ring.normals);
}

function tracedOf(
  line: readonly Spot[],
  corners: readonly number[],
  clear: Float64Array,
  scatter: number,
  { pxPerMm, tilt }: PictureScale,
  edgeWidth: number,
): Traced {
  const straight = line.map((spot) => straightened(spot, tilt));
  const [xs, ys] = [straight.map(([x]) => x), straight.map(([, y]) => y)];
  const [mx, my] = [(Math.min(...xs) + Math.max(...xs)) / 2, (Math.min(...ys) + Math.max(...ys)) / 2];
  const middle = tilted([mx, my], tilt);
  const inMm = straight.map(([x, y]): Point => [(x - mx) / pxPerMm, (my - y) / pxPerMm]);
  const points = keptPoints(inMm, corners).map(([x, y]): Point => [toMicron(x), toMicron(y)]);
  const first = xs.indexOf(Math.max(...xs));
  const n = line.length;
  const isFaint = Array.from({ length: n }, (_, i) => meanClear(clear, (first + i) % n) < CLEAR);
  return {
    outline: { shape: "free", points },
    middle,
    line,
    scatter: scatter / pxPerMm,
    doubtful: runsOf(isFaint),
    doubtfulShare: isFaint.filter(Boolean).length / n,
    edgeWidth,
  };
}

/** Readings each way whose clearness is one verdict. */
const VERDICT = 6;

function meanClear(clear: Float64Array, at: number): number {
  let sum = 0;
  for (let d = -VERDICT; d <= VERDICT; d++) sum += clear[(at + d + clear.length) % clear.length]!;
  return sum / (2 * VERDICT + 1);
}

function runsOf(faint: readonly boolean[]): Doubtful[] {
  const n = faint.length;
  const runs: Doubtful[] = [];
  for (let i = 0; i < n; i++) {
    if (!faint[i] || (i > 0 && faint[i - 1])) continue;
    let to = i;
    while (to < n && faint[to]) to++;
    runs.push({ from: i / n, to: to / n });
  }
  return runs;
}
