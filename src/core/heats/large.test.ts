import { SHIPPED_BENCH } from "../piece/bench";
import { type Piece } from "../piece/piece";
import { assemblyOf } from "../joint/contribution";
import { sizePiece } from "../piece/size-piece";
import { settleHeats } from "../piece/settle";
import tern from "../piece/reference/tern-ring.piece.json";
import { bestHeats } from "./best";
import { unpack } from "./cost";
import { bestFound, lowerBound } from "./large";
import { type HeatWishes, tasksOf } from "./problem";

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
