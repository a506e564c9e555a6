import { METALS } from "@/core/metal/metals";
import { standInPrices } from "./metal-prices";

test("a stand-in has the same prices on the same day, others on another, of every metal, and says that it is one", async () => {
  const [one, again, other] = await Promise.all(["2026-12-01", "2026-12-01", "2026-12-02"].map((day) => standInPrices.quote(day)));
  expect(one).toEqual(again);
  expect(one!.metals).not.toEqual(other!.metals);
  expect(Object.keys(one!.metals).sort()).toEqual(Object.keys(METALS).sort());
  expect(one!.metals.sterling).toBeGreaterThan(1.05);
  expect(one!.metals.sterling).toBeLessThan(1.17);
  expect(standInPrices.isStandIn).toBe(true);
});
