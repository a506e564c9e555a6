import fc from "fast-check";
import { seenBeside } from "./drawing";
import { freeBeside, roundTheHoop, sideBySide, touchAt } from "./placing";

const setting = fc.record({ extent: fc.double({ min: 2, max: 12, noNaN: true }), level: fc.double({ min: 8, max: 12, noNaN: true }) });

test("settings laid side by side have the gap that is asked for, over the front; even ones are as far apart each", () => {
  fc.assert(
    fc.property(fc.array(setting, { minLength: 2, maxLength: 4 }), fc.double({ min: 0.1, max: 1, noNaN: true }), (settings, gap) => {
      const outside = 30;
      const alongs = sideBySide(outside, settings, gap, false);
      expect(alongs[0]! + alongs.at(-1)!).toBeCloseTo(0, 9);
      alongs
        .slice(1)
        .forEach((along, i) => expect(along - alongs[i]! - touchAt(outside, settings[i]!, settings[i + 1]!)).toBeCloseTo(gap, 9));
      const even = sideBySide(outside, settings, gap, true);
      even.slice(2).forEach((along, i) => expect(along - even[i + 1]!).toBeCloseTo(even[1]! - even[0]!, 9));
      const touching = sideBySide(outside, settings, 0, false);
      touching
        .slice(1)
        .forEach((along, i) => expect(along - touching[i]!).toBeGreaterThan(touchAt(outside, settings[i]!, settings[i + 1]!)));
    }),
  );
});

test("one more is placed where it is free, to whichever side is nearer to the front, and never on another", () => {
  const each = { extent: 6, level: 9 };
  const outside = 10;
  const first = freeBeside(outside, [{ ...each, along: 0 }], each, 0.6);
  expect(first).toBeCloseTo(touchAt(outside, each, each) + 0.6, 9);
  const second = freeBeside(
    outside,
    [
      { ...each, along: 0 },
      { ...each, along: first },
    ],
    each,
    0.6,
  );
  expect(second).toBeCloseTo(-first, 9);
  const all = [0, first, second].map((along) => ({ ...each, along }));
  for (const one of all)
    for (const other of all)
      if (one !== other) expect(roundTheHoop(outside, one.along - other.along)).toBeGreaterThan(touchAt(outside, one, other));
  expect([roundTheHoop(10, 3), roundTheHoop(10, 2 * Math.PI * 10 - 3), roundTheHoop(10, -4)]).toEqual([3, expect.closeTo(3, 9), 4]);
});

test("beside the setting that is looked at another leans away: lower to the side the further round it lies, and out of sight past a quarter", () => {
  const seat = (angle: number) => ({ act: "flat" as const, half: 1, level: 10, angle, extent: 6, covers: 33 });
  const seats = { m1: seat(0.2), m2: seat(0.2 + Math.PI / 6), m3: seat(0.2 - Math.PI / 3), m4: seat(0.2 + 0.51 * Math.PI) };
  const seen = (id: string) => seenBeside({ seats }, "m1", id, 0.6);
  expect(seen("m2")).toEqual({ aside: expect.closeTo(5.3, 9) as number, share: expect.closeTo(Math.sqrt(0.75), 9) as number });
  expect(seen("m3")).toEqual({ aside: expect.closeTo(-10.6 * Math.sqrt(0.75), 9) as number, share: expect.closeTo(0.5, 9) as number });
  expect(seen("m4")).toBeNull();
});
