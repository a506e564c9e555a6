"use client";

import { useDraggable, useDroppable } from "@dnd-kit/core";
import { GripVertical } from "lucide-react";
import { useEffect } from "react";
import { type Plan, type PlannedHeat } from "@/core/piece/plan";
import { useDoubt } from "@/ui/doubt";
import { useHighlight, useHighlighted } from "@/ui/highlight";
import { FlameBar } from "@/ui/pictures/FlameBar";
import { SupportPicture } from "@/ui/pictures/SupportPicture";
import { HeatPicture } from "@/ui/pictures/HeatPicture";
import { capital, flameName, namesIn } from "@/words/names";
import { type Units, showTemperature } from "@/words/show";
import { pictureText } from "@/words/pictures";
import { SUPPORT_NAMES } from "@/words/heats";
import { sayTorch } from "@/words/torch";
import { JointTag } from "./JointTag";
import { type Held } from "./moving";
import { heatCardText } from "@/words/screens/heats";
import { practiceText } from "@/words/screens/practice";
import Link from "next/link";

interface CardProps {
  readonly index: number;
  readonly heat: PlannedHeat;
  readonly plan: Plan;
  readonly units: Units;
  /** Whether all that is told of it stands on it. */
  readonly isOpen: boolean;
  readonly onOpen: () => void;
}

/** A heat as it lies on the block, what solder it takes and how its flame divides; the rest on a press. */
export function HeatCard({ index, heat, plan, units, isOpen, onOpen }: CardProps) {
  const joints = heat.joints.map((id) => plan.joints.find((joint) => joint.id === id)!);
  const names = namesIn(plan);
  const torch = sayTorch(heat, plan, units, useDoubt());
  const { setNodeRef, node, isOver } = useDroppable({ id: `card ${index}`, data: { index } });
  const highlighted = useHighlighted();
  const isLit = highlighted !== null && heat.joints.includes(highlighted);
  useEffect(() => {
    if (isLit || isOpen) bringIntoRow(node.current);
  }, [isLit, isOpen, node]);
  const isBad = heat.runs.length > 0;
  const { handlers } = useHighlight(heat.joints[0]!);
  const title = names
    .joints(joints.map(({ id }) => id))
    .map(capital)
    .join(" + ");
  return (
    <li
      ref={setNodeRef}
      tabIndex={0}
      {...handlers}
      className={`${isOpen ? "min-w-98" : "min-w-29"} flex-1 rounded-md border bg-sheet px-2.5 py-2 text-xs leading-text lg:overflow-y-auto ${isOver ? "border-accent bg-accent-wash" : isBad ? "border-bad" : isOpen || isLit ? "border-accent" : "border-line"}`}
    >
      <p className="flex items-center gap-1">
        <Handle held={{ kind: "heat", index, joints: heat.joints }} label={heatCardText.moveTheHeatOf(title.toLowerCase())}>
          <GripVertical size={14} aria-hidden="true" />
        </Handle>
        <b className="text-base font-strong">{index + 1}</b>
        <span className="flex min-w-0 flex-wrap items-center">
          {joints.map(({ id }) => (
            <LitHandle key={id} joint={id} index={index} plan={plan} label={heatCardText.moveToAnotherHeat(names.joint(id))} />
          ))}
        </span>
      </p>
      <div className={isOpen ? "grid gap-x-3 lg:grid-cols-2" : ""}>
        <div className="min-w-0">
          <h3 className="text-sm leading-tight font-strong">{title}</h3>
          <p className="flex items-baseline justify-between gap-1 text-soft">
            <span>
              {capital(flameName(heat))}
              {joints.some(({ pinned }) => pinned) && heatCardText.pinned}
            </span>
            <b className="text-sm font-strong text-bad">{showTemperature(heat.working, units)}°</b>
          </p>
          <div className="my-0.5 h-23">
            <HeatPicture plan={plan} heat={heat} label={pictureText.onTheBlock(title)} width={isOpen ? 220 : 150} height={112} />
          </div>
          <FlameBar heat={heat} part={names.part} most={isOpen ? undefined : 2} />
          {!isOpen && <p className={`text-soft ${heat.flame.length > 1 ? "line-clamp-1" : "line-clamp-3"}`}>{torch.solder}.</p>}
        </div>
        <div className="min-w-0">
          {torch.supports.map((support) => (
            <p key={support} className="flex items-center gap-1 truncate text-soft">
              <SupportPicture support={support} /> {SUPPORT_NAMES[support]}
            </p>
          ))}
          {torch.care.map(({ level, text }) => (
            <p
              key={text}
              className={`font-semibold ${level === "error" ? "text-bad" : "text-warn"} ${isOpen ? "" : "line-clamp-2"}`}
              title={text}
            >
              ◆ {text}
            </p>
          ))}
          {isOpen && (
            <>
              <p className="text-soft">{torch.solder}.</p>
              <p className="text-soft">{heatCardText.flame(torch.flame)}</p>
              {torch.hold && <p className="text-soft">{heatCardText.hold(torch.hold)}</p>}
              <p className="text-soft">{heatCardText.lookFor(torch.look)}</p>
              {torch.habit && <p className="text-soft">{torch.habit}</p>}
            </>
          )}
          <span className="flex flex-wrap items-baseline justify-between gap-x-2">
            <button
              type="button"
              className="tap -ml-1 rounded-sm px-1 font-semibold text-accent underline underline-offset-2 max-lg:min-h-touch max-lg:min-w-touch"
              aria-expanded={isOpen}
              aria-label={isOpen ? heatCardText.lessOf(title) : heatCardText.moreOf(title)}
              onClick={onOpen}
            >
              {isOpen ? heatCardText.less : heatCardText.more}
            </button>
            <Link
              href={`/pieces/${plan.piece}/practice?joint=${heat.joints[0]!}`}
              className="tap rounded-sm font-semibold text-accent underline underline-offset-2 max-lg:grid max-lg:min-h-touch max-lg:place-items-center"
              aria-label={practiceText.practiseHeat(title.toLowerCase())}
            >
              {practiceText.practiseThis}
            </Link>
          </span>
        </div>
      </div>
    </li>
  );
}

/** Scrolls a row of cards, and nothing else, until one of them is whole in it. */
function bringIntoRow(card: HTMLElement | null): void {
  const row = card?.parentElement;
  if (!card || !row) return;
  const [{ left, right }, all] = [card.getBoundingClientRect(), row.getBoundingClientRect()];
  if (left < all.left) row.scrollLeft -= all.left - left;
  else if (right > all.right) row.scrollLeft += right - all.right;
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
    <span {...handlers} className={`ml-1 rounded-sm ${isHighlighted ? "outline-2 outline-accent" : ""}`}>
      <Handle held={{ kind: "joint", index, joints: [joint] }} label={label}>
        <JointTag joint={joint} plan={plan} />
      </Handle>
    </span>
  );
}
