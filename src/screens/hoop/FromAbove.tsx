"use client";

import { type HoopDrawing, seenBeside } from "@/core/hoop/drawing";
import { type Point } from "@/core/geometry/outline";
import { type Mount } from "@/core/piece/piece";
import { sharersOf } from "@/core/piece/plan";
import { DragHandle } from "@/ui/DragHandle";
import { Knob, Millimetres, Shape, Word, scaleFor, scaleText } from "@/ui/Drawing";
import { usePlan } from "@/ui/plan";
import { useSession, useWhileHeld } from "@/ui/session";
import { namesIn } from "@/words/names";
import { putPlace } from "./fields";
import { fromAboveText } from "@/words/screens/hoop";

interface Props {
  readonly mount: Mount;
  /** All that sit on the hoop. */
  readonly mounts: readonly Mount[];
  readonly hoop: HoopDrawing;
  /** Room on the sheet, in pixels. */
  readonly box: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
}

/** Degrees that an arrow key turns a setting by. */
const STEP = 1;

/** A setting from above with the hoop under it, the finger from left to right; turned by the handle at the end of its length. */
export function FromAbove({ mount, mounts, hoop, box }: Props) {
  const session = useSession();
  const plan = usePlan();
  const seen = plan.drawing.settings[mount.id]!.plan;
  const half = hoop.outside;
  const { scale } = useWhileHeld({ scale: scaleFor(2 * half + 6, 2 * half + 1, box.width, box.height - 34) });
  const turn = mount.place?.turn ?? 0;
  const put = (degrees: number) =>
    session.change((piece) => putPlace(piece, mount.id, "turn", Math.round(degrees)), `${mount.id}.place.turn`);
  const end = endOf(seen.plateEdge.from);
  const angle = (turn * Math.PI) / 180;
  const [x, y] = [box.x + box.width / 2, box.y + 30 + (box.height - 34) / 2];
  return (
    <>
      <Word x={box.x} y={box.y + 14}>
        {fromAboveText.fromAbove(scaleText(scale))}
      </Word>
      <Millimetres x={x} y={y} scale={scale}>
        {hoop.legs.length === 0 &&
          hoop.band.map(({ of, outline }) => (
            <Shape
              key={of}
              points={outline}
              fill={of === "sleeve" ? "var(--color-wood-pale)" : "url(#metal)"}
              stroke={of === "sleeve" ? "var(--color-wood-dark)" : "var(--color-metal-edge)"}
              strokeWidth={0.8}
              lights="slit"
            />
          ))}
        {hoop.legs.map(({ middle, width }, i) => (
          <Shape
            key={i}
            points={strip(middle, width)}
            fill="url(#metal)"
            stroke="var(--color-metal-edge)"
            strokeWidth={0.8}
            lights="slit"
          />
        ))}
        {mounts
          .filter(({ id }) => id !== mount.id)
          .map(({ id, place }) => (
            <Beside key={id} id={id} turn={place?.turn ?? 0} hoop={hoop} beside={mount.id} />
          ))}
        <g transform={`rotate(${turn})`} opacity={0.82}>
          <Shape curve={seen.plateEdge} fill="var(--color-metal-lit)" stroke="var(--color-metal-edge)" lights="plate" />
          <Shape curve={seen.stone} fill={`url(#stone-${mount.id})`} stroke="var(--color-shade)" lights="stone" />
          {sharersOf(plan.drawing.settings, mount.id).map(([id, { plan: other }]) => (
            <Shape key={id} curve={other.stone} fill={`url(#stone-${id})`} stroke="var(--color-shade)" lights="stone" />
          ))}
        </g>
        {hoop.legs.map(({ middle, width }, i) => (
          <Shape
            key={i}
            points={strip(middle, width)}
            fill="none"
            stroke="var(--color-metal-deep)"
            strokeWidth={0.9}
            strokeDasharray="4 3"
            pointerEvents="none"
          />
        ))}
        <DragHandle
          label={fromAboveText.turnOfOnTheHoop(namesIn(plan).setting(mount.id))}
          now={turn}
          most={360}
          told={fromAboveText.degrees(turn)}
          lights="turn"
          onDrag={([px, py]) => put((Math.atan2(py, px) * 180) / Math.PI)}
          onStep={(by) => put(turn + by * STEP)}
        >
          {(isHighlighted) => <Knob at={[end * Math.cos(angle), end * Math.sin(angle)]} isHighlighted={isHighlighted} />}
        </DragHandle>
      </Millimetres>
    </>
  );
}

interface BesideProps {
  readonly id: string;
  readonly turn: number;
  readonly hoop: HoopDrawing;
  /** The one looked straight at. */
  readonly beside: string;
}

/** Another setting, as it leans away round the hoop; none where it lies on the far side. */
function Beside({ id, turn, hoop, beside }: BesideProps) {
  const { drawing } = usePlan();
  const { plan: seen, section } = drawing.settings[id]!;
  const lies = seenBeside(hoop, beside, id, section.plate.rises);
  if (!lies) return null;
  return (
    <g transform={`translate(0 ${lies.aside}) scale(1 ${lies.share}) rotate(${turn})`} opacity={0.5} pointerEvents="none">
      <Shape curve={seen.plateEdge} fill="var(--color-metal-lit)" stroke="var(--color-metal-edge)" />
      <Shape curve={seen.stone} fill={`url(#stone-${id})`} stroke="var(--color-shade)" />
    </g>
  );
}

/** A handle's room past the plate's edge (mm). */
const PAST = 1.2;

function endOf([x, y]: Point): number {
  return Math.hypot(x, y) + PAST;
}

/** A strip of a width along a line that runs across the finger. */
function strip(middle: readonly Point[], width: number): Point[] {
  const side = (by: number) => middle.map(([x, y]): Point => [x + (by * width) / 2, y]);
  return [...side(1), ...side(-1).reverse()];
}
