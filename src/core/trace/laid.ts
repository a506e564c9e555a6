import { type Point } from "../geometry/outline";
import { toMicron } from "../measure/micron";
import { type Free } from "../stone/shapes/free";
import { outlineOfShape } from "../stone/shapes/shapes";
import { type Spot } from "./pixels";

/** A traced outline turned, and what that makes of the picture under it. */
export interface Laid {
  readonly outline: Free;
  /** Where the picture's own middle lies on the outline (mm), and degrees anticlockwise by which the picture is turned. */
  readonly at: Point;
  readonly turn: number;
}

/** A picture's size, and where in it the outline's zero lies (pixels). */
export interface Lying {
  readonly width: number;
  readonly height: number;
  readonly middle: Spot;
  readonly pxPerMm: number;
}

/** Degrees by which an outline is turned so that it is longest along x: of all turns the one of least width. */
export function levelTurn(outline: Free): number {
  const { extent } = outlineOfShape(outline);
  let [best, least] = [0, Infinity];
  const look = (from: number, to: number, step: number) => {
    for (let turn = from; turn <= to + 1e-9; turn += step) {
      const wide = extent(Math.PI / 2 - (turn * Math.PI) / 180);
      if (wide < least - 1e-9) [best, least] = [turn, wide];
    }
  };
  look(-90, 89, 1);
  look(best - 1, best + 1, 0.05);
  return Number(best.toFixed(2));
}

/** An outline turned by so many degrees anticlockwise, again about the middle of its bounding box, begun at its greatest x. */
export function laidBy(outline: Free, turn: number, { width, height, middle, pxPerMm }: Lying): Laid {
  const [cos, sin] = [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)];
  const turned = ([x, y]: Point): Point => [x * cos - y * sin, x * sin + y * cos];
  const picture = turned([(width / 2 - middle[0]) / pxPerMm, (middle[1] - height / 2) / pxPerMm]);
  if (turn === 0) return { outline, at: [toMicron(picture[0]), toMicron(picture[1])], turn };
  const points = outline.points.map(turned);
  const drawn = outlineOfShape({ ...outline, points }).stations;
  const middleOf = (axis: "x" | "y") =>
    (drawn.reduce((a, s) => Math.min(a, s[axis]), Infinity) + drawn.reduce((a, s) => Math.max(a, s[axis]), -Infinity)) / 2;
  const [mx, my] = [middleOf("x"), middleOf("y")];
  const first = points.reduce((best, [x], i) => (x > points[best]![0] ? i : best), 0);
  const moved = [...points.slice(first), ...points.slice(0, first)].map(([x, y]): Point => [toMicron(x - mx), toMicron(y - my)]);
  return { outline: { ...outline, points: moved }, at: [toMicron(picture[0] - mx), toMicron(picture[1] - my)], turn };
}
