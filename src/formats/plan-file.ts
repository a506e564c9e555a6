import { unpack } from "@/core/heats/cost";
import { type PlannedTask, schedule } from "@/core/making/schedule";
import { type Plan } from "@/core/piece/plan";
import { findingText } from "@/words/findings";
import { remedyText } from "@/words/remedies";
import { METRIC } from "@/words/show";
import { stepText } from "@/words/steps";
import { termText } from "@/words/terms";

/** A plan as its file has it: with the sentences of its terms, steps and findings, and without what only screens need. */
export function planFile(plan: Plan): object {
  const {
    cuts: _cuts,
    drawing: _drawing,
    settled: _settled,
    figures,
    parts,
    joints,
    heats,
    heatPlan,
    steps,
    tasks,
    findings,
    remedies,
    leftOut: _leftOut,
    ...rest
  } = plan;
  return {
    ...rest,
    parts: parts.map(({ id, metal, mass }) => ({ id, metal, mass })),
    joints: joints.map(({ follows: _follows, ...joint }) => joint),
    figures: Object.fromEntries(
      Object.entries(figures).map(([key, figure]) => [
        key,
        { ...figure, terms: figure.terms.map((term) => ({ ...term, text: termText(term) })) },
      ]),
    ),
    heats: heats.map(({ means: _means, ...heat }) => heat),
    heatPlan: {
      ...heatPlan,
      bound: heatPlan.bound === null ? null : unpack(heatPlan.bound),
      conflicts: heatPlan.conflicts.map((conflict) => ("pin" in conflict ? `/heats/pins/${conflict.pin}` : "/heats/way")),
    },
    steps: steps.map((step) => ({
      id: step.id,
      stage: step.stage,
      text: stepText(step, plan, METRIC),
      target: step.target,
      heat: step.heat,
      ...(step.joints.length > 0 && { joints: step.joints }),
      checks: step.checks,
      cautions: step.cautions,
    })),
    findings: findings.map((finding) => {
      const { mount: _mount, ...told } = finding;
      return { ...told, text: findingText(finding, plan, METRIC) };
    }),
    remedies: remedies.map((remedy) => {
      const { mount: _mount, ...told } = remedy;
      return { ...told, text: remedyText(remedy, METRIC) };
    }),
    schedule: tasks && scheduleFile(tasks),
  };
}

function scheduleFile(all: readonly PlannedTask[]): object {
  const { finish, oneAfterAnother, proven, bound, tasks } = schedule(all);
  return {
    finish,
    oneAfterAnother,
    proven,
    ...(!proven && { bound }),
    tasks: tasks.map(({ isUsual: _isUsual, makes: _makes, ...task }) => task),
  };
}
