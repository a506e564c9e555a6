import { type CautionCode, type JointWork, STEP_STAGES, type Step, step } from "./step";

/** What the parts of a piece add to its making. */
export interface Work {
  /** Cold, before any heat. */
  readonly first: readonly Step[];
  /** By the joint's id. */
  readonly atJoints: Readonly<Record<string, JointWork>>;
  /** Joints that are made cold, in their order, when there is no more heat. */
  readonly cold: readonly string[];
  /** When all is joined. */
  readonly last: readonly Step[];
}

export interface MakingHeat {
  readonly joints: readonly string[];
  readonly grade: string;
  readonly fuses: boolean;
}

/**
 * The piece's making in order: what each heat needs is made ready before it, what it leaves is looked at and cleaned
 * after it, and the stones are set when there is no more heat. @throws for a joint that no part brought.
 */
export function makingSteps({ first, atJoints, cold, last }: Work, heats: readonly MakingHeat[]): Step[] {
  const workAt = (joint: string): JointWork => {
    const work = atJoints[joint];
    if (!work) throw new RangeError(`${joint} is a joint of no part`);
    return work;
  };
  const ready = new Set<string>();
  const closed = new Set<string>();
  const isWanted = ({ id }: Step, index: number) =>
    heats.slice(index + 1).some((later) => later.joints.some((joint) => workAt(joint).afterAll?.some((each) => each.id === id)));
  const work = heats.flatMap((heat, index) => [
    ...heat.joints.flatMap((joint) => once(ready, workAt(joint).before)),
    ...heated(heat, workAt, index, index === heats.length - 1),
    ...heat.joints.flatMap((joint) => workAt(joint).after),
    ...once(
      closed,
      heat.joints.flatMap((joint) => workAt(joint).afterAll ?? []).filter((each) => !isWanted(each, index)),
    ),
  ]);
  return [
    ...STEP_STAGES.flatMap((stage) => first.filter((each) => each.stage === stage)),
    ...work,
    ...cold.flatMap((joint) => joined(joint, workAt(joint), ready)),
    ...last,
  ];
}

/** A joint that is glued, riveted or wrapped. */
function joined(joint: string, { before, lookedFor, after }: JointWork, ready: Set<string>): Step[] {
  const made: Step = {
    ...step(joint, "join.cold", "join", { checks: lookedFor, cautions: ["glue"], values: { joint } }),
    id: `${joint}.cold`,
  };
  return [...once(ready, before), made, ...after];
}

function once(seen: Set<string>, steps: readonly Step[]): Step[] {
  return steps.filter(({ id }) => !seen.has(id) && seen.add(id));
}

/**
 * Heating and pickling, a step for each joint though one heat makes several: named by the joint and the act alone, so that heats that are planned
 * anew lose no tick.
 */
function heated({ joints, grade, fuses }: MakingHeat, workAt: (joint: string) => JointWork, index: number, isLast: boolean): Step[] {
  const solders = joints.map((joint): Step => {
    const { lookedFor, cautions = [] } = workAt(joint);
    const ofHeat: CautionCode[] = ["torch", ...(fuses ? [] : ["flux" as const]), "hotMetal"];
    return {
      ...step(joint, fuses ? "join.fuse" : "join.solder", "join", {
        heat: index,
        checks: fuses ? ["joint.noPits", "joint.noGap"] : lookedFor,
        cautions: [...ofHeat, ...cautions],
        values: { joint, with: joints.filter((other) => other !== joint), grade },
      }),
      id: `${joint}.heat`,
    };
  });
  const pickles = joints.map((joint): Step => ({
    ...step(joint, "join.pickle", "join", {
      heat: index,
      checks: ["pickle.noIron"],
      cautions: ["pickle"],
      values: { joint, last: isLast ? 1 : 0 },
    }),
    id: `${joint}.pickle`,
  }));
  return [...solders, ...pickles];
}
