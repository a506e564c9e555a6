"use client";

import { type DrawnLayer } from "@/core/mount/layers/layer";
import { type Point } from "@/core/geometry/outline";
import { Shape } from "@/ui/Drawing";

const EDGE = "var(--color-soft)";
const METAL = "var(--color-metal-lit)";

/** What beads are filled with: lit from above. */
export function BeadFill() {
  return (
    <radialGradient id="bead" cx=".36" cy=".64" r=".75">
      <stop offset="0" stopColor="var(--color-white)" />
      <stop offset=".5" stopColor="var(--color-metal-pale)" />
      <stop offset="1" stopColor="var(--color-metal-edge)" />
    </radialGradient>
  );
}

/** An ornament where it lies, in millimetres: wires with their light, a rope with its lay, beads one by one. */
export function LayerShapes({ layer, isChosen }: { readonly layer: DrawnLayer; readonly isChosen: boolean }) {
  const { middles, strands, strandWidth, balls, width, part, cut } = layer;
  const wires = strands ? [strands.under, strands.over] : balls.length > 0 ? [] : [middles];
  const thick = strands ? strandWidth : width;
  return (
    <g>
      {middles.map((points, i) => (
        <Shape
          key={i}
          points={points}
          open
          fill="none"
          stroke={isChosen ? "var(--color-accent)" : "transparent"}
          strokeOpacity={isChosen ? 0.28 : 0}
          strokeWidth={width + (isChosen ? HALO : 0)}
          vectorEffect="none"
          lights={part}
        />
      ))}
      {wires.map((runs, i) => (
        <Wires key={i} runs={runs} thick={thick} isShiny={cut.shape !== "square"} />
      ))}
      {balls.map(({ at: [cx, cy], radius }, i) => (
        <circle key={i} cx={cx} cy={cy} r={radius} fill="url(#bead)" stroke={EDGE} strokeWidth={radius * 0.08} pointerEvents="none" />
      ))}
    </g>
  );
}

interface WiresProps {
  readonly runs: readonly (readonly Point[])[];
  readonly thick: number;
  readonly isShiny: boolean;
}

/** Runs of wire with their edge, their metal and their light. */
function Wires({ runs, thick, isShiny }: WiresProps) {
  const line = { runs, fill: "none", vectorEffect: "none" } as const;
  return (
    <g pointerEvents="none">
      <Shape {...line} stroke={EDGE} strokeWidth={thick} />
      <Shape {...line} stroke={METAL} strokeWidth={thick * 0.82} />
      {isShiny && <Shape {...line} stroke="var(--color-white)" strokeWidth={thick * 0.28} />}
    </g>
  );
}

/** mm that show round what is chosen. */
const HALO = 0.3;

interface OnRuleProps {
  readonly layer: DrawnLayer;
  readonly length: number;
  readonly height: number;
}

/** The same along a rule, in mm along and up; of a rope one turn is drawn and laid again and again, so that its length can be dragged smoothly. */
export function LayerOnRule({ layer, length, height }: OnRuleProps) {
  const { balls, turns } = layer.onRule;
  const middle = height / 2;
  if (turns > 0) {
    return (
      <g pointerEvents="none">
        <pattern id="one-turn" width={1 / turns} height={height} patternUnits="userSpaceOnUse">
          {turnOf(1 / turns, middle, layer.strandWidth / 2).map((runs, i) => (
            <Wires key={i} runs={runs} thick={layer.strandWidth} isShiny />
          ))}
        </pattern>
        <rect width={length} height={height} fill="url(#one-turn)" />
      </g>
    );
  }
  return (
    <g pointerEvents="none">
      {balls.map((at) => (
        <circle key={at} cx={at} cy={middle} r={layer.width / 2} fill="url(#bead)" stroke={EDGE} strokeWidth={layer.width * 0.03} />
      ))}
    </g>
  );
}

const POINTS_A_HALF = 8;
/** Half turns that reach into a turn from before it, lie in it, and reach in from behind. */
const HALVES = [-1, 0, 1, 2, 3];

/** Half turns of both wires of a straight rope, a turn long (mm), those that pass under first. */
function turnOf(turn: number, middle: number, aside: number): [under: Point[][], over: Point[][]] {
  const run = (n: number, side: 1 | -1) =>
    Array.from({ length: POINTS_A_HALF + 1 }, (_, k): Point => {
      const halves = n - 0.5 + k / POINTS_A_HALF;
      return [(halves * turn) / 2, middle + side * aside * Math.sin(Math.PI * halves)];
    });
  const over = (n: number): 1 | -1 => (n % 2 === 0 ? 1 : -1);
  return [HALVES.map((n) => run(n, over(n) === 1 ? -1 : 1)), HALVES.map((n) => run(n, over(n)))];
}
