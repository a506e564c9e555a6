import { type Plan } from "@/core/piece/plan";
import { letterOf } from "./ladder";

/** A joint's letter, as in the ladder. */
export function JointTag({ joint, plan }: { readonly joint: string; readonly plan: Plan }) {
  return (
    <span className="grid h-5 w-5 shrink-0 place-items-center rounded-sm bg-ink text-xs font-bold text-white">{letterOf(plan, joint)}</span>
  );
}
