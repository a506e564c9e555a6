import fc from "fast-check";
import { runs } from "@/runs.testing";
import { anyBench } from "@/core/piece/any-piece.testing";
import { type BenchEntry, SHIPPED_BENCH } from "@/core/piece/bench";
import { type BenchChange, type BenchRecipe, changeOf, changed, takenBack } from "./bench-changes";

/** What a recipe changes, which it can. */
function change(bench: BenchEntry, recipe: BenchRecipe): BenchChange {
  const made = changeOf(bench, recipe);
  if (!made.ok) throw new Error(made.problem);
  return made.change;
}

/** A value without its objects that say nothing: a bench with one is the same bench. */
function plain(value: unknown): unknown {
  if (typeof value !== "object" || value === null || Array.isArray(value)) return value;
  const some = Object.entries(value).flatMap(([key, each]) => {
    const inner = plain(each);
    return inner === undefined || (typeof inner === "object" && inner !== null && Object.keys(inner).length === 0 && !Array.isArray(inner))
      ? []
      : [[key, inner]];
  });
  return Object.fromEntries(some) as unknown;
}

const squaring: BenchRecipe = (bench) => void (bench.losses = { ...bench.losses, wall: { ...bench.losses?.wall, squaring: 0.7 } });
const kerf: BenchRecipe = (bench) => void (bench.losses = { ...bench.losses, hoop: { ...bench.losses?.hoop, kerf: 0.3 } });
const reading: BenchRecipe = (bench) => void (bench.mandrel = [...(bench.mandrel ?? []), { label: "54", diameter: 17.2 }]);

test("a change is the single values that it alters, each by its path, with what they were", () => {
  expect(change(SHIPPED_BENCH, squaring)).toEqual([{ path: ["losses", "wall", "squaring"], before: undefined, after: 0.7 }]);
  const bench = { ...SHIPPED_BENCH, losses: { wall: { squaring: 0.7, mark: 0.2 } } };
  expect(change(bench, (each) => void delete each.losses!.wall!.mark)).toEqual([
    { path: ["losses", "wall", "mark"], before: 0.2, after: undefined },
  ]);
  expect(change(bench, (each) => void delete each.losses)).toHaveLength(2);
  expect(change(SHIPPED_BENCH, reading)).toEqual([{ path: ["mandrel"], before: undefined, after: [{ label: "54", diameter: 17.2 }] }]);
  expect(change(bench, () => undefined)).toEqual([]);
  expect(change(bench, (each) => void (each.losses = { wall: { squaring: 0.7, mark: 0.2 } }))).toEqual([]);
});

test("a bench that is changed, and has the change taken back, is as it was, whatever it was", () => {
  fc.assert(
    fc.property(anyBench(), anyBench(), (from, to) => {
      const made = changeOf(from, (bench) => {
        for (const key of Object.keys(bench)) delete (bench as Record<string, unknown>)[key];
        Object.assign(bench, to);
      });
      if (!made.ok) return;
      const there = changed(from, made.change);
      expect(plain(there)).toEqual(plain(to));
      expect(plain(changed(there, takenBack(made.change), true))).toEqual(plain(from));
    }),
    { numRuns: runs(60) },
  );
});

test("changes of two windows both count where they are of different values, in either order", () => {
  fc.assert(
    fc.property(anyBench(), (bench) => {
      const [a, b] = [change(bench, squaring), change(bench, kerf)];
      const [ab, ba] = [changed(changed(bench, a), b), changed(changed(bench, b), a)];
      expect(plain(ab)).toEqual(plain(ba));
      expect(ab!.losses).toMatchObject({ wall: { squaring: 0.7 }, hoop: { kerf: 0.3 } });
      expect(plain(changed(ab, takenBack(a), true))).toEqual(plain(changed(bench, b)));
    }),
    { numRuns: runs(60) },
  );
});

test("of one value the last counts, but is taken back only while it is as it was left; a list is changed only as it was found", () => {
  const [first, second] = [change(SHIPPED_BENCH, squaring), [{ path: ["losses", "wall", "squaring"], before: undefined, after: 0.9 }]];
  const both = changed(changed(SHIPPED_BENCH, first), second);
  expect(both!.losses!.wall!.squaring).toBe(0.9);
  expect(changed(both, takenBack(first), true)).toBeNull();
  expect(changed(both, takenBack(second), true)).toEqual(SHIPPED_BENCH);
  const mandrel = change(SHIPPED_BENCH, reading);
  const other = { ...SHIPPED_BENCH, mandrel: [{ label: "56", diameter: 17.8 }] };
  expect(changed(other, mandrel)).toBeNull();
  expect(changed(SHIPPED_BENCH, mandrel)!.mandrel).toHaveLength(1);
  expect(changed(null, mandrel)).toEqual({ ...SHIPPED_BENCH, mandrel: [{ label: "54", diameter: 17.2 }] });
});

test("a change that makes no bench is refused with why, and is not made to another that it does not fit", () => {
  expect(changeOf(SHIPPED_BENCH, (bench) => void (bench.overshoot = 40))).toEqual({ ok: false, problem: "must be at most 14, got 40" });
  const grade = { id: "hard", rank: 1, gives: 740, runs: 787 };
  const twice = changeOf(SHIPPED_BENCH, (bench) => void (bench.shelves = [{ id: "mine", grades: [grade, grade] }]));
  expect(twice).toEqual({ ok: false, problem: "must not be an id used elsewhere, got hard" });
  expect(changed(SHIPPED_BENCH, [{ path: ["overshoot"], after: 40 }])).toBeNull();
  expect(changed(SHIPPED_BENCH, [{ path: ["spoon"], after: 1 }])).toBeNull();
});

test("an object that holds nothing more goes with its last value", () => {
  const bench = changed(SHIPPED_BENCH, change(SHIPPED_BENCH, squaring));
  expect(bench).toHaveProperty("losses.wall.squaring", 0.7);
  expect(changed(bench, takenBack(change(SHIPPED_BENCH, squaring)))).toEqual(SHIPPED_BENCH);
});
