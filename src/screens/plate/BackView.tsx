"use client";

import { type ReactNode } from "react";
import { flattened } from "@/core/geometry/curve";
import { type Point } from "@/core/geometry/outline";
import { drainClear, stampClear } from "@/core/mount/backs/struck";
import { type SettingDrawing } from "@/core/mount/drawing";
import { type Mount } from "@/core/piece/piece";
import { postIn, sharersOf } from "@/core/piece/plan";
import { toTwentieth } from "@/core/measure/micron";
import { DragHandle } from "@/ui/DragHandle";
import { Millimetres, type Scale, Shape, Word } from "@/ui/Drawing";
import { usePlan } from "@/ui/plan";
import { editablePlate } from "./plate-edit";
import { useSession } from "@/ui/session";
import { useUnits } from "@/ui/tray";
import { capital } from "@/words/names";
import { showLength } from "@/words/show";
import { backViewText } from "@/words/screens/plate";

const KEY_STEP = 0.1;

interface Props {
  readonly mount: Mount;
  readonly drawing: SettingDrawing;
  readonly x: number;
  readonly y: number;
  readonly scale: Scale;
}

/** What is struck into the plate or drilled through it: how it is moved, refused, named and drawn. */
interface Struck {
  readonly what: "stamp" | "drain";
  readonly at: Point;
  /** How far it would be clear of edge and hoop there, in mm. */
  readonly clear: (at: Point) => number;
  readonly refused: string;
  /** Under it or over it, one line below the other. */
  readonly words: readonly string[];
  /** mm up from the middle to where its words begin. */
  readonly wordsFrom: number;
  readonly shape: (line: { readonly stroke: string; readonly strokeWidth: number }) => ReactNode;
}

/** The plate from behind, left and right changed over: where the wall stands and the hoop goes, and what is struck or drilled there. */
export function BackView({ mount, drawing, x, y, scale }: Props) {
  const { plateEdge, wallInside, wallOutside, back } = drawing.plan;
  const units = useUnits();
  const { stamp, drain, band } = back;
  const plan = usePlan();
  const settled = plan.settled.mounts[mount.id]!.back;
  const post = postIn(plan);
  const all: Struck[] = [];
  if (stamp) {
    all.push({
      what: "stamp",
      at: stamp.at,
      clear: (at) => stampClear(settled.stamp!, at, band, flattened(plateEdge, DRAWN)),
      refused: backViewText.mustLieOnThePlate,
      words: ["stamp", stamp.clear < 0 ? "over" : backViewText.clear(showLength(stamp.clear, "measured", units))],
      wordsFrom: Math.min(...stamp.corners.map(([, py]) => py)),
      shape: (line) => <Shape points={stamp.corners} fill="var(--color-metal-edge)" fillOpacity={0.55} {...line} />,
    });
  }
  if (drain) {
    const [cx, cy] = drain.at;
    all.push({
      what: "drain",
      at: drain.at,
      clear: (at) => drainClear(drain.diameter, at, band, flattened(wallInside, DRAWN)),
      refused: backViewText.mustOpenInsideTheBezel,
      words: ["drain"],
      wordsFrom: cy - drain.diameter / 2,
      shape: (line) => (
        <circle cx={cx} cy={cy} r={drain.diameter / 2} fill="var(--color-white)" vectorEffect="non-scaling-stroke" {...line} />
      ),
    });
  }
  return (
    <>
      <Millimetres x={x} y={y} scale={scale}>
        <g transform="scale(-1 1)">
          <Shape curve={plateEdge} fill="url(#metal)" stroke="var(--color-ink)" lights="plate" />
          {[wallOutside, ...sharersOf(plan.drawing.settings, mount.id).map(([, other]) => other.plan.wallOutside)].map((wall, i) => (
            <Shape key={i} curve={wall} fill="none" stroke="var(--color-metal-edge)" strokeDasharray="4 3" />
          ))}
          {band && (
            <g transform={`rotate(${(band.along * 180) / Math.PI})`}>
              <rect
                x={-band.half}
                y={-BAND_TALL / 2}
                width={2 * band.half}
                height={BAND_TALL}
                fill="var(--color-white)"
                fillOpacity={0.35}
                stroke="var(--color-metal-edge)"
                strokeDasharray="3 3"
                vectorEffect="non-scaling-stroke"
              />
            </g>
          )}
          {post && (
            <circle
              cx={post.drawn.at[0]}
              cy={post.drawn.at[1]}
              r={post.drawn.wire / 2}
              fill="var(--color-metal-bright)"
              stroke="var(--color-ink)"
              vectorEffect="non-scaling-stroke"
            />
          )}
          {all.map((struck) => (
            <StruckHandle key={struck.what} mount={mount.id} struck={struck} />
          ))}
        </g>
      </Millimetres>
      {all.flatMap(({ what, at, words, wordsFrom }) =>
        words.map((word, i) => (
          <Word
            key={`${what}${i}`}
            x={x + fromBehind(at)[0] * scale.perMm}
            y={y - wordsFrom * scale.perMm + LINE * (i + 1)}
            textAnchor="middle"
            stroke="none"
            fill="var(--color-ink)"
            lights={what}
          >
            {word}
          </Word>
        )),
      )}
    </>
  );
}

/** A place so far along a way from another. */
function moved([x, y]: Point, [dx, dy]: Point, by: number): Point {
  return [x + dx * by, y + dy * by];
}

/** A place on the plate as it is seen from behind, or one seen from there as it is from above. */
export function fromBehind([x, y]: Point): Point {
  return [0 - x, y];
}

/** Dragged to where it is clear, or stepped with the arrow keys. */
function StruckHandle({ mount, struck: { what, at, clear, refused, shape } }: { readonly mount: string; readonly struck: Struck }) {
  const session = useSession();
  const put = ([px, py]: Point) => {
    const to: Point = [toTwentieth(px), toTwentieth(py)];
    if (clear(to) < 0) return refused;
    return session.change((piece) => {
      const struck = editablePlate(piece, mount)[what];
      if (struck) struck.at = [to[0], to[1]];
    }, `${mount}.plate.${what}.at`);
  };
  return (
    <DragHandle
      label={capital(what)}
      now={fromBehind(at)[0]}
      most={50}
      lights={what}
      onDrag={put}
      onStep={(_by, way) => put(moved(at, fromBehind(way), KEY_STEP))}
    >
      {(isHighlighted) => shape({ stroke: isHighlighted ? "var(--color-accent)" : "var(--color-ink)", strokeWidth: isHighlighted ? 2 : 1 })}
    </DragHandle>
  );
}

/** How much of the band is drawn (mm), and how tall a line of words is (pixels). */
const BAND_TALL = 6;
const LINE = 14;

/** How closely an edge is held against (mm). */
const DRAWN = 0.01;
