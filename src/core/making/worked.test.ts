import { workedMinutes } from "./worked";

const ticks = (...minutes: number[]) => minutes.map((minute) => 1_795_000_000_000 + minute * 60_000);

test("minutes run from the first tick to the last, in whatever order they are listed; a pause of over half an hour is taken off whole", () => {
  expect(workedMinutes(ticks(0, 12, 30))).toBe(30);
  expect(workedMinutes(ticks(30, 0, 12))).toBe(30);
  expect(workedMinutes(ticks(0, 30, 61, 70))).toBe(39);
  expect(workedMinutes(ticks(0, 30))).toBe(30);
  expect(workedMinutes(ticks(0, 31))).toBe(0);
});

test("what says no time is left out; one tick alone tells nothing", () => {
  expect(workedMinutes([NaN, ...ticks(5, 9)])).toBe(4);
  expect([workedMinutes(ticks(5)), workedMinutes([NaN, NaN]), workedMinutes([])]).toEqual([null, null, null]);
});
