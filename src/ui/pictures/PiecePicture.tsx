import { type Box } from "@/core/geometry/curve";
import { type Plan, bailIn, hoopIn } from "@/core/piece/plan";
import { type ReactNode } from "react";
import { SettingAbove, SharersAbove, boxAbove } from "./Above";
import { HoopAlong, boxAlong } from "./Along";
import { Frame, type Pixels, sideBySide } from "./Frame";
import { EarWireFront, HungShapes, reachOf, turnOf } from "./Hung";

interface Props extends Pixels {
  readonly plan: Plan;
  readonly label: string;
  /** The name of its stones' fill. */
  readonly fill: string;
}

/** mm between two settings that hang side by side. */
const BESIDE = 3;

/** A piece as it is known by: a ring along the finger, what hangs as it hangs. */
export function PiecePicture({ plan, label, fill, ...size }: Props) {
  const { box, shapes } = pictureOf(plan, fill);
  return <Frame {...size} label={label} box={box} shapes={({ perMm }) => shapes(perMm)} />;
}

/** What a piece's picture shows, and all the room it takes, in mm. */
export function pictureOf(plan: Plan, fill: string): { readonly box: Box; readonly shapes: (perMm: number) => ReactNode } {
  const hoop = hoopIn(plan)?.drawn;
  const { settings } = plan.drawing;
  if (hoop) {
    const shown = { settings: Object.keys(settings), isFiled: true };
    return {
      box: boxAlong(hoop, settings, shown),
      shapes: (perMm) => <HoopAlong hoop={hoop} settings={settings} shown={shown} perMm={perMm} />,
    };
  }
  const each = hangingOf(plan, fill);
  const { moves, box } = sideBySide(
    each.map((one) => one.box),
    BESIDE,
  );
  return {
    box,
    shapes: () =>
      each.map(({ id, shapes }, i) => (
        <g key={id} transform={`translate(${moves[i]!} 0)`}>
          {shapes}
        </g>
      )),
  };
}

interface Hanging {
  readonly id: string;
  readonly box: Box;
  readonly shapes: ReactNode;
}

/** Each setting as it hangs; of what no bail carries as it lies. */
function hangingOf(plan: Plan, fill: string): Hanging[] {
  const { settings } = plan.drawing;
  const drawn = bailIn(plan)?.drawn;
  return Object.entries(settings)
    .filter(([id, { host }]) => host === id)
    .map(([id, drawing]): Hanging => {
      const { back, layers, plateEdge } = drawing.plan;
      const shown = { plate: back.plate !== null, wall: true, stone: true, layers: layers.map(({ part }) => part) };
      const setting = (
        <>
          <SettingAbove drawing={drawing} shown={shown} fill={fill} />
          <SharersAbove settings={settings} host={id} fill={fill} />
        </>
      );
      const hang = drawn?.hangs.find(({ mount }) => mount === id);
      if (!drawn || !hang) return { id, box: boxAbove(drawing, shown), shapes: setting };
      const { left, right, up, down } = reachOf(plateEdge, hang, drawn);
      const [x, y] = hang.eyes[0]!.pivot;
      return {
        id,
        box: { left: -left, right, low: -down, high: up },
        shapes: (
          <>
            {drawn.earWire && <EarWireFront wire={drawn.earWire} />}
            <g transform={`rotate(${turnOf(hang)}) translate(${-x} ${-y})`}>
              <HungShapes hang={hang} drawn={drawn} />
              {setting}
            </g>
          </>
        ),
      };
    });
}
