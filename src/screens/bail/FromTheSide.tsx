"use client";

import { type Bail, type BailDrawing } from "@/core/bail/bail";
import { flattened } from "@/core/geometry/curve";
import { type BentWire } from "@/core/earring/ear-wire";
import { Millimetres, Shape, Word, scaleFor, scaleText } from "@/ui/Drawing";
import { SettingSection } from "@/ui/SectionView";
import { usePlan } from "@/ui/plan";
import { useWhileHeld } from "@/ui/session";
import { type bailView } from "./view";
import { fromTheSideText } from "@/words/screens/bail";

interface Props {
  readonly mount: string;
  readonly bail: Bail;
  readonly drawn: BailDrawing;
  readonly earWire: BentWire | null;
  /** Half the plate's length down the plumb line (mm). */
  readonly half: number;
  readonly view: ReturnType<typeof bailView>;
  readonly box: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
}

/** How closely an ear wire is drawn (mm). */
const DRAWN = 0.01;

/** What hangs, from the side: the plate upright, and the bail over its edge with the chain's end in it. */
export function FromTheSide({ mount, bail, drawn, earWire, half, view, box }: Props) {
  const { section } = usePlan().drawing.settings[mount]!;
  const { bore, thickness, chainEnd } = bail;
  const { pastEdge, boreAt: middle } = drawn;
  const outside = bore / 2 + thickness;
  const hook = earWire ? flattened(earWire.middle, DRAWN) : [];
  const above = earWire ? earWire.height : Math.max(outside, (drawn.ring?.top ?? 0) - pastEdge);
  const chainAt = drawn.ring?.middle ?? middle;
  const across = section.plate.half;
  const stretch = half / across;
  const { scale } = useWhileHeld({
    scale: scaleFor(section.top + section.plate.thickness + 2 * outside, 2 * half + pastEdge + above + 1, box.width - 30, box.height - 70),
  });
  const k = scale.perMm;
  const x = box.x + box.width / 2 - ((section.top - outside) * k) / 2;
  const y = box.y + 46 + (pastEdge + above) * k;
  const legs = section.plate.thickness / 2;
  return (
    <>
      <Word x={box.x} y={box.y + 14}>
        {fromTheSideText.fromTheSide(scaleText(scale))}
      </Word>
      <Millimetres x={x} y={y} scale={scale}>
        <g transform={`translate(0 ${-half}) rotate(-90) scale(${stretch} 1)`}>
          <SettingSection section={section} scale={scale} fill={`url(#stone-${mount})`} />
        </g>
        <g transform={`translate(${-legs} 0)`}>
          {drawn.sides[mount]!.map((curves, i) => (
            <Shape key={i} curves={curves} fill="url(#metal)" stroke="var(--color-metal-edge)" lights="bail" />
          ))}
          {drawn.ring && <Shape curves={drawn.ring.side} fill="url(#metal)" stroke="var(--color-metal-edge)" lights="ring" />}
          {earWire && (
            <g transform={`translate(0 ${pastEdge}) scale(-1 1)`}>
              <Shape
                points={hook}
                open
                fill="none"
                stroke="var(--color-metal-edge)"
                strokeWidth={earWire.wire * k}
                strokeLinecap="round"
                lights="earwire"
              />
              <Shape
                points={hook}
                open
                fill="none"
                stroke="var(--color-metal-lit)"
                strokeWidth={earWire.wire * k - 2}
                strokeLinecap="round"
              />
            </g>
          )}
        </g>
        {chainEnd !== null && !drawn.ring && (
          <circle
            cx={-legs}
            cy={middle + bore / 2 - chainEnd / 2}
            r={chainEnd / 2}
            fill="var(--color-metal)"
            stroke="var(--color-metal-deep)"
            vectorEffect="non-scaling-stroke"
          />
        )}
      </Millimetres>
      {view.chain && (
        <>
          <Word x={x + (outside + 0.6) * k} y={y - chainAt * k - 4} fontSize={13} fontWeight={640} fill="var(--color-ink)" lights="chain">
            {view.chain}
          </Word>
          <Word x={x + (outside + 0.6) * k} y={y - chainAt * k + 11} fontSize={12}>
            {view.passes}
          </Word>
        </>
      )}
      <Word x={box.x} y={box.y + box.height - 6}>
        {fromTheSideText.dropFromTheEdge(view.drop)}
      </Word>
    </>
  );
}
