"use client";

import { boxOf } from "@/core/geometry/curve";
import { type HoopDrawing } from "@/core/hoop/drawing";
import { hoopIn } from "@/core/piece/plan";
import { Millimetres, Shape } from "@/ui/Drawing";
import { useHighlighted } from "@/ui/highlight";
import { usePlan } from "@/ui/plan";
import { namesIn } from "@/words/names";
import { type Lettered, type Mark, letteredIn, marksOf, settingOf } from "./joint-marks";
import { letterOf } from "./ladder";
import { jointSketchText } from "@/words/screens/heats";

const WIDTH = 288;
const HEIGHT = 122;
/** Of more joints than this the list wants the room. */
const ROOM_FOR_ALL = 7;

interface Box {
  readonly left: number;
  readonly right: number;
  readonly low: number;
  readonly high: number;
}

/** The piece, small: the setting from above, and the hoop along the finger. The joint that is pointed at is lit. */
export function JointSketch() {
  const plan = usePlan();
  const what = useHighlighted();
  const joint = plan.joints.find(({ id }) => id === what);
  const shown = settingOf(plan, joint);
  const above = shown.plan;
  const onPlate = Object.values(plan.drawing.settings).filter(({ host }) => host === shown.host);
  const hoop = hoopIn(plan)?.drawn ?? null;
  const marks = joint ? marksOf(plan, joint) : [];
  const half = hoop ? WIDTH / 2 : WIDTH;
  const edge = boxOf(above.plateEdge);
  const wall = boxOf(above.wallOutside);
  const around = {
    left: Math.min(edge.left, wall.left),
    right: Math.max(edge.right, wall.right),
    low: Math.min(edge.low, wall.low),
    high: Math.max(edge.high, wall.high),
  };
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={joint ? jointSketchText.whereIs(namesIn(plan).joint(joint.id)) : jointSketchText.thePieceFromAboveAnd}
      className={`mb-1 block w-full ${plan.joints.length > ROOM_FOR_ALL ? "lg:max-h-24" : ""} rounded-md lg:sticky lg:top-[-10px] lg:z-10 border border-hair bg-sheet`}
    >
      <View box={around} middle={half / 2} width={half} letters={letteredIn(plan, joint, "above")}>
        <Shape curve={above.plateEdge} fill="var(--color-paper)" stroke="var(--color-metal)" />
        {onPlate.map(({ plan: each }, i) => (
          <g key={i}>
            {each.layers.map(({ part, middles }) => (
              <Shape key={part} runs={middles} fill="none" stroke="var(--color-metal)" strokeWidth={2} />
            ))}
            <Shape curve={each.wallOutside} fill="var(--color-metal-lit)" stroke="var(--color-metal-mid)" />
            <Shape curve={each.wallInside} fill="var(--color-sheet)" stroke="var(--color-metal-mid)" />
          </g>
        ))}
        {above.opening.map((curve, i) => (
          <Shape key={i} curve={curve} fill="none" stroke="var(--color-metal)" />
        ))}
        <Marks marks={marks} view="above" />
      </View>
      {hoop && (
        <View box={boxAlong(hoop)} middle={WIDTH * 0.75} width={half} letters={letteredIn(plan, joint, "along")}>
          {hoop.body.map((points, i) => (
            <Shape
              key={i}
              points={points}
              fill={i === 0 ? "var(--color-metal-lit)" : "var(--color-white)"}
              stroke="var(--color-metal-mid)"
              open={hoop.body.length === 1 && hoop.opening !== null}
            />
          ))}
          {Object.values(hoop.seats).map(({ level, angle, half: wide }, i) => (
            <Shape
              key={i}
              points={seatLine(level, angle, Math.max(wide, 1.5))}
              open
              fill="none"
              stroke="var(--color-metal-edge)"
              strokeWidth={3}
            />
          ))}
          <Marks marks={marks} view="along" />
        </View>
      )}
      <text x={half / 2} y={HEIGHT - 5} textAnchor="middle" fontSize={12} fill="var(--color-soft)">
        {jointSketchText.fromAbove}
      </text>
      {hoop && (
        <text x={WIDTH * 0.75} y={HEIGHT - 5} textAnchor="middle" fontSize={12} fill="var(--color-soft)">
          {jointSketchText.alongTheFinger}
        </text>
      )}
    </svg>
  );
}

function boxAlong({ outside, seats }: HoopDrawing): Box {
  const high = Math.max(outside, ...Object.values(seats).map(({ level }) => level));
  return { left: -outside, right: outside, low: -outside, high };
}

/** The plate as it lies on its seat. */
function seatLine(level: number, angle: number, half: number) {
  const [sin, cos] = [Math.sin(angle), Math.cos(angle)];
  return [-half, half].map((x) => [level * sin + x * cos, level * cos - x * sin] as const);
}

interface ViewProps {
  readonly box: Box;
  readonly middle: number;
  readonly width: number;
  readonly letters: readonly Lettered[];
  readonly children: React.ReactNode;
}

const CAPTION = 14;
/** Room round a view for its letters, and a letter's side (px). */
const ROUND = 20;
const TAG = 14;

function View({ box, middle, width, letters, children }: ViewProps) {
  const plan = usePlan();
  const lit = useHighlighted();
  const [wide, tall] = [box.right - box.left, box.high - box.low];
  const room = HEIGHT - 2 * ROUND - CAPTION;
  const perMm = Math.min((width - 2 * ROUND) / wide, room / tall);
  const [x, y] = [middle - ((box.left + box.right) / 2) * perMm, ROUND + room / 2 + ((box.low + box.high) / 2) * perMm];
  const centre = { x: middle, y: ROUND + room / 2 };
  return (
    <>
      <Millimetres x={x} y={y} scale={{ perMm, times: 1 }}>
        {children}
      </Millimetres>
      {letters.map(({ joint, at: [ax, ay] }) => {
        const [px, py] = [x + ax * perMm, y - ay * perMm];
        const out = Math.hypot(px - centre.x, py - centre.y) || 1;
        const [tx, ty] = [px + ((px - centre.x) / out) * TAG * 0.8, py + ((py - centre.y) / out) * TAG * 0.8];
        return (
          <g key={joint} aria-hidden="true">
            <rect x={tx - TAG / 2} y={ty - TAG / 2} width={TAG} height={TAG} rx={2} fill={joint === lit ? LIT : "var(--color-ink)"} />
            <text x={tx} y={ty + 3.8} textAnchor="middle" fontSize={10.5} fontWeight={700} fill="var(--color-white)">
              {letterOf(plan, joint)}
            </text>
          </g>
        );
      })}
    </>
  );
}

const LIT = "var(--color-flame)";

function Marks({ marks, view }: { readonly marks: readonly Mark[]; readonly view: Mark["view"] }) {
  return marks
    .filter((mark) => mark.view === view)
    .map(({ curve, runs, spot }, i) => {
      const line = { fill: "none", stroke: LIT, strokeWidth: 3.5 };
      if (curve) return <Shape key={i} curve={curve} {...line} />;
      if (runs) return <Shape key={i} runs={runs} {...line} />;
      const [x, y] = spot!;
      return <path key={i} d={`M${x} ${y}h0`} vectorEffect="non-scaling-stroke" stroke={LIT} strokeWidth={12} strokeLinecap="round" />;
    });
}
