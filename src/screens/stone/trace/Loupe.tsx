"use client";

import { useId } from "react";
import { type Spot } from "@/core/trace/pixels";
import { type Size } from "@/ui/useSize";
import { pathOf } from "./path";
import { type OpenPicture } from "./tracing";

/** Its radius on the screen and how much it enlarges. */
const LOUPE = { radius: 66, times: 4 } as const;

interface LoupeProps {
  readonly picture: OpenPicture;
  readonly fit: number;
  readonly spot: Spot;
  readonly size: Size;
  readonly line: readonly Spot[];
  readonly onScreen: (spot: Spot) => Spot;
}

/** What lies about a spot, enlarged, in the corner that is farther from it. */
export function Loupe({ picture, fit, spot, size, line, onScreen }: LoupeProps) {
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
