"use client";

import { boxOf } from "@/core/geometry/curve";
import { type Point, type Station, nearestStation } from "@/core/geometry/outline";
import { type Mount } from "@/core/piece/piece";
import { type SettingDrawing } from "@/core/mount/drawing";
import { Dimension } from "@/ui/Dimension";
import { DragHandle } from "@/ui/DragHandle";
import { LETTER, Millimetres, Shape, Word } from "@/ui/Drawing";
import { PlanAndSection } from "@/ui/PlanAndSection";
import { SectionView } from "@/ui/SectionView";
import { usePlan } from "@/ui/plan";
import { useSession } from "@/ui/session";
import { useUnits } from "@/ui/tray";
import { type Size } from "@/ui/useSize";
import { BLANK_MARKS } from "@/words/marks";
import { AppliedInPlan } from "../applied/AppliedShapes";
import { wallView } from "./view";
import { wallDrawingText } from "@/words/screens/wall";

/** The wall from above and cut through, each to its stated scale. */
export function WallDrawing({ size, mount }: { readonly size: Size; readonly mount: Mount }) {
  const view = wallView(usePlan(), mount, useUnits());
  return (
    <PlanAndSection size={size} mount={mount} label={wallDrawingText.theBezelInPlanAnd}>
      {({ drawing, plan: { x, y, scale }, section }) => (
        <>
          <Millimetres x={x} y={y} scale={scale}>
            {view.sawLine !== null && (
              <Shape curve={drawing.plan.sawLine} fill="none" stroke="var(--color-metal-mid)" strokeDasharray="5 4" />
            )}
            <Shape curve={drawing.plan.wallOutside} fill="url(#metal)" stroke="var(--color-metal-edge)" lights="wall" />
            <Shape curve={drawing.plan.wallInside} fill="var(--color-white)" stroke="none" lights="fit" />
            <Shape curve={drawing.plan.stone} fill="url(#stone)" stroke="var(--color-shade)" />
            {drawing.plan.face.map((face, i) => (
              <Shape key={i} curve={face} fill="none" stroke="var(--color-accent)" strokeWidth={1.2} strokeDasharray="2 3" lights="catch" />
            ))}
            {drawing.plan.gathers.map((run, i) => (
              <Shape
                key={i}
                points={run}
                open
                fill="none"
                stroke="var(--color-gather)"
                strokeWidth={Math.min(GATHER_PX, Math.max(4, drawing.section.thickness * scale.perMm))}
              />
            ))}
            {view.stock === "cup" && <AppliedInPlan mount={mount.id} />}
            {drawing.plan.seam && <SeamHandle mount={mount.id} seam={drawing.plan.seam} places={drawing.plan.places} />}
          </Millimetres>
          <PlanWords drawing={drawing} view={view} x={x} y={y} perMm={scale.perMm} width={size.width} />
          <SectionView mount={mount} x={section.x} y={section.y} scale={section.scale} view={view} />
        </>
      )}
    </PlanAndSection>
  );
}

/** A thick wall's gathering is a line along its middle. */
const GATHER_PX = 9;
/** How far outside the wall a point's name stands, or inside the stone a notch's, in pixels. */
const NAME_PX = 16;

/** How far the seam's mark reaches out past the stone and into it, and how far one press of a key moves it. */
const SEAM = { outMm: 1.3, inMm: 0.2, step: 0.01, mostSteps: 8 } as const;

