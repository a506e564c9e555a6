import { type Contribution, type WorkedJoint } from "../joint/contribution";
import { type Part, isSeam } from "../joint/joint";
import { type Finding, finding } from "../measure/finding";
import { type AddedJoint, type PinEntry, pinnedMeans } from "./pins";

/** What is built as it is wished. */
export interface Wished {
  readonly contribution: Contribution;
  readonly findings: readonly Finding[];
  readonly leftOut: readonly WorkedJoint[];
  /** Wishes that a heat makes impossible, by their numbers: a joint is made cold, and one that is heated waits for it. */
  readonly clashes: readonly number[];
}

/**
 * What is built, with the joints that a maker adds, without those left out, and those that are wished so made cold. What comes after one
 * that is left out comes after all that it came after.
 */
export function asWished(built: Contribution, pins: readonly PinEntry[]): Wished {
  const left = new Set(pins.flatMap((pin) => ("leave" in pin ? [pin.leave] : [])));
  const added = addedTo(built, pins);
  const joints = withoutLeft([...built.joints, ...added.joints], left).map((joint) =>
    pinnedMeans(pins, joint.id) === "cold" ? { ...joint, isCold: true as const } : joint,
  );
  const known = new Set(built.joints.map(({ id }) => id));
  return {
    contribution: { ...built, joints },
    findings: [
      ...added.findings,
      ...[...left].filter((id) => !known.has(id)).map((joint) => finding("heats.pin-unknown", "warning", "heats", { joint })),
      ...fallenApart(built, joints).map((part) => finding("heats.apart", "warning", part, { part })),
    ],
    leftOut: built.joints.filter(({ id }) => left.has(id)),
    clashes: clashesOf(joints, pins),
  };
}

/** Joints that are added, each after the seams of the parts it ties; one that names what is not there, or what is there already, is not. */
function addedTo({ parts, joints }: Contribution, pins: readonly PinEntry[]): { joints: WorkedJoint[]; findings: Finding[] } {
  const added: WorkedJoint[] = [];
  const findings: Finding[] = [];
  for (const pin of pins) {
    if (!("add" in pin)) continue;
    const { add } = pin;
    const missing = add.parts.filter((id) => !parts.some((part) => part.id === id));
    const isTaken = [...joints, ...added].some(({ id }) => id === add.id);
    if (missing.length > 0) findings.push(finding("heats.add-no-part", "warning", "heats", { joint: add.id, missing: missing.join(" ") }));
    else if (isTaken) findings.push(finding("heats.add-taken", "warning", "heats", { joint: add.id }));
    else added.push(jointOf(add, parts, joints));
  }
  return { joints: added, findings };
}

/** Its faces meet over the thinner part's thickness. */
function jointOf(add: AddedJoint, parts: readonly Part[], joints: readonly WorkedJoint[]): WorkedJoint {
  const ids = [...new Set(add.parts)] as [string, ...string[]];
  const tied = ids.map((id) => parts.find((part) => part.id === id)!);
  const mounts = new Set(tied.map(({ mount }) => mount));
  const [mount] = mounts;
  return {
    id: add.id,
    kind: ids.length === 1 ? "seam" : "added",
    mount: mounts.size === 1 ? mount! : null,
    parts: ids,
    length: add.length,
    area: add.length * Math.min(...tied.map(({ thickness }) => thickness)),
    place: "added",
    after: ids.length === 1 ? [] : joints.filter((joint) => isSeam(joint) && ids.includes(joint.parts[0])).map(({ id }) => id),
    follows: [],
    work: { before: [], lookedFor: ["joint.bright", "joint.noGap"], after: [] },
  };
}

function withoutLeft(joints: readonly WorkedJoint[], left: ReadonlySet<string>): WorkedJoint[] {
  const of = new Map(joints.map((joint) => [joint.id, joint]));
  const standing = (ids: readonly string[]): string[] =>
    ids.flatMap((id) => (left.has(id) && of.has(id) ? standing(of.get(id)!.after) : [id]));
  return joints.filter(({ id }) => !left.has(id)).map((joint) => ({ ...joint, after: [...new Set(standing(joint.after))] }));
}

/** The first part of every body that hangs together no more. */
function fallenApart(built: Contribution, joints: readonly WorkedJoint[]): string[] {
  const before = new Set(bodiesOf(built.parts, built.joints).slice(1).flat());
  return bodiesOf(built.parts, joints)
    .slice(1)
    .map(([first]) => first!)
    .filter((part) => !before.has(part));
}

/** The bodies that joints make of parts, the largest first. */
function bodiesOf(parts: readonly Part[], joints: readonly WorkedJoint[]): string[][] {
  const bodyOf = new Map(parts.map(({ id }) => [id, new Set([id])]));
  for (const joint of joints) {
    const one = new Set(joint.parts.flatMap((part) => [...bodyOf.get(part)!]));
    for (const part of one) bodyOf.set(part, one);
  }
  return [...new Set(bodyOf.values())].map((body) => [...body]).sort((a, b) => b.length - a.length);
}

/** Wishes that bring fire to a joint made cold, or have something heated after it. */
function clashesOf(joints: readonly WorkedJoint[], pins: readonly PinEntry[]): number[] {
  const cold = new Set(joints.filter(({ isCold }) => isCold).map(({ id }) => id));
  const heated = new Set(joints.filter(({ isCold }) => !isCold).map(({ id }) => id));
  const waitedFor = new Set(joints.flatMap(({ isCold, after }) => (isCold ? [] : after)));
  const clashes = (pin: PinEntry): boolean => {
    if ("means" in pin) return cold.has(pin.joint) && (pin.means !== "cold" || waitedFor.has(pin.joint));
    if ("grade" in pin) return cold.has(pin.joint);
    if ("before" in pin) return cold.has(pin.before[0]) && heated.has(pin.before[1]);
    return "together" in pin && pin.together.some((id) => cold.has(id)) && pin.together.some((id) => heated.has(id));
  };
  return pins.flatMap((pin, i) => (clashes(pin) ? [i] : []));
}
