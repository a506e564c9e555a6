"use client";

import { type KeyboardEvent, type PointerEvent, type ReactNode } from "react";
import { type Point } from "@/core/geometry/outline";
import { pointUnder } from "./Drawing";
import { type Session } from "@/store/session";
import { useHighlight } from "./highlight";
import { useSession } from "./session";

interface Props {
  readonly label: string;
  readonly now: number;
  readonly most: number;
  readonly told?: string;
  readonly isUpright?: boolean;
  /** What it lights. */
  readonly lights: string;
  /** Takes the point of the drawing, in millimetres, that it is dragged to. Returns why it cannot lie there, or null. */
  readonly onDrag: (to: Point) => string | null;
  /** Takes one press of an arrow key: on (1) or back (-1), and the way it points on the drawing, y upward. Returns the same. */
  readonly onStep: (by: 1 | -1, way: Point) => string | null;
  readonly children: (isHighlighted: boolean) => ReactNode;
}

/** Begins a drag: a field that is left by it closes its own step of undo first, so that it does not end the hold. */
export function takeHold(event: PointerEvent<SVGGElement>, session: Pick<Session, "hold">): void {
  event.currentTarget.focus();
  event.currentTarget.setPointerCapture(event.pointerId);
  session.hold();
}

const KEYS: Readonly<Record<string, { readonly by: 1 | -1; readonly way: Point }>> = {
  ArrowLeft: { by: 1, way: [-1, 0] },
  ArrowUp: { by: 1, way: [0, 1] },
  ArrowRight: { by: -1, way: [1, 0] },
  ArrowDown: { by: -1, way: [0, -1] },
};

/** Something of a drawing that is dragged where it lies, or moved with the arrow keys; a drag is one step of undo. */
export function DragHandle({ label, now, most, told, isUpright = false, lights, onDrag, onStep, children }: Props) {
  const session = useSession();
  const { isHighlighted, handlers } = useHighlight(lights);
  const tell = (problem: string | null) => session.refuse(problem && `${label} ${problem}`);
  const onPointerMove = (event: PointerEvent<SVGGElement>) => {
    if (event.currentTarget.hasPointerCapture(event.pointerId)) tell(onDrag(pointUnder(event)));
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const key = KEYS[event.key];
    if (!key) return;
    event.preventDefault();
    tell(onStep(key.by, key.way));
  };
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuenow={now}
      aria-valuemin={0}
      aria-valuemax={most}
      aria-valuetext={told}
      aria-orientation={isUpright ? "vertical" : "horizontal"}
      className={`touch-none ${isUpright ? "cursor-ns-resize" : "cursor-grab"}`}
      {...handlers}
      onPointerDown={(event) => takeHold(event, session)}
      onPointerMove={onPointerMove}
      onLostPointerCapture={() => session.commit()}
      onKeyDown={onKeyDown}
    >
      {children(isHighlighted)}
    </g>
  );
}
