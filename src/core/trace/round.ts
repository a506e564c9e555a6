import { polygonArea, polygonCentre } from "../geometry/polygon";
import { noiseOf } from "./coarse";
import { type Pixels, type Spot } from "./pixels";
import { type Outcome, refused } from "./refusal";
import { type Tilt } from "./tilt";
import { foundStone, traceFrom } from "./trace";

/** A round thing as a picture shows it: an ellipse, in pixels. */
export interface Round {
  readonly middle: Spot;
  /** Its long axis: the diameter at the scale of what is not foreshortened. */
  readonly across: number;
  readonly tilt: Tilt;
}

/** A picture that is tilted more hides a stone's edge behind its dome. */
export const LEAST_RATIO = 0.97;
/** What lies further from an ellipse is no round (root mean square, a share of its radius). */
const MOST_OFF = 0.02;
/** The edge of a coin is read as finely as a stone's at this scale (pixels a mm). */
const READ_AS = 40;

/** The round thing at a spot, a coin or a washer: its axes are those of the ellipse with its area's second moments. */
export function roundIn(picture: Pixels, at: Spot): Outcome<Round> {
  const found = foundStone(picture, at);
  if (!found.ok) return found;
  const edge = traceFrom(picture, found.value, { pxPerMm: READ_AS }, noiseOf(picture));
  if (!edge.ok) return edge;
  const { line } = edge.value;
  const middle = polygonCentre(line);
  const { xx, xy, yy } = secondMoments(line, middle);
  const spread = Math.hypot((xx - yy) / 2, xy);
  const [long, short] = [2 * Math.sqrt((xx + yy) / 2 + spread), 2 * Math.sqrt((xx + yy) / 2 - spread)];
  const turn = Math.atan2(2 * xy, xx - yy) / 2;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const off = line.map(([x, y]) => {
    const [u, v] = [x - middle[0], y - middle[1]];
    return Math.hypot((u * cos + v * sin) / long, (v * cos - u * sin) / short) - 1;
  });
  const ratio = short / long;
  if (Math.sqrt(off.reduce((sum, each) => sum + each * each, 0) / off.length) > MOST_OFF) return refused("not-a-round");
  if (ratio < LEAST_RATIO) return refused("too-tilted", { ratio, least: LEAST_RATIO });
  return { ok: true, value: { middle, across: 2 * long, tilt: { ratio, turn } } };
}

/** Mean squares and product of the distances of an area's places from its middle. */
function secondMoments(points: readonly Spot[], [mx, my]: Spot): { readonly xx: number; readonly xy: number; readonly yy: number } {
  let [xx, xy, yy] = [0, 0, 0];
  points.forEach(([px, py], i) => {
    const [qx, qy] = points[(i + 1) % points.length]!;
    const [ax, ay, bx, by] = [px - mx, py - my, qx - mx, qy - my];
    const cross = ax * by - bx * ay;
    xx += (cross * (ax * ax + ax * bx + bx * bx)) / 12;
    yy += (cross * (ay * ay + ay * by + by * by)) / 12;
    xy += (cross * (2 * ax * ay + ax * by + bx * ay + 2 * bx * by)) / 24;
  });
  const area = polygonArea(points);
  return { xx: xx / area, xy: xy / area, yy: yy / area };
}
