"use client";

import { type ReactNode } from "react";
import { type Point } from "@/core/geometry/outline";
import { type Gap } from "@/core/mount/laid-out";
import { type Blank, type BlankMark } from "@/core/measure/blank";
import { MM_PER_INCH } from "@/core/measure/reading";
import { type Units } from "@/words/show";
import { LETTER, NARROW, WORD } from "./Drawing";
import { placed } from "./placed";
import { useSize } from "./useSize";
import { ruleText } from "@/words/ui";

interface Props {
  readonly blank: Blank;
  /** How tall the metal lies on the rule, in mm. */
  readonly height: number;
  /** What stands at the cut mark: "cut 46.05". */
  readonly cut: string;
  /** What is said of the metal past the cut. */
  readonly beyond: string;
  readonly names: Readonly<Record<BlankMark, string>>;
  readonly units: Units;
  /** Metal to be cut, or the height of a stone round its tape. */
  readonly tone?: "metal" | "stone";
  /** Its top edge where that is not even: points of length and height, in mm from its start. */
  readonly edge?: readonly Point[] | null;
  /** What is cut to a shape, alike to both sides of its middle: how wide it is so far along, in mm. */
  readonly pattern?: readonly Point[] | null;
  /** Gaps sawn into its top edge, in mm from its start. */
  readonly gaps?: readonly Gap[];
  /** Pieces that will lie along it: their middles, in mm from its start, and their sides. */
  readonly pieces?: readonly { readonly at: number; readonly side: number }[];
  /** What such a piece is called. */
  readonly pieceName?: string;
  /** Drawn over it, in a frame of mm along and mm up. */
  readonly over?: ReactNode;
}

/** Room above the metal for the cut mark. */
const OVER = 24;
const TALLEST = 58;
const LEFT = 12;
const RULE_HEIGHT = 56;
/** Less room than this between pieces and they are not named (pixels). */
const ROOM_FOR_NAME = 70;
/** Rule shown past the cut, as a share of the length, and at least in mm. */
const PAST = { share: 0.16, least: 4 };

