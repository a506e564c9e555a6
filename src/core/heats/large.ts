import { type Cost, NEVER, pack } from "./cost";
import { type HeatTask } from "./problem";
import { danger, disturbance } from "./thermal";

/** A plan that was found, not proven: its heats by joints' numbers, and its cost. */
export interface Found {
  readonly cost: Cost;
  readonly heats: readonly { readonly joints: readonly number[]; readonly flame: number }[];
}

/**
 * The best plan found for many joints. Joints that are alike are made alike: one flame for each kind, improved kind by
 * kind until nothing better is found, from each flame as a start; the order is hottest first, as much in a heat as
 * joins one body. Null if no such plan is found, which proves nothing; once time is over, the best until then.
 */
export function bestFound(task: HeatTask, isOver: () => boolean = () => false): Found | null {
  const kinds = kindsOf(task);
  let best: Found | null = null;
  for (let start = 0; start < task.flames.length; start++) {
    const choice = kinds.map(({ open }) =>
      open.reduce((nearest, f) => (Math.abs(f - start) < Math.abs(nearest - start) ? f : nearest), open[0] ?? -1),
    );
    if (choice.includes(-1)) return null;
    best = better(best, improved(task, kinds, choice, isOver));
    if (isOver()) return best;
  }
  return best;
}

/** A cost that no plan can beat: nothing moves, as many heats as the longest chain of joints, each at its hardest. */
export function lowerBound({ flames, allowed, before }: HeatTask): Cost {
  const chain = before.map(() => 0);
  for (let round = 0; round < before.length; round++) {
    before.forEach((earlier, i) => (chain[i] = 1 + Math.max(0, ...earlier.map((j) => chain[j]!))));
  }
  const ranks = allowed.map((mask) => Math.min(...flames.flatMap(({ rank }, f) => (mask & (1 << f) ? [rank] : []))));
  return pack({
    runs: 0,
    softens: 0,
    atRisk: 0,
    heats: Math.min(before.length, Math.max(0, ...chain)),
    ranks: ranks.reduce((a, b) => a + b, 0),
  });
}

interface Kind {
  readonly joints: readonly number[];
  readonly open: readonly number[];
}

/** Joints that tie like metals in a like place and may be made with the same flames. */
function kindsOf({ ties, metals, allowed, before, together, flames }: HeatTask): Kind[] {
  const kinds = new Map<string, number[]>();
  allowed.forEach((mask, i) => {
    const key = [ties[i]!.map((part) => metals[part]).join("+"), mask, before[i]!.length, together[i]!.length].join("/");
    kinds.set(key, [...(kinds.get(key) ?? []), i]);
  });
  return [...kinds.values()].map((joints) => ({ joints, open: flames.flatMap((_, f) => (allowed[joints[0]!]! & (1 << f) ? [f] : [])) }));
}

function better(a: Found | null, b: Found | null): Found | null {
  return b && b.cost < (a?.cost ?? NEVER) ? b : a;
}

function improved(task: HeatTask, kinds: readonly Kind[], start: readonly number[], isOver: () => boolean): Found | null {
  const choice = [...start];
  let best = scheduled(task, kinds, choice);
  for (let isBetter = true; isBetter;) {
    isBetter = false;
    kinds.forEach(({ open }, k) => {
      for (const f of open) {
        if (isOver()) return;
        const kept = choice[k]!;
        choice[k] = f;
        const tried = scheduled(task, kinds, choice);
        if (better(best, tried) === best) choice[k] = kept;
        else [best, isBetter] = [tried, true];
      }
    });
  }
  return best;
}

