import { minutesBetween, readClock } from "./day-hours";

test.each([
  ["9", "09:00"],
  ["9:30", "09:30"],
  ["9.05", "09:05"],
  ["0930", "09:30"],
  [" 23:59 ", "23:59"],
  ["24:00", null],
  ["9:60", null],
  ["9:3", null],
  ["nine", null],
  ["", null],
])("%j is read as %j", (typed, time) => expect(readClock(typed)).toBe(time));

test("minutes between two times of a day", () => {
  expect(minutesBetween("09:30", "16:05")).toBe(395);
  expect(minutesBetween("12:00", "09:30")).toBe(-150);
});
