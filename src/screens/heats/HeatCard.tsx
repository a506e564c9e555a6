"use client";

import { useDraggable, useDroppable } from "@dnd-kit/core";
import { GripVertical } from "lucide-react";
import { type Plan, type PlannedHeat } from "@/core/piece/plan";
import { useDoubt } from "@/ui/doubt";
import { useHighlight } from "@/ui/highlight";
import { capital, flameName, namesIn } from "@/words/names";
import { type Units, showTemperature } from "@/words/show";
import { sayTorch } from "@/words/torch";
import { JointTag } from "./JointTag";
import { type Held } from "./moving";
import { heatCardText } from "@/words/screens/heats";

interface CardProps {
  readonly index: number;
  readonly heat: PlannedHeat;
  readonly plan: Plan;
  readonly units: Units;
}

export function HeatCard({ index, heat, plan, units }: CardProps) {
  const joints = heat.joints.map((id) => plan.joints.find((joint) => joint.id === id)!);
  const names = namesIn(plan);
  const torch = sayTorch(heat, plan, units, useDoubt());
  const { setNodeRef, isOver } = useDroppable({ id: `card ${index}`, data: { index } });
  const isBad = heat.runs.length > 0;
  const { handlers } = useHighlight(heat.joints[0]!);
  const title = joints.map(({ id }) => capital(names.joint(id))).join(" + ");
  return (
    <li
      ref={setNodeRef}
      tabIndex={0}
      {...handlers}
      className={`${joints.length > 1 ? "min-w-89" : "min-w-56"} flex-1 rounded-md border bg-sheet px-3 py-2.5 text-xs leading-text lg:overflow-y-auto ${isOver ? "border-accent bg-accent-wash" : isBad ? "border-bad" : "border-line"}`}
    >
      <h3 className="flex items-start gap-1 text-base font-strong">
        <Handle held={{ kind: "heat", index, joints: heat.joints }} label={heatCardText.moveTheHeatOf(title.toLowerCase())}>
          <GripVertical size={14} aria-hidden="true" />
        </Handle>
        <span className="min-w-0 flex-1">{title}</span>
        <span className="text-bad">{showTemperature(heat.working, units)}°</span>
      </h3>
      <p className="my-0.5 flex flex-wrap items-center gap-1 text-soft">
        {joints.map(({ id }) => (
          <LitHandle key={id} joint={id} index={index} plan={plan} label={heatCardText.moveToAnotherHeat(names.joint(id))} />
        ))}
        <b className="font-semibold text-ink">{capital(flameName(heat))}</b>
        {joints.some(({ pinned }) => pinned) && heatCardText.pinned}
      </p>
      {torch.care.map(({ level, text }) => (
        <p key={text} className={`font-semibold ${level === "error" ? "text-bad" : "text-warn"}`}>
          ◆ {text}
        </p>
      ))}
      <p className="text-soft">{torch.solder}.</p>
      <p className="text-soft">{heatCardText.flame(torch.flame)}</p>
      {torch.hold && <p className="text-soft">{heatCardText.hold(torch.hold)}</p>}
      <p className="text-soft">{heatCardText.lookFor(torch.look)}</p>
      {torch.habit && <p className="text-soft">{torch.habit}</p>}
    </li>
  );
}

interface HandleProps {
  readonly held: Held;
  readonly label: string;
  readonly children: React.ReactNode;
}

function Handle({ held, label, children }: HandleProps) {
  const { attributes, listeners, setNodeRef } = useDraggable({ id: `${held.kind} ${held.joints.join(" ")}`, data: held });
  return (
    <button
      ref={setNodeRef}
      type="button"
      className="tap -ml-1.5 grid shrink-0 cursor-grab touch-none place-items-center text-soft max-lg:min-h-touch max-lg:min-w-touch"
      {...attributes}
      {...listeners}
      aria-label={label}
    >
      {children}
    </button>
  );
}

interface LitProps {
  readonly joint: string;
  readonly index: number;
  readonly plan: Plan;
  readonly label: string;
}

/** A joint's letter, which lights where the joint is, and is taken hold of by. */
function LitHandle({ joint, index, plan, label }: LitProps) {
  const { isHighlighted, handlers } = useHighlight(joint);
  return (
    <span {...handlers} className={`ml-1.5 rounded-sm ${isHighlighted ? "outline-2 outline-accent" : ""}`}>
      <Handle held={{ kind: "joint", index, joints: [joint] }} label={label}>
        <JointTag joint={joint} plan={plan} />
      </Handle>
    </span>
  );
}
