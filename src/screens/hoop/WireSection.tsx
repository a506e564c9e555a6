"use client";

import { type Point } from "@/core/geometry/outline";
import { Millimetres, type Scale, Shape, Word, scaleFor, scaleText } from "@/ui/Drawing";
import { wireSectionText } from "@/words/screens/hoop";

interface WireProps {
  readonly x: number;
  readonly y: number;
  readonly wire: { readonly curve: readonly Point[]; readonly fibre: number; readonly width: number; readonly thickness: number };
  readonly view: { readonly fibre: string; readonly width: string };
  /** Pixels there are for it. */
  readonly room: number;
}

/** The wire cut across, flat side to the finger; the middle of its foot at (x, y). */
export function WireSection({ x, y, wire, view, room }: WireProps) {
  const scale: Scale = scaleFor(wire.width, wire.thickness, room, (room * 110) / 150);
  const k = scale.perMm;
  const half = (wire.width / 2) * k;
  return (
    <>
      <Word x={x} y={y - wire.thickness * k - 14} textAnchor="middle">
        {wireSectionText.wire(scaleText(scale))}
      </Word>
      <Millimetres x={x} y={y} scale={scale}>
        <Shape points={wire.curve} fill="url(#metal)" stroke="var(--color-metal-edge)" lights="stock" />
      </Millimetres>
      <line
        x1={x - half - 8}
        x2={x + half + 8}
        y1={y - wire.fibre * k}
        y2={y - wire.fibre * k}
        stroke="var(--color-accent)"
        strokeWidth={1.4}
        strokeDasharray="5 4"
      />
      <Word x={x + half + 10} y={y - wire.fibre * k + 4} fontSize={12} fill="var(--color-accent)" lights="fibre">
        {view.fibre}
      </Word>
      <Word x={x} y={y + 18} textAnchor="middle" fill="var(--color-ink)">
        {view.width}
      </Word>
    </>
  );
}
