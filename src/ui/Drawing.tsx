"use client";

import { type PointerEvent, type ReactNode, type SVGProps } from "react";
import { pathRound } from "d3-path";
import { type Curve, trace } from "@/core/geometry/curve";
import { type Point } from "@/core/geometry/outline";
import { MM_PER_INCH } from "@/core/measure/reading";
import { useHighlight } from "./highlight";
import { drawingText } from "@/words/ui";

/** CSS pixels in a millimetre at life size. */
const LIFE = 96 / MM_PER_INCH;
const SCALES = [0.5, 1, 1.5, 2, 2.5, 3, 3.5, 4, 4.5, 5, 5.5, 6, 7, 8, 10, 12, 15, 20, 25, 30] as const;

export interface Scale {
  /** Times life size. */
  readonly times: number;
  /** Pixels in a millimetre. */
  readonly perMm: number;
}

/** The largest plain scale at which something so many mm wide and tall fits a box. */
export function scaleFor(wideMm: number, tallMm: number, width: number, height: number): Scale {
  const room = Math.min(width / wideMm, height / tallMm) / LIFE;
  const times = SCALES.findLast((each) => each <= room) ?? room;
  return { times, perMm: times * LIFE };
}

export function scaleText({ times }: Scale): string {
  if (times === 1) return drawingText.lifeSize;
  return drawingText.timesLifeSize(Number(times.toFixed(1)));
}

/** How large a drawing's words are (pixels). */
export const WORD = 12.5;
/** About how wide a letter of theirs is, for what has to fit before it is drawn (pixels). */
export const LETTER = 6.8;
/** A sheet or a rule narrower than this has things one under the other (pixels). */
export const NARROW = 640;

const SQUARE = 22;

/** What metal is filled with. */
export function MetalFill() {
  return (
    <linearGradient id="metal" x1="0" y1="1" x2="0" y2="0">
      <stop offset="0" stopColor="var(--color-metal-lit)" />
      <stop offset=".45" stopColor="var(--color-metal)" />
      <stop offset="1" stopColor="var(--color-metal-pale)" />
    </linearGradient>
  );
}

/** The drawing's sheet, faintly squared. */
export function Sheet({
  width,
  height,
  label,
  children,
}: {
  readonly width: number;
  readonly height: number;
  readonly label: string;
  readonly children: ReactNode;
}) {
  return (
    <svg width={width} height={height} role="group" aria-label={label} className="absolute inset-0 block touch-pan-y">
      <defs>
        <pattern id="squares" width={SQUARE} height={SQUARE} patternUnits="userSpaceOnUse">
          <path d={`M${SQUARE} 0H0V${SQUARE}`} fill="none" stroke="var(--color-paper)" />
        </pattern>
        <MetalFill />
      </defs>
      <rect width={width} height={height} fill="url(#squares)" />
      {children}
    </svg>
  );
}

/** A frame in millimetres, y upward, its origin at (x, y) of the sheet. */
export function Millimetres({
  x,
  y,
  scale,
  children,
}: {
  readonly x: number;
  readonly y: number;
  readonly scale: Scale;
  readonly children: ReactNode;
}) {
  return <g transform={`translate(${x} ${y}) scale(${scale.perMm} ${-scale.perMm})`}>{children}</g>;
}

/** Finer than any screen shows; long numbers take the browser longer to read. */
function toMicron(mm: number): number {
  return Math.round(mm * 1000) / 1000;
}

function curvePath(curve: Curve): string {
  const path = pathRound(3);
  trace(curve, path);
  return path.toString();
}

function lineOf(points: readonly Point[]): string {
  return `M${points.map(([x, y]) => `${toMicron(x)} ${toMicron(y)}`).join("L")}`;
}

/** What a shape is drawn by: a curve as it is, one with others as holes, points with lines between them, or several runs of points, each open. */
type Line =
  | { readonly curve: Curve; readonly curves?: never; readonly points?: never; readonly runs?: never; readonly open?: never }
  | { readonly curves: readonly Curve[]; readonly curve?: never; readonly points?: never; readonly runs?: never; readonly open?: never }
  | { readonly points: readonly Point[]; readonly open?: boolean; readonly runs?: never; readonly curve?: never; readonly curves?: never }
  | {
      readonly runs: readonly (readonly Point[])[];
      readonly open?: never;
      readonly points?: never;
      readonly curve?: never;
      readonly curves?: never;
    };

/** A line, closed unless said otherwise; its stroke's width is in pixels. */
export function Shape({
  curve,
  curves,
  points,
  runs,
  open = false,
  lights,
  ...rest
}: Line & { readonly lights?: string } & Omit<SVGProps<SVGPathElement>, "points">) {
  const { isHighlighted, handlers } = useHighlight(lights ?? "");
  const path = curve
    ? curvePath(curve)
    : curves
      ? curves.map(curvePath).join("")
      : runs
        ? runs.map(lineOf).join("")
        : `${lineOf(points)}${open ? "" : "Z"}`;
  const lit = lights !== undefined && isHighlighted;
  return (
    <path
      d={path}
      vectorEffect="non-scaling-stroke"
      fillRule={curves && "evenodd"}
      {...rest}
      {...(lights !== undefined && handlers)}
      className={`${rest.className ?? ""} ${lit ? "lit-line" : ""}`}
    />
  );
}

/** Words on the drawing, with the sheet showing round them. */
export function Word({
  x,
  y,
  lights,
  children,
  ...rest
}: { readonly x: number; readonly y: number; readonly lights?: string; readonly children: ReactNode } & SVGProps<SVGTextElement>) {
  const { isHighlighted, handlers } = useHighlight(lights ?? "");
  const lit = lights !== undefined && isHighlighted;
  return (
    <text
      x={x}
      y={y}
      fontSize={WORD}
      fill="var(--color-soft)"
      paintOrder="stroke"
      stroke="var(--color-sheet)"
      strokeWidth={4}
      {...rest}
      {...(lights !== undefined && handlers)}
      className={lit ? "lit-text" : ""}
    >
      {children}
    </text>
  );
}

/** The point of the frame under a pointer: an element inside `Millimetres` gives millimetres. */
export function pointUnder(event: Pick<PointerEvent<SVGGraphicsElement>, "currentTarget" | "clientX" | "clientY">): Point {
  const parent = event.currentTarget.parentElement as unknown as SVGGraphicsElement;
  const inverse = parent.getScreenCTM()?.inverse();
  if (!inverse) return [0, 0];
  const sheet = event.currentTarget.ownerSVGElement!.getBoundingClientRect();
  const held = (at: number, from: number, to: number) => Math.min(to, Math.max(from, at));
  const onSheet = new DOMPoint(held(event.clientX, sheet.left, sheet.right), held(event.clientY, sheet.top, sheet.bottom));
  const { x, y } = onSheet.matrixTransform(inverse);
  return [x, y];
}

/** The round handle of something that is dragged: a ring of the same size at any scale. */
export function Knob({ at: [x, y], isHighlighted = false }: { readonly at: Point; readonly isHighlighted?: boolean }) {
  const dot = { d: `M${x} ${y}h0`, vectorEffect: "non-scaling-stroke", strokeLinecap: "round" } as const;
  return (
    <>
      <path {...dot} stroke="transparent" strokeWidth={44} className="hidden pointer-coarse:block" />
      <path {...dot} stroke="transparent" strokeWidth={26} className="knob-ring" />
      <path {...dot} style={{ stroke: "var(--color-accent)", strokeWidth: isHighlighted ? 16 : 13 }} />
      <path {...dot} style={{ stroke: "var(--color-white)", strokeWidth: 8.5 }} />
    </>
  );
}
