import * as fc from "fast-check";
import { Conduction } from "./conduction";
import { expOfMinus } from "./exponential";
import { PractisedHeat, STEP_MS } from "./heat";
import { laidLines, laidPlane, rodGirth } from "./laid";
import { MATERIALS, ROOM, lossFrom } from "./materials";
import { loneBody } from "./practice.testing";
import { MOST_SIZE, type TorchMoment, bestDistance, distanceFor, powerOf } from "./torch";

const STEP = STEP_MS / 1000;
const AT: TorchMoment = { ms: 0, x: 0, y: 0, size: 5, isOn: true, isBelow: false, distance: 60, toward: 90 };

test("e^-x by arithmetic alone", () => {
  fc.assert(
    fc.property(fc.double({ min: 0, max: 30, noNaN: true }), (x) => {
      expect(Math.abs(expOfMinus(x) / Math.exp(-x) - 1)).toBeLessThan(1e-7);
    }),
  );
  expect(expOfMinus(0)).toBe(1);
});

test("a flame's power and distance by section 13", () => {
  expect([powerOf(2, 30), powerOf(5, 60), powerOf(9, 90)]).toEqual([25, 55, 130]);
  expect(powerOf(7, 10)).toBeCloseTo(92.5, 9);
  // at 1.6 times the best distance a half is left
  expect(powerOf(5, 96)).toBeCloseTo(27.5, 9);
  expect(powerOf(5, distanceFor(5, 0.3))).toBeCloseTo(16.5, 9);
  expect(bestDistance(MOST_SIZE)).toBe(90);
});

test("a plate all at one temperature follows dT/dt worked out by hand to 0.1 %", () => {
  const side = 6;
  const face = side * side;
  const bit = { x: 3, y: 3, share: 1, length: side, depth: 0, bare: face, under: face, above: face, below: face };
  const body = loneBody({ bits: [bit], runs: [], columns: [], grid: null }, "sterling", face * 0.8);
  const heat = new PractisedHeat(body);
  heat.setTorch({ ...AT, x: side / 2, y: side / 2 });
  // W on its one face, at the middle of the flame
  const flame = (55 / (2 * Math.PI * 25)) * side * side;
  const capacity = ((side * side * 0.8 * 10_360) / 1e6) * 0.275;
  const slope = (t: number) => (flame - 2 * side * side * 1e-6 * lossFrom(t, 0.15)) / capacity;
  let t = ROOM;
  for (let i = 0; i < 20_000; i++) {
    const k = slope(t);
    t += 1e-3 * slope(t + 5e-4 * k);
  }
  for (let i = 0; i < 4000; i++) heat.step();
  expect(Math.abs((heat.temperatures[0]! - ROOM) / (t - ROOM) - 1)).toBeLessThan(1e-3);
});

test("a disc's first mode decays as exp(-k (1.841 / a)^2 t / (rho c))", () => {
  const a = 10;
  const around = Array.from({ length: 400 }, (_, i) => {
    const angle = (2 * Math.PI * i) / 400;
    return [a * Math.cos(angle), a * Math.sin(angle)] as const;
  });
  const laid = laidPlane(around, 0.8, 0.4);
  const body = loneBody(laid, "fine-silver", Math.PI * a * a * 0.8);
  const [rows, columns] = [new Conduction(body.rows, body.capacity, STEP), new Conduction(body.columns, body.capacity, STEP)];
  // the mode is J1(1.841 r / a) cos(angle): what of it lies along x is told by its moment
  const temperatures = Float64Array.from(body.x, (x) => x);
  const moment = () => body.x.reduce((all, x, i) => all + body.capacity[i]! * temperatures[i]! * x, 0);
  const run = (seconds: number) => {
    for (let i = 0; i < seconds / STEP; i++) {
      rows.step(temperatures);
      columns.step(temperatures);
    }
  };
  run(0.2);
  const before = moment();
  run(0.4);
  const { density, heatCapacity, conductivity } = MATERIALS["fine-silver"];
  const rate = (conductivity * (1.841 / (a / 1000)) ** 2) / (density * heatCapacity * 1000);
  expect(Math.abs(Math.log(before / moment()) / (rate * 0.4) - 1)).toBeLessThan(0.01);
});

