import { demoMakes } from "@demo/makes";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { observationsOf } from "@/core/piece/ledger";
import { type Make } from "@/core/piece/make";
import { encode } from "@/formats/backup-codec";
import { decodeMake } from "@/formats/make-codec";
import { correctedDates, correctedNotes, correctedReading, correctedResult } from "./make-corrections";
import { type MakeEdit, edited, takenBack } from "./make-edits";

const make = demoMakes().find(({ measured, result }) => measured.length >= 4 && result?.minutes !== undefined)!;
const [AT, LATER] = ["2026-11-30T10:00:00.000Z", "2026-11-30T11:00:00.000Z"];
const reads = (each: Make) => {
  const read = decodeMake(encode(each), SHIPPED_BENCH);
  if (!read.ok) throw new Error(JSON.stringify(read.faults));
  return read.value;
};
const both = (of: Make, edit: MakeEdit) => ({ after: reads(edited(of, edit)), back: edited(edited(of, edit), takenBack(edit)) });

test("a reading that is put right stays in its place, says what it was, and is as it was once that is undone", () => {
  const old = make.measured[1]!;
  const { after, back } = both(make, correctedReading(old, { value: old.value + 0.25 }, AT));
  expect(after.measured.map(({ figure }) => figure)).toEqual(make.measured.map(({ figure }) => figure));
  expect(after.measured[1]).toEqual({ ...old, value: old.value + 0.25, by: "typed", was: [{ value: old.value, at: AT }] });
  expect(back).toEqual(make);
  const twice = edited(after, correctedReading(after.measured[1]!, { method: "saw, file" }, LATER));
  expect(twice.measured[1]).toMatchObject({ value: old.value + 0.25, method: "saw, file" });
  expect(twice.measured[1]!.was).toEqual([
    { value: old.value, at: AT },
    { value: old.value + 0.25, at: LATER, ...(old.method !== undefined && { method: old.method }) },
  ]);
});

test("what the hands take off follows: the first size after the seam stays the first, a value that was made up counts once it is typed", () => {
  const inside = "hoop.insideDiameter";
  const first = make.measured.find(({ figure }) => figure === inside)!;
  const restretched = edited(make, { put: { measured: [{ ...first, value: first.value + 0.4, at: LATER }] } });
  const lost = (of: Make) => observationsOf(of).find(({ kind }) => kind === "hoop.length")?.value;
  expect(lost(restretched)).toBeCloseTo(lost(make)!, 9);
  const corrected = edited(restretched, correctedReading(first, { value: first.value - 0.1 }, AT));
  expect(lost(corrected)).toBeCloseTo(lost(make)! + 0.1 * Math.PI, 1);
  const sent = { ...first, madeUp: true, by: "mandrel" as const };
  const guessed = edited(make, { drop: { measured: [first] }, put: { measured: [sent] } });
  expect(lost(guessed)).toBeUndefined();
  const typed = edited(guessed, correctedReading(sent, { value: first.value + 0.01 }, AT));
  expect(lost(typed)).toBeDefined();
  expect(typed.measured.find(({ figure }) => figure === inside)!.was).toEqual([{ value: first.value, at: AT, madeUp: true }]);
});

test("outside sizes vouch for no other length; a method alone keeps them", () => {
  const read = {
    figure: "m1.wall.netLength",
    value: 45.2,
    at: AT,
    by: "typed" as const,
    how: "extents" as const,
    extents: [16.64, 12.63] as const,
  };
  const value = correctedReading(read, { value: 45.4 }, LATER).put!.measured![0]!;
  expect([value.how, value.extents, value.was]).toEqual(["extents", undefined, [{ value: 45.2, at: LATER, extents: [16.64, 12.63] }]]);
  const method = correctedReading(read, { method: "file" }, LATER).put!.measured![0]!;
  expect([method.extents, method.was]).toEqual([[16.64, 12.63], [{ value: 45.2, at: LATER }]]);
});

test("size, minutes, words, notes and dates keep what they were, also where there was nothing, and are as they were once undone", () => {
  const { result, notes, started, finished } = make;
  const one = both(make, correctedResult(make, { minutes: 95, size: null }, AT));
  expect(one.after.result).toEqual({
    ...result,
    size: undefined,
    minutes: 95,
    was: [{ minutes: result!.minutes, size: result!.size ?? null, at: AT }].map((was) =>
      result!.size === undefined ? { minutes: was.minutes, at: AT } : was,
    ),
  });
  const two = both(one.after, correctedResult(one.after, { words: "thinner" }, LATER));
  expect(two.after.result!.was).toHaveLength(2);
  expect(two.back).toEqual(one.after);
  const noted = both(make, correctedNotes(make, `${notes} more`, AT));
  expect(noted.after).toMatchObject({ notes: `${notes} more`, notesWas: [{ value: notes, at: AT }] });
  expect(noted.back).toEqual(make);
  const dated = both(make, correctedDates(make, { started: "2026-01-02T08:00:00.000Z" }, AT));
  expect(dated.after).toMatchObject({ started: "2026-01-02T08:00:00.000Z", finished, datesWas: [{ started, at: AT }] });
  expect(dated.back).toEqual(make);
});

test("what is typed again as it stands is no correction", () => {
  const [reading] = make.measured;
  expect([
    correctedReading(reading!, { value: reading!.value, method: reading!.method ?? "" }, AT),
    correctedResult(make, { ...(make.result!.minutes !== undefined && { minutes: make.result!.minutes }) }, AT),
    correctedNotes(make, make.notes, AT),
    correctedDates(make, { started: make.started, finished: make.finished }, AT),
  ]).toEqual([{}, {}, {}, {}]);
});
