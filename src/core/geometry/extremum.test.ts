import fc from "fast-check";
import { leastBetween } from "./extremum";

const place = fc.double({ min: -5, max: 5, noNaN: true });

test("the least of a function with one valley is found, at an end too", () => {
  fc.assert(
    fc.property(place, (lowest) => {
      expect(leastBetween((x) => Math.abs(x - lowest), -10, 10)).toBeCloseTo(lowest, 9);
      expect(leastBetween((x) => (x - lowest) ** 2, -10, 10)).toBeCloseTo(lowest, 6);
    }),
  );
  expect(leastBetween((x) => x, 2, 3)).toBeCloseTo(2, 9);
  expect(leastBetween((x) => -x, 2, 3)).toBeCloseTo(3, 9);
});
