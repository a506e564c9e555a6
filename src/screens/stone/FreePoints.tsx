"use client";

import { type KeyboardEvent, type PointerEvent } from "react";
import { type Point } from "@/core/geometry/outline";
import { type Mount } from "@/core/piece/piece";
import { moved, withPointNear, without } from "@/core/stone/free-edit";
import { type Free } from "@/core/stone/shapes/free";
import { takeHold } from "@/ui/DragHandle";
import { Knob, pointUnder } from "@/ui/Drawing";
import { useSession } from "@/ui/session";
import { pointsKey, stoneOf } from "./fields";
import { freePointsText } from "@/words/screens/stone";

const STEP = 0.1;
const WAYS: Readonly<Record<string, Point>> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] };
const FINE = 0.1;

interface Props {
  readonly mount: Mount;
  readonly shape: Free;
}

/** Changes a free-form, if the change is one that can be drawn; `measures` if it is of what the maker saw on the stone. */
export function useFreeForm(mount: string, measures: boolean): (change: (shape: Free) => Free) => void {
  const session = useSession();
  return (change) => {
    const problem = session.change(
      (piece) => {
        const stone = stoneOf(piece, mount);
        if (stone.outline.shape === "free") stone.outline = change(stone.outline) as typeof stone.outline;
      },
      measures ? pointsKey(mount) : null,
    );
    session.refuse(problem && freePointsText.theOutline(problem));
  };
}

/**
 * The points of a free-form over its outline: dragged, or moved with the arrow keys (Alt for a tenth of that); Enter adds one after, Delete
 * takes one away. The outline itself takes a new point where it is double-clicked.
 */
export function FreePoints({ mount, shape }: Props) {
  const session = useSession();
  const change = useFreeForm(mount.id, true);
  const onKeyDown = (event: KeyboardEvent, i: number) => {
    const way = WAYS[event.key];
    const [x, y] = shape.points[i]!;
    const [nx, ny] = shape.points[(i + 1) % shape.points.length]!;
    if (way) {
      const step = event.altKey ? STEP * FINE : STEP;
      change((each) => moved(each, i, [x + way[0] * step, y + way[1] * step]));
    } else if (event.key === "Delete" || event.key === "Backspace") {
      if (without(shape, i) === shape) session.refuse(freePointsText.theOutlineNeedsPointsAt(shape.points.length));
      else change((each) => without(each, i));
    } else if (event.key === "Enter") change((each) => withPointNear(each, [(x + nx) / 2, (y + ny) / 2]));
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const onPointerMove = (event: PointerEvent<SVGGElement>, i: number) => {
    if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
    const to = pointUnder(event);
    change((each) => moved(each, i, to));
  };
  return shape.points.map(([x, y], i) => (
    <g
      key={i}
      role="button"
      tabIndex={0}
      aria-label={freePointsText.pointAt(i + 1, x.toFixed(2), y.toFixed(2))}
      className="cursor-move touch-none"
      onPointerDown={(event) => takeHold(event, session)}
      onPointerMove={(event) => onPointerMove(event, i)}
      onLostPointerCapture={() => session.commit()}
      onKeyDown={(event) => onKeyDown(event, i)}
      onBlur={() => session.commit()}
    >
      <Knob at={[x, y]} />
    </g>
  ));
}
