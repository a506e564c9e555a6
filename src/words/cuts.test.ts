import { type PieceCost } from "@/core/cutting/cost";
import { costOfAll, costTerms, costText, markedStandIn } from "./cuts";

const term = (of: "metal" | "spoil" | "hours", value: number) => ({
  ...{ of, metal: of === "hours" ? null : ("sterling" as const), quantity: value, rate: 1, value },
});
const cost = (...values: readonly number[]): PieceCost => {
  const terms = values.map((value, i) => term(i === 0 ? "metal" : i === 1 ? "spoil" : "hours", value));
  return { piece: "a", value: values.reduce((sum, each) => sum + each, 0), terms, unknown: [] };
};

test("a cost's terms add up to it as they are shown, and pieces to all of them", () => {
  const thirds = cost(0.004, 0.004, 0.004);
  expect(costText(thirds, "EUR")).toBe("0.01 EUR");
  expect(
    costTerms(thirds, "EUR")
      .map(({ value }) => value)
      .sort(),
  ).toEqual(["0.00 EUR", "0.00 EUR", "0.01 EUR"]);
  const halves = cost(1.234, 2.344, 0.014);
  const shown = costTerms(halves, "EUR").reduce((sum, { value }) => sum + Number.parseFloat(value), 0);
  expect(`${shown.toFixed(2)} EUR`).toBe(costText(halves, "EUR"));
  const all = costOfAll([thirds, thirds, halves]);
  expect(costText(all, "EUR")).toBe("3.61 EUR");
  expect(all.terms).toHaveLength(9);
});

test("what has no price is named, and made-up prices are marked where one counts", () => {
  const none: PieceCost = { ...cost(), unknown: [{ of: "metal", metal: "copper", quantity: 1 }] };
  expect(costText(none, "EUR")).toBe("not known: no price of copper");
  const rates = { currency: "EUR", by: "stand-in", at: "2026-12-01" } as const;
  expect(markedStandIn("x", none, rates)).toBe("x");
  expect(markedStandIn("3.00 EUR", cost(3), rates)).toBe("3.00 EUR, by made-up prices of a stand-in");
  expect(markedStandIn("3.00 EUR", cost(3), { ...rates, by: "typed" })).toBe("3.00 EUR");
});
