"use client";

import { type ReactNode } from "react";
import { type Mount } from "@/core/piece/piece";
import { type SettingDrawing } from "@/core/mount/drawing";
import { type Scale, Sheet, Word, scaleFor, scaleText } from "./Drawing";
import { StoneFill } from "./StoneFill";
import { usePlan } from "./plan";
import { useWhileHeld } from "./session";
import { type Box, backBox, planBox, sectionBox } from "./setting-layout";
import { type Size } from "./useSize";
import { planAndSectionText } from "@/words/ui";

/** A part of the sheet: where its origin lies, and its scale. */
export interface Part extends Omit<Box, "middle"> {
  readonly scale: Scale;
}

interface Props {
  readonly size: Size;
  readonly mount: Mount;
  readonly label: string;
  /** Whether the plate is shown from behind as well. */
  readonly hasBack?: boolean;
  readonly children: (parts: {
    readonly drawing: SettingDrawing;
    readonly plan: Part;
    readonly section: Part;
    readonly back: (Part & { readonly captionX: number; readonly captionY: number }) | null;
  }) => ReactNode;
}

/** The sheet of a setting: its plan and its section, each to a stated scale, side by side or one under the other. */
export function PlanAndSection({ size, mount, label, hasBack = false, children }: Props) {
  const drawing = usePlan().drawing.settings[mount.id]!;
  const behind = hasBack ? backBox(size, drawing) : null;
  const { plan, side, back } = useWhileHeld({
    plan: scaled(planBox(size, drawing, hasBack)),
    side: sectionBox(size, drawing, hasBack),
    back: behind && { ...behind, ...scaled(behind) },
  });
  const section = scaled(side);
  return (
    <Sheet width={size.width} height={size.height} label={label}>
      <StoneFill material={mount.stone.material?.name ?? mount.stone.name ?? ""} />
      <Word x={14} y={24}>
        {planAndSectionText.plan(scaleText(plan.scale))}
      </Word>
      <Word x={side.captionX} y={side.captionY}>
        {planAndSectionText.sectionAcrossTheWidth(scaleText(section.scale))}
      </Word>
      {children({ drawing, plan, section, back })}
    </Sheet>
  );
}

function scaled(box: Box): Part {
  const scale = scaleFor(box.wide, box.tall, box.width, box.height);
  return { ...box, x: box.x - box.middle[0] * scale.perMm, y: box.y + box.middle[1] * scale.perMm, scale };
}
