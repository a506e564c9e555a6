import { type BuiltKind, type Joint } from "../joint/joint";
import { type Metal } from "../metal/metals";
import { type Tenderness, isSoft } from "../stone/stone";

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
  | "hoop.cut"
  | "hoop.square"
  | "hoop.bend"
  | "hoop.round"
  | "hoop.flat"
  | "hoop.saddle"
  | "join.finish"
  | "join.solder"
  | "join.fuse"
  | "join.pickle"
  | "set.try"
  | "set.height"
  | "set.surface"
  | "set.level"
  | "set.push"
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
  | "plate.noLine"
  | "hoop.round"
  | "hoop.size"
  | "hoop.sitsFlat"
  | "mount.square"
  | "pickle.noIron"
  | "height.even"
  | "stone.out"
  | "stone.still"
  | "edge.smooth"
  | "parts.reached";

export type CautionCode =
  "torch" | "pickle" | "flux" | "saw" | "dust" | "wheel" | "sulphur" | "hotMetal" | "noMoreHeat" | "charcoal" | "softStone" | "sealed";

export type StepStage = "stone" | "wall" | "plate" | "hoop" | "join" | "set";

export interface Step {
  /** Stable for a piece: part and act, never a running number. */
  readonly id: string;
  readonly code: StepCode;
  readonly stage: StepStage;
  /** Figure to cut or measure to. */
  readonly target: string | null;
  /** The figure beside it, where it is cut to two. */
  readonly second: string | null;
  /** Number of the heat, from 0. */
  readonly heat: number | null;
  readonly checks: readonly CheckCode[];
  readonly cautions: readonly CautionCode[];
  /** Names and numbers that its sentence speaks of. */
  readonly values: Readonly<Record<string, string | number | readonly string[]>>;
}

export interface MakingMount {
  readonly id: string;
  readonly stone: string;
  readonly tender: readonly Tenderness[];
  readonly mohs: number | null;
  readonly wallMetal: Metal;
  readonly wallThickness: number;
  readonly madeFrom: "strip" | "tube" | "cup";
  /** Whether a burr cuts its seat, or its rim is thinned: of a tube or a cup. */
  readonly isBored: boolean;
  readonly isThinned: boolean;
  readonly style: "flush" | "border";
}

export interface MakingHeat {
  readonly joints: readonly Joint[];
  readonly grade: string;
  readonly fuses: boolean;
}

export interface Making {
  readonly mounts: readonly MakingMount[];
  /** What is filed so that the mounts sit on the hoop; null without a hoop. */
  readonly seat: "flat" | "saddle" | null;
  readonly heats: readonly MakingHeat[];
}

/** Above this a hand pusher no longer moves a wall (mm). */
export const HAND_PUSHER = 0.4;

/** What a patina and the wet tumbling after it do to a stone that is tender to it. */
const PATINA_HARMS: ReadonlySet<Tenderness> = new Set(["water", "acid", "sulphur"]);

/**
 * The piece's making in order: what each heat needs is made ready before it, what it leaves is looked at and cleaned
 * after it, and the stones are set when there is no more heat.
 */
export function makingSteps(making: Making): Step[] {
  const { mounts, heats } = making;
  const stones = mounts.flatMap((mount) => [
    step(mount.id, "stone.look", "stone", { checks: ["stone.sound", "stone.flatBack"], values: { stone: mount.stone } }),
    step(mount.id, "stone.measure", "stone", { target: `${mount.id}.outline.perimeter`, values: { stone: mount.stone } }),
  ]);
  const readyMade = mounts.flatMap(ofReadyMade);
  const ready = new Set<string>();
  const work = heats.flatMap((heat, index) => [
    ...heat.joints.flatMap((joint) => once(ready, BEFORE[joint.kind](joint, making))),
    ...heated(heat, index, index === heats.length - 1),
    ...heat.joints.flatMap((joint) => AFTER[joint.kind](joint, making)),
  ]);
  return [...stones, ...readyMade, ...work, ...mounts.flatMap(setting)];
}

