"use client";

import { type Curve, boxOf } from "@/core/geometry/curve";
import { type Point } from "@/core/geometry/outline";
import { hostOf, ornamentOf } from "@/core/piece/mounts";
import { type Mount } from "@/core/piece/piece";
import { Dimension } from "@/ui/Dimension";
import { Millimetres, Shape, Word, scaleText } from "@/ui/Drawing";
import { PlanAndSection } from "@/ui/PlanAndSection";
import { SettingSection } from "@/ui/SectionView";
import { StoneFill } from "@/ui/StoneFill";
import { usePlan } from "@/ui/plan";
import { useSessionState } from "@/ui/session";
import { useUnits } from "@/ui/tray";
import { type Size } from "@/ui/useSize";
import { bareIn } from "@/words/steps";
import { AppliedInPlan } from "../applied/AppliedShapes";
import { BackView } from "./BackView";
import { BeadFill, LayerShapes } from "./LayerShapes";
import { StonesOnPlate } from "./StonesOnPlate";
import { StretchHandles } from "./StretchHandles";
import { plateDrawingText } from "@/words/screens/plate";

function boxed(curve: Curve): Point[] {
  const { left, right, low, high } = boxOf(curve);
  return [
    [left, low],
    [right, low],
    [right, high],
    [left, high],
  ];
}

interface Props {
  readonly size: Size;
  readonly mount: Mount;
  readonly chosen: string | null;
}

/** The back in plan with what lies on it, in section, and from behind. */
export function PlateDrawing({ size, mount, chosen }: Props) {
  const planned = usePlan();
  const piece = useSessionState((state) => state.piece);
  const host = hostOf(piece, mount);
  const isRoundIt = host.plate.style !== "own" && mount.on === undefined;
  const bare = bareIn(planned, useUnits());
  const { plate: sawn } = planned.drawing.settings[mount.id]!.plan.back;
  const isPlate = sawn !== null;
  const ornament = ornamentOf(mount);
  const entry = ornament.find(({ id }) => id === chosen);
  return (
    <PlanAndSection size={size} mount={mount} label={plateDrawingText.thePlateInPlanAnd} hasBack={isPlate}>
      {({ drawing, plan, section, back }) => {
        const corners = boxed(drawing.plan.sawLine).map(
          ([x, y]) => [plan.x + x * plan.scale.perMm, plan.y - y * plan.scale.perMm] as const,
        );
        const [low, high] = [corners[0]!, corners[2]!];
        const { plate } = drawing.section;
        const { perMm } = section.scale;
        const chosenLayer = drawing.plan.layers.find(({ id }) => id === chosen);
        return (
          <>
            <defs>
              <BeadFill />
            </defs>
            {piece.mounts.map(({ id, stone }) => (
              <StoneFill key={id} id={`stone-${id}`} material={stone.material?.name ?? stone.name ?? ""} />
            ))}
            <Millimetres x={plan.x} y={plan.y} scale={plan.scale}>
              {isPlate && (
                <>
                  <Shape
                    points={boxed(drawing.plan.sawLine)}
                    fill="var(--color-metal-lit)"
                    fillOpacity={0.45}
                    stroke="var(--color-metal-edge)"
                    lights="blank"
                  />
                  <Shape curve={drawing.plan.sawLine} fill="none" stroke="var(--color-soft)" strokeDasharray="5 4" lights="saw" />
                  <Shape curve={drawing.plan.plateEdge} fill="url(#metal)" stroke="var(--color-ink)" lights="plate" />
                </>
              )}
              {drawing.plan.layers.map((layer) => (
                <LayerShapes key={layer.id} layer={layer} isChosen={layer.id === chosen} />
              ))}
              <Shape
                curve={drawing.plan.wallOutside}
                fill={isPlate ? "none" : "url(#metal)"}
                stroke="var(--color-metal-edge)"
                lights="wall"
              />
              <Shape curve={drawing.plan.wallInside} fill={isPlate ? "none" : "var(--color-sheet)"} stroke="var(--color-metal-edge)" />
              <Shape curve={drawing.plan.stone} fill="url(#stone)" fillOpacity={0.55} stroke="var(--color-shade)" />
              {drawing.plan.opening.map((curve, i) => (
                <Shape key={i} curve={curve} fill="none" stroke="var(--color-ink)" strokeDasharray="4 3" lights="ledge" />
              ))}
              <StonesOnPlate mount={mount} />
              <AppliedInPlan mount={host.id} />
              {entry && chosenLayer && (
                <StretchHandles
                  mount={mount.id}
                  layer={chosenLayer}
                  entry={entry}
                  others={ornament.filter((each) => each !== entry)}
                  places={drawing.plan.places}
                />
              )}
            </Millimetres>
            {isPlate ? (
              <>
                <Dimension from={low[0]} to={high[0]} at={low[1] + 24} text={bare(`${host.id}.plate.blankLength`)} lights="blank" />
                <Dimension
                  from={high[1]}
                  to={low[1]}
                  at={high[0] + 22}
                  text={bare(`${host.id}.plate.blankWidth`)}
                  lights="blank"
                  isUpright
                />
                <Word x={high[0]} y={high[1] - 8} textAnchor="end">
                  {plateDrawingText.blankDashedSawLine}
                </Word>
              </>
            ) : (
              <Word x={14} y={42}>
                {plateDrawingText.dashedTheLedgesInnerEdge}
              </Word>
            )}
            <Millimetres x={section.x} y={section.y} scale={section.scale}>
              <SettingSection section={drawing.section} scale={section.scale} />
            </Millimetres>
            {isPlate && isRoundIt && (
              <Dimension
                from={section.x - plate.half * perMm}
                to={section.x + plate.half * perMm}
                at={section.y + plate.thickness * perMm + 24}
                text={bare(`${mount.id}.plate.width`)}
                lights="plate"
              />
            )}
            {back && (
              <>
                <Word x={back.captionX} y={back.captionY}>
                  {plateDrawingText.back(scaleText(back.scale), planned.drawing.settings[host.id]!.plan.back.band !== null)}
                </Word>
                <BackView mount={host} drawing={planned.drawing.settings[host.id]!} x={back.x} y={back.y} scale={back.scale} />
              </>
            )}
          </>
        );
      }}
    </PlanAndSection>
  );
}
