import { type ReactNode } from "react";
import { type FirstMeasures } from "@/core/piece/new-piece";
import { caliperDrawingText } from "@/words/pictures";

const STEEL = { fill: "var(--color-metal-hi)", stroke: "var(--color-metal-edge)", strokeWidth: 1 } as const;
const EDGE = { stroke: "var(--color-accent)", strokeWidth: 2, fill: "none" } as const;
const STONE = { fill: "url(#start-stone)", stroke: "var(--color-metal-edge)" } as const;

/** How one of a stone's four measures is taken: the stone, what it is measured with, and the measure itself in teal. */
export function CaliperDrawing({ measure }: { readonly measure: keyof FirstMeasures }) {
  return (
    <svg viewBox="0 0 160 128" aria-hidden="true" className="block h-full w-full">
      <defs>
        <radialGradient id="start-stone" cx=".38" cy=".32" r=".85">
          <stop offset="0" stopColor="var(--color-metal-bright)" />
          <stop offset=".5" stopColor="var(--color-metal)" />
          <stop offset="1" stopColor="var(--color-metal-edge)" />
        </radialGradient>
      </defs>
      {DRAWN[measure]}
    </svg>
  );
}

/** Jaws of a caliper at two places along x, their tips at y, with the beam above. */
function jaws(left: number, right: number, tip: number): ReactNode {
  return (
    <>
      <rect x={left - 10} y={12} width={right - left + 34} height={12} {...STEEL} />
      <path
        d={Array.from({ length: 14 }, (_, i) => `M${left + i * 6} 12v${i % 5 === 0 ? 7 : 4}`).join("")}
        stroke="var(--color-metal-edge)"
      />
      <path d={`M${left - 12} 12h12V${tip}l-4 -6Z`} {...STEEL} />
      <path d={`M${right} 8h24v20h-12L${right + 4} ${tip - 6}L${right} ${tip}Z`} {...STEEL} />
    </>
  );
}

function between(x: number, from: number, to: number): ReactNode {
  return <path d={`M${x} ${from}V${to}M${x - 5} ${from}h10M${x - 5} ${to}h10`} {...EDGE} />;
}

/** A stone from its side, its back on y, from left to right and so high. */
function side(left: number, right: number, back: number, high: number): string {
  const shoulder = back - 0.36 * high;
  return `M${left} ${back}V${shoulder}C${left + 4} ${back - high} ${right - 4} ${back - high} ${right} ${shoulder}V${back}Z`;
}

const DRAWN: Readonly<Record<keyof FirstMeasures, ReactNode>> = {
  length: (
    <>
      {jaws(32, 118, 78)}
      <ellipse cx={75} cy={78} rx={43} ry={31} {...STONE} />
      <path d="M32 120H118M32 115v10M118 115v10" {...EDGE} />
    </>
  ),
  width: (
    <>
      <g transform="translate(150 -4) rotate(90)">{jaws(38, 100, 84)}</g>
      <ellipse cx={66} cy={65} rx={43} ry={31} {...STONE} />
      {between(14, 34, 96)}
    </>
  ),
  height: (
    <>
      <g transform="translate(150 -4) rotate(90)">{jaws(48, 102, 84)}</g>
      <path d={side(24, 110, 98, 58)} {...STONE} />
      {between(12, 44, 98)}
    </>
  ),
  turnIn: (
    <>
      <path d={side(10, 120, 112, 84)} {...STONE} />
      <path d="M120 80V24L98 40C110 50 117 64 120 80Z" fill="var(--color-glow)" />
      <rect x={120} y={14} width={14} height={98} {...STEEL} />
      <path
        d={Array.from({ length: 12 }, (_, i) => `M120 ${108 - i * 8}h${i % 5 === 0 ? 9 : 5}`).join("")}
        stroke="var(--color-metal-edge)"
      />
      <path d="M4 112H156" stroke="var(--color-metal-edge)" strokeWidth={1.5} />
      <path d="M8 80H138" {...EDGE} strokeDasharray="4 3" />
      <circle cx={120} cy={80} r={5} fill="var(--color-sheet)" stroke="var(--color-accent)" strokeWidth={2.5} />
      <text x={64} y={101} textAnchor="middle" fontSize={12} fill="var(--color-ink)">
        {caliperDrawingText.itTouchesUpToHere}
      </text>
    </>
  ),
};
