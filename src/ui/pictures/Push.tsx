import { flattened } from "@/core/geometry/curve";
import { type Point } from "@/core/geometry/outline";
import { type SettingDrawing } from "@/core/mount/drawing";
import { Shape } from "../Drawing";
import { SettingAbove, boxAbove } from "./Above";
import { Frame, type Pixels } from "./Frame";

interface Props extends Pixels {
  readonly drawing: SettingDrawing;
  readonly fill: string;
  readonly label: string;
  /** Whether the edge is pushed in turn, or only gone over. */
  readonly inTurn: boolean;
}

/** In what order the bezel is pushed over: opposite sides by turns, then between; as shares of a turn from the right. */
const ORDER = [0.25, 0.75, 0, 0.5, 0.125, 0.625, 0.375, 0.875] as const;
const FINE = 0.05;

/** The set stone from above, with the order in which its bezel is pushed over it. */
export function Push({ drawing, fill, label, inTurn, ...size }: Props) {
  const shown = { plate: drawing.plan.back.plate !== null, wall: true, stone: true, layers: drawing.plan.layers.map(({ part }) => part) };
  const points = flattened(drawing.plan.wallOutside, FINE);
  const first = drawing.plan.corners.filter(({ code }) => code === "point").map(({ place: { x, y } }): Point => [x, y]);
  const places = inTurn ? [...first, ...ORDER.map((share) => towards(points, 2 * Math.PI * share)).filter((at) => clear(at, first))] : [];
  return (
    <Frame
      {...size}
      margin={44}
      label={label}
      box={boxAbove(drawing, shown)}
      shapes={() => (
        <>
          <SettingAbove drawing={drawing} shown={shown} fill={fill} />
          {drawing.plan.face.map((curve, i) => (
            <Shape key={i} curve={curve} fill="none" stroke="var(--color-glow)" strokeWidth={1.6} strokeDasharray="4 3" />
          ))}
        </>
      )}
      words={({ px }) =>
        places.map((place, i) => {
          const [x, y] = px(place);
          const [mx, my] = px([0, 0]);
          const away = Math.hypot(x - mx, y - my);
          const [ux, uy] = [(x - mx) / away, (y - my) / away];
          const [tx, ty] = [x + ux * 8, y + uy * 8];
          return (
            <g key={i}>
              <path
                d={`M${x + ux * 24} ${y + uy * 24}L${tx} ${ty}M${tx + ux * 8 - uy * 6} ${ty + uy * 8 + ux * 6}L${tx} ${ty}L${tx + ux * 8 + uy * 6} ${ty + uy * 8 - ux * 6}`}
                stroke="var(--color-glow)"
                strokeWidth={2.5}
                fill="none"
              />
              <text x={x + ux * 34} y={y + uy * 34 + 5} textAnchor="middle" fontSize={15} fontWeight={700} fill="var(--color-glow)">
                {i + 1}
              </text>
            </g>
          );
        })
      }
    />
  );
}

/** The place of a line furthest along a direction. */
function towards(points: readonly Point[], angle: number): Point {
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  return points.reduce((found, each) => (each[0] * cos + each[1] * sin > found[0] * cos + found[1] * sin ? each : found));
}

/** Whether a place is not one that is pushed already (mm). */
function clear([x, y]: Point, taken: readonly Point[]): boolean {
  return taken.every(([tx, ty]) => Math.hypot(x - tx, y - ty) > 1);
}
