import fc from "fast-check";
import { runs } from "@/runs.testing";
import { tolerance } from "../measure/tolerances";
import { anyBench, anyPiece } from "./any-piece.testing";
import { planPiece } from "./plan-piece";

test("no piece that fits the schema gives a figure that is not a number, or terms that do not add up", () => {
  const isSound = (at: unknown): boolean => {
    if (typeof at === "number") return Number.isFinite(at);
    if (typeof at !== "object" || at === null) return true;
    for (const key in at) if (!isSound((at as Record<string, unknown>)[key])) return false;
    return true;
  };
  fc.assert(
    fc.property(anyPiece(), anyBench(), (piece, bench) => {
      const plan = planPiece(piece, bench);
      for (const [room, part] of Object.entries(plan)) if (!isSound(part)) throw new Error(`${room} holds a number that is none`);
      for (const [key, figure] of Object.entries(plan.figures)) {
        const sum = figure.terms.reduce((all, term) => all + term.value, 0);
        if (Math.abs(sum - figure.value) > tolerance.sum * Math.max(1, Math.abs(figure.value)))
          throw new Error(`${key}: ${sum} is not ${figure.value}`);
      }
    }),
    { numRuns: runs(1_500) },
  );
});
