import { lowerGrade } from "@/core/metal/shelf";
import { type Plan } from "@/core/piece/plan";
import { agreeing, counted, gradeName, listed, namesIn } from "./names";

/** What a way of grading makes of a piece. */
export interface SaidWay {
  /** "4 heats"; "no order works" where there is none. */
  readonly heats: string;
  /** What it disturbs, each in a line; none where all holds. */
  readonly moves: readonly SaidMove[];
  readonly isProven: boolean;
}

export interface SaidMove {
  readonly what: "runs" | "softens" | "risks";
  /** "d runs a and c again: shield them, or take easy" */
  readonly text: string;
}

/** Told by the letters of the ladder. */
export function sayWay(plan: Plan, letter: (joint: string) => string): SaidWay {
  const { heats, heatPlan } = plan;
  if (heatPlan.status === "impossible") return { heats: "no order works", moves: [], isProven: true };
  const names = namesIn(plan);
  const letters = (joints: readonly string[]) => listed(joints.map(letter));
  const moves = heats.flatMap((heat): SaidMove[] => {
    const made = letters(heat.joints);
    const lower = lowerGrade(plan.settled.heats.shelf, heat.grade);
    const instead = lower === null ? "" : `, or take ${gradeName(lower)}`;
    const verb = (one: string) => agreeing(heat.joints.length, one);
    const them = heat.runs.length === 1 ? "it" : "them";
    return [
      ...(heat.runs.length > 0
        ? [{ what: "runs" as const, text: `${made} ${verb("run")} ${letters(heat.runs)} again: shield ${them}${instead}` }]
        : []),
      ...(heat.softens.length > 0 ? [{ what: "softens" as const, text: `${made} ${verb("soften")} ${letters(heat.softens)}` }] : []),
      ...(heat.atRisk.length > 0
        ? [{ what: "risks" as const, text: `${made} ${verb("come")} close to melting the ${listed(heat.atRisk.map(names.part))}` }]
        : []),
    ];
  });
  return { heats: counted(heats.length, "heat"), moves, isProven: heatPlan.status === "best" };
}
