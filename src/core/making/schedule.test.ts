import fc from "fast-check";
import { DEMO_PIECES, demoPiece } from "@demo/pieces";
import { SHIPPED_BENCH, minutesOf } from "../piece/bench";
import { planPiece } from "../piece/plan-piece";
import { type Schedule, type PlannedTask, schedule } from "./schedule";
import { type OnTheBench, dayOf } from "./day";
import { meanwhile } from "./meanwhile";
import { step } from "./step";
import { tasksFrom } from "./tasks";

/** Every order of work there is, each begun as soon as it can be. Written from the definitions alone. */
function exhaustive(tasks: readonly PlannedTask[]): number {
  let least = Infinity;
  const go = (over: ReadonlyMap<string, number>, free: number) => {
    if (over.size === tasks.length) least = Math.min(least, Math.max(...over.values()));
    for (const { step, hands, wait, after } of tasks) {
      if (over.has(step) || !after.every((id) => over.has(id))) continue;
      const done = Math.max(free, ...after.map((id) => over.get(id)!)) + hands;
      go(new Map([...over, [step, done + wait]]), done);
    }
  };
  go(new Map(), 0);
  return least;
}

/** Up to so many tasks, each after some of those before it. */
function anyTasks(most: number): fc.Arbitrary<PlannedTask[]> {
  const one = fc.record({
    hands: fc.integer({ min: 1, max: 12 }),
    wait: fc.oneof(fc.constant(0), fc.integer({ min: 1, max: 30 })),
    after: fc.array(fc.nat(most), { maxLength: 2 }),
  });
  return fc.array(one, { minLength: 1, maxLength: most }).map((all) =>
    all.map(({ hands, wait, after }, i) => ({
      ...{ step: `s${i}`, hands, wait, isUsual: true },
      after: [...new Set(after.filter((j) => j < i).map((j) => `s${j}`))],
    })),
  );
}

/** One pair of hands, nothing before what it is after is over, and no longer than it says. */
function isKept({ tasks, finish, oneAfterAnother }: Schedule): void {
  const over = new Map(tasks.map(({ step, start, hands, wait }) => [step, start + hands + wait]));
  tasks.forEach(({ step, start, after }, i) => {
    const before = tasks[i - 1];
    if (before && start < before.start + before.hands) throw new Error(`${step} and ${before.step} at once`);
    for (const id of after) if (start < over.get(id)!) throw new Error(`${step} before ${id} is over`);
  });
  expect(finish).toBeCloseTo(Math.max(0, ...over.values()), 9);
  expect(oneAfterAnother).toBeCloseTo(
    tasks.reduce((all, { hands, wait }) => all + hands + wait, 0),
    9,
  );
}

test("the day found is the shortest of all orders of up to 8 steps, and proven", () => {
  fc.assert(
    fc.property(anyTasks(8), (tasks) => {
      const day = schedule(tasks);
      isKept(day);
      expect(day.finish).toBe(exhaustive(tasks));
      expect(day.proven).toBe(true);
    }),
    { numRuns: 300, seed: 16 },
  );
});

test("no day of many steps beats its bound, and one that is proven meets it", () => {
  let proven = 0;
  fc.assert(
    fc.property(anyTasks(60), (tasks) => {
      const day = schedule(tasks);
      isKept(day);
      const sinks = tasks.filter(({ step }) => !tasks.some(({ after }) => after.includes(step)));
      const hands = tasks.reduce((all, task) => all + task.hands, 0);
      expect(day.bound).toBeGreaterThanOrEqual(hands + Math.min(...sinks.map(({ wait }) => wait)));
      expect(day.proven).toBe(day.finish === day.bound);
      expect(day.bound).toBeLessThanOrEqual(day.finish);
      proven += day.proven ? 1 : 0;
    }),
    { numRuns: 60, seed: 3 },
  );
  expect(proven).toBeGreaterThan(50);
});

test("a wait is used where another part can be worked", () => {
  const of = (step: string, hands: number, wait: number, after: string[]): PlannedTask => ({
    step,
    hands,
    wait,
    after,
    isUsual: true,
  });
  const day = schedule([of("a", 5, 0, []), of("a2", 1, 8, ["a"]), of("b", 6, 0, []), of("c", 4, 3, ["a2", "b"])]);
  expect(day).toMatchObject({ finish: 21, oneAfterAnother: 27, proven: true });
  expect(day.tasks.map(({ step, start }) => [step, start])).toEqual([
    ["a", 0],
    ["a2", 5],
    ["b", 6],
    ["c", 14],
  ]);
  expect(schedule([])).toEqual({ finish: 0, oneAfterAnother: 0, proven: true, bound: 0, tasks: [] });
  expect(() => schedule([of("a", 1, 0, ["b"]), of("b", 1, 0, [])])).toThrow(/a is after b/);
});

/** How often the hands go from one piece to another. */
const changes = ({ tasks }: Schedule, pieceOf: (step: string) => string) =>
  tasks.filter(({ step }, i) => i > 0 && pieceOf(step) !== pieceOf(tasks[i - 1]!.step)).length;

