import { type ReactNode } from "react";
import { type ExplainedWord } from "@/words/explain";

const STONE = "var(--color-sage)";
const METAL = "var(--color-metal-edge)";
const EDGE = "var(--color-accent)";
const HEAT = "var(--color-flame)";

/** A word of the craft as a small drawing: what is meant stands out in teal. */
export function ExplainDrawing({ word }: { readonly word: ExplainedWord }) {
  return (
    <svg width={240} height={96} viewBox="0 0 240 96" aria-hidden="true" className="block rounded-sm bg-paper">
      {DRAWINGS[word]}
    </svg>
  );
}

/** Stone, wall and plate cut through; `lift` raises the stone off the plate. */
function section(more: ReactNode, { lift = 0, gap = 2, lip = true } = {}): ReactNode {
  const foot = 80 - lift;
  return (
    <>
      <path
        d={`M50 ${foot}V${foot - 22}C52 ${foot - 46} 90 ${foot - 62} 120 ${foot - 62}S188 ${foot - 46} 190 ${foot - 22}V${foot}Z`}
        fill={STONE}
      />
      <rect x={36} y={80} width={168} height={8} fill="var(--color-metal-pale)" stroke={METAL} />
      {[-1, 1].map((side) => {
        const x = 120 + side * (72 + gap);
        const top = lip ? `L${x - side * 12} ${foot - 44}` : "";
        return <path key={side} d={`M${x} 80V${foot - 26}${top}`} stroke={METAL} strokeWidth={5} fill="none" strokeLinejoin="round" />;
      })}
      {more}
    </>
  );
}

function between(x: number, from: number, to: number): ReactNode {
  return <path d={`M${x} ${from}V${to}M${x - 4} ${from}h8M${x - 4} ${to}h8`} stroke={EDGE} strokeWidth={2} fill="none" />;
}

function across(y: number, from: number, to: number): ReactNode {
  return <path d={`M${from} ${y}H${to}M${from} ${y - 4}v8M${to} ${y - 4}v8`} stroke={EDGE} strokeWidth={2} fill="none" />;
}

/** A flame's height beside the band of a joint made before. */
function ladder(more: ReactNode): ReactNode {
  return (
    <>
      <rect x={90} y={34} width={130} height={20} fill="var(--color-metal-mid)" opacity={0.25} />
      <path d="M90 34H220" stroke={METAL} strokeWidth={1.5} />
      <path d="M90 54H220" stroke={METAL} strokeDasharray="3 3" />
      <rect x={48} y={24} width={9} height={66} fill={HEAT} />
      <path d="M40 28L52.5 12L65 28Z" fill={HEAT} />
      {more}
    </>
  );
}

const DRAWINGS: Readonly<Record<ExplainedWord, ReactNode>> = {
  leansIn: section(
    <>
      <path d="M30 58H210" stroke={EDGE} strokeWidth={2} strokeDasharray="4 3" />
      {between(26, 58, 80)}
    </>,
  ),
  catch: section(across(20, 60, 74)),
  fit: section(across(70, 40, 50), { gap: 8, lip: false }),
  lift: section(between(120, 66, 80), { lift: 14 }),
  fibre: (
    <>
      <path d="M60 70A60 60 0 0 1 180 70L160 70A40 40 0 0 0 80 70Z" fill="var(--color-metal-pale)" stroke={METAL} />
      <path d="M72 70A48 48 0 0 1 168 70" stroke={EDGE} strokeWidth={2} strokeDasharray="5 4" fill="none" />
    </>
  ),
  kerf: (
    <>
      <rect x={20} y={36} width={94} height={24} fill="var(--color-metal-pale)" stroke={METAL} />
      <rect x={124} y={36} width={94} height={24} fill="var(--color-metal-pale)" stroke={METAL} />
      <path d="M119 14V82" stroke={METAL} strokeWidth={2} strokeDasharray="4 2" />
      {across(74, 114, 124)}
    </>
  ),
  squaring: (
    <>
      <path d="M40 32L206 32L200 62L34 62Z" fill="var(--color-solder-pale)" stroke="var(--color-wood)" />
      <rect x={42} y={32} width={156} height={30} fill="var(--color-metal-pale)" stroke={METAL} />
      {across(76, 34, 42)}
      {across(76, 198, 206)}
    </>
  ),
  overshoot: ladder(
    <>
      <path d="M20 26H84" stroke={METAL} strokeDasharray="3 3" />
      {between(76, 12, 26)}
    </>,
  ),
  gives: ladder(<path d="M84 54H224" stroke={EDGE} strokeWidth={2.5} />),
  runs: ladder(<path d="M84 34H224" stroke={EDGE} strokeWidth={2.5} />),
  gather: (
    <>
      <ellipse cx={120} cy={48} rx={84} ry={34} fill={STONE} stroke={METAL} strokeWidth={5} />
      <path d="M54 27A84 34 0 0 0 54 69M186 27A84 34 0 0 1 186 69" stroke="var(--color-gather)" strokeWidth={6} fill="none" />
    </>
  ),
  seam: (
    <>
      <ellipse cx={120} cy={52} rx={84} ry={32} fill={STONE} stroke={METAL} strokeWidth={5} />
      <path d="M120 8V26" stroke={EDGE} strokeWidth={3} />
    </>
  ),
};
