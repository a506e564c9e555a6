import { type CautionCode, type CheckCode, type JointWork, STEP_STAGES, type Step, heatStep, step } from "./step";

/** What the parts of a piece add to its making. */
export interface Work {
  /** Cold, before any heat. */
  readonly first: readonly Step[];
  /** By the joint's id. */
  readonly atJoints: Readonly<Record<string, JointWork>>;
  /** Filing, wet and acid work, when there is no more heat. */
  readonly finish: readonly Step[];
  /** Joints that are made cold, in their order, after that. */
  readonly cold: readonly string[];
  /** When all is joined. */
  readonly last: readonly Step[];
}

export interface MakingHeat {
  readonly joints: readonly string[];
  readonly grade: string;
  /** Whether it heats sterling, which blooms under its skin. */
  readonly blooms: boolean;
  /** Of each joint. */
  readonly torch: readonly AtTheTorch[];
}

/** What a joint's heat asks for, by how it is made. */
export interface AtTheTorch {
  /** Told in its step's values. */
  readonly means: string;
  /** What is looked for beside what the joint itself asks for; of what is fused, all. */
  readonly checks: readonly CheckCode[];
  readonly isFluxed: boolean;
  /** Whether solder is melted on one part before the parts are brought together. */
  readonly isTinned: boolean;
}

/**
 * The piece's making in order: what each heat needs is made ready before it, what it leaves is looked at and cleaned
 * after it; the whole piece is finished when there is no more heat, then what is glued is glued, and the stones are set last. @throws for a joint that no part brought.
 */
export function makingSteps({ first, atJoints, finish, cold, last }: Work, heats: readonly MakingHeat[]): Step[] {
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
    ...heat.joints.flatMap((joint, i) => once(ready, tinned(joint, workAt(joint), heat.torch[i]!))),
    ...heated(heat, workAt, index, index === heats.length - 1),
    ...once(
      ready,
      heat.joints.flatMap((joint) => workAt(joint).after),
    ),
    ...once(
      closed,
      heat.joints.flatMap((joint) => workAt(joint).afterAll ?? []).filter((each) => !isWanted(each, index)),
    ),
  ]);
  return [
    ...STEP_STAGES.flatMap((stage) => first.filter((each) => each.stage === stage)),
    ...work,
    ...finish,
    ...cold.flatMap((joint) => joined(joint, workAt(joint), ready)),
    ...last,
    ...cold.flatMap((joint) => workAt(joint).link ?? []),
  ];
}

/** What only a joint that was heated shows. */
const OF_MOLTEN: ReadonlySet<CheckCode> = new Set(["joint.bright", "joint.noGap", "joint.allRound"]);

/** A joint that is glued, riveted or wrapped. */
function joined(joint: string, { before, lookedFor, after, link }: JointWork, ready: Set<string>): Step[] {
  if (link) return once(ready, before);
  const made: Step = {
    ...step(joint, "join.cold", {
      checks: [...lookedFor.filter((check) => !OF_MOLTEN.has(check)), "joint.firm", "joint.noGlue"],
      cautions: ["glue"],
      values: { joint },
    }),
    id: `${joint}.cold`,
  };
  return [...once(ready, before), made, ...after];
}

function once(seen: Set<string>, steps: readonly Step[]): Step[] {
  return steps.filter(({ id }) => !seen.has(id) && seen.add(id));
}

/** Where solder is melted on one part before the parts are brought together. */
function tinned(joint: string, { before }: JointWork, { isTinned }: AtTheTorch): readonly Step[] {
  if (!isTinned) return before;
  const tin = step(joint, "join.tin", { checks: ["foot.flat"], cautions: ["torch", "flux", "hotMetal"], values: { joint } });
  return [...before, { ...tin, id: `${joint}.join.sweat` }];
}

/** One heat, whatever it joins: made ready, heated, pickled and looked at, each in one step. */
function heated(
  { joints, grade, blooms, torch }: MakingHeat,
  workAt: (joint: string) => JointWork,
  index: number,
  isLast: boolean,
): Step[] {
  const each = joints as readonly [string, ...string[]];
  const isFluxed = torch.some((at) => at.isFluxed);
  const fluxed: readonly CautionCode[] = isFluxed ? ["flux"] : [];
  const values = { grade, means: unique(torch.map(({ means }) => means)) };
  const lookedFor = joints.flatMap((joint, i) => (torch[i]!.isFluxed ? workAt(joint).lookedFor : []));
  return [
    heatStep(each, index, "join.prepare", { checks: ["joint.clean"], cautions: fluxed, values: { ...values, blooms: blooms ? 1 : 0 } }),
    heatStep(each, index, isFluxed ? "join.solder" : "join.fuse", {
      cautions: unique(["torch", ...fluxed, "hotMetal", ...joints.flatMap((joint) => workAt(joint).cautions ?? [])]),
      values,
    }),
    heatStep(each, index, "join.pickle", { checks: ["pickle.noIron"], cautions: ["pickle"], values: { last: isLast ? 1 : 0 } }),
    heatStep(each, index, "join.check", { checks: unique([...lookedFor, ...torch.flatMap(({ checks }) => checks)]), values }),
  ];
}

function unique<T>(all: readonly T[]): T[] {
  return [...new Set(all)];
}