/** A steel rule with what is to be cut lying along it, at true proportion. */
export function Rule({
  blank,
  height,
  cut,
  beyond,
  names,
  units,
  tone = "metal",
  edge = null,
  pattern = null,
  gaps = [],
  pieces = [],
  pieceName = ruleText.solder,
  over,
}: Props) {
  const [ref, { width }] = useSize(1050, 142);
  const span = blank.length + Math.max(PAST.least, blank.length * PAST.share);
  const perMm = (width - 2 * LEFT) / span;
  const x = (mm: number) => LEFT + mm * perMm;
  const tall = Math.min(TALLEST, Math.max(20, height * perMm));
  const base = OVER + (width < NARROW ? tall : TALLEST);
  const top = base - tall;
  const end = x(blank.length);
  const at = ([along, up]: Point) => `L${x(along)} ${base - (up / height) * tall}`;
  const fits = (from: number, text: string, size = WORD) => from + (text.length * LETTER * size) / WORD < width;
  const words = placed(
    blank.marks.map(({ code, at }) => ({ text: names[code], at: x(at), isLeast: code === "farSide" })),
    end,
  );
  return (
    <div ref={ref} style={{ height: base + RULE_HEIGHT + 4 }} className="w-full">
      <svg
        width={width}
        height={base + RULE_HEIGHT + 4}
        role={over ? "group" : "img"}
        aria-label={ruleText.steelRule(cut)}
        className="block"
      >
        <defs>
          <linearGradient id="rule-metal" x1="0" y1="0" x2="0" y2="1">
            <stop offset="0" stopColor="var(--color-sheet)" />
            <stop offset=".5" stopColor="var(--color-metal-pale)" />
            <stop offset="1" stopColor="var(--color-print-wash)" />
          </linearGradient>
          <linearGradient id="rule-steel" x1="0" y1="0" x2="0" y2="1">
            <stop offset="0" stopColor="var(--color-stone-wash)" />
            <stop offset=".12" stopColor="var(--color-paper)" />
            <stop offset="1" stopColor="var(--color-hair)" />
          </linearGradient>
        </defs>
        <rect
          x={0.5}
          y={base}
          width={Math.max(0, width - 1)}
          height={RULE_HEIGHT}
          rx={2}
          fill="url(#rule-steel)"
          stroke="var(--color-metal)"
        />
        <Ticks span={span} x={x} units={units} perMm={perMm} base={base} fits={fits} />
        {tone === "metal" && <rect x={end} y={top} width={Math.max(0, width - end)} height={tall} fill="url(#rule-metal)" opacity={0.35} />}
        {pattern ? (
          <path
            d={`M${[...sideOf(pattern, 1), ...sideOf(pattern, -1).reverse()].map(([along, up]) => `${x(along)} ${base - (0.5 + up / (2 * height)) * tall}`).join("L")}Z`}
            fill="url(#rule-metal)"
            stroke="var(--color-metal-edge)"
            strokeWidth={0.8}
          />
        ) : tone === "metal" ? (
          <rect
            x={x(0)}
            y={top}
            width={end - x(0)}
            height={tall}
            fill="url(#rule-metal)"
            stroke="var(--color-metal-edge)"
            strokeWidth={0.8}
          />
        ) : (
          <>
            {!edge && <rect x={x(0)} y={top} width={Math.max(0, end - x(0))} height={tall} fill="var(--color-sage-pale)" />}
            {!edge && <line x1={x(0)} x2={end} y1={top} y2={top} stroke="var(--color-accent)" strokeWidth={2} />}
          </>
        )}
        {edge && (
          <>
            <path
              d={`M${x(0)} ${base}${edge.map(at).join("")}V${base}Z`}
              fill={tone === "stone" ? "var(--color-sage-pale)" : "var(--color-accent)"}
              fillOpacity={tone === "stone" ? 1 : 0.14}
            />
            <path d={edge.map(at).join("").replace("L", "M")} fill="none" stroke="var(--color-accent)" strokeWidth={2} />
          </>
        )}
        {gaps.length > 0 && (
          <path
            d={gaps.map(({ from, to, depth }) => `M${x(from)} ${top}V${top + (depth / height) * tall}H${x(to)}V${top}`).join("")}
            fill="var(--color-paper)"
            stroke="var(--color-metal-edge)"
            strokeWidth={0.8}
          />
        )}
        {blank.losses.map(({ from, to }, i) => (
          <rect
            key={i}
            x={x(from)}
            y={top}
            width={x(to) - x(from)}
            height={tall}
            fill="var(--color-solder-pale)"
            stroke="var(--color-wood)"
            strokeWidth={0.8}
          />
        ))}
        {blank.gathers.map(({ from, to }, i) => (
          <rect key={i} x={x(from)} y={top} width={Math.max(0, x(to) - x(from))} height={5} fill="var(--color-gather)" />
        ))}
        {blank.marks.map(({ at }, i) => (
          <line key={i} x1={x(at)} x2={x(at)} y1={top} y2={base} stroke="var(--color-metal-edge)" strokeDasharray="3 3" />
        ))}
        {pieces.map(({ at, side }, i) => (
          <rect key={i} x={x(at - side / 2)} y={base - side * perMm} width={side * perMm} height={side * perMm} fill="var(--color-ochre)" />
        ))}
        {pieces.length > 0 && (pieces[1]?.at ?? Infinity) - pieces[0]!.at > ROOM_FOR_NAME / perMm && (
          <text x={x(pieces[0]!.at + pieces[0]!.side / 2) + 5} y={base - 4} fontSize={12} fill="var(--color-wood-dark)">
            {pieceName}
          </text>
        )}
        {words.map(({ text, from }, i) => (
          <text key={i} x={from} y={base - tall / 2 + 5} fontSize={13} fill="var(--color-metal-deep)">
            {text}
          </text>
        ))}
        {over && <g transform={`translate(${LEFT} ${base}) scale(${perMm} ${-tall / height})`}>{over}</g>}
        <path d={`M${end} ${top - 3} l-5 -8 h10 z`} fill="var(--color-ink)" />
        <line x1={end} x2={end} y1={top - 3} y2={base + 26} stroke="var(--color-ink)" strokeWidth={1.5} />
        <text
          x={fits(end + 9, cut) ? end + 9 : end - 9}
          y={top - 2}
          textAnchor={fits(end + 9, cut) ? "start" : "end"}
          fontSize={13}
          fontWeight={660}
          fill="var(--color-ink)"
        >
          {cut}
        </text>
        {fits(end + 14, beyond) && (
          <text x={end + 14} y={base - tall / 2 + 5} fontSize={13} fill="var(--color-soft)">
            {beyond}
          </text>
        )}
      </svg>
    </div>
  );
}

