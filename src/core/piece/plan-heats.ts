import { assemblyOf, heatedOf, workOf } from "../joint/contribution";
import { type Assembly, type Joint, isSeam, plateSawnAfter } from "../joint/joint";
import { PLACINGS, type Placing, atTheTorch, formOf, placingOf } from "../joint/placing";
import { type BestHeats, type ChosenHeat, type HeatsOf } from "../heats/best";
import { flameShares, thinSide } from "../heats/flame";
import { pinnedJoints, pinnedMeans } from "../heats/pins";
import { type HeatWishes, jointMetals, tasksOf } from "../heats/problem";
import { MOST_ROWS, type Pallions, pallionsFor } from "../heats/solder";
import { asWished } from "../heats/wished";
import { type Flame, SAFE_OVERSHOOT, danger, disturbance, fusingFlame, solderFlames } from "../heats/thermal";
import { type Step } from "../making/step";
import { tasksFrom } from "../making/tasks";
import { type MakingHeat, makingSteps } from "../making/steps";
import { type Finding, finding } from "../measure/finding";
import { METALS } from "../metal/metals";
import { type BenchEntry, minutesOf } from "./bench";
import { type HeatPlan, type Plan, type PlannedHeat, type PlannedJoint } from "./plan";
import { settleHeats } from "./settle";
import { type SizedPiece } from "./size-piece";

/** Adds the heats, the steps of the making and what there is to say about both to a sized piece. */
export function planHeats(sized: SizedPiece, bench: BenchEntry, heatsOf: HeatsOf): Plan {
  const { piece } = sized;
  const { shelfMissing, ...wishes } = settleHeats(piece.heats, bench);
  const { contribution, findings, clashes, leftOut } = asWished(sized.contribution, wishes.pins);
  const all = assemblyOf(contribution);
  const assembly = heatedOf(all);
  const best: BestHeats = clashes.length > 0 ? { status: "impossible", conflicts: [{ pin: clashes[0]! }] } : heatsOf(assembly, wishes);
  const heats = best.status !== "impossible" ? describeHeats(assembly, wishes, best.heats) : [];
  const steps = makingSteps(workOf(contribution), heats.map(inMaking(assembly, wishes))).map((each) => madeTimes(each, piece.copies ?? 1));
  return {
    format: "hoop-ledger/plan",
    version: 1,
    piece: piece.id,
    figures: contribution.figures,
    parts: assembly.parts.map(({ id, kind, name, mount, metal, mass }) => ({
      ...{ id, kind, mount, metal, mass },
      ...(name !== undefined && { name }),
    })),
    joints: plannedJoints(all, assembly, wishes, heats),
    leftOut: leftOut.map(({ id, kind, mount, parts }) => ({ id, kind, mount, parts })),
    heatPlan: heatPlanOf(best),
    heats,
    steps,
    tasks: heats.length === 0 && assembly.joints.length > 0 ? null : tasksFrom({ steps, ...all }, ({ code }) => minutesOf(bench, code)),
    findings: [
      ...contribution.findings,
      ...findings,
      ...(shelfMissing
        ? [finding("heats.shelf-missing", "warning", "heats", { asked: piece.heats?.shelf ?? "", used: wishes.shelf.id })]
        : []),
      ...overshootFindings(assembly, wishes),
      ...pinFindings(all, assembly, wishes, best, heatsOf),
      // What another order may spare is no finding of the piece: it stands at the heats that are shown.
      ...(best.status === "best" ? heatFindings(heats, assembly) : []),
      ...formFindings(assembly, wishes, heats),
      ...crowdedFindings(heats),
    ],
    remedies: sized.remedies,
    cuts: contribution.cuts,
    drawing: sized.drawing,
    settled: { ...sized.settled, heats: wishes },
  };
}

function heatPlanOf(best: BestHeats): HeatPlan {
  return {
    status: best.status,
    bound: best.status === "unproven" ? best.bound : null,
    conflicts: best.status === "impossible" ? best.conflicts : [],
  };
}

