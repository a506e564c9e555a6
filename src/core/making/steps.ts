import { type Joint } from "../heats/assembly";
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
  readonly values: Readonly<Record<string, string | number>>;
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
  readonly hoopForm: "closed" | "closed-flat" | null;
  readonly heats: readonly MakingHeat[];
}

/** Above this a hand pusher no longer moves a wall (mm). */
const HAND_PUSHER = 0.4;

/** What a patina and the wet tumbling after it do to a stone that is tender to it. */
const PATINA_HARMS: ReadonlySet<Tenderness> = new Set(["water", "acid", "sulphur"]);

/**
 * The piece's making in order: what each heat needs is made ready before it, what it leaves is looked at and cleaned
 * after it, and the stones are set when there is no more heat.
 */
export function makingSteps({ mounts, hoopForm, heats }: Making): Step[] {
  const stones = mounts.flatMap((mount) => [
    step(mount.id, "stone.look", "stone", { checks: ["stone.sound", "stone.flatBack"], values: { stone: mount.stone } }),
    step(mount.id, "stone.measure", "stone", { target: `${mount.id}.outline.perimeter`, values: { stone: mount.stone } }),
  ]);
  const readyMade = mounts.flatMap(ofReadyMade);
  const ready = new Set<string>();
  const work = heats.flatMap((heat, index) => [
    ...heat.joints.flatMap((joint) => once(ready, before(joint, mounts, hoopForm))),
    solder(heat, index),
    pickle(heat, index, index === heats.length - 1),
    ...heat.joints.flatMap((joint) => after(joint, mounts)),
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

function mountOf(joint: Joint): string {
  return joint.kind === "hoop-mount" ? joint.id.slice("hoop.mount.".length) : joint.id.slice(0, joint.id.indexOf("."));
}

function before(joint: Joint, mounts: readonly MakingMount[], form: Making["hoopForm"]): Step[] {
  const mount = mountOf(joint);
  const isOnly = mounts.length === 1;
  switch (joint.kind) {
    case "seam":
      return [
        step(mount, "wall.slit", "wall", { target: `${mount}.wall.cutHeight`, checks: ["edge.parallel"] }),
        step(mount, "wall.anneal", "wall", {
          cautions: ["torch", "hotMetal"],
          values: { metal: mounts.find(({ id }) => id === mount)!.wallMetal },
        }),
        step(mount, "wall.cut", "wall", { target: `${mount}.wall.cutLength`, checks: ["ends.square", "ends.noPinch", "ends.noBurr"] }),
        step(mount, "wall.square", "wall", { checks: ["ends.square"] }),
        step(mount, "wall.wrap", "wall", { target: `${mount}.wall.netLength`, checks: ["ends.noLight", "wall.upright"] }),
      ];
    case "foot":
      return [
        step(mount, "plate.cut", "plate", {
          target: `${mount}.plate.blankLength`,
          second: `${mount}.plate.blankWidth`,
          checks: ["plate.room", "foot.flat"],
          cautions: ["saw"],
        }),
        step(mount, "plate.stamp", "plate"),
      ];
    case "hoop-seam":
      return [
        step("hoop", "hoop.cut", "hoop", { target: "hoop.cutLength", checks: ["ends.noBurr"], cautions: ["saw"] }),
        step("hoop", "hoop.square", "hoop", { checks: ["ends.square"] }),
        step("hoop", "hoop.bend", "hoop", { target: "hoop.netLength", checks: ["ends.noLight"] }),
      ];
    case "hoop-mount":
      return [
        seat(mount, mounts[0]!.id === mount ? "hoop" : mount, form === "closed-flat" ? "flat" : "saddle", isOnly),
        step(mount, "join.finish", "join", { checks: ["parts.reached"], cautions: ["dust", "wheel"] }),
      ];
  }
}

/** The first mount's seat has the hoop's own step, so that one more mount leaves its tick. */
function seat(mount: string, part: string, kind: "flat" | "saddle", isOnly: boolean): Step {
  const target = `${mount}.hoop.${kind}`;
  return step(part, `hoop.${kind}`, "hoop", { target, checks: ["hoop.sitsFlat"], values: { of: isOnly ? "" : mount } });
}

function after(joint: Joint, mounts: readonly MakingMount[]): Step[] {
  const mount = mountOf(joint);
  switch (joint.kind) {
    case "seam":
      return [
        step(mount, "wall.try", "wall", { checks: ["wall.passes", "wall.upright", "wall.seamLevel"] }),
        step(mount, "wall.foot", "wall", { checks: ["foot.flat"] }),
      ];
    case "foot": {
      const style = mounts.find(({ id }) => id === mount)?.style ?? "flush";
      return [
        step(mount, "plate.saw", "plate", {
          target: `${mount}.plate.length`,
          second: `${mount}.plate.width`,
          checks: ["plate.noLine"],
          cautions: ["saw"],
          values: { style },
        }),
      ];
    }
    case "hoop-seam":
      return [step("hoop", "hoop.round", "hoop", { target: "hoop.insideDiameter", checks: ["hoop.round", "hoop.size"] })];
    case "hoop-mount":
      return [];
  }
}

function solder({ joints, grade, fuses }: MakingHeat, index: number): Step {
  const names = joints.map(({ id }) => id).join(" + ");
  const values = { joints: names, grade };
  const cautions: CautionCode[] = [
    "torch",
    ...(fuses ? [] : ["flux" as const]),
    "hotMetal",
    ...(joints.some(({ kind }) => kind === "seam") ? ["charcoal" as const] : []),
  ];
  const checks: CheckCode[] = fuses
    ? ["joint.noPits", "joint.noGap"]
    : joints.some(({ kind }) => kind === "foot")
      ? ["joint.allRound", "joint.bright", "joint.noGap"]
      : joints.some(({ kind }) => kind === "hoop-mount")
        ? ["joint.bright", "mount.square"]
        : ["joint.bright", "joint.noGap"];
  return {
    ...step(joints[0]!.id, fuses ? "join.fuse" : "join.solder", "join", { heat: index, checks, cautions, values }),
    id: `${joints[0]!.id}.heat`,
  };
}

function pickle({ joints }: MakingHeat, index: number, last: boolean): Step {
  return {
    ...step(joints[0]!.id, "join.pickle", "join", {
      heat: index,
      checks: ["pickle.noIron"],
      cautions: ["pickle"],
      values: { last: last ? 1 : 0 },
    }),
    id: `${joints[0]!.id}.pickle`,
  };
}

function setting(mount: MakingMount): Step[] {
  const soft = isSoft(mount.mohs);
  const values = { stone: mount.stone };
  return [
    step(mount.id, "set.try", "set", { checks: ["wall.passes", "stone.out"], values }),
    step(mount.id, "set.height", "set", { target: `${mount.id}.wall.netHeight`, checks: ["height.even"] }),
    step(mount.id, "set.surface", "set", {
      cautions: ["sulphur"],
      values: { ...values, tender: mount.tender.filter((to) => PATINA_HARMS.has(to)).join(", "), soft: soft ? 1 : 0 },
    }),
    step(mount.id, "set.level", "set", { checks: ["stone.still"], cautions: ["noMoreHeat"], values }),
    step(mount.id, "set.push", "set", {
      checks: ["joint.noGap", "stone.still"],
      cautions: soft ? ["softStone"] : [],
      values: { tool: mount.wallThickness > HAND_PUSHER && !soft ? "punch" : "pusher" },
    }),
    step(mount.id, "set.polish", "set", {
      checks: ["edge.smooth"],
      cautions: ["dust", "wheel", ...(soft ? ["softStone" as const] : [])],
      values: { ...values, ultrasonic: mount.tender.includes("ultrasonic") ? 1 : 0 },
    }),
  ];
}
