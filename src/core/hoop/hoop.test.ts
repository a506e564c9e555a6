import fc from "fast-check";
import { type Point } from "../geometry/outline";
import { drawHoop } from "./drawing";
import { type Hoop, planHoop } from "./hoop";
import { type Base, sagitta } from "./seat";
import { type SizeSystem, readSize, sizeNumber, sizeText } from "./sizes";

const losses = {
  squaring: { value: 0.5, from: "shipped" },
  mark: { value: 0.1, from: "shipped" },
  sawPasses: { value: 1, from: "shipped" },
  kerf: { value: 0.28, from: "shipped" },
  hammer: { value: 0, from: "shipped" },
} as const;
const hoop: Hoop = {
  form: "closed-flat",
  metal: "sterling",
  section: { shape: "half-round", width: 3, thickness: 1.6 },
  size: { value: 17.18873, from: "piece" },
  asked: { system: "eu", value: "54" },
  wideBand: { value: 0, from: "shipped" },
  rule: "fibre",
  losses,
  learned: null,
  flatWidth: null,
  saddleWidth: null,
  plateAbove: { value: 0.2, from: "shipped" },
  openGap: { value: 4, from: "shipped" },
  bridge: { inside: 17, thickness: 1, gap: 1.5, metal: "sterling" },
  works: {},
  texture: null,
};
const base: Base = {
  mount: "m1",
  extent: 12.74,
  thickness: 0.6,
  along: 0,
  isFront: true,
  inside: () => 1,
  tie: { part: "m1.plate", after: ["m1.foot"] },
};
const value = (plan: ReturnType<typeof planHoop>, key: string) => plan.figures[`hoop.${key}`]?.value as number;

test.each<[SizeSystem, string, number]>([
  ["us", "6 1/4", 16.71],
  ["uk", "N", 17.109],
  ["jp", "14", 17.333],
  ["eu", "54", 17.189],
  ["us", "6.25", 16.71],
  ["us", "6¼", 16.71],
  ["uk", "n 1/2", 17.308],
  ["uk", "Z+1", 22.282],
  ["continental", "14", 17.189],
  ["diameter", "17,2", 17.2],
])("%s %s is %d mm inside", (system, text, diameter) => {
  const reading = readSize(system, text, []);
  expect(reading.ok && reading.diameter).toBeCloseTo(diameter, 3);
});

test.each<[SizeSystem, string, string]>([
  ["eu", "banana", "not-a-size"],
  ["uk", "54", "not-a-size"],
  ["uk", "N+1", "not-a-size"],
  ["uk", "N 3/2", "not-a-size"],
  ["eu", "5", "no-finger"],
  ["us", "-9", "no-finger"],
  ["mandrel", "54", "no-mandrel"],
])("%s %s does not exist: %s", (system, text, code) => expect(readSize(system, text, [])).toEqual({ ok: false, code }));

test("every system leads there and back", () => {
  const systems = ["us", "uk", "eu", "continental", "jp", "diameter"] as const;
  fc.assert(
    fc.property(fc.constantFrom(...systems), fc.double({ min: 13, max: 21, noNaN: true }), (system, diameter) => {
      const reading = readSize(system, sizeText(system, diameter)!, []);
      const step = system === "uk" ? 0.1 : system === "us" || system === "diameter" ? 0.01 : 0.04;
      expect(reading.ok && Math.abs(reading.diameter - diameter)).toBeLessThan(step);
      if (system !== "uk") expect(readSize(system, String(sizeNumber(system, diameter)), [])).toMatchObject({ ok: true });
    }),
  );
  expect(sizeText("uk", 11)).toBeNull();
});

test("a maker's mandrel gives its own readings, and what lies between by proportion", () => {
  const mandrel = [
    { label: "54", diameter: 17.22 },
    { label: "56", diameter: 17.84 },
  ];
  expect(readSize("mandrel", "54", mandrel)).toEqual({ ok: true, diameter: 17.22 });
  expect(readSize("mandrel", "55", mandrel)).toMatchObject({ ok: true, diameter: expect.closeTo(17.53, 10) as number });
  for (const off of ["60", "53.9"]) expect(readSize("mandrel", off, mandrel)).toEqual({ ok: false, code: "off-mandrel" });
  expect(["54.0", "56,0"].map((text) => readSize("mandrel", text, mandrel))).toEqual([
    { ok: true, diameter: 17.22 },
    { ok: true, diameter: 17.84 },
  ]);
  expect(readSize("mandrel", "?", mandrel)).toEqual({ ok: false, code: "not-a-size" });
  const letters = [
    { label: "P", diameter: 17.9 },
    { label: "q", diameter: 18.3 },
    { label: "Z+1", diameter: 22 },
  ];
  const between = (text: string) => readSize("mandrel", text, letters);
  expect(between("P 1/2")).toMatchObject({ ok: true, diameter: expect.closeTo(18.1, 10) as number });
  expect([between("Q"), between("z+1")]).toEqual([
    { ok: true, diameter: 18.3 },
    { ok: true, diameter: 22 },
  ]);
  expect([between("O"), between("54"), readSize("mandrel", "K", mandrel)]).toEqual(Array(3).fill({ ok: false, code: "off-mandrel" }));
});

