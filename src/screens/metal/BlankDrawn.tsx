"use client";

import { type KeyboardEvent, type PointerEvent, useRef, useState } from "react";
import { placedCurve } from "@/core/geometry/placed";
import { sawLine } from "@/core/cutting/wanted";
import { LETTER, Millimetres, Shape } from "@/ui/Drawing";
import { useHighlight } from "@/ui/highlight";
import { type Units, showLength } from "@/words/show";
import { roundingOf } from "@/words/steps";
import { BAR, type BlankBox, isSheetBox } from "./drawer-layout";

interface Props {
  readonly blank: BlankBox;
  readonly perMm: number;
  readonly units: Units;
  /** Of its piece. */
  readonly name: string;
  readonly label: string;
  readonly colour: string;
  readonly isChosen: boolean;
  readonly onChoose: () => void;
  /** It is let go: how far it was dragged, and where the pointer is in the picture (pixels). Says whether it lies elsewhere now. */
  readonly onDrop: (by: readonly [number, number], pointer: readonly [number, number]) => boolean;
  readonly onKey: (event: KeyboardEvent) => void;
}

/** A pointer that moves less has pressed, not dragged (pixels). */
const STILL = 4;
/** A length takes so many letters. */
const NUMBER = 7;
/** Radius of the mark of what is pinned (pixels). */
const MARK = 3.5;

/** A blank where it is cut; it is dragged where it lies, and lights its piece. */
export function BlankDrawn({ blank, perMm, units, name, label, colour, isChosen, onChoose, onDrop, onKey }: Props) {
  const { wanted, on, at, box, isPinned } = blank;
  const { isHighlighted, handlers } = useHighlight(`piece ${wanted.piece}`);
  const start = useRef<{ readonly x: number; readonly y: number } | null>(null);
  const [by, setBy] = useState<readonly [number, number] | null>(null);
  const [laid, setLaid] = useState(blank);
  if (laid !== blank) {
    // a blank that was let go stays there until the cuts are laid anew
    setLaid(blank);
    if (start.current === null) setBy(null);
  }
  const onPointerDown = (event: PointerEvent<SVGGElement>) => {
    if (event.button !== 0) return;
    event.currentTarget.focus();
    event.currentTarget.setPointerCapture(event.pointerId);
    start.current = { x: event.clientX, y: event.clientY };
  };
  const onPointerMove = ({ clientX, clientY }: PointerEvent) => {
    if (!start.current) return;
    const [dx, dy] = [clientX - start.current.x, clientY - start.current.y];
    if (by || Math.hypot(dx, dy) > STILL) setBy([dx, dy]);
  };
  const onPointerUp = (event: PointerEvent<SVGGElement>) => {
    if (!start.current) return;
    start.current = null;
    if (!by) return;
    const frame = event.currentTarget.ownerSVGElement!.getBoundingClientRect();
    if (!onDrop(by, [event.clientX - frame.left, event.clientY - frame.top])) setBy(null);
  };
  const drop = () => {
    start.current = null;
    setBy(null);
  };
  const word = name.split(" ")[0]!;
  const isStrong = isHighlighted || isChosen;
  const middle = [box.left + box.width / 2, box.top + box.height / 2] as const;
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={label}
      aria-pressed={isPinned}
      {...handlers}
      onFocus={() => {
        handlers.onFocus();
        onChoose();
      }}
      onPointerDown={onPointerDown}
      onPointerMove={onPointerMove}
      onPointerUp={onPointerUp}
      onPointerCancel={drop}
      onKeyDown={(event) => {
        if (event.key === "Escape" && by) drop();
        else onKey(event);
      }}
      transform={by ? `translate(${by[0]} ${by[1]})` : undefined}
      opacity={by ? 0.8 : 1}
      className={`${isChosen ? "touch-none" : "touch-pan-y"} cursor-grab`}
    >
      <title>{label}</title>
      {isSheetBox(on) && at ? (
        <Millimetres x={on.x} y={on.foot} scale={{ perMm, times: 1 }}>
          <Shape
            curve={placedCurve(sawLine(wanted), { at: [at.x, at.y], turn: at.turn })}
            fill={colour}
            fillOpacity={isStrong ? 0.5 : 0.28}
            stroke={colour}
            strokeWidth={1.5}
            className={isStrong ? "lit-line" : ""}
          />
        </Millimetres>
      ) : (
        <rect
          x={box.left}
          y={box.top}
          width={box.width}
          height={BAR}
          fill={colour}
          fillOpacity={isStrong ? 0.6 : 0.28}
          stroke={colour}
          strokeWidth={1.5}
          className={isStrong ? "lit-line" : ""}
        />
      )}
      {isSheetBox(on) && box.width >= word.length * LETTER && (
        <text
          x={middle[0]}
          y={middle[1] + 4}
          textAnchor="middle"
          fontSize={12}
          fontWeight={600}
          fill="var(--color-ink)"
          pointerEvents="none"
        >
          {word}
        </text>
      )}
      {!isSheetBox(on) && box.width > (word.length + NUMBER) * LETTER && (
        <text x={box.left + 6} y={middle[1] + 4} fontSize={12} fill="var(--color-ink)" pointerEvents="none">
          <tspan fontWeight={600}>{word}</tspan> {showLength(wanted.cut.shape.length, roundingOf(wanted.cut.figure), units)}
        </text>
      )}
      {isPinned && (
        <circle
          cx={isSheetBox(on) ? middle[0] : box.left + box.width - 2 * MARK}
          cy={isSheetBox(on) ? middle[1] + 12 : middle[1]}
          r={MARK}
          fill="var(--color-ink)"
          stroke="var(--color-paper)"
          strokeWidth={1.2}
          pointerEvents="none"
        />
      )}
    </g>
  );
}
