"use client";

import { scaleLinear } from "d3";
import { type ReadingScale, type VerdictCode, verdictOf } from "@/core/piece/reading-scales";
import { BANDS } from "@/words/making";
import { type Units, showLength } from "@/words/show";
import { useSize } from "@/ui/useSize";
import { readingScaleViewText } from "@/words/screens/at-bench";

const FILLS: Readonly<Record<"below" | "between" | "good" | "over", string>> = {
  below: "var(--color-night-bad)",
  between: "var(--color-wood)",
  good: "var(--color-ok)",
  over: "var(--color-night-bad)",
};
const TALL = 28;
/** Room on either side of the window, as a share of it. */
const BESIDE = 0.55;
/** How wide a letter is beside its size, and the sizes a band's word may have (px). */
const LETTER = 0.54;
const SIZES = { most: 14, least: 11 } as const;

interface Band {
  readonly name: keyof typeof FILLS;
  readonly code: VerdictCode;
  readonly from: number;
  readonly to: number;
}

/** A reading's window as a rule, from what is too little to what is too much, with the reading on it. */
export function ReadingScaleView({
  scale,
  value,
  units,
}: {
  readonly scale: ReadingScale;
  readonly value: number | null;
  readonly units: Units;
}) {
  const [ref, { width }] = useSize(358, 80);
  const { low, near, high, codes, wanted } = scale;
  const beside = Math.max(high - low, 0.2) * BESIDE;
  const x = scaleLinear([low - beside, high + beside], [0, width]).clamp(true);
  const [least, most] = x.domain() as [number, number];
  const bands: Band[] = [
    { name: "below", code: codes.below, from: least, to: low },
    ...(near > low ? [{ name: "between" as const, code: codes.between, from: low, to: near }] : []),
    { name: "good", code: "good", from: near, to: high },
    { name: "over", code: codes.over, from: high, to: most },
  ];
  const told = value === null ? null : verdictOf(scale, value).code;
  return (
    <div ref={ref} className="mt-3">
      <svg
        width={width}
        height={TALL + 46}
        role="img"
        aria-label={told === null ? readingScaleViewText.theWindow : readingScaleViewText.theReadingIs(BANDS[told])}
      >
        {bands.map(({ name, code, from, to }) => {
          const [left, wide] = [x(from), x(to) - x(from)];
          const word = BANDS[code];
          const size = Math.min(SIZES.most, wide / (word.length * LETTER));
          return (
            <g key={name}>
              <rect
                x={left}
                y={14}
                width={Math.max(0, wide)}
                height={TALL}
                fill={FILLS[name]}
                stroke={told === code ? "var(--color-glow)" : "none"}
              />
              {size >= SIZES.least && (
                <text
                  x={left + wide / 2}
                  y={14 + TALL / 2 + 5}
                  textAnchor="middle"
                  fontSize={size}
                  fontWeight={620}
                  fill="var(--color-paper)"
                >
                  {word}
                </text>
              )}
            </g>
          );
        })}
        {[near > low ? low : null, near, high].map((at, i) =>
          at === null ? null : (
            <line key={i} x1={x(at)} x2={x(at)} y1={14} y2={14 + TALL + 8} stroke="var(--color-night-soft)" strokeWidth={1.2} />
          ),
        )}
        <text x={x(low)} y={TALL + 38} textAnchor="middle" fontSize={15} fill="var(--color-night-soft)">
          {showLength(low, "measured", units)}
        </text>
        <text
          x={Math.min(width, x(high) + 4)}
          y={TALL + 38}
          textAnchor={x(high) > width - 90 ? "end" : "middle"}
          fontSize={15}
          fontWeight={620}
          fill="var(--color-night-ok)"
        >
          {readingScaleViewText.goodTo(showLength(high, "measured", units))}
        </text>
        {value !== null && (
          <g transform={`translate(${x(value)} 0)`}>
            <path d="M0 14 l-8 -13 h16 z" fill="var(--color-glow)" />
            <line y1={12} y2={14 + TALL} stroke="var(--color-glow)" strokeWidth={2} />
          </g>
        )}
        {value === null && <line x1={x(wanted)} x2={x(wanted)} y1={6} y2={14} stroke="var(--color-night-soft)" />}
      </svg>
    </div>
  );
}
