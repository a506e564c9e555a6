import { type Sourced } from "../measure/figure";
import { type StepMinutes } from "./minutes";
import { type PlannedTask } from "./schedule";
import { type Step } from "./step";

/** What a piece's steps are done to. */
export interface Worked {
  readonly steps: readonly Step[];
  readonly parts: readonly { readonly id: string; readonly mount: string | null }[];
  readonly joints: readonly { readonly id: string; readonly parts: readonly string[] }[];
}

/**
 * The steps as tasks: each after the last before it that worked a part of the same body, so that what does not touch can change its place. Of a pair
 * the hands do everything twice. @throws for a step that works no part.
 */
export function tasksFrom({ steps, parts, joints }: Worked, minutesOf: (step: Step) => Sourced<StepMinutes>): PlannedTask[] {
  const bodyOf = new Map(parts.map(({ id }) => [id, new Set([id])]));
  const lastOn = new Map<string, string>();
  const partsOf = new Map(joints.map((joint) => [joint.id, joint.parts]));
  return steps.map((step): PlannedTask => {
    const joined = [...step.joints, String(step.values.joint)].flatMap((joint) => partsOf.get(joint) ?? []);
    const worked = joined.length > 0 ? joined : workedBy(step, parts);
    const bodies = new Set(worked.flatMap((part) => [...bodyOf.get(part)!]));
    if (joined.length > 0) for (const part of bodies) bodyOf.set(part, bodies);
    const after = [...new Set([...bodies].flatMap((part) => lastOn.get(part) ?? []))];
    for (const part of bodies) lastOn.set(part, step.id);
    const { value, from } = minutesOf(step);
    return {
      step: step.id,
      hands: value.hands * Number(step.values.copies ?? 1),
      wait: value.wait,
      after,
      isUsual: from === "shipped",
    };
  });
}

/** Parts that a step works: its own and those it names; where there are none, all of the setting it is of, or of what carries the settings. */
function workedBy({ id, part, works }: Step, parts: Worked["parts"]): string[] {
  const ids = (of: (each: Worked["parts"][number]) => boolean) => parts.filter(of).map(({ id }) => id);
  const worked = [
    ids((each) => each.id === part || works.includes(each.id)),
    ids(({ mount }) => mount === part),
    ids(({ mount }) => mount === null),
  ].find((found) => found.length > 0);
  if (!worked) throw new RangeError(`${id} works no part`);
  return worked;
}
