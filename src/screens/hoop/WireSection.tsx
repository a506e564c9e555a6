"use client";

import { type Point } from "@/core/geometry/outline";
import { Millimetres, type Scale, Shape, Word, scaleFor, scaleText } from "@/ui/Drawing";

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
        Wire, {scaleText(scale)}
      </Word>
      <Millimetres x={x} y={y} scale={scale}>
        <Shape points={wire.curve} fill="url(#metal)" stroke="#6f7a7e" lights="stock" />
      </Millimetres>
      <line
        x1={x - half - 8}
        x2={x + half + 8}
        y1={y - wire.fibre * k}
        y2={y - wire.fibre * k}
        stroke="#0b5d66"
        strokeWidth={1.4}
        strokeDasharray="5 4"
      />
      <Word x={x + half + 10} y={y - wire.fibre * k + 4} fontSize={12} fill="#0b5d66" lights="fibre">
        {view.fibre}
      </Word>
      <Word x={x} y={y + 18} textAnchor="middle" fill="#1b2225">
        {view.width}
      </Word>
    </>
  );
}
