"use client";

import { flattened } from "@/core/geometry/curve";
import { type Point } from "@/core/geometry/outline";
import { drainClear, stampClear } from "@/core/mount/backs/struck";
import { type SettingDrawing } from "@/core/mount/drawing";
import { type Mount } from "@/core/piece/piece";
import { DragHandle } from "@/ui/DragHandle";
import { Millimetres, type Scale, Shape, Word } from "@/ui/Drawing";
import { usePlan } from "@/ui/plan";
import { useSession } from "@/ui/session";
import { useUnits } from "@/ui/tray";
import { withUnit } from "@/words/show";

const KEY_STEP = 0.1;

interface Props {
  readonly mount: Mount;
  readonly drawing: SettingDrawing;
  readonly x: number;
  readonly y: number;
  readonly scale: Scale;
}

/** The plate from behind, left and right changed over: where the wall stands and the hoop goes, and what is struck or drilled there. */
export function BackView({ mount, drawing, x, y, scale }: Props) {
  const { plateEdge, wallInside, wallOutside, back } = drawing.plan;
  const units = useUnits();
  const session = useSession();
  const { stamp, drain, band } = back;
  const settled = usePlan().settled.mounts[mount.id]!.back;
  const put = (what: "stamp" | "drain", [px, py]: Point) => {
    const at: Point = [toTwentieth(px), toTwentieth(py)];
    const clear =
      what === "stamp"
        ? stampClear(settled.stamp!, at, band, flattened(plateEdge, DRAWN))
        : drainClear(settled.drain!.diameter, at, band, flattened(wallInside, DRAWN));
    if (clear < 0) return what === "stamp" ? "must lie on the plate, clear of the hoop" : "must open inside the wall, clear of the hoop";
    return session.change((piece) => {
      const { plate } = piece.mounts.find(({ id }) => id === mount.id)!;
      const struck = plate[what];
      if (struck) struck.at = [at[0], at[1]];
    }, `${mount.id}.plate.${what}.at`);
  };
  return (
    <>
      <Millimetres x={x} y={y} scale={scale}>
        <g transform="scale(-1 1)">
          <Shape curve={plateEdge} fill="url(#metal)" stroke="#1b2225" lights="plate" />
          <Shape curve={wallOutside} fill="none" stroke="#6f7a7e" strokeDasharray="4 3" />
          {band && (
            <g transform={`rotate(${(band.along * 180) / Math.PI})`}>
              <rect
                x={-band.half}
                y={-BAND_TALL / 2}
                width={2 * band.half}
                height={BAND_TALL}
                fill="#ffffff"
                fillOpacity={0.35}
                stroke="#6f7a7e"
                strokeDasharray="3 3"
                vectorEffect="non-scaling-stroke"
              />
            </g>
          )}
          {stamp && (
            <DragHandle
              label="Stamp"
              now={stamp.at[0]}
              most={50}
              lights="stamp"
              onDrag={(to) => put("stamp", to)}
              onStep={(by) => put("stamp", [stamp.at[0] - by * KEY_STEP, stamp.at[1]])}
            >
              {(isLit) => (
                <Shape
                  points={stamp.corners}
                  fill="#7d888c"
                  fillOpacity={0.55}
                  stroke={isLit ? "#0b5d66" : "#1b2225"}
                  strokeWidth={isLit ? 2 : 1}
                />
              )}
            </DragHandle>
          )}
          {drain && (
            <DragHandle
              label="Drain"
              now={drain.at[0]}
              most={50}
              lights="drain"
              onDrag={(to) => put("drain", to)}
              onStep={(by) => put("drain", [drain.at[0] - by * KEY_STEP, drain.at[1]])}
            >
              {(isLit) => (
                <circle
                  cx={drain.at[0]}
                  cy={drain.at[1]}
                  r={drain.diameter / 2}
                  fill="#fff"
                  stroke={isLit ? "#0b5d66" : "#1b2225"}
                  strokeWidth={isLit ? 2 : 1}
                  vectorEffect="non-scaling-stroke"
                />
              )}
            </DragHandle>
          )}
        </g>
      </Millimetres>
      {stamp && (
        <Word
          x={x - stamp.at[0] * scale.perMm}
          y={y - (lowest(stamp.corners) - STAMP_WORD) * scale.perMm}
          textAnchor="middle"
          stroke="none"
          fill="#1b2225"
          lights="stamp"
        >
          stamp, {stamp.clear < 0 ? "over" : `${withUnit(stamp.clear, "measured", units)} clear`}
        </Word>
      )}
      {drain && (
        <Word
          x={x - drain.at[0] * scale.perMm}
          y={y - (drain.at[1] + drain.diameter / 2 + DRAIN_WORD) * scale.perMm}
          textAnchor="middle"
          stroke="none"
          fill="#1b2225"
          lights="drain"
        >
          drain
        </Word>
      )}
    </>
  );
}

/** How much of the band is drawn, and how far from what is struck or drilled its word stands (mm). */
const BAND_TALL = 6;
const STAMP_WORD = 1.5;
const DRAIN_WORD = 0.6;

function lowest(points: readonly Point[]): number {
  return Math.min(...points.map(([, py]) => py));
}

/** How closely an edge is held against (mm). */
const DRAWN = 0.01;

function toTwentieth(mm: number): number {
  return Math.round(mm * 20) / 20;
}
