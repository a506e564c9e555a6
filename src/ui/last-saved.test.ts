import { unsavedSince } from "./last-saved";

const NOW = Date.parse("2026-12-01T12:00:00Z");
const day = (before: number) => new Date(NOW - before * 86_400_000).toISOString();
const makes = (count: number, before: number) => Array.from({ length: count }, () => day(before));

test("a reminder comes with the tenth make since the last save, or after thirty days", () => {
  expect(unsavedSince(day(5), makes(9, 1), NOW)).toBeNull();
  expect(unsavedSince(day(5), makes(10, 1), NOW)).toEqual({ makes: 10 });
  expect(unsavedSince(day(5), makes(12, 6), NOW)).toBeNull();
  expect(unsavedSince(day(29), [], NOW)).toBeNull();
  expect(unsavedSince(day(31), makes(2, 1), NOW)).toEqual({ makes: 2 });
});

test("where nothing was saved yet, only makes remind", () => {
  expect(unsavedSince(null, makes(9, 90), NOW)).toBeNull();
  expect(unsavedSince(null, makes(10, 90), NOW)).toEqual({ makes: 10 });
});
