import fc from "fast-check";
import { estimateOf } from "./estimate";

const value = fc.double({ min: 0, max: 3, noNaN: true });

test("by hand: three of the shipped default and what was seen, and how far that scatters", () => {
  expect(estimateOf(0.88, [])).toEqual({ estimate: 0.88, spread: null, kept: [], outliers: [] });
  expect(estimateOf(0.88, [1.28])).toMatchObject({ estimate: (3 * 0.88 + 1.28) / 4, spread: null });
  const three = estimateOf(0.88, [1.2, 1.3, 1.4]);
  expect(three.estimate).toBeCloseTo((2.64 + 3.9) / 6, 12);
  expect(three.spread).toBeCloseTo(0.1, 12);
});

test("from five on what lies past 3.5 times the scatter is left out, exactly; none where there is no scatter", () => {
  const near = [1, 1.1, 1.2, 1.3];
  const far = 3.5 * 1.4826 * 0.1;
  expect(estimateOf(1, [...near, 9]).outliers).toEqual([4]);
  expect(estimateOf(1, [...near.slice(1), 9]).outliers).toEqual([]);
  expect(estimateOf(1, [1, 1.1, 1.2, 1.3, 1.2 + far - 1e-9]).outliers).toEqual([]);
  expect(estimateOf(1, [1, 1.1, 1.2, 1.3, 1.2 + far + 1e-9]).outliers).toEqual([4]);
  expect(estimateOf(1, [1, 1, 1, 1, 5]).outliers).toEqual([]);
});

test("the order does not matter, and one far outlier more changes nothing", () => {
  fc.assert(
    fc.property(fc.array(value, { minLength: 1, maxLength: 20 }), fc.nat(), (values, turn) => {
      const at = turn % values.length;
      const [a, b] = [estimateOf(1, values), estimateOf(1, [...values.slice(at), ...values.slice(0, at)])];
      expect(b.estimate).toBeCloseTo(a.estimate, 9);
      expect(b.outliers.length).toBe(a.outliers.length);
    }),
  );
  fc.assert(
    fc.property(fc.double({ min: 1e4, max: 1e6, noNaN: true }), (far) => {
      const values = [1, 1.05, 1.1, 1.15, 1.2, 1.25, 1.3];
      const [a, b] = [estimateOf(0.9, values), estimateOf(0.9, [...values, far])];
      expect([b.estimate, b.spread, b.outliers]).toEqual([a.estimate, a.spread, [7]]);
    }),
  );
});
