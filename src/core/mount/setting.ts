import { type Outline, type Point, withinOne } from "../geometry/outline";
import { distanceInside } from "../geometry/polygon";
import { type Contribution, NOTHING } from "../joint/contribution";
import { type Finding, finding } from "../measure/finding";
import { tolerance } from "../measure/tolerances";
import { type Tie } from "../joint/joint";
import { type Dome } from "../stone/dome";
import { type Stone } from "../stone/stone";
import { type Back, type BackPlan, type Band, type SharedPlate } from "./backs/back";
import { BACKS } from "./backs/backs";
import { type SettingDrawing, drawSetting } from "./drawing";
import { type LaidLayer, type Layer, laid } from "./layers/layer";
import { LAYERS } from "./layers/layers";
import { planWall } from "./plan-wall";
import { calledOf, setStone } from "./set-stone";
import { type Wall, type WallPlan } from "./wall";
import { type Hung, hungFrom } from "./weights";

/** One stone and what holds it, every value settled. */
export interface SettingAsked {
  readonly mount: string;
  readonly stone: Stone;
  /** The stone's, where it lies in the setting's plane; turned there by so many radians. */
  readonly outline: Outline;
  readonly turn: number;
  /** Where its middle lies in that plane, and whose plate it stands on. */
  readonly middle: Point;
  readonly host: string;
  /** The plate of another setting that it stands on; null where its back is its own. */
  readonly on: SharedPlate | null;
  readonly tapeOff: number | null;
  readonly dome: Dome;
  readonly wall: Wall;
  readonly back: Back;
  /** Ornament, from the wall outward. */
  readonly layers: readonly Layer[];
  /** Where a carrier meets the outline. */
  readonly carrierPlaces: readonly number[];
  /** Where it lies across the back; null where it does not. */
  readonly band: Band | null;
}

export interface PlannedSetting {
  readonly contributions: readonly Contribution[];
  readonly tie: Tie;
  /** Its back's extent in mm along a direction given in radians from +x. */
  readonly extent: (direction: number) => number;
  /** mm that a carrier can be let into it. */
  readonly thickness: number;
  /** The plate that others may stand on; null where they cannot. */
  readonly plate: SharedPlate | null;
  /** How far a point of its plane lies inside its edge, in mm. */
  readonly inside: (point: Point) => number;
  /** As it is hung up; weighed when it is asked for. */
  readonly hung: () => Hung;
  readonly drawing: SettingDrawing;
}

/** Asks stone, wall, back and each layer of ornament in turn, telling each what it needs of its neighbours. */
export function planSetting(asked: SettingAsked): PlannedSetting {
  const { mount, stone, outline, tapeOff, dome, wall, back } = asked;
  const called = calledOf(stone);
  const wallPlan = planWall({ ...asked, stone: called, mohs: stone.material?.mohs ?? null });
  const { standing } = wallPlan;
  const layers = laid(asked.layers, wall.fit.value + wall.thickness);
  const taken = [...asked.carrierPlaces, ...(wallPlan.seamAt === null ? [] : [wallPlan.seamAt])];
  const { losses } = wall;
  const isTenderToWater = stone.material?.tender?.includes("water") ?? false;
  const backPlan = BACKS[back.kind].plan({
    mount,
    outline,
    turn: asked.turn,
    on: asked.on,
    wall: standing,
    layers,
    back,
    losses,
    taken,
    band: asked.band,
    isTenderToWater,
  });
  const layerPlans = layers.map((layer) =>
    LAYERS[layer.type].plan({
      mount,
      outline,
      layer,
      wall: standing,
      onto: backPlan.tie.part,
      finishing: backPlan.finishing,
      losses,
      taken,
    }),
  );
  const rim = backPlan.rim.loop;
  const cushion = cushionOf(wall, wallPlan, backPlan);
  const drawing = drawSetting({
    ...{ outline, turn: asked.turn, middle: asked.middle, host: asked.host, stone, dome, wall, wallPlan, back, backPlan, rim, cushion },
    layers: layerPlans.map(({ drawn }) => drawn),
  });
  const contributions = [
    setStone({
      ...{ mount, stone, outline, tapeOff, wallThickness: wall.thickness, top: drawing.top },
      ...{ cushion, isPointed: wallPlan.isPointed, isTube: wall.source === "tube" },
    }),
    wallPlan,
    backPlan,
    ...layerPlans,
    { ...NOTHING, findings: offPlate(mount, layers, backPlan) },
  ];
  return {
    contributions,
    tie: backPlan.tie,
    thickness: backPlan.thickness,
    plate: backPlan.plate,
    inside: (point) => distanceInside(rim.points(), point),
    hung: () => hungFrom({ mount, stone, outline, back, dome, wallPlan, backPlan, rim, layerPlans }),
    extent: rim.extent,
    drawing,
  };
}

/** What a stone stands above the metal under it: its ledge, what its seat leaves of a tube, or the back. */
function cushionOf({ lift }: Wall, { shelf }: WallPlan, { ledge }: BackPlan): number {
  if (shelf) return 0;
  const over = lift.value - (ledge?.height ?? 0);
  return over > tolerance.sameLength ? over : 0;
}

/** Ornament that lies outside what it is to be soldered to: round a cup or an open back, where there is no plate under it. A tight wire holds by itself. */
function offPlate(mount: string, layers: readonly LaidLayer[], { rim }: BackPlan): Finding[] {
  return layers.flatMap(({ id, start, width, extent, tight }) => {
    if (tight > 0) return [];
    const under = Math.min(...extent.map(({ from, to }) => rim.outAt(withinOne((from + to) / 2))));
    const over = start + width - under;
    return over > tolerance.sameLength ? [finding("ornament.off-plate", "warning", `${mount}.ornament.${id}`, { over }, mount)] : [];
  });
}