/** A tube or a cup is made ready cold, before any heat. */
function ofReadyMade({ id, madeFrom, stone, isBored, isThinned }: MakingMount): Step[] {
  const values = { stone };
  const thin = isThinned ? [step(id, "wall.thin", "wall", { target: `${id}.wall.thin`, checks: ["rim.even"], values })] : [];
  if (madeFrom === "cup")
    return [step(id, "wall.fits", "wall", { target: `${id}.wall.cupLength`, checks: ["wall.passes"], values }), ...thin];
  if (madeFrom !== "tube") return [];
  return [
    step(id, "wall.part", "wall", { target: `${id}.wall.cutHeight`, checks: ["ends.square"], cautions: ["saw"] }),
    ...(isBored
      ? [
          step(id, "wall.burr", "wall", { target: `${id}.wall.seatBore`, values }),
          step(id, "wall.seat", "wall", { target: `${id}.wall.seatDepth`, checks: ["seat.level"], cautions: ["saw"], values }),
        ]
      : [step(id, "wall.try", "wall", { checks: ["wall.passes"] })]),
    step(id, "wall.foot", "wall", { checks: ["foot.flat"], values: { madeFrom } }),
  ];
}

type Details = Partial<Pick<Step, "target" | "second" | "heat" | "checks" | "cautions" | "values">>;

function step(part: string, code: StepCode, stage: StepStage, details: Details = {}): Step {
  const act = code.slice(code.indexOf(".") + 1);
  const place = part.endsWith(`.${stage}`) || part === stage ? part : `${part}.${stage}`;
  return { id: `${place}.${act}`, code, stage, target: null, second: null, heat: null, checks: [], cautions: [], values: {}, ...details };
}

function once(seen: Set<string>, steps: readonly Step[]): Step[] {
  return steps.filter(({ id }) => !seen.has(id) && seen.add(id));
}

type Ready = (joint: Joint, making: Making) => Step[];

function settingOf({ id, mount }: Joint, { mounts }: Making): MakingMount {
  const setting = mounts.find((each) => each.id === mount);
  if (!setting) throw new RangeError(`${id} is a joint of no setting`);
  return setting;
}

/** What is made ready before each kind of joint is heated. */
const BEFORE: Readonly<Record<BuiltKind, Ready>> = {
  seam: (joint, making) => (joint.mount === null ? hoopReady() : stripReady(settingOf(joint, making))),
  foot: (joint, making) => plateReady(settingOf(joint, making).id),
  mount: (joint, making) => seatReady(settingOf(joint, making).id, making),
};

/** What is looked at and worked once it is out of the pickle. */
const AFTER: Readonly<Record<BuiltKind, Ready>> = {
  seam: (joint, making) => (joint.mount === null ? hoopRound() : wallTried(settingOf(joint, making).id)),
  foot: (joint, making) => plateSawn(settingOf(joint, making)),
  mount: () => [],
};

/** What to look for at each kind of joint. */
const LOOKED_FOR: Readonly<Record<BuiltKind, readonly CheckCode[]>> = {
  seam: ["joint.bright", "joint.noGap"],
  foot: ["joint.allRound", "joint.bright", "joint.noGap"],
  mount: ["joint.bright", "mount.square"],
};

function stripReady({ id, wallMetal }: MakingMount): Step[] {
  return [
    step(id, "wall.slit", "wall", { target: `${id}.wall.cutHeight`, checks: ["edge.parallel"] }),
    step(id, "wall.anneal", "wall", { cautions: ["torch", "hotMetal"], values: { metal: wallMetal } }),
    step(id, "wall.cut", "wall", { target: `${id}.wall.cutLength`, checks: ["ends.square", "ends.noPinch", "ends.noBurr"] }),
    step(id, "wall.square", "wall", { checks: ["ends.square"] }),
    step(id, "wall.wrap", "wall", { target: `${id}.wall.netLength`, checks: ["ends.noLight", "wall.upright"] }),
  ];
}

function wallTried(mount: string): Step[] {
  return [
    step(mount, "wall.try", "wall", { checks: ["wall.passes", "wall.upright", "wall.seamLevel"] }),
    step(mount, "wall.foot", "wall", { checks: ["foot.flat"] }),
  ];
}

function plateReady(mount: string): Step[] {
  return [
    step(mount, "plate.cut", "plate", {
      target: `${mount}.plate.blankLength`,
      second: `${mount}.plate.blankWidth`,
      checks: ["plate.room", "foot.flat"],
      cautions: ["saw"],
    }),
    step(mount, "plate.stamp", "plate"),
  ];
}