/** Adds the number of copies to a step: a pair is made together, step by step. */
function madeTimes(each: Step, copies: number): Step {
  return copies === 1 ? each : { ...each, values: { ...each.values, copies } };
}

function plannedJoints(all: Assembly, assembly: Assembly, wishes: HeatWishes, heats: readonly PlannedHeat[]): PlannedJoint[] {
  const fused = new Set(heats.flatMap(({ means, joints }) => (means === "fuse" ? joints : [])));
  const gradeOf = new Map(heats.flatMap(({ joints, grade }) => joints.map((id) => [id, grade] as const)));
  const tasks = tasksOf(assembly, wishes);
  const number = new Map(assembly.joints.map(({ id }, i) => [id, i]));
  return all.joints.map((joint) => {
    const i = number.get(joint.id);
    const open = i === undefined ? 0 : tasks.reduce((mask, task) => mask | task.allowed[i]!, 0);
    return {
      id: joint.id,
      kind: joint.kind,
      mount: joint.mount,
      means: joint.isCold ? "cold" : fused.has(joint.id) ? "fuse" : placingIn(joint, gradeOf.get(joint.id), wishes),
      parts: joint.parts,
      length: joint.length,
      area: joint.area,
      place: joint.place,
      after: joint.after,
      follows: joint.follows,
      grades: tasks[0]!.flames.flatMap((flame, f) => (open & (1 << f) ? [flame.id] : [])),
      pinned: wishes.pins.some((pin) => "joint" in pin && pin.joint === joint.id),
    };
  });
}

/** Each heat with what it disturbs, its solder and where its flame goes, following the bodies as they grow. */
function describeHeats(assembly: Assembly, wishes: HeatWishes, chosen: readonly ChosenHeat[]): PlannedHeat[] {
  const jointOf = new Map(assembly.joints.map((joint) => [joint.id, joint]));
  const shielded = new Set(wishes.pins.flatMap((pin) => ("shield" in pin ? [pin.shield] : [])));
  const bodyOf = new Map(assembly.parts.map(({ id }) => [id, new Set([id])]));
  const madeWith = new Map<string, Flame>();
  const sawn = new Set<string>();
  return chosen.map((heat, index) => {
    const joints = heat.joints.map((id) => jointOf.get(id)!);
    const sides = joints.map((joint) => joint.parts.map((part) => bodyOf.get(part)!));
    for (const joint of joints) unite(bodyOf, joint.parts);
    const body = bodyOf.get(joints[0]!.parts[0])!;
    const held = [...madeWith].filter(([id]) => !shielded.has(id) && jointOf.get(id)!.parts.every((part) => body.has(part)));
    const moved = (what: "runs" | "softens") => held.flatMap(([id, flame]) => (disturbance(heat.working, flame) === what ? [id] : []));
    const parts = assembly.parts.filter(({ id }) => body.has(id));
    const exempt = new Set(heat.means === "fuse" ? joints.flatMap((joint) => joint.parts as readonly string[]) : []);
    const flame = flameShares(parts, sawn);
    const shareOf = (side: ReadonlySet<string>, part: string) => ({
      part,
      share: flame.reduce((all, each) => (side.has(each.part) ? all + each.share : all), 0),
    });
    const thin = joints.flatMap((joint, i) =>
      joint.parts.length === 1 ? [] : [thinSide(shareOf(sides[i]![0]!, joint.parts[0]), shareOf(sides[i]![1]!, joint.parts[1]!))],
    );
    const solder = solderOf(heat, joints, wishes);
    const planned: PlannedHeat = {
      joints: heat.joints,
      means: heat.means,
      grade: heat.grade,
      working: heat.working,
      softens: moved("softens"),
      runs: moved("runs"),
      atRisk: parts.filter(({ id, metal }) => !exempt.has(id) && danger(heat.working, metal) === "at-risk").map(({ id }) => id),
      pallions: commonPallions(solder),
      solder,
      flame,
      thin: thin.find((part) => part !== null) ?? null,
    };
    for (const joint of joints) {
      madeWith.set(joint.id, flameOf(heat, assembly, joint, wishes));
    }
    const sawnAfter = (id: string) => plateSawnAfter(jointOf.get(id)!);
    const later = chosen.slice(index + 1).flatMap(({ joints: ids }) => ids.map(sawnAfter));
    for (const part of heat.joints.map(sawnAfter)) if (part !== null && !later.includes(part)) sawn.add(part);
    return planned;
  });
}

