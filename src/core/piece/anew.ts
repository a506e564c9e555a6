import { type Step, type StepStage, entriesFor, entriesOf, entryOf, isHeating } from "../making/step";
import { type PartKind } from "../joint/joint";
import { type Measured, inUse } from "./make";
import { type Plan } from "./plan";

/** What comes again when parts are made anew: the steps, and what a make lists of them. */
export interface Anew {
  readonly steps: readonly Step[];
  readonly entries: readonly string[];
}

/** The stage in which each kind of part is made, where its steps are its setting's or its carrier's. */
const MADE_IN: Readonly<Partial<Record<PartKind, StepStage>>> = {
  wall: "wall",
  plate: "plate",
  ledge: "plate",
  hoop: "hoop",
  strand: "hoop",
  bridge: "hoop",
  inlay: "hoop",
};

/**
 * Making a part anew brings its making again, each joint that ties it with all that come after those, and then whatever is done to what hangs
 * together with it. What was made by itself before it was joined stays as it is.
 */
export function madeAnew({ steps, parts, joints }: Pick<Plan, "steps" | "parts" | "joints">, scrapped: readonly string[]): Anew {
  const isScrapped = (id: string) => scrapped.includes(id);
  const again = new Set(joints.filter((joint) => joint.parts.some(isScrapped)).map(({ id }) => id));
  for (let before = 0; before !== again.size;) {
    before = again.size;
    for (const { id, after } of joints) if (after.some((each) => again.has(each))) again.add(id);
  }
  const bodyOf = new Map(parts.map(({ id }) => [id, new Set([id])]));
  const isOld = (id: string) => [...(bodyOf.get(id) ?? [])].some(isScrapped);
  const comes: Step[] = [];
  const entries: string[] = [];
  const isOwn = (step: Step, id: string) => {
    const part = parts.find((each) => each.id === id);
    if (step.part === id) return true;
    const isOfOwner = part?.mount === null ? !parts.some(({ mount }) => mount === step.part) : step.part === part?.mount;
    return part !== undefined && isOfOwner && MADE_IN[part.kind] === step.stage && (step.works.length === 0 || step.works.includes(id));
  };
  for (const step of steps) {
    const tied = jointsOf(step);
    const ids = tied.filter((joint) => again.has(joint));
    if (tied.length === 0 && scrapped.some((id) => isOwn(step, id))) {
      comes.push(step);
      entries.push(...entriesOf(step));
    } else if (ids.length > 0) {
      comes.push(step);
      entries.push(...(step.joints.length > 0 ? ids.flatMap((joint) => entriesFor(step, joint)) : entriesOf(step)));
    } else if (tied.length === 0 && worked(step, parts).some(isOld)) {
      comes.push(step);
      entries.push(...entriesOf(step));
    }
    if (isHeating(step) || step.code === "join.cold")
      for (const id of tied) {
        const whole = new Set(joints.find((joint) => joint.id === id)?.parts.flatMap((part) => [...(bodyOf.get(part) ?? [])]) ?? []);
        for (const part of whole) bodyOf.set(part, whole);
      }
  }
  return { steps: comes, entries };
}

/** The joints that a step makes, or makes ready. */
function jointsOf({ joints, values }: Step): readonly string[] {
  return joints.length > 0 ? joints : typeof values.joint === "string" ? [values.joint] : [];
}

/** The parts that a step is done to: those it names, else those of its setting that its stage makes, else all of its setting. */
export function worked({ part, works, stage }: Step, parts: Plan["parts"]): string[] {
  if (stage === "stone") return [];
  const named = parts.filter(({ id }) => id === part || works.includes(id)).map(({ id }) => id);
  if (named.length > 0) return named;
  const own = parts.filter(({ mount }) => mount === part);
  const made = own.filter(({ kind }) => MADE_IN[kind] === stage);
  return (made.length > 0 ? made : own).map(({ id }) => id);
}

/** A part and all that hangs together with it by joints that are made, as a make lists them. */
export function joinedTo({ joints }: Pick<Plan, "joints">, part: string, done: ReadonlySet<string>): ReadonlySet<string> {
  const made = joints.filter(({ id }) => done.has(entryOf(id, "join.solder")));
  const body = new Set([part]);
  for (let before = 0; before !== body.size;) {
    before = body.size;
    for (const { parts } of made) if (parts.some((each) => body.has(each))) parts.forEach((each) => body.add(each));
  }
  return body;
}

/** Readings of a part that is made anew, and of all that was joined to it, as they stand, and as those of the old part. A hoop of strands is measured as one. */
export function scrappedReadings(
  { parts }: Pick<Plan, "parts">,
  measured: readonly Measured[],
  scrapped: string,
  joined: ReadonlySet<string>,
): { readonly before: readonly Measured[]; readonly after: readonly Measured[] } {
  const prefixes = parts.filter(({ id }) => joined.has(id)).map(({ id, kind }) => (kind === "strand" ? "hoop." : `${id}.`));
  const before = inUse(measured).filter(({ figure }) => prefixes.some((prefix) => figure.startsWith(prefix)));
  return { before, after: before.map((reading) => ({ ...reading, scrapped })) };
}

/** What steps cost: how many, in how many heats, and the minutes of the hands that the day reckons for them. */
export function costOf(
  steps: readonly Step[],
  tasks: Plan["tasks"],
): { readonly steps: number; readonly heats: number; readonly minutes: number } {
  const ids = new Set(steps.map(({ id }) => id));
  return {
    steps: steps.length,
    heats: steps.filter(isHeating).length,
    minutes: (tasks ?? []).filter(({ step }) => ids.has(step)).reduce((all, { hands }) => all + hands, 0),
  };
}
