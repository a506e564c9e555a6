import { type CutSolder } from "@/core/heats/cutting";
import { type Pallions } from "@/core/heats/solder";
import { type DoubtOf, SURE, doubtAmong } from "@/core/piece/doubt";
import { type Plan, type PlannedHeat, heatOf } from "@/core/piece/plan";
import { type Step, isHeating } from "@/core/making/step";
import { BLANK } from "./doubt";
import { type Support, jointAdvice, solderText } from "./heats";
import { agreeing, capital, counted, gradeName, lowered, namesIn } from "./names";
import { type Units, lengthUnit, snipped } from "./show";
import { CHECKS } from "./steps";
import { percentsOf } from "./sums";

/** What is told of a heat at the torch. Empty where there is nothing to say. */
export interface SaidTorch {
  readonly solder: string;
  /** How the flame's time divides, and where it goes. */
  readonly flame: string;
  readonly hold: string;
  readonly supports: readonly Support[];
  /** What is seen on the way, and when it runs. */
  readonly signs: string;
  /** What its steps ask to be looked for before going on. */
  readonly look: string;
  /** What moves or comes close to melting, and the side to keep the flame off. */
  readonly care: readonly { readonly level: "error" | "warning"; readonly text: string }[];
  /** What the even-gap habit cuts, and how much of it is left over, where that is much. */
  readonly habit: string;
}

/** How many times too much solder the even-gap habit must lay before it is worth a word. */
const MUCH_MORE = 1.5;

const SIGNS = {
  solder:
    "the flux heaves the pallions about, so go slowly; it dries white, then turns clear and glassy: nearly there. Then a bright line runs along the join.",
  fuse: "the surface shines along the seam: take the flame away at once.",
} as const;

/** Of the joint where it lays most for what is wanted. */
function habitText(solder: readonly Pallions[]): string {
  const most = solder.reduce((found, { count, evenGap }) => ((evenGap ?? 0) > found.times ? { count, times: evenGap! } : found), {
    count: 0,
    times: 0,
  });
  if (most.times <= MUCH_MORE) return "";
  const cut = Math.round(most.count * most.times);
  return `With gaps as long as the pallions: ${cut} to cut, ${most.times.toFixed(1)} times as many, ${cut - most.count} too many.`;
}

export function sayTorch(heat: PlannedHeat, plan: Plan, units: Units, doubtOf: DoubtOf = SURE): SaidTorch {
  const names = namesIn(plan);
  const joints = plan.joints.filter(({ id }) => heat.joints.includes(id));
  const advice = joints.map((joint) => jointAdvice(joint, names.part));
  const all = (pick: (each: (typeof advice)[number]) => string) => [...new Set(advice.map(pick))].filter((text) => text !== "").join(" ");
  const percents = percentsOf(heat.flame.map(({ share }) => share));
  const shares = heat.flame.map(({ part }, i) => `${names.part(part)} ${percents[i]!}`).join(", ");
  const checks = new Set(plan.steps.flatMap((step) => (step.code === "join.check" && step.part === heat.joints[0] ? step.checks : [])));
  const listed = (ids: readonly string[], name: (id: string) => string) => capital(ids.map(name).join(", "));
  const moved = (ids: readonly string[], verb: string, remedy: string) =>
    `${listed(ids, names.joint)} ${agreeing(ids.length, verb)}${remedy} ${ids.length === 1 ? "it" : "them"}.`;
  return {
    solder: capital(solderText(heat, plan, units, doubtOf)),
    flame: `${heat.flame.length > 1 ? `${shares}. ` : ""}${all(({ flame }) => flame)}`,
    hold: all(({ hold }) => hold),
    supports: [...new Set(advice.flatMap(({ support }) => support ?? []))],
    signs: SIGNS[heat.means],
    look: [...checks].map((check, i) => (i === 0 ? CHECKS[check] : lowered(CHECKS[check]))).join("; "),
    care: [
      ...(heat.runs.length > 0 ? [{ level: "error" as const, text: moved(heat.runs, "run", " again: shield") }] : []),
      ...(heat.softens.length > 0 ? [{ level: "warning" as const, text: moved(heat.softens, "soften", ": prop") }] : []),
      ...(heat.atRisk.length > 0 ? [{ level: "warning" as const, text: `${listed(heat.atRisk, names.part)} close to melting.` }] : []),
      ...(heat.thin ? [{ level: "warning" as const, text: `Keep the flame off the ${names.part(heat.thin)}, the thin side.` }] : []),
    ],
    habit: habitText(heat.solder),
  };
}

/** "Hard: 12.0 mm of strip 1.0 mm wide: 9 pallions and 3 spare"; blanks where what it is for cannot be trusted. */
export function cutSolderText(cut: CutSolder, plan: Pick<Plan, "joints">, units: Units, doubtOf: DoubtOf = SURE): string {
  const { grade, form, width, count, spare, length } = cut;
  const follows = cut.joints.flatMap((id) => plan.joints.find((joint) => joint.id === id)!.follows);
  const isSure = doubtAmong(follows, doubtOf) === null;
  const told = (text: string) => (isSure ? text : BLANK);
  const wide = `${snipped(width, units)} ${lengthUnit(units)}`;
  const long = `${told(snipped(length, units))} ${lengthUnit(units)}`;
  const what = {
    sheet: `${long} of strip ${wide} wide: ${told(counted(count, "pallion"))} and ${told(String(spare))} spare`,
    wire: `${long} of wire ${wide} thick, a quarter of it spare`,
    paste: `${told(counted(count, "ball"))} ${wide} across and ${told(String(spare))} spare`,
  }[form];
  return `${capital(gradeName(grade))}: ${what}`;
}

/** What is told of a heat line by line: its solder and what holds it where it is made ready, its flame where it is heated; none at any other step. */
export function torchLines(
  step: Step,
  plan: Plan,
  units: Units,
  doubtOf: DoubtOf = SURE,
): readonly (readonly [label: string, text: string])[] {
  const heat = heatOf(plan, step.part)?.heat;
  if (!heat) return [];
  const said = sayTorch(heat, plan, units, doubtOf);
  const lines =
    step.code === "join.prepare"
      ? [
          ["Solder", `${said.solder}.`] as const,
          ["Hold", said.hold] as const,
          ["Take off first", "Stone, glue, iron that must not go in the pickle, filings of other solder."] as const,
        ]
      : isHeating(step)
        ? [
            ["Flame", said.flame] as const,
            ["Watch for", capital(said.signs)] as const,
            ...said.care.map(({ text }) => ["◆", text] as const),
          ]
        : [];
  return lines.filter(([, text]) => text !== "");
}
