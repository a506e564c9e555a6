import { type ScaleChoice, perspectiveOf, scaleOf } from "./scale";

const NOTHING: ScaleChoice = {
  by: "rule",
  ends: [
    [100, 200],
    [400, 600],
  ],
  mm: null,
  square: null,
  round: null,
  diameter: null,
};
const SQUARES = { pitch: [100, 102], turn: 0.02 } as const;
const PLAIN = { squares: null, above: null };
const COIN = { middle: [50, 50], across: 420, tilt: { ratio: 0.98, turn: 0 } } as const;

test("a scale is by what was chosen, and by nothing that nobody said", () => {
  expect(scaleOf(NOTHING, PLAIN)).toBeNull();
  expect(scaleOf({ ...NOTHING, mm: 20 }, PLAIN)).toEqual({ pxPerMm: 25 });
  expect(scaleOf({ ...NOTHING, by: "squares", mm: 20 }, { squares: SQUARES, above: null })).toBeNull();
  expect(scaleOf({ ...NOTHING, by: "squares", square: 5 }, { squares: SQUARES, above: null })!.pxPerMm).toBeCloseTo(20.2, 12);
  expect(scaleOf({ ...NOTHING, by: "above" }, { squares: null, above: 24 })).toEqual({ pxPerMm: 24 });
  expect(scaleOf({ ...NOTHING, by: "above" }, PLAIN)).toBeNull();
  expect(scaleOf({ ...NOTHING, by: "round", round: COIN }, PLAIN)).toBeNull();
  expect(scaleOf({ ...NOTHING, by: "round", round: COIN, diameter: 20 }, PLAIN)).toEqual({ pxPerMm: 21, tilt: COIN.tilt });
});

test("a tilt that a round shows is undone in the rule and in the squares too", () => {
  const rule = scaleOf({ ...NOTHING, mm: 20, round: COIN }, PLAIN)!;
  // 300 along the long axis, 400 across it
  expect(rule.pxPerMm).toBeCloseTo(Math.hypot(300, 400 / 0.98) / 20, 9);
  expect(rule.tilt).toBe(COIN.tilt);
  const level = { pitch: [100, 98], turn: 0 } as const;
  expect(scaleOf({ ...NOTHING, by: "squares", square: 4, round: COIN }, { squares: level, above: null })!.pxPerMm).toBeCloseTo(25, 9);
});

test("two known lengths say what is left of perspective; one says nothing", () => {
  expect(perspectiveOf({ ...NOTHING, mm: 20 }, PLAIN)).toBeNull();
  const both = { ...NOTHING, mm: 20, square: 4 };
  expect(perspectiveOf(both, { squares: SQUARES, above: null })).toBeCloseTo(25.25 / 25 - 1, 9);
  expect(perspectiveOf({ ...both, by: "squares" }, { squares: SQUARES, above: 99 })).toBeCloseTo(0.01, 9);
});
