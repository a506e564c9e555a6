"use client";

import { type PointerEvent, useState } from "react";
import { type Spot } from "@/core/trace/pixels";
import { straightened } from "@/core/trace/tilt";
import { useUnits } from "@/ui/tray";
import { tracePictureText } from "@/words/screens/trace";
import { withUnit } from "@/words/show";
import { FINE, WAYS } from "./arrows";
import { type ScaleChoice } from "./scale";
import { type OpenPicture, type Tracing } from "./tracing";

/** How far an arrow key moves an end (screen pixels). */
const RULE_STEP = 2;

interface RuleProps {
  readonly tracing: Tracing;
  readonly choice: ScaleChoice;
  readonly picture: OpenPicture;
  /** Screen pixels to a pixel of the picture. */
  readonly fit: number;
  readonly onScreen: (spot: Spot) => Spot;
  readonly under: (event: PointerEvent<SVGElement>) => Spot;
}

/** A rule with two ends that lie on something whose length is known. Its ends are dragged; the scale follows once they are let go. */
export function TwoEndedRule({ tracing, choice, picture, fit, onScreen, under }: RuleProps) {
  const units = useUnits();
  const [dragged, setDragged] = useState<readonly [Spot, Spot] | null>(null);
  const ends = dragged ?? choice.ends;
  const [a, b] = [onScreen(ends[0]), onScreen(ends[1])];
  const within = ([x, y]: Spot): Spot => [Math.min(picture.width, Math.max(0, x)), Math.min(picture.height, Math.max(0, y))];
  const withEnd = (which: 0 | 1, to: Spot): readonly [Spot, Spot] => (which === 0 ? [within(to), ends[1]] : [ends[0], within(to)]);
  const along = Math.hypot(...straightened([ends[1][0] - ends[0][0], ends[1][1] - ends[0][1]], choice.round?.tilt));
  const mm = choice.by === "rule" ? choice.mm : tracing.scale && along / tracing.scale.pxPerMm;
  const setEnds = (to: readonly [Spot, Spot]) => tracing.choose({ ends: to, by: "rule" });
  const isMain = choice.by === "rule";
  return (
    <g opacity={isMain ? 1 : 0.75}>
      <line x1={a[0]} y1={a[1]} x2={b[0]} y2={b[1]} stroke="var(--color-sheet)" strokeWidth={4} pointerEvents="none" />
      <line x1={a[0]} y1={a[1]} x2={b[0]} y2={b[1]} stroke="var(--color-ink)" strokeWidth={2} pointerEvents="none" />
      <g transform={`translate(${(a[0] + b[0]) / 2} ${(a[1] + b[1]) / 2})`} pointerEvents="none">
        <rect x={-46} y={-14} width={92} height={28} rx={4} fill="var(--color-ink)" />
        <text textAnchor="middle" y={5} fill="var(--color-sheet)" fontSize={14} fontWeight={600}>
          {mm ? withUnit(mm, "measured", units) : tracePictureText.notSaid}
        </text>
      </g>
      {([0, 1] as const).map((which) => (
        <g
          key={which}
          role="button"
          tabIndex={0}
          aria-label={tracePictureText.ruleEnd(which + 1, Math.round(ends[which][0]), Math.round(ends[which][1]))}
          className="cursor-move touch-none"
          onPointerDown={(event) => {
            event.currentTarget.focus();
            event.currentTarget.setPointerCapture(event.pointerId);
          }}
          onPointerMove={(event) => event.currentTarget.hasPointerCapture(event.pointerId) && setDragged(withEnd(which, under(event)))}
          onLostPointerCapture={() => {
            if (!dragged) return;
            setEnds(dragged);
            setDragged(null);
          }}
          onKeyDown={(event) => {
            const way = WAYS[event.key];
            if (!way) return;
            event.preventDefault();
            const step = (RULE_STEP * (event.altKey ? FINE : 1)) / fit;
            setEnds(withEnd(which, [ends[which][0] + way[0] * step, ends[which][1] + way[1] * step]));
          }}
        >
          <circle cx={onScreen(ends[which])[0]} cy={onScreen(ends[which])[1]} r={16} fill="transparent" />
          <circle
            cx={onScreen(ends[which])[0]}
            cy={onScreen(ends[which])[1]}
            r={6}
            fill="var(--color-sheet)"
            stroke="var(--color-ink)"
            strokeWidth={2.5}
          />
        </g>
      ))}
    </g>
  );
}
