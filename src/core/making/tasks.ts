import { type StepMinutes } from "./minutes";
import { type Task } from "./schedule";
import { type Step } from "./step";

/** What a piece's steps are done to. */
export interface Worked {
  readonly steps: readonly Step[];
  readonly parts: readonly { readonly id: string; readonly kind: string; readonly mount: string | null }[];
  readonly joints: readonly { readonly id: string; readonly parts: readonly string[] }[];
}

/**
 * The steps as tasks: each after the last before it that worked a part of the same body, so that what does not touch can change its place. The
 * joints of a heat are made, and pickled, in one go. Of a pair the hands do everything twice.
 */
export function tasksFrom({ steps, parts, joints }: Worked, minutesOf: (step: Step) => StepMinutes): Task[] {
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
    const wait = Math.max(...go.map((step) => minutesOf(step).wait));
    return go.map((step, i): Task => ({
      step: step.id,
      hands: minutesOf(step).hands * Number(step.values.copies ?? 1),
      wait: i === go.length - 1 ? wait : 0,
      after: i === 0 ? before : [go[i - 1]!.id],
      isSameGo: i > 0,
    }));
  });
}

/** Parts that a step works: its own and those it is fitted to; of a setting those of the stage it belongs to. */
function workedBy({ part, stage, fits }: Step, parts: Worked["parts"]): string[] {
  const ids = (of: (each: Worked["parts"][number]) => boolean) => parts.filter(of).map(({ id }) => id);
  const own = ids(({ id }) => id === part);
  if (own.length > 0) return [...own, ...fits.filter((id) => parts.some((each) => each.id === id))];
  const ofMount = ids(({ mount }) => mount === part);
  const ofCarrier = ids(({ mount }) => mount === null);
  if (stage === "wall") return ids(({ mount, kind }) => mount === part && kind === "wall");
  if (stage === "plate") {
    const plates = ids(({ mount, kind }) => mount === part && kind === "plate");
    return plates.length > 0 ? plates : ofMount;
  }
  return stage === "hoop" || stage === "join" ? [...ofMount, ...ofCarrier] : ofMount;
}
