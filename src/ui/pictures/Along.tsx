import { type Box, circle, polygonCurve } from "@/core/geometry/curve";
import { type HoopDrawing } from "@/core/hoop/drawing";
import { type SettingDrawing } from "@/core/mount/drawing";
import { besideSeat } from "@/core/piece/plan";
import { Shape } from "../Drawing";
import { UprightSection } from "./Upright";

/** What of a ring is there yet, seen along the finger. */
export interface ShownAlong {
  readonly settings: readonly string[];
  /** Whether its seats are filed yet. */
  readonly isFiled: boolean;
}

export function boxAlong(hoop: HoopDrawing, settings: Readonly<Record<string, SettingDrawing>>, shown: ShownAlong): Box {
  const tops = shown.settings.map((id) => {
    const { section } = settings[id]!;
    return hoop.seats[settings[id]!.host]!.level + section.plate.rises + section.wall.height;
  });
  const half = Math.max(hoop.outside, ...shown.settings.map((id) => settings[id]!.section.plate.half));
  return { left: -half, right: half, low: -hoop.outside, high: Math.max(hoop.outside, ...tops) };
}

interface Props {
  readonly hoop: HoopDrawing;
  readonly settings: Readonly<Record<string, SettingDrawing>>;
  readonly shown: ShownAlong;
  readonly perMm: number;
}

/** A hoop along the finger with the settings that are on it, in mm. */
export function HoopAlong({ hoop, settings, shown, perMm }: Props) {
  const isPlain = !shown.isFiled && hoop.opening === null;
  return (
    <>
      <Shape
        curves={isPlain ? [circle(hoop.metal), circle(hoop.inside)] : hoop.body.map(polygonCurve)}
        fill="url(#metal)"
        stroke="var(--color-metal-edge)"
      />
      {hoop.seams.map((angle) => (
        <Shape
          key={angle}
          points={[hoop.inside, hoop.metal].map((r) => [r * Math.sin(angle), r * Math.cos(angle)] as const)}
          open
          stroke="var(--color-ink)"
          strokeWidth={1.6}
        />
      ))}
      {shown.settings.map((id) => {
        const { section, host } = settings[id]!;
        const { level, angle } = hoop.seats[host]!;
        const beside = besideSeat(settings[id]!, settings);
        return (
          <g key={id} transform={`rotate(${(-angle * 180) / Math.PI}) translate(${beside} ${level + section.plate.rises})`}>
            <UprightSection section={section} perMm={perMm} stone={null} isOnAnother={host !== id && shown.settings.includes(host)} />
          </g>
        );
      })}
    </>
  );
}
