"use client";

import { type DrawnPost } from "@/core/earring/post";
import { boxOf } from "@/core/geometry/curve";
import { type Point } from "@/core/geometry/outline";
import { toTwentieth } from "@/core/measure/micron";
import { DragHandle } from "@/ui/DragHandle";
import { Millimetres, NARROW, Shape, Sheet, Word, scaleFor, scaleText } from "@/ui/Drawing";
import { SettingSection } from "@/ui/SectionView";
import { StoneFill } from "@/ui/StoneFill";
import { usePlan } from "@/ui/plan";
import { useSession, useSessionState, useWhileHeld } from "@/ui/session";
import { type Size } from "@/ui/useSize";
import { useUnits } from "@/ui/tray";
import { withUnit } from "@/words/show";
import { putPost } from "./fields";
import { postDrawingText } from "@/words/screens/bail";

interface Props {
  readonly size: Size;
  readonly mount: string;
  readonly drawn: DrawnPost;
}

/** Of the sheet's width that the back takes. */
const SHARE = 0.56;
const STEP = 0.1;

/** A stud from behind as it is worn, its point down, with its post to be dragged; and from the side. */
export function PostDrawing({ size, mount, drawn }: Props) {
  const { plan, section } = usePlan().drawing.settings[mount]!;
  const material = useSessionState(({ piece }) => piece.mounts.find(({ id }) => id === mount)!.stone.material?.name ?? "");
  const units = useUnits();
  const isNarrow = size.width < NARROW;
  const { left, right, low, high } = boxOf(plan.plateEdge);
  const [wide, tall] = [high - low, right - left];
  const backWidth = isNarrow ? size.width : size.width * SHARE;
  const held = useWhileHeld({ scale: scaleFor(wide, tall, backWidth - 120, size.height - 110) });
  const { scale } = held;
  const k = scale.perMm;
  const [x, y] = [backWidth / 2 + ((low + high) / 2) * k, size.height / 2 + ((left + right) / 2) * k];
  const [px, py] = [x - drawn.at[1] * k, y + drawn.at[0] * k];
  const [bx, by] = [x - drawn.balance[1] * k, y + drawn.balance[0] * k];
  const { drain, stamp } = plan.back;
  return (
    <Sheet width={size.width} height={size.height} label={postDrawingText.theStudFromBehind}>
      <StoneFill material={material} />
      <Word x={14} y={24}>
        {postDrawingText.fromBehind(scaleText(scale))}
      </Word>
      <Millimetres x={x} y={y} scale={scale}>
        <g transform="scale(-1 1) rotate(-90)">
          <Shape curve={plan.plateEdge} fill="url(#metal)" stroke="var(--color-ink)" lights="plate" />
          <Shape curve={plan.wallOutside} fill="none" stroke="var(--color-metal-edge)" strokeDasharray="4 3" />
          {plan.opening.map((curve, i) => (
            <Shape key={i} curve={curve} fill="var(--color-white)" stroke="var(--color-metal-edge)" />
          ))}
          {stamp && <Shape points={stamp.corners} fill="var(--color-metal-edge)" fillOpacity={0.55} stroke="none" />}
          {drain && (
            <circle
              cx={drain.at[0]}
              cy={drain.at[1]}
              r={drain.diameter / 2}
              fill="var(--color-white)"
              stroke="var(--color-metal-edge)"
              vectorEffect="non-scaling-stroke"
            />
          )}
          <PostHandle drawn={drawn} />
        </g>
      </Millimetres>
      <g pointerEvents="none">
        <circle cx={bx} cy={by} r={7} fill="none" stroke="var(--color-ink)" strokeWidth={1.4} />
        <path d={`M${bx - 10} ${by}H${bx + 10}M${bx} ${by - 10}V${by + 10}`} stroke="var(--color-ink)" strokeWidth={1} />
        <Word x={bx + 14} y={by + 4} fontSize={12}>
          {postDrawingText.balancesHere}
        </Word>
        <Word
          x={px}
          y={py - (drawn.wire / 2) * k - 8}
          textAnchor="middle"
          fontSize={13}
          fontWeight={640}
          fill="var(--color-ink)"
          lights="post"
        >
          {postDrawingText.post(
            withUnit(Math.abs(drawn.balance[0] - drawn.at[0]), "measured", units),
            drawn.at[0] > drawn.balance[0] ? postDrawingText.below : postDrawingText.above,
          )}
        </Word>
      </g>
      {!isNarrow && (
        <FromTheSide
          section={section}
          drawn={drawn}
          half={tall / 2}
          middle={(left + right) / 2}
          box={{ x: size.width * SHARE, width: size.width * (1 - SHARE), height: size.height }}
        />
      )}
    </Sheet>
  );
}

