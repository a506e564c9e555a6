import { type Point } from "../geometry/outline";
import { domeCurve } from "../stone/dome";
import { type OutlineShape, outlineOfShape } from "../stone/shapes/shapes";
import { type MadeUp, type Thing } from "./made-up";

/** A photograph that nobody took: a stone as a camera would show it, with the outline it was drawn by. */
export interface Photograph {
  readonly id: string;
  readonly name: string;
  readonly outline: OutlineShape;
  readonly made: MadeUp;
  /** What it is from its base to its top, and the picture that shows it from the side. */
  readonly side: StandingStone;
  readonly fromSide: MadeUp;
}

interface StandingStone {
  readonly height: number;
  readonly turnIn: { readonly left: number; readonly right: number };
  readonly dome: number;
}

/** Points a shape's outline is drawn by: far finer than a pixel. */
const DRAWN_BY = 3000;

function lying(shape: OutlineShape, turn: number, at: Point, looks: Omit<Thing, "outline">): Thing {
  const outline = outlineOfShape(shape);
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const points = Array.from({ length: DRAWN_BY }, (_, i): Point => {
    const { x, y } = outline.stationAt(i / DRAWN_BY);
    return [x * cos - y * sin + at[0], x * sin + y * cos + at[1]];
  });
  return { ...looks, outline: points };
}

const PAPER = { tint: [226, 224, 218], lines: [176, 190, 222], pitch: 5, line: 0.35, turn: 0.012 } as const;

interface Shot {
  readonly id: string;
  readonly name: string;
  readonly seed: number;
  readonly outline: OutlineShape;
  readonly turn: number;
  readonly at: Point;
  readonly looks: Omit<Thing, "outline">;
  readonly side: StandingStone;
}

/** A standing stone's outline from the side, its middle at zero: upright to where it leans in, then its dome. */
export function standing({ height, turnIn, dome }: StandingStone, radius: number): Point[] {
  const curve = (side: 1 | -1, at: number) =>
    domeCurve({ radius, turnIn: at, height, exponent: dome }, DRAWN_BY / 4).map(({ x, y }): Point => [side * x, y - height / 2]);
  return [[-radius, -height / 2], [radius, -height / 2], ...curve(1, turnIn.right), ...curve(-1, turnIn.left).reverse().slice(1)];
}

/** Each at 25 pixels a millimetre, on squared paper of 5 mm, in light from the window at the upper left. */
function shot({ id, name, seed, outline, turn, at, looks, side }: Shot): Photograph {
  const made: MadeUp = {
    seed,
    width: 1000,
    height: 800,
    pxPerMm: 25,
    things: [lying(outline, turn, at, looks)],
    paper: PAPER,
    uneven: 0.22,
    lightFrom: 2.3,
    shadow: { strength: 0.4, reach: 0.8, soft: 0.35 },
    noise: 3,
    blur: 1.1,
  };
  const { highlight: _above, ...fromBeside } = looks;
  const silhouette = standing(side, outlineOfShape(outline).extent(0) / 2);
  const fromSide: MadeUp = { ...made, seed: seed + 100, things: [{ ...fromBeside, outline: silhouette }] };
  return { id, name, outline, made, side, fromSide };
}

/** A moss agate as the shore left it. */
const SALTGRASS: OutlineShape = {
  shape: "free",
  points: [
    [13.3, -1.2],
    [12.6, 4.1],
    [9.0, 7.2],
    [4.6, 9.6],
    [-0.6, 11.6],
    [-5.6, 10.2],
    [-9.4, 6.2],
    [-12.2, 1.6],
    [-13.3, -3.4],
    [-11.4, -8.4],
    [-7.2, -11.4],
    [-1.6, -10.3],
    [3.6, -9.3],
    [8.2, -9.1],
    [11.6, -5.9],
  ],
};

export const MADE_UP_PICTURES: readonly Photograph[] = [
  shot({
    id: "saltgrass",
    name: "moss agate, free-form",
    seed: 11,
    outline: SALTGRASS,
    turn: 0,
    at: [0.6, -0.3],
    looks: { tint: [74, 142, 102], stripes: { tint: [46, 92, 66], pitch: 3.2, turn: 0.8 }, highlight: { at: [-4.5, 4.5], reach: 1.3 } },
    side: { height: 5.8, turnIn: { left: 2.6, right: 2.1 }, dome: 2.1 },
  }),
  shot({
    id: "ember",
    name: "carnelian, pear",
    seed: 12,
    outline: { shape: "pear", length: 19, width: 13 },
    turn: 1.1,
    at: [-1.5, 0.8],
    looks: { tint: [178, 78, 44], highlight: { at: [-3.2, 3.1], reach: 1.1 } },
    side: { height: 5.2, turnIn: { left: 1.9, right: 1.6 }, dome: 1.9 },
  }),
  shot({
    id: "shallows",
    name: "chrysocolla, oval",
    seed: 13,
    outline: { shape: "oval", length: 22, width: 16 },
    turn: 0.35,
    at: [1.4, 0.5],
    looks: { tint: [92, 172, 168], stripes: { tint: [70, 134, 140], pitch: 4.4, turn: 2.2 }, highlight: { at: [-2, 3.5], reach: 1.4 } },
    side: { height: 6.4, turnIn: { left: 2.4, right: 2.4 }, dome: 2.0 },
  }),
  shot({
    id: "night",
    name: "onyx, cushion",
    seed: 14,
    outline: { shape: "cushion", length: 17, width: 14, exponent: 3.2 },
    turn: 0.1,
    at: [0, -0.8],
    looks: { tint: [44, 42, 48], highlight: { at: [-3, 2.4], reach: 1.0 } },
    side: { height: 4.6, turnIn: { left: 2.2, right: 2.3 }, dome: 2.6 },
  }),
];
