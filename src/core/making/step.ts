/** In the order in which cold work is done before any heat. */
export const STEP_STAGES = ["stone", "wall", "plate", "hoop", "bail", "join", "set"] as const;
export type StepStage = (typeof STEP_STAGES)[number];

/** Everything that is done in one step, with the stage it belongs to; the words for each stand in the catalogue. */
export const STAGE_OF = {
  "stone.look": "stone",
  "stone.measure": "stone",
  "wall.anneal": "wall",
  "wall.slit": "wall",
  "wall.cut": "wall",
  "wall.square": "wall",
  "wall.wrap": "wall",
  "wall.try": "wall",
  "wall.foot": "wall",
  "wall.part": "wall",
  "wall.burr": "wall",
  "wall.seat": "wall",
  "wall.fits": "wall",
  "wall.thin": "wall",
  "plate.cut": "plate",
  "plate.stamp": "plate",
  "plate.saw": "plate",
  "plate.drain": "plate",
  "ledge.cut": "plate",
  "ledge.bend": "plate",
  "ledge.flat": "plate",
  "ledge.try": "plate",
  "ornament.twist": "plate",
  "ornament.snip": "plate",
  "ornament.melt": "plate",
  "ornament.cut": "plate",
  "ornament.bend": "plate",
  "ornament.try": "plate",
  "ornament.file": "plate",
  "hoop.cut": "hoop",
  "hoop.square": "hoop",
  "hoop.bend": "hoop",
  "hoop.round": "hoop",
  "hoop.flat": "hoop",
  "hoop.saddle": "hoop",
  "hoop.twist": "hoop",
  "hoop.flatten": "hoop",
  "hoop.taper": "hoop",
  "hoop.drill": "hoop",
  "hoop.slit": "hoop",
  "hoop.lay": "hoop",
  "hoop.spread": "hoop",
  "hoop.wrap": "hoop",
  "hoop.feet": "hoop",
  "hoop.grip": "hoop",
  "hoop.bore": "hoop",
  "hoop.inlay": "hoop",
  "bridge.cut": "hoop",
  "bridge.form": "hoop",
  "bail.cut": "bail",
  "bail.fold": "bail",
  "bail.saw": "bail",
  "bail.wind": "bail",
  "eye.mark": "bail",
  "hang.try": "bail",
  "applied.make": "join",
  "join.finish": "join",
  "join.solder": "join",
  "join.tin": "join",
  "join.fuse": "join",
  "join.pickle": "join",
  "join.cold": "join",
  "set.try": "set",
  "set.height": "set",
  "set.curve": "set",
  "set.surface": "set",
  "set.level": "set",
  "set.push": "set",
  "set.finish": "set",
  "set.burnish": "set",
  "set.polish": "set",
} as const satisfies Readonly<Record<string, StepStage>>;
export type StepCode = keyof typeof STAGE_OF;

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
  | "joint.firm"
  | "joint.noGlue"
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
  /** Parts that it is done to or fitted to beside `part`; one that names none, of a setting or a carrier, is done to all of it. */
  readonly works: readonly string[];
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

type Details = Partial<Pick<Step, "works" | "target" | "second" | "heat" | "reads" | "checks" | "cautions" | "values">>;

/** A step of a part, named by the part and the act. */
export function step(part: string, code: StepCode, details: Details = {}): Step {
  const stage = STAGE_OF[code];
  const act = code.slice(code.indexOf(".") + 1);
  const place = part.endsWith(`.${stage}`) || part === stage ? part : `${part}.${stage}`;
  return {
    id: `${place}.${act}`,
    code,
    part,
    works: [],
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
