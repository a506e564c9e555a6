import { planCuts } from "@/core/cutting/plan-cuts";
import { wantedOf } from "@/core/cutting/wanted";
import { SHIPPED } from "@/core/piece/bench";
import { planPiece } from "@/core/piece/plan-piece";
import { DEMO_BENCH } from "@demo/bench";
import { DEMO_PIECES } from "@demo/pieces";
import { METRIC } from "@/words/show";
import { layoutOf } from "./drawer-layout";
import { drawerLines, totalsOf } from "./view";

test("the grams at the foot add up as they are shown, whichever pieces are cut for", () => {
  const pieces = DEMO_PIECES.filter(({ mounts }) => mounts.length === 1).slice(-6);
  const cuts = pieces.map((piece) => ({ id: piece.id, count: 1, copies: piece.copies ?? 1, cuts: planPiece(piece, DEMO_BENCH).cuts }));
  for (let i = 0; i < cuts.length; i++) {
    const wanted = wantedOf(cuts.slice(0, i + 1));
    const { bought, useful } = SHIPPED;
    const plan = planCuts({ wanted, stock: DEMO_BENCH.stock!, bought, useful, kerf: 0.28, way: "spoil", tries: 1 });
    const { metals, spoiled, drawn } = totalsOf(plan);
    const terms = [...metals.split(" + "), spoiled].map((text) => Math.round(Number.parseFloat(text) * 100));
    expect(terms.reduce((sum, each) => sum + each, 0)).toBe(Math.round(Number.parseFloat(drawn) * 100));
    const whole = plan.metals.reduce((sum, each) => sum + each.drawn, 0);
    expect(Math.abs(Number.parseFloat(drawn) - whole)).toBeLessThan(0.0051);
  }
});

test("several alike are told as so many, of which one is begun; a sheet with both its sides", () => {
  const sheet = { ...DEMO_BENCH.stock!.find(({ form, metal }) => form === "sheet" && metal === "sterling")!, count: 3, note: "off-cuts" };
  const { cuts } = planPiece(
    DEMO_PIECES.find(({ id }) => id === "tern-ring")!,
    DEMO_BENCH,
  );
  const wanted = wantedOf([{ id: "tern-ring", count: 1, copies: 1, cuts: cuts.filter(({ stock }) => stock.form === "sheet") }]);
  const plan = planCuts({ wanted, stock: [sheet], bought: SHIPPED.bought, useful: SHIPPED.useful, kerf: 0.28, way: "spoil", tries: 1 });
  expect(layoutOf(plan, [sheet], 900).sheets.map(({ alike }) => alike)).toEqual([1, 2]);
  const [line] = drawerLines([sheet], plan, METRIC);
  expect(line!.size).toBe("sterling, 3 × 58.00 × 40.00 mm, off-cuts");
  expect(line!.left).toMatch(/^2 × 58\.00 × 40\.00 mm(, |$)/);
});
