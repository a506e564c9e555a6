import fc from "fast-check";
import { runs } from "@/runs.testing";
import { type Point } from "./outline";
import { offsetPolygon, polygonArea, polygonLength } from "./polygon";
import { rolledRound } from "./rolled";

const ring = (count: number, reach: (angle: number, i: number) => number): Point[] =>
  Array.from({ length: count }, (_, i): Point => {
    const angle = (2 * Math.PI * i) / count;
    return [reach(angle, i) * Math.cos(angle), 0.75 * reach(angle, i) * Math.sin(angle)];
  });

/** Loosens the loops where it rolls into a bay whose mouth is too narrow (mm). */
const LOOSENED = 1e-5;

test("a disc rolled round a polygon goes where the package pushes the polygon to, wavering or not", () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 12, max: 400 }),
      fc.double({ min: 0, max: 0.02, noNaN: true }),
      fc.double({ min: 0.05, max: 1.5, noNaN: true }),
      fc.integer({ min: 1, max: 1e6 }),
      (count, wavers, d, seed) => {
        let state = seed;
        const noise = () => ((state = (state * 48271) % 2147483647) / 2147483647 - 0.5) * 2 * wavers;
        const polygon = ring(count, () => 8 * (1 + noise()));
        const [package_] = offsetPolygon(polygon, d);
        const [way] = offsetPolygon(rolledRound(polygon, d), LOOSENED) as [Point[]];
        expect(Math.abs(polygonLength(way) / polygonLength(package_!) - 1)).toBeLessThan(6e-4);
        expect(Math.abs(polygonArea(way) / polygonArea(package_!) - 1)).toBeLessThan(2e-4);
      },
    ),
    { numRuns: runs(40) },
  );
});

test("spikes closer together than the disc is wide are passed over, whatever is between them", () => {
  const spiked = ring(2000, (_, i) => (i % 2 ? 8 : 4.8));
  const hull = ring(1000, () => 8);
  expect(Math.abs(polygonLength(rolledRound(spiked, 0.3)) / polygonLength(rolledRound(hull, 0.3)) - 1)).toBeLessThan(2e-3);
});
