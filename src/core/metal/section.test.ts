import fc from "fast-check";
import { type Section, fibre, flatFace, sectionArea, sectionCurve } from "./section";

const any: fc.Arbitrary<Section> = fc.record({
  shape: fc.constantFrom("rectangle", "oval", "half-round", "d"),
  width: fc.double({ min: 0.5, max: 12, noNaN: true }),
  thickness: fc.double({ min: 0.5, max: 4, noNaN: true }),
});

test("area and fibre are those of the section as it is drawn", () => {
  fc.assert(
    fc.property(any, (section) => {
      const curve = sectionCurve(section);
      let [area, moment] = [0, 0];
      curve.forEach(([x, y], i) => {
        const [nx, ny] = curve[(i + 1) % curve.length]!;
        const cross = x * ny - nx * y;
        area += cross / 2;
        moment += (cross * (y + ny)) / 6;
      });
      expect(Math.abs(area / sectionArea(section) - 1)).toBeLessThan(0.02);
      expect(Math.abs(moment / area - fibre(section).distance)).toBeLessThan(0.02 * section.thickness);
    }),
  );
});

test("the fibre of a tall arch is that of half an ellipse, of a low one that of a circular segment", () => {
  expect(fibre({ shape: "half-round", width: 3, thickness: 1.6 })).toEqual({
    distance: (4 * 1.6) / (3 * Math.PI),
    note: "fibre.halfEllipse",
  });
  expect(fibre({ shape: "d", width: 4, thickness: 2 }).distance).toBeCloseTo((4 * 2) / (3 * Math.PI), 12);
  expect(fibre({ shape: "d", width: 4, thickness: 1 }).note).toBe("fibre.segment");
  expect(fibre({ shape: "round", width: 2, thickness: 2 }).distance).toBe(1);
});

test("a flat on square wire lays open its whole width, on rounded wire less", () => {
  expect(flatFace({ shape: "square", width: 2, thickness: 2 }, 10, 6)).toBeCloseTo(12, 9);
  const halfRound = flatFace({ shape: "half-round", width: 3, thickness: 1.6 }, 10.194, 7.11);
  expect(halfRound).toBeGreaterThan(0);
  expect(halfRound).toBeLessThan(3 * 7.11);
});