test("a long thin rod held at one end settles to the fin's exponential", () => {
  const [length, radius, spacing] = [120, 0.5, 0.5];
  const round = 2 * Math.PI * radius;
  const area = Math.PI * radius * radius;
  const laid = laidLines([{ points: [[0, 0], [length, 0]], isClosed: false }], area, rodGirth(round), spacing); // prettier-ignore
  const body = loneBody(laid, "brass", length * area);
  const conduction = new Conduction(body.rows, body.capacity, STEP);
  const temperatures = new Float64Array(body.x.length).fill(0);
  const perMetre = 40;
  for (let i = 0; i < 200_000; i++) {
    temperatures[0] = 100;
    for (let k = 0; k < temperatures.length; k++) {
      temperatures[k]! -= (temperatures[k]! * perMetre * round * spacing * 1e-6 * STEP) / body.capacity[k]!;
    }
    conduction.step(temperatures);
  }
  const m = Math.sqrt((perMetre * round * 1e-3) / (MATERIALS.brass.conductivity * area * 1e-6)) / 1000;
  const at = (k: number) => temperatures[k]! / temperatures[10]!;
  for (const k of [30, 60, 90]) expect(Math.abs(at(k) / Math.exp(-m * (k - 10) * spacing) - 1)).toBeLessThan(0.03);
});

test("heat goes round a closed line as it does round one that is tied by its ends, and none is lost", () => {
  fc.assert(
    fc.property(fc.array(fc.double({ min: 0, max: 900, noNaN: true }), { minLength: 3, maxLength: 12 }), (start) => {
      const n = start.length;
      const capacity = Float64Array.from(start, (_, i) => 0.01 + 0.001 * i);
      const ring = new Conduction(
        [{ cells: start.map((_, i) => i), conductances: start.map((_, i) => 0.5 + i), isClosed: true }],
        capacity,
        STEP,
      );
      const temperatures = Float64Array.from(start);
      const held = () => temperatures.reduce((all, t, i) => all + t * capacity[i]!, 0);
      const before = held();
      ring.step(temperatures);
      expect(Math.abs(held() - before)).toBeLessThan(1e-9 * Math.max(1, before));
      // each bit's own balance, by what is now and by what will be
      for (let i = 0; i < n; i++) {
        const [left, right] = [(i + n - 1) % n, (i + 1) % n];
        const of = (t: ArrayLike<number>) => (0.5 + left) * (t[left]! - t[i]!) + (0.5 + i) * (t[right]! - t[i]!);
        const flows = 0.6 * of(temperatures) + 0.4 * of(start);
        expect(Math.abs(capacity[i]! * (temperatures[i]! - start[i]!) - STEP * flows)).toBeLessThan(1e-8);
      }
    }),
  );
});

test("a 5 g ring under 55 W spread over it takes 18 to 24 s to 720", () => {
  const [mass, radius] = [5, 9.2];
  const volume = (mass / 10_360) * 1e6;
  const area = volume / (2 * Math.PI * radius);
  const around = Array.from({ length: 120 }, (_, i) => {
    const angle = (2 * Math.PI * i) / 120;
    return [radius * Math.cos(angle), radius * Math.sin(angle)] as const;
  });
  const body = loneBody(
    laidLines([{ points: around, isClosed: true }], area, rodGirth(2 * Math.sqrt(Math.PI * area)), 0.5),
    "sterling",
    volume,
  );
  // so strong that all of 55 W arrive, evenly
  const heat = new PractisedHeat(body);
  const count = body.x.length;
  let seconds = 0;
  while (heat.temperatures[0]! < 720) {
    for (let i = 0; i < count; i++) heat.temperatures[i] = heat.temperatures[i]! + (55 * STEP) / count / body.capacity[i]!;
    heat.step();
    seconds += STEP;
  }
  expect(seconds).toBeGreaterThan(18);
  expect(seconds).toBeLessThan(24);
});

test("an edge that crosses cells counts by what of them lies inside", () => {
  const slanted = [
    [0, 0],
    [10, 3],
    [7, 13],
    [-3, 10],
  ] as const;
  const laid = laidPlane(slanted, 1, 0.5);
  const area = 109;
  expect(Math.abs(laid.bits.reduce((all, { above }) => all + above, 0) / area - 1)).toBeLessThan(0.01);
  expect(laid.bits.reduce((all, { share }) => all + share, 0)).toBeCloseTo(1, 9);
});
