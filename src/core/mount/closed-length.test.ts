import fc from "fast-check";
import { runs } from "@/runs.testing";
import { ellipsePerimeter } from "../geometry/ellipse";
import { outward } from "../geometry/outline";
import { convexShape, heart } from "../stone/shapes/any-shape.testing";
import { outlineOfShape, scaled, shapeFaults } from "../stone/shapes/shapes";
import { extentsOf, goodWithin, lengthByExtents, lengthReading } from "./closed-length";

const strip = { fit: 0.05, thickness: 0.32 };
const oval = outlineOfShape({ shape: "oval", length: 16, width: 12 });

test("two outside sizes of 16.64 and 12.63 round a 16 x 12 oval are a length of 45.20", () => {
  expect(lengthByExtents(oval, strip, [16.64, 12.63])).toBeCloseTo(45.2, 2);
});

test("an oval that is stretched is an oval: its length is the closed form's", () => {
  fc.assert(
    fc.property(fc.double({ min: 15, max: 18, noNaN: true }), fc.double({ min: 11, max: 14, noNaN: true }), (along, across) => {
      const [a, b] = [(along - 0.74) / 2, (across - 0.74) / 2];
      expect(lengthByExtents(oval, strip, [along, across])).toBeCloseTo(ellipsePerimeter(a, b) + 2 * Math.PI * 0.21, 5);
    }),
    { numRuns: runs(40) },
  );
});

test("of every outline the planned outside sizes give the planned length, and a larger one's give the larger", () => {
  fc.assert(
    fc.property(fc.oneof(convexShape, heart), fc.double({ min: 0.98, max: 1.02, noNaN: true }), (shape, by) => {
      fc.pre(shapeFaults(shape).length === 0);
      const outline = outlineOfShape(shape);
      fc.pre(outline.extent(0) > 3 && outline.extent(Math.PI / 2) > 3);
      const off = shape.shape === "heart" ? 0.05 : 0.001;
      const planned = outward(outline, 0.21).length;
      expect(Math.abs(lengthByExtents(outline, strip, extentsOf(outline, strip))! - planned)).toBeLessThan(0.001);
      const other = outlineOfShape(scaled(shape, by));
      expect(Math.abs(lengthByExtents(outline, strip, extentsOf(other, strip))! - outward(other, 0.21).length)).toBeLessThan(off);
    }),
    { numRuns: runs(200) },
  );
});

test("sizes that leave no stone between them give no length", () => {
  expect(lengthByExtents(oval, strip, [0.7, 12.63])).toBeNull();
  expect(lengthByExtents(oval, strip, [16.64, 0.74])).toBeNull();
});

test("a tape is longer by a turn of half the thickness on each side, a mandrel reads the inside; each has its own width of good", () => {
  expect(lengthReading("tape", 0.32).lengthOf(46.2)).toBeCloseTo(45.1947, 4);
  expect(lengthReading("rounded", 0.32).lengthOf(14.08)).toBeCloseTo(Math.PI * 14.4, 9);
  for (const how of ["tape", "rounded"] as const) {
    const { lengthOf, readingOf } = lengthReading(how, 0.32);
    expect(lengthOf(readingOf(45.2))).toBeCloseTo(45.2, 9);
  }
  expect([null, "tape" as const, "extents" as const, "rounded" as const].map(goodWithin)).toEqual([0.05, 0.15, 0.1, 0.06]);
});
