"use client";

import { type Bail, type BailDrawing } from "@/core/bail/bail";
import { type DrawnHang } from "@/core/bail/hanging";
import { type Curve, flattened } from "@/core/geometry/curve";
import { type Point } from "@/core/geometry/outline";
import { sharersOf } from "@/core/piece/plan";
import { type BentWire } from "@/core/earring/ear-wire";
import { Millimetres, Shape, Word, scaleFor, scaleText } from "@/ui/Drawing";
import { SettingSection } from "@/ui/SectionView";
import { usePlan } from "@/ui/plan";
import { useWhileHeld } from "@/ui/session";
import { type bailView } from "./view";
import { fromTheSideText } from "@/words/screens/bail";

interface Props {
  readonly mount: string;
  /** Whether there is room to say what is beside it. */
  readonly isWorded: boolean;
  readonly hang: DrawnHang;
  /** Whether its plate is of its own outline, so that the stones lie anywhere on it. */
  readonly isOnItsOwn: boolean;
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

/** From where to where a curve goes along an axis, in degrees from +x (mm). */
function alongOf(curve: Curve, axis: number): { readonly from: number; readonly to: number } {
  const [cos, sin] = [Math.cos((axis * Math.PI) / 180), Math.sin((axis * Math.PI) / 180)];
  const along = flattened(curve, DRAWN).map(([x, y]) => x * cos + y * sin);
  return { from: Math.min(...along), to: Math.max(...along) };
}

/** A plate seen edge on, its top to the right, from its upper edge down. */
function plateOf(half: number, thickness: number): Point[] {
  return [
    [-thickness, 0],
    [0, 0],
    [0, -2 * half],
    [-thickness, -2 * half],
  ];
}

/** What hangs, from the side: the plate upright, and the bail over its edge with the chain's end in it. */
export function FromTheSide({ mount, isWorded, hang, isOnItsOwn, bail, drawn, earWire, half, view, box }: Props) {
  const { settings } = usePlan().drawing;
  const { section } = settings[mount]!;
  const onPlate = [[mount, settings[mount]!] as const, ...sharersOf(settings, mount)];
  const { bore, thickness, chainEnd } = bail;
  const { pastEdge, boreAt: middle } = drawn;
  const outside = bore / 2 + thickness;
  const hook = earWire ? flattened(earWire.middle, DRAWN) : [];
  const above = earWire ? earWire.height : Math.max(outside, (drawn.ring?.top ?? 0) - pastEdge);
  const chainAt = drawn.ring?.middle ?? middle;
  const across = section.plate.half;
  const stretch = half / across;
  const { scale } = useWhileHeld({
    scale: scaleFor(section.top + section.plate.rises + 2 * outside, 2 * half + pastEdge + above + 1, box.width - 30, box.height - 70),
  });
  const k = scale.perMm;
  const x = box.x + box.width / 2 - ((section.top - outside) * k) / 2;
  const y = box.y + 46 + (pastEdge + above) * k;
  const legs = section.plate.thickness / 2;
  return (
    <>
      <Word x={box.x} y={box.y + 14}>
        {isWorded ? fromTheSideText.fromTheSide(scaleText(scale)) : fromTheSideText.side}
      </Word>
      <Millimetres x={x} y={y} scale={scale}>
        {isOnItsOwn ? (
          <Shape points={plateOf(half, section.plate.thickness)} fill="url(#metal)" stroke="var(--color-metal-edge)" lights="plate" />
        ) : null}
        {onPlate.map(([id, each]) => {
          const { from, to } = alongOf(each.plan.stone, hang.axis);
          const down = isOnItsOwn ? (from + to) / 2 - alongOf(each.plan.plateEdge, hang.axis).from : half;
          const long = isOnItsOwn ? (to - from) / 2 / each.section.radius : stretch;
          return (
            <g key={id} transform={`translate(0 ${-down}) rotate(-90) scale(${long} 1)`}>
              <SettingSection section={each.section} scale={scale} fill={`url(#stone-${id})`} isOnAnother={isOnItsOwn} />
            </g>
          );
        })}
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
      {isWorded && view.chain && (
        <>
          <Word x={x + (outside + 0.6) * k} y={y - chainAt * k - 4} fontSize={13} fontWeight={640} fill="var(--color-ink)" lights="chain">
            {view.chain}
          </Word>
          <Word x={x + (outside + 0.6) * k} y={y - chainAt * k + 11} fontSize={12}>
            {view.passes}
          </Word>
        </>
      )}
      {isWorded && (
        <Word x={box.x} y={box.y + box.height - 6}>
          {fromTheSideText.dropFromTheEdge(view.drop)}
        </Word>
      )}
    </>
  );
}