test("what belongs to one piece is done together where the day is no longer for it", () => {
  const pieceOf = (step: string) => step.slice(0, 1);
  const of = (step: string, hands: number, wait: number, after: string[]): PlannedTask => ({
    step,
    hands,
    wait,
    after,
    isUsual: true,
  });
  const alike = ["a", "b"].flatMap((piece) => [
    of(`${piece}1`, 3, 0, []),
    of(`${piece}2`, 3, 0, [`${piece}1`]),
    of(`${piece}3`, 3, 0, [`${piece}2`]),
  ]);
  expect(schedule(alike, pieceOf).tasks.map(({ step }) => step)).toEqual(["a1", "a2", "a3", "b1", "b2", "b3"]);
  const waits = [of("a1", 3, 8, []), of("a2", 3, 0, ["a1"]), of("b1", 4, 0, []), of("b2", 4, 0, ["b1"])];
  expect(schedule(waits, pieceOf)).toMatchObject({ finish: 14, proven: true });
  expect(schedule(waits, pieceOf).tasks.map(({ step }) => step)).toEqual(["a1", "b1", "b2", "a2"]);
  let [fewer, all] = [0, 0];
  fc.assert(
    fc.property(anyTasks(14), fc.array(fc.constantFrom("a", "b", "c"), { minLength: 14, maxLength: 14 }), (tasks, pieces) => {
      const whose = (step: string) => pieces[Number(step.slice(1))]!;
      const [plain, together] = [schedule(tasks), schedule(tasks, whose)];
      isKept(together);
      expect(together.finish).toBeCloseTo(plain.finish, 9);
      expect(together.tasks.reduce((latest, { start, hands, wait }) => Math.max(latest, start + hands + wait), 0)).toBeLessThanOrEqual(
        plain.finish + 1e-9,
      );
      fewer += changes(together, whose);
      all += changes(plain, whose);
    }),
    { numRuns: 60, seed: 11 },
  );
  expect(fewer).toBeLessThan(0.75 * all);
});

const atWork = (id: string) => {
  const plan = planPiece(demoPiece(id), SHIPPED_BENCH);
  return { plan, tasks: plan.tasks! };
};

test("every step of a piece is a task; the hoop is worked while the wall is in the pickle, and nothing of a body passes what is before it", () => {
  for (const { id } of DEMO_PIECES) {
    const { plan, tasks } = atWork(id);
    expect(tasks.map(({ step }) => step).sort()).toEqual(plan.steps.map((step) => step.id).sort());
    isKept(schedule(tasks));
  }
  const { tasks } = atWork("tern-ring");
  const day = schedule(tasks);
  const at = (step: string) => day.tasks.find((task) => task.step === step)!;
  const over = (step: string) => at(step).start + at(step).hands + at(step).wait;
  expect(day.proven).toBe(true);
  expect(day.finish).toBeLessThan(day.oneAfterAnother);
  const between = day.tasks.filter(({ start }) => start >= at("m1.seam.pickle").start + 1 && start < over("m1.seam.pickle"));
  expect(between.length).toBeGreaterThan(0);
  expect(between.every(({ step }) => !step.startsWith("m1.wall"))).toBe(true);
  expect(at("m1.wall.try").start).toBeGreaterThanOrEqual(over("m1.seam.pickle"));
  expect(at("hoop.mount.m1.heat").start).toBeGreaterThanOrEqual(over("hoop.seam.pickle"));
  expect(at("m1.set.polish").after).toContain("m1.set.push");
});

test("what is fitted to another part waits for it, the joints of one heat share its pickle, and of a pair the hands do all twice", () => {
  const { tasks: bridged } = atWork(DEMO_PIECES.find(({ carrier }) => carrier.type === "hoop" && carrier.form === "bridge")!.id);
  const waits = bridged.filter(({ step }) => step === "bridge.1.pickle" || step === "bridge.2.pickle").map(({ wait }) => wait);
  expect(waits).toEqual([8]);
  const formed = bridged.find(({ step }) => step === "bridge.hoop.form")!;
  expect(formed.after).toContain("hoop.round");
  const pair = DEMO_PIECES.find(({ copies }) => copies === 2)!;
  const { plan, tasks } = atWork(pair.id);
  const cut = tasks.find(({ step }) => step === "m1.plate.cut")!;
  expect(cut.hands).toBe(2 * minutesOf(SHIPPED_BENCH, "plate.cut").value.hands);
  expect(plan.steps.length).toBe(tasks.length);
});

