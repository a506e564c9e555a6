import fc from "fast-check";
import { anyPiece } from "@/core/piece/any-piece.testing";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { planPiece } from "@/core/piece/plan-piece";
import { findingText } from "./findings";
import { METRIC, printable, showLength, showPercent, showTemperature, withUnit } from "./show";
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
    { numRuns: 80 },
  );
});
