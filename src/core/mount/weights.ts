import { type Loop, type Outline, type Point } from "../geometry/outline";
import { type Rim, rimOf } from "../geometry/rim";
import { type Dome } from "../stone/dome";
import { type Stone } from "../stone/stone";
import { stoneWeight } from "../stone/weight";
import { type Back, type BackPlan } from "./backs/back";
import { type LayerPlan } from "./layers/layer";
import { type WallPlan } from "./wall";

/** Something that hangs with the rest: what it weighs in g, and where it balances in the setting's plane (mm). */
export interface Weight {
  readonly part: string;
  readonly mass: number;
  readonly at: Point;
}

/** A setting as it is hung up: how far its edge lies outside the outline, and all that pulls. */
export interface Hung {
  readonly outline: Outline;
  readonly edge: Rim;
  /** How thick its back is (mm). */
  readonly base: number;
  readonly weights: readonly Weight[];
  /** Whether the stone's weight is a guess, for nobody said what it is. */
  readonly isGuess: boolean;
}

interface Built {
  readonly mount: string;
  readonly stone: Stone;
  readonly outline: Outline;
  readonly back: Back;
  readonly dome: Dome;
  readonly wallPlan: WallPlan;
  readonly backPlan: BackPlan;
  /** Its back's edge. */
  readonly rim: Loop;
  readonly layerPlans: readonly LayerPlan[];
}

/** The stone at its outline's centre, wall and ledge at their middle line's, a plate at its own area's, ornament at its line's. */
export function hungFrom({ mount, stone, outline, back: { own }, dome, wallPlan, backPlan, rim, layerPlans }: Built): Hung {
  const { mass, isGuess } = stoneWeight(stone, outline, dome);
  const round = wallPlan.stock.middle.balance().line;
  const back = backPlan.ledge ? round : rim.balance().area;
  const weigh = (parts: LayerPlan["parts"], at: Point) => parts.map((part): Weight => ({ part: part.id, mass: part.mass, at }));
  return {
    // What hangs by a plate of its own hangs by that one's edge.
    ...(own ? { outline: own, edge: rimOf(own, [{ from: 0, to: 1, out: 0 }], 0) } : { outline, edge: backPlan.rim }),
    base: backPlan.base,
    isGuess,
    weights: [
      { part: `${mount}.stone`, mass, at: outline.centre },
      ...weigh(wallPlan.parts, round),
      ...weigh(backPlan.parts, back),
      ...layerPlans.flatMap(({ parts, drawn }) => weigh(parts, middleOf(drawn.middles))),
    ],
  };
}

/** Where wires that lie along some lines balance. */
function middleOf(lines: readonly (readonly Point[])[]): Point {
  let [whole, x, y] = [0, 0, 0];
  for (const line of lines) {
    for (let i = 1; i < line.length; i++) {
      const [[ax, ay], [bx, by]] = [line[i - 1]!, line[i]!];
      const length = Math.hypot(bx - ax, by - ay);
      whole += length;
      x += ((ax + bx) / 2) * length;
      y += ((ay + by) / 2) * length;
    }
  }
  return [x / whole, y / whole];
}
