import fc from "fast-check";
import { runs } from "@/runs.testing";
import { benchCard } from "../../cli/card";
import { isHeating } from "@/core/making/step";
import { anyPiece } from "@/core/piece/any-piece.testing";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { SURE } from "@/core/piece/doubt";
import { planPiece } from "@/core/piece/plan-piece";
import { cardRows, cardSteps } from "@/words/card";
import { sayHeats } from "@/words/heats";
import { METRIC } from "@/words/show";
import { sayStep } from "@/words/steps";
import { sayWay } from "@/words/ways";
import { stemOf } from "./piece/stages";
import { rowOf } from "./tray/rows";

const INCH = { length: "inch", temperature: "F" } as const;
const SIZES = /\d+\.\d+/g;
/** As a plain printer would have it on one line. */
const unbroken = (text: string) => text.replaceAll("×", "x").replace(/\s+/g, " ").trim();

test("home, the stages, the comparison, the card, the steps and the command say the same of any piece", () => {
  fc.assert(
    fc.property(anyPiece(), fc.constantFrom(METRIC, INCH), (piece, units) => {
      const plan = planPiece(piece, SHIPPED_BENCH);
      const planned = { plan, isSettling: false };
      const row = rowOf(piece, planned, undefined, units, SURE);
      const stems = piece.mounts.map(({ id }) => stemOf(piece, planned, id, units, 0, SURE));
      const card = cardRows(piece, plan, units).map(({ text }) => text);
      const command = unbroken(benchCard(piece, plan, units));

      // What is gravest stands at a stage, and home has its mark.
      const levels = stems.flat().map(({ level }) => level);
      expect(row.level).toBe(levels.includes("error") ? "error" : levels.includes("warning") ? "warning" : null);

      // One verdict on the heats, of as many as there are to be made.
      const verdict = sayHeats(plan);
      expect([row.heats[1], row.heatsLevel]).toEqual([verdict.text, verdict.level]);
      for (const stem of stems) expect(stem.find(({ id }) => id === "heats")!.result).toContain(verdict.text);
      if (plan.heatPlan.status !== "impossible") {
        const way = sayWay(plan, (joint) => joint);
        expect([row.heats[0], way.heats.split(" ")[0]]).toEqual([String(plan.heats.length), String(plan.heats.length)]);
        expect(plan.steps.filter(isHeating)).toHaveLength(plan.heats.length);
      }

      // A size that a stage or home has is the card's and the command's, to the last figure.
      const printed = new Set(
        `${card.join(" ")} ${cardSteps(plan, units)
          .map(({ title }) => title)
          .join(" ")}`.match(SIZES),
      );
      const sized = stems.flat().filter(({ id }) => id === "wall" || id === "plate" || id === "hoop");
      for (const text of [...sized.map(({ result }) => result), ...row.strip, ...(piece.carrier.type === "hoop" ? row.carrier : [])])
        for (const size of text.match(SIZES) ?? []) expect([text, size, printed.has(size)]).toEqual([text, size, true]);
      for (const text of card) expect(command).toContain(unbroken(text));
      for (const step of plan.steps) expect(command).toContain(unbroken(sayStep(step, plan, units).title));
    }),
    { numRuns: runs(40) },
  );
});
