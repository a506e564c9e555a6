import { type Step, type JointWork } from "../making/step";
import { type Work } from "../making/steps";
import { type Blank } from "../measure/blank";
import { type Finding } from "../measure/finding";
import { type Figures } from "../measure/figure";
import { type Cut } from "../metal/cut";
import { type Assembly, type Joint, type Part } from "./joint";

export interface WorkedJoint extends Joint {
  readonly work: JointWork;
}

/** What anything that is built adds to the plan of a piece: a stone, a wall, a back, a layer of ornament, a hoop. */
export interface Contribution {
  readonly figures: Figures;
  readonly findings: readonly Finding[];
  /** Of the same part that two build, a cup's wall and its base, the masses add up. */
  readonly parts: readonly Part[];
  readonly joints: readonly WorkedJoint[];
  /** What is cut for its parts, in the order it is made. */
  readonly cuts: readonly Cut[];
  /** What lies along a rule, by the part it is cut for. */
  readonly laid: Readonly<Record<string, Blank>>;
  /** What is done cold, before any heat. */
  readonly first: readonly Step[];
  /** Filing, wet and acid work: when there is no more heat, and before anything is glued or set. */
  readonly finish: readonly Step[];
  /** Setting, when nothing else is left. */
  readonly last: readonly Step[];
  /** How parts are made, by their ids: what is put on one comes after that. */
  readonly made: Readonly<Record<string, MadePart>>;
}

/** A part's making: as long as it is flat, and all of it. */
export interface MadePart {
  readonly flat: readonly Step[];
  readonly formed: readonly Step[];
}

export const NOTHING: Contribution = {
  figures: {},
  findings: [],
  parts: [],
  joints: [],
  cuts: [],
  laid: {},
  first: [],
  finish: [],
  last: [],
  made: {},
};

/** Everything that is built, in the order a plan lists it. */
export function mergeContributions(all: readonly Contribution[]): Contribution {
  return {
    figures: Object.assign({}, ...all.map(({ figures }) => figures)) as Figures,
    findings: all.flatMap(({ findings }) => findings),
    parts: addedUp(all.flatMap(({ parts }) => parts)),
    joints: all.flatMap(({ joints }) => joints),
    cuts: all.flatMap(({ cuts }) => cuts),
    laid: Object.assign({}, ...all.map(({ laid }) => laid)) as Contribution["laid"],
    first: all.flatMap(({ first }) => first),
    finish: all.flatMap(({ finish }) => finish),
    last: all.flatMap(({ last }) => last),
    made: Object.assign({}, ...all.map(({ made }) => made)) as Contribution["made"],
  };
}

function addedUp(parts: readonly Part[]): Part[] {
  const known = new Map<string, Part>();
  for (const part of parts) {
    const before = known.get(part.id);
    known.set(part.id, before ? { ...before, mass: before.mass + part.mass } : part);
  }
  return [...known.values()];
}

/** Parts and joints alone. */
export function assemblyOf({ parts, joints }: Contribution): Assembly {
  return { parts, joints: joints.map(({ work: _work, ...joint }) => joint) };
}

/** What is heated: joints that are made cold are in no heat, and nothing waits for them there. */
export function heatedOf({ parts, joints }: Assembly): Assembly {
  return { parts, joints: joints.filter(({ isCold }) => !isCold) };
}

export function workOf({ first, joints, finish, last }: Contribution): Work {
  const cold = joints.filter(({ isCold }) => isCold).map(({ id }) => id);
  return { first, atJoints: Object.fromEntries(joints.map(({ id, work }) => [id, work])), finish, cold, last };
}
