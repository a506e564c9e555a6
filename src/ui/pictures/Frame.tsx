import { type ReactNode } from "react";
import { type Box } from "@/core/geometry/curve";
import { type Point } from "@/core/geometry/outline";
import { Millimetres, MetalFill } from "../Drawing";

/** A picture's own pixels; it is drawn as large as there is room. */
export interface Pixels {
  readonly width: number;
  readonly height: number;
}

export interface Fitted {
  readonly perMm: number;
  /** A place in mm as it lies in the picture's pixels. */
  readonly px: (at: Point) => Point;
}

interface Props extends Pixels {
  /** All that is drawn, in mm. */
  readonly box: Box;
  readonly label: string;
  /** Room left round it, in pixels. */
  readonly margin?: number;
  readonly shapes: (fitted: Fitted) => ReactNode;
  /** Words and arrows over it, in pixels. */
  readonly words?: (fitted: Fitted) => ReactNode;
}

/** A drawing in mm, y upward, as large as its frame lets it. */
export function Frame({ width, height, box, label, margin = 8, shapes, words }: Props) {
  const [wide, tall] = [box.right - box.left, box.high - box.low];
  const perMm = Math.min((width - 2 * margin) / wide, (height - 2 * margin) / tall);
  const x = width / 2 - ((box.left + box.right) / 2) * perMm;
  const y = height / 2 + ((box.low + box.high) / 2) * perMm;
  const fitted: Fitted = { perMm, px: ([ax, ay]) => [x + ax * perMm, y - ay * perMm] };
  return (
    <svg viewBox={`0 0 ${width} ${height}`} role="img" aria-label={label} className="block h-full w-full">
      <defs>
        <MetalFill />
      </defs>
      <Millimetres x={x} y={y} scale={{ perMm, times: 1 }}>
        {shapes(fitted)}
      </Millimetres>
      {words?.(fitted)}
    </svg>
  );
}

/** The least box round several. */
export function boxRound(boxes: readonly Box[]): Box {
  return {
    left: Math.min(...boxes.map(({ left }) => left)),
    right: Math.max(...boxes.map(({ right }) => right)),
    low: Math.min(...boxes.map(({ low }) => low)),
    high: Math.max(...boxes.map(({ high }) => high)),
  };
}

/** Boxes one beside the other, so many mm apart: how far each is moved along x, and what holds them all. */
export function sideBySide(boxes: readonly Box[], apart: number): { readonly moves: readonly number[]; readonly box: Box } {
  const lefts = boxes.map((_, i) => boxes.slice(0, i).reduce((all, { left, right }) => all + right - left + apart, 0));
  const last = boxes.at(-1)!;
  return {
    moves: boxes.map(({ left }, i) => lefts[i]! - left),
    box: {
      ...boxRound(boxes),
      left: 0,
      right: lefts.at(-1)! + last.right - last.left,
    },
  };
}

interface DimensionProps {
  readonly from: Point;
  readonly to: Point;
  readonly text: string;
  /** Pixels to the left of its way that the words stand; below 0 to the right. */
  readonly aside?: number;
  /** Whether it is the one measure that counts. */
  readonly isChief?: boolean;
}

/** A measure between two places, in pixels, with its words on it. */
export function Measure({ from: [ax, ay], to: [bx, by], text, aside = 0, isChief = false }: DimensionProps) {
  const angle = Math.atan2(by - ay, bx - ax);
  const [nx, ny] = [Math.sin(angle) * 5, -Math.cos(angle) * 5];
  const colour = isChief ? "var(--color-glow)" : "var(--color-soft)";
  const [mx, my] = [(ax + bx) / 2 + (aside * nx) / 5, (ay + by) / 2 + (aside * ny) / 5];
  return (
    <>
      <path
        d={`M${ax} ${ay}L${bx} ${by}M${ax - nx} ${ay - ny}l${2 * nx} ${2 * ny}M${bx - nx} ${by - ny}l${2 * nx} ${2 * ny}`}
        stroke={colour}
        strokeWidth={isChief ? 2 : 1.2}
        fill="none"
      />
      <text
        x={mx}
        y={my + 5}
        textAnchor="middle"
        fontSize={15}
        fontWeight={isChief ? 700 : 500}
        fill={colour}
        paintOrder="stroke"
        stroke="var(--color-sheet)"
        strokeWidth={6}
      >
        {text}
      </text>
    </>
  );
}
