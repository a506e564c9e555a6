import { type MeasureKind } from "../measure/stone-measures";

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
  "wall.drill": "wall",
  "wall.gaps": "wall",
  "wall.teeth": "wall",
  "wall.wrap": "wall",
  "wall.press": "wall",
  "wall.try": "wall",
  "wall.foot": "wall",
  "wall.part": "wall",
  "wall.dome": "wall",
  "wall.burr": "wall",
  "wall.seat": "wall",
  "wall.fits": "wall",
  "wall.thin": "wall",
  "plate.texture": "plate",
  "plate.cut": "plate",
  "plate.stamp": "plate",
  "plate.dome": "plate",
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
  "hoop.texture": "hoop",
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
  "hoop.ends": "hoop",
  "hoop.feet": "hoop",
  "hoop.grip": "hoop",
  "hoop.bore": "hoop",
  "hoop.inlay": "hoop",
  "hoop.inset": "set",
  "hoop.wood": "set",
  "bridge.cut": "hoop",
  "bridge.form": "hoop",
  "bail.cut": "bail",
  "bail.fold": "bail",
  "bail.saw": "bail",
  "bail.wind": "bail",
  "eye.mark": "bail",
  "hang.try": "bail",
  "link.wind": "bail",
  "link.close": "set",
  "earwire.cut": "bail",
  "earwire.bend": "bail",
  "post.cut": "bail",
  "post.mark": "bail",
  "post.harden": "bail",
  "applied.snip": "join",
  "applied.make": "join",
  "join.finish": "join",
  "join.prepare": "join",
  "join.solder": "join",
  "join.tin": "join",
  "join.fuse": "join",
  "join.pickle": "join",
  "join.check": "join",
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
  | "teeth.alike"
  | "notch.pressed"
  | "wall.upright"
  | "wall.passes"
  | "wall.seamLevel"
  | "seat.level"
  | "rim.even"
  | "foot.flat"
  | "foot.onDome"
  | "dome.even"
  | "plate.room"
  | "joint.clean"
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
  | "ends.round"
  | "wood.sealed"
  | "bail.legs"
  | "eye.seated"
  | "hang.straight"
  | "wire.smooth"
  | "bows.alike"
  | "post.square"
  | "post.firm"
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
  | "hammerFlat"
  | "glue";

/**
 * What a figure is read as: a measure of the stone, a strip or blank as it is cut, a wall before its seam and after, as it stands, a hoop's size, a
 * stock's thickness.
 */
export type ReadingKind =
  | `stone-${MeasureKind}`
  | "stone-tape"
  | "stone-leans"
  | "stone-height"
  | "strip"
  | "strip-height"
  | "wall-open"
  | "wall-closed"
  | "wall-height"
  | "blank"
  | "size"
  | "thickness";

/** Something that a step asks to be read off the metal. */
export interface AskedReading {
  readonly figure: string;
  readonly kind: ReadingKind;
  /** The setting whose it is; null where it is the hoop's. */
  readonly mount: string | null;
  /** What the piece has it as (mm), where it is read off what is there and not worked to. */
  readonly planned?: number;
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
  /** The joints that a heat makes, for each of its steps; none for any other step. */
  readonly joints: readonly string[];
  /** What is read off the metal once it is done. */
  readonly reads: readonly AskedReading[];
  readonly checks: readonly CheckCode[];
  readonly cautions: readonly CautionCode[];
  /** Names and numbers that its sentence speaks of. */
  readonly values: Readonly<Record<string, string | number | readonly string[]>>;
}

type Details = Partial<Pick<Step, "works" | "target" | "second" | "heat" | "joints" | "reads" | "checks" | "cautions" | "values">>;

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
    joints: [],
    reads: [],
    checks: [],
    cautions: [],
    values: {},
    ...details,
  };
}

/** What is done in each step of a heat, as it stands in its id and in the entries of a make. */
const HEAT_ACTS = {
  "join.prepare": "prepare",
  "join.solder": "heat",
  "join.fuse": "heat",
  "join.pickle": "pickle",
  "join.check": "check",
} as const satisfies Readonly<Partial<Record<StepCode, string>>>;
export type HeatCode = keyof typeof HEAT_ACTS;

/** One step of a heat for all the joints it makes. Its id is its first-listed joint's. */
export function heatStep(joints: readonly [string, ...string[]], heat: number, code: HeatCode, details: Details = {}): Step {
  return { ...step(joints[0], code, { joints, heat, ...details }), id: entryOf(joints[0], code) };
}

/** What a make lists once a joint's part in a step of its heat is done: named by the joint, so that heats planned anew lose no tick. */
export function entryOf(joint: string, code: HeatCode): string {
  return `${joint}.${HEAT_ACTS[code]}`;
}

function isOfHeat(code: StepCode): code is HeatCode {
  return code in HEAT_ACTS;
}

/** What a make lists once a step is done: its id; of a heat's step an entry for each of its joints. */
export function entriesOf({ id, code, joints }: Pick<Step, "id" | "code" | "joints">): readonly string[] {
  return isOfHeat(code) ? joints.map((joint) => entryOf(joint, code)) : [id];
}

/** Those of them that stand for one joint; none where a step is of no heat, or of one that does not make it. */
export function entriesFor({ code, joints }: Pick<Step, "code" | "joints">, joint: string): readonly string[] {
  return isOfHeat(code) && joints.includes(joint) ? [entryOf(joint, code)] : [];
}

/** Whether solder is melted in a step, or metal fused. */
export function isHeating({ code }: Pick<Step, "code">): boolean {
  return isOfHeat(code) && HEAT_ACTS[code] === "heat";
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
  /** What closes it, once all else is done, where it only hangs in something and is neither soldered nor glued. */
  readonly link?: Step;
}