/** The heats of a choice of flames, hottest ready first; null where the choice cannot be carried out. */
function scheduled(task: HeatTask, kinds: readonly Kind[], choice: readonly number[]): Found | null {
  const flameOf: number[] = [];
  kinds.forEach(({ joints }, k) => joints.forEach((i) => (flameOf[i] = choice[k]!)));
  const body = task.metals.map((_, part) => part);
  const made: boolean[] = task.ties.map(() => false);
  const coolest = task.metals.map(() => Infinity);
  const heats: { joints: number[]; flame: number }[] = [];
  let cost: Cost = 0;
  const isReady = (i: number) => !made[i] && task.before[i]!.every((j) => made[j]);
  while (made.includes(false)) {
    const ready = made.flatMap((_, i) =>
      task.together[i]!.every((j) => isReady(j) && flameOf[j] === flameOf[i]) && isReady(i) ? [i] : [],
    );
    if (ready.length === 0) return null;
    const next = nextHeat(task, body, ready, flameOf);
    if (!next) return null;
    const { joints, flame } = next;
    const roots = new Set(joints.flatMap((i) => task.ties[i]!.map((part) => body[part]!)));
    const step = costOf(task, body, roots, joints, flame, flameOf, made, coolest);
    if (step === null) return null;
    const root = Math.min(...roots);
    body.forEach((at, part) => (body[part] = roots.has(at) ? root : at));
    coolest[root] = task.flames[flame]!.working;
    joints.forEach((i) => (made[i] = true));
    cost += step;
    heats.push({ joints, flame });
  }
  return { cost, heats };
}

/** The hottest heat that can be made of joints that are ready: as many as join one body with the first, and all that must share it; null where none can. */
function nextHeat(
  task: HeatTask,
  body: readonly number[],
  ready: readonly number[],
  flameOf: readonly number[],
): { readonly joints: number[]; readonly flame: number } | null {
  const isWhole = (joints: readonly number[]) => joints.every((i) => task.together[i]!.every((j) => joints.includes(j)));
  const hottest = [...new Set(ready.map((i) => flameOf[i]!))].sort((a, b) => a - b);
  for (const flame of hottest) {
    const same = ready.filter((i) => flameOf[i] === flame);
    for (const first of same) {
      const joints = oneBody(task, body, first, same);
      if (isWhole(joints)) return { joints, flame };
      // Those whose others are not reached are left for later.
      const whole = same.filter((i) => task.together[i]!.every((j) => joints.includes(j)));
      const fewer = whole.includes(first) ? oneBody(task, body, first, whole) : [];
      if (fewer.length > 0 && isWhole(fewer)) return { joints: fewer, flame };
    }
  }
  return null;
}

/** Of joints that are ready, those that end in one body with `first`, and can be held with it and each other. */
function oneBody({ ties, apart }: HeatTask, body: readonly number[], first: number, ready: readonly number[]): number[] {
  const reached = new Set(ties[first]!.map((part) => body[part]!));
  const taken = new Set([first]);
  for (let grew = true; grew;) {
    grew = false;
    for (const i of ready) {
      const roots = ties[i]!.map((part) => body[part]!);
      if (taken.has(i) || !roots.some((root) => reached.has(root)) || apart[i]!.some((j) => taken.has(j))) continue;
      taken.add(i);
      roots.forEach((root) => reached.add(root));
      grew = true;
    }
  }
  return [...taken].sort((a, b) => a - b);
}

function costOf(
  task: HeatTask,
  body: readonly number[],
  roots: ReadonlySet<number>,
  joints: readonly number[],
  flame: number,
  flameOf: readonly number[],
  made: readonly boolean[],
  coolest: readonly number[],
): Cost | null {
  const { working, fuses, rank } = task.flames[flame]!;
  if (task.stepping && [...roots].some((root) => coolest[root]! < working)) return null;
  const exempt = new Set(fuses ? joints.flatMap((i) => task.ties[i]!) : []);
  const dangers = body.flatMap((root, part) => (roots.has(root) && !exempt.has(part) ? [danger(working, task.metals[part]!)] : []));
  if (dangers.includes("melts")) return null;
  const moved = { runs: 0, softens: 0 };
  made.forEach((isMade, i) => {
    if (!isMade || task.shielded.includes(i) || !roots.has(body[task.ties[i]![0]!]!)) return;
    const what = disturbance(working, task.flames[flameOf[i]!]!);
    if (what) moved[what] += task.weights[i]!;
  });
  return pack({
    ...moved,
    atRisk: dangers.filter((each) => each === "at-risk").length,
    heats: 1,
    ranks: rank * joints.length,
  });
}
