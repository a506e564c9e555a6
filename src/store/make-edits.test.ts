import { demoMakes } from "@demo/makes";
import fc from "fast-check";
import { type Make } from "@/core/piece/make";
import { type MakeEdit, edited, merged, setting, takenBack, ticking } from "./make-edits";

const [make] = demoMakes() as [Make];
const sorted = (each: Make) => ({ ...each, done: [...each.done].sort((a, b) => a.step.localeCompare(b.step)) });
const reading = (value: number) => ({ figure: "hoop.cutLength", value, at: `t${value}`, by: "typed" as const });

test("whatever is added, taken away or set, taking it back gives the making as it was", () => {
  const step = fc.constantFrom(...make.done.map((each) => each.step), "new-1", "new-2");
  const edit = fc.oneof(
    fc.tuple(step, fc.boolean()).map(
      ([id, isDone]) =>
        (of: Make) =>
          ticking(of, [id], isDone, of.done.find((each) => each.step === id)?.at ?? "now"),
    ),
    fc.integer({ min: 1, max: 9 }).map((value) => (): MakeEdit => ({ put: { measured: [reading(value)] } })),
    fc
      .record({ words: fc.string(), minutes: fc.option(fc.nat()), finished: fc.option(fc.string()) })
      .map((set) => (of: Make) => setting(of, set)),
  );
  fc.assert(
    fc.property(edit, (of) => {
      const change = of(make);
      const isNew = change.put?.done?.some(({ step: id }) => make.done.every((each) => each.step !== id)) ?? true;
      const back = edited(edited(make, change), takenBack(change));
      if (isNew || !change.put) expect(sorted(back)).toEqual(sorted(make));
      else expect(sorted(edited(back, change))).toEqual(sorted(make));
    }),
  );
});

test("edits of two windows both stand; a step is ticked once; values that are taken away are gone from the file", () => {
  const both = edited(edited(make, { put: { measured: [reading(1)] } }), {
    put: { measured: [reading(2)], photos: [{ name: "p", at: "1", jpeg: "" }] },
  });
  expect(both.measured.slice(-2).map(({ value }) => value)).toEqual([1, 2]);
  expect(both.photos).toHaveLength(1);
  const id = make.done[3]!.step;
  expect(edited(make, ticking(make, [id], true, "later")).done.filter(({ step }) => step === id)).toEqual([{ step: id, at: "later" }]);
  const bare = edited(make, setting(make, { size: null, minutes: null, words: null, asBegun: "x" }));
  expect([bare.result, bare.asBegun, bare.finished]).toEqual([undefined, "x", make.finished]);
});

test("what is typed in one go is one change, from before it was begun to its end", () => {
  const first = setting(make, { words: "a" });
  const second = setting(edited(make, first), { words: "ab" });
  const one = merged(first, second);
  expect(edited(make, one).result!.words).toBe("ab");
  expect(edited(edited(make, one), takenBack(one)).result!.words).toBe(make.result!.words);
});
