/** What is done in one step; the words for each stand in the catalogue. */
export type StepCode =
  | "stone.look"
  | "stone.measure"
  | "wall.anneal"
  | "wall.slit"
  | "wall.cut"
  | "wall.square"
  | "wall.wrap"
  | "wall.try"
  | "wall.foot"
  | "wall.part"
  | "wall.burr"
  | "wall.seat"
  | "wall.fits"
  | "wall.thin"
  | "plate.cut"
  | "plate.stamp"
  | "plate.saw"
  | "plate.drain"
  | "ledge.cut"
  | "ledge.bend"
  | "ledge.flat"
  | "ledge.try"
  | "ornament.twist"
  | "ornament.snip"
  | "ornament.melt"
  | "ornament.cut"
  | "ornament.bend"
  | "ornament.try"
  | "ornament.file"
  | "hoop.cut"
  | "hoop.square"
  | "hoop.bend"
  | "hoop.round"
  | "hoop.flat"
  | "hoop.saddle"
  | "hoop.twist"
  | "hoop.flatten"
  | "hoop.taper"
  | "hoop.drill"
  | "hoop.slit"
  | "hoop.lay"
  | "hoop.spread"
  | "hoop.wrap"
  | "hoop.feet"
  | "hoop.grip"
  | "hoop.bore"
  | "hoop.inlay"
  | "bridge.cut"
  | "bridge.form"
  | "bail.cut"
  | "bail.fold"
  | "bail.saw"
  | "bail.wind"
  | "eye.mark"
  | "hang.try"
  | "applied.make"
  | "join.finish"
  | "join.solder"
  | "join.tin"
  | "join.fuse"
  | "join.pickle"
  | "join.cold"
  | "set.try"
  | "set.height"
  | "set.curve"
  | "set.surface"
  | "set.level"
  | "set.push"
  | "set.finish"
  | "set.burnish"
  | "set.polish";

export type CheckCode =
  | "stone.sound"
  | "stone.flatBack"
  | "ends.square"
  | "ends.noBurr"
  | "ends.noPinch"
  | "ends.noLight"
  | "edge.parallel"
  | "wall.upright"
  | "wall.passes"
  | "wall.seamLevel"
  | "seat.level"
  | "rim.even"
  | "foot.flat"
  | "plate.room"
  | "joint.bright"
  | "joint.noGap"
  | "joint.allRound"
  | "joint.dropsFlat"
  | "joint.noPits"
  | "joint.sinks"
  | "joint.noFlood"
  | "joint.noVoid"
  | "plate.noLine"
  | "ledge.touches"
  | "ornament.touches"
  | "snippets.equal"
  | "beads.round"
  | "beads.stand"
  | "hoop.round"
  | "hoop.size"
  | "hoop.sitsFlat"
  | "mount.square"
  | "feet.stand"
  | "legs.alike"
  | "edge.even"
  | "bridge.meets"
  | "sleeve.slides"
  | "sleeve.tight"
  | "bail.legs"
  | "eye.seated"
  | "hang.straight"
  | "pickle.noIron"
  | "height.even"
  | "height.follows"
  | "stone.out"
  | "stone.still"
  | "edge.smooth"
  | "parts.reached";

export type CautionCode =
  | "torch"
  | "pickle"
  | "flux"
  | "saw"
  | "dust"
  | "wheel"
  | "sulphur"
  | "hotMetal"
  | "noMoreHeat"
  | "charcoal"
  | "softStone"
  | "sealed"
  | "glue";

/** In the order in which cold work is done before any heat. */
export const STEP_STAGES = ["stone", "wall", "plate", "hoop", "bail", "join", "set"] as const;
export type StepStage = (typeof STEP_STAGES)[number];

/** What a figure is read as: a strip or blank as it is cut, a wall before its seam and after, as it stands, a hoop's size, a stock's thickness. */
export type ReadingKind = "strip" | "strip-height" | "wall-open" | "wall-closed" | "wall-height" | "blank" | "size" | "thickness";

/** Something that a step asks to be read off the metal. */
export interface AskedReading {
  readonly figure: string;
  readonly kind: ReadingKind;
  /** The setting whose it is; null where it is the hoop's. */
  readonly mount: string | null;
}

export interface Step {
  /** Stable for a piece: part and act, never a running number. */
  readonly id: string;
  readonly code: StepCode;
  /** A setting, a part or a joint that it is done to. */
  readonly part: string;
  /** Other parts that it is fitted to. */
  readonly fits: readonly string[];
  readonly stage: StepStage;
  /** Figure to cut or measure to. */
  readonly target: string | null;
  /** The figure beside it, where it is cut to two. */
  readonly second: string | null;
  /** Number of the heat, from 0. */
  readonly heat: number | null;
  /** What is read off the metal once it is done. */
  readonly reads: readonly AskedReading[];
  readonly checks: readonly CheckCode[];
  readonly cautions: readonly CautionCode[];
  /** Names and numbers that its sentence speaks of. */
  readonly values: Readonly<Record<string, string | number | readonly string[]>>;
}

type Details = Partial<Pick<Step, "fits" | "target" | "second" | "heat" | "reads" | "checks" | "cautions" | "values">>;

/** A step of a part, named by the part and the act. */
export function step(part: string, code: StepCode, stage: StepStage, details: Details = {}): Step {
  const act = code.slice(code.indexOf(".") + 1);
  const place = part.endsWith(`.${stage}`) || part === stage ? part : `${part}.${stage}`;
  return {
    id: `${place}.${act}`,
    code,
    part,
    fits: [],
    stage,
    target: null,
    second: null,
    heat: null,
    reads: [],
    checks: [],
    cautions: [],
    values: {},
    ...details,
  };
}

/** The work at one joint. */
export interface JointWork {
  /** What is made ready before it is heated. */
  readonly before: readonly Step[];
  readonly lookedFor: readonly CheckCode[];
  /** Cautions beside those of every heat. */
  readonly cautions?: readonly CautionCode[];
  /** What is looked at and worked once it is out of the pickle. */
  readonly after: readonly Step[];
  /** What is worked once this and every other joint with the same step has been made. */
  readonly afterAll?: readonly Step[];
}