function plateSawn({ id, style }: MakingMount): Step[] {
  return [
    step(id, "plate.saw", "plate", {
      target: `${id}.plate.length`,
      second: `${id}.plate.width`,
      checks: ["plate.noLine"],
      cautions: ["saw"],
      values: { style },
    }),
  ];
}

function hoopReady(): Step[] {
  return [
    step("hoop", "hoop.cut", "hoop", { target: "hoop.cutLength", checks: ["ends.noBurr"], cautions: ["saw"] }),
    step("hoop", "hoop.square", "hoop", { checks: ["ends.square"] }),
    step("hoop", "hoop.bend", "hoop", { target: "hoop.netLength", checks: ["ends.noLight"] }),
  ];
}

function hoopRound(): Step[] {
  return [step("hoop", "hoop.round", "hoop", { target: "hoop.insideDiameter", checks: ["hoop.round", "hoop.size"] })];
}

/** The first mount's seat has the hoop's own step, so that one more mount leaves its tick. */
function seatReady(mount: string, { mounts, seat }: Making): Step[] {
  if (seat === null) throw new RangeError(`${mount} is joined to no hoop`);
  const part = mounts[0]!.id === mount ? "hoop" : mount;
  const of = mounts.length === 1 ? "" : mount;
  return [
    step(part, `hoop.${seat}`, "hoop", { target: `${mount}.hoop.${seat}`, checks: ["hoop.sitsFlat"], values: { of } }),
    step(mount, "join.finish", "join", { checks: ["parts.reached"], cautions: ["dust", "wheel"] }),
  ];
}

/**
 * Heating and pickling, a step for each joint though one heat makes several: named by the joint and the act alone, so that heats that are planned
 * anew lose no tick.
 */
function heated({ joints, grade, fuses }: MakingHeat, index: number, isLast: boolean): Step[] {
  const others = (joint: Joint) => joints.flatMap(({ id }) => (id === joint.id ? [] : [id]));
  const solders = joints.map((joint): Step => {
    const isCharcoal = joint.kind === "seam" && joint.mount !== null;
    const cautions: CautionCode[] = [
      "torch",
      ...(fuses ? [] : ["flux" as const]),
      "hotMetal",
      ...(isCharcoal ? ["charcoal" as const] : []),
    ];
    return {
      ...step(joint.id, fuses ? "join.fuse" : "join.solder", "join", {
        heat: index,
        checks: fuses ? ["joint.noPits", "joint.noGap"] : LOOKED_FOR[joint.kind],
        cautions,
        values: { joint: joint.id, with: others(joint), grade },
      }),
      id: `${joint.id}.heat`,
    };
  });
  const pickles = joints.map((joint): Step => ({
    ...step(joint.id, "join.pickle", "join", {
      heat: index,
      checks: ["pickle.noIron"],
      cautions: ["pickle"],
      values: { last: isLast ? 1 : 0 },
    }),
    id: `${joint.id}.pickle`,
  }));
  return [...solders, ...pickles];
}

function setting(mount: MakingMount): Step[] {
  const soft = isSoft(mount.mohs);
  const values = { stone: mount.stone };
  return [
    step(mount.id, "set.try", "set", { checks: ["wall.passes", "stone.out"], values }),
    step(mount.id, "set.height", "set", { target: `${mount.id}.wall.netHeight`, checks: ["height.even"] }),
    step(mount.id, "set.surface", "set", {
      cautions: ["sulphur"],
      values: { ...values, tender: mount.tender.filter((to) => PATINA_HARMS.has(to)), soft: soft ? 1 : 0 },
    }),
    step(mount.id, "set.level", "set", { checks: ["stone.still"], cautions: ["noMoreHeat"], values }),
    step(mount.id, "set.push", "set", {
      checks: ["joint.noGap", "stone.still"],
      cautions: soft ? ["softStone"] : [],
      values: { punch: mount.wallThickness > HAND_PUSHER && !soft ? 1 : 0 },
    }),
    step(mount.id, "set.polish", "set", {
      checks: ["edge.smooth"],
      cautions: ["dust", "wheel", ...(soft ? ["softStone" as const] : [])],
      values: { ...values, ultrasonic: mount.tender.includes("ultrasonic") ? 1 : 0 },
    }),
  ];
}
