import fc from "fast-check";
import { runs } from "@/runs.testing";
import { anyPiece } from "@/core/piece/any-piece.testing";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { planPiece } from "@/core/piece/plan-piece";
import { findingText } from "./findings";
import { METRIC, printable, showLength, showPercent, showRise, showTemperature, withUnit } from "./show";
import { EXPLAINED, EXPLAINED_WORDS } from "./explain";
import { cutAt } from "./sums";
import { roundingOf, stepText } from "./steps";
import { termText } from "./terms";

const INCH = { length: "inch", temperature: "F" } as const;

test.each([
  [46.06645, "strip", "46.05"],
  [46.05, "strip", "46.05"],
  [46.0999999999, "strip", "46.10"],
  [3.16494, "height", "3.20"],
  [3.15, "height", "3.15"],
  [59.1467, "blank", "59.1"],
  [16.74, "blank", "16.7"],
  [2.9649, "measured", "2.96"],
] as const)("%d as a %s is shown %s", (mm, rounding, text) => expect(showLength(mm, rounding, METRIC)).toBe(text));

test("a strip is never shown longer than it is cut, nor a height lower, in either unit", () => {
  fc.assert(
    fc.property(fc.double({ min: 0.01, max: 600, noNaN: true }), fc.constantFrom(METRIC, INCH), (mm, units) => {
      const back = (text: string) => Number(text) * (units.length === "inch" ? 25.4 : 1);
      expect(back(showLength(mm, "strip", units))).toBeLessThanOrEqual(mm + 1e-5);
      expect(back(showLength(mm, "height", units))).toBeGreaterThanOrEqual(mm - 1e-5);
    }),
  );
});

test("inches, degrees and shares as they are said", () => {
  expect(withUnit(25.4, "measured", INCH)).toBe("1.000 in");
  expect(showTemperature(797, INCH)).toBe("1467");
  expect(showPercent(0.928)).toBe("93%");
  expect(printable("a\u001b[31mb\u202ec\n")).toBe("a[31mbc");
  expect([roundingOf("m1.wall.cutLength"), roundingOf("hoop.cutLength"), roundingOf("m1.outline.perimeter")]).toEqual([
    "strip",
    "blank",
    "measured",
  ]);
});

test("every step, finding and term of any piece has a sentence without a hole in it", () => {
  const hole = /undefined|NaN|null|\[object/;
  fc.assert(
    fc.property(anyPiece(), fc.constantFrom(METRIC, INCH), (piece, units) => {
      const plan = planPiece(piece, SHIPPED_BENCH);
      const said = [
        ...plan.steps.map((step) => stepText(step, plan, units)),
        ...plan.findings.map((finding) => findingText(finding, plan, units)),
        ...Object.values(plan.figures).flatMap(({ terms }) => terms.map(termText)),
      ];
      for (const text of said) if (text === "" || hole.test(text)) throw new Error(`a hole in: ${text}`);
    }),
    { numRuns: runs(80) },
  );
});

test("what is cut says why it is not its sum to the last digit, and nothing where it is", () => {
  expect(cutAt(46.067, "strip", METRIC)).toBe("cut at 46.05: a short strip can be stretched");
  expect(cutAt(59.149, "blank", METRIC)).toBe("cut at 59.1: a saw cuts no finer");
  expect(cutAt(3.157, "height", METRIC)).toBe("cut at 3.20: it is filed down");
  expect([cutAt(46.05, "strip", METRIC), cutAt(59.1, "blank", METRIC), cutAt(46.067, "measured", METRIC)]).toEqual(["", "", ""]);
  expect(cutAt(46.067, "strip", INCH)).toBe("cut at 1.813: a short strip can be stretched");
});

test("degrees more and temperatures in either unit, and every word of the craft is said in two sentences", () => {
  expect([showRise(10, METRIC), showRise(10, INCH), showRise(0.5, METRIC), showTemperature(100, INCH)]).toEqual(["10", "18", "0.5", "212"]);
  for (const word of EXPLAINED_WORDS) expect([word, EXPLAINED[word].says.split(/[.:] (?=[A-Z])/).length]).toEqual([word, 2]);
  expect(new Set(EXPLAINED_WORDS.map((word) => EXPLAINED[word].name)).size).toBe(EXPLAINED_WORDS.length);
});
