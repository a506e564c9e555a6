"use client";

import { type ScaleLinear } from "d3";
import { MM_PER_INCH } from "@/core/measure/reading";
import { type Learned } from "@/core/piece/ledger";
import { type Units, showLength, withUnit } from "@/words/show";
import { type Label, besideMarks } from "./beside-marks";
import { lossRuleText } from "@/words/screens/ledger";

/** What a chart of losses is drawn by: mm to px along its width. */
export type LossScale = ScaleLinear<number, number>;

export const RULE_TALL = 62;
const HEAD = 28;

interface RuleProps {
  readonly learned: Learned;
  readonly x: LossScale;
  readonly width: number;
  readonly units: Units;
}

/** px that a letter of a label takes on the rule, at the most. */
const LETTER = 6.9;

function labelOf(at: number, text: string): Label {
  return { at, width: text.length * LETTER };
}

/** The rule that losses are read against, the shipped figure and the maker's own hanging from it. */
export function LossRule({ learned, x, width, units }: RuleProps) {
  const { prior, estimate, spread, kept } = learned;
  const inch = units.length === "inch";
  const unit = inch ? MM_PER_INCH : 1;
  const fine = inch ? 0.01 : 0.1;
  const most = x.domain()[1]! / unit;
  const ticks = Array.from({ length: Math.floor(most / fine) + 1 }, (_, i) => i);
  const mine = lossRuleText.yoursFrom(
    showLength(estimate, "measured", units),
    spread === null ? "" : ` ± ${showLength(spread, "measured", units)}`,
    kept.length,
  );
  const standard = lossRuleText.standard(showLength(prior, "measured", units));
  const [ofStandard, ofMine] = besideMarks([labelOf(x(prior), standard), labelOf(x(estimate), mine)], width);
  return (
    <svg
      width={width}
      height={RULE_TALL}
      className="block"
      role="img"
      aria-label={lossRuleText.makesStandard(mine, showLength(prior, "measured", units))}
    >
      <rect x={0} y={HEAD} width={width} height={RULE_TALL - HEAD} fill="var(--color-paper)" stroke="var(--color-metal)" />
      {ticks.map((i) => {
        const at = x(i * fine * unit);
        const tall = i % 10 === 0 ? 17 : i % 5 === 0 ? 12 : 7;
        return (
          <g key={i}>
            <line
              x1={at}
              x2={at}
              y1={RULE_TALL}
              y2={RULE_TALL - tall}
              stroke="var(--color-metal-deep)"
              strokeWidth={i % 5 === 0 ? 1 : 0.7}
            />
            {i % 5 === 0 && at < width - 12 && (
              <text
                x={at + 3}
                y={HEAD + 13}
                fontSize={i % 10 === 0 ? 13.5 : 11.5}
                fontWeight={i % 10 === 0 ? 640 : 480}
                fill="var(--color-metal-deep)"
              >
                {Number((i * fine).toFixed(2))}
              </text>
            )}
          </g>
        );
      })}
      <text x={ofStandard} y={HEAD - 9} fontSize={13} fill="var(--color-soft)">
        {standard}
      </text>
      <text x={ofMine} y={HEAD - 9} fontSize={13} fontWeight={640} fill="var(--color-accent)">
        {mine}
      </text>
      <line x1={x(prior)} x2={x(prior)} y1={HEAD - 4} y2={RULE_TALL} stroke="var(--color-soft)" strokeDasharray="4 3" strokeWidth={1.2} />
      <path d={`M${x(estimate)} ${HEAD}l-5 -8h10z`} fill="var(--color-accent)" />
      <line x1={x(estimate)} x2={x(estimate)} y1={HEAD} y2={RULE_TALL} stroke="var(--color-accent)" strokeWidth={2} />
    </svg>
  );
}

/** The lines that hang from the rule through all rows, and how far the maker's own losses spread. */
export function LossLines({ learned: { prior, estimate, spread }, x }: Pick<RuleProps, "learned" | "x">) {
  const wide = spread ?? 0;
  return (
    <div aria-hidden="true" className="pointer-events-none absolute inset-0">
      <span
        className="absolute inset-y-0 bg-accent-wash"
        style={{ left: x(estimate - wide), width: x(estimate + wide) - x(estimate - wide) }}
      />
      <span className="absolute inset-y-0 border-l border-dashed border-soft" style={{ left: x(prior) }} />
      <span className="absolute inset-y-0 w-[2px] bg-accent" style={{ left: x(estimate) - 1 }} />
    </div>
  );
}

interface LossBarProps {
  readonly value: number;
  readonly x: LossScale;
  readonly width: number;
  readonly units: Units;
  /** Why it does not count: it lies far out, or was worked by another method. */
  readonly left: "far" | "other" | null;
  readonly why: string;
}

/** One making's loss: a bar from nothing and a dot; hollow where it does not count, with why. */
export function LossBar({ value, x, width, units, left, why }: LossBarProps) {
  const end = x(value);
  const isOver = end > width * 0.6;
  return (
    <svg
      width={width}
      height={20}
      className="block overflow-visible"
      role="img"
      aria-label={[withUnit(value, "measured", units), why].filter(Boolean).join(", ")}
    >
      <rect
        x={x(0)}
        y={6}
        width={Math.max(0, end - x(0))}
        height={8}
        fill={left ? "none" : "var(--color-solder-pale)"}
        stroke={left ? "var(--color-stone-edge)" : "var(--color-brass)"}
        strokeWidth={0.8}
        strokeDasharray={left ? "3 3" : undefined}
      />
      {left === null && <circle cx={end} cy={10} r={5} fill="var(--color-ink)" stroke="var(--color-sheet)" />}
      {left === "other" && (
        <path d={`M${end} 3.5l6.5 6.5l-6.5 6.5l-6.5 -6.5z`} fill="var(--color-sheet)" stroke="var(--color-soft)" strokeWidth={1.6} />
      )}
      {left === "far" && (
        <>
          <circle cx={end} cy={10} r={5.6} fill="var(--color-sheet)" stroke="var(--color-warn)" strokeWidth={1.7} />
          <path d={`M${end - 2.6} 7.4l5.2 5.2m0 -5.2l-5.2 5.2`} stroke="var(--color-warn)" strokeWidth={1.5} />
        </>
      )}
      {why && (
        <text
          x={isOver ? end - 12 : end + 12}
          y={14.5}
          textAnchor={isOver ? "end" : "start"}
          fontSize={13}
          fontWeight={left === "far" ? 600 : 440}
          fill={left === "far" ? "var(--color-warn)" : "var(--color-soft)"}
          stroke="var(--color-sheet)"
          strokeWidth={4}
          paintOrder="stroke"
        >
          {why}
        </text>
      )}
    </svg>
  );
}