function unite(bodyOf: Map<string, Set<string>>, parts: readonly string[]): void {
  const one = new Set(parts.flatMap((part) => [...bodyOf.get(part)!]));
  for (const part of one) bodyOf.set(part, one);
}

function flameOf({ means, grade }: ChosenHeat, assembly: Assembly, joint: Joint, wishes: HeatWishes): Flame {
  if (means === "fuse") return fusingFlame(jointMetals(assembly, joint)[0]!);
  return solderFlames(wishes.shelf, wishes.overshoot).find(({ id }) => id === grade)!;
}

function solderOf(heat: ChosenHeat, joints: readonly Joint[], wishes: HeatWishes): Pallions[] {
  const grade = wishes.shelf.grades.find(({ id }) => id === heat.grade);
  return grade && heat.means === "solder" ? joints.map((joint) => pallionsFor(joint, grade, placingIn(joint, grade.id, wishes))) : [];
}

/** Where the solder of a joint is put: as it is wished, else as is usual with what of the grade is in hand. */
function placingIn(joint: Joint, grade: string | undefined, { shelf, pins }: HeatWishes): Placing {
  const wished = PLACINGS.find((each) => each === pinnedMeans(pins, joint.id)) ?? null;
  return placingOf(joint, wished, shelf.grades.find(({ id }) => id === grade)?.forms ?? []);
}

/** Where solder is wished as what of its grade is not in hand. */
function formFindings(assembly: Assembly, wishes: HeatWishes, heats: readonly PlannedHeat[]): Finding[] {
  return heats.flatMap(({ joints, grade, means }) =>
    joints.flatMap((id) => {
      const joint = assembly.joints.find((each) => each.id === id)!;
      const form = formOf(placingIn(joint, grade, wishes));
      const forms = wishes.shelf.grades.find((each) => each.id === grade)?.forms ?? [];
      const isThere = means === "fuse" || forms.length === 0 || forms.some(({ type }) => type === form);
      return isThere ? [] : [finding("heats.not-in-hand", "note", id, { joint: id, grade, form })];
    }),
  );
}

/** Pieces that would lie in more rows than can be laid. */
function crowdedFindings(heats: readonly PlannedHeat[]): Finding[] {
  return heats.flatMap(({ joints, solder }) =>
    solder.flatMap(({ rows, count }, i) =>
      rows > MOST_ROWS ? [finding("heats.sweat", "note", joints[i]!, { joint: joints[i]!, rows, count })] : [],
    ),
  );
}

/** One joint's solder as it is; of several what they have in common: the count, and the size where it is one. */
function commonPallions(solder: readonly Pallions[]): PlannedHeat["pallions"] {
  const [first] = solder;
  if (!first || solder.length === 1) return first ?? null;
  const isAlike = solder.every(({ size }) => size.join() === first.size.join());
  const count = solder.reduce((all, each) => all + each.count, 0);
  return { form: first.form, count, size: isAlike ? first.size : null, spacing: null, rows: 1, evenGap: null };
}

function overshootFindings({ parts }: Assembly, { overshoot, shelf }: HeatWishes): Finding[] {
  if (overshoot <= SAFE_OVERSHOOT) return [];
  const stained = parts.map(({ metal }) => metal).filter((metal) => METALS[metal].firestains);
  const hottest = solderFlames(shelf, overshoot).filter(({ working }) => stained.some((metal) => danger(working, metal) !== null));
  return hottest.map(({ id, working }) => finding("heats.overshoot", "warning", "heats", { overshoot, grade: id, working }));
}