test("a hoop that loses x, and a blank cut for that size, are the same length", () => {
  fc.assert(
    fc.property(fc.double({ min: 14, max: 22, noNaN: true }), fc.double({ min: 0, max: 4, noNaN: true }), (inside, lost) => {
      const plan = planHoop({ ...hoop, size: { value: inside, from: "piece" } }, []);
      const smaller = (value(plan, "netLength") - lost) / Math.PI - 2 * value(plan, "fibre");
      const again = planHoop({ ...hoop, size: { value: smaller, from: "piece" } }, []);
      expect(value(again, "netLength")).toBeCloseTo(value(plan, "netLength") - lost, 9);
      expect(inside - smaller).toBeCloseTo(lost * value(plan, "lostPerMillimetre"), 9);
    }),
  );
});

test("the cut is the net and the losses; a multiplier pads by its share; each other rule stands beside it", () => {
  const plan = planHoop(hoop, [base]);
  expect(value(plan, "cutLength")).toBeCloseTo(value(plan, "netLength") + 0.5 + 0.28 + 0.1, 12);
  const padded = planHoop({ ...hoop, rule: { multiplier: 3.15 } }, [base]);
  expect(value(padded, "netLength")).toBeCloseTo(Math.PI * (17.18873 + 1.6), 9);
  expect(value(padded, "padding")).toBeCloseTo(value(padded, "netLength") * (3.15 / Math.PI - 1), 9);
  expect(value(padded, "cutLength") - value(padded, "padding") - 0.88).toBeCloseTo(value(padded, "netLength"), 9);
  const schools = plan.figures["hoop.cutLength"]!.schools!;
  expect(schools.map(({ rule }) => rule)).toEqual(["thickness", "3.145", "3.15", "3.5", "long"]);
  expect(schools.at(-1)!.value).toBeCloseTo(value(plan, "netLength") + 5 + 2 * 0.28 + 0.1, 12);
  expect(schools.find(({ rule }) => rule === "3.15")!.value).toBeCloseTo(value(padded, "cutLength"), 9);
  expect(padded.findings.map(({ code }) => code)).toContain("hoop.rule-large");
});

test("a flat takes what leaves six tenths, and one asked for deeper is wrong exactly past that", () => {
  const plan = planHoop(hoop, [base]);
  expect(value(plan, "flatLeft")).toBeCloseTo(0.96, 12);
  const widest = value(plan, "flatWidth");
  const findings = (width: number) =>
    planHoop({ ...hoop, flatWidth: { value: width, from: "piece" } }, [base]).findings.map(({ code }) => code);
  expect(findings(widest)).toEqual([]);
  expect(findings(widest + 1e-4)).toEqual(["hoop.flat-too-deep"]);
  expect(value(planHoop(hoop, [{ ...base, extent: 4 }]), "flatWidth")).toBe(4);
});

test("a saddle must leave 0.3 of the base, exactly", () => {
  const closed: Hoop = { ...hoop, form: "closed" };
  const widest = value(planHoop(closed, [base]), "saddleWidth");
  expect(value(planHoop(closed, [base]), "saddleLeft")).toBeCloseTo(0.3, 12);
  const findings = (width: number) =>
    planHoop({ ...closed, saddleWidth: { value: width, from: "piece" } }, [base]).findings.map(({ code }) => code);
  expect(findings(widest)).toEqual([]);
  expect(findings(widest + 1e-4)).toEqual(["hoop.saddle-too-deep"]);
  expect(sagitta(10, 12)).toBeCloseTo(2, 12);
});

test("a plate of 0.3 or less has no room for a saddle, and is told so whatever width was asked for", () => {
  const closed: Hoop = { ...hoop, form: "closed" };
  const findings = (thickness: number, width: number | null) =>
    planHoop({ ...closed, saddleWidth: width === null ? null : { value: width, from: "piece" } }, [{ ...base, thickness }]).findings;
  expect(findings(0.3, null)).toEqual([
    { code: "hoop.saddle-no-room", level: "error", at: "m1.plate", mount: null, values: { thickness: 0.3, needed: 0.3 } },
  ]);
  expect(findings(0.25, 4).map(({ code }) => code)).toEqual(["hoop.saddle-no-room"]);
  expect(findings(0.31, null)).toEqual([]);
});

