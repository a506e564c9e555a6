import { minutesBetween, onClock, readClock } from "./day-hours";

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
  ["9 pm", "21:00"],
  ["12:05 am", "00:05"],
  ["12:05PM", "12:05"],
  ["13:00 pm", null],
  ["0:30 am", null],
])("%j is read as %j", (typed, time) => expect(readClock(typed)).toBe(time));

test("minutes between two times of a day", () => {
  expect(minutesBetween("09:30", "16:05")).toBe(395);
  expect(minutesBetween("12:00", "09:30")).toBe(-150);
});

test("a time is told on a clock of 24 hours or of 12, and is read back from either", () => {
  for (const time of ["00:05", "09:30", "12:00", "23:59"])
    for (const hours of [12, 24] as const) expect(readClock(onClock(time, hours))).toBe(time);
  expect([onClock("00:05", 12), onClock("12:00", 12), onClock("21:30", 12), onClock("", 12), onClock("21:30", 24)]).toEqual([
    "12:05 am",
    "12:00 pm",
    "9:30 pm",
    "",
    "21:30",
  ]);
});