test("several pieces share one pair of hands, and what is done already is left out", () => {
  const [ring, pair] = ["tern-ring", "dunlin-earrings"].map((id) => ({
    piece: id,
    tasks: atWork(id).tasks,
    done: new Set<string>(),
  })) as unknown as [OnTheBench, OnTheBench];
  const both = dayOf([ring, pair]);
  const alone = [ring, pair].map((each) => dayOf([each]).finish);
  const hands = both.tasks.reduce((all, task) => all + task.hands, 0);
  expect(both.proven).toBe(true);
  expect(both.finish).toBeLessThan(alone[0]! + alone[1]!);
  expect(both.finish).toBeGreaterThanOrEqual(hands);
  expect(both.tasks.length).toBe(ring.tasks.length + pair.tasks.length);
  expect(new Set(both.tasks.map(({ piece }) => piece))).toEqual(new Set(["tern-ring", "dunlin-earrings"]));
  const done = new Set(ring.tasks.map(({ step }) => step).filter((step) => !step.startsWith("m1.set.")));
  const rest = dayOf([{ ...ring, done }]);
  expect(rest.tasks.map(({ step }) => step)).toEqual(ring.tasks.map(({ step }) => step).filter((step) => step.startsWith("m1.set.")));
  expect(rest.finish).toBe(rest.oneAfterAnother);
  expect(dayOf([{ ...ring, done: new Set(ring.tasks.map(({ step }) => step)) }]).finish).toBe(0);
});

test("where no order of heats is found there is no day; minutes nobody gave are told from a maker's own, for the longest wait of a heat too", () => {
  const tern = demoPiece("tern-ring");
  const clashing = {
    ...tern,
    heats: {
      ...tern.heats,
      pins: [{ before: ["hoop.mount.m1", "hoop.seam"] as const }, { joint: "hoop.mount.m1", means: "cold" as const }],
    },
  };
  const clash = planPiece(clashing, SHIPPED_BENCH);
  expect([clash.heatPlan.status, clash.tasks]).toEqual(["impossible", null]);
  const missed = planPiece(tern, SHIPPED_BENCH, [], () => ({ status: "unproven", heats: [], cost: 0, bound: 0 }));
  expect(missed.tasks).toBeNull();
  const unusual = planPiece(tern, {
    ...SHIPPED_BENCH,
    minutes: { "wall.cut": { hands: 2, wait: 0 }, "join.pickle": { hands: 2, wait: 20 } },
  });
  const own = unusual.tasks!.filter(({ isUsual }) => !isUsual).map(({ step }) => step);
  expect(own).toEqual(unusual.steps.filter(({ code }) => code === "wall.cut" || code === "join.pickle").map(({ id }) => id));
  expect(own).toHaveLength(5);
  const seam = unusual.tasks!.find(({ step }) => step === "m1.seam.pickle")!;
  expect([seam.hands, seam.wait]).toEqual([2, 20]);
});

test("a step works its own part and those it names; of a setting all of it, of a carrier in several parts all of them", () => {
  const parts = [
    { id: "m1.wall", mount: "m1" },
    { id: "m1.plate", mount: "m1" },
    { id: "hoop.1", mount: null },
    { id: "hoop.2", mount: null },
  ];
  const steps = [
    step("m1", "wall.cut", { works: ["m1.wall"] }),
    step("m1", "plate.cut", { works: ["m1.plate"] }),
    step("hoop", "hoop.cut"),
    step("m1", "stone.look"),
    step("hoop.2", "hoop.bend", { works: ["m1.plate"] }),
  ];
  const after = tasksFrom({ steps, parts, joints: [] }, ({ code }) => minutesOf(SHIPPED_BENCH, code)).map((task) => task.after);
  expect(after).toEqual([[], [], [], ["m1.wall.cut", "m1.plate.cut"], ["m1.stone.look", "hoop.cut"]]);
  expect(() =>
    tasksFrom({ steps: [step("m2", "set.push")], parts: parts.slice(0, 2), joints: [] }, ({ code }) => minutesOf(SHIPPED_BENCH, code)),
  ).toThrow(/m2.set.push works no part/);
});

test("while the next step's part waits the hands take up the first that waits for nothing; nothing where the next is free or all wait", () => {
  const { steps, tasks } = planPiece(demoPiece("tern-ring"), SHIPPED_BENCH);
  const doneTo = (last: string) => new Set(steps.slice(0, steps.findIndex(({ id }) => id === last) + 1).map(({ id }) => id));
  const pickled = doneTo("m1.seam.pickle");
  const inPickle = new Set(["m1.seam.pickle"]);
  const isDone = (...more: readonly string[]) => new Set([...pickled, ...more]);
  const found = [[], ["hoop.cut"], ["hoop.cut", "hoop.square", "hoop.bend"]].map((more) => meanwhile(tasks!, isDone(...more), inPickle));
  expect(found).toEqual(["hoop.cut", "hoop.square", "hoop.seam.prepare"]);
  expect([meanwhile(tasks!, pickled, new Set()), meanwhile(tasks!, doneTo("m1.foot.pickle"), new Set(["m1.foot.pickle"]))]).toEqual([
    null,
    null,
  ]);
  expect(meanwhile(tasks!, new Set(steps.map(({ id }) => id)), inPickle)).toBeNull();
});
