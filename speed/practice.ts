import { DEMO_PIECES } from "@demo/pieces";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { planPiece } from "@/core/piece/plan-piece";
import { type HeatBody, bodyOf } from "@/core/practice/body";
import { type Chain } from "@/core/practice/conduction";
import { PractisedHeat, STEP_MS, arrivingAt } from "@/core/practice/heat";
import { EMISSIVITY, INTO_SUPPORT, ROOM, lossFrom } from "@/core/practice/materials";
import { type TorchMoment, USUAL_TOWARD, bestDistance } from "@/core/practice/torch";
import { row, share } from "./measure";

/** A bushy flame held on the middle. */
const TORCH: TorchMoment = { ms: 0, x: 0, y: 0, size: 5, isOn: true, isBelow: false, distance: bestDistance(5), toward: USUAL_TOWARD };
const LOOKS = 9;
const STEPS = 200;
/** ms that a plain explicit step may be long at 0.25 mm (section 13 of the formulas). */
const EXPLICIT_MS = 0.12;

/** The heat of the demo with the most bits, at a spacing. */
function largest(spacing: number): { readonly name: string; readonly body: HeatBody } {
  const all = DEMO_PIECES.flatMap((piece) => {
    const plan = planPiece(piece, SHIPPED_BENCH);
    return plan.heats.map((heat, h) => ({ name: `${piece.id} ${heat.joints[0]!}`, plan, h }));
  });
  const bodies = all.map(({ name, plan, h }) => ({ name, body: bodyOf(plan, h, spacing) }));
  return bodies.reduce((most, each) => (each.body.x.length > most.body.x.length ? each : most));
}

/** ms that a step takes, the middle of several looks at many. */
function perStep(step: () => void): number {
  const times = Array.from({ length: LOOKS }, () => {
    const start = performance.now();
    for (let i = 0; i < STEPS; i++) step();
    return (performance.now() - start) / STEPS;
  });
  return share(times, 0.5);
}

/** The same exchange and conduction in plain explicit form: what flows in a step goes by what is now, and nothing else is looked at. */
class Explicit {
  readonly temperatures: Float64Array;
  private readonly arrives: Float64Array;
  private readonly flows: Float64Array;
  private readonly from: Int32Array;
  private readonly to: Int32Array;
  private readonly conductance: Float64Array;

  constructor(
    private readonly body: HeatBody,
    private readonly seconds: number,
  ) {
    const count = body.x.length;
    this.temperatures = new Float64Array(count).fill(ROOM);
    this.arrives = new Float64Array(count);
    this.flows = new Float64Array(count);
    arrivingAt(body, TORCH, this.arrives);
    const ties = [...body.rows, ...body.columns].flatMap(tiesOf);
    this.from = Int32Array.from(ties, ([a]) => a);
    this.to = Int32Array.from(ties, ([, b]) => b);
    this.conductance = Float64Array.from(ties, ([, , g]) => g);
  }

  /** Seconds above which it swings: half of what the most tied bit takes to follow its neighbours. */
  static steadyBelow(body: HeatBody): number {
    const tied = new Float64Array(body.x.length);
    for (const [a, b, g] of [...body.rows, ...body.columns].flatMap(tiesOf)) {
      tied[a] = tied[a]! + g;
      tied[b] = tied[b]! + g;
    }
    return Math.min(...body.capacity.map((c, i) => c / tied[i]!));
  }

  step(): void {
    const { temperatures, arrives, flows, from, to, conductance, seconds } = this;
    const { bare, under, capacity, support } = this.body;
    const into = support === "hand" ? null : INTO_SUPPORT[support];
    for (let i = 0; i < temperatures.length; i++) {
      const t = temperatures[i]!;
      const face = lossFrom(t, EMISSIVITY.bright);
      flows[i] = arrives[i]! - (face * bare[i]! + (into === null ? face : into * (t - ROOM)) * under[i]!) * 1e-6;
    }
    for (let k = 0; k < from.length; k++) {
      const watts = conductance[k]! * (temperatures[from[k]!]! - temperatures[to[k]!]!);
      flows[from[k]!] = flows[from[k]!]! - watts;
      flows[to[k]!] = flows[to[k]!]! + watts;
    }
    for (let i = 0; i < temperatures.length; i++) temperatures[i] = temperatures[i]! + (flows[i]! * seconds) / capacity[i]!;
  }
}

function tiesOf({ cells, conductances, isClosed }: Chain): [number, number, number][] {
  return cells.flatMap((cell, i): [number, number, number][] => {
    const next = cells[i + 1] ?? (isClosed && cells.length > 2 ? cells[0] : undefined);
    return next === undefined ? [] : [[cell, next, conductances[i]!]];
  });
}

const { name, body } = largest(0.4);
const heat = new PractisedHeat(body);
heat.setTorch(TORCH);
const ours = perStep(() => heat.step()) * (1000 / STEP_MS);
row(`a second of ${name}, ${body.x.length} bits`, ours, "ms", `${(1000 / ours).toFixed(1)} times faster than it is; target 15`);

const fine = largest(0.25);
const implicit = new PractisedHeat(fine.body);
implicit.setTorch(TORCH);
const ourFine = perStep(() => implicit.step()) * (1000 / STEP_MS);
const steady = 0.9 * Explicit.steadyBelow(fine.body);
const explicit = new Explicit(fine.body, steady);
const theirs = perStep(() => explicit.step()) * (1000 / EXPLICIT_MS);
row(
  `the same at 0.25 mm, ${fine.body.x.length} bits`,
  theirs / ourFine,
  "times",
  `less than plain explicit steps of ${EXPLICIT_MS} ms (${theirs.toFixed(0)} against ${ourFine.toFixed(0)} ms a second; this body would need ${(1000 * steady).toFixed(3)} ms); target 6`,
);

/** Bytes that a step leaves behind: the heap is looked at over many, so that what a look itself takes does not count. */
const before = process.memoryUsage().heapUsed;
const MANY = 4000;
for (let i = 0; i < MANY; i++) heat.step();
const left = Math.max(0, process.memoryUsage().heapUsed - before) / MANY;
row("bytes that a step leaves behind", left, "bytes", "target 0: no allocation in a step");
