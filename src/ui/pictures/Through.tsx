import { boxOf, flattened } from "@/core/geometry/curve";
import { type Point } from "@/core/geometry/outline";
import { convexHull } from "@/core/geometry/polygon";
import { type SettingDrawing } from "@/core/mount/drawing";
import { Shape } from "../Drawing";
import { Frame, type Pixels } from "./Frame";
import { pictureText } from "@/words/pictures";

interface Props extends Pixels {
  readonly drawing: SettingDrawing;
  readonly fill: string;
  readonly label: string;
  /** Whether it goes right through, from both sides; else it is only let in from above. */
  readonly isThrough: boolean;
}

/** How flat what lies level is seen. */
const FLAT = 0.4;
const FINE = 0.05;

/** The stone over its bezel, seen from the side and above; under it where it comes out. */
export function Through({ drawing: { plan, section }, fill, label, isThrough, ...size }: Props) {
  const wall = flattened(plan.wallOutside, FINE);
  const inside = flattened(plan.wallInside, FINE);
  const stone = flattened(plan.stone, FINE);
  const high = section.top - section.lift;
  const tall = section.wall.height;
  const box = boxOf(plan.wallOutside);
  const deep = FLAT * Math.max(-box.low, box.high);
  const over = tall + deep * 0.9 + 1.5;
  const under = -(deep + high + 1.5);
  return (
    <Frame
      {...size}
      label={label}
      box={{ left: box.left, right: box.right, low: isThrough ? under - deep : -deep, high: over + high + deep * 0.6 }}
      shapes={() => (
        <>
          {isThrough && (
            <Shape points={lifted(stone, under)} fill="var(--color-shade)" stroke="var(--color-night-ok)" strokeDasharray="5 4" />
          )}
          <Standing points={wall} from={0} to={tall} />
          <Shape points={lifted(wall, tall)} fill="var(--color-metal-lit)" stroke="var(--color-metal-edge)" />
          <Shape points={lifted(inside, tall)} fill="var(--color-night)" stroke="var(--color-glow)" strokeWidth={2.5} />
          <Shape
            points={convexHull([...lifted(stone, over), ...domeOf(stone, over, high)])}
            fill={`url(#${fill})`}
            stroke="var(--color-shade)"
          />
        </>
      )}
      words={({ px }) => (
        <>
          <Arrow from={px([0, over - deep - 0.3])} to={px([0, tall - deep * 0.2])} />
          {isThrough && <Arrow from={px([0, under + deep * 0.2])} to={px([0, -deep - 0.4])} />}
          <Label at={px([box.right, over + high * 0.3])} text={pictureText.fromTheTop} />
          {isThrough && <Label at={px([box.right, under])} text={pictureText.fromTheFoot} />}
        </>
      )}
    />
  );
}

/** Points of a level plane, so far up. */
function lifted(points: readonly Point[], up: number): Point[] {
  return points.map(([x, y]): Point => [x, y * FLAT + up]);
}

/** What stands straight up round a line. */
function Standing({ points, from, to }: { readonly points: readonly Point[]; readonly from: number; readonly to: number }) {
  const [left, right] = ends(points);
  const [low, high] = [lifted([left, right], from), lifted([left, right], to)];
  return (
    <>
      <Shape points={lifted(points, from)} fill="var(--color-metal)" stroke="var(--color-metal-edge)" />
      <Shape points={[low[0]!, low[1]!, high[1]!, high[0]!]} fill="var(--color-metal)" stroke="none" />
      <Shape points={[low[0]!, high[0]!]} open stroke="var(--color-metal-edge)" />
      <Shape points={[low[1]!, high[1]!]} open stroke="var(--color-metal-edge)" />
    </>
  );
}

/** The places of a closed line furthest to either side. */
function ends(points: readonly Point[]): readonly [left: Point, right: Point] {
  const pick = (better: (a: Point, b: Point) => boolean) => points.reduce((found, each) => (better(each, found) ? each : found));
  return [pick(([a], [b]) => a < b), pick(([a], [b]) => a > b)];
}

/** A dome over a level outline: half an ellipse from its one end to the other. */
function domeOf(points: readonly Point[], up: number, high: number): Point[] {
  const [left, right] = ends(points);
  const middle = (left[0] + right[0]) / 2;
  const half = (right[0] - left[0]) / 2;
  return Array.from({ length: 49 }, (_, i): Point => {
    const angle = (Math.PI * i) / 48;
    return [middle + half * Math.cos(angle), up + high * Math.sin(angle) + (right[1] * (1 - i / 48) + left[1] * (i / 48)) * FLAT];
  });
}

function Arrow({ from: [ax, ay], to: [bx, by] }: { readonly from: Point; readonly to: Point }) {
  const tip = by > ay ? -10 : 10;
  return (
    <path
      d={`M${ax} ${ay}V${by + tip / 2}M${bx - 7} ${by + tip}L${bx} ${by}L${bx + 7} ${by + tip}`}
      stroke="var(--color-night-ok)"
      strokeWidth={3}
      fill="none"
    />
  );
}

function Label({ at: [x, y], text }: { readonly at: Point; readonly text: string }) {
  return (
    <text x={x + 8} y={y} fontSize={15} fill="var(--color-soft)" textAnchor="start">
      {text}
    </text>
  );
}
