import { demoPiece } from "@demo/pieces";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { planPiece } from "@/core/piece/plan-piece";
import { LETTER, scaleFor, scaleText } from "./Drawing";
import { placed } from "./placed";
import { type NumberField, lengthField, numberField, optionalLengthField, riseField, wordsField } from "./fields";
import { backBox, planBox, sectionBox } from "./setting-layout";
import { stoneTint } from "./stone-tint";

const MM = { length: "mm", temperature: "C" } as const;
const INCH = { length: "inch", temperature: "F" } as const;
const value = (reading: { ok: boolean; value?: unknown; problem?: string }) => (reading.ok ? reading.value : reading.problem);

test("a length field reads what is said in its unit and steps by it, and says what would be right", () => {
  const [mm, inch] = [MM, INCH].map((units) => lengthField("t", units, () => undefined)) as [
    ReturnType<typeof lengthField>,
    ReturnType<typeof lengthField>,
  ];
  expect([mm.unit, mm.step, mm.show(0.3), mm.show(0.3215)]).toEqual(["mm", 0.1, "0.30", "0.322"]);
  expect([inch.unit, inch.show(25.4), inch.show(0.32)]).toEqual(["in", "1.000", "0.0126"]);
  expect(inch.step).toBeCloseTo(0.127, 12);
  expect(value(mm.read("3,2"))).toBe(3.2);
  expect(value(inch.read("1/8"))).toBeCloseTo(3.175, 12);
  expect(value(mm.read("banana"))).toBe('"banana" is not a number: type one, e.g. 3.2, 1/8in or 22ga');
  expect(value(mm.read(" "))).toBe("Empty: type a number, e.g. 3.2, 1/8in or 22ga");
  expect(value(inch.read("1/0"))).toBe('"1/0" is divided by nothing: type one, e.g. 0.125 or 1/8');
});

test("an optional length is taken away by an empty field; one that must be there is never written without", () => {
  const written: (number | null)[] = [];
  const optional = optionalLengthField("o", MM, (_, each) => void written.push(each));
  expect(value(optional.read("  "))).toBeNull();
  optional.write({} as never, null);
  lengthField("l", MM, (_, each) => void written.push(each)).write({} as never, null);
  expect(written).toEqual([null]);
});

test("degrees more are read with or without their unit, in the maker's own, and words are kept as they are typed", () => {
  const [celsius, fahrenheit] = [MM, INCH].map((units) => riseField("n", units, () => undefined)) as [NumberField, NumberField];
  expect([value(celsius.read("10 °C")), value(celsius.read("10")), celsius.show(10), celsius.unit]).toEqual([10, 10, "10", "°C"]);
  expect([value(fahrenheit.read("18")), value(fahrenheit.read("10C")), fahrenheit.show(10), fahrenheit.unit]).toEqual([10, 10, "18", "°F"]);
  expect(value(celsius.read("hot"))).toBe('"hot" is not a number: type one, e.g. 10');
  expect(value(numberField("n", "", 1, 0, () => undefined).read("3"))).toBe(3);
  expect(value(wordsField("w", () => undefined).read(" N 1/2 "))).toBe(" N 1/2 ");
});

test("a drawing takes the largest plain scale that fits, and says it", () => {
  expect(scaleText(scaleFor(18.74, 14.74, 410, 428))).toBe("5.5 times life size");
  expect(scaleText(scaleFor(100, 100, 378, 378))).toBe("life size");
  expect(scaleText(scaleFor(200, 200, 390, 390))).toBe("0.5 times life size");
  const tiny = scaleFor(5000, 10, 400, 400);
  expect(tiny.perMm * 5000).toBeCloseTo(400, 6);
  const { times, perMm } = scaleFor(10, 10, 500, 300);
  expect(perMm).toBeCloseTo((times * 96) / 25.4, 12);
});

test("plan and section stand side by side, or one under the other where it is narrow, each inside its own part", () => {
  const drawing = planPiece(demoPiece("tern-ring"), SHIPPED_BENCH).drawing.settings.m1!;
  const wide = { width: 784, height: 548 };
  const narrow = { width: 584, height: 516 };
  expect(planBox(wide, drawing).x).toBeLessThan(sectionBox(wide, drawing).captionX);
  expect(sectionBox(narrow, drawing).captionY).toBeGreaterThan(planBox(narrow, drawing).y);
  for (const size of [wide, narrow]) {
    const [plan, section] = [planBox(size, drawing), sectionBox(size, drawing)];
    expect(plan.wide).toBeCloseTo(18.74, 2);
    expect(section.tall).toBeGreaterThan(section.wide / 4);
    for (const box of [plan, section]) expect(Math.min(box.width, box.height, size.width - box.x, size.height - box.y)).toBeGreaterThan(0);
  }
  const tall = { width: 390, height: 720 };
  for (const size of [wide, tall]) {
    const [section, back] = [sectionBox(size, drawing, true), backBox(size, drawing)];
    expect(back.captionY).toBeGreaterThan(section.y);
    expect(back.y + back.height / 2).toBeLessThan(size.height);
    expect(section.height).toBeGreaterThan(50);
  }
  const [plan, section] = [planBox(tall, drawing, true), sectionBox(tall, drawing, true)];
  expect(plan.y + plan.height / 2).toBeLessThan(section.captionY);
});

test("a known stone has its own colours, an unknown one always the same", () => {
  expect(stoneTint("Chrysoprase oval")).toEqual(stoneTint("chrysoprase"));
  expect(stoneTint("chrysoprase")).not.toEqual(stoneTint("lapis"));
  expect(stoneTint("something else")).toEqual(stoneTint(""));
  expect(stoneTint("turq")).not.toEqual(stoneTint("turquoise"));
  expect(stoneTint("ruby")).not.toEqual(stoneTint(""));
});

test("words stand beside their lines, the other side where there is no room, and the least of them gives way", () => {
  const word = (text: string, at: number, isLeast = false) => ({ text, at, isLeast });
  expect(placed([word("end", 50)], 400)).toEqual([{ text: "end", from: 55 }]);
  const late = placed([word("end", 390)], 400);
  expect(late).toEqual([{ text: "end", from: expect.closeTo(390 - 5 - 3 * LETTER, 9) as number }]);
  const crowded = placed([word("far side", 100, true), word("end", 104), word("notch", 140)], 400);
  expect(crowded.map(({ text }) => text)).toEqual(["end", "notch", "far side"]);
  expect(crowded[2]!.from).toBeLessThan(100);
  expect(placed([word("far side", 30, true), word("end", 34)], 400).map(({ text }) => text)).toEqual(["end"]);
});
