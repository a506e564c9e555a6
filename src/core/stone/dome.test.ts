import fc from "fast-check";
import { runs } from "@/runs.testing";
import { type Dome, cover, domeCurve, domeShoulder, exponentThrough } from "./dome";

const round: Dome = { radius: 5, turnIn: 1, height: 6, exponent: 2 };

test("on a dome that is a quarter circle, the arc and the lean are those of the circle", () => {
  fc.assert(
    fc.property(fc.double({ min: 0.01, max: 4.9, noNaN: true }), (reach) => {
      const angle = Math.acos((5 - reach) / 5);
      expect(cover(round, reach).arc).toBeCloseTo(5 * angle, 9);
      expect(cover(round, reach).lean).toBeCloseTo(angle, 9);
    }),
  );
});

test("whatever the exponent, the arc is that of the curve finely drawn and the lean is its slope", () => {
  fc.assert(
    fc.property(fc.double({ min: 1.1, max: 6, noNaN: true }), fc.double({ min: 0.05, max: 0.9, noNaN: true }), (exponent, share) => {
      const dome: Dome = { radius: 6, turnIn: 1.9, height: 5.2, exponent };
      const reach = 6 * share;
      const places = domeCurve(dome, 40_000).filter(({ x }) => x >= 6 - reach);
      const drawn = places.slice(1).reduce((all, { x, y }, i) => all + Math.hypot(x - places[i]!.x, y - places[i]!.y), 0);
      const found = cover(dome, reach);
      expect(Math.abs(found.arc - drawn)).toBeLessThan(0.01);
      expect(Math.abs(found.lean - places.at(-1)!.lean)).toBeLessThan(0.02);
    }),
    { numRuns: runs(40) },
  );
});

test("of a very full dome the arc is as long as its curve, and the lean its slope, wherever the catch ends", () => {
  const arcDrawn = ({ radius, turnIn, height, exponent }: Dome & { exponent: number }, reach: number) => {
    const steps = 200_000;
    const end = Math.acos((1 - reach / radius) ** (exponent / 2));
    let [length, x, y] = [0, radius, 0];
    for (let i = 1; i <= steps; i++) {
      const angle = (end * i) / steps;
      const [nx, ny] = [radius * Math.cos(angle) ** (2 / exponent), (height - turnIn) * Math.sin(angle) ** (2 / exponent)];
      length += Math.hypot(nx - x, ny - y);
      [x, y] = [nx, ny];
    }
    return length;
  };
  for (const [radius, rise, exponent, reach] of [
    [1, 3, 20, 0.85],
    [1, 3, 20, 0.8],
    [6, 3.3, 12, 5.9],
    [8, 2, 1.0001, 3],
    [0.4, 4, 3, 0.2],
    [9, 0.5, 6, 0.05],
  ] as const) {
    const dome = { radius, turnIn: 1, height: 1 + rise, exponent };
    expect(cover(dome, reach).arc).toBeCloseTo(arcDrawn(dome, reach), 5);
    const [x, risen] = [1 - reach / radius, (1 - (1 - reach / radius) ** exponent) ** (1 / exponent)];
    expect(cover(dome, reach).lean).toBeCloseTo(Math.atan((radius / rise) * (risen / x) ** (exponent - 1)), 9);
  }
});

test("a pointed dome leans further in at once than a round one, and a flat face lies flat", () => {
  const lean = (exponent: number) => cover({ ...round, exponent }, 0.3).lean;
  expect(lean(1.3)).toBeGreaterThan(lean(2));
  expect(cover({ ...round, turnIn: 6, exponent: "flat" }, 0.3)).toEqual({ arc: 0.3, lean: Math.PI / 2 });
  expect(domeCurve({ ...round, turnIn: 6, exponent: "flat" }, 9)).toEqual([
    { x: 5, y: 6, lean: Math.PI / 2 },
    { x: 0, y: 6, lean: Math.PI / 2 },
  ]);
  expect(() => cover(round, 5)).toThrow(/between 0 and 5/);
});

test("the shoulder lies on the dome, and the exponent through it is the dome's own", () => {
  fc.assert(
    fc.property(fc.double({ min: 1, max: 6, noNaN: true }), fc.double({ min: 0.1, max: 5, noNaN: true }), (exponent, turnIn) => {
      const dome: Dome = { radius: 4, turnIn, height: 6, exponent };
      const { x, y } = domeShoulder(dome)!;
      expect((x / 4) ** exponent + ((y - turnIn) / (6 - turnIn)) ** exponent).toBeCloseTo(1, 9);
      expect(exponentThrough(dome, x, y)).toBeCloseTo(exponent, 6);
    }),
  );
  expect(domeShoulder({ ...round, turnIn: 6, exponent: "flat" })).toBeNull();
  expect([exponentThrough(round, 0, 1), exponentThrough(round, 9, 9)]).toEqual([1, 6]);
});
