"use client";

import { type Blank } from "@/core/measure/blank";
import { type Hoop } from "@/core/hoop/hoop";

interface Props {
  readonly hoop: Hoop;
  readonly blank: Blank;
  /** How wide the blank is (mm). */
  readonly height: number;
}

/** What is done with the blank while it lies on the rule, in mm along and up: the cut of a slit as wide as the saw, the groove between strands. */
export function OnRule({ hoop: { works }, blank: { length, marks }, height }: Props) {
  const { slit, strands } = works;
  const roots = marks.filter(({ code }) => code === "root").map(({ at }) => at);
  const [left = 0, right = length] = roots;
  if (slit) {
    const isFromEnds = !marks.some(({ code }) => code === "front");
    const cuts = isFromEnds ? [[0, left] as const, [right, length] as const] : [[left, right] as const];
    return cuts.map(([from, to]) => (
      <rect
        key={from}
        x={from}
        y={height / 2 - slit.kerf / 2}
        width={Math.max(0, to - from)}
        height={slit.kerf}
        fill="var(--color-metal-deep)"
        fillOpacity={0.3}
      />
    ));
  }
  if (!strands) return null;
  const [from, to] = strands.soldered === "all" ? [0, length] : [left, right];
  return <rect x={from} y={0} width={Math.max(0, to - from)} height={height} fill="var(--color-accent)" fillOpacity={0.16} />;
}
