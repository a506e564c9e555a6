import { SHIPPED_BENCH } from "../piece/bench";
import { type Piece } from "../piece/piece";
import { assemblyOf } from "../joint/contribution";
import { sizePiece } from "../piece/size-piece";
import { settleHeats } from "../piece/settle";
import tern from "../piece/reference/tern-ring.piece.json";
import { bestHeats } from "./best";
import { type Assembly, type Joint, type Part } from "../joint/joint";
import { seeded } from "../measure/seeded";
import bounds from "./reference/bounds.json";
import { pack, unpack } from "./cost";
import { bestFound, lowerBound } from "./large";
import { type HeatWishes, type HeatTask, tasksOf } from "./problem";

const piece = tern as unknown as Piece;

function withStones(count: number) {
  const mounts = Array.from({ length: count }, (_, i) => ({ ...piece.mounts[0]!, id: `m${i + 1}` }));
  return assemblyOf(sizePiece({ ...piece, mounts }, SHIPPED_BENCH).contribution);
}

const wishes = (heats: Piece["heats"] = {}): HeatWishes => settleHeats({ ...piece.heats, ...heats }, SHIPPED_BENCH);

test("where the best is known, the plan found for many joints is as good, and no plan beats the bound", () => {
  for (const count of [1, 2, 3, 4]) {
    for (const way of ["free", "step-down", "seams-hard", "one-grade"] as const) {
      const assembly = withStones(count);
      const best = bestHeats(assembly, wishes({ way }));
      if (best.status !== "best") throw new Error("not planned");
      const found = Math.min(...tasksOf(assembly, wishes({ way })).map((task) => bestFound(task)?.cost ?? Infinity));
      expect(unpack(found)).toEqual(unpack(best.cost));
      for (const task of tasksOf(assembly, wishes({ way }))) expect(lowerBound(task)).toBeLessThanOrEqual(best.cost);
    }
  }
});

test("twelve stones, 37 joints, are planned: unproven, with a bound, every joint made once and none before its time", () => {
  const assembly = withStones(12);
  const plan = bestHeats(assembly, wishes());
  if (plan.status !== "unproven") throw new Error(plan.status);
  expect(unpack(plan.cost)).toMatchObject({ runs: 0, softens: 0, atRisk: 0 });
  expect(plan.bound).toBeLessThanOrEqual(plan.cost);
  const order = plan.heats.flatMap(({ joints }) => joints);
  expect(new Set(order).size).toBe(37);
  const heatOf = (id: string) => plan.heats.findIndex(({ joints }) => joints.includes(id));
  for (const { id, after } of assembly.joints) for (const earlier of after) expect(heatOf(earlier)).toBeLessThan(heatOf(id));
  expect(bestHeats(assembly, wishes({ pins: [{ joint: "m3.foot", grade: "none" }] }))).toEqual({
    status: "impossible",
    conflicts: [{ pin: 0 }],
  });
});

/** A random task of so many joints: a seam of every part, and joints between them after both seams. */
function randomTask(random: () => number): { assembly: Assembly; wishes: HeatWishes } {
  const below = (n: number) => Math.floor(random() * n);
  const of = <T>(list: readonly T[]) => list[below(list.length)]!;
  const count = 15 + below(6);
  const parts = Array.from({ length: 8 + below(4) }, (_, i): Part => {
    return { id: `p${i}`, kind: "wall", mount: null, metal: of(["fine-silver", "sterling", "copper"] as const), mass: 1, thickness: 1 };
  });
  const joints = Array.from({ length: count }, (_, i): Joint => {
    const tied =
      i < parts.length ? [i] : [1 + ((i - parts.length) % (parts.length - 1)), below(1 + ((i - parts.length) % (parts.length - 1)))];
    return {
      id: `j${i}`,
      kind: tied.length === 1 ? "seam" : "foot",
      mount: null,
      parts: tied.map((part) => `p${part}`) as unknown as [string],
      ...{ length: 1, area: 1, place: "", follows: [] },
      after: tied.length === 1 ? [] : tied.map((part) => `j${part}`),
    };
  });
  const pins = below(2) === 0 ? [] : [{ joint: `j${below(count)}`, grade: of(["hard", "medium", "easy"]) }];
  return { assembly: { parts, joints }, wishes: wishes({ pins, shelf: of(["typical", "narrow"]), overshoot: below(12) }) };
}

test("of 200 random tasks of 15 to 20 joints no bound is above what a longer search found, and no plan found in haste is below it", () => {
  let atBound = 0;
  for (const [i, [seed, cost]] of (bounds as [number, [number, number, number, number, number]][]).entries()) {
    const { assembly, wishes: asked } = randomTask(seeded(seed));
    const [task] = tasksOf(assembly, asked) as [HeatTask];
    const [runs, softens, atRisk, heats, ranks] = cost;
    const least = pack({ runs, softens, atRisk, heats, ranks });
    expect(lowerBound(task)).toBeLessThanOrEqual(least);
    if (i % 8 > 0) continue;
    const found = bestFound(task)?.cost ?? Infinity;
    expect(found).toBeGreaterThanOrEqual(least);
    atBound += found === least ? 1 : 0;
  }
  expect(bounds.length).toBe(200);
  expect(atBound).toBeGreaterThan(5);
});
