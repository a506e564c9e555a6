import fc from "fast-check";
import { isUneven, turnInProfile } from "./profile";
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
