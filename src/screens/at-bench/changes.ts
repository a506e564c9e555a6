import { type Plan } from "@/core/piece/plan";
import { sayStep } from "@/words/steps";
import { type Units } from "@/words/show";

/** A step that reads otherwise in another plan; null where it is not in one of them. */
export interface PlanChange {
  readonly id: string;
  readonly before: string | null;
  readonly after: string | null;
}

/** What is different in a plan, of the steps that are still to be done, in its order; what is gone last. */
export function changesBetween(before: Plan, after: Plan, done: ReadonlySet<string>, units: Units): PlanChange[] {
  const titles = (plan: Plan) =>
    new Map(plan.steps.filter(({ id }) => !done.has(id)).map((step) => [step.id, sayStep(step, plan, units).title]));
  const [was, is] = [titles(before), titles(after)];
  return [
    ...[...is].flatMap(([id, title]): PlanChange[] => (was.get(id) === title ? [] : [{ id, before: was.get(id) ?? null, after: title }])),
    ...[...was].flatMap(([id, title]): PlanChange[] => (is.has(id) ? [] : [{ id, before: title, after: null }])),
  ];
}
