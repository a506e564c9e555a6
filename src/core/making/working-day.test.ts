import fc from "fast-check";
import { type DayTask } from "./day";
import { handsOf, withinHours } from "./working-day";

const task = (step: string, start: number, hands: number, wait = 0): DayTask => ({ piece: "p", step, start, hands, wait, isUsual: true });
const FREE = { pause: null, stop: null };
const tasks = [task("a", 0, 20), task("b", 20, 15, 8), task("c", 35, 30)];

test("without a break or a stop a day is as it was planned", () => {
  expect(withinHours(tasks, FREE)).toEqual({ today: tasks, tomorrow: [], finish: 65 });
});

test("what would run into the break begins after it, with all that follows; a wait goes on through it", () => {
  const { today, finish } = withinHours(tasks, { ...FREE, pause: { from: 30, minutes: 45 } });
  expect(today.map(({ step, start }) => [step, start])).toEqual([
    ["a", 0],
    ["b", 75],
    ["c", 90],
  ]);
  expect(finish).toBe(120);
  // It ends as the break begins, and the next begins as it ends.
  expect(withinHours(tasks, { ...FREE, pause: { from: 35, minutes: 10 } }).today.map(({ start }) => start)).toEqual([0, 20, 45]);
});

test("the first that would go on past the stop goes to tomorrow with all after it", () => {
  const { today, tomorrow, finish } = withinHours(tasks, { ...FREE, stop: 64 });
  expect([today.map(({ step }) => step), tomorrow.map(({ step }) => step), finish]).toEqual([["a", "b"], ["c"], 43]);
  expect(withinHours(tasks, { ...FREE, stop: 65 }).tomorrow).toEqual([]);
  expect(withinHours(tasks, { ...FREE, stop: 10 })).toMatchObject({ today: [], finish: 0 });
  expect(handsOf(tomorrow)).toBe(30);
});

const day = fc
  .array(
    fc.record({ hands: fc.integer({ min: 1, max: 90 }), wait: fc.integer({ min: 0, max: 30 }), gap: fc.integer({ min: 0, max: 10 }) }),
    { maxLength: 12 },
  )
  .map((all) => {
    let at = 0;
    return all.map(({ hands, wait, gap }, i) => {
      const start = at + gap;
      at = start + hands;
      return task(String(i), start, hands, wait);
    });
  });

test("no hands work in the break or past the stop, none at two things, none is lost, and what waits is never cut short", () =>
  fc.assert(
    fc.property(
      day,
      fc.integer({ min: 1, max: 300 }),
      fc.integer({ min: 1, max: 90 }),
      fc.integer({ min: 0, max: 600 }),
      (all, from, minutes, stop) => {
        const { today, tomorrow } = withinHours(all, { pause: { from, minutes }, stop });
        expect([...today, ...tomorrow].map(({ step }) => step)).toEqual(all.map(({ step }) => step));
        today.forEach(({ start, hands }, i) => {
          expect(start + hands <= from || start >= from + minutes).toBe(true);
          expect(start + hands).toBeLessThanOrEqual(stop);
          const next = today[i + 1];
          if (next) expect(next.start - (start + hands)).toBeGreaterThanOrEqual(all[i + 1]!.start - (all[i]!.start + all[i]!.hands));
        });
      },
    ),
  ));
