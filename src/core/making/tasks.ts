import { type Sourced } from "../measure/figure";
import { type StepMinutes } from "./minutes";
import { type Task } from "./schedule";
import { type Step } from "./step";

/** What a piece's steps are done to. */
export interface Worked {
  readonly steps: readonly Step[];
  readonly parts: readonly { readonly id: string; readonly mount: string | null }[];
  readonly joints: readonly { readonly id: string; readonly parts: readonly string[] }[];
}

/**
 * The steps as tasks: each after the last before it that worked a part of the same body, so that what does not touch can change its place. The
 * joints of a heat are made, and pickled, in one go. Of a pair the hands do everything twice.
 * @throws for a step that works no part.
 */
export function tasksFrom({ steps, parts, joints }: Worked, minutesOf: (step: Step) => Sourced<StepMinutes>): Task[] {
  const bodyOf = new Map(parts.map(({ id }) => [id, new Set([id])]));
  const lastOn = new Map<string, string>();
  const partsOf = new Map(joints.map((joint) => [joint.id, joint.parts]));
  const goOf = (step: Step) => (step.heat === null ? step.id : `${step.heat} ${step.code === "join.pickle" ? "pickle" : "heat"}`);
  const gos = new Map<string, Step[]>();
  for (const step of steps) gos.set(goOf(step), [...(gos.get(goOf(step)) ?? []), step]);
  return [...gos.values()].flatMap((go) => {
    const joined = go.flatMap((step) => partsOf.get(String(step.values.joint)) ?? []);
    const worked = joined.length > 0 ? joined : go.flatMap((step) => workedBy(step, parts));
    const bodies = new Set(worked.flatMap((part) => [...bodyOf.get(part)!]));
    if (joined.length > 0) for (const part of bodies) bodyOf.set(part, bodies);
    const before = [...new Set([...bodies].flatMap((part) => lastOn.get(part) ?? []))];
    for (const part of bodies) lastOn.set(part, go.at(-1)!.id);
    const wait = Math.max(...go.map((step) => minutesOf(step).value.wait));
    return go.map((step, i): Task => ({
      step: step.id,
      hands: minutesOf(step).value.hands * Number(step.values.copies ?? 1),
      wait: i === go.length - 1 ? wait : 0,
      after: i === 0 ? before : [go[i - 1]!.id],
      isSameGo: i > 0,
      isUsual: minutesOf(step).from === "shipped",
    }));
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
