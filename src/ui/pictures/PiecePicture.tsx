import { type Plan, hoopIn } from "@/core/piece/plan";
import { Frame, type Pixels, sideBySide } from "./Frame";
import { SettingAbove, boxAbove } from "./Above";
import { HoopAlong, boxAlong } from "./Along";

interface Props extends Pixels {
  readonly plan: Plan;
  readonly label: string;
  /** The name of its stones' fill. */
  readonly fill: string;
}

/** mm between two settings that hang side by side. */
const BESIDE = 3;

/** A piece as it is known by: a ring along the finger, what hangs from the front. */
export function PiecePicture({ plan, label, fill, ...size }: Props) {
  const hoop = hoopIn(plan)?.drawn;
  const { settings } = plan.drawing;
  const ids = Object.keys(settings);
  if (hoop) {
    const shown = { settings: ids, isFiled: true };
    return (
      <Frame
        {...size}
        label={label}
        box={boxAlong(hoop, settings, shown)}
        shapes={({ perMm }) => <HoopAlong hoop={hoop} settings={settings} shown={shown} perMm={perMm} />}
      />
    );
  }
  const all = ids.map((id) => settings[id]!);
  const shown = all.map(({ plan: { back, layers } }) => ({
    ...{ plate: back.plate !== null, wall: true, stone: true },
    layers: layers.map(({ part }) => part),
  }));
  const boxes = all.map((drawing, i) => boxAbove(drawing, shown[i]!));
  const { moves, box } = sideBySide(boxes, BESIDE);
  return (
    <Frame
      {...size}
      label={label}
      box={box}
      shapes={() =>
        all.map((drawing, i) => (
          <g key={ids[i]} transform={`translate(${moves[i]!} 0)`}>
            <SettingAbove drawing={drawing} shown={shown[i]!} fill={fill} />
          </g>
        ))
      }
    />
  );
}