test("each mount has its own seat by its name, and the only one the hoop's as well", () => {
  const two = planHoop(hoop, [base, { ...base, mount: "m2", extent: 4, along: 20 }]);
  expect([value(two, "flat"), two.figures["hoop.flatWidth"]]).toEqual([undefined, undefined]);
  expect(two.figures["m2.hoop.flatWidth"]!.value).toBe(4);
  expect(two.figures["m1.hoop.flat"]!.value).toBeCloseTo(0.64, 12);
  const one = planHoop(hoop, [base]);
  expect(one.figures["hoop.flat"]).toBe(one.figures["m1.hoop.flat"]);
  expect(two.seats.map(({ mount }) => mount)).toEqual(["m1", "m2"]);
  expect(two.seats[0]!.level).toBeCloseTo(17.18873 / 2 + 1.6 - 0.64, 12);
});

test("plates that touch round the hoop are told exactly from where they do, the shorter way round", () => {
  const closed: Hoop = { ...hoop, form: "closed", saddleWidth: { value: 1e-9, from: "piece" } };
  const [h1, h2, R] = [6, 4, 17.18873 / 2 + 1.6];
  const a1 = Math.atan(h1 / R);
  const limit = R * (a1 + Math.asin((h2 * Math.cos(a1)) / R));
  const bases = (along: number): Base[] => [
    { ...base, extent: 2 * h1 },
    { ...base, mount: "m2", extent: 2 * h2, along },
  ];
  const touches = (along: number) => planHoop(closed, bases(along)).findings.filter(({ code }) => code === "hoop.mounts-touch");
  expect(touches(limit - 1e-6)).toHaveLength(1);
  expect(touches(limit + 1e-6)).toEqual([]);
  expect(touches(-limit + 1e-6)).toHaveLength(1);
  expect(touches(2 * Math.PI * R - limit + 1e-6)).toHaveLength(1);
  expect(touches(2 * Math.PI * R - limit - 1e-6)).toEqual([]);
  const [found] = touches(1);
  expect(found).toMatchObject({ level: "error", at: "m2.plate", values: { mount: "m2", other: "m1", apart: 1 } });
  expect(found!.values.needed).toBeCloseTo(limit, 6);
  const swapped = planHoop(closed, [bases(1)[1]!, bases(1)[0]!]).findings.at(-1)!;
  expect(swapped.values.needed).toBeCloseTo(limit, 6);
});

test("a wide band says what it adds", () => {
  const wide = planHoop({ ...hoop, wideBand: { value: 0.2, from: "shipped" } }, []);
  expect(value(wide, "insideDiameter")).toBeCloseTo(17.38873, 9);
  expect(wide.findings.map(({ code }) => code)).toEqual(["hoop.wide-band"]);
});

test("from above a band is as wide as it is at each place: a taper narrows to the back, a sleeve shows the strip let into it", () => {
  const drawn = (more: Partial<Hoop["works"]>) => {
    const asked = { ...hoop, works: more };
    return drawHoop(asked, planHoop(asked, [base]), [base]).band;
  };
  const widthAt = (outline: readonly Point[], y: number) => {
    const xs = outline.filter((each) => Math.abs(each[1] - y) < 1e-9).map(([x]) => x);
    return Math.max(...xs) - Math.min(...xs);
  };
  const [plain] = drawn({});
  const side = Math.max(...plain!.outline.map(([, y]) => y));
  expect([plain!.of, widthAt(plain!.outline, 0), widthAt(plain!.outline, side)]).toEqual(["metal", hoop.section.width, hoop.section.width]);
  const [tapered] = drawn({ taper: { back: 1 } });
  expect(widthAt(tapered!.outline, 0)).toBeCloseTo(hoop.section.width, 9);
  expect(widthAt(tapered!.outline, side)).toBeCloseTo((hoop.section.width + 1) / 2, 9);
  const sleeved = drawn({ sleeve: { name: "", thickness: 2, layers: 1, inlay: { width: 1.2, depth: 0.8, metal: "sterling" } } });
  expect(sleeved.map(({ of, outline }) => [of, widthAt(outline, 0)])).toEqual([
    ["sleeve", hoop.section.width],
    ["inlay", 1.2],
  ]);
  expect(Math.max(...sleeved[0]!.outline.map(([, y]) => y))).toBeCloseTo(side + 2, 9);
});
