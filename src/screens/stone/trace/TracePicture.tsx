"use client";

import { type KeyboardEvent, type PointerEvent, useId, useState } from "react";
import { type Point } from "@/core/geometry/outline";
import { type OutlineShape, outlineOfShape } from "@/core/stone/shapes/shapes";
import { type Spot } from "@/core/trace/pixels";
import { Shape } from "@/ui/Drawing";
import { type Size } from "@/ui/useSize";
import { useUnits } from "@/ui/tray";
import { tracePictureText } from "@/words/screens/trace";
import { withUnit } from "@/words/show";
import { type OpenPicture, type Tracing } from "./tracing";

/** How far an arrow key moves a point (mm) or an end of the rule (screen pixels), and how much less with Alt. */
const STEP = 0.05;
const RULE_STEP = 2;
const FINE = 0.2;
const WAYS: Readonly<Record<string, Point>> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };
/** The loupe: its radius on the screen and how much it enlarges. */
const LOUPE = { radius: 66, times: 4 } as const;

interface Props {
  readonly size: Size;
  readonly tracing: Tracing;
}

/** A photograph under its outline: the rule that says its scale, the points, and a loupe over the one that is moved. */
export function TracePicture({ size, tracing }: Props) {
  const { picture, drawing } = tracing;
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
      {picture && <Photograph key={picture.url} size={size} picture={picture} tracing={tracing} />}
      {drawing && <LargestOutline size={size} outline={drawing.outlines[0]!.outline} />}
      {!picture && !drawing && (
        <div className="grid h-full place-content-center gap-1.5 px-6 text-center">
          <p className="text-lg font-strong">{tracePictureText.dropHere}</p>
          <p className="text-sm text-soft">{tracePictureText.straightAbove}</p>
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

function Photograph({ size, picture, tracing }: Props & { readonly picture: OpenPicture }) {
  const { traced, outline, scale, pxPerMm } = tracing;
  const [held, setHeld] = useState<number | null>(null);
  const fit = Math.min(size.width / picture.width, size.height / picture.height);
  const [left, top] = [(size.width - picture.width * fit) / 2, (size.height - picture.height * fit) / 2];
  const onScreen = ([x, y]: Spot): Spot => [left + x * fit, top + y * fit];
  const inPicture = ([x, y]: Spot): Spot => [(x - left) / fit, (y - top) / fit];
  const under = (event: PointerEvent<SVGElement>): Spot => {
    const box = event.currentTarget.ownerSVGElement!.getBoundingClientRect();
    return inPicture([event.clientX - box.left, event.clientY - box.top]);
  };
  const spotOf = ([x, y]: Point): Spot => (traced && pxPerMm ? [traced.middle[0] + x * pxPerMm, traced.middle[1] - y * pxPerMm] : [0, 0]);
  const placeOf = ([x, y]: Spot): Point =>
    traced && pxPerMm ? [(x - traced.middle[0]) / pxPerMm, (traced.middle[1] - y) / pxPerMm] : [0, 0];
  const drawn = outline && traced && pxPerMm ? outlineOfShape(outline).stations.map(({ x, y }) => onScreen(spotOf([x, y]))) : [];
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
        className={pxPerMm ? "cursor-crosshair" : undefined}
        onPointerDown={(event) => event.isPrimary && pxPerMm && tracing.press(under(event))}
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
      {scale && <TwoEndedRule tracing={tracing} picture={picture} fit={fit} onScreen={onScreen} under={under} />}
      {outline &&
        traced &&
        outline.points.map((point, i) => (
          <TracedPoint
            key={i}
            index={i}
            point={point}
            at={onScreen(spotOf(point))}
            tracing={tracing}
            under={(event) => placeOf(under(event))}
            onHeld={setHeld}
          />
        ))}
      {held !== null && outline?.points[held] && (
        <Loupe picture={picture} fit={fit} spot={spotOf(outline.points[held])} size={size} line={drawn} onScreen={onScreen} />
      )}
    </svg>
  );
}

function pathOf(spots: readonly Spot[]): string {
  return spots.length === 0 ? "" : `M${spots.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join("L")}`;
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

interface RuleProps {
  readonly tracing: Tracing;
  readonly picture: OpenPicture;
  /** Screen pixels to a pixel of the picture. */
  readonly fit: number;
  readonly onScreen: (spot: Spot) => Spot;
  readonly under: (event: PointerEvent<SVGElement>) => Spot;
}

/** A rule with two ends that lie on something whose length is known. Its ends are dragged; the scale follows once they are let go. */
function TwoEndedRule({ tracing, picture, fit, onScreen, under }: RuleProps) {
  const units = useUnits();
  const scale = tracing.scale!;
  const [dragged, setDragged] = useState<readonly [Spot, Spot] | null>(null);
  const ends = dragged ?? scale.ends;
  const [a, b] = [onScreen(ends[0]), onScreen(ends[1])];
  const within = ([x, y]: Spot): Spot => [Math.min(picture.width, Math.max(0, x)), Math.min(picture.height, Math.max(0, y))];
  const withEnd = (which: 0 | 1, to: Spot): readonly [Spot, Spot] => (which === 0 ? [within(to), ends[1]] : [ends[0], within(to)]);
  const along = Math.hypot(ends[1][0] - ends[0][0], ends[1][1] - ends[0][1]);
  const mm = scale.by === "rule" ? scale.mm : tracing.pxPerMm && along / tracing.pxPerMm;
  const isMain = scale.by === "rule";
  return (
    <g opacity={isMain ? 1 : 0.75}>
      <line x1={a[0]} y1={a[1]} x2={b[0]} y2={b[1]} stroke="var(--color-sheet)" strokeWidth={4} pointerEvents="none" />
      <line x1={a[0]} y1={a[1]} x2={b[0]} y2={b[1]} stroke="var(--color-ink)" strokeWidth={2} pointerEvents="none" />
      <g transform={`translate(${(a[0] + b[0]) / 2} ${(a[1] + b[1]) / 2})`} pointerEvents="none">
        <rect x={-46} y={-14} width={92} height={28} rx={4} fill="var(--color-ink)" />
        <text textAnchor="middle" y={5} fill="var(--color-sheet)" fontSize={14} fontWeight={600}>
          {mm ? withUnit(mm, "measured", units) : tracePictureText.notSaid}
        </text>
      </g>
      {([0, 1] as const).map((which) => (
        <g
          key={which}
          role="button"
          tabIndex={0}
          aria-label={tracePictureText.ruleEnd(which + 1, Math.round(ends[which][0]), Math.round(ends[which][1]))}
          className="cursor-move touch-none"
          onPointerDown={(event) => {
            event.currentTarget.focus();
            event.currentTarget.setPointerCapture(event.pointerId);
          }}
          onPointerMove={(event) => event.currentTarget.hasPointerCapture(event.pointerId) && setDragged(withEnd(which, under(event)))}
          onLostPointerCapture={() => {
            if (!dragged) return;
            tracing.setEnds(dragged);
            setDragged(null);
          }}
          onKeyDown={(event) => {
            const way = WAYS[event.key];
            if (!way) return;
            event.preventDefault();
            const step = (RULE_STEP * (event.altKey ? FINE : 1)) / fit;
            tracing.setEnds(withEnd(which, [ends[which][0] + way[0] * step, ends[which][1] + way[1] * step]));
          }}
        >
          <circle cx={onScreen(ends[which])[0]} cy={onScreen(ends[which])[1]} r={16} fill="transparent" />
          <circle
            cx={onScreen(ends[which])[0]}
            cy={onScreen(ends[which])[1]}
            r={6}
            fill="var(--color-sheet)"
            stroke="var(--color-ink)"
            strokeWidth={2.5}
          />
        </g>
      ))}
    </g>
  );
}

interface LoupeProps {
  readonly picture: OpenPicture;
  readonly fit: number;
  readonly spot: Spot;
  readonly size: Size;
  readonly line: readonly Spot[];
  readonly onScreen: (spot: Spot) => Spot;
}

/** What lies about a spot, enlarged, in the corner that is farther from it. */
function Loupe({ picture, fit, spot, size, line, onScreen }: LoupeProps) {
  const clip = useId();
  const [x, y] = onScreen(spot);
  const at: Spot = [x > size.width / 2 ? LOUPE.radius + 12 : size.width - LOUPE.radius - 12, LOUPE.radius + 12];
  const zoom = `translate(${at[0]} ${at[1]}) scale(${LOUPE.times}) translate(${-x} ${-y})`;
  const [left, top] = onScreen([0, 0]);
  return (
    <g pointerEvents="none" aria-hidden="true">
      <clipPath id={clip}>
        <circle cx={at[0]} cy={at[1]} r={LOUPE.radius} />
      </clipPath>
      <g clipPath={`url(#${CSS.escape(clip)})`}>
        <rect
          x={at[0] - LOUPE.radius}
          y={at[1] - LOUPE.radius}
          width={2 * LOUPE.radius}
          height={2 * LOUPE.radius}
          fill="var(--color-paper)"
        />
        <g transform={zoom}>
          <image href={picture.url} x={left} y={top} width={picture.width * fit} height={picture.height * fit} preserveAspectRatio="none" />
          <path d={`${pathOf(line)}Z`} fill="none" stroke="var(--color-accent-deep)" strokeWidth={1.5 / LOUPE.times} />
        </g>
        <circle cx={at[0]} cy={at[1]} r={5} fill="var(--color-sheet)" stroke="var(--color-accent-deep)" strokeWidth={1.5} />
      </g>
      <circle cx={at[0]} cy={at[1]} r={LOUPE.radius} fill="none" stroke="var(--color-ink)" strokeWidth={2.5} />
    </g>
  );
}
