import { DEMO_PIECES } from "@demo/pieces";
import { EXAMPLES, examplePiece } from "@demo/examples";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { mishapsAt } from "@/core/piece/mishaps";
import { planPiece } from "@/core/piece/plan-piece";
import { cuttingList } from "@/core/heats/cutting";
import { cardRows } from "./card";
import { EXPLAINED } from "./explain";
import { lengthFaultMessage } from "./faults";
import { faultSentence } from "./fields";
import { sayFinding } from "./findings";
import { sayMishap } from "./making";
import { namesIn } from "./names";
import { remedyText } from "./remedies";
import { type Units, turnsText } from "./show";
import { sayStep } from "./steps";
import { cutSolderText, sayTorch } from "./torch";

const INCHES: Units = { length: "inch", temperature: "F" };

/** All that is said of a piece, and of its making with a reading that is off. */
function said(piece: (typeof DEMO_PIECES)[number]): string[] {
  const measured = [
    { figure: "m1.wall.netLength", value: 40 },
    { figure: "hoop.cutLength", value: 50 },
  ];
  const plan = planPiece(piece, SHIPPED_BENCH);
  const read = planPiece(piece, SHIPPED_BENCH, measured);
  return [
    ...plan.steps.flatMap((step) => {
      const { title, detail } = sayStep(step, plan, INCHES);
      return [title, detail];
    }),
    ...plan.findings.flatMap((finding) => {
      const { what, advice } = sayFinding(finding, plan, INCHES);
      return [what, advice];
    }),
    ...read.remedies.map((remedy) => remedyText(remedy, INCHES)),
    ...plan.steps.flatMap((step) =>
      mishapsAt(piece, plan, step).flatMap((mishap) => {
        const { what, advice, take } = sayMishap(mishap, namesIn(plan), INCHES);
        return [what, advice, take ?? ""];
      }),
    ),
    ...cardRows(piece, plan, INCHES).flatMap(({ text, sum }) => [text, sum ?? ""]),
    ...plan.heats.flatMap((heat) => {
      const { solder, flame, hold, look, habit } = sayTorch(heat, plan, INCHES);
      return [solder, flame, hold, look, habit ?? ""];
    }),
    ...cuttingList(plan.heats).map((cut) => cutSolderText(cut, plan, INCHES)),
  ];
}

test("in inches nothing is said in millimetres, nor a round number of them turned into inches", () => {
  const examples = EXAMPLES.map((example, i) => examplePiece(example, `e${i}`, SHIPPED_BENCH));
  for (const piece of [...DEMO_PIECES, ...examples]) {
    const wrong = said(piece).filter((text) => /\bmm\b|millimet|mm²|turns in 0/.test(text));
    expect([piece.name, wrong]).toEqual([piece.name, []]);
  }
});

test("a field that holds a length refuses in inches: every number, what was typed among them", () => {
  const fault = { path: "/mounts/0/stone/turnIn", code: "turn-in-above-height", values: { height: 5.08, got: 6.35 } } as const;
  expect(lengthFaultMessage(fault, INCHES)).toBe("must be less than the stone's height, 0.2, got 0.25");
  expect(lengthFaultMessage(fault, { ...INCHES, length: "mm" })).toBe("must be less than the stone's height, 5.08, got 6.35");
  const wide = { path: "/p", code: "too-large-across", values: { limit: 200, got: 254 } } as const;
  expect(lengthFaultMessage(wide, INCHES)).toBe("must be at most 7.874 in across, got 10");
});

test("what is wrong with a file is told in inches where a length is at fault, and in nothing else", () => {
  const told = (path: string, code: "above" | "turn-in-above-height" | "points-coincide" | "no-finger", values: Record<string, number>) =>
    faultSentence({ path, code, values }, INCHES);
  expect(told("/mounts/0/wall/thickness", "above", { limit: 0, got: -2.54 })).toBe("Thickness of the bezel must be more than 0, got -0.1");
  expect(told("/mounts/1/stone/turnIn", "turn-in-above-height", { height: 5.08, got: 6.35 })).toContain("height, 0.2, got 0.25");
  expect(told("/mounts/0/stone/dome", "above", { limit: 1, got: 0.5 })).toBe("Dome must be more than 1, got 0.5");
  expect(told("/mounts/0/stone/outline/points/3", "points-coincide", { other: 7 })).toContain("where point 7 does");
  expect(told("/carrier/size/value", "no-finger", { smallest: 12.7, largest: 25.4 })).toContain("between 0.5 and 1 in inside");
});

test("no word of the craft is explained in millimetres", () => {
  expect(Object.values(EXPLAINED).filter(({ says }) => /millimet|\bmm\b/.test(says))).toEqual([]);
});

test("turns are counted by what a maker measures in", () => {
  expect([turnsText(3, { length: "mm", temperature: "C" }), turnsText(3, INCHES)]).toEqual(["3.0 turns in 10 mm", "7.6 turns in an inch"]);
});
