import fc from "fast-check";
import { besideMarks } from "./beside-marks";

test("labels stand outside their two marks where there is room", () => {
  expect(
    besideMarks(
      [
        { at: 200, width: 90 },
        { at: 260, width: 150 },
      ],
      600,
    ),
  ).toEqual([102, 268]);
  expect(
    besideMarks(
      [
        { at: 260, width: 90 },
        { at: 200, width: 150 },
      ],
      600,
    ),
  ).toEqual([268, 42]);
});

test("at an end of the rule both stand on the other side, one after the other", () => {
  expect(
    besideMarks(
      [
        { at: 40, width: 90 },
        { at: 60, width: 150 },
      ],
      600,
    ),
  ).toEqual([48, 152]);
  expect(
    besideMarks(
      [
        { at: 560, width: 90 },
        { at: 570, width: 150 },
      ],
      600,
    ),
  ).toEqual([308, 412]);
});

test("two labels never lie on each other, and on a rule with room for both they stay on it", () => {
  const label = fc.record({ at: fc.integer({ min: 0, max: 700 }), width: fc.integer({ min: 30, max: 180 }) });
  fc.assert(
    fc.property(label, label, (a, b) => {
      const [x, y] = besideMarks([a, b], 700);
      expect(Math.max(x, y) - Math.min(x, y)).toBeGreaterThanOrEqual(x < y ? a.width : b.width);
      expect(Math.min(x, y)).toBeGreaterThanOrEqual(0);
      expect(Math.max(x + a.width, y + b.width)).toBeLessThanOrEqual(700);
    }),
  );
});
