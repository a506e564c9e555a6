"use client";

import { type KeyboardEvent, type PointerEvent } from "react";
import { type Point, nearestStation } from "@/core/geometry/outline";
import { type Mount } from "@/core/piece/piece";
import { type SettingDrawing } from "@/core/mount/drawing";
import { Dimension } from "@/ui/Dimension";
import { Millimetres, Shape, Sheet, Word, pointUnder, scaleFor, scaleText } from "@/ui/Drawing";
import { SectionView } from "@/ui/SectionView";
import { useLit } from "@/ui/lit";
import { usePlan } from "@/ui/plan";
import { useSession } from "@/ui/session";
import { StoneFill } from "@/ui/StoneFill";
import { useUnits } from "@/ui/tray";
import { type Size } from "@/ui/useSize";
import { planBox, sectionBox } from "@/ui/setting-layout";
import { wallView } from "./view";

/** The wall from above and cut through, each to its stated scale. */
export function WallDrawing({ size, mount }: { readonly size: Size; readonly mount: Mount }) {
  const plan = usePlan();
  const units = useUnits();
  const view = wallView(plan, mount, units);
  const drawing = plan.drawing.settings[mount.id]!;
  const top = planBox(size, drawing);
  const side = sectionBox(size, drawing);
  const scale = scaleFor(top.wide, top.tall, top.width, top.height);
  const sectionScale = scaleFor(side.wide, side.tall, side.width, side.height);
  return (
    <Sheet width={size.width} height={size.height} label="The wall in plan and section">
      <StoneFill material={mount.stone.material?.name ?? mount.stone.name ?? ""} />
      <Word x={14} y={24}>
        Plan, {scaleText(scale)}
      </Word>
      <Word x={side.captionX} y={side.captionY}>
        Section across the width, {scaleText(sectionScale)}
      </Word>
      <Millimetres x={top.x} y={top.y} scale={scale}>
        <Shape points={drawing.plan.sawLine} fill="none" stroke="#8a9596" strokeDasharray="5 4" />
        <Shape points={drawing.plan.wallOutside} fill="url(#metal)" stroke="#6f7a7e" lights="wall" />
        <Shape points={drawing.plan.wallInside} fill="#fff" stroke="none" lights="fit" />
        <Shape points={drawing.plan.stone} fill="url(#stone)" stroke="#00000055" />
        {drawing.plan.face && (
          <Shape points={drawing.plan.face} fill="none" stroke="#0b5d66" strokeWidth={1.2} strokeDasharray="2 3" lights="catch" />
        )}
        {drawing.plan.gathers.map((run, i) => (
          <Shape key={i} points={run} open fill="none" stroke="#d9822b" strokeWidth={Math.max(4, mount.wall.thickness * scale.perMm)} />
        ))}
        <SeamHandle mount={mount.id} drawing={drawing} reach={top.seamReach} />
      </Millimetres>
      <PlanWords mount={mount} drawing={drawing} view={view} x={top.x} y={top.y} perMm={scale.perMm} />
      <SectionView mount={mount} x={side.x} y={side.y} scale={sectionScale} view={view} />
    </Sheet>
  );
}

/** The seam, dragged where it lies or moved with the arrow keys. */
function SeamHandle({ mount, drawing, reach }: { readonly mount: string; readonly drawing: SettingDrawing; readonly reach: number }) {
  const session = useSession();
  const { isLit, handlers } = useLit("seam");
  const { seam, places } = drawing.plan;
  const put = (at: number) =>
    session.change((piece) => {
      piece.mounts.find(({ id }) => id === mount)!.wall.seamAt = at - Math.floor(at);
    });
  const drag = (event: PointerEvent<SVGGElement>) => {
    if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
    put(nearestStation(places, pointUnder(event)).at);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const by = { ArrowLeft: 0.01, ArrowUp: 0.01, ArrowRight: -0.01, ArrowDown: -0.01 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    put(seam.at + by);
  };
  const [x, y] = [seam.x, seam.y];
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label="Seam"
      aria-valuenow={Math.round(seam.at * 100)}
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuetext={`${Math.round(seam.at * 100)} hundredths of the way round`}
      className="cursor-grab outline-offset-4"
      {...handlers}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        session.begin();
      }}
      onPointerMove={drag}
      onPointerUp={() => session.commit()}
      onKeyDown={onKeyDown}
    >
      <line
        x1={x - seam.nx * 0.4}
        y1={y - seam.ny * 0.4}
        x2={x + seam.nx * reach}
        y2={y + seam.ny * reach}
        stroke="transparent"
        strokeWidth={22}
        vectorEffect="non-scaling-stroke"
      />
      <line
        x1={x - seam.nx * 0.2}
        y1={y - seam.ny * 0.2}
        x2={x + seam.nx * reach}
        y2={y + seam.ny * reach}
        stroke={isLit ? "#0b5d66" : "#1b2225"}
        strokeWidth={isLit ? 3 : 2}
        vectorEffect="non-scaling-stroke"
      />
    </g>
  );
}

interface WordsProps {
  readonly mount: Mount;
  readonly drawing: SettingDrawing;
  readonly view: ReturnType<typeof wallView>;
  readonly x: number;
  readonly y: number;
  readonly perMm: number;
}

function PlanWords({ drawing, view, x, y, perMm }: WordsProps) {
  const { seam, sawLine, gathers, stone } = drawing.plan;
  const bottom = Math.min(...sawLine.map(([, py]) => py));
  const [left, right] = [Math.min(...stone.map(([px]) => px)), Math.max(...stone.map(([px]) => px))];
  const gatherAt = gathers
    .flat()
    .reduce<Point | null>((best, point) => (best === null || point[0] + point[1] > best[0] + best[1] ? point : best), null);
  return (
    <>
      <Word x={x + seam.x * perMm + 10} y={y - (seam.y + seam.ny * 1.25) * perMm + 4} fill="#1b2225" fontWeight={600} lights="seam">
        seam
      </Word>
      {gatherAt && (
        <Word x={x + gatherAt[0] * perMm + 12} y={y - gatherAt[1] * perMm - 34} fill="#8a4600">
          {view.gather}
          {gathers.length > 1 ? " at both ends" : ""}
        </Word>
      )}
      <Word x={x} y={y - bottom * perMm + 15} textAnchor="middle" fontSize={12}>
        {view.sawLine}
      </Word>
      <Dimension from={x + left * perMm} to={x + right * perMm} at={y - bottom * perMm + 30} text={view.across} lights="length" />
    </>
  );
}
