"use client";

import { type KeyboardEvent, type PointerEvent, useState } from "react";
import { type Point } from "@/core/geometry/outline";
import { type OutlineShape, outlineOfShape } from "@/core/stone/shapes/shapes";
import { type PicturePart, type Spot } from "@/core/trace/pixels";
import { type Round } from "@/core/trace/round";
import { Shape } from "@/ui/Drawing";
import { type Size } from "@/ui/useSize";
import { placeAt, spotAt } from "@/core/trace/placing";
import { tracePictureText } from "@/words/screens/trace";
import { Loupe } from "./Loupe";
import { TwoEndedRule } from "./TwoEndedRule";
import { FINE, WAYS } from "./arrows";
import { pathOf } from "./path";
import { type OpenPicture, type Tracing } from "./tracing";

/** How far an arrow key moves a point (mm). */
const STEP = 0.05;
/** A pointer that moves less between down and up presses; one that moves more draws a box (screen pixels). */
const PRESS = 8;

interface Props {
  readonly size: Size;
  readonly tracing: Tracing;
  /** The section that was read from the side, closed, where it lies on the outline. */
  readonly section?: readonly Point[] | undefined;
}

/** A photograph under its outline: the rule that says its scale, the points, and a loupe over the one that is moved. */
export function TracePicture({ size, tracing, section }: Props) {
  const { picture, drawing } = tracing;
  const isSide = tracing.view === "side";
  const accept = (files: FileList | undefined) => files?.[0] && tracing.open(files[0]);
  return (
    <div
      className="absolute inset-0 bg-paper"
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        event.stopPropagation();
        accept(event.dataTransfer.files);
      }}
    >
      {picture && <Photograph key={picture.url} size={size} picture={picture} tracing={tracing} section={section} />}
      {drawing && <LargestOutline size={size} outline={drawing.outlines[0]!.outline} />}
      {!picture && !drawing && (
        <div className="grid h-full place-content-center gap-1.5 px-6 text-center">
          <p className="text-lg font-strong">{isSide ? tracePictureText.dropSide : tracePictureText.dropHere}</p>
          <p className="text-sm text-soft">{isSide ? tracePictureText.fromItsHeight : tracePictureText.straightAbove}</p>
        </div>
      )}
      {tracing.isBusy && (
        <p role="status" className="absolute top-3 left-3 flex items-center gap-2 rounded-md bg-sheet px-2.5 py-1.5 text-sm shadow">
          {tracePictureText.working}
          <button type="button" className="btn btn-small" onClick={tracing.stop}>
            {tracePictureText.stop}
          </button>
        </p>
      )}
    </div>
  );
}

/** Room about an outline, as a share of the drawing's own. */
const ABOUT = 0.75;

function LargestOutline({ size, outline }: { readonly size: Size; readonly outline: OutlineShape }) {
  const { extent, stations } = outlineOfShape(outline);
  const scale = ABOUT * Math.min(size.width / extent(0), size.height / extent(Math.PI / 2));
  return (
    <svg width={size.width} height={size.height} role="img" aria-label={tracePictureText.largest} className="absolute inset-0 block">
      <g transform={`translate(${size.width / 2} ${size.height / 2}) scale(${scale} ${-scale})`}>
        <Shape
          points={stations.map(({ x, y }) => [x, y] as const)}
          fill="var(--color-sage-pale)"
          stroke="var(--color-ink)"
          strokeWidth={1.5}
        />
      </g>
    </svg>
  );
}