function sideOf(pattern: readonly Point[], side: 1 | -1): Point[] {
  return pattern.map(([along, wide]): Point => [along, side * wide]);
}

interface TicksProps {
  readonly base: number;
  readonly span: number;
  readonly perMm: number;
  readonly x: (mm: number) => number;
  readonly units: Units;
  /** Whether a number of this size (pixels) ends on the rule. */
  readonly fits: (from: number, text: string, size: number) => boolean;
}

const ROOM_FOR_A_NUMBER = 36;
/** How a number of the rule is written, and how far under the metal (pixels). */
const LARGE = { size: 16, weight: 640, below: 44 } as const;
const SMALL = { size: 12, weight: 480, below: 37 } as const;

/** Half millimetres, numbered every five, each one where there is room; or sixteenths of an inch, numbered every half. */
function Ticks({ span, perMm, x, units, base, fits }: TicksProps) {
  const isInch = units.length === "inch";
  const [step, usual, longest] = isInch ? [MM_PER_INCH / 16, 8, 16] : [0.5, 10, 20];
  const fine = isInch ? 4 : 2;
  const long = perMm * step * fine > ROOM_FOR_A_NUMBER ? fine : usual;
  const isCrowded = perMm * step < 4;
  const count = Math.floor(span / step) + 1;
  const reach = (i: number) => (i % longest === 0 ? 26 : i % long === 0 ? 19 : i % fine === 0 ? 13 : 7);
  const numbered = Array.from({ length: count }, (_, i) => i)
    .filter((i) => i % long === 0 && (i % longest === 0 || perMm * step * long > ROOM_FOR_A_NUMBER))
    .map((i) => ({ from: x(i * step) + 3, text: String(i * (isInch ? 1 / 16 : 0.5)), ...(i % longest === 0 ? LARGE : SMALL) }))
    .filter(({ from, text, size }) => fits(from, text, size));
  return (
    <g>
      <TickLines from={0} by={2} count={count} reach={reach} x={x(0)} base={base} apart={perMm * step} strokeWidth={1} />
      {!isCrowded && <TickLines from={1} by={2} count={count} reach={reach} x={x(0)} base={base} apart={perMm * step} strokeWidth={0.6} />}
      <g fill="var(--color-metal-deep)">
        {numbered.map(({ from, text, size, weight, below }) => (
          <text key={text} x={from} y={base + below} fontSize={size} fontWeight={weight}>
            {text}
          </text>
        ))}
      </g>
    </g>
  );
}

interface TickLinesProps {
  readonly from: number;
  readonly by: number;
  readonly count: number;
  readonly reach: (i: number) => number;
  readonly x: number;
  readonly base: number;
  /** Pixels from one to the next. */
  readonly apart: number;
  readonly strokeWidth: number;
}

/** Lines of one weight as one path, drawn a unit apart and stretched, so that a change of length moves one attribute. */
function TickLines({ from, by, count, reach, x, base, apart, strokeWidth }: TickLinesProps) {
  let path = "";
  for (let i = from; i < count; i += by) path += `M${i} 0v${reach(i)}`;
  return (
    <path
      d={path}
      transform={`translate(${x} ${base}) scale(${apart} 1)`}
      vectorEffect="non-scaling-stroke"
      stroke="var(--color-metal-deep)"
      strokeWidth={strokeWidth}
    />
  );
}
