"use client";

import { area, line, scaleLinear } from "d3";
import { type HeatBody } from "@/core/practice/body";
import { METALS } from "@/core/metal/metals";
import { type Names } from "@/words/names";
import { type Units, showTemperature } from "@/words/show";
import { practiceText } from "@/words/screens/practice";
import { type Moment } from "./run";

interface Props {
  readonly body: HeatBody;
  readonly course: readonly Moment[];
  readonly names: Names;
  readonly units: Units;
  readonly width: number;
  readonly height: number;
}

const LEFT = 44;
const RIGHT = 150;
const FOOT = 22;
/** Seconds shown at least, and degrees C from which the scale is opened up. */
const LEAST_SECONDS = 30;
const OPENS_AT = 600;
const HIGHEST = 830;
/** Of the room it begins in (degrees C). */
const COLD = 20;

/** A colour of its own for each kind of line; the last for all others. */
const LINE_COLOURS = ["var(--color-line-wall)", "var(--color-line-plate)", "var(--color-line-other)"] as const;

export function lineColour(part: number): string {
  return LINE_COLOURS[Math.min(part, LINE_COLOURS.length - 1)]!;
}

/** The ladder in time: a line for each part with its coolest and hottest place, the bands of what runs and what was made before. */
export function LadderInTime({ body, course, names, units, width, height }: Props) {
  const end = Math.max(LEAST_SECONDS, course.at(-1)?.seconds ?? 0);
  const wide = Math.max(60, width - LEFT - (width < 600 ? 92 : RIGHT));
  const x = scaleLinear([0, end], [LEFT, LEFT + wide]);
  const opens = (height - FOOT) * 0.84;
  const y = scaleLinear([COLD, OPENS_AT, HIGHEST], [height - FOOT, opens, 6]).clamp(true);
  const wanted = body.joints.filter(({ isWanted }) => isWanted);
  const runs = Math.max(...wanted.map((joint) => joint.runs));
  const held = body.joints.filter(({ isWanted, isShielded }) => !isWanted && !isShielded).sort((a, b) => a.softens - b.softens)[0];
  const softest = [...body.parts].sort((a, b) => METALS[a.metal].solidus - METALS[b.metal].solidus)[0]!;
  const solidus = METALS[softest.metal].solidus;
  const top = Math.min(held && held.softens > runs ? held.softens : Infinity, solidus);
  const last = course.at(-1);
  const ends = spreadOut(last ? last.parts.map(({ mean }) => y(mean)) : [], 17, height - FOOT);
  const ticks = [COLD, 600, 650, 700, 750, 800];
  return (
    <svg width={width} height={height} role="img" aria-label={practiceText.ladder} className="block">
      <rect x={LEFT} y={y(HIGHEST)} width={wide} height={Math.max(0, y(solidus) - y(HIGHEST))} fill="var(--color-melt)" opacity={0.6} />
      <rect x={LEFT} y={y(top)} width={wide} height={Math.max(0, y(runs) - y(top))} fill="var(--color-runs-band)" opacity={0.75} />
      {ticks.map((tick) => (
        <g key={tick}>
          <line x1={LEFT} x2={LEFT + wide} y1={y(tick)} y2={y(tick)} stroke="var(--color-night-line)" />
          <text x={LEFT - 8} y={y(tick) + 4} textAnchor="end" fontSize={13} fill="var(--color-night-soft)">
            {showTemperature(tick, units)}
          </text>
        </g>
      ))}
      {x.ticks(5).map((tick) => (
        <text key={tick} x={x(tick)} y={height - 6} textAnchor="middle" fontSize={13} fill="var(--color-night-soft)">
          {practiceText.seconds(tick)}
        </text>
      ))}
      <text x={LEFT + 8} y={y(runs) - 5} fontSize={13} fill="var(--color-night-ok)">
        {practiceText.runs(showTemperature(runs, units))}
      </text>
      <text x={LEFT + wide - 8} y={Math.max(y(solidus) - 4, 16)} textAnchor="end" fontSize={13} fill="var(--color-solder-pale)">
        {practiceText.melts(showTemperature(solidus, units), METALS[softest.metal].name)}
      </text>
      {held && held.softens < HIGHEST && (
        <g>
          <line x1={LEFT} x2={LEFT + wide} y1={y(held.softens)} y2={y(held.softens)} stroke="var(--color-gather)" strokeWidth={1.5} />
          <text x={LEFT + wide - 8} y={y(held.softens) + 15} textAnchor="end" fontSize={13} fill="var(--color-night-warn)">
            {practiceText.gives(showTemperature(held.softens, units), names.joint(held.id))}
          </text>
        </g>
      )}
      {body.parts.map(({ id }, p) => (
        <g key={id}>
          <path
            d={
              area<Moment>()
                .x(({ seconds }) => x(seconds))
                .y0(({ parts }) => y(parts[p]!.least))
                .y1(({ parts }) => y(parts[p]!.most))([...course]) ?? ""
            }
            fill={lineColour(p)}
            opacity={0.18}
          />
          <path
            d={
              line<Moment>()
                .x(({ seconds }) => x(seconds))
                .y(({ parts }) => y(parts[p]!.mean))([...course]) ?? ""
            }
            fill="none"
            stroke={lineColour(p)}
            strokeWidth={2.2}
            strokeDasharray={p > 1 ? "3 4" : undefined}
          />
          {last && (
            <text x={x(last.seconds) + 8} y={ends[p]! + 4} fontSize={14} fill={lineColour(p)}>
              {practiceText.partAt(names.part(id), `${showTemperature(last.parts[p]!.mean, units)}°`)}
            </text>
          )}
        </g>
      ))}
    </svg>
  );
}

/** Places moved apart, so that no two labels lie over each other, and none below `most`; in the order they came. */
function spreadOut(at: readonly number[], apart: number, most: number): number[] {
  const order = at.map((_, i) => i).sort((a, b) => at[a]! - at[b]!);
  const placed = [...at];
  order.forEach((i, n) => {
    const before = order[n - 1];
    if (before !== undefined) placed[i] = Math.max(placed[i]!, placed[before]! + apart);
  });
  [...order].reverse().forEach((i, n, down) => {
    const below = down[n - 1];
    placed[i] = Math.min(placed[i]!, below === undefined ? most : placed[below]! - apart);
  });
  return placed;
}