function Photograph({ size, picture, tracing, section = [] }: Props & { readonly picture: OpenPicture }) {
  const { traced, outline, choice, scale, isPickingRound } = tracing;
  const [held, setHeld] = useState<number | null>(null);
  const [box, setBox] = useState<readonly [Spot, Spot] | null>(null);
  const fit = Math.min(size.width / picture.width, size.height / picture.height);
  const [left, top] = [(size.width - picture.width * fit) / 2, (size.height - picture.height * fit) / 2];
  const onScreen = ([x, y]: Spot): Spot => [left + x * fit, top + y * fit];
  const inPicture = ([x, y]: Spot): Spot => [(x - left) / fit, (y - top) / fit];
  const under = (event: PointerEvent<SVGElement>): Spot => {
    const frame = event.currentTarget.ownerSVGElement!.getBoundingClientRect();
    return inPicture([event.clientX - frame.left, event.clientY - frame.top]);
  };
  const canLook = scale !== null || isPickingRound;
  const isBox = box !== null && Math.hypot(box[1][0] - box[0][0], box[1][1] - box[0][1]) * fit > PRESS;
  const letGo = () => {
    setBox(null);
    if (box && isBox && !isPickingRound) tracing.box(partBetween(box, picture));
    else if (box) tracing.press(box[0]);
  };
  const shown = (place: Point): Spot => (traced && scale ? onScreen(spotAt(traced.middle, scale, place)) : [0, 0]);
  const drawn = outline && traced && scale ? outlineOfShape(outline).stations.map(({ x, y }) => shown([x, y])) : [];
  return (
    <svg
      width={size.width}
      height={size.height}
      role="group"
      aria-label={tracePictureText.thePicture}
      className="absolute inset-0 block touch-none"
    >
      <image
        href={picture.url}
        x={left}
        y={top}
        width={picture.width * fit}
        height={picture.height * fit}
        preserveAspectRatio="none"
        className={canLook ? "cursor-crosshair" : undefined}
        onPointerDown={(event) => {
          if (!event.isPrimary || !canLook) return;
          event.currentTarget.setPointerCapture(event.pointerId);
          setBox([under(event), under(event)]);
        }}
        onPointerMove={(event) => box && event.isPrimary && setBox([box[0], under(event)])}
        onPointerUp={letGo}
        onPointerCancel={() => setBox(null)}
      />
      {drawn.length > 0 && (
        <>
          <path d={`${pathOf(drawn)}Z`} fill="none" stroke="var(--color-sheet)" strokeWidth={4} pointerEvents="none" />
          <path d={`${pathOf(drawn)}Z`} fill="none" stroke="var(--color-accent-deep)" strokeWidth={2} pointerEvents="none" />
          {traced!.doubtful.map(({ from, to }) => (
            <path
              key={from}
              d={pathOf(drawn.slice(Math.floor(from * drawn.length), Math.ceil(to * drawn.length)))}
              fill="none"
              stroke="var(--color-sheet)"
              strokeWidth={2.5}
              strokeDasharray="4 4"
              pointerEvents="none"
            />
          ))}
        </>
      )}
      {section.length > 0 && scale && (
        <path
          d={`${pathOf(section.map(shown))}Z`}
          fill="none"
          stroke="var(--color-ink)"
          strokeWidth={1.5}
          strokeDasharray="6 4"
          pointerEvents="none"
        />
      )}
      {choice && <TwoEndedRule tracing={tracing} choice={choice} picture={picture} fit={fit} onScreen={onScreen} under={under} />}
      {choice?.round && <RoundFound round={choice.round} fit={fit} onScreen={onScreen} />}
      {outline &&
        traced &&
        scale &&
        outline.points.map((point, i) => (
          <TracedPoint
            key={i}
            index={i}
            point={point}
            at={shown(point)}
            tracing={tracing}
            under={(event) => placeAt(traced.middle, scale, under(event))}
            onHeld={setHeld}
          />
        ))}
      {box && isBox && <BoxDrawn from={onScreen(box[0])} to={onScreen(box[1])} />}
      {held !== null && traced && scale && outline?.points[held] && (
        <Loupe
          picture={picture}
          fit={fit}
          spot={spotAt(traced.middle, scale, outline.points[held])}
          size={size}
          line={drawn}
          onScreen={onScreen}
        />
      )}
    </svg>
  );
}

/** The part of a picture between two of its spots, in whole pixels. */
function partBetween([[ax, ay], [bx, by]]: readonly [Spot, Spot], { width, height }: OpenPicture): PicturePart {
  const within = (value: number, most: number) => Math.round(Math.min(most, Math.max(0, value)));
  const [x, y] = [within(Math.min(ax, bx), width), within(Math.min(ay, by), height)];
  return { x, y, width: within(Math.max(ax, bx), width) - x, height: within(Math.max(ay, by), height) - y };
}

function BoxDrawn({ from: [ax, ay], to: [bx, by] }: { readonly from: Spot; readonly to: Spot }) {
  return (
    <rect
      x={Math.min(ax, bx)}
      y={Math.min(ay, by)}
      width={Math.abs(bx - ax)}
      height={Math.abs(by - ay)}
      fill="none"
      stroke="var(--color-ink)"
      strokeWidth={1.5}
      strokeDasharray="5 4"
      pointerEvents="none"
    />
  );
}

interface RoundFoundProps {
  readonly round: Round;
  readonly fit: number;
  readonly onScreen: (spot: Spot) => Spot;
}

/** The round thing that gives the scale, as the ellipse it is seen as. */
function RoundFound({ round: { middle, across, tilt }, fit, onScreen }: RoundFoundProps) {
  const [x, y] = onScreen(middle);
  const long = (across / 2) * fit;
  return (
    <ellipse
      cx={x}
      cy={y}
      rx={long}
      ry={long * tilt.ratio}
      transform={`rotate(${(tilt.turn * 180) / Math.PI} ${x} ${y})`}
      fill="none"
      stroke="var(--color-ink)"
      strokeWidth={2}
      pointerEvents="none"
    />
  );
}

interface PointProps {
  readonly index: number;
  readonly point: Point;
  readonly at: Spot;
  readonly tracing: Tracing;
  readonly under: (event: PointerEvent<SVGElement>) => Point;
  readonly onHeld: (index: number | null) => void;
}

function TracedPoint({ index, point: [x, y], at, tracing, under, onHeld }: PointProps) {
  const onKeyDown = (event: KeyboardEvent) => {
    const way = WAYS[event.key];
    if (!way) return;
    const step = event.altKey ? STEP * FINE : STEP;
    tracing.movePoint(index, [x + way[0] * step, y - way[1] * step]);
    event.preventDefault();
  };
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={tracePictureText.pointAt(index + 1, x.toFixed(2), y.toFixed(2))}
      className="cursor-move touch-none"
      onFocus={() => onHeld(index)}
      onBlur={() => onHeld(null)}
      onPointerDown={(event) => {
        event.currentTarget.focus();
        event.currentTarget.setPointerCapture(event.pointerId);
      }}
      onPointerMove={(event) => event.currentTarget.hasPointerCapture(event.pointerId) && tracing.movePoint(index, under(event))}
      onKeyDown={onKeyDown}
    >
      <circle cx={at[0]} cy={at[1]} r={13} fill="transparent" />
      <circle cx={at[0]} cy={at[1]} r={4} fill="var(--color-sheet)" stroke="var(--color-accent-deep)" strokeWidth={1.5} />
    </g>
  );
}