function PostHandle({ drawn: { at, wire } }: { readonly drawn: DrawnPost }) {
  const session = useSession();
  const put = ([x, y]: Point) => session.change((piece) => putPost(piece, [toTwentieth(x), toTwentieth(y)]), "post.at");
  return (
    <DragHandle
      label={postDrawingText.postOnTheBack}
      now={at[0]}
      most={50}
      told={postDrawingText.downRight(at[0].toFixed(2), at[1].toFixed(2))}
      lights="post"
      onDrag={put}
      onStep={(_by, [dx, dy]) => put([at[0] - dy * STEP, at[1] - dx * STEP])}
    >
      {(isHighlighted) => (
        <>
          <circle cx={at[0]} cy={at[1]} r={Math.max(wire, 1.2)} fill="transparent" />
          <circle
            cx={at[0]}
            cy={at[1]}
            r={wire / 2}
            fill="var(--color-metal-bright)"
            stroke={isHighlighted ? "var(--color-accent)" : "var(--color-ink)"}
            strokeWidth={isHighlighted ? 3 : 1.6}
            vectorEffect="non-scaling-stroke"
          />
        </>
      )}
    </DragHandle>
  );
}

interface SideProps {
  readonly section: Parameters<typeof SettingSection>[0]["section"];
  readonly drawn: DrawnPost;
  /** Half of how tall the stud is, and how far below the stone's middle the middle of that lies (mm). */
  readonly half: number;
  readonly middle: number;
  readonly box: { readonly x: number; readonly width: number; readonly height: number };
}

/** It as it stands in the ear: the stone in front, the post behind. */
function FromTheSide({ section, drawn, half, middle, box }: SideProps) {
  const units = useUnits();
  const deep = section.top + section.plate.rises + drawn.length;
  const { scale } = useWhileHeld({ scale: scaleFor(deep, 2 * half, box.width - 60, box.height - 130) });
  const k = scale.perMm;
  const x = box.x + box.width / 2 + (deep / 2 - section.top) * k;
  const y = box.height / 2;
  const back = -section.plate.rises;
  const at = middle - drawn.at[0];
  return (
    <>
      <Word x={box.x} y={24}>
        {postDrawingText.fromTheSide(scaleText(scale))}
      </Word>
      <Millimetres x={x} y={y} scale={scale}>
        <rect
          x={back - drawn.length}
          y={at - drawn.wire / 2}
          width={drawn.length}
          height={drawn.wire}
          rx={drawn.wire / 3}
          fill="url(#metal)"
          stroke="var(--color-metal-edge)"
          vectorEffect="non-scaling-stroke"
        />
        <g transform={`rotate(-90) scale(${half / section.plate.half} 1)`}>
          <SettingSection section={section} scale={scale} />
        </g>
      </Millimetres>
      <Word
        x={x + (back - drawn.length / 2) * k}
        y={y - (at + drawn.wire / 2) * k - 8}
        textAnchor="middle"
        fontSize={13}
        fontWeight={640}
        fill="var(--color-ink)"
        lights="post"
      >
        {withUnit(drawn.length, "measured", units)}
      </Word>
    </>
  );
}