function pinFindings(all: Assembly, assembly: Assembly, wishes: HeatWishes, best: BestHeats, heatsOf: HeatsOf): Finding[] {
  const known = new Set(all.joints.map(({ id }) => id));
  const unknown = wishes.pins.flatMap((pin) => ("add" in pin ? [] : pinnedJoints(pin).filter((id) => !known.has(id))));
  const findings = unknown.map((joint) => finding("heats.pin-unknown", "warning", "heats", { joint }));
  if (best.status === "impossible") {
    const clash = best.conflicts.map((each) => ("pin" in each ? `/heats/pins/${each.pin}` : "/heats/way")).join(", ");
    return [...findings, finding("heats.impossible", "error", "heats", { clash, way: wishes.way })];
  }
  if (best.heats.length === 0 && assembly.joints.length > 0) return [...findings, finding("heats.not-found", "error", "heats", {})];
  const unproven = best.status === "unproven" ? [finding("heats.unproven", "note", "heats", {})] : [];
  return [...findings, ...unproven, ...betterUnpinned(assembly, wishes, best, heatsOf)];
}

/** What the best plan without pins would make a pinned joint with, where the pins cost something that moves or melts. */
function betterUnpinned(
  assembly: Assembly,
  wishes: HeatWishes,
  best: Exclude<BestHeats, { status: "impossible" }>,
  heatsOf: HeatsOf,
): Finding[] {
  if (wishes.pins.length === 0) return [];
  const free = heatsOf(assembly, { ...wishes, pins: wishes.pins.filter((pin) => "shield" in pin) });
  if (free.status === "impossible" || free.cost >= best.cost) return [];
  const heatIn = (heats: readonly ChosenHeat[], joint: string) => heats.find(({ joints }) => joints.includes(joint))!;
  return wishes.pins.flatMap((pin) => {
    if (!("joint" in pin)) return [];
    if (!best.heats.some(({ joints }) => joints.includes(pin.joint))) return [];
    const [pinned, other] = [heatIn(best.heats, pin.joint), heatIn(free.heats, pin.joint)];
    if (pinned.grade === other.grade && pinned.means === other.means) return [];
    const values = { joint: pin.joint, pinned: pinned.grade, pinnedMeans: pinned.means, best: other.grade, bestMeans: other.means };
    return [finding("heats.better-unpinned", "note", pin.joint, values)];
  });
}

/** Whether a joint is a seam, which can be fused where its metal can: what is said of one that moves. */
function seamOf(assembly: Assembly, id: string): "none" | "plain" | "fuses" {
  const joint = assembly.joints.find((each) => each.id === id)!;
  if (!isSeam(joint)) return "none";
  return METALS[jointMetals(assembly, joint)[0]!].fuses ? "fuses" : "plain";
}

function heatFindings(heats: readonly PlannedHeat[], assembly: Assembly): Finding[] {
  return heats.flatMap((heat, i) => {
    const values = { heat: i + 1, making: heat.joints[0]!, grade: heat.grade, gradeMeans: heat.means, working: heat.working };
    return [
      ...heat.runs.map((joint) => finding("heats.runs", "error", joint, { joint, seam: seamOf(assembly, joint), ...values })),
      ...heat.softens.map((joint) => finding("heats.softens", "warning", joint, { joint, seam: seamOf(assembly, joint), ...values })),
      ...heat.atRisk.map((part) => finding("heats.at-risk", "warning", part, { part, ...values })),
    ];
  });
}

function inMaking({ parts, joints }: Assembly, wishes: HeatWishes): (heat: PlannedHeat) => MakingHeat {
  return ({ joints: ids, means, grade, flame }) => ({
    joints: ids,
    grade,
    blooms: flame.some(({ part }) => METALS[parts.find(({ id }) => id === part)!.metal].firestains),
    torch: ids.map((id) => {
      const joint = joints.find((each) => each.id === id)!;
      return atTheTorch(means === "fuse" ? "fuse" : placingIn(joint, grade, wishes));
    }),
  });
}
