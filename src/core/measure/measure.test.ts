import fc from "fast-check";
import { layBlank } from "./blank";
import { single, sum, term } from "./figure";
import { gaugeThickness, nearestGauge } from "./gauge";
import { oneLine } from "./one-line";
import { readLength, readNumber, readRise, readTemperature } from "./reading";

test("Brown & Sharpe gauges have their published thickness, and are found from it again", () => {
  for (const [gauge, mm] of [
    [12, 2.053],
    [18, 1.024],
    [22, 0.644],
    [28, 0.321],
  ] as const)
    expect(gaugeThickness(gauge)).toBeCloseTo(mm, 3);
  fc.assert(fc.property(fc.integer({ min: 0, max: 40 }), (gauge) => expect(nearestGauge(gaugeThickness(gauge))).toBe(gauge)));
  expect(() => nearestGauge(0)).toThrow(/must be > 0/);
});

test.each([
  ["3.2", 3.2],
  ["3,2", 3.2],
  [".5", 0.5],
  ["-1.5", -1.5],
  ["6 1/4", 6.25],
  ["6-1/4", 6.25],
  ["1/8", 0.125],
  ["6¼", 6.25],
  ["½", 0.5],
  [" 12 ", 12],
  ["\uff13\uff0e\uff12", 3.2],
  ["\u0663\u066b\u0662\u0660", 3.2],
  ["\u06f1\u06f2", 12],
])("the number %p is read as it is said", (text, value) => expect(readNumber(text)).toEqual({ ok: true, value }));

test.each([
  ["", "empty"],
  ["  ", "empty"],
  ["banana", "not-a-number"],
  ["1.2.3", "not-a-number"],
  ["3 mm", "not-a-number"],
  ["1/0", "divided-by-zero"],
  ["--3", "not-a-number"],
])("%p is refused with its reason", (text, code) => expect(readNumber(text)).toEqual({ ok: false, code }));

test("a length is read in what it is said in; bare, in the unit on screen", () => {
  const mm = (text: string, shown: "mm" | "inch" = "mm") => {
    const reading = readLength(text, shown);
    return reading.ok ? reading.value : NaN;
  };
  expect(mm("1/8in")).toBeCloseTo(3.175, 12);
  expect(mm('0.125"')).toBeCloseTo(3.175, 12);
  expect(mm("22ga")).toBeCloseTo(0.644, 3);
  expect(mm("22 gauge", "inch")).toBeCloseTo(0.644, 3);
  for (const text of ["28 awg", "28AWG", "28 B&S", "28 b & s", "\uff12\uff18 ga"]) expect(mm(text, "inch")).toBeCloseTo(0.321, 3);
  expect(mm("3,2 mm", "inch")).toBeCloseTo(3.2, 12);
  expect(mm("0.5", "inch")).toBeCloseTo(12.7, 12);
  expect(readLength("in", "mm")).toEqual({ ok: false, code: "empty" });
});

test("a figure is the sum of its terms, and refuses one that is no number", () => {
  expect(sum("mm", [term("wall", 1.25, "piece"), term("fit", 0.5, "bench")]).value).toBe(1.75);
  expect(single("g", 3, "density").terms).toEqual([{ label: "formula", value: 3, from: "formula", note: "density" }]);
  expect(() => sum("mm", [])).toThrow(/at least one/);
  expect(() => sum("mm", [term("wall", NaN, "piece")])).toThrow(/term wall is NaN/);
});

test("along a blank, half the squaring lies at each end and the rest at the far one", () => {
  const blank = layBlank(40, 0.2, 0.3, [{ code: "farSide", at: 20 }], [{ from: 1, to: 2 }]);
  expect(blank.length).toBeCloseTo(40.5, 12);
  expect(blank.losses).toEqual([
    { from: 0, to: 0.2 },
    { from: 40.2, to: 40.5 },
  ]);
  expect(blank.marks).toEqual([{ code: "farSide", at: 20.2 }]);
  expect(blank.gathers).toEqual([{ from: 1.2, to: 2.2 }]);
});

test("a temperature and so many degrees more are read in the unit on screen, or in the one they name", () => {
  const value = (reading: ReturnType<typeof readTemperature>) => (reading.ok ? reading.value : reading.code);
  expect([value(readTemperature("718", "C")), value(readTemperature("718 °C", "F")), value(readTemperature("718c", "F"))]).toEqual([
    718, 718, 718,
  ]);
  expect(value(readTemperature("1324.4", "F"))).toBeCloseTo(718, 9);
  expect(value(readTemperature("1324,4 F", "C"))).toBeCloseTo(718, 9);
  expect([value(readRise("18", "F")), value(readRise("10", "C")), value(readRise("10C", "F")), value(readRise("18°F", "C"))]).toEqual([
    10, 10, 10, 10,
  ]);
  expect([value(readTemperature("hot", "C")), value(readRise("", "F"))]).toEqual(["not-a-number", "empty"]);
});

test("a pasted text becomes one line that any name may be, and what is typed stays as it is", () => {
  expect(oneLine("Tern\tring")).toBe("Tern ring");
  expect(oneLine("Tern\r\n\r\nring\u2028two")).toBe("Tern ring two");
  expect(oneLine("a\u0000b\u0007c\u007fd\u0085e")).toBe("abcd e");
  expect(oneLine(" Ebène 2 ")).toBe(" Ebène 2 ");

  fc.assert(fc.property(fc.string({ unit: "binary" }), (text) => expect(oneLine(text)).not.toMatch(/[\u0000-\u001f\u007f-\u009f]/)));
});
