import fc from "fast-check";
import { isUneven, turnInProfile, widestGap, withEnd } from "./profile";
import { type Stone } from "./stone";

const stone = (turnIn: Stone["turnIn"]): Stone => ({ outline: { shape: "round", diameter: 10 }, height: 9, turnIn });
const node = fc.record({ at: fc.nat(999).map((i) => i / 1000), height: fc.double({ min: 0.1, max: 5, noNaN: true }) });

test("a profile passes through its heights, goes round without a jump and overshoots none of its neighbours", () => {
  fc.assert(
    fc.property(fc.uniqueArray(node, { minLength: 1, maxLength: 8, selector: ({ at }) => at }), (nodes) => {
      const profile = turnInProfile(stone(nodes));
      const heights = nodes.map(({ height }) => height);
      for (const { at, height } of nodes) expect(profile(at)).toBeCloseTo(height, 9);
      for (let i = 0; i < 400; i++) {
        const value = profile(i / 400);
        expect(value).toBeLessThanOrEqual(Math.max(...heights) + 1e-12);
        expect(value).toBeGreaterThanOrEqual(Math.min(...heights) - 1e-12);
      }
      expect(profile(1)).toBe(profile(0));
      expect(profile(-0.25)).toBeCloseTo(profile(0.75), 12);
    }),
  );
});

test("between two neighbours it only rises or only falls", () => {
  fc.assert(
    fc.property(fc.uniqueArray(node, { minLength: 2, maxLength: 6, selector: ({ at }) => at }), (nodes) => {
      const profile = turnInProfile(stone(nodes));
      const sorted = [...nodes].sort((a, b) => a.at - b.at);
      sorted.slice(1).forEach((to, i) => {
        const from = sorted[i]!;
        const way = Math.sign(to.height - from.height);
        const steps = Array.from({ length: 21 }, (_, k) => profile(from.at + ((to.at - from.at) * k) / 20));
        steps.slice(1).forEach((value, k) => expect(way * (value - steps[k]!)).toBeGreaterThanOrEqual(-1e-9));
      });
    }),
  );
});

test("one height is the same everywhere, and equal ones are not uneven", () => {
  expect(turnInProfile(stone(1.9))(0.3)).toBe(1.9);
  expect([
    isUneven(stone(1.9)),
    isUneven(
      stone([
        { at: 0, height: 2 },
        { at: 0.5, height: 2 },
      ]),
    ),
  ]).toEqual([false, false]);
  expect(
    isUneven(
      stone([
        { at: 0, height: 2 },
        { at: 0.5, height: 2.1 },
      ]),
    ),
  ).toBe(true);
});

test("a height is added in the widest gap, as far from both its neighbours, round the datum too", () => {
  expect(widestGap([0, 0.25, 0.5])).toBe(0.75);
  expect(widestGap([0.2, 0.9])).toBe(0.55);
  expect(widestGap([0.4, 0.6])).toBe(0);
  expect(widestGap([0.3])).toBe(0.8);
  fc.assert(
    fc.property(fc.uniqueArray(fc.nat(999), { minLength: 1, maxLength: 8 }), (thousandths) => {
      const places = thousandths.map((i) => i / 1000);
      const apart = (a: number, b: number) => Math.min(Math.abs(a - b), 1 - Math.abs(a - b));
      const clearance = (at: number) => Math.min(...places.map((place) => apart(place, at)));
      const found = clearance(widestGap(places));
      for (let i = 0; i < 200; i++) expect(clearance(i / 200)).toBeLessThanOrEqual(found + 2e-3);
    }),
  );
});

test("another height at one end leaves the other as it was, and the heights between", () => {
  const ends = { left: 0.5, right: 0 };
  expect(withEnd({ turnIn: 2 }, ends, "right", 2.6)).toEqual([
    { at: 0, height: 2.6 },
    { at: 0.5, height: 2 },
  ]);
  const turnIn = [
    { at: 0.25, height: 1.8 },
    { at: 0.505, height: 2.2 },
    { at: 0.995, height: 2.4 },
  ];
  expect(withEnd({ turnIn }, ends, "right", 2.6)).toEqual([{ at: 0, height: 2.6 }, ...turnIn.slice(0, 2)]);
  expect(withEnd({ turnIn }, ends, "left", 2.5)).toEqual([turnIn[0], { at: 0.5, height: 2.5 }, turnIn[2]]);
});
