"use client";

import { Word } from "./Drawing";

interface Props {
  readonly from: number;
  readonly to: number;
  /** Where the line lies on the other axis. All in pixels of the sheet. */
  readonly at: number;
  readonly text: string;
  readonly lights?: string;
  readonly isUpright?: boolean;
}

/** A dimension line with its figure in the middle. */
export function Dimension({ from, to, at, text, lights, isUpright = false }: Props) {
  const middle = (from + to) / 2;
  const line = (a: number, b: number, c: number, d: number) =>
    isUpright ? { x1: c, x2: d, y1: a, y2: b } : { x1: a, x2: b, y1: c, y2: d };
  const [x, y] = isUpright ? [at, middle + 5] : [middle, at + 5];
  return (
    <>
      <g stroke="var(--color-metal-mid)">
        <line {...line(from, to, at, at)} />
        <line {...line(from, from, at - 5, at + 5)} />
        <line {...line(to, to, at - 5, at + 5)} />
      </g>
      <Word
        x={x}
        y={y}
        textAnchor="middle"
        fontSize={15}
        fontWeight={620}
        fill="var(--color-ink)"
        strokeWidth={12}
        {...(lights === undefined ? {} : { lights })}
      >
        {text}
      </Word>
    </>
  );
}
