import fc from "fast-check";
import { misreadOf } from "./misread";

test("a point left out, a point too far and inches for millimetres are asked about, each with what it may be meant as", () => {
  expect(misreadOf(4605, 46.05)!.likely).toBeCloseTo(46.05, 9);
  expect(misreadOf(4.605, 46.05)!.likely).toBeCloseTo(46.05, 9);
  expect(misreadOf(1.813, 46.05)!.likely).toBeCloseTo(46.05, 2);
  expect(misreadOf(46.05 * 25.4, 46.05)!.likely).toBeCloseTo(46.05, 9);
  expect(misreadOf(150, 46.05)).toEqual({ likely: null });
});

test("from half to twice the wanted nothing is asked, beyond it always; what may be meant lies near the wanted", () => {
  fc.assert(
    fc.property(fc.double({ min: 0.01, max: 1000, noNaN: true }), fc.double({ min: 0.001, max: 2000, noNaN: true }), (value, times) => {
      const wanted = value / times;
      const misread = misreadOf(value, wanted);
      expect(misread !== null).toBe(value < wanted / 2 || value > wanted * 2);
      if (misread && misread.likely !== null) expect(Math.abs(Math.log(misread.likely / wanted))).toBeLessThan(Math.log(1.26));
    }),
  );
  expect(misreadOf(5, 0)).toBeNull();
});
