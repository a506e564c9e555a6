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
      className={`${joints.length > 1 ? "min-w-[312px]" : "min-w-[196px]"} flex-1 rounded-[6px] border bg-sheet px-[11px] py-[8px] text-[12.2px] leading-[1.32] lg:overflow-y-auto ${isOver ? "border-accent bg-accent-wash" : isBad ? "border-bad" : "border-line"}`}
    >
      <h3 className="flex items-start gap-1 text-[14px] font-[660]">
        <Handle held={{ kind: "heat", index, joints: heat.joints }} label={`Move the heat of ${title.toLowerCase()}`}>
          <GripVertical size={14} aria-hidden="true" />
        </Handle>
        <span className="min-w-0 flex-1">{title}</span>
        <span className="text-[#a32a16]">{showTemperature(heat.working, units)}°</span>
      </h3>
      <p className="my-0.5 flex flex-wrap items-center gap-1 text-soft">
        {joints.map(({ id }) => (
          <LitHandle key={id} joint={id} index={index} plan={plan} label={`Move ${names.joint(id)} to another heat`} />
        ))}
        <b className="font-semibold text-ink">{capital(flameName(heat))}</b>
        {joints.some(({ pinned }) => pinned) && ", pinned"}
      </p>
      {torch.care.map(({ level, text }) => (
        <p key={text} className={`font-semibold ${level === "error" ? "text-bad" : "text-warn"}`}>
          ◆ {text}
        </p>
      ))}
      <p className="text-soft">{torch.solder}.</p>
      <p className="text-soft">Flame: {torch.flame}</p>
      {torch.hold && <p className="text-soft">Hold: {torch.hold}</p>}
      <p className="text-soft">Look for: {torch.look}.</p>
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
      className="tap -ml-1.5 grid shrink-0 cursor-grab touch-none place-items-center text-soft max-lg:min-h-[44px] max-lg:min-w-[44px]"
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
    <span {...handlers} className={`ml-1.5 rounded-[4px] ${isHighlighted ? "outline-2 outline-accent" : ""}`}>
      <Handle held={{ kind: "joint", index, joints: [joint] }} label={label}>
        <JointTag joint={joint} plan={plan} />
      </Handle>
    </span>
  );
}
