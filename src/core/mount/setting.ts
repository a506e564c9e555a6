import { type Outline } from "../geometry/outline";
import { steppedOut } from "../geometry/stepped";
import { type Contribution } from "../joint/contribution";
import { type Tie } from "../joint/joint";
import { type Dome } from "../stone/dome";
import { type Stone } from "../stone/stone";
import { type Back } from "./backs/back";
import { BACKS } from "./backs/backs";
import { type SettingDrawing, drawSetting } from "./drawing";
import { type Layer, laid } from "./layers/layer";
import { LAYERS } from "./layers/layers";
import { planWall } from "./plan-wall";
import { calledOf, setStone } from "./set-stone";
import { type Wall } from "./wall";

/** One stone and what holds it, every value settled. */
export interface SettingAsked {
  readonly mount: string;
  readonly stone: Stone;
  readonly outline: Outline;
  readonly tapeOff: number | null;
  readonly dome: Dome;
  readonly wall: Wall;
  readonly back: Back;
  /** Ornament, from the wall outward. */
  readonly layers: readonly Layer[];
  /** Where a carrier meets the outline. */
  readonly carrierPlaces: readonly number[];
}

export interface PlannedSetting {
  readonly contributions: readonly Contribution[];
  readonly tie: Tie;
  /** Its back's extent in mm along a direction given in radians from +x. */
  readonly extent: (direction: number) => number;
  readonly drawing: SettingDrawing;
}

/** Asks stone, wall, back and each layer of ornament in turn, telling each what it needs of its neighbours. */
export function planSetting(asked: SettingAsked): PlannedSetting {
  const { mount, stone, outline, tapeOff, dome, wall, back } = asked;
  const called = calledOf(stone);
  const wallPlan = planWall({ ...asked, stone: called, mohs: stone.material?.mohs ?? null });
  const { standing } = wallPlan;
  const layers = laid(asked.layers, wall.fit.value + wall.thickness);
  const backPlan = BACKS[back.kind].plan({ mount, outline, wall: standing, layers, back });
  const contributions = [
    setStone({ mount, stone, outline, tapeOff, wallThickness: wall.thickness }),
    wallPlan,
    backPlan,
    ...layers.map((layer) => LAYERS[layer.type]!.plan({ mount, outline, layer, wall: standing.part, plate: backPlan.tie.part })),
  ];
  return {
    contributions,
    tie: backPlan.tie,
    extent: (direction) => steppedOut(outline, backPlan.edge).extent(direction),
    drawing: drawSetting({ outline, stone, dome, wall, wallPlan, back, backPlan }),
  };
}