/** The seam, dragged where it lies or moved with the arrow keys. */
function SeamHandle({ mount, seam, places }: { readonly mount: string; readonly seam: Station; readonly places: readonly Station[] }) {
  const session = useSession();
  const put = (at: number) =>
    session.change((piece) => {
      piece.mounts.find(({ id }) => id === mount)!.wall.seamAt = at - Math.floor(at);
    });
  /** Past a corner, where the seam cannot lie. */
  const stepped = (by: 1 | -1) => {
    for (let i = 1; i <= SEAM.mostSteps; i++) if (put(seam.at + i * by * SEAM.step) === null) return null;
    return put(seam.at + by * SEAM.step);
  };
  const line = {
    x1: seam.x - seam.nx * SEAM.inMm,
    y1: seam.y - seam.ny * SEAM.inMm,
    x2: seam.x + seam.nx * SEAM.outMm,
    y2: seam.y + seam.ny * SEAM.outMm,
    vectorEffect: "non-scaling-stroke",
  } as const;
  const hundredths = Math.round(seam.at * 100);
  return (
    <DragHandle
      label={wallDrawingText.seam}
      now={hundredths}
      most={100}
      told={wallDrawingText.ofTheWayRound(hundredths)}
      lights="seam"
      onDrag={(to) => put(nearestStation(places, to).at)}
      onStep={stepped}
    >
      {(isHighlighted) => (
        <>
          <line {...line} stroke="transparent" className="stroke-[22px] pointer-coarse:stroke-[44px]" />
          <line {...line} stroke={isHighlighted ? "var(--color-accent)" : "var(--color-ink)"} strokeWidth={isHighlighted ? 3 : 2} />
        </>
      )}
    </DragHandle>
  );
}

interface WordsProps {
  readonly drawing: SettingDrawing;
  readonly view: ReturnType<typeof wallView>;
  readonly x: number;
  readonly y: number;
  readonly perMm: number;
  /** Of the sheet, in pixels. */
  readonly width: number;
}

function PlanWords({ drawing, view, x, y, perMm, width }: WordsProps) {
  const { seam, sawLine, gathers, stone, corners } = drawing.plan;
  const { low: bottom } = boxOf(sawLine);
  const { left, right } = boxOf(stone);
  const gatherAt = gathers
    .flat()
    .reduce<Point | null>((best, point) => (best === null || point[0] + point[1] > best[0] + best[1] ? point : best), null);
  const gatherText = `${view.gather}${gathers.length > 1 ? wallDrawingText.inPlaces(gathers.length) : ""}`;
  const gatherX = x + (gatherAt?.[0] ?? 0) * perMm + 12;
  const gatherFits = gatherX + gatherText.length * LETTER < width;
  return (
    <>
      {seam && (
        <Word
          x={x + seam.x * perMm + 10}
          y={y - (seam.y + seam.ny * 1.25) * perMm + 4}
          fill="var(--color-ink)"
          fontWeight={600}
          lights="seam"
        >
          {wallDrawingText.seamMark}
        </Word>
      )}
      {corners.map(({ code, place }, i) => {
        const off = code === "point" ? NAME_PX + drawing.section.thickness * perMm : -NAME_PX;
        const way = place.nx * Math.sign(off);
        return (
          <Word
            key={i}
            x={x + place.x * perMm + place.nx * off}
            y={y - place.y * perMm - place.ny * off + 4}
            textAnchor={way > 0.5 ? "start" : way < -0.5 ? "end" : "middle"}
            fontSize={12}
            {...(code === "notch" && { fill: "var(--color-white)", strokeWidth: 0 })}
          >
            {BLANK_MARKS[code]}
          </Word>
        );
      })}
      {gatherAt && (
        <Word
          x={gatherFits ? gatherX : width - 10}
          y={y - gatherAt[1] * perMm - (gatherFits ? 34 : 62)}
          textAnchor={gatherFits ? "start" : "end"}
          fill="var(--color-warn)"
        >
          {gatherText}
        </Word>
      )}
      {view.sawLine !== null && (
        <Word x={x + ((left + right) / 2) * perMm} y={y - bottom * perMm + 15} textAnchor="middle" fontSize={12}>
          {view.sawLine}
        </Word>
      )}
      <Dimension from={x + left * perMm} to={x + right * perMm} at={y - bottom * perMm + 30} text={view.across} lights="length" />
    </>
  );
}
